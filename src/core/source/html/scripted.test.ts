import { expect, test } from "vitest";
import type { SafeElement } from "./safe";
import { scriptedText } from "./scripted";

const canvas = (...attributes: [string, string][]): SafeElement => ({
  index: 1,
  tag: "canvas",
  namespace: "html",
  attributes,
  content: [],
});
const textFor = (...content: SafeElement[]) =>
  decodeURIComponent(
    scriptedText({
      path: "index.html",
      mode: "no-quirks",
      root: { index: 0, tag: "html", namespace: "html", attributes: [], content: ["", ...content] },
    }),
  );

test("a drawing by script has the size its attributes say, and a rule a size", () => {
  expect(textFor(canvas(["width", " +40x"], ["height", "-3"]))).toContain('canvas[width=" +40x"][height="-3"]');
  expect(textFor(canvas(["width", " +40x"], ["height", "-3"]))).toContain('width="40" height="150"');
  expect(textFor(canvas(), canvas()).match(/canvas/g)).toHaveLength(1);
});

test("what an attribute says cannot end the rule", () => {
  const text = scriptedText({ path: "", mode: "no-quirks", root: canvas(["width", '"]{}*{color:red}']) });
  expect(text).toContain('[width="\\"]{}*{color:red}"]');
});

test("what stands in for scripts is not shown, whatever the page says", () => {
  expect(textFor()).toBe("@layer{noscript{display:none!important}}");
});
