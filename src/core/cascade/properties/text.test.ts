import { expect, test } from "vitest";
import { computed, pageWith } from "../../testing/site";

/** What is around a text, what aligns it, and what the browser (Chromium 156) computes. */
test.each([
  ["text-align:start", "-webkit-match-parent", "left"],
  ["text-align:start;direction:rtl", "-webkit-match-parent", "right"],
  ["text-align:end", "-webkit-match-parent", "right"],
  ["text-align:end;direction:rtl", "-webkit-match-parent", "left"],
  ["text-align:center", "-webkit-match-parent", "center"],
  ["text-align:right", "-webkit-auto", "start"],
  ["text-align:right", "justify", "justify"],
])("in %s, %s is %s", (around, align, result) => {
  const from = pageWith(`div{${around}}p{text-align:${align}}`, '<div><p id="t">x</div>');
  expect(computed(from, "t", "text-align")).toBe(result);
});

test.each([
  ["start", "center"],
  ["right", "right"],
  ["justify", "justify"],
])("heads of a table that is aligned %s are aligned %s", (around, result) => {
  const from = pageWith(`table{text-align:${around}}`, '<table><tr><th id="t">x</table>');
  expect(computed(from, "t", "text-align")).toBe(result);
});

test("the root has no parent to match", () => {
  const from = pageWith("html{direction:rtl;text-align:-webkit-match-parent}", '<p id="t">x');
  expect(computed(from, "t", "text-align")).toBe("start");
});

/** What is written, and what the browser (Chromium 156) computes in a room of 800 by 600. */
test.each([
  ["font-weight", "calc(100vw / 2px)", "400"],
  ["font-weight", "calc(1em / 1px);font-size:30px", "16"],
  ["font-weight", "350.3", "350.25"],
  ["font-weight", "calc(infinity)", "1000"],
  ["font-stretch", "50.3%", "50.25%"],
  ["font-style", "oblique 10.3deg", "oblique 10.25deg"],
  ["font-style", "oblique calc(100.3deg)", "oblique 90deg"],
  ["font-style", "oblique 100deg", "normal"],
  ["font-variation-settings", "'wght' calc(100vw / 1px)", '"wght" 800'],
  ["font-variation-settings", "'wght' 1px", "normal"],
  ["line-height", "calc(1em / 10px);font-size:30px", "90px"],
  ["line-height", "calc(10% + 1px);font-size:17.3px", "2.71875px"],
  ["line-height", "calc(900% + 1px);font-size:13.33px", "120.953px"],
  ["line-height", "calc(10% + 5.5%);font-size:17.3px", "2.595px"],
  ["line-height", "calc(infinity)", "3.40282e+38px"],
  ["opacity", "calc(1em / 100px);font-size:30px", "0.3"],
  ["opacity", "1px", "1"],
  ["tab-size", "calc(1em / 1px);font-size:30px", "30"],
  ["tab-size", "calc(pow(100, 100))", "infinity"],
  ["-webkit-line-clamp", "calc(100vw / 100px)", "8"],
  ["-webkit-line-clamp", "calc(infinity)", "2.14748e+09"],
  ["-webkit-line-clamp", "1.5", "none"],
  ["zoom", "calc(100vw / 400px)", "2"],
  ["background-image", "linear-gradient(calc(.5turn), red, red)", "linear-gradient(rgb(255, 0, 0), rgb(255, 0, 0))"],
  [
    "background-image",
    "conic-gradient(red calc(10% + 5deg), red)",
    "conic-gradient(rgb(255, 0, 0) 41deg, rgb(255, 0, 0))",
  ],
  [
    "background-image",
    "linear-gradient(red calc(10px), red calc(10% + 5px))",
    "linear-gradient(rgb(255, 0, 0) 10px, rgb(255, 0, 0) calc(10% + 5px))",
  ],
])("%s: %s", (property, written, result) => {
  const from = pageWith(`#t{${property}:${written}}`, '<p id="t">x');
  expect(computed(from, "t", property, { width: 800, height: 600 })).toBe(result);
});
