import { execFileSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync, existsSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import fc from "fast-check";
import { afterAll, describe, expect, test } from "vitest";
import { fileBytes, readFile, type TextFile } from "../source/site";
import { canDiffer, unifiedDiff, type FileVersions } from "./unifiedDiff";
import { runs } from "../testing/runs";

const folder = mkdtempSync(join(tmpdir(), "diff-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const fileOf = (path: string, text: string | Uint8Array): TextFile =>
  (typeof text === "string" ? readFile({ path, text }) : readFile({ path, bytes: text })) as TextFile;
const versions = (
  path: string,
  before: string | Uint8Array | null,
  after: string | Uint8Array | null,
): FileVersions => ({
  path,
  before: before === null ? null : fileOf(path, before),
  after: after === null ? null : fileOf(path, after),
});

let count = 0;

/** Writes the files as they were, applies the diff with git, and compares with what they are. */
function appliesWithGit(files: readonly FileVersions[]): void {
  const root = join(folder, `${(count += 1)}`);
  mkdirSync(root);
  for (const { path, before } of files) {
    if (!before) continue;
    mkdirSync(dirname(join(root, path)), { recursive: true });
    writeFileSync(join(root, path), fileBytes(before));
  }
  const diff = unifiedDiff(files);
  if (diff.length > 0)
    execFileSync("git", ["apply", "--whitespace=nowarn", "-"], { cwd: root, input: diff, stdio: "pipe" });
  for (const { path, after } of files) {
    const at = join(root, path);
    if (after) expect(new Uint8Array(readFileSync(at))).toEqual(fileBytes(after));
    else expect(existsSync(at)).toBe(false);
  }
}

const hasGit = (() => {
  try {
    execFileSync("git", ["--version"], { stdio: "ignore" });
    return true;
  } catch {
    return false;
  }
})();

describe.skipIf(!hasGit)("git applies it", () => {
  const css = "a { color: red }\nb { color: blue }\n";

  test.each<[string, FileVersions[]]>([
    ["a changed line", [versions("css/a.css", css, css.replace("red", "#a00"))]],
    ["no line end at the end", [versions("a.css", "a{}", "a{color:red}")]],
    ["a line end that comes", [versions("a.css", "a{}", "a{}\n")]],
    ["CRLF", [versions("a.css", css.replaceAll("\n", "\r\n"), css.replace("red", "navy").replaceAll("\n", "\r\n"))]],
    ["a new file and a gone one", [versions("new.css", null, css), versions("old.css", css, null)]],
    ["an empty new file", [versions("new.css", null, "")]],
    [
      "names with blanks, quotes and letters of their own",
      [versions("my css/a b.css", css, `${css}i {}\n`), versions('caf\u00e9 "1".css', css, "b {}\n")],
    ],
    [
      "another encoding",
      [
        versions(
          "a.css",
          Uint8Array.from(Buffer.from('@charset "windows-1252";\n/* caf\u00e9 */\na{}\n', "latin1")),
          Uint8Array.from(Buffer.from('@charset "windows-1252";\n/* caf\u00e9! */\na{}\n', "latin1")),
        ),
      ],
    ],
    [
      "a byte order mark",
      [
        versions(
          "a.css",
          Uint8Array.from(Buffer.from(`\ufeff${css}`)),
          Uint8Array.from(Buffer.from(`\ufeff${css.replace("a {", "p {")}`)),
        ),
      ],
    ],
    ["nothing", [versions("a.css", css, css)]],
  ])("%s", (_, files) => appliesWithGit(files));

  test("random texts", () => {
    const line = fc.constantFrom(
      "a {}",
      "b { color: red }",
      "",
      "  ",
      "/* \u00e9 */",
      "@@ -1 +1 @@",
      "--- a",
      "\\ No newline",
    );
    const text = fc
      .tuple(fc.array(line, { maxLength: 12 }), fc.constantFrom("\n", "\r\n"), fc.boolean())
      .map(([lines, end, closed]) => lines.join(end) + (closed && lines.length ? end : ""));
    fc.assert(
      fc.property(text, text, (before, after) => appliesWithGit([versions("a.css", before, after)])),
      runs(15),
    );
  });
});

test("files come by their paths, however they were given", () => {
  const files = ["b.css", "a.html", "c/a.css"].map((path) => versions(path, "x\n", "y\n"));
  const paths = [...new TextDecoder().decode(unifiedDiff(files)).matchAll(/^diff --git a\/(\S+)/gm)].map(
    ([, path]) => path,
  );
  expect(paths).toEqual(["a.html", "b.css", "c/a.css"]);
});

test("what has no lines of bytes is left out", () => {
  const wide = Uint8Array.from([0xff, 0xfe, 0x61, 0, 0x7b, 0, 0x7d, 0]);
  const file = versions("a.css", wide, null);
  expect(canDiffer(file)).toBe(false);
  expect(unifiedDiff([file])).toHaveLength(0);
});
