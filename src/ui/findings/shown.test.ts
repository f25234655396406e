import { expect, test } from "vitest";
import type { Finding } from "@/core";
import type { KnownFinding } from "../workspace/troubles";
import { everything, shownGroups, whereWords } from "./shown";

const finding = (part: Partial<Finding>): Finding => ({
  check: "size",
  group: "readers",
  level: "warning",
  message: "Text is small.",
  because: "",
  path: "css/a.css",
  line: 3,
  column: 1,
  causes: [],
  places: [],
  ...part,
});

const known = (part: Partial<Finding>, left: string | null = null): KnownFinding => ({
  key: part.message ?? "",
  finding: finding(part),
  left,
});

const all = [
  known({
    group: "unread",
    message: "Pale",
    places: [
      { page: "a.html", index: 1 },
      { page: "b.html", index: 2 },
    ],
  }),
  known({ group: "idle", message: "Misspelt", path: "css/b.css" }),
  known({ group: "tidy", message: "Twins", path: "b.html" }),
  known({ group: "tidy", message: "Left alone" }, "meant so"),
];

const shown = (part: Partial<typeof everything>) =>
  shownGroups(all, { ...everything, ...part }).map(({ id, findings }) => [
    id,
    ...findings.map(({ finding: { message } }) => message),
  ]);

test("groups stand in the order of what they cost, what is left at the end, and empty ones are left out", () => {
  expect(shown({})).toEqual([
    ["unread", "Pale"],
    ["idle", "Misspelt"],
    ["tidy", "Twins"],
    ["left", "Left alone"],
  ]);
  expect(shownGroups(all, everything)[0]!.places).toBe(2);
  expect(shownGroups([], everything)).toEqual([]);
});

test("a page's findings are those that stand in it and those that show there", () => {
  expect(shown({ page: "b.html" })).toEqual([
    ["unread", "Pale"],
    ["tidy", "Twins"],
  ]);
  expect(shown({ sheet: "css/b.css" })).toEqual([["idle", "Misspelt"]]);
  expect(shown({ group: "tidy" })).toEqual([
    ["tidy", "Twins"],
    ["left", "Left alone"],
  ]);
  expect(shown({ search: " MISS " })).toEqual([["idle", "Misspelt"]]);
  expect(shown({ search: "nowhere" })).toEqual([]);
});

test("a finding says in how many places it shows, or where it stands", () => {
  expect(whereWords(all[0]!.finding)).toBe("2 places");
  expect(whereWords(all[1]!.finding)).toBe("b.css:3");
});
