/** What is moved by hand or by proposal: where nothing is said to come out differently, the browser must agree. */
import type { BrowserContext } from "@playwright/test";
import { expect, test } from "./support/window";
import {
  changeSite,
  defaultConditions,
  differenceSteps,
  EditError,
  finished,
  openSite,
  planRuleEdit,
  planSheetEdit,
  type RuleEdit,
  type SheetEdit,
  type Site,
  type TextChange,
} from "../src/core";
import { chanceOf, type Chance } from "./support/random";

const sites = Number(process.env.HEVRET_MOVES ?? 8);
const from = Number(process.env.HEVRET_SEED ?? 1);

/** Few properties with several values, so that rules get into each other's way. */
const declarations = [
  "color: #345",
  "color: teal",
  "color: navy !important",
  "background: #eee",
  "font: 18px/1.4 serif",
  "font-size: 1.2em",
  "font-size: 20px",
  "letter-spacing: .02em",
  "letter-spacing: 1px",
  "margin: 0 0 8px",
];
const selectors = ["h1", "h2", "p", "em", ".lead", ".late", "main p", ".lead, h2", "h1, p", "#one"];
const conditions = [
  "",
  "",
  "",
  "@media (prefers-color-scheme: dark)",
  "@media (max-width: 500px)",
  "@media (min-width: 1000px)",
];

const block = (random: Chance) =>
  Array.from({ length: 1 + random.upTo(3) }, () => random.among(declarations)).join("; ");

function sheet(random: Chance): string {
  return Array.from({ length: 2 + random.upTo(5) }, () => {
    const rule = `${random.among(selectors)} { ${block(random)} }`;
    const condition = random.among(conditions);
    return condition ? `${condition} { ${rule} }\n` : `${rule}\n`;
  }).join("");
}

function page(random: Chance): string {
  const attribute = () => (random.upTo(3) === 0 ? ` style="${random.among(declarations)}"` : "");
  const name = () => ["", ' class="lead"', ' class="late"', ' class="lead late"'][random.upTo(4)]!;
  const parts = Array.from({ length: 3 + random.upTo(4) }, () => {
    const tag = random.among(["h1", "h2", "p", "p"]);
    return `<${tag}${name()}${attribute()}>Words <em${attribute()}>now</em></${tag}>`;
  });
  const head = random.upTo(2) ? `<style>${sheet(random)}</style>` : "";
  return `<!doctype html>\n<html lang="en"><head><title>x</title><link rel="stylesheet" href="a.css"><link rel="stylesheet" href="b.css">${head}</head>\n<body><main id="one">${parts.join("\n")}</main></body></html>`;
}

function filesOf(seed: number) {
  const random = chanceOf(seed);
  const texts = { "one.html": page(random), "two.html": page(random), "a.css": sheet(random), "b.css": sheet(random) };
  return Object.entries(texts).map(([path, text]) => ({ path, text }));
}

/** The rules of a sheet that stand at its top, by where they start. */
const starts = (text: string): number[] => [...text.matchAll(/^(?!@)[^\n]/gm)].map(({ index }) => index);

/** A move that can be made, with what it changes; null where none can. */
function moveOf(seed: number, site: Site): { move: SheetEdit | RuleEdit; changes: TextChange[] } | null {
  const random = chanceOf(seed + 10_000);
  const file = site.files.get("a.css")!;
  const at = file.kind === "other" ? [] : starts(file.text);
  const start = at.length ? random.among(at) : 0;
  const moves: (SheetEdit | RuleEdit)[] = [
    { kind: "from-head", page: "one.html", sheet: "b.css" },
    { kind: "from-elements", page: "one.html", sheet: "b.css", selectors: null },
    { kind: "from-elements", page: "two.html", sheet: "a.css", selectors: null },
    { kind: "to-head", page: "one.html", sheet: "b.css" },
    { kind: "move", sheet: "b.css", pages: ["one.html", "two.html"], by: -1 },
    { kind: "move-rule", path: "a.css", start, by: 1 },
    { kind: "move-rule", path: "a.css", start, by: -1 },
    { kind: "gather-rules", path: "a.css", starts: at.slice(0, 2) },
    { kind: "split-selectors", path: "a.css", start, selectors: [0] },
    { kind: "copy-rule", path: "a.css", start, selectors: "p" },
  ];
  const first = random.upTo(moves.length);
  for (const move of [...moves.slice(first), ...moves.slice(0, first)]) {
    const changes = changesFor(site, move);
    if (changes) return { move, changes };
  }
  return null;
}

function changesFor(site: Site, move: SheetEdit | RuleEdit): TextChange[] | null {
  try {
    return "sheet" in move ? planSheetEdit(site, move).changes : planRuleEdit(site, move);
  } catch (error) {
    if (error instanceof EditError) return null;
    throw error;
  }
}

/** Computed values of all that is in the body of each page, at three widths in the scheme of the context. */
async function looksOf(context: BrowserContext, site: Site): Promise<string[]> {
  const shown = await context.newPage();
  await shown.route("**/*", (route) => {
    const file = site.files.get(new URL(route.request().url()).pathname.slice(1));
    if (!file || file.kind === "other") return route.fulfill({ status: 404 });
    return route.fulfill({ body: file.text, contentType: file.kind === "css" ? "text/css" : "text/html" });
  });
  const looks: string[] = [];
  for (const path of ["one.html", "two.html"]) {
    await shown.goto(`http://site.example/${path}`);
    for (const width of [360, 800, 1280]) {
      await shown.setViewportSize({ width, height: 800 });
      looks.push(
        ...(await shown.evaluate(() =>
          [...document.body.querySelectorAll("*")].map((element) => {
            const style = getComputedStyle(element);
            return [...style].map((name) => `${name}: ${style.getPropertyValue(name)}`).join("; ");
          }),
        )),
      );
    }
  }
  await shown.close();
  return looks;
}

test(`moves on ${sites} random sites: what leaves every text as it was does so in the browser`, async ({ browser }) => {
  test.setTimeout(120_000 + sites * 8_000);
  const contexts = await Promise.all(
    (["light", "dark"] as const).map((colorScheme) => browser.newContext({ colorScheme })),
  );
  const wrong: string[] = [];
  const told = { same: 0, differing: 0 };
  for (let seed = from; seed < from + sites; seed += 1) {
    const before = openSite(filesOf(seed));
    const found = moveOf(seed, before);
    if (!found) continue;
    const { move, changes } = found;
    const after = changeSite(before, changes);
    const places = finished(differenceSteps(before, after, changes, defaultConditions));
    if (places.length) {
      told.differing += 1;
      continue;
    }
    told.same += 1;
    for (const context of contexts) {
      const [was, is] = [await looksOf(context, before), await looksOf(context, after)];
      if (JSON.stringify(was) !== JSON.stringify(is)) wrong.push(`seed ${seed}: ${JSON.stringify(move)}`);
    }
  }
  console.log(`moves from seed ${from}: ${JSON.stringify(told)}`);
  expect(wrong).toEqual([]);
  expect(told.same).toBeGreaterThan(sites / 8);
});
