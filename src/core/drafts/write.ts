/** A draft as text: its colours under names, and what those come to where readers wish for it. */
import { parseColor } from "../color";
import { oklch } from "../color/ladder";
import { isMinified } from "../edits/block";
import { ruleLike, rulesUnder, type Declarations } from "../edits/ruleText";
import { newSheet, type SheetPlan } from "../edits/sheetLinks";
import { EditError } from "../edits/types";
import { commonSheet, freeName, hueWord, rootRule, sheetStart } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { sheetTexts, type SheetText } from "../source/declarations";
import { lineEndOf } from "../source/lines";
import { pagesOf, textFile, type Site } from "../source/site";
import { draftKinds, type DraftKind } from "./kinds";
import type { Draft, DraftTone } from "./types";

export interface DraftWriting {
  /** "media": names, and others for them under `@media`; "light-dark": both in one value (CSS Color 5, 4). */
  way: "media" | "light-dark";
  /** A new sheet for it, which all pages link to last; null where the colours are named already, or in a sheet they share. */
  sheet: string | null;
}

type Line = Declarations[number];

/** A tone under the name it has, or gets. */
interface NamedTone extends DraftTone {
  called: string;
}

/**
 * Colours that have a counterpart are put under names, and those get it where readers wish for a dark page.
 * @param taken names of all custom properties of the site
 * @throws EditError, in plain words, where it cannot be written so
 */
export function writeDraft(
  site: Site,
  draft: Draft,
  taken: ReadonlySet<string>,
  { way, sheet }: DraftWriting,
): SheetPlan {
  const named = withNames(draft, taken);
  if (way === "light-dark" && draft.kind !== "dark") throw new EditError("light-dark() is about light and dark alone.");
  const kind = draftKinds[draft.kind];
  const rules = draft.tones.filter(({ rule, stays }) => rule !== null && (kind.scheme !== null || !stays));
  if (named.length + rules.length === 0) throw new EditError("No colour of the site would come out otherwise.");
  const changes = named.flatMap(({ called, spots, references }): TextChange[] => [
    ...spots.map(({ path, start, end }) => ({ path, start, end, insert: `var(${called})` })),
    ...references.map(({ path, start, end }) => ({ path, start, end, insert: called })),
  ]);
  if (sheet !== null) return inOwnSheet(site, { kind, named, rules, changes, way, sheet });
  const held = named.filter(({ definition }) => definition !== null);
  const target = targetFor(site, draft, held);
  const inserts = insertsFor(site, target, held);
  for (const { sheet: into, names } of inserts) {
    const isTarget = into === target;
    const own = named.filter(({ definition }) => definition === null);
    const light = isTarget ? own : [];
    const body = way === "media" ? mediaText(kind, into.text, light, [...light, ...names], isTarget ? rules : []) : "";
    const both = way === "light-dark" && isTarget ? pairText(into.text, light, rules) : "";
    if (body || both) changes.push(placed(into, body || both));
  }
  if (way === "light-dark")
    for (const { definition, value, counterpart } of held) {
      const { path, start, end } = definition!;
      changes.push({ path, start, end, insert: `light-dark(${value}, ${counterpart})` });
    }
  return { changes, files: [] };
}

/** Tones that come out otherwise, or have to be told from one that does, each with its name. */
function withNames({ tones }: Draft, known: ReadonlySet<string>): NamedTone[] {
  const taken = new Set(known);
  const counterparts = new Map(tones.map(({ name, counterpartCss }) => [name, counterpartCss]));
  const isNeeded = (tone: DraftTone) => {
    if (tone.rule !== null) return false;
    if (tone.references.length === 0) return !tone.stays;
    return counterparts.get(nameBehind(tone)) !== tone.counterpartCss;
  };
  // What most texts have gets the plainest name.
  return tones
    .filter(isNeeded)
    .sort((a, b) => b.texts - a.texts)
    .map((tone) => {
      if (tone.name !== null) return { ...tone, called: tone.name };
      const called = freeName(`--${plainName(tone)}`, taken);
      taken.add(called);
      return { ...tone, called };
    });
}

/** The name that an ink had in common with a ground. */
const nameBehind = ({ id }: DraftTone) => id.slice(id.indexOf("--"));

function plainName(tone: DraftTone): string {
  if (tone.references.length) return `${nameBehind(tone).slice(2)}-ink`;
  const [lightness, chroma, hue] = oklch(parseColor(tone.css)!);
  const word = chroma < 0.03 || lightness < 0.01 || lightness > 0.99 ? null : hueWord(lightness, chroma, hue);
  return word === null || word === "grey" ? tone.part : `${word}-${tone.part}`;
}

/** A sheet that all pages with the colours read; one that names some of them already, if there is one. */
function targetFor(site: Site, draft: Draft, held: readonly NamedTone[]): SheetText {
  const spots = draft.tones.flatMap(({ spots: own, references, definition }) => [
    ...own,
    ...references,
    ...(definition ? [definition] : []),
  ]);
  const homes = new Set(held.map(({ definition }) => definition!.path));
  return commonSheet(site, spots, (one) => homes.has(one.file.path) && rootRule(one) !== undefined);
}

/** Where something is put: where names are new, and behind each rule that gives names their values. */
function insertsFor(site: Site, target: SheetText, held: readonly NamedTone[]) {
  const inserts: { sheet: SheetText; names: NamedTone[] }[] = [{ sheet: target, names: [] }];
  for (const tone of held) {
    const file = textFile(site, tone.definition!.path)!;
    const [sheet] = sheetTexts(site, file);
    const known = inserts.find((one) => one.sheet === sheet || one.sheet.file.path === file.path);
    if (known) known.names.push(tone);
    else inserts.push({ sheet: sheet!, names: [tone] });
  }
  return inserts;
}

/** Behind the rule for the root, else at the start of the sheet. */
function placed(sheet: SheetText, body: string): TextChange {
  const { file, offset, text } = sheet;
  const rule = rootRule(sheet);
  const gap = isMinified(text) ? "" : lineEndOf(text);
  if (rule?.kind === "style") {
    if (!rule.closed) throw new EditError(`The rule for the root in ${file.path} is left open.`);
    const at = offset + rule.end;
    return { path: file.path, start: at, end: at, insert: `${gap}${gap}${body}` };
  }
  const { at, before } = sheetStart(sheet);
  return { path: file.path, start: at, end: at, insert: before ? `${gap}${gap}${body}` : `${body}${gap}${gap}` };
}

interface InOwnSheet {
  kind: DraftKind;
  named: readonly NamedTone[];
  rules: readonly DraftTone[];
  changes: readonly TextChange[];
  way: DraftWriting["way"];
  sheet: string;
}

function inOwnSheet(site: Site, { kind, named, rules, changes, way, sheet }: InOwnSheet): SheetPlan {
  const own = named.filter(({ definition }) => definition === null);
  const text = way === "media" ? mediaText(kind, "", own, named, rules) : pairText("", named, rules);
  const pages = pagesOf(site).map(({ path }) => path);
  const made = newSheet(site, { sheet, pages, first: false }, `${text}\n`);
  return { ...made, changes: [...changes, ...made.changes] };
}

/** Names with their values, and under a condition with those they have in the dark. */
function mediaText(
  kind: DraftKind,
  like: string,
  light: readonly NamedTone[],
  dark: readonly NamedTone[],
  rules: readonly DraftTone[],
): string {
  const root: Line[] = [
    ...(kind.scheme ? [["color-scheme", kind.scheme] as const] : []),
    ...dark.map(({ called, counterpart }): Line => [called, counterpart]),
    ...linesFor(":root", rules),
  ];
  const others = othersThan(":root", rules).map(
    ({ rule, counterpart }) => [rule!.selector, [[rule!.property, counterpart] as const]] as const,
  );
  const inside = [...(root.length ? [[":root", root] as const] : []), ...others];
  if (inside.length === 0) return "";
  const names = ruleLike(
    like,
    ":root",
    light.map(({ called, value }): Line => [called, value]),
  );
  return parted(like, [...(light.length ? [names] : []), rulesUnder(like, `@media ${kind.media}`, inside)]);
}

/** Rules one after the other. */
const parted = (like: string, rules: readonly string[]) =>
  rules.join(isMinified(like) ? "" : lineEndOf(like).repeat(2));

/** Names with both values each. */
function pairText(like: string, named: readonly NamedTone[], rules: readonly DraftTone[]): string {
  const pair = ({ value, counterpart }: DraftTone) => `light-dark(${value}, ${counterpart})`;
  const root = rules.filter(({ rule }) => rule!.selector === ":root");
  const lines: Line[] = [
    ["color-scheme", "light dark"],
    ...named.map((tone): Line => [tone.called, pair(tone)]),
    // A ground that the canvas has by itself is none in the light.
    ...root.map(({ rule, part, ...tone }): Line => [
      rule!.property,
      part === "ground"
        ? `light-dark(transparent, ${tone.counterpart})`
        : `light-dark(${tone.value}, ${tone.counterpart})`,
    ]),
  ];
  return parted(like, [
    ruleLike(like, ":root", lines),
    ...othersThan(":root", rules).map((tone) =>
      ruleLike(like, tone.rule!.selector, [[tone.rule!.property, pair(tone)]]),
    ),
  ]);
}

const linesFor = (selector: string, rules: readonly DraftTone[]): Line[] =>
  rules
    .filter(({ rule }) => rule!.selector === selector)
    .map(({ rule, counterpart }): Line => [rule!.property, counterpart]);

const othersThan = (selector: string, rules: readonly DraftTone[]) =>
  rules.filter(({ rule }) => rule!.selector !== selector);
