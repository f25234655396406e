/** A scheme drafted for a site that has none: for readers who wish for a dark page, or for more contrast. */
import type { Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { parseColor } from "../color";
import { invisibleBelow } from "../color/contrast";
import { cssColor } from "../color/format";
import { spelledLike } from "../color/written";
import type { Color } from "../color/types";
import { isCanvasOwner, white } from "../ground/backgrounds";
import { sheetStart } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { sheetTexts } from "../source/declarations";
import { changeSite, pagesOf, sheetsOf, type Site } from "../source/site";
import { refKey } from "../text/refs";
import { textsOf, refOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { atLevel, darkest, levelOf, lightest, type Counterpart } from "./counterparts";
import { activeTone, canvasTone, linkTone, rootTone, tonedTexts, tonesOf, visitedTone, type Tones } from "./tones";
import { draftKinds, type DraftKind } from "./kinds";
import type { Draft, DraftAsked, DraftPair, DraftTone, Tone, TonedText } from "./types";

/** So often a draft is looked at and mended. */
const mostRounds = 12;

/** What readers bring about, in which contrast has to be kept as well. */
const states = ["hover", "focus", "active", "visited"] as const;
const stateWords: Readonly<Record<string, string>> = {
  hover: "under the pointer",
  focus: "with the focus",
  active: "while pressed",
  visited: "visited",
};

interface Look {
  under: string;
  conditions: Conditions;
}

function looksOf(kind: DraftKind, conditions: Conditions): Look[] {
  const light: Conditions = { ...conditions, ...kind.without, medium: "screen" };
  return [
    { under: "", conditions: light },
    ...[360, 1280]
      .filter((width) => width !== conditions.width)
      .map((width) => ({ under: `at ${width} px`, conditions: { ...light, width } })),
    ...states.map((state) => ({
      under: stateWords[state]!,
      conditions: { ...light, forced: {}, forcedEverywhere: [state] },
    })),
  ];
}

/**
 * A scheme, in steps, a page each: every colour's counterpart, looked at in every text and mended until each has the
 * contrast that is wanted, at rest, at several widths and in all states. It goes by styles alone: what was painted was
 * painted in other colours.
 */
export function* draftSteps(
  site: Site,
  conditions: Conditions,
  { kind: name, lift, chosen }: DraftAsked,
): Generator<void, Draft> {
  const kind = draftKinds[name];
  const tones = tonesOf(site);
  const looks = looksOf(kind, conditions);
  const texts: TonedText[][] = [];
  for (const { conditions: under } of looks) {
    const own: TonedText[] = [];
    for (const file of pagesOf(site)) {
      own.push(...tonedTexts(styledPage(site, file, under), tones));
      yield;
    }
    texts.push(own);
  }
  const all: Tones = { ...tones, tones: [...tones.tones, ...given(texts.flat(), isBare(site, conditions))] };
  const parts = kind.first(all, texts.flat(), lift);
  const torn = tornIn(texts.flat());
  for (const [id, css] of Object.entries(chosen)) {
    const color = parseColor(css);
    const part = parts.get(id);
    if (color && part) parts.set(id, { ...part, color, isFree: false });
  }
  let seen: Map<string, Seen>[] = [];
  for (let round = 0; round < mostRounds; round += 1) {
    seen = yield* seenSteps(site, kind, parts, looks);
    const lacking = texts.flatMap((own, at) => lackingIn(kind, own, seen[at]!));
    if (!mend(kind, lacking, parts, torn)) break;
  }
  return {
    kind: name,
    tones: all.tones.map((tone) => draftTone(tone, parts, chosen, texts[0]!, seen[0]!)),
    pairs: looks
      .flatMap(({ under }, at) => pairsOf(kind, parts, texts[at]!, seen[at]!, under, at === 0 ? null : texts[0]!))
      .sort((a, b) => Number(a.passes) - Number(b.passes) || a.draftRatio / a.ratio - b.draftRatio / b.ratio),
  };
}

/** Whether no page gives its window a ground, so that all may be given one. */
const isBare = (site: Site, conditions: Conditions) =>
  pagesOf(site).every((file) => !styledPage(site, file, conditions).styles.some(isCanvasOwner));

/** The colours that the browser gives, where texts have them. @param bare whether the window may be given a ground */
function given(texts: readonly TonedText[], bare: boolean): Tone[] {
  const ids = new Set(texts.flatMap(({ inkTones, groundTones }) => [...inkTones, ...groundTones]));
  if (!bare) ids.delete(canvasTone);
  const all: [id: string, part: Tone["part"], css: string, selector: string, property: string, words: string][] = [
    [
      canvasTone,
      "ground",
      cssColor(white),
      ":root",
      "background-color",
      "ground of the window, where the site gives none",
    ],
    [linkTone, "ink", "rgb(0, 0, 238)", ":where(:link)", "color", "ink of links, as browsers have it"],
    [
      visitedTone,
      "ink",
      "rgb(85, 26, 139)",
      ":where(:any-link:visited)",
      "color",
      "ink of visited links, as browsers have it",
    ],
    [
      activeTone,
      "ink",
      "rgb(255, 0, 0)",
      ":where(:link:active)",
      "color",
      "ink of links while pressed, as browsers have it",
    ],
    [rootTone, "ink", "rgb(0, 0, 0)", ":root", "color", "ink of the root, which takes it from nothing"],
  ];
  return all
    .filter(([id]) => ids.has(id))
    .map(([id, part, css, selector, property, words]) => ({
      id,
      part,
      value: spelledLike("", parseColor(css)!),
      css,
      name: null,
      definition: null,
      spots: [],
      references: [],
      rule: { selector, property },
      words,
    }));
}

/** A text as the draft has it. */
interface Seen {
  ratio: number;
  ink: Color;
  ground: Color;
}

/** The site with every colour in its counterpart's place, for looking at: its elements stay the same. */
export const draftedSite = (site: Site, { kind, tones }: Draft): Site =>
  plainly(
    site,
    draftKinds[kind],
    tones.map((tone) => [tone, tone.counterpartCss]),
  );

function plainly(site: Site, kind: DraftKind, parts: Iterable<readonly [tone: Tone, css: string]>): Site {
  const changes: TextChange[] = [];
  const root = [`color-scheme:${kind.scheme ?? "normal"}`];
  const rules: string[] = [];
  for (const [tone, written] of parts) {
    const isKept = written === tone.css && tone.references.length === 0 && tone.rule === null;
    if (isKept) continue;
    for (const { path, start, end } of [...tone.spots, ...(tone.definition ? [tone.definition] : [])])
      changes.push({ path, start, end, insert: written });
    const name = `--${root.length}-drafted`;
    if (tone.references.length) root.push(`${name}:${written}`);
    for (const { path, start, end } of tone.references) changes.push({ path, start, end, insert: name });
    if (tone.rule) rules.push(`${tone.rule.selector}{${tone.rule.property}:${written}}`);
  }
  const insert = `:root{${root.join(";")}}${rules.join("")}`;
  for (const file of [...sheetsOf(site), ...pagesOf(site)])
    for (const sheet of sheetTexts(site, file)) {
      const { at } = sheetStart(sheet);
      changes.push({ path: file.path, start: at, end: at, insert });
    }
  return changeSite(site, changes);
}

/** How the texts come out with the draft, by look, in steps. */
function* seenSteps(
  site: Site,
  kind: DraftKind,
  parts: ReadonlyMap<string, Counterpart>,
  looks: readonly Look[],
): Generator<void, Map<string, Seen>[]> {
  const drafted = plainly(
    site,
    kind,
    [...parts.values()].map(({ tone, color }) => [tone, cssColor(color)] as const),
  );
  const all: Map<string, Seen>[] = [];
  for (const { conditions } of looks) {
    const seen = new Map<string, Seen>();
    for (const file of pagesOf(drafted)) {
      const page = styledPage(drafted, file, { ...conditions, ...kind.within });
      for (const style of textsOf(page)) {
        const { ratio, ink, ground } = legibilityOn(page, style, {});
        seen.set(refKey(refOf(file.path, style)), { ratio, ink, ground: ground.color });
      }
      yield;
    }
    all.push(seen);
  }
  return all;
}

/** A ratio is kept where nobody who reads two digits would see that it is another. */
const keeps = (was: number, is: number) => is >= was - 0.005;

type Side = "lighter" | "darker";

/** Tones that texts have on both sides, lighter and darker: to move them for the one would be against the other. */
function tornIn(texts: readonly TonedText[]): ReadonlySet<string> {
  const sides = new Map<string, Side>();
  const torn = new Set<string>();
  for (const { inkTones, groundTones, ink, ground } of texts)
    for (const id of [...inkTones, ...groundTones]) {
      const side = levelOf(ink) >= levelOf(ground) ? "lighter" : "darker";
      if ((sides.get(id) ?? side) !== side) torn.add(id);
      sides.set(id, side);
    }
  return torn;
}

interface Lacking {
  text: TonedText;
  now: Seen;
  wanted: number;
}

/** Texts that have not the contrast that is wanted. What nobody sees as it is shall not be made to be seen. */
function lackingIn(kind: DraftKind, texts: readonly TonedText[], seen: ReadonlyMap<string, Seen>): Lacking[] {
  return texts.flatMap((text): Lacking[] => {
    const now = seen.get(refKey(text.ref));
    const wanted = kind.wanted(text);
    if (!now || keeps(wanted, now.ratio) || (text.ratio < invisibleBelow && kind.scheme === null)) return [];
    return [{ text, now, wanted }];
  });
}

/** Moves what texts are made of that lack contrast: their inks first, then their grounds. Whether anything moved. */
function mend(
  kind: DraftKind,
  lacking: readonly Lacking[],
  parts: Map<string, Counterpart>,
  torn: ReadonlySet<string>,
): boolean {
  /** Where each is to go; of what several texts ask, the furthest. */
  const moves = new Map<string, { side: Side; color: Color }>();
  const ask = (id: string, side: Side, by: number, isInk: boolean): boolean => {
    const color = moved(parts.get(id)!, side, by, isInk);
    if (color && isFurther(side, color, moves.get(id)?.color)) moves.set(id, { side, color });
    return color !== null;
  };
  for (const { text, now, wanted } of lacking) {
    const isFree = (id: string) => parts.get(id)?.isFree === true && (kind.scheme === "dark" || !torn.has(id));
    const ground = levelOf(now.ground);
    // In the dark all inks are lighter than what they stand on; else they stay on the side they are on.
    const isLight = kind.scheme === "dark" || levelOf(text.ink) >= levelOf(text.ground);
    const [side, other]: Side[] = isLight ? ["lighter", "darker"] : ["darker", "lighter"];
    const target = isLight ? wanted * ground * 1.002 : ground / wanted / 1.002;
    // What is translucent, itself or with all around it, has to go further than what it comes out as.
    const byInk = target / levelOf(now.ink);
    if (text.inkTones.filter(isFree).filter((id) => ask(id, side!, byInk, true)).length > 0) continue;
    const less = Math.min(0.97, now.ratio / wanted);
    for (const id of text.groundTones.filter(isFree)) ask(id, other!, isLight ? less : 1 / less, false);
  }
  for (const [id, { color }] of moves) parts.set(id, { ...parts.get(id)!, color });
  return moves.size > 0;
}

function isFurther(side: Side, color: Color, than: Color | undefined): boolean {
  if (!than || (color.alpha ?? 1) > (than.alpha ?? 1)) return true;
  return side === "lighter" ? levelOf(color) > levelOf(than) : levelOf(color) < levelOf(than);
}

/**
 * A counterpart at so many times its level; an ink that cannot go on becomes more opaque. Null where there is nowhere to
 * go.
 */
function moved({ color, from }: Counterpart, side: Side, by: number, isInk: boolean): Color | null {
  const alpha = color.alpha ?? 1;
  const level = Math.min(lightest, Math.max(darkest, levelOf(color) * by));
  const isUp = side === "lighter";
  const next = atLevel({ ...from, alpha }, level, isUp === isInk ? "above" : "below");
  const hasMoved = isUp ? levelOf(next) > levelOf(color) : levelOf(next) < levelOf(color);
  if (hasMoved) return next;
  return isInk && alpha < 1 ? { ...color, alpha: Math.min(1, alpha + 0.05) } : null;
}

function draftTone(
  tone: Tone,
  parts: ReadonlyMap<string, Counterpart>,
  chosen: Readonly<Record<string, string>>,
  texts: readonly TonedText[],
  seen: ReadonlyMap<string, Seen>,
): DraftTone {
  const { color } = parts.get(tone.id)!;
  const own = texts.filter(({ inkTones, groundTones }) => inkTones.includes(tone.id) || groundTones.includes(tone.id));
  const ratios = own.flatMap(({ ref, ratio }) => {
    const now = seen.get(refKey(ref));
    return now ? [{ ratio, now: now.ratio }] : [];
  });
  const css = cssColor(color);
  return {
    ...tone,
    counterpart: css === tone.css ? tone.value : spelledLike(tone.value, color),
    counterpartCss: css,
    stays: css === tone.css,
    chosen: chosen[tone.id] !== undefined,
    least: ratios.length ? ratios.reduce((a, b) => (b.now / b.ratio < a.now / a.ratio ? b : a)) : null,
    texts: own.length,
  };
}

/** Texts by their ink and ground, before and after. @param rest those at rest: what is the same in them is told there */
function pairsOf(
  kind: DraftKind,
  parts: ReadonlyMap<string, Counterpart>,
  texts: readonly TonedText[],
  seen: ReadonlyMap<string, Seen>,
  under: string,
  rest: readonly TonedText[] | null,
): DraftPair[] {
  const atRest = new Map(rest?.map((text) => [refKey(text.ref), text]));
  const pairs = new Map<string, DraftPair>();
  for (const { ref, ratio, needs, ink, ground, inkTones, groundTones } of texts) {
    // What is the browser's own all through has a scheme of the browser's.
    if (![...inkTones, ...groundTones].some((id) => parts.has(id))) continue;
    const now = seen.get(refKey(ref));
    const before = atRest.get(refKey(ref));
    if (!now || (before && cssColor(before.ink) === cssColor(ink) && cssColor(before.ground) === cssColor(ground)))
      continue;
    const look = {
      ink: cssColor(ink),
      ground: cssColor(ground),
      draftInk: cssColor(now.ink),
      draftGround: cssColor(now.ground),
    };
    const key = JSON.stringify([look, needs]);
    const pair = pairs.get(key) ?? {
      ...look,
      ratio,
      draftRatio: now.ratio,
      needs,
      keeps: true,
      passes: true,
      passed: true,
      under,
      places: [],
    };
    pairs.set(key, pair);
    pair.ratio = Math.min(pair.ratio, ratio);
    pair.draftRatio = Math.min(pair.draftRatio, now.ratio);
    pair.keeps &&= keeps(kind.wanted({ ratio, needs }), now.ratio);
    pair.passes &&= now.ratio >= needs;
    pair.passed &&= ratio >= needs;
    pair.places.push(ref);
  }
  return [...pairs.values()];
}
