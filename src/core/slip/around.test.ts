import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { applyPlan, planEdit } from "../edits/plan";
import { textFile, type Site } from "../source/site";
import { documentOf } from "../source/html/document";
import { site } from "../testing/site";
import { slipAtOnce, type SlipRowValue } from "./slip";

const pageOf = (css: string, body: string) =>
  site({ "a.css": css, "index.html": `<!doctype html><link rel="stylesheet" href="a.css">${body}` });

const slipOf = (of: Site, id: string) => {
  const element = documentOf(textFile(of, "index.html")!).elements.find((one) => one.id === id)!;
  return slipAtOnce(of, { page: "index.html", index: element.index }, defaultConditions);
};

const rowOf = (of: Site, id: string, row: string): SlipRowValue => {
  const found = slipOf(of, id).rows.find((one) => one.id === row);
  if (!found) throw new Error(`The slip has no row ${row}.`);
  return found;
};

/** The sheet once a value is written where a row says. */
function sheetAfter(of: Site, id: string, row: string, value: string): string {
  const { ownTarget, owner, property } = rowOf(of, id, row);
  const edit = { kind: "declare", target: ownTarget!, property, value, place: owner! } as const;
  return textFile(applyPlan(of, planEdit(of, edit, defaultConditions)), "a.css")!.text;
}

const list = pageOf(
  "* { padding: 0 }\nul.news { list-style: square }\nbody { color: #333 }\n",
  '<ul class="news"><li id="x">One</ul>',
);

describe("a text in a list", () => {
  test("has its marker, where that is inherited from, and is written there", () => {
    expect(rowOf(list, "x", "marker")).toMatchObject({ computed: "square", from: "inherited", set: true });
    expect(sheetAfter(list, "x", "marker", "circle")).toContain("ul.news { list-style: circle }");
  });

  test("what is inherited from beyond it is written to a rule of its own", () => {
    expect(rowOf(list, "x", "marker-ink")).toMatchObject({ computed: "rgb(51, 51, 51)" });
    expect(sheetAfter(list, "x", "marker-ink", "#a00")).toMatch(/\.news > li::marker \{\s*color: #a00;\s*\}/);
  });

  test("a rule for all elements is left alone", () => {
    const after = sheetAfter(list, "x", "list-inset", "2em");
    expect(after).toContain("* { padding: 0 }");
    expect(after).toMatch(/ul\.news \{ list-style: square; padding-left: 2em \}/);
  });
});

describe("a text in a table", () => {
  const table = pageOf(
    "table { border-collapse: collapse }\nth { background: #06364f; color: #fff }\ntr:nth-child(even) td { background: #f4f4f4 }\ntd { color: #999 }\n",
    '<table><caption>Fares</caption><tr><th>Quay<th>Return<tr><td id="a">East<td>£4<tr><td id="b">West<td>£5</table>',
  );

  test("has its parts judged together", () => {
    expect(slipOf(table, "a").tablePairs.map(({ of, passes, places }) => [of, passes, places.length])).toEqual([
      ["caption", true, 1],
      ["head", true, 2],
      ["rows", false, 2],
      ["stripes", false, 2],
    ]);
  });

  test("cells, head and table are written to the rules for them", () => {
    expect(sheetAfter(table, "a", "head-ground", "#000")).toContain("th { background: #000; color: #fff }");
    expect(sheetAfter(table, "a", "cell-padding", "4px 8px")).toContain("td { color: #999; padding: 4px 8px }");
    expect(sheetAfter(table, "a", "collapse", "separate")).toContain("table { border-collapse: separate }");
  });

  test("a table without stripes gets them in a rule of its own", () => {
    const plain = pageOf("td { color: #222 }\n", '<table><tr><td id="a">East<tr><td>West</table>');
    expect(sheetAfter(plain, "a", "stripe-ground", "#eee")).toMatch(
      /table tr:nth-child\(even\) \{\s*background-color: #eee;?\s*\}/,
    );
  });
});

test("rows of a table's head are not those that stripes are on", () => {
  const headed = pageOf(
    "thead tr:nth-child(even) { background: #eee }\n",
    '<table><thead><tr><td>Quay<tr><td>Return</thead><tbody><tr><td id="a">East<tr><td>West</table>',
  );
  expect(rowOf(headed, "a", "stripe-ground").computed).toBe("rgba(0, 0, 0, 0)");
});

describe("a picture beside a text", () => {
  const css = "img { max-width: 100% }\n";

  test.each([
    ['<figure><img src="a.png" alt=""><figcaption id="x">The boat</figcaption></figure>', "figure img"],
    ['<p id="x"><img src="a.png" alt=""> The boat</p>', "p img"],
    ['<img src="a.png" alt=""><p id="x">The boat</p>', "body > img"],
  ])("%s", (body, selector) => {
    const of = pageOf(css, body);
    expect(rowOf(of, "x", "picture-widest")).toMatchObject({ computed: "100%", set: true });
    const after = sheetAfter(of, "x", "picture-float", "left");
    expect(after).toContain(`${css}\n${selector} {\n  float: left;`);
  });

  test("where there is none, nothing is said of one", () => {
    expect(slipOf(pageOf(css, '<p id="x">The boat</p>'), "x").rows.some(({ of }) => of !== undefined)).toBe(false);
  });
});
