import { importRules } from "../source/html/sheets";
import { matchesMedia } from "../cascade/media";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { componentsOf, splitAt } from "../source/css/components";
import type { AtRule, Item } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { nearestWords } from "./meant/near";
import { changed, quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

/** At-rules that browsers know. */
const atRules = [
  "media",
  "import",
  "font-face",
  "charset",
  "supports",
  "keyframes",
  "layer",
  "container",
  "page",
  "namespace",
  "property",
  "counter-style",
  "scope",
  "font-feature-values",
  "font-palette-values",
  "starting-style",
  "view-transition",
  "position-try",
  "function",
];

/** At-rules inside others: margins of pages, values of font features. */
const inner =
  /^(?:-|(?:top|bottom|left|right)-|stylistic|styleset|character-variant|swash|ornaments|annotation|historical-forms|viewport|document|apply|tailwind|nest|custom-media|custom-selector)/;

/** At-rules that are misspelt, stand where they do not count, or never hold. */
export const atRuleSlips: Check = {
  name: "at-rule",
  group: "idle",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) => [...within(sheet, sheet.items), ...lateImports(sheet)]),
};

function* within(sheet: SheetText, items: readonly Item[]): Generator<Found> {
  for (const item of items) {
    if (item.kind === "at") yield* slipsOf(sheet, item);
    if (item.kind === "style" || item.kind === "at") yield* within(sheet, item.items);
  }
}

function found({ file, offset }: SheetText, start: number, message: string, because: string, ways: () => Way[]): Found {
  return { level: "error", message, because, ...at(file, offset + start), ways };
}

function* slipsOf(sheet: SheetText, rule: AtRule): Generator<Found> {
  const { name, prelude, preludeText, start } = rule;
  const put = (from: number, to: number, insert: string, label = `Write \`${insert.trim()}\``): Way => ({
    label,
    changes: [changed(sheet, from, to, insert)],
  });
  if (!atRules.includes(name) && !inner.test(name)) {
    const near = [
      ...atRules.filter((one) => one.replaceAll("-", "") === name.replaceAll("-", "")),
      ...nearestWords(name, atRules, 2),
    ][0];
    const parted = /^(?:h[1-6]|p|a|body|div|li|ul)$/.test(name) ? name : null;
    const meant = near ? `@${near}` : parted;
    yield found(
      sheet,
      start,
      `\`@${name}\` is no rule that browsers know, so all that stands in it is skipped.${meant ? ` Meant: \`${meant}\`.` : ""}`,
      "At-rules with a name that is not known are left out whole (CSS Syntax 3, 9).",
      () => (meant ? [put(start, start + 1 + name.length, meant)] : []),
    );
    return;
  }
  const unclosed = rule.block === null && /\([^()]*\{/.test(preludeText);
  if (unclosed) {
    const open = prelude.start + preludeText.indexOf("{");
    const before = sheet.text.slice(0, open).trimEnd().length;
    yield found(
      sheet,
      start,
      `The parenthesis of \`@${name}\` is never closed: the whole block is read as part of it.`,
      "A parenthesis takes in all up to its closing one (CSS Syntax 3, 5.4.8).",
      () => [put(before, before, ")", "Close the parenthesis")],
    );
    return;
  }
  if (name === "import" && rule.block) {
    const address = /^(?:url\([^)]*\)|"[^"]*"|'[^']*')/.exec(preludeText);
    const end = prelude.start + (address?.[0].length ?? preludeText.length);
    yield found(
      sheet,
      start,
      "A semicolon is missing after `@import`: the rule that follows is read as part of it, and both are skipped.",
      "An import ends in a semicolon (CSS Cascade 5, 2).",
      () => [put(end, end, ";", "Put the semicolon in")],
    );
  } else if (name === "import" && preludeText !== "" && !/^(?:url\(|["'])/i.test(preludeText)) {
    const bare = preludeText.replace(/["'\u201c\u201d]/g, "");
    yield found(
      sheet,
      start,
      `\`@import ${preludeText}\` imports nothing: the address stands in quotation marks or in \`url()\`.`,
      "An import takes a string or an address (CSS Cascade 5, 2).",
      () => [put(prelude.start, prelude.end, `"${bare}"`)],
    );
  }
  if (name === "charset") return;
  if (name === "media") yield* mediaSlips(sheet, rule, put);
}

/** Conditions that never hold, on any screen or paper. */
function* mediaSlips(
  sheet: SheetText,
  { prelude, preludeText, start }: AtRule,
  put: (from: number, to: number, insert: string) => Way,
): Generator<Found> {
  if (preludeText.trim() === "" || canHold(preludeText)) return;
  const meant = meantQueries(preludeText).find((one) => one !== preludeText && canHold(one));
  if (!meant && !isSlip(preludeText)) return;
  yield found(
    sheet,
    start,
    `${quoted(`@media ${preludeText}`)} never holds, so nothing in it counts.${meant ? ` Meant: \`${meant}\`.` : ""}`,
    "A condition stands in parentheses, joined by `and` to what stands before it; one that cannot be read never holds (Media Queries 4, 3.2).",
    () => (meant ? [put(prelude.start, prelude.end, meant)] : []),
  );
}

const trials: readonly Conditions[] = [200, 400, 640, 800, 1024, 1300, 2000].flatMap((width) =>
  (["light", "dark"] as const).flatMap((scheme) =>
    (["screen", "print"] as const).map((medium) => ({ ...defaultConditions, width, height: 800, scheme, medium })),
  ),
);

const canHold = (text: string) => trials.some((conditions) => matchesMedia(text, conditions));

/** Whether it is written as no condition is: what is only not known here says nothing wrong. */
const isSlip = (text: string) =>
  splitAt(componentsOf(text), ",").some((query) => query.some((part) => part.type === "bad")) || widthsCross(text);

/** A least width over a largest one. */
function widthsCross(text: string): boolean {
  const least = /min-width:\s*([\d.]+)px/i.exec(text)?.[1];
  const most = /max-width:\s*([\d.]+)px/i.exec(text)?.[1];
  return least !== undefined && most !== undefined && Number(least) > Number(most);
}

const features = [
  "width",
  "min-width",
  "max-width",
  "height",
  "min-height",
  "max-height",
  "orientation",
  "prefers-color-scheme",
  "prefers-reduced-motion",
  "prefers-contrast",
  "hover",
  "pointer",
  "resolution",
  "min-resolution",
  "aspect-ratio",
];

/** What a condition may have been meant to be, likeliest first. */
function meantQueries(text: string): string[] {
  const tidy = text.replace(/\s+/g, " ").trim();
  const feature =
    /(?<!\()\b((?:min|max)-(?:width|height|resolution)|orientation|prefers-[a-z-]+)\s*[:=]?\s*([\w.]+)(?!\))/gi;
  const steps: ((from: string) => string)[] = [
    (from) => from.replace(/\(\s*([a-z-]+)\s*=\s*/gi, "($1: "),
    (from) => from.replace(/\(\s*([a-z-]+)\s+(?=[\d.]+[a-z]|light|dark|portrait|landscape|reduce|more)/gi, "($1: "),
    (from) => from.replace(/:\s*([\d.]+)\s*(?=\))/g, ": $1px").replace(/([\d.]+)\s+(px|em|rem)\b/gi, "$1$2"),
    (from) => from.replace(feature, "($1: $2)"),
    (from) => from.replace(/\b(screen|all|print)\s*(?=\()/gi, "$1 and "),
    (from) => from.replace(/\)\s*(?=\()/g, ") and "),
    (from) => from.replace(/\band\(/gi, "and ("),
    (from) => from.replace(/\b(?:adn|nad|und|an|&&|&)\b(?=\s*\()|&&?/gi, "and"),
    (from) =>
      from.replace(/\b([a-z-]+)(?=\s*:)/gi, (name) =>
        features.includes(name) ? name : (nearestWords(name, features, 3)[0] ?? name),
      ),
    (from) =>
      from.replace(
        /^([a-z]+)(?=\s|$)/i,
        (type) => nearestWords(type.toLowerCase(), ["screen", "print", "all"], 2)[0] ?? type,
      ),
    (from) =>
      from.replace(
        /\bprefers-color-scheme\s*:\s*(\w+)/gi,
        (whole, value: string) => `prefers-color-scheme: ${/^d/i.test(value) ? "dark" : "light"}`,
      ),
    (from) =>
      from.replace(
        /min-(width|height):\s*([\d.]+\w*)\)\s*and\s*\(\s*max-\1:\s*([\d.]+\w*)/i,
        "min-$1: $3) and (max-$1: $2",
      ),
    (from) => from.replace(/,\s*(?=\()/g, " and "),
  ];
  const all: string[] = [];
  let joined = tidy;
  for (const step of steps) {
    all.push(step(tidy));
    joined = step(joined);
    all.push(joined);
  }
  return all;
}

/** Imports that stand behind rules or in them, where they do not count. */
function lateImports(sheet: SheetText): Found[] {
  const counting = new Set(importRules(sheet.items));
  const all: Found[] = [];
  const walk = (items: readonly Item[], nested: boolean) => {
    for (const item of items) {
      if (item.kind === "at" && item.name === "import" && !item.block && (nested || !counting.has(item))) {
        const text = sheet.text.slice(item.start, item.end);
        all.push(
          found(
            sheet,
            item.start,
            `${quoted(text)} stands ${nested ? "inside a rule" : "behind other rules"}, so nothing is imported.`,
            "Imports stand before all other rules of a sheet (CSS Cascade 5, 2).",
            () => [
              {
                label: "Move it to the top of the sheet",
                changes: [
                  changed(sheet, topOf(sheet), topOf(sheet), `${text.endsWith(";") ? text : `${text};`}\n`),
                  changed(sheet, item.start, item.end, ""),
                ],
              },
            ],
          ),
        );
      }
      if (item.kind === "style" || item.kind === "at") walk(item.items, true);
    }
  };
  walk(sheet.items, false);
  return all;
}

/** Behind what may stand before imports: the charset and other imports. */
function topOf({ items, text }: SheetText): number {
  const first = items.find((item) => item.kind !== "at" || (item.name !== "charset" && item.name !== "import"));
  const imports = importRules(items);
  const last = imports.at(-1);
  if (last) return /\r\n|\n|\r/.exec(text.slice(last.end))?.index === 0 ? last.end + 1 : last.end;
  const charset = items[0]?.kind === "at" && items[0].name === "charset" ? items[0].end : 0;
  return charset || Math.min(first?.start ?? 0, 0);
}
