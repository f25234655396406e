import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { differenceSteps } from "../edits/proof";
import { changeSite, textFile, withFiles } from "../source/site";
import { finished } from "../source/steps";
import { computed, site } from "../testing/site";
import { textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { writePaper } from "./paper";

const css = "body { font-size: 18px; color: #556; background: #eef }\nh1 { font-size: 36px; color: #0a6 }\n";
const of = site({
  "a.css": css,
  "index.html":
    '<link rel="stylesheet" href="a.css"><h1 id="h">Fares</h1><p id="p">Return, <a href="http://a.test">more</a> of it, and for longer.</p>',
});

describe("a draft for paper", () => {
  const asked = { size: 11, addresses: true, sheet: null };
  const { changes } = writePaper(of, defaultConditions, asked);
  const after = changeSite(of, changes);
  const paper = { medium: "print" } as const;

  test("most of the text is as large as asked for, and the rest in proportion", () => {
    expect(Number.parseFloat(computed(after, "p", "font-size", paper))).toBeCloseTo((11 * 96) / 72, 3);
    expect(textFile(after, "a.css")!.text).toMatch(/body \{\n\s+font-size: 11pt;[\s\S]+h1 \{\n\s+font-size: 22pt;/);
  });

  test("sizes in points are sizes, too", () => {
    const inPoints = site({
      "a.css": "body { font-size: 12pt }\nh1 { font-size: 24PT }\nsmall { font-size: 8px }\n",
      "index.html": '<link rel="stylesheet" href="a.css"><h1>Fares</h1><p>Return, for as long as you like.</p>',
    });
    const { changes: changed } = writePaper(inPoints, defaultConditions, { ...asked, size: 9 });
    const text = textFile(changeSite(inPoints, changed), "a.css")!.text;
    expect([...text.matchAll(/(\w+) \{\s+font-size: ([\d.]+pt);/g)].map(([, name, size]) => [name, size])).toEqual([
      ["root", "9pt"],
      ["body", "9pt"],
      ["h1", "18pt"],
      ["small", "4.5pt"],
    ]);
  });

  test("every text is black on white, with addresses behind links to elsewhere", () => {
    const page = styledPage(after, textFile(after, "index.html")!, { ...defaultConditions, ...paper });
    expect(new Set(textsOf(page).map((style) => legibilityOn(page, style, {}).ratio))).toEqual(new Set([21]));
    expect(textsOf(page).filter(({ pseudo }) => pseudo !== null)).toHaveLength(1);
  });

  test("nothing changes at a screen", () => {
    expect(finished(differenceSteps(of, after, changes, defaultConditions))).toEqual([]);
  });

  test("in a sheet of its own the others stay", () => {
    const own = writePaper(of, defaultConditions, { ...asked, addresses: false, sheet: "print.css" });
    const apart = changeSite(withFiles(of, own.files), own.changes);
    expect(textFile(apart, "a.css")!.text).toBe(css);
    expect(textFile(apart, "print.css")!.text).toMatch(/^@media print \{\n  \*, ::before, ::after \{\n/);
  });

  test.each([
    [{ size: 0 }, "from 4 to 72 points"],
    [{ sheet: "print.txt" }, "ends in .css"],
    [{ sheet: "a.css" }, "among the files already"],
  ])("%o cannot be", (more, why) => {
    expect(() => writePaper(of, defaultConditions, { ...asked, ...more })).toThrow(why);
  });
});
