import { expect, test } from "vitest";
import { site } from "../testing/site";
import { faultsIn } from "./faults";

test.each([
  ["p { color: red; margin: 0 }", 0],
  ["p { color: ; margin: 0 }", 1],
  ["p { col\n  margin: 0 }", 1],
  ["p { colour: red; margin: 0 } @media print { p { x } }", 2],
  ["p { --x: ; color: var(--x) }", 0],
])("%s", (written, faults) => {
  expect(faultsIn(site({ "ferry.css": written }), "ferry.css")).toBe(faults);
});

test("in a page's head and style attributes", () => {
  const page = '<style>p { x }</style><p style="colour: red">a</p>';
  expect(faultsIn(site({ "index.html": page }), "index.html")).toBe(2);
  expect(faultsIn(site({}), "index.html")).toBe(0);
});
