import { expect, test } from "vitest";
import { defaultConditions } from "./conditions";
import { explain } from "./explain";
import { lossWords, type Loss } from "./losses";
import { styledPage } from "./styledPages";
import { site } from "../testing/site";
import { pagesOf } from "../source/site";

/** What is said of `color` on the text of a page; the one that loses first. */
function colorOf(css: string, tag = '<p id="t" class="a">'): { lost: Loss | null; reason: string; value: string } {
  const from = site({ "index.html": `<!doctype html><style>${css}</style><div class=o><div class=i>${tag}x` });
  const page = styledPage(from, pagesOf(from)[0]!, defaultConditions);
  const style = page.styles.find(({ element }) => element.id === "t")!;
  const { contenders, reason } = explain(from, page, style, "color");
  return { lost: contenders[1]?.lost ?? null, reason, value: contenders[0]!.value };
}

test.each<[string, string, string, Loss, string]>([
  ["importance", "p{color:red!important}#t{color:blue}", "red", { kind: "importance" }, "is !important and beats"],
  ["specificity", ".a{color:red}p{color:blue}", "red", { kind: "specificity" }, "is more specific than"],
  ["order", "p{color:blue}p{color:red}", "red", { kind: "order" }, "comes after"],
  ["layers", "p{color:red}@layer x{#t{color:blue}}", "red", { kind: "layer", layer: "x" }, "beats"],
  ["important layers", "p{color:blue!important}@layer x{p{color:red!important}}", "red", { kind: "layer", layer: null }, "beats"], // prettier-ignore
  ["the nearer scope", "@scope (.i){p{color:red}}@scope (.o){p{color:blue}}", "red", { kind: "proximity" }, "has the nearer scope than"], // prettier-ignore
  ["the same scope, then order", "@scope (.i){p{color:blue}}@scope (.i){p{color:red}}", "red", { kind: "order" }, "comes after"], // prettier-ignore
])("%s decides, and is told", (_, css, value, lost, words) => {
  const told = colorOf(css);
  expect(told).toMatchObject({ value, lost });
  expect(told.reason).toContain(words);
});

test.each<[string, string, Loss]>([
  ["a style attribute", '<p id="t" style="color:red">', { kind: "attachment" }],
  ["the browser's own", '<mark id="t">', { kind: "origin", origin: "browser" }],
  ["an attribute", '<font id="t" color="blue">', { kind: "origin", origin: "hint" }],
])("%s is told", (_, tag, lost) => {
  expect(colorOf("#t{color:red}", tag).lost).toEqual(lost);
});

test("every loss is said in words of its own", () => {
  const losses: Loss[] = [
    { kind: "importance" },
    { kind: "origin", origin: "browser" },
    { kind: "origin", origin: "hint" },
    { kind: "attachment" },
    { kind: "layer", layer: null },
    { kind: "layer", layer: "x" },
    { kind: "specificity" },
    { kind: "proximity" },
    { kind: "set back", shorthand: "font" },
    { kind: "order" },
    { kind: "condition", unmet: { kind: "media", text: "print" } },
    { kind: "condition", unmet: { kind: "container", text: "(width>1px)" } },
  ];
  expect(new Set(losses.map(lossWords)).size).toBe(losses.length);
});
