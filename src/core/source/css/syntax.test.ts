import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cssSoup, sampleFiles } from "../../testing/site";
import { parseBlock, parseSheet, type Item } from "./syntax";
import { runs } from "../../testing/runs";

/** The structure in short, with the text of each part taken by its offsets. */
function outline(text: string, items: readonly Item[]): unknown[] {
  return items.map((item) => {
    switch (item.kind) {
      case "declaration":
        return `${item.property}=${text.slice(item.value.start, item.value.end)}${item.important ? "!" : ""}`;
      case "disabled":
        return `off ${item.declaration.property}=${text.slice(item.declaration.value.start, item.declaration.value.end)}`;
      case "skipped":
        return `skipped ${text.slice(item.start, item.end)}`;
      case "style":
        return [text.slice(item.prelude.start, item.prelude.end), ...outline(text, item.items)];
      case "at":
        return [
          `@${item.name} ${text.slice(item.prelude.start, item.prelude.end)}`.trim(),
          ...outline(text, item.items),
        ];
    }
  });
}

describe("structure and recovery", () => {
  test.each<[string, string, unknown[]]>([
    ["plain rules", "h1, h2 { color: red; margin: 0 }", [["h1, h2", "color=red", "margin=0"]]],
    ["importance in odd spelling", "a{color:red! /**/IMPORTANT;b:c}", [["a", "color=red!", "b=c"]]],
    [
      "a missing semicolon swallows the next line",
      "a { color: red\n margin: 0; top: 1px }",
      [["a", "color=red\n margin: 0", "top=1px"]],
    ],
    [
      "a declaration without colon is skipped up to the semicolon",
      "a { color red; top: 0 }",
      [["a", "skipped color red", "top=0"]],
    ],
    ["an unclosed brace takes the rest", "a { color: red; b { top: 0 }", [["a", "color=red", ["b", "top=0"]]]],
    [
      "a stray closing brace joins the next rule",
      "} a { top: 0 } b { left: 0 }",
      [
        ["} a", "top=0"],
        ["b", "left=0"],
      ],
    ],
    [
      "nesting",
      "a { color: red; &:hover { top: 0 } > b { left: 0 } right: 0 }",
      [["a", "color=red", ["&:hover", "top=0"], ["> b", "left=0"], "right=0"]],
    ],
    ["a nested rule that looks like a declaration", "a { b:hover { top: 0 } }", [["a", ["b:hover", "top=0"]]]],
    [
      "at-rules with and without block",
      "@import 'x.css'; @media print { a { top: 0 } }",
      [["@import 'x.css'"], ["@media print", ["a", "top=0"]]],
    ],
    [
      "font-face holds declarations",
      "@font-face { font-family: X; src: url(a;b) }",
      [["@font-face", "font-family=X", "src=url(a;b)"]],
    ],
    ["braces inside a value", "a { --x: { a: b }; color: red }", [["a", "--x={ a: b }", "color=red"]]],
    [
      "brackets hide semicolons",
      "a { background: url(x;y) no-repeat (;); top: 0 }",
      [["a", "background=url(x;y) no-repeat (;)", "top=0"]],
    ],
    [
      "a comment that holds a declaration is one switched off",
      "a { /* color: red; */ top: 0; /* just words */ }",
      [["a", "off color=red", "top=0"]],
    ],
    ["an unclosed comment hides the rest", "a { top: 0 } /* b { left: 0 }", [["a", "top=0"]]],
    ["escapes in names", "a { c\\6flor: red }", [["a", "color=red"]]],
  ])("%s", (_, text, expected) => {
    expect(outline(text, parseSheet(text))).toEqual(expected);
  });

  test("a stray brace in a style attribute takes what follows up to the semicolon", () => {
    const text = "color: red; } top: 0; left: 0";
    expect(outline(text, parseBlock(text))).toEqual(["color=red", "skipped } top: 0", "left=0"]);
  });
});

/** Whether items follow one another without overlap, inside their rule. */
function inOrder(items: readonly Item[], from: number, to: number): boolean {
  let at = from;
  for (const item of items) {
    if (item.start < at || item.end < item.start || item.end > to) return false;
    if (
      (item.kind === "style" || (item.kind === "at" && item.block)) &&
      !inOrder(item.items, item.block!.start, item.block!.end)
    )
      return false;
    at = item.end;
  }
  return true;
}

test("items never overlap and lie inside their rule, whatever the text", () => {
  fc.assert(
    fc.property(cssSoup, (text) => inOrder(parseSheet(text), 0, text.length)),
    runs(500),
  );
});

test("every beginning of the sample's sheets can be read", () => {
  for (const file of sampleFiles().filter(({ path }) => path.endsWith(".css"))) {
    const text = new TextDecoder().decode((file as { bytes: Uint8Array }).bytes);
    for (let end = 0; end <= text.length; end += 1)
      if (!inOrder(parseSheet(text.slice(0, end)), 0, end)) throw new Error(`${file.path} up to ${end}`);
  }
});

test("deep nesting is bounded", () => {
  expect(() => parseSheet("a{".repeat(10_000))).not.toThrow();
  expect(() => parseSheet(`a{b:${"(".repeat(10_000)}`)).not.toThrow();
});
