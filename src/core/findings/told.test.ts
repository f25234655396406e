/** What is found, and how it is set right, is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { analyse } from "../report/analysis";
import type { Site } from "../source/site";
import { mistakenPage, pageMistakes, sheetMistakes } from "../testing/mistakes";
import { randomSite } from "../testing/randomSite";
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
  const parts = sheetMistakes.flatMap(([, text]) =>
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

test("in random sites", async () => {
  const sites = fc.sample(randomSite, { seed: 5, numRuns: 4 });
  await expect(toldParts(sites.flatMap(foundIn))).toMatchFileSnapshot("told/random.txt");
}, 120_000);

test("of sheets that are put together in unusual ways", async () => {
  const sheets = [
    `@media screen { @import "b.css"; p { color: red } }`,
    `p { color: red } @import "b.css";`,
    `@layer late; @import "b.css" layer(early); @layer early { p { color: red !important } } p { color: blue }`,
    `@media (min-width: 900px) and (max-width: 400px) { p { color: red } }`,
    `@media print { p { font-size: 8px } } @supports (colour: red) { p { color: red } }`,
    `@font-face { font-family: Tern } @font-face { src: url(a.woff2) } @keyframes { from { color: red } }`,
    `p { &:hover { color: red } @media print { color: black } h2 { color: blu } }`,
    `:root { --a: var(--b); --b: var(--a); --c: #123456 } p { color: var(--d, #123456); margin: var(--e) }`,
  ];
  const parts = sheets.flatMap((text) =>
    foundIn(site({ "index.html": mistakenPage, "ferry.css": text, "b.css": "em { color: #abc }" })).map(
      ([message, rest]) => [`${text}\n# ${message}`, rest] as const,
    ),
  );
  await expect(toldParts(parts)).toMatchFileSnapshot("told/unusual.txt");
}, 120_000);
