/** Where in a sheet a new rule can go: behind those of its kind, under a comment, at the end. */
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { partsOf } from "../source/css/headings";
import type { Item, StyleRule } from "../source/css/syntax";
import { isForScreens, sheetTexts, type SheetText } from "../source/declarations";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";

export interface RulePlace {
  kind: "behind its kind" | "under a comment" | "at the end";
  /** The rule it comes behind, or the comment; "" for the end. */
  name: string;
  /** Line of what it comes behind, from 1; 0 for the end. */
  line: number;
  /** The start of what it comes behind, an offset of the file; null for the end. */
  behind: number | null;
}

const end: RulePlace = { kind: "at the end", name: "", line: 0, behind: null };

/** The places in a sheet for a rule with these selectors, the one that is proposed first. */
export function rulePlaces(site: Site, path: string, selectors: string): RulePlace[] {
  const file = textFile(site, path);
  const sheet = file && sheetTexts(site, file).findLast(({ media }) => isForScreens(media));
  if (!sheet) return [end];
  const last = sheet.items.at(-1);
  const like = lastOfKind(sheet, selectors);
  const under = partsOf(sheet.text, sheet.items).flatMap(({ heading, items }) =>
    heading === null ? [] : [placeBehind(sheet, items.at(-1)!, "under a comment", heading)],
  );
  const places = [...(like ? [placeBehind(sheet, like, "behind its kind", nameOf(like))] : []), ...under];
  return [...places.filter(({ behind }) => behind !== sheet.offset + (last?.start ?? -1)), end];
}

function placeBehind({ file, offset }: SheetText, item: Item, kind: RulePlace["kind"], name: string): RulePlace {
  const behind = offset + item.start;
  return { kind, name, line: positionAt(file.text, behind).line, behind };
}

const nameOf = (item: Item): string => (item.kind === "style" ? item.preludeText.replace(/\s+/g, " ") : "");

/** The last rule at the top of a sheet whose subject is of the same kind: it has the tag, class or id, or is a heading, too. */
function lastOfKind({ items }: SheetText, selectors: string): Item | null {
  const wanted = new Set(subjectsOf(selectors));
  const rules = items.filter((item) => item.kind === "style");
  const like = rules.findLast((rule) => subjectsOfRule(rule).some((name) => wanted.has(name)));
  if (like) return like;
  const headings = [...wanted].some((name) => isHeading(name));
  return (headings && rules.findLast((rule) => subjectsOfRule(rule).some(isHeading))) || null;
}

const isHeading = (name: string): boolean => /^h[1-6]$/.test(name);

/** What the last parts of selectors ask for by name: its id or classes; its tag where it has none of these. */
function subjectsOf(selectors: string): string[] {
  return (tryParseSelectorList(selectors) ?? []).flatMap(({ compounds }) => {
    const simples = compounds.at(-1)?.simples ?? [];
    const names = simples.flatMap((one) => {
      if (one.kind === "class") return [`.${one.name}`];
      return one.kind === "id" ? [`#${one.name}`] : [];
    });
    return names.length ? names : simples.flatMap((one) => (one.kind === "type" ? [one.lower] : []));
  });
}

const known = new WeakMap<StyleRule, string[]>();

function subjectsOfRule(rule: StyleRule): string[] {
  let subjects = known.get(rule);
  if (!subjects) known.set(rule, (subjects = subjectsOf(rule.preludeText)));
  return subjects;
}

/** How many rules of a sheet are of the kind that these selectors are. */
export function rulesOfKind(sheets: readonly SheetText[], selectors: string): number {
  const wanted = new Set(subjectsOf(selectors));
  return sheets.reduce(
    (sum, { items }) =>
      sum +
      items.filter((item) => item.kind === "style" && subjectsOfRule(item).some((name) => wanted.has(name))).length,
    0,
  );
}
