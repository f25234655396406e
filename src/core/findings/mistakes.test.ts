/** What people write wrongly is told, with what was meant, and set right by its first fix. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { bodyMistakes, mistakenPage, pageMistakes, sheetMistakes } from "../testing/mistakes";
import { cssSoup, sampleFiles, site as siteOf } from "../testing/site";
import { analyse } from "../report/analysis";
import { changeSite, textFile, type Site } from "../source/site";
import { fixesFor } from ".";
import { runs } from "../testing/runs";

/** The text of a file once the first finding about it that has a fix is set right with its first. */
function setRight(from: Site, path: string): { said: string[]; text: string } {
  const all = analyse(from).findings.filter((finding) => finding.group === "idle");
  const said = all.map(({ level, message }) => `${level}: ${message}`);
  for (const finding of all) {
    const [first] = fixesFor(from, finding);
    if (first) return { said, text: textFile(changeSite(from, first.changes), path)!.text };
  }
  return { said, text: textFile(from, path)!.text };
}

const clean = "p { color: #222; }\n";

describe("in a sheet", () => {
  test.each(sheetMistakes)("%s", (_, sheet, meant) => {
    const { said, text } = setRight(
      siteOf({ "index.html": mistakenPage, "ferry.css": sheet, "more.css": clean }),
      "ferry.css",
    );
    expect(text, said.join("\n")).toBe(meant);
    expect(said.length).toBeGreaterThan(0);
  });
});

const link = '<link rel="stylesheet" href="ferry.css">';

test.each(pageMistakes)("in the head: %s", (_, mistake, meant) => {
  const page = (part: string) => mistakenPage.replace(link, part);
  const { said, text } = setRight(siteOf({ "index.html": page(mistake), "ferry.css": clean }), "index.html");
  expect(text.replace(/\n/g, ""), said.join("\n")).toBe(page(meant).replace(/\n/g, ""));
});

test.each(bodyMistakes)("in the body: %s", (_, mistake, meant) => {
  const page = (part: string) => mistakenPage.replace("</body>", `${part}</body>`);
  const { said, text } = setRight(siteOf({ "index.html": page(mistake), "ferry.css": clean }), "index.html");
  expect(text, said.join("\n")).toBe(page(meant));
});

describe("whatever is opened", () => {
  const text = sampleFiles().find(({ path }) => path === "css/ferry.css") as { bytes: Uint8Array };
  const sheet = new TextDecoder().decode(text.bytes);
  const spoilt = fc
    .array(
      fc.tuple(
        fc.nat(sheet.length),
        fc.nat(3),
        fc.constantFrom("", ";", "{", "}", ":", "(", '"', "/*", "x", "#", "--"),
      ),
      {
        minLength: 1,
        maxLength: 4,
      },
    )
    .map((spots) =>
      spots.reduce((from, [at, length, insert]) => from.slice(0, at) + insert + from.slice(at + length), sheet),
    );

  test.each([
    ["soup", cssSoup],
    ["a spoilt sheet", spoilt],
  ])("%s is told of, and every way offered sets right what it says", (_, sheets) => {
    fc.assert(
      fc.property(sheets, (css) => {
        const from = siteOf({ "index.html": mistakenPage, "ferry.css": css });
        for (const finding of analyse(from).findings.slice(0, 4)) {
          const count = (of: Site) =>
            analyse(of).findings.filter(({ check, message }) => check === finding.check && message === finding.message)
              .length;
          for (const { changes } of fixesFor(from, finding).slice(0, 2))
            expect(count(changeSite(from, changes))).toBeLessThan(count(from));
        }
      }),
      runs(20),
    );
  });
});
