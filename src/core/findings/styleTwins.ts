import { parseColor } from "../color";
import { formatColor } from "../color/format";
import type { KnownPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import { groupBy } from "../source/groups";
import type { Site } from "../source/site";
import { inTable, rowFor, twinStyles, type StyleRow } from "../tables/styleTable";
import { refOf, textsOf } from "../text/pageTexts";
import { textStyleKey } from "../text/textStyles";
import { declareWay, spotFor, targetOf } from "./cause";
import { at, type Check, type Found, type Way } from "./types";

/** Sizes nearer than this are told of as sizes, whatever else is alike, CSS px. */
const alikeSize = 0.75;

/** Text styles so alike that one would do, where more than a size or a colour tells them apart. */
export const styleTwins: Check = {
  name: "style-twins",
  group: "tidy",
  *onSite({ pages }) {
    const rows = new Map<string, Gathered>();
    for (const page of pages) {
      yield;
      for (const [key, styles] of stylesOn(page)) {
        let row = rows.get(key);
        if (!row) rows.set(key, (row = { ...rowFor(page, styles[0]!, {}), page, style: styles[0]! }));
        for (const style of styles) row.places.push(refOf(page.file.path, style));
      }
    }
    yield;
    return twinStyles([...rows.values()].sort(inTable)).flatMap(([row, twin]) => {
      const [rare, usual] = row.places.length <= twin.places.length ? [row, twin] : [twin, row];
      const differences = differencesOf(rare, usual);
      return differences.length === 0 || isToldElsewhere(rare, differences) ? [] : [tell(rare, usual, differences)];
    });
  },
};

/** A text style with the first text that is set in it. */
interface Gathered extends StyleRow {
  page: KnownPage;
  style: Style;
}

const known = new WeakMap<KnownPage["styles"], ReadonlyMap<string, readonly Style[]>>();

/** The texts of a page by their text styles. */
function stylesOn(page: KnownPage): ReadonlyMap<string, readonly Style[]> {
  let styles = known.get(page.styles);
  if (!styles) known.set(page.styles, (styles = groupBy(textsOf(page), textStyleKey)));
  return styles;
}

interface Difference {
  longhand: "font-size" | "line-height" | "color";
  /** As the rarer style has it, and as the usual one has. */
  own: string;
  usual: string;
}

const px = (size: number) => `${Math.round(size * 100) / 100}px`;
const share = (leading: number | null) => (leading === null ? "normal" : String(Math.round(leading * 100) / 100));
const hex = (css: string) => formatColor(parseColor(css)!, "hex");

function differencesOf(rare: StyleRow, usual: StyleRow): Difference[] {
  const all: Difference[] = [
    { longhand: "font-size", own: px(rare.sizePx), usual: px(usual.sizePx) },
    { longhand: "line-height", own: share(rare.leading), usual: share(usual.leading) },
    { longhand: "color", own: hex(rare.ink), usual: hex(usual.ink) },
  ];
  return all.filter(({ own, usual: other }) => own !== other);
}

function isToldElsewhere(rare: StyleRow, differences: readonly Difference[]): boolean {
  if (differences.length !== 1) return false;
  const [{ longhand, usual }] = differences as [Difference];
  return longhand === "color" || (longhand === "font-size" && Math.abs(rare.sizePx - parseFloat(usual)) < alikeSize);
}

const words: Readonly<Record<Difference["longhand"], string>> = {
  "font-size": "size",
  "line-height": "leading",
  color: "ink",
};

function tell(rare: Gathered, usual: StyleRow, differences: readonly Difference[]): Found {
  const { page, style, places, selector } = rare;
  const apart = differences.map(({ longhand, own, usual: other }) => `${words[longhand]} ${own}, not ${other}`);
  return {
    level: "note",
    message: `\`${selector}\` is set nearly as \`${usual.selector}\` (${apart.join("; ")}): one text style would do.`,
    because: "Texts that look alike and are not the same make a page restless, and have to be changed twice.",
    ...at(page.file, style.element.source?.startTag.start ?? 0),
    spot: spotFor(page, style, differences[0]!.longhand),
    kind: `twin of ${usual.selector}`,
    places,
    ways: ({ site }) => sameWay(site, page, style, usual, differences),
  };
}

/** All that differs written as the usual style has it; none where one of them is set nowhere. */
function sameWay(
  site: Site,
  page: KnownPage,
  style: Style,
  { selector }: StyleRow,
  differences: readonly Difference[],
): Way[] {
  const changes = differences.map(({ longhand, usual }) => {
    const spot = spotFor(page, style, longhand);
    return spot
      ? declareWay(site, "", targetOf(page.file.path, spot), longhand, usual).flatMap((way) => way.changes)
      : [];
  });
  if (changes.some((one) => one.length === 0)) return [];
  return [{ label: `Set it as \`${selector}\``, changes: changes.flat() }];
}
