/** A scheme drafted for a site that has none: for readers who wish for a dark page, or for more contrast. */
import { append } from "../source/groups";
import type { Conditions } from "../cascade/conditions";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { spelledLike } from "../color/written";
import { isCanvasOwner } from "../ground/backgrounds";
import { sheetStart } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { sheetTexts } from "../source/declarations";
import { changeSite, pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import { refKey } from "../text/refs";
import { textsOf, refOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import type { Counterpart } from "./counterparts";
import { givenTones } from "./given";
import { draftKinds, type DraftKind } from "./kinds";
import { looksAt, styledUnder, type Look } from "./looks";
import { keeps, lackingIn, mend, tornIn, type Seen } from "./mend";
import { tonesOf } from "./tones";
import type { Draft, DraftAsked, DraftPair, DraftTone, Tone, TonedText } from "./types";

/** So often a draft is looked at and mended. */
const mostRounds = 12;

/**
 * A scheme, in steps, a page each: every colour's counterpart, looked at in every text and mended until each has the
 * contrast that is wanted, at rest, at several widths and in all states. It goes by styles alone: what was painted was
 * painted in other colours.
 */
export function* draftSteps(site: Site, shown: Conditions, asked: DraftAsked): Generator<void, Draft> {
  const kind = draftKinds[asked.kind];
  const written = tonesOf(site);
  const looks = yield* looksAt(site, kind, shown, written);
  const texts = looks.flatMap((look) => look.texts);
  const isBare = [...styledUnder(site, pagesOf(site), shown, shown)].every(({ styles }) => !styles.some(isCanvasOwner));
  const tones = [...written.tones, ...givenTones(texts, isBare)];
  const parts = kind.first(tones, texts, asked.lift);
  for (const [id, css] of Object.entries(asked.chosen)) {
    const color = parseColor(css);
    const part = parts.get(id);
    if (color && part) parts.set(id, { ...part, color, isFree: false });
  }
  const seen = yield* settled({ site, kind, shown, looks, parts });
  return {
    kind: asked.kind,
    tones: tones.map((tone) => draftTone(tone, parts, asked.chosen[tone.id] !== undefined, looks[0]!, seen)),
    pairs: looks
      .flatMap((look) => pairsOf(look, { kind, parts, seen }))
      .filter(newOnes())
      .sort((a, b) => Number(a.passes) - Number(b.passes) || a.draftRatio / a.ratio - b.draftRatio / b.ratio),
  };
}

interface Drafting {
  site: Site;
  kind: DraftKind;
  shown: Conditions;
  looks: readonly Look[];
  parts: Map<string, Counterpart>;
}

type SeenTexts = ReadonlyMap<TonedText, Seen>;

/** Looks and mends, as the pages stand before all else, until nothing lacks contrast or nothing helps. What was seen last. */
function* settled(drafting: Drafting): Generator<void, SeenTexts> {
  const { kind, looks, parts } = drafting;
  const torn = tornIn(looks.flatMap(({ texts }) => texts));
  let seen: SeenTexts = new Map();
  for (const among of [looks.slice(0, 1), looks])
    for (let round = 1; ; round += 1) {
      seen = yield* seenIn(drafting, among);
      const lacking = among.flatMap(({ texts }) => lackingIn(kind, texts, seen));
      if (round === mostRounds || !mend(kind, lacking, seen, parts, torn)) break;
    }
  while (!kind.inksGoLight && setBack(drafting, seen)) seen = yield* seenIn(drafting, looks);
  return seen;
}

/** Sets back what made texts lose that could be read: whether there was any. */
function setBack({ looks, parts }: Drafting, seen: SeenTexts): boolean {
  const lost = looks
    .flatMap(({ texts }) => texts)
    .filter((text) => text.passes && (seen.get(text)?.ratio ?? text.ratio) < text.needs);
  const moved = lost
    .flatMap(({ inkTones, groundTones }) => [...inkTones, ...groundTones])
    .flatMap((id) => parts.get(id) ?? [])
    .filter(({ isFree }) => isFree);
  for (const part of moved) parts.set(part.tone.id, { ...part, color: part.from, isFree: false });
  return moved.length > 0;
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

/** How texts come out with the draft, in steps, a page each: of those that are alike the first. */
function* seenIn({ site, kind, shown, parts }: Drafting, looks: readonly Look[]): Generator<void, SeenTexts> {
  const drafted = plainly(
    site,
    kind,
    [...parts.values()].map(({ tone, color }) => [tone, cssColor(color)] as const),
  );
  const seen = new Map<TonedText, Seen>();
  for (const { conditions, texts } of looks) {
    const byRef = new Map(texts.map((text) => [refKey(text.places[0]!), text]));
    const paths = new Set(texts.map(({ places }) => places[0]!.page));
    const files = [...paths].map((path) => textFile(drafted, path)!);
    for (const page of styledUnder(drafted, files, { ...conditions, ...kind.within }, shown)) {
      for (const style of textsOf(page)) {
        const text = byRef.get(refKey(refOf(page.file.path, style)));
        if (!text) continue;
        const { ratio, ink, ground } = legibilityOn(page, style, {});
        seen.set(text, { ratio, ink, ground: ground.color });
      }
      yield;
    }
  }
  return seen;
}

function draftTone(
  tone: Tone,
  parts: ReadonlyMap<string, Counterpart>,
  chosen: boolean,
  { texts }: Look,
  seen: SeenTexts,
): DraftTone {
  const { color } = parts.get(tone.id)!;
  const own = texts.filter(({ inkTones, groundTones }) => inkTones.includes(tone.id) || groundTones.includes(tone.id));
  const ratios = own.flatMap((text) => {
    const now = seen.get(text);
    return now ? [{ ratio: text.ratio, now: now.ratio }] : [];
  });
  const css = cssColor(color);
  return {
    ...tone,
    counterpart: css === tone.css ? tone.value : spelledLike(tone.value, color),
    counterpartCss: css,
    stays: css === tone.css,
    chosen,
    least: ratios.length ? ratios.reduce((a, b) => (b.now / b.ratio < a.now / a.ratio ? b : a)) : null,
    texts: own.reduce((sum, { places }) => sum + places.length, 0),
  };
}

type Outcome = Pick<Drafting, "kind" | "parts"> & { seen: SeenTexts };

/** Texts by their ink and ground, before and after. What is the browser's own all through has a scheme of the browser's. */
function pairsOf({ under, texts }: Look, { kind, parts, seen }: Outcome): DraftPair[] {
  return texts.flatMap((text): DraftPair[] => {
    const { ratio, needs, ink, ground, inkTones, groundTones, places, passes } = text;
    const now = seen.get(text);
    if (!now || ![...inkTones, ...groundTones].some((id) => parts.has(id))) return [];
    return [
      {
        ink: cssColor(ink),
        ground: cssColor(ground),
        draftInk: cssColor(now.ink),
        draftGround: cssColor(now.ground),
        ratio,
        draftRatio: now.ratio,
        needs,
        keeps: keeps(kind.wanted(text), now.ratio),
        passes: now.ratio >= needs,
        passed: passes,
        under,
        places: [...places],
      },
    ];
  });
}

/** Pairs that were not met before: those alike are one, and what is the same at rest is told there. */
function newOnes(): (pair: DraftPair) => boolean {
  const met = new Map<string, DraftPair>();
  return (pair) => {
    const { ink, ground, draftInk, draftGround, needs, under } = pair;
    const key = JSON.stringify([ink, ground, draftInk, draftGround, needs]);
    const known = met.get(key);
    if (!known) met.set(key, pair);
    else {
      if (known.under === under) append(known.places, pair.places);
      known.ratio = Math.min(known.ratio, pair.ratio);
      known.draftRatio = Math.min(known.draftRatio, pair.draftRatio);
      known.keeps &&= pair.keeps;
      known.passes &&= pair.passes;
      known.passed &&= pair.passed;
    }
    return known === undefined;
  };
}
