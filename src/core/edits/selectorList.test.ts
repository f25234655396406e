import { expect, test } from "vitest";
import { applyChanges } from "../source/changes";
import { site } from "../testing/site";
import { planEdit } from "./plan";

const page = "<!doctype html><link rel=stylesheet href=a.css><h1>a</h1><h2>b</h2><h3>c</h3>";
const text = "/* h */\nh1,\nh2 { color: red }\n";
const from = site({ "index.html": page, "a.css": text });
const edit = (selectors: string, start = 8) => ({ kind: "selectors", path: "a.css", start, selectors }) as const;

test("another list of selectors, with the places that come and go", () => {
  const plan = planEdit(from, edit("h2, h3"));
  expect(applyChanges(text, plan.changes)).toBe("/* h */\nh2, h3 { color: red }\n");
  expect(plan.reach.places).toHaveLength(2);
});

test.each([
  ["", "is not a selector"],
  ["h1 {", "is not a selector"],
  ["h1; h2", "selector"],
])("%s is refused", (selectors, reason) => {
  expect(() => planEdit(from, edit(selectors))).toThrow(reason);
});

test("a rule that is not there is told", () => {
  expect(() => planEdit(from, edit("h1", 3))).toThrow("There is no rule at character 3 of a.css.");
});
