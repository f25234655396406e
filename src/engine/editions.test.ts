import { expect, test, vi } from "vitest";
import { editionOf, sinceEditions } from "./editions";
import type { ShownSheet } from "./protocol";

const sheet = (text: string, owner = 1): ShownSheet => ({
  owner,
  media: "",
  text,
  edition: editionOf(text),
  since: null,
});

test("equal texts are one edition, for one worker", async () => {
  const edition = editionOf("a{}");
  expect(editionOf("a{}")).toBe(edition);
  expect(editionOf("b{}")).not.toBe(edition);
  vi.resetModules();
  const another = await import("./editions");
  expect(another.editionOf("a{}")).not.toBe(edition);
});

test("what leads from one edition to another is told, of the sheet in the same place", () => {
  const [before, now] = [sheet("a{b:c}"), sheet("a{b:d}")];
  const since = { edition: before.edition, exchange: { ahead: [""], out: ["a{b:c}"], in: ["a{b:d}"] } };
  expect(sinceEditions([before], [now])).toEqual([{ ...now, since }]);
  expect(sinceEditions([before], [sheet("a{b:c}")])[0]!.since).toBeNull();
  expect(sinceEditions([sheet("a{b:c}", 2)], [now])[0]!.since).toBeNull();
  expect(sinceEditions([], [now])[0]!.since).toBeNull();
});

test("a text that was not asked for in a while gets another edition", () => {
  const edition = editionOf("old{}");
  for (let at = 0; at < 20; at += 1) editionOf(`new${at}{}`);
  expect(editionOf("old{}")).not.toBe(edition);
});
