import { expect, test } from "vitest";
import { firstWord, stepped, wholeWords } from "./wordEdges";

const text = " Two boats, the ferry\u2019s crew: fog-bound. ";
const words = (edges: [number, number] | null) => edges && text.slice(...edges);

test.each<[from: number, to: number, whole: string]>([
  [6, 7, "boats"],
  [7, 6, "boats"],
  [2, 7, "Two boats"],
  [1, 4, "Two"],
  [0, 5, "Two"],
  [17, 18, "ferry\u2019s"],
  [32, 33, "fog-bound"],
  [10, 12, ","],
  [9, 10, "boats"],
])("from %i to %i it is the words %s", (from, to, whole) => expect(words(wholeWords(text, from, to))).toBe(whole));

test("between blanks there are no words", () => {
  const [start, end] = wholeWords("a   b", 2, 3);
  expect(start).toBe(end);
});

test("the first word is with what stands beside it", () => {
  expect(words(firstWord(text))).toBe("Two");
  expect(firstWord(" \n ")).toBeNull();
});

test("one word more or less, at either end, at least one and at most all", () => {
  const boats = { start: 5, end: 10 };
  expect(words(stepped(text, boats, "end", 1))).toBe("boats, the");
  expect(words(stepped(text, boats, "start", -1))).toBe("Two boats,");
  expect(words(stepped(text, boats, "end", -1))).toBe("boats,");
  expect(words(stepped(text, boats, "start", 1))).toBe("boats,");
  const all = { start: 1, end: text.length - 1 };
  expect(words(stepped(text, all, "end", 1))).toBe(text.trim());
  expect(words(stepped(text, all, "start", -1))).toBe(text.trim());
  expect(words(stepped(text, all, "end", -1))).toBe("Two boats, the ferry\u2019s crew:");
});
