import { describe, expect, test } from "vitest";
import { site } from "../testing/site";
import { declarationsOfFile, declarationsOfSite, ruleAround } from "./declarations";
import { textFile } from "./site";

const from = site({
  "index.html": `<style>p{color:red}</style><link rel=stylesheet href=a.css><p style="margin: 0; font: 12px 'A B'">x</p><i style="font-family: &quot;A B&quot;">y</i>`,
  "a.css":
    "@font-face { font-family: x; src: url(x) }\nh1 { color: blue; & b { top: 0 } }\n@media print { h2 { left: 0 } }\n@layer x { a { right: 0 } }",
});

describe("every declaration of a site", () => {
  test("is found once, with the selector it stands under; descriptors are none", () => {
    const found = [...declarationsOfSite(from)].map(
      ({ declaration, selector, file }) => `${file.path} ${selector}: ${declaration.property}`,
    );
    expect(found.sort()).toEqual([
      "a.css & b: top",
      "a.css a: right",
      "a.css h1: color",
      "a.css h2: left",
      "index.html p: color",
      "index.html style of i: font-family",
      "index.html style of p: font",
      "index.html style of p: margin",
    ]);
  });

  test("stands where its offsets say, unless its attribute holds references", () => {
    for (const { declaration, file, offset, exact } of declarationsOfSite(from)) {
      const there = file.text.slice(offset + declaration.value.start, offset + declaration.value.end);
      if (exact) expect(there).toBe(declaration.valueText);
      else expect(declaration.valueText).toBe('"A B"');
    }
    expect(declarationsOfFile(from, textFile(from, "index.html")!).filter(({ exact }) => !exact)).toHaveLength(1);
  });
});

test("the rule around an offset is the innermost", () => {
  const css = textFile(from, "a.css")!.text;
  expect(ruleAround(from, "a.css", css.indexOf("top"))?.rule.preludeText).toBe("& b");
  expect(ruleAround(from, "a.css", css.length)).toBeNull();
});
