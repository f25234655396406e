/** What is proposed while somebody writes is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { changeSite, textFile } from "../source/site";
import { sampleSite, toldParts } from "../testing/told";
import { faultsIn } from "./faults";
import { writingOptions } from "./options";

const site = sampleSite();

/** What is written at the end of a file, with a bar where the cursor stands. */
const sheetTexts = [
  "h|",
  ".ba|",
  "a:h|",
  "@me|",
  "@media |",
  "@media s|",
  "@media (min-|",
  "@media (min-width: |",
  "@media screen and (prefers-color-scheme: |",
  "@media (width >= |",
  "h2 { fo| }",
  "h2 { font-weight: | }",
  "h2 { color: | }",
  "h2 { color: d| }",
  "h2 { margin: | }",
  "h2 { font-family: | }",
  "h2 { background: linear-gradient(| }",
  "h2 { line-height: 1| }",
  "h2 { text-decoration: u| }",
  "h2 { transition: | }",
];
const pageTexts = ["<h|", "<p cl|", '<p class="|', '<a href="|', '<p style="co|', '<p style="color: |'];

/** The start of what is proposed, and how much it is. */
function proposedAt(path: string, written: string) {
  const { text } = textFile(site, path)!;
  const cursor = written.indexOf("|");
  const insert = `\n${written.slice(0, cursor)}${written.slice(cursor + 1)}`;
  const page = "index.html";
  const after = changeSite(site, [{ path, start: text.length, end: text.length, insert }]);
  const asked = { site: after, path, page, conditions: defaultConditions, layouts: {} };
  const found = writingOptions(asked, text.length + 1 + cursor);
  return (
    found && {
      ...found,
      from: found.from - text.length,
      to: found.to - text.length,
      count: found.options.length,
      options: found.options.slice(0, 14),
    }
  );
}

test("options in a sheet", async () => {
  const parts = sheetTexts.map((written) => [written, proposedAt("css/ferry.css", written)] as const);
  await expect(toldParts(parts)).toMatchFileSnapshot("told/sheet.txt");
});

test("options in a page", async () => {
  const parts = pageTexts.map((written) => [written, proposedAt("notices.html", written)] as const);
  await expect(toldParts(parts)).toMatchFileSnapshot("told/page.txt");
});

test("faults", () => {
  expect(["css/ferry.css", "css/season.css", "index.html"].map((path) => faultsIn(site, path))).toEqual([2, 0, 0]);
});
