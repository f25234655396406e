import { expect, test } from "vitest";
import { site } from "../testing/site";
import { propertyAt } from "./propertyAt";

test.each([
  ["p { col|or: red }", "color"],
  ["p { color|: red }", "color"],
  ["p { color: r|ed }", "color"],
  ["p { font: bold 1em/1.5 Geo|rgia, serif; }", "font"],
  ["p { Font-Size: |1em }", "font-size"],
  ["p { color: red; |}", "color"],
  ["p { color: red;\n |}", null],
  ["p { |}", null],
  ["p| { color: red }", null],
])("%s", (written, property) => {
  const from = site({ "ferry.css": written.replace("|", "") });
  expect(propertyAt(from, "ferry.css", written.indexOf("|"))).toBe(property);
});
