import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyChanges } from "../source/changes";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { findSteps, replaceFound, type Search } from "./find";

const files = {
  "index.html": '<p class="ink">Ink on paper.</p>\r\n<p>Inks</p>',
  "css/ferry.css": ".ink { color: #123 }\n.ink-dark { color: #000 }\n",
};
const found = (search: Partial<Search>) =>
  finished(findSteps(site(files), { text: "ink", matchCase: false, wholeWords: false, ...search })).flatMap(
    ({ hits }) => hits,
  );

describe("find", () => {
  test("sheets first, each with its line", () => {
    expect(found({}).map(({ path, line, column }) => `${path} ${line}:${column}`)).toEqual([
      "css/ferry.css 1:2",
      "css/ferry.css 2:2",
      "index.html 1:11",
      "index.html 1:16",
      "index.html 2:4",
    ]);
    expect(found({})[4]).toMatchObject({ before: "<p>", found: "Ink", after: "s</p>" });
  });

  test("letter case and whole words", () => {
    expect(found({ matchCase: true })).toHaveLength(3);
    expect(found({ wholeWords: true }).map(({ line }) => line)).toEqual([1, 1, 1]);
    expect(found({ text: "INK", matchCase: true })).toEqual([]);
  });

  test("nothing is no text, and what means something in a pattern is taken as it is", () => {
    expect(found({ text: "" })).toEqual([]);
    expect(found({ text: "color: #" })).toHaveLength(2);
    expect(found({ text: "(.*" })).toEqual([]);
  });

  test("of many in a file the first are listed, and all are counted and replaced", () => {
    const many = site({ "a.css": "x ".repeat(1000) });
    const search = { text: "x", matchCase: true, wholeWords: true };
    const [own] = finished(findSteps(many, search));
    expect([own!.count, own!.hits.length]).toEqual([1000, 300]);
    expect(replaceFound(many, search, "y", ["a.css"])).toHaveLength(1000);
    expect(replaceFound(many, search, "y", [])).toEqual([]);
  });

  test("line ends are alike", () => {
    expect(found({ text: "</p>\n<p>" })).toHaveLength(1);
  });
});

test("what is replaced is what was found, in the files that are chosen", () => {
  const changes = replaceFound(site(files), { text: "ink", matchCase: true, wholeWords: true }, "lead", [
    "css/ferry.css",
  ]);
  expect(applyChanges(files["css/ferry.css"], changes)).toBe(".lead { color: #123 }\n.ink-dark { color: #000 }\n");
});

test("replacing by the same changes nothing, whatever is looked for", () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1, maxLength: 4 }), fc.string(), (text, around) => {
      const written = `${around}${text}${around}`;
      const from = site({ "a.css": written });
      const changes = replaceFound(from, { text, matchCase: true, wholeWords: false }, text, ["a.css"]);
      expect(changes.length).toBeGreaterThan(0);
      const now = from.files.get("a.css")!;
      if (now.kind !== "other" && !/[\r\n]/.test(text)) expect(applyChanges(now.text, changes)).toBe(now.text);
    }),
  );
});
