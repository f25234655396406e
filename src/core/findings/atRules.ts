import { faultOf } from "../cascade/registered";
import { registrationOf } from "../cascade/registration";
import { importRules } from "../source/html/sheets";
import type { AtRule, Item } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { canHold, isSlip, meantQuery, widthsCross } from "./meant/media";
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
  if (name === "property") yield* registrationSlips(sheet, rule, put);
}

/** Custom properties that are not registered after all. */
function* registrationSlips(
  sheet: SheetText,
  rule: AtRule,
  put: (from: number, to: number, insert: string, label?: string) => Way,
): Generator<Found> {
  const { name, syntax, inherits, initial, fault } = registrationOf(rule);
  if (fault === null) return;
  const wrong: Readonly<Record<typeof fault, string>> = {
    name: "names of custom properties begin with two dashes",
    syntax: '`syntax` is to be one, in quotation marks, such as `"<length>"` or `"*"`',
    inherits: "`inherits` is to be `true` or `false`",
    "no initial value": `with \`${syntax}\` it needs an \`initial-value\``,
    "stands for other text": `\`${initial}\` stands for other text, and an \`initial-value\` has to be what it is`,
    "does not fit": `\`${initial}\` is no \`${syntax}\``,
    "goes by an element": `\`${initial}\` goes by an element's font or container, and an \`initial-value\` by nothing`,
  };
  yield found(
    sheet,
    rule.start,
    `\`@property ${name}\` registers nothing: ${wrong[fault]}.`,
    "A registration that is not valid is left out whole (CSS Properties and Values 1, 2).",
    () => {
      const { prelude, block, items } = rule;
      const said = items.find((item) => item.kind === "declaration" && item.property === "syntax");
      if (fault === "name" && name !== "") return [put(prelude.start, prelude.end, `--${name.replace(/^-/, "")}`)];
      if (fault === "syntax" && said?.kind === "declaration" && faultOf(said.valueText, null) !== "syntax")
        return [put(said.value.start, said.value.end, `"${said.valueText}"`)];
      if (fault !== "inherits" || inherits !== null || !block) return [];
      const { start } = block;
      return [put(start, start, " inherits: true;"), put(start, start, " inherits: false;")];
    },
  );
}

/** Conditions that never hold, on any screen or paper. */
function* mediaSlips(
  sheet: SheetText,
  { prelude, preludeText, start }: AtRule,
  put: (from: number, to: number, insert: string) => Way,
): Generator<Found> {
  if (preludeText.trim() === "" || canHold(preludeText)) return;
  const meant = meantQuery(preludeText);
  if (!meant && !isSlip(preludeText)) return;
  yield found(
    sheet,
    start,
    `${quoted(`@media ${preludeText}`)} never holds, so nothing in it counts.${meant ? ` Meant: \`${meant}\`.` : ""}`,
    widthsCross(preludeText)
      ? "No window is wider than the one width and narrower than the other (Media Queries 4, 2.4.3)."
      : "A condition stands in parentheses, joined by `and` to what stands before it; one that cannot be read never holds (Media Queries 4, 3.2).",
    () => (meant ? [put(prelude.start, prelude.end, meant)] : []),
  );
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
  const last = importRules(items).at(-1);
  if (last) return last.end + (/^(?:\r\n|\n|\r)/.exec(text.slice(last.end))?.[0].length ?? 0);
  return items[0]?.kind === "at" && items[0].name === "charset" ? items[0].end : 0;
}
