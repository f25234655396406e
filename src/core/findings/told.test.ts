/** What is found, and how it is set right, is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { analyse } from "../report/analysis";
import type { Site } from "../source/site";
import { mistakenPage, pageMistakes, sheetMistakes } from "../testing/mistakes";
import { site } from "../testing/site";
import { sampleSite, toldParts } from "../testing/told";
import { fixesFor } from "./fixes";

function foundIn(from: Site): readonly (readonly [title: string, value: unknown])[] {
  return analyse(from).findings.map(({ check, level, group, message, because, places, causes, ...rest }) => [
    message,
    {
      ...rest,
      is: `${level}, ${group}, ${check}`,
      because,
      places: places.length,
      causes: causes.slice(0, 3),
      fixes: fixesFor(from, { check, level, group, message, because, places, causes, ...rest }).map((fix) => ({
        ...fix,
        changes: fix.changes.slice(0, 3),
      })),
    },
  ]);
}

test("in the sample", async () => {
  await expect(toldParts(foundIn(sampleSite()))).toMatchFileSnapshot("told/sample.txt");
}, 120_000);

test("of mistakes in sheets, in one sheet", async () => {
  const css = sheetMistakes.filter((_, at) => at % 4 === 0).map(([, mistaken]) => mistaken);
  const parts = css.flatMap((text) =>
    analyse(site({ "index.html": mistakenPage, "ferry.css": text }))
      .findings.filter(({ path }) => path === "ferry.css")
      .map(({ message, level, line, column }) => [text.trim(), `${level} ${line}:${column} ${message}`] as const),
  );
  await expect(toldParts(parts)).toMatchFileSnapshot("told/sheets.txt");
});

test("of mistakes in pages", async () => {
  const parts = pageMistakes.flatMap(([what, mistaken]) =>
    analyse(site({ "index.html": mistaken, "ferry.css": "p { color: #222 }" })).findings.map(
      ({ message, level, line, column }) => [what, `${level} ${line}:${column} ${message}`] as const,
    ),
  );
  await expect(toldParts(parts)).toMatchFileSnapshot("told/pages.txt");
});
