import { expect, test } from "vitest";
import type { PlaceView } from "@/engine/protocol";
import type { KnownFinding } from "../workspace/troubles";
import { markedPlaces } from "./marked";

const place = (index: number, verdict: PlaceView["verdict"], pseudo: string | null = null) =>
  ({ index, pseudo, verdict, fixed: false }) as PlaceView;

const known = (
  check: string,
  level: "warning" | "note",
  pages: string[],
  left: string | null = null,
): KnownFinding => ({
  key: check,
  left,
  finding: {
    check,
    group: "readers",
    level,
    message: "",
    because: "",
    path: "a.css",
    line: 1,
    column: 1,
    causes: [],
    places: pages.map((page, index) => ({ page, index })),
  },
});

test("one mark a place: its contrast and all that was found there", () => {
  const marks = markedPlaces(
    "a.html",
    [place(0, "fails"), place(1, "passes")],
    [known("leading", "warning", ["a.html", "a.html", "b.html"]), known("contrast", "warning", ["a.html"])],
  );
  expect(marks.map(({ index, contrast, findings }) => [index, contrast, findings.length])).toEqual([
    [0, true, 1],
    [1, false, 1],
  ]);
});

test("what is noted is marked once, what is left not at all, and other pages are not asked", () => {
  const marks = (level: "warning" | "note", left: string | null = null) =>
    markedPlaces("a.html", [], [known("size", level, ["a.html", "a.html"], left)]);
  expect(marks("note")).toHaveLength(1);
  expect(marks("warning")).toHaveLength(2);
  expect(marks("warning", "meant so")).toEqual([]);
  expect(markedPlaces("c.html", [], [known("size", "warning", ["a.html"])])).toEqual([]);
  const many = Array.from({ length: 40 }, () => "a.html");
  expect(markedPlaces("a.html", [], [known("size", "warning", many)])).toHaveLength(12);
});

test("an element without a text of its own has a mark, too", () => {
  expect(markedPlaces("a.html", [], [known("ground", "warning", ["a.html"])])[0]).toMatchObject({
    index: 0,
    place: null,
  });
});
