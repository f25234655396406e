/** Nothing on the way throws or hangs on bad input. */
import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { analyse } from "./report/analysis";
import { parseColor } from "./color";
import { planEdit } from "./edits/plan";
import { EditError } from "./edits/types";
import { parseSheet } from "./source/css/syntax";
import { itemsOf } from "./source/html/sheets";
import { changeSite, openSite, readFile, textFile } from "./source/site";
import { cssSoup, pageWith, sampleFiles, site } from "./testing/site";
import { runs } from "./testing/runs";

const texts = sampleFiles()
  .map((file) => readFile(file))
  .flatMap((file) => ("kind" in file && file.kind !== "other" ? [file] : []));

test.each(texts.map((file) => [file.path, file] as const))("%s cut off anywhere can be analysed", (path, file) => {
  const rest = texts
    .filter((other) => other.path !== path && other.kind === "css")
    .map(({ path: name, text }) => ({ path: name, text }));
  const page = {
    path: "index.html",
    text: '<link rel=stylesheet href="css/ferry.css"><link rel=stylesheet href="css/season.css"><h2 class="lead">x</h2>',
  };
  const step = Math.max(1, Math.floor(file.text.length / 30));
  for (let end = 0; end < file.text.length; end += step) {
    const cut = { path, text: file.text.slice(0, end) };
    const files = path.endsWith(".css") ? [page, ...rest, cut] : [...rest, cut];
    expect(analyse(openSite(files)).version).toBe(2);
  }
});

test("random sheets can be analysed", () => {
  fc.assert(
    fc.property(cssSoup, (css) => {
      analyse(pageWith(css, '<p class="b" id="c">x</p>'));
    }),
    runs(100),
  );
});

test("random pages can be analysed", () => {
  const soup = fc.array(
    fc.constantFrom(
      "<p>",
      "</p>",
      "<table>",
      "<td>",
      "<b>",
      "</i>",
      "<svg>",
      "<style>p{",
      "</style>",
      "<template>",
      "x",
      "<!--",
      "-->",
      "<a href=",
      '"',
      "'",
      "&",
      "<select>",
      "<math>",
      "<base href=/>",
      "<link rel=stylesheet href=a.css>",
      "\0",
    ),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(soup, (pieces) => {
      analyse(site({ "index.html": pieces.join("") }));
    }),
    runs(100),
  );
});

describe("excess is bounded", () => {
  test.each<[string, () => unknown]>([
    [
      "3,000 nested elements",
      () => analyse(pageWith("div div p{color:red} :has(b){top:0}", `${"<div>".repeat(3_000)}<p>x`)),
    ],
    ["10,000 nested rules", () => analyse(pageWith("a{".repeat(10_000), "<p>x"))],
    [
      "10,000 nested brackets",
      () => analyse(pageWith(`p{color:${"(".repeat(10_000)};width:${"calc(".repeat(10_000)}}`, "<p>x")),
    ],
    [
      "5,000 selectors in one rule",
      () => analyse(pageWith(`${Array.from({ length: 5_000 }, (_, at) => `.c${at} p`).join()}{color:red}`, "<p>x")),
    ],
    ["a nesting bomb", () => analyse(pageWith(`${":is(a,b) &, ".repeat(1)}p{${"&,& &{".repeat(30)}`, "<p>x"))],
    [
      "huge numbers",
      () => analyse(pageWith("p{font-size:1e999px;line-height:1e308;margin:-1e308em;color:rgb(1e99 0 0)}", "<p>x")),
    ],
    ["a colour of 10,000 parts", () => parseColor(`color-mix(in srgb, ${"color-mix(in srgb, ".repeat(2_000)}`)],
    [
      "an edit of a broken sheet",
      () =>
        planEdit(site({ "a.css": "p{color:red" }), {
          kind: "declare",
          target: { kind: "rule", path: "a.css", start: 0 },
          property: "top",
          value: "0",
        }),
    ],
  ])("%s", (_, work) => {
    try {
      work();
    } catch (error) {
      expect(error).toBeInstanceOf(EditError);
    }
  });
});

test("a file that is not there is null, not an error", () => {
  expect(textFile(site({}), "nope.css")).toBeNull();
  expect(analyse(site({})).pages).toEqual([]);
});

describe("real sheets", () => {
  const read = (name: string) => readFileSync(new URL(`../../node_modules/${name}`, import.meta.url), "utf8");
  const sheets = [
    "normalize.css/normalize.css",
    "milligram/dist/milligram.css",
    "water.css/out/water.css",
    "tachyons/css/tachyons.min.css",
    "bootstrap/dist/css/bootstrap.min.css",
  ].map((name) => [name, read(name)] as const);
  const body = '<div class="container"><h1 class="h1 f1">x</h1><p class="lead">y <a href=#>z</a></p></div>';

  test.each(sheets)("%s cut off anywhere can be analysed", (_, text) => {
    const cuts = 12;
    for (let at = 1; at <= cuts; at += 1)
      expect(analyse(pageWith(text.slice(0, Math.floor((text.length * at) / cuts) - at * 7), body)).version).toBe(2);
  });

  test.each(sheets)("%s read again after any edit is as if read anew", (_, text) => {
    const piece = fc.constantFrom(
      "",
      "}",
      "{",
      "/*",
      "*/",
      '"',
      ";",
      ":",
      "(",
      ")",
      "@media print{",
      "color:red",
      "\\",
      "a b c",
      "<!--",
      "\n",
    );
    fc.assert(
      fc.property(fc.nat(text.length), fc.nat(40), piece, (start, length, insert) => {
        const end = Math.min(text.length, start + length);
        const before = openSite([{ path: "a.css", text }]);
        itemsOf(textFile(before, "a.css")!);
        const after = changeSite(before, [{ path: "a.css", start, end, insert }]);
        const file = textFile(after, "a.css")!;
        expect(itemsOf(file)).toEqual(parseSheet(file.text));
      }),
      runs(12),
    );
  });
});
