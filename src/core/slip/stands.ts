/** The grounds that texts of one ink stand on, and the inks that stand on one ground. */
import { append } from "../source/groups";
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { spotOf } from "../cascade/explain";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { computedValue, valueOf, type Style } from "../cascade/style";
import { paintOver } from "../color/contrast";
import { cssColor } from "../color/format";
import type { Need } from "../color/ladder";
import type { Color } from "../color/types";
import { black, inkOf, white } from "../ground/backgrounds";
import { overGround, type OverGround } from "../ground/layers";
import { movedLayout, textId } from "../ground/layout";
import { textAt, type TextOnPage } from "../text/pageTexts";
import { refsAfter } from "../text/refAfter";
import { groundName } from "../ground/name";
import { layoutAfter } from "../ground/under";
import { legibilityOf } from "../ground/ground";
import type { Legibility } from "../ground/types";
import type { TextChange } from "../source/changes";
import { finished } from "../source/steps";
import { pagesOf, type Site } from "../source/site";
import { groundFrom, isPlace, legibility, legibilityOn, roleName, type Layouts } from "../text/textStyles";

/** One ground, with the places of an ink on it. */
export interface StandsOn {
  /** What it is, for people: "white, the canvas". */
  name: string;
  css: string;
  range: [string, string] | null;
  certain: boolean;
  /** What an ink has to be read against there: the ends of the ground, where it varies. */
  needs: Need[];
  ratio: number;
  passes: boolean;
  places: ElementRef[];
}

/** One ink on a ground that an edit changes. */
export interface InkOn {
  role: string;
  ink: string;
  before: number;
  after: number;
  needs: number;
  places: ElementRef[];
}

/** The grounds under those of the places that have the same ink as the first. */
export function groundsUnder(
  site: Site,
  picked: ElementRef,
  places: readonly ElementRef[],
  conditions: Conditions,
  layouts: Layouts,
): StandsOn[] {
  const own = textAt(site, picked, conditions);
  if (!own) return [];
  const ink = computedValue(own.style, "color");
  const found = new Map<string, StandsOn>();
  const seen = new Set<string>();
  for (const ref of [picked, ...places]) {
    const name = `${ref.page}\n${textId(ref.index, ref.pseudo ?? null)}`;
    const one = seen.has(name) ? null : textAt(site, ref, conditions);
    seen.add(name);
    if (!one || computedValue(one.style, "color") !== ink) continue;
    const legibility = legibilityOn(one.page, one.style, layouts);
    const { ground, needs, ratio, passes } = legibility;
    const range: [string, string] | null = ground.range ? [cssColor(ground.range[0]), cssColor(ground.range[1])] : null;
    // Gradients differ a little under every text: what makes them is what they are known by.
    const key = JSON.stringify([
      range ? [ground.kind, ground.from, ref.page] : cssColor(ground.color),
      needs,
      ground.certain,
    ]);
    const known = found.get(key);
    if (!known) {
      found.set(key, {
        name: groundName(ground, one.page.styles),
        css: cssColor(ground.color),
        range,
        certain: ground.certain,
        needs: needsOf(one, legibility, layouts),
        ratio,
        passes,
        places: [ref],
      });
      continue;
    }
    known.places.push(ref);
    if (ratio < known.ratio) [known.ratio, known.passes] = [ratio, passes];
    if (range) append(known.needs, needsOf(one, legibility, layouts));
  }
  return [...found.values()];
}

/** An ink that stands on the picked text's ground. */
export interface InkThere {
  role: string;
  css: string;
  needs: number;
  ratio: number;
  passes: boolean;
  /** The darkest and the lightest of the ground under it, where that varies; else what it is. */
  ends: readonly string[];
  /** How it comes out over the ground, whatever colour that is given; several where what lies between them varies. */
  over: readonly OverGround[];
  places: ElementRef[];
}

/** The picked text's ink over a ground of its own, which it may not have yet. */
export function ownInk(site: Site, picked: ElementRef, conditions: Conditions, layouts: Layouts): InkThere[] {
  const own = textAt(site, picked, conditions);
  if (!own) return [];
  const { page, style } = own;
  const { ground, ratio, needs, passes } = legibilityOn(page, style, layouts);
  const ends = (ground.range ?? [ground.color]).map(cssColor);
  const over = overGround(style, style);
  return [{ role: roleName(style), css: cssColor(inkOf(style)), needs, ratio, passes, ends, over, places: [picked] }];
}

/**
 * The inks of all texts of the site that stand on what the same rule gives as the picked one, whatever lies between;
 * where it is a gradient or a picture, on whatever part of it.
 */
export function inksOn(site: Site, picked: ElementRef, conditions: Conditions, layouts: Layouts): InkThere[] {
  const own = textAt(site, picked, conditions);
  if (!own) return [];
  const { ground } = legibilityOn(own.page, own.style, layouts);
  const from = groundFrom(own.page, own.style, ground);
  const giver = giverOf(own.page, from);
  const varies = from !== null && valueOf(own.page.styles[from]!, "background-image").some((image) => image !== null);
  const found = new Map<string, InkThere>();
  for (const file of pagesOf(site)) {
    const page = styledPage(site, file, conditions);
    for (const style of page.styles) {
      if (!isPlace(style)) continue;
      const { ground: there, ratio, needs, passes } = legibilityOn(page, style, layouts);
      const holder = groundFrom(page, style, there);
      if (giverOf(page, holder) !== giver) continue;
      if (from === null && cssColor(there.color) !== cssColor(ground.color)) continue;
      const ink = cssColor(inkOf(style));
      const ends = (there.range ?? [there.color]).map(cssColor);
      const over = overGround(style, holder === null ? null : page.styles[holder]!);
      const key = JSON.stringify([ink, needs, varies ? ends : [], over]);
      const known = found.get(key);
      const ref = { page: file.path, index: style.element.index };
      if (known) known.places.push(ref);
      else found.set(key, { role: roleName(style), css: ink, needs, ratio, passes, ends, over, places: [ref] });
    }
  }
  return [...found.values()].sort((a, b) => a.ratio / a.needs - b.ratio / b.needs);
}

/** The declaration that gives an element its ground, as one text; the canvas has none. */
function giverOf(page: KnownPage, index: number | null): string {
  if (index === null) return "canvas";
  const { shared, element } = page.styles[index]!;
  const winner = shared.winners.get("background-color");
  const spot = winner && spotOf(page, element, winner.block, winner.declaration);
  return spot ? `${spot.path}:${spot.offset}` : `${page.file.path}:${index}`;
}

/** Opacity of the groups a text is in between it and the element that gives its ground. */
function opacityOver(style: Style, ground: number | null): number {
  let opacity = 1;
  for (let current: Style | null = style; current && current.element.index !== ground; current = current.parent)
    opacity *= valueOf(current, "opacity");
  return opacity;
}

/** What any ink would have to be read against: found by painting black and white, which tells how much of the ink comes through. */
function needsOf({ page, style }: TextOnPage, { needs, ground }: Legibility, layouts: Layouts): Need[] {
  const layout = layouts[page.file.path]?.[textId(style.element.index, style.pseudo)] ?? null;
  const inked = (ink: Color) => legibilityOf(style, layout, page.styles, ink);
  // Where the ground varies, black and white have their worst at different points: the opacities between are multiplied.
  if (ground.range) return ground.range.map((color) => ({ color, needs, opacity: opacityOver(style, ground.from) }));
  const [dark, light] = [inked(black), inked(white)];
  const opacity = Math.min(1, Math.max(0, (light.ink.channels[0] ?? 0) - (dark.ink.channels[0] ?? 0)));
  if (opacity > 0.999) return [{ color: ground.color, needs }];
  // ink · opacity + rest = what is seen, so what it is painted over is rest / (1 − opacity).
  const rest = dark.ink.channels.map((value) => (value ?? 0) / (1 - opacity)) as [number, number, number];
  return [{ color: ground.color, needs, opacity, under: { space: "srgb", channels: rest, alpha: 1 } }];
}

/** What an edit does to contrast: the texts that were enough and are not any more, and those that come to be. */
export interface Judged {
  falls: InkOn[];
  rises: InkOn[];
}

/** @param after the site with the changes @param reach places that they touch, as they are counted before */
export function judgeChange(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  reach: readonly ElementRef[],
  conditions: Conditions,
  layouts: Layouts,
): Judged {
  return finished(judgeSteps(before, after, changes, reach, conditions, layouts));
}

/** Texts judged between two steps. */
const inOneStep = 100;

/** The same in steps. */
export function* judgeSteps(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  reach: readonly ElementRef[],
  conditions: Conditions,
  layouts: Layouts,
): Generator<void, Judged> {
  const later = conditionsAfter(conditions, before, after, changes);
  const placeAfter = refsAfter(before, after, changes);
  const falls = new Map<string, InkOn>();
  const rises = new Map<string, InkOn>();
  for (const [at, ref] of reach.entries()) {
    if (at % inOneStep === inOneStep - 1) yield;
    const old = textAt(before, ref, conditions);
    const moved = placeAfter(ref);
    const now = moved && textAt(after, moved, later);
    if (!old || !now) continue;
    // Layouts are of the page before; where boxes stay, they tell what lies under the text after it, too.
    const was = legibilityOn(old.page, old.style, layouts);
    const known = layouts[ref.page]?.[textId(ref.index, ref.pseudo ?? null)];
    const layout = known && movedLayout(known, (index) => placeAfter({ page: ref.page, index })?.index);
    if (layout === null) continue;
    const is = layout
      ? legibilityOf(now.style, layoutAfter(layout, old.style, now.style), now.page.styles)
      : legibility(now.style);
    if (was.passes === is.passes) continue;
    const list = is.passes ? rises : falls;
    const role = roleName(now.style);
    const key = `${role} ${is.ratio} ${was.ratio}`;
    const alike = list.get(key);
    if (alike) alike.places.push(ref);
    else
      list.set(key, {
        role,
        ink: cssColor(paintOver(inkOf(now.style), is.ground.color)),
        before: was.ratio,
        after: is.ratio,
        needs: is.needs,
        places: [ref],
      });
  }
  const worst = (list: Map<string, InkOn>) => [...list.values()].sort((a, b) => a.after / a.needs - b.after / b.needs);
  return { falls: worst(falls), rises: worst(rises) };
}
