/** What people write wrongly is told, with what was meant, and set right by its first fix. */
import { describe, expect, test } from "vitest";
import { bodyMistakes, mistakenPage, pageMistakes, sheetMistakes } from "../testing/mistakes";
import { site as siteOf } from "../testing/site";
import { analyse } from "../report/analysis";
import { changeSite, textFile, type Site } from "../source/site";
import { fixesFor } from ".";

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
