import { backgroundColor } from "../ground/backgrounds";
import { overGround } from "../ground/layers";
import { groundsOf } from "../ground/range";
import { invisibleBelow } from "../color/contrast";
import type { Legibility } from "../ground/types";
import { fontSizeOf, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { differenceOk } from "../color/gamut";
import { formatColor } from "../color/format";
import { parseColor } from "../color";
import {
  isEnough,
  leastRatio,
  nearestPassingGround,
  nearestPassingInk,
  type Need,
  type Passing,
} from "../color/ladder";
import { showRatio } from "../color/contrast";
import type { Color } from "../color/types";
import type { Target } from "../edits/types";
import { colorSpots } from "../palette/values";
import type { ElementRef } from "../text/refs";
import { refOf, textsOf } from "../text/pageTexts";
import { legibilityOn, roleName, type Layouts } from "../text/textStyles";
import { atSheetEnd } from "../edits/newRule";
import { rulesUnder } from "../edits/ruleText";
import { ruleAround } from "../source/declarations";
import { plainSelector } from "../source/html/document";
import { textFile, type Site } from "../source/site";
import { declareWay, spotFor, targetFor, targetOf, type Spot } from "./cause";
import { at, type Check, type CheckContext, type Found, type Way } from "./types";

/** Text that cannot be read well enough on its ground (WCAG 2.2, 1.4.3): one finding for what its ink comes from. */
export const contrast: Check = {
  name: "contrast",
  group: "unread",
  onPage: (page, layouts) => {
    const failing: Style[] = [];
    const uncertain: ElementRef[] = [];
    for (const style of textsOf(page)) {
      const { ratio, needs, passes, verdict } = legibilityOn(page, style, layouts);
      if (passes || verdict === "unjudged") continue;
      if (ratio < needs) failing.push(style);
      else uncertain.push(refOf(page.file.path, style));
    }
    const found = unreadable(page, failing, layouts, null, () => null);
    return uncertain.length ? [...found, notCertain(page, uncertain)] : found;
  },
};

/**
 * One finding for what the ink of texts that cannot be read comes from, that of the worst of them.
 * @param when under which circumstances, in words: "In the dark scheme"; null as the page is looked at
 * @param under the pages of a site under those circumstances; null as they are looked at
 */
export function unreadable(
  page: KnownPage,
  failing: readonly Style[],
  layouts: Layouts,
  when: string | null,
  under: (context: CheckContext) => CheckContext | null,
): Found[] {
  const found = new Map<string, Found>();
  for (const style of failing) {
    const { ratio, needs, verdict, ground } = legibilityOn(page, style, layouts);
    const { element, pseudo } = style;
    const selector = `\`${plainSelector(element)}${pseudo ? `::${pseudo}` : ""}\``;
    const spot = spotFor(page, style, "color");
    const key = spot ? `${spot.path}:${spot.offset}` : selector;
    const place = refOf(page.file.path, style);
    const known = found.get(key);
    if (known) known.places!.push(place);
    if (known && known.rank! <= ratio) continue;
    const role = roleName(style);
    const name = when ? `${when}, ${role[0]!.toLowerCase()}${role.slice(1)} ${selector}` : `${role} ${selector}`;
    const says = ratio < invisibleBelow ? "is invisible" : "cannot be read well";
    const shown = `${showRatio(ratio)} to 1, and ${needs} is needed`;
    const level = verdict === "fails" ? "error" : "warning";
    found.set(key, {
      level: known?.level === "error" ? "error" : level,
      message: `${name} ${says} on its ground${ground.certain ? "" : ", as far as that is known"}: ${shown}.`,
      because: `Text of this size needs ${needs} to 1 to be read by people with low vision (WCAG 2.2, 1.4.3).`,
      ...at(page.file, element.source?.startTag.start ?? 0),
      spot,
      kind: `${when ?? ""} ${spot ? "ink" : selector}`,
      rank: ratio,
      places: known?.places ?? [place],
      ways: (context) => waysFor(context, under(context), page, style, spot),
    });
  }
  return [...found.values()];
}

/** Texts that would be read well on what lies under them as far as that is known, told once for a page. */
function notCertain({ file }: KnownPage, places: ElementRef[]): Found {
  const texts = places.length === 1 ? "one text" : `${places.length} texts`;
  return {
    level: "note",
    message: `It is not certain what lies under ${texts} of ${file.path}; as far as it is known, it is enough.`,
    because: "What lies under a text is certain once its page is laid out and looked at (WCAG 2.2, 1.4.3).",
    ...at(file, 0),
    places,
  };
}

interface Judged {
  page: KnownPage;
  style: Style;
  legibility: Legibility;
}

/** All texts whose ink comes from one spot; the text itself where it comes from none. */
function sharing({ pages, layouts }: CheckContext, page: KnownPage, style: Style, spot: Spot | null): Judged[] {
  const judged = (of: KnownPage, one: Style): Judged => ({
    page: of,
    style: one,
    legibility: legibilityOn(of, one, layouts),
  });
  if (!spot)
    return textsOf(page)
      .filter((one) => isAlike(one, style))
      .map((one) => judged(page, one));
  return pages.flatMap((of) =>
    textsOf(of)
      .filter((one) => {
        const own = spotFor(of, one, "color");
        return own?.path === spot.path && own.offset === spot.offset;
      })
      .map((one) => judged(of, one)),
  );
}

const isAlike = (one: Style, other: Style) =>
  one === other ||
  (plainSelector(one.element) === plainSelector(other.element) && one.pseudo === other.pseudo && spotless(one));
const spotless = (style: Style) =>
  !style.shared.winners.get("color") || style.shared.winners.get("color")!.block.origin === "browser";

/** What has to be found: an ink, or a ground, with which a text can be read wherever its ink comes from the same spot. */
interface Task {
  context: CheckContext;
  page: KnownPage;
  style: Style;
  spot: Spot | null;
  target: Target | null;
  /** All texts with that ink. */
  all: readonly Judged[];
  needs: readonly Need[];
  own: Legibility;
  /** The ink with the same hue that is enough, or comes nearest. */
  nearest: Passing;
}

/** @param then the same pages under other circumstances, in which it has to be read as well as in these */
function waysFor(
  context: CheckContext,
  then: CheckContext | null,
  page: KnownPage,
  style: Style,
  spot: Spot | null,
): Way[] {
  const there = then ? sharing(then, page, style, spot) : [];
  const here = then && !spot ? [] : sharing(context, page, style, spot);
  const all = [...there, ...here].filter(({ legibility }) => legibility.verdict !== "unjudged");
  const own = legibilityOn(page, style, (then ?? context).layouts);
  const needs = needsOf(all);
  const nearest = nearestPassingInk({ ...own.ink, alpha: 1 }, needs);
  const target = targetFor(page, style, spot);
  const task: Task = { context, page, style, spot, target, all, needs, own, nearest };
  const scheme = then && then.conditions.scheme !== context.conditions.scheme ? then.conditions.scheme : null;
  return [
    ...inkWays(task),
    ...(scheme && spot ? inScheme(context.site, scheme, spot, own.ink, there) : []),
    ...extremeWays(task),
    ...groundWays(task),
    ...sizeWays(task),
  ];
}

const needsOf = (judged: readonly Judged[]): Need[] =>
  judged.flatMap(({ legibility: { ground, needs } }) => groundsOf(ground).map((color): Need => ({ color, needs })));

const declare = ({ context, target }: Task, label: string, property: string, value: string): Way[] =>
  declareWay(context.site, label, target, property, value);

/** How well an ink can be read wherever it would stand. */
const reading = ({ needs }: Task, ink: Color): string =>
  `${showRatio(leastRatio(ink, needs))} to 1 on ${needs.length > 1 ? "all its grounds" : "its ground"}`;

/** The nearest ink that is enough everywhere, and the nearest that the site has. */
function inkWays(task: Task): Way[] {
  const { context, own, needs, nearest } = task;
  const value = formatColor(nearest.color, "hex");
  const ways = nearest.passes
    ? declare(task, `Write the ink \`${value}\`: ${reading(task, nearest.color)}`, "color", value)
    : [];
  const sites = siteInk(context, own.ink, needs);
  return sites
    ? [
        ...ways,
        ...declare(task, `Take the site's own \`${sites.value}\`: ${reading(task, sites.color)}`, "color", sites.value),
      ]
    : ways;
}

/** Black or white, where no ink of the same hue is enough. */
function extremeWays(task: Task): Way[] {
  if (task.nearest.passes) return [];
  return ["#000000", "#ffffff"].flatMap((value) => {
    const ink = parseColor(value)!;
    return isEnough(ink, task.needs)
      ? declare(task, `Write the ink \`${value}\`: ${reading(task, ink)}`, "color", value)
      : [];
  });
}

/** Another ground under it; where that is a picture or a gradient on which no ink can be read, one of its own. */
function groundWays(task: Task): Way[] {
  const { context, page, style, own, nearest } = task;
  const { color, kind, from } = own.ground;
  const holder = kind === "color" && from !== null ? page.styles[from]! : null;
  const inks = overGround(style, holder ?? style).map((over) => ({ ...over, needs: own.needs }));
  const found = nearestPassingGround(holder ? backgroundColor(holder) : color, inks);
  const value = formatColor(found.color, "hex");
  if (!found.passes) return [];
  if (kind !== "color")
    return nearest.passes ? [] : declare(task, `Give it a ground of its own: \`${value}\``, "background-color", value);
  const spot = holder && spotFor(page, holder, "background-color");
  return spot
    ? declareWay(
        context.site,
        `Write the ground \`${value}\``,
        targetOf(page.file.path, spot),
        "background-color",
        value,
      )
    : [];
}

/** Text is large, and needs less, from this size on, CSS px (WCAG 2.2, 1.4.3: 18 points). */
const large = 24;
/** So many texts are enlarged at most. */
const mostEnlarged = 40;

function sizeWays(task: Task): Way[] {
  const { all, style } = task;
  const worst = all.reduce((least, { legibility }) => Math.min(least, legibility.ratio), Infinity);
  return worst >= 3 && all.length < mostEnlarged && fontSizeOf(style) >= large * 0.75
    ? declare(task, `Set it at ${large}px, where 3 to 1 is enough`, "font-size", `${large}px`)
    : [];
}

/** An ink for one scheme alone, in a rule of its own at the end of the sheet. */
function inScheme(site: Site, scheme: string, { path, rule }: Spot, ink: Color, there: readonly Judged[]): Way[] {
  const file = textFile(site, path);
  const found = file && rule !== null ? ruleAround(site, path, rule + 1) : null;
  const nearest = nearestPassingInk({ ...ink, alpha: 1 }, needsOf(there));
  if (!file || !found || !nearest.passes) return [];
  const value = formatColor(nearest.color, "hex");
  const condition = `@media (prefers-color-scheme: ${scheme})`;
  const rules = rulesUnder(found.sheet.text, condition, [[found.rule.preludeText, [["color", value]]]]);
  return [
    { label: `Write the ink \`${value}\` for the ${scheme} scheme alone`, changes: [atSheetEnd(found.sheet, rules)] },
  ];
}

/** What is farther away than this is another colour, not a nearer one of the same (OKLab). */
const farthest = 0.25;

/** The ink that the site has already and that is enough, nearest to this one. */
function siteInk({ site }: CheckContext, ink: Color, needs: readonly Need[]): { value: string; color: Color } | null {
  let best: { value: string; color: Color; distance: number } | null = null;
  for (const { css, role, value } of colorSpots(site)) {
    if (css === null || (role !== "ink" && role !== "named")) continue;
    const color = parseColor(css);
    if (!color || color.alpha !== 1 || !isEnough(color, needs)) continue;
    const distance = differenceOk(color, ink);
    if (distance > farthest) continue;
    if (!best || distance < best.distance) best = { value, color, distance };
  }
  return best;
}
