import { expect, test } from "vitest";
import { changeSite, textFile } from "../source/site";
import { site } from "../testing/site";
import { combine } from "./combine";
import type { Edit } from "./types";

test("elements that they are about are found where the ones before have put them", () => {
  const bare = site({
    "a.html": "<!doctype html><html><head></head><body><h1>One</h1><p>Two</p><p>Three</p></body></html>",
  });
  const target = { kind: "class", path: "a.html", name: "pier", elements: [{ page: "a.html", index: 4 }] } as const;
  const edit = (property: string, value: string): Edit => ({ kind: "declare", target, property, value });
  const changes = combine(bare, [edit("font-size", "20px"), edit("color", "navy")]);
  const { text } = textFile(changeSite(bare, changes), "a.html")!;
  expect(text).toContain('<h1>One</h1><p class="pier">Two</p><p>Three</p>');
  expect(text).toMatch(/font-size: 20px;[\s\S]*color: navy;/);
  // Each stands by itself, so that what lies between them is known to be the same.
  expect(changes).toHaveLength(2);
  const [style, ofClass] = changes;
  expect([style!.insert.includes("<style>"), ofClass!.insert]).toEqual([true, ' class="pier"']);
  const gone: Edit = { kind: "text", changes: [{ path: "a.html", start: 39, end: 52, insert: "" }] };
  const own: Edit = {
    ...edit("color", "red"),
    target: { kind: "style-attribute", element: { page: "a.html", index: 3 } },
  } as Edit;
  expect(() => combine(bare, [gone, own])).toThrow("was taken out by another");
});

test("one that cannot be made stops all", () => {
  expect(() =>
    combine(site({ "a.css": "p { color: red }" }), [
      { kind: "declare", target: { kind: "rule", path: "a.css", start: 1 }, property: "color", value: "red" },
    ]),
  ).toThrow("no rule");
});
