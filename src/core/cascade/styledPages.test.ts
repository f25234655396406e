import { expect, test } from "vitest";
import { changeSite, textFile } from "../source/site";
import { site } from "../testing/site";
import { defaultConditions, type Conditions } from "./conditions";
import { styledPage } from "./styledPages";

const page = (sheet: string) => `<link rel=stylesheet href=${sheet}><p>x</p>`;
const from = site({
  "a.html": page("a.css"),
  "b.html": page("b.css"),
  "a.css": "p{color:red}",
  "b.css": "p{color:blue}",
});
const look = (path: string, conditions: Partial<Conditions> = {}, of = from) =>
  styledPage(of, textFile(of, path)!, { ...defaultConditions, ...conditions });

test("a page is styled once for the same conditions, however they were made", () => {
  expect(look("a.html", { width: 500 })).toBe(look("a.html", { width: 500 }));
  expect(look("a.html", { width: 501 })).not.toBe(look("a.html", { width: 500 }));
});

test("what is forced or measured on another page leaves it as it is", () => {
  const usual = look("a.html");
  expect(look("a.html", { forced: { "b.html": { 3: ["hover"] } } })).toBe(usual);
  expect(look("a.html", { containers: { "b.html": { 3: { width: 10, height: 10 } } } })).toBe(usual);
  expect(look("a.html", { forced: { "a.html": { 3: ["hover"] } } })).not.toBe(usual);
});

test("a change to a sheet makes anew only the pages that have it", () => {
  const [a, b] = [look("a.html"), look("b.html")];
  const changed = changeSite(from, [{ path: "a.css", start: 8, end: 11, insert: "lime" }]);
  expect(look("a.html", {}, changed)).not.toBe(a);
  expect(look("b.html", {}, changed)).toBe(b);
  expect(look("a.html")).toBe(a);
});

test("a sheet that was missing and comes makes the page anew", () => {
  const without = site({ "a.html": page("a.css") });
  const before = styledPage(without, textFile(without, "a.html")!, defaultConditions);
  expect(before.sources).toEqual([]);
  const file = textFile(without, "a.html")!;
  const sheet = textFile(from, "a.css")!;
  const now = styledPage(
    { files: new Map([...without.files, ["a.css", sheet]]), refused: [] },
    file,
    defaultConditions,
  );
  expect(now.sources).toEqual(["a.css"]);
});

test("a font that is replaced makes the page anew, another name for nothing does not", () => {
  const font = (byte: number) => ({ kind: "other" as const, path: "a.woff2", bytes: new Uint8Array([byte]) });
  const withFont = (byte: number) => ({ ...from, files: new Map([...from.files, ["a.woff2", font(byte)] as const]) });
  const [one, other] = [withFont(1), withFont(2)];
  expect(look("a.html", {}, one)).not.toBe(look("a.html"));
  expect(look("a.html", {}, other)).not.toBe(look("a.html", {}, one));
  expect(look("a.html", {}, { ...one, files: new Map(one.files) })).toBe(look("a.html", {}, one));
});

test("the versions asked for last are kept, and no more than ten", () => {
  const first = look("b.html", { width: 600 });
  for (let width = 601; width < 609; width += 1) look("b.html", { width });
  expect(look("b.html", { width: 600 })).toBe(first);
  for (let width = 610; width < 619; width += 1) look("b.html", { width });
  expect(look("b.html", { width: 600 })).toBe(first);
  for (let width = 620; width < 631; width += 1) look("b.html", { width });
  expect(look("b.html", { width: 600 })).not.toBe(first);
});
