import { describe, expect, test } from "vitest";
import { OpenError } from "./limits";
import { checkOpened, checkTrials, siteName, wordCount } from "./schemas";

const opened = (change: Record<string, unknown> = {}) =>
  ({
    name: "Ossel Island Ferries",
    files: [{ kind: "html", path: "index.html", text: "<p>x</p>" }],
    refused: [],
    ...change,
  }) as unknown as Parameters<typeof checkOpened>[0];

describe("what is opened", () => {
  test("is let in as it is", () => {
    const site = opened();
    expect(checkOpened(site)).toBe(site);
    expect(() =>
      checkOpened(
        opened({
          files: [{ kind: "other", path: "img/a.png", bytes: new Uint8Array(3) }],
          refused: [{ path: "b", reason: "too large" }],
        }),
      ),
    ).not.toThrow();
  });

  test.each<[string, Record<string, unknown>]>([
    ["no files", { files: [] }],
    ["a path that leads out", { files: [{ kind: "html", path: "../index.html", text: "" }] }],
    ["a path from the root", { files: [{ kind: "css", path: "/etc/a.css", text: "" }] }],
    ["a path without end", { files: [{ kind: "css", path: "a".repeat(1025), text: "" }] }],
    ["another kind of file", { files: [{ kind: "script", path: "a.js", text: "" }] }],
    ["text that is none", { files: [{ kind: "css", path: "a.css", text: 12 }] }],
    ["bytes that are none", { files: [{ kind: "other", path: "a.png", bytes: "AAAA" }] }],
    ["no name", { name: " " }],
    ["a name that is a list", { name: ["x"] }],
    ["nothing about what was refused", { refused: undefined }],
  ])("is refused in words: %s", (_, change) => {
    expect(() => checkOpened(opened(change))).toThrow(OpenError);
    expect(() => checkOpened(opened(change))).toThrow(/^This cannot be opened: /);
  });
});

test("trials are a short list of values", () => {
  expect(checkTrials(["12px", "1.5em"])).toEqual(["12px", "1.5em"]);
  expect(checkTrials([])).toEqual([]);
  for (const bad of [["a", "b", "c", "d", "e", "f", "g"], [""], ["x".repeat(501)], [12 as unknown as string]])
    expect(() => checkTrials(bad)).toThrow(OpenError);
});

test("names and counts say what is asked for", () => {
  expect(() => siteName.validateSync("")).toThrow();
  expect(() => siteName.validateSync("x".repeat(201))).toThrow("A name has at most 200 characters.");
  expect(siteName.validateSync(" Pier ")).toBe("Pier");
  expect(() => wordCount.validateSync(19)).toThrow("At least 20 words.");
  expect(() => wordCount.validateSync(5001)).toThrow("At most 5,000 words.");
  expect(() => wordCount.validateSync(20.5)).toThrow();
});
