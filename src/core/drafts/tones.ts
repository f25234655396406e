/** The colours of a site by what they are there for, and which of them make the contrast of each text. */
import { spotOf } from "../cascade/explain";
import type { Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import type { Winner } from "../cascade/blocks";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { backgroundColor, backgroundImages } from "../ground/backgrounds";
import { inTaken, rootRule } from "../palette/properties";
import { referenceSpots, type ReferenceSpot } from "../palette/references";
import { colorSpots, type ColorSpot } from "../palette/values";
import { declarationsOfSite, sheetTexts } from "../source/declarations";
import type { Item } from "../source/css/syntax";
import { groupBy, append } from "../source/groups";
import { pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { activeTone, canvasTone, linkTone, rootTone, visitedTone } from "./given";
import type { Part, Tone, TonedText } from "./types";

export interface Tones {
  tones: Tone[];
  /** Tones that a declaration gives, by its path and offset. */
  byDeclaration: ReadonlyMap<string, readonly string[]>;
}

const keyOf = ({ path, declaration }: { path: string; declaration: number }) => `${path}:${declaration}`;

/** Rules that are for paper, or for readers with wishes of their own, keep their colours. */
const apart = /\bprint\b|prefers-color-scheme|prefers-contrast|forced-colors/i;

/** The colours of a site by part; those of one custom property, or written alike, are one. */
export function tonesOf(site: Site): Tones {
  const isApart = apartIn(site);
  const all = inTaken(site, colorSpots(site));
  const references = referenceSpots(site).filter((spot) => !isApart(spot));
  const uses = usesOfNames(references, aliasesIn(site));
  const definitions = groupBy(
    all.filter(({ role }) => role === "named"),
    ({ property }) => property,
  );
  const gathered = new Gathered();
  for (const spot of all) {
    if (isApart(spot) || spot.css === null || parseColor(spot.css)?.alpha === 0) continue;
    if (spot.role !== "named") gathered.addPlain(spot);
    else {
      const isName = definitions.get(spot.property)!.length === 1 && definesRoot(site, spot);
      gathered.addNamed(spot, uses(spot.property), isName);
    }
  }
  return gathered.tones();
}

/** Tones while spots are put to them. */
class Gathered {
  private readonly byId = new Map<string, Tone>();
  private readonly byDeclaration = new Map<string, string[]>();

  /** A colour written where it is used. */
  addPlain(spot: ColorSpot): void {
    const part = partOf(spot.role);
    const tone = this.tone(`${part} ${spot.css}`, part, spot);
    tone.spots.push(spot);
    this.give(keyOf(spot), tone);
  }

  /** A colour that a custom property holds. @param isName whether it is that name's only value, for the root alone */
  addNamed(spot: ColorSpot, { parts, places }: NameUses, isName: boolean): void {
    const main = (["ground", "ink", "edge", "shadow"] as const).find((part) => parts.has(part));
    if (!main) return;
    const tone = this.tone(isName ? spot.property : `${main} ${spot.css}`, main, spot);
    if (isName) Object.assign(tone, { name: spot.property, definition: spot });
    else tone.spots.push(spot);
    // A name that holds a ground and an ink is two: they go opposite ways.
    const splits = isName && main === "ground";
    for (const { declaration, part, reference, isPlain } of places) {
      if (splits && part === "ink" && isPlain && reference.at) {
        const ink = this.tone(`ink ${spot.property}`, "ink", spot);
        const at = { path: reference.path, ...reference.at };
        if (!ink.references.some(({ path, start }) => path === at.path && start === at.start)) ink.references.push(at);
        this.give(declaration, ink);
      } else this.give(declaration, tone);
    }
  }

  tones(): Tones {
    const tones = [...this.byId.values()].map((tone) => ({ ...tone, words: wordsFor(tone) }));
    return { tones, byDeclaration: this.byDeclaration };
  }

  private give(declaration: string, { id }: Tone): void {
    this.byDeclaration.set(declaration, [...(this.byDeclaration.get(declaration) ?? []), id]);
  }

  private tone(id: string, part: Part, { value, css }: ColorSpot): Tone {
    let tone = this.byId.get(id);
    if (!tone) {
      const none = { name: null, definition: null, rule: null, words: "" };
      tone = { id, part, value, css: css!, spots: [], references: [], ...none };
      this.byId.set(id, tone);
    }
    return tone;
  }
}

const partOf = (role: ColorSpot["role"]): Part =>
  role === "ground" || role === "edge" || role === "shadow" ? role : "ink";

function wordsFor({ part, spots, name, definition, references }: Tone): string {
  if (name !== null && definition) return `${part}, as ${name}`;
  const selectors = [...new Set(spots.map(({ selector }) => selector))];
  if (selectors.length === 0)
    return `${part}, at ${references.length === 1 ? "one place" : `${references.length} places`}`;
  const shown = selectors.slice(0, 3).join(", ");
  return `${part} of ${shown}${selectors.length > 3 ? ` and ${selectors.length - 3} more` : ""}`;
}

/** Where the colours of a custom property end up. */
interface NameUses {
  parts: ReadonlySet<Part>;
  /** The reference there, or one that leads there, and whether it may be given to another name. */
  places: { declaration: string; part: Part; reference: ReferenceSpot; isPlain: boolean }[];
}

/** @param isAlias whether a custom property is another name for one, and for the root alone */
function usesOfNames(
  references: readonly ReferenceSpot[],
  isAlias: (name: string) => boolean,
): (name: string) => NameUses {
  const byName = groupBy(references, ({ name }) => name);
  const known = new Map<string, NameUses>();
  const usesOf = (name: string): NameUses => {
    let uses = known.get(name);
    if (uses) return uses;
    known.set(name, { parts: new Set(), places: [] });
    const places = (byName.get(name) ?? []).flatMap((reference): NameUses["places"] => {
      const { property } = reference;
      if (!property.startsWith("--"))
        return [{ declaration: keyOf(reference), part: partOfProperty(property), reference, isPlain: true }];
      const inner = usesOf(property);
      // A name that is never a ground is given the other name where it is set, whatever else sets it.
      if (!inner.parts.has("ground")) return inner.places.map((place) => ({ ...place, reference, isPlain: true }));
      const isPlain = isAlias(property);
      return inner.places.map((place) => ({ ...place, isPlain: place.isPlain && isPlain }));
    });
    uses = { parts: new Set(places.map(({ part }) => part)), places };
    known.set(name, uses);
    return uses;
  };
  return usesOf;
}

/** Custom properties that are defined once, for the root alone, as no more than another one. */
function aliasesIn(site: Site): (name: string) => boolean {
  const definitions = groupBy(
    [...declarationsOfSite(site)].filter(({ declaration }) => declaration.property.startsWith("--")),
    ({ declaration }) => declaration.property,
  );
  return (name) => {
    const [only, more] = definitions.get(name) ?? [];
    if (!only || more || !/^var\(\s*--[^\s,()]+\s*\)$/.test(only.declaration.valueText)) return false;
    return definesRoot(site, { path: only.file.path, start: only.offset + only.declaration.start });
  };
}

function partOfProperty(property: string): Part {
  if (property.startsWith("background")) return "ground";
  if (/^(?:border|outline|column-rule)/.test(property)) return "edge";
  return property.endsWith("shadow") || property === "filter" ? "shadow" : "ink";
}

/** Whether a custom property is defined in a rule for the root alone, under no condition, in a sheet. */
function definesRoot(site: Site, { path, start }: { path: string; start: number }): boolean {
  const file = textFile(site, path);
  if (file?.kind !== "css") return false;
  return sheetTexts(site, file).some((sheet) => {
    const rule = rootRule(sheet);
    return rule !== undefined && rule.start <= start && start < rule.end;
  });
}

/** Whether something stands in a rule that keeps its colours. */
function apartIn(site: Site): (spot: { path: string; declaration: number }) => boolean {
  const spans = new Map<string, { start: number; end: number }[]>();
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    const found: { start: number; end: number }[] = [];
    const walk = (items: readonly Item[], offset: number) => {
      for (const item of items) {
        if (item.kind !== "at" && item.kind !== "style") continue;
        if (item.kind === "at" && apart.test(item.preludeText))
          found.push({ start: offset + item.start, end: offset + item.end });
        else walk(item.items, offset);
      }
    };
    for (const { items, offset, media, text } of sheetTexts(site, file))
      if (apart.test(media)) found.push({ start: offset, end: offset + text.length });
      else walk(items, offset);
    spans.set(file.path, found);
  }
  return ({ path, declaration }) =>
    spans.get(path)?.some(({ start, end }) => start <= declaration && declaration < end) ?? false;
}

/** Texts of pages by what makes their contrast, in steps, a page each. Those that are not judged are left out. */
export function* tonedTexts(pages: Iterable<KnownPage>, { byDeclaration }: Tones): Generator<void, TonedText[]> {
  const alike = new Map<string, TonedText>();
  for (const page of pages) {
    for (const style of textsOf(page)) {
      const { ground, ink, ratio, needs, verdict } = legibilityOn(page, style, {});
      if (verdict === "unjudged") continue;
      const { tones: grounds, onPicture, onCanvas } = groundsOf(page, style, byDeclaration);
      const inkTones = inkTonesOf(page, style, byDeclaration);
      const groundTones = onCanvas ? [...grounds, canvasTone] : grounds;
      const key = JSON.stringify([
        inkTones,
        groundTones,
        cssColor(ink),
        cssColor(ground.color),
        ratio,
        needs,
        onPicture,
      ]);
      const known = alike.get(key);
      if (known) known.places.push(refOf(page.file.path, style));
      else
        alike.set(key, {
          places: [refOf(page.file.path, style)],
          ratio,
          needs,
          passes: ratio >= needs,
          ground: ground.color,
          ink,
          inkTones,
          groundTones,
          onPicture,
        });
    }
    yield;
  }
  return [...alike.values()];
}

type ByDeclaration = Tones["byDeclaration"];

function tonesOfWinner(page: KnownPage, { element }: Style, winner: Winner, given: ByDeclaration): readonly string[] {
  const spot = spotOf(page, element, winner.block, winner.declaration);
  return spot ? (given.get(`${spot.path}:${spot.offset}`) ?? []) : [];
}

function inkTonesOf(page: KnownPage, style: Style, given: ByDeclaration): readonly string[] {
  for (const property of ["-webkit-text-fill-color", "color"])
    for (let holder: Style | null = style; holder; holder = holder.parent) {
      const winner = holder.shared.winners.get(property);
      if (!winner) continue;
      if (/^(?:inherit|unset|currentcolor)$/i.test(winner.declaration.valueText.trim())) {
        if (holder.parent) continue;
        return [rootTone];
      }
      if (winner.block.origin !== "browser")
        return tonesOfWinner(page, holder, winner, given).filter((id) => !id.startsWith("shadow"));
      if (holder.element.tag === "a") return [givenTone(winner.block.match?.rule.entry.rule.preludeText ?? "")];
      break;
    }
  return [];
}

/** The ink of links that a rule of the browser gives. */
function givenTone(selector: string): string {
  if (selector.includes(":active")) return activeTone;
  return selector.includes(":visited") ? visitedTone : linkTone;
}

/** The tones of all that lies under a text, up to what is opaque. */
function groundsOf(page: KnownPage, style: Style, given: ByDeclaration) {
  const tones: string[] = [];
  let onPicture = false;
  for (let holder: Style | null = style; holder; holder = holder.parent) {
    const color = backgroundColor(holder).alpha ?? 0;
    const images = backgroundImages(holder).filter(({ image, clip }) => image && clip !== "text");
    if (images.length) {
      const winner = holder.shared.winners.get("background-image");
      if (winner && winner.block.origin !== "browser") append(tones, tonesOfWinner(page, holder, winner, given));
      onPicture ||= /url\(|image-set\(/i.test(winner?.declaration.valueText ?? "");
    }
    if (color > 0) {
      const winner = holder.shared.winners.get("background-color");
      if (winner && winner.block.origin !== "browser") append(tones, tonesOfWinner(page, holder, winner, given));
      if (color >= 1) return { tones: unique(tones), onPicture, onCanvas: false };
    }
  }
  return { tones: unique(tones), onPicture, onCanvas: true };
}

const unique = (ids: readonly string[]) => [...new Set(ids)];
