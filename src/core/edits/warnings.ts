/** What is said of an edit before it is made: what it closes, what beats it, what it sets back. */
import { explain, isSetBack, type Contender } from "../cascade/explain";
import { computedValue, sameValues, type Style } from "../cascade/style";
import { styleWith } from "../cascade/styles";
import { isKnownProperty } from "../cascade/declarations";
import { declaredText } from "../cascade/declared";
import { physicalName, readerOf } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import type { TextOnPage } from "../text/pageTexts";
import { componentsOf, splitAt } from "../source/css/components";
import { openEndOf, sheetEndOf } from "../source/css/open";
import type { AtRule, Item } from "../source/css/syntax";
import { sheetsOfPage, type SheetSource } from "../source/html/sheets";
import { type Site, type TextFile } from "../source/site";
import { groupBy } from "../source/groups";
import { positionAt } from "../source/lines";
import { elementAt, fileAt, ruleAt, sheetForNewRule } from "./locate";
import { hasOwnStyles } from "./newRule";
import type { Edit, Target } from "./types";

/** Says what was open and is closed first. */
export function endWarnings(site: Site, { target, value }: Edit & { kind: "declare" }): string[] {
  if (value === null) return [];
  if (target.kind === "style-attribute") {
    const { element } = elementAt(site, target.element.page, target.element.index);
    const open = openEndOf(element.attributes.get("style") ?? "");
    return open ? [`The style attribute ends inside ${open.what}: that is closed first.`] : [];
  }
  if (target.kind === "rule") {
    const { sheet, rule } = ruleAt(site, target.path, target.start);
    const open = openEndOf(sheet.text.slice(rule.block.start, rule.block.end));
    return open ? [`The rule ends inside ${open.what}: that is closed first.`] : [];
  }
  const file = fileAt(site, target.path);
  const open = file.kind === "css" || hasOwnStyles(site, file) ? sheetEndOf(sheetForNewRule(site, file).text) : null;
  return open ? [`${target.path} ends inside ${open.what}: that is closed first.`] : [];
}

/**
 * Says where the picked text does not come out with what is asked: which rule beats it, or what it comes out with.
 * @param old the picked text as it is, where it is there already @param now as it comes out
 */
export function effectWarnings(
  after: Site,
  edit: Edit & { kind: "declare" },
  old: TextOnPage | null,
  now: TextOnPage,
): string[] {
  if (edit.value === null) return [];
  const off = missedIn(edit, now);
  const beaten = declareWarnings(after, edit, old, now, off);
  return [...(beaten.length ? beaten : proofWarnings(now, off)), ...motionWarnings(after, edit.property, now)];
}

/** Says what moves the picked text otherwise: an animation is stronger while it runs (CSS Animations 1, 3). */
function motionWarnings(after: Site, property: string, { page: { file }, style }: TextOnPage): string[] {
  const own = new Set(shorthands.get(property)?.longhands ?? [property]);
  return [...animationWarnings(after, file, style, property, own), ...holdingWarnings(style, property, own)];
}

/** Says which transition of the picked text keeps it as it is for longer than anybody waits (CSS Transitions 1, 2). */
function holdingWarnings(style: Style, property: string, own: ReadonlySet<string>): string[] {
  const seconds = splitAt(componentsOf(declaredText(style, "transition") ?? ""), ",").flatMap((parts) => {
    const names = parts.flatMap((part) => (part.type === "ident" ? [part.name.toLowerCase()] : []));
    const [, delay] = parts.flatMap((part) =>
      part.type === "dimension" && /^m?s$/.test(part.unit) ? [part.unit === "s" ? part.value : part.value / 1000] : [],
    );
    const isMeant =
      names.every((name) => !isKnownProperty(name)) ||
      names.some((name) => name === "all" || name === property || own.has(name));
    return delay !== undefined && isMeant ? [delay] : [];
  });
  const longest = Math.max(0, ...seconds);
  return longest >= 1 ? [`A transition of the picked text holds it back for ${longest} s.`] : [];
}

/** Says which animation of the picked text sets the property, too. */
function animationWarnings(
  after: Site,
  file: TextFile,
  style: Style,
  property: string,
  own: ReadonlySet<string>,
): string[] {
  const text = `${declaredText(style, "animation") ?? ""} ${declaredText(style, "animation-name") ?? ""}`;
  if (!text.trim()) return [];
  const names = new Set(componentsOf(text).map((part) => (part.type === "ident" ? part.name.toLowerCase() : null)));
  const sets = (items: readonly Item[]): boolean =>
    items.some((item) =>
      item.kind === "declaration"
        ? own.has(item.property) || (shorthands.get(item.property)?.longhands ?? []).some((one) => own.has(one))
        : (item.kind === "style" || item.kind === "at") && sets(item.items),
    );
  return keyframesOf(after, file).flatMap(({ sheet, rule }) =>
    names.has(rule.preludeText.trim().toLowerCase()) && sets(rule.items)
      ? [
          `While the animation ${rule.preludeText.trim()} runs (${sheet.path} line ${positionAt(sheet.text, rule.start).line}), it sets ${property}, too, and is stronger.`,
        ]
      : [],
  );
}

function keyframesOf(site: Site, file: TextFile): { sheet: SheetSource; rule: AtRule }[] {
  const found: { sheet: SheetSource; rule: AtRule }[] = [];
  const walk = (sheet: SheetSource, items: readonly Item[]) => {
    for (const item of items) {
      if (item.kind !== "at") continue;
      if (/^(?:-webkit-)?keyframes$/.test(item.name)) found.push({ sheet, rule: item });
      else walk(sheet, item.items);
    }
  };
  for (const { sheets } of sheetsOfPage(site, file).owners) for (const sheet of sheets) walk(sheet, sheet.items);
  return found;
}

/** The longhands that a declaration is about, as they are called on a text. */
function longhandsOf(property: string, style: Style): string[] {
  const names = readerOf(property) ? [property] : (shorthands.get(property)?.longhands ?? []);
  const [mode, direction] = [computedValue(style, "writing-mode"), computedValue(style, "direction")];
  return names.map((name) => physicalName(name, mode, direction));
}

/**
 * The proof: with the declaration where nothing is stronger, as an important one of its style attribute, the picked text
 * must come out the same. The longhands that do not.
 */
function missedIn({ property, value }: Edit & { kind: "declare" }, { page, style: got }: TextOnPage): string[] {
  if (value === null || property.startsWith("--")) return [];
  const asked = styleWith(page, got, property, value.replace(/\s*!\s*important\s*$/i, ""));
  return longhandsOf(property, asked).filter((name) => computedValue(asked, name) !== computedValue(got, name));
}

function proofWarnings({ style }: TextOnPage, off: readonly string[]): string[] {
  const is = off.slice(0, 3).map((name) => `${name} is ${computedValue(style, name)}`);
  return off.length ? [`The picked text does not come out with it: ${is.join(", ")}.`] : [];
}

/** The selectors of the rule that is made; null where none is. */
function selectorsOf(target: Target): string | null {
  if (target.kind === "new-rule") return target.selector;
  if (target.kind === "class") return `.${target.name}`;
  return target.kind === "id" ? `#${target.name}` : null;
}

/**
 * Says which rule beats what was written, for the element the edit is meant for.
 * @param off longhands that do not come out as asked
 */
function declareWarnings(
  after: Site,
  { property, target }: Edit & { kind: "declare" },
  old: TextOnPage | null,
  { page, style }: TextOnPage,
  off: readonly string[],
): string[] {
  const selectors = selectorsOf(target);
  const isOwn = (one: Contender) => {
    if (target.kind === "style-attribute") return one.attached;
    // A rule's start stays where it is: what is written comes after it.
    if (target.kind === "rule") return one.place?.path === target.path && one.place.rule === target.start;
    return one.place?.path === target.path && one.selector === selectors;
  };
  const names = longhandsOf(property, style);
  const lost = names.flatMap((name) => {
    const { contenders, from } = explain(after, page, style, name);
    const winner = contenders.find((one) => one.lost === null);
    if (!winner || isOwn(winner)) return [];
    const isBeaten = contenders.some(isOwn);
    return isBeaten || from === "declared" ? [{ name, isBeaten, winner: describe(winner) }] : [];
  });
  const [first] = lost;
  if (!first) return [];
  if (lost.length < names.length) {
    const some = groupBy(
      lost.filter(({ name }) => off.includes(name)),
      ({ winner }) => winner,
    );
    return [...some].map(([winner, own]) => `${winner} beats it for ${own.map(({ name }) => name).join(", ")}.`);
  }
  const stays = old !== null && sameValues(old.style, style);
  const what = first.isBeaten ? `${first.winner} beats it` : `The picked text takes ${property} from ${first.winner}`;
  return [
    `${what}, ${stays ? "so the picked text does not change" : "so the picked text changes only with what it stands in"}.`,
  ];
}

/** Says what a shorthand sets back that another declaration had given the element the edit is meant for. */
export function resetWarnings(
  before: Site,
  after: Site,
  { property, value }: Edit & { kind: "declare" },
  old: TextOnPage,
  now: TextOnPage,
): string[] {
  const all = shorthands.get(property)?.longhands;
  if (value === null || !all) return [];
  const { style } = now;
  return all.flatMap((name) => {
    const winner = style.shared.winners.get(name);
    if (!winner || !isSetBack(winner) || computedValue(style, name) === computedValue(old.style, name)) return [];
    const had = explain(before, old.page, old.style, name).contenders.find(
      ({ lost, origin }) => lost === null && origin === "author",
    );
    return had && had.property !== property
      ? [
          `${property} sets ${name} back to ${computedValue(style, name)}; ${describe(had)} had made it ${computedValue(old.style, name)}.`,
        ]
      : [];
  });
}

function describe({ selector, attached, place, important }: Contender): string {
  const where = place ? ` in ${place.path} line ${place.line}` : "";
  return `${attached ? "the style attribute" : selector}${where}${important ? " (!important)" : ""}`;
}
