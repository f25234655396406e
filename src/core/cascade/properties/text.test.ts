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
