import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { joinedText, joinTexts } from "./join";
import { runs } from "../testing/runs";

const both = (base: string, here: string, there: string) => {
  const parts = joinTexts(base, here, there);
  return parts.flatMap((part) => (part.kind === "both" ? [[part.line, part.here, part.there]] : []));
};
const joined = (base: string, here: string, there: string) =>
  joinedText(joinTexts(base, here, there), (part) => `<${part.here}|${part.there}>`);

describe("two texts that come from one", () => {
  test("what one side alone changed is taken, line ends kept, lines next to each other too", () => {
    expect(joined("a\r\nb\r\nc", "A\r\nb\r\nc", "a\r\nb\r\nC")).toBe("A\r\nb\r\nC");
    expect(joined("a\nb\n", "A\nb\n", "a\nB\n")).toBe("A\nB\n");
    expect(joined("a\nb\nc\n", "a\nc\n", "a\nb\nc\nd\n")).toBe("a\nc\nd\n");
  });

  test("what both changed in one way is one change", () => {
    expect(joined("a\nb\n", "a\nx\n", "a\nx\n")).toBe("a\nx\n");
  });

  test("where both changed a line, or put something in one place, both are told", () => {
    expect(both("a\nb\nc\n", "a\nx\nc\n", "a\ny\nc\n")).toEqual([[2, "x\n", "y\n"]]);
    expect(both("a\n", "x\na\n", "y\na\n")).toEqual([[1, "x\n", "y\n"]]);
    expect(both("a\nb\nc\nd\n", "a\nd\n", "a\nb\nC\nd\n")).toEqual([[2, "", "b\nC\n"]]);
  });
});

describe("against another program that joins", () => {
  let folder: string;
  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), "hevret-join-"));
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  const text = fc.array(fc.constantFrom("a", "b", "c", "d"), { maxLength: 8 }).map((lines) => lines.join("\n"));
  const edited = (base: string) =>
    fc.array(fc.tuple(fc.nat(8), fc.constantFrom("", "x\n", "a\n", "y\n")), { maxLength: 2 }).map((edits) => {
      const lines = base.split("\n");
      for (const [at, line] of edits) if (at < lines.length) lines[at] = line.trim();
      return lines.join("\n");
    });

  test("whatever git joins without a question comes out the same; taking one side gives that side", () => {
    const cases = text.chain((base) => fc.tuple(fc.constant(base), edited(base), edited(base)));
    let clean = 0;
    fc.assert(
      fc.property(cases, ([base, here, there]) => {
        const parts = joinTexts(base, here, there);
        expect(joinedText(joinTexts(base, here, base), () => "")).toBe(here);
        expect(joinedText(joinTexts(base, base, there), () => "")).toBe(there);
        for (const [name, content] of Object.entries({ here, base, there })) writeFileSync(join(folder, name), content);
        const git = spawnSync("git", ["merge-file", "-p", "here", "base", "there"], { cwd: folder, encoding: "utf8" });
        if (git.status !== 0) return;
        clean += 1;
        expect(parts.some(({ kind }) => kind === "both")).toBe(false);
        expect(joinedText(parts, () => "")).toBe(git.stdout);
      }),
      runs(150),
    );
    expect(clean).toBeGreaterThan(60);
  });
});
