/** Why a property of an element has the value it has. */
import { append } from "../source/groups";
import { attributeSource } from "../source/html/attributeSource";
import { componentsOf, soleKeyword, type Component } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import type { ElementNode } from "../source/html/document";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import { prepare } from "./declarations";
import { winWords, type Loss } from "./losses";
import { isWide } from "./wide";
import { unmetCondition, type UnmetCondition } from "./inForce";
import { matchInScope, scopeRootOf, type Match } from "./pageRules";
import { aliases, longhandIndex, longhands } from "./properties";
import { layerPrefix, layerWithin, shownLayer } from "./layerOrder";
import { shorthands } from "./properties/shorthands";
import { isEntry, rulesOf, type RuleEntry } from "./rules";
import type { SheetSource } from "../source/html/sheets";
import type { Block, Winner } from "./blocks";
import { computedValue, type Style } from "./style";
import { matchingFor, type StyledPage } from "./styles";

/** Where a declaration stands. Offsets are UTF-16 units of the file's text. */
export interface DeclarationPlace {
  path: string;
  line: number;
  column: number;
  /** Of the declaration; in a style attribute, of the attribute. */
  offset: number;
  /** Start of the rule it stands in; null in a style attribute. */
  rule: number | null;
}

export interface Contender {
  /** As declared: a longhand or the shorthand that sets it. */
  property: string;
  value: string;
  important: boolean;
  /** The selector that matched; "style attribute", "attribute" (a presentational hint) or "browser" otherwise. */
  selector: string;
  specificity: readonly [number, number, number] | null;
  layer: string | null;
  origin: "author" | "hint" | "browser";
  attached: boolean;
  place: DeclarationPlace | null;
  /** Where the declaration can be switched off: an offset of the file, or of the style attribute of an element. */
  switch: { path: string; start: number; element: number | null } | null;
  /** Why it loses to the one that wins; null for that one. */
  lost: Loss | null;
}

export interface Explanation {
  property: string;
  computed: string;
  /**
   * The winning value as written, taken out of its shorthand where that can be done; null when nothing sets it
   * or a shorthand sets it back by leaving it out.
   */
  written: string | null;
  /** Whether the one that wins is a shorthand that leaves it out. */
  setBack: boolean;
  from: "declared" | "inherited" | "initial";
  /** The ancestor the value is inherited from. */
  inheritedFrom: number | null;
  /** The one that wins first, then those it beat, strongest first. */
  contenders: Contender[];
  /** Why it is so: what follows the value in a sentence. */
  reason: string;
}

/** @param style of the element, or of a pseudo-element of it */
export function explain(site: Site, page: StyledPage, style: Style, property: string): Explanation {
  const at = longhandIndex.get(property);
  if (at === undefined) throw new RangeError(`${property} is not a longhand that is computed.`);
  const computed = computedValue(style, property);
  let holder: Style | null = style;
  let winner = holder.shared.winners.get(property) ?? null;
  const inherited = longhands[at]!.inherited;
  while (holder && inherits(winner, inherited)) {
    holder = holder.parent;
    winner = holder?.shared.winners.get(property) ?? null;
  }
  if (!holder || !winner) {
    const unmet = outOfForce(site, page, style, property);
    return {
      property,
      computed,
      written: null,
      setBack: false,
      from: "initial",
      inheritedFrom: null,
      contenders: unmet,
      reason: `: nothing sets it${unmet.length ? " here" : ""}.`,
    };
  }
  const contenders: Contender[] = [];
  const first = contenderOf(site, page, holder.element, winner, null);
  contenders.push(first);
  for (let next = winner.beaten; next; next = next.beaten) {
    contenders.push(contenderOf(site, page, holder.element, next, lossOf(next, winner)));
  }
  append(contenders, outOfForce(site, page, holder, property));
  const from = holder === style ? "declared" : "inherited";
  return {
    property,
    computed,
    written: writtenValue(winner),
    setBack: isSetBack(winner),
    from,
    inheritedFrom: from === "inherited" ? holder.element.index : null,
    contenders,
    reason: reasonFor(contenders, from === "inherited" ? holder.element : null),
  };
}

/** Declarations of rules that match but whose conditions do not hold, last first. */
function outOfForce(site: Site, page: StyledPage, { element, pseudo }: Style, property: string): Contender[] {
  const found: Contender[] = [];
  const context = matchingFor(page.document, page.conditions);
  for (const { sheet, step, unmet, declaration } of waitingOn(page).get(property) ?? []) {
    const root = scopeRootOf(sheet, page.document);
    const selector = step.selectors.find(
      (one) =>
        one.pseudoElement === pseudo && matchInScope(step.conditions.scopes, root, one, element, context) !== null,
    );
    if (!selector) continue;
    const offset = sheet.offset + declaration.start;
    const where = positionAt(textFile(site, sheet.path)?.text ?? sheet.text, offset);
    found.unshift({
      property: declaration.property,
      value: declaration.valueText,
      important: declaration.important,
      selector: step.rule.preludeText.replace(/\s+/g, " "),
      specificity: selector.specificity,
      layer: shownLayer(layerWithin(layerPrefix(sheet, 0), step.layer)),
      origin: "author",
      attached: false,
      place: { path: sheet.path, offset, rule: sheet.offset + step.rule.start, ...where },
      switch: { path: sheet.path, start: offset, element: null },
      lost: { kind: "condition", unmet },
    });
  }
  return found;
}

interface Waiting {
  sheet: SheetSource;
  step: RuleEntry;
  unmet: UnmetCondition;
  /** The last of the rule that sets the longhand. */
  declaration: Declaration;
}

const waiting = new WeakMap<StyledPage, Map<string, Waiting[]>>();

/** Of rules whose conditions do not hold, what they would set, by longhand, in the order of the sheets. */
function waitingOn(page: StyledPage): Map<string, Waiting[]> {
  const known = waiting.get(page);
  if (known) return known;
  const byLonghand = new Map<string, Waiting[]>();
  for (const sheet of page.sheets.owners.flatMap((owner) => owner.sheets)) {
    for (const step of rulesOf(sheet.items).steps) {
      const unmet = isEntry(step) ? unmetCondition(step.conditions, sheet, page.conditions) : null;
      if (!isEntry(step) || !unmet) continue;
      const last = new Map<string, Declaration>();
      for (const declaration of step.declarations)
        for (const name of longhandsOf(declaration)) last.set(name, declaration);
      for (const [name, declaration] of last) {
        const list = byLonghand.get(name);
        if (list) list.push({ sheet, step, unmet, declaration });
        else byLonghand.set(name, [{ sheet, step, unmet, declaration }]);
      }
    }
  }
  waiting.set(page, byLonghand);
  return byLonghand;
}

function longhandsOf(declaration: Declaration): string[] {
  const prepared = prepare(declaration.property, declaration.valueText);
  return prepared.kind === "longhands" ? prepared.entries.map(([name]) => name) : [];
}

function inherits(winner: Winner | null, inherited: boolean): boolean {
  if (!winner) return inherited;
  const { given } = winner;
  return given.kind === "wide" && (given.keyword === "inherit" || (given.keyword === "unset" && inherited));
}

/** The part of a declaration's value that sets a longhand. */
function writtenValue({ declaration, given, name }: Winner): string | null {
  const { valueText } = declaration;
  const span = valueSpan(declaration, name);
  if (span) return valueText.slice(span.start, span.end);
  if (given.kind === "wide" && isReset(declaration)) return null;
  return given.kind === "value" ? composed(declaration, name) : valueText;
}

/** What a shorthand of several layers sets a longhand to, put together from them; null where it names none of it. */
function composed({ property, valueText }: Declaration, longhand: string): string | null {
  const whole = componentsOf(valueText);
  const expanded = shorthands.get(aliases[property] ?? property)?.expand(whole);
  if (!expanded) return valueText;
  const parts = expanded[longhand];
  if (!parts) return null;
  const isOwn = (part: Component) => whole.includes(part);
  if (!parts.some((part) => isOwn(part) && !isComma(part))) return null;
  const text = (part: Component) => {
    if (isOwn(part)) return valueText.slice(part.start, part.end);
    if (isComma(part)) return ",";
    return part.type === "ident" ? part.name : null;
  };
  const texts = parts.map(text);
  return texts.includes(null) ? valueText : texts.join(" ").replaceAll(" ,", ",");
}

const isComma = (part: Component) => part.type === "delim" && part.value === ",";

/** Whether a declaration is a shorthand that sets back what it does not name. */
function isReset(declaration: Declaration): boolean {
  return (
    prepare(declaration.property, declaration.valueText).kind === "longhands" &&
    !isWide(soleKeyword(componentsOf(declaration.valueText)))
  );
}

/**
 * Where in a declaration's value the part for a longhand stands, offsets into the value's text.
 * The whole value for a longhand; null when a shorthand leaves the longhand out or cannot be taken apart.
 */
export function valueSpan(declaration: Declaration, longhand: string): { start: number; end: number } | null {
  const name = aliases[declaration.property] ?? declaration.property;
  const shorthand = shorthands.get(name);
  if (!shorthand) return { start: 0, end: declaration.valueText.length };
  const parts = shorthand.expand(componentsOf(declaration.valueText))?.[longhand];
  if (!parts?.length) return null;
  const start = parts[0]!.start;
  const end = parts[parts.length - 1]!.end;
  // Values that the shorthand made up are not from this text.
  const whole = componentsOf(declaration.valueText);
  if (!parts.every((part) => whole.includes(part))) return null;
  // Other parts may stand between those of several layers.
  const between = whole.filter((part) => part.start >= start && part.end <= end);
  return between.length === parts.length ? { start, end } : null;
}

/** Where a block comes from: its selector, an attribute, the browser. */
function originOf({ attached, origin, match }: Block): string {
  if (attached) return "style attribute";
  if (origin === "hint") return "attribute";
  return match?.rule.entry.rule.preludeText.replace(/\s+/g, " ") ?? "browser";
}

function contenderOf(site: Site, page: StyledPage, element: ElementNode, winner: Winner, lost: Loss | null): Contender {
  const { block, declaration } = winner;
  const place = placeOf(site, page, element, block, declaration);
  return {
    property: declaration.property,
    value: declaration.valueText,
    important: declaration.important,
    selector: originOf(block),
    specificity: block.match?.specificity ?? null,
    layer: shownLayer(block.match?.rule.layer ?? null),
    origin: block.origin,
    attached: block.attached,
    place,
    switch: place && {
      path: place.path,
      start: block.attached ? declaration.start : place.offset,
      element: block.attached ? element.index : null,
    },
    lost,
  };
}

/** Where a declaration stands in its file; for a style attribute, in the page. Null for the browser's own and for hints. */
export function spotOf(
  page: StyledPage,
  element: ElementNode,
  block: Block,
  declaration: Declaration,
): { path: string; offset: number; rule: number | null } | null {
  if (block.attached) {
    const attribute = attributeSource(page.file.text, element, "style");
    return attribute && { path: page.file.path, offset: attribute.raw.start + declaration.start, rule: null };
  }
  if (!block.match) return null;
  const { sheet, entry } = ruleNow(page, block.match);
  if (!sheet) return null;
  const now = entry.declarations[block.match.rule.entry.declarations.indexOf(declaration)] ?? declaration;
  return { path: sheet.path, offset: sheet.offset + now.start, rule: sheet.offset + entry.rule.start };
}

function placeOf(
  site: Site,
  page: StyledPage,
  element: ElementNode,
  block: Block,
  declaration: Declaration,
): DeclarationPlace | null {
  if (block.attached) {
    const span = element.source?.attributes.get("style");
    if (!span) return null;
    return { path: page.file.path, offset: span.start, rule: null, ...positionAt(page.file.text, span.start) };
  }
  const spot = spotOf(page, element, block, declaration);
  return spot && { ...spot, ...positionAt(textFile(site, spot.path)?.text ?? "", spot.offset) };
}

/**
 * A rule as it stands in this version of the page, and its sheet (null for the browser's own): styles kept from
 * another version know it at its older place.
 */
export function ruleNow({ rules }: StyledPage, match: Match): { entry: RuleEntry; sheet: SheetSource | null } {
  const { entry, sheet } = rules.set.byId.get(match.rule.id)!;
  return { entry, sheet: rules.sheets[sheet] ?? null };
}

function lossOf(loser: Winner, winner: Winner): Loss {
  if (loser.declaration.important !== winner.declaration.important) return { kind: "importance" };
  const { origin } = loser.block;
  if (origin !== winner.block.origin) return { kind: "origin", origin: origin === "browser" ? "browser" : "hint" };
  if (loser.block.attached !== winner.block.attached) return { kind: "attachment" };
  const [x, y] = [loser.block.match, winner.block.match];
  if (x && y) {
    if (x.rule.layerRank !== y.rule.layerRank) return { kind: "layer", layer: shownLayer(x.rule.layer) };
    if (x.specificity.some((part, at) => part !== y.specificity[at])) return { kind: "specificity" };
    if (x.proximity !== y.proximity) return { kind: "proximity" };
  }
  return isSetBack(winner) ? { kind: "set back", shorthand: winner.declaration.property } : { kind: "order" };
}

/** Whether a declaration gives a longhand its initial value only by leaving it out. */
export function isSetBack({ declaration, given, name }: Winner): boolean {
  const isShorthand = shorthands.has(aliases[declaration.property] ?? declaration.property);
  if (!isShorthand || given.kind === "pending" || !isReset(declaration)) return false;
  return valueSpan(declaration, name) === null && composed(declaration, name) === null;
}

const describe = (one: Contender) => {
  if (one.origin === "browser") return "the browser's own sheet";
  if (!one.place) return one.selector;
  if (one.attached) return `the style attribute in ${one.place.path} line ${one.place.line}`;
  return `\`${one.selector}\` in ${one.place.path} line ${one.place.line}`;
};

function reasonFor(contenders: readonly Contender[], from: ElementNode | null): string {
  const [first, second] = contenders.filter(({ lost }) => lost?.kind !== "condition");
  const start = from ? `, inherited from ${from.tag}` : "";
  if (!first) return `${start}.`;
  if (!second?.lost || second.origin === "browser") return `${start}, from ${describe(first)}.`;
  return `${start}, because ${describe(first)} ${winWords(second.lost, describe(second))}.`;
}
