import { expect, test } from "vitest";
import { findingKeys } from "./left";
import type { Finding } from "./types";

const finding = (message: string, path = "a.css", line = 1) => ({ check: "size", message, path, line }) as Finding;

test("a finding is known again when lines move, and not taken for another", () => {
  const [key] = findingKeys([finding("It loses to h1 in a.css line 3.")]);
  expect(findingKeys([finding("It loses to h1 in a.css line 30.", "a.css", 12)])).toEqual([key]);
  expect(findingKeys([finding("It loses to h2 in a.css line 3.")])).not.toEqual([key]);
  expect(findingKeys([finding("It loses to h1 in a.css line 3.", "b.css")])).not.toEqual([key]);
});

test("findings that say the same are counted", () => {
  const keys = findingKeys([finding("Twice."), finding("Twice.", "a.css", 9), finding("Once.")]);
  expect(new Set(keys).size).toBe(3);
  expect(keys[1]).toBe(`${keys[0]} (2)`);
});
