import { forEachInOrder, type Block, type Winner } from "../cascade/blocks";
import { ruleNow, spotOf } from "../cascade/explain";
import type { KnownPage } from "../cascade/styledPages";
import type { SharedStyle, Style } from "../cascade/style";
import { groupBy } from "../source/groups";
import { made } from "../source/memo";
import type { Declaration, StyleRule } from "../source/css/syntax";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { refOf } from "../text/pageTexts";
import type { ElementRef } from "../text/refs";
import { causeAt, declareWay, type Spot } from "./cause";
import { inSite, type Check, type CheckContext, type Found, type Way } from "./types";

/** Declarations that were written last and lose all the same, on every element they are about. */
export const alwaysLosing: Check = {
  name: "always-loses",
  group: "idle",
  *onSite(context) {
    const lost = new Map<string, Lost>();
    for (const page of context.pages) {
      yield;
      for (const [shared, styles] of stylesByShared(page))
        for (const candidate of losersOf(shared, styles[0]!)) putLost(lost, page, styles, candidate);
    }
    const rules = new Set([...lost.values()].map(({ rule }) => rule));
    for (const page of context.pages) {
      yield;
      for (const [shared, styles] of stylesByShared(page))
        for (const block of styles[0]!.blocks) {
          if (!isOfRule(block) || !rules.has(ruleNow(page, block.match!).entry.rule)) continue;
          for (const { declaration } of [...block.normal, ...block.important]) {
            if (!decidingOn(shared).has(declaration)) continue;
            const place = spotOf(page, styles[0]!.element, block, declaration);
            if (place) lost.delete(keyOf(place));
          }
        }
    }
    return [...lost.values()].map((one) => tell(context, one));
  },
};

interface Lost {
  spot: Spot;
  rule: StyleRule;
  by: Winner;
  bySpot: Spot;
  places: ElementRef[];
}

const keyOf = ({ path, offset }: Pick<Spot, "path" | "offset">) => `${path}:${offset}`;

const grouped = new WeakMap<KnownPage["styles"], ReadonlyMap<SharedStyle, readonly Style[]>>();

/** The styles of a page by the values they share. */
function stylesByShared({ styles }: KnownPage): ReadonlyMap<SharedStyle, readonly Style[]> {
  let groups = grouped.get(styles);
  if (!groups) grouped.set(styles, (groups = groupBy(styles, ({ shared }) => shared)));
  return groups;
}

/** A declaration of a rule that loses. */
interface Candidate {
  block: Block;
  declaration: Declaration;
  by: Winner;
}

const isOfRule = ({ origin, attached }: Block) => origin === "author" && !attached;

const losers = new WeakMap<SharedStyle, readonly Candidate[]>();
const none: readonly Candidate[] = [];

/** Declarations of rules that decide nothing on elements that share a style, although they may have been written to. */
const losersOf = (shared: SharedStyle, style: Style): readonly Candidate[] =>
  made(losers, shared, () => losersIn(shared, style));

function losersIn({ winners }: SharedStyle, { blocks }: Style): readonly Candidate[] {
  // What is told of loses to another block of the site's own.
  if (blocks.filter(({ origin }) => origin === "author").length < 2) return none;
  const beaten = new Map<Declaration, Winner>();
  for (const winner of winners.values())
    for (let next = winner.beaten; next; next = next.beaten)
      if (!beaten.has(next.declaration)) beaten.set(next.declaration, winner);
  if (beaten.size === 0) return none;
  for (const { declaration } of winners.values()) beaten.delete(declaration);
  const lost: Candidate[] = [];
  forEachInOrder(blocks, (block, { declaration }) => {
    const by = isOfRule(block) ? beaten.get(declaration) : undefined;
    if (by && isUnconditional(block, by.block)) lost.push({ block, declaration, by });
    if (by) beaten.delete(declaration);
  });
  return lost;
}

const deciding = new WeakMap<SharedStyle, ReadonlySet<Declaration>>();

/** Declarations that decide something on elements that share a style. */
const decidingOn = (shared: SharedStyle): ReadonlySet<Declaration> =>
  made(deciding, shared, () => new Set([...shared.winners.values()].map(({ declaration }) => declaration)));

function putLost(
  lost: Map<string, Lost>,
  page: KnownPage,
  styles: readonly Style[],
  { block, declaration, by }: Candidate,
): void {
  const [holder] = styles;
  const place = spotOf(page, holder!.element, block, declaration);
  const above = place && spotOf(page, holder!.element, by.block, by.declaration);
  if (!above || !isSurprise({ ...place, block }, { ...above, block: by.block })) return;
  const places = styles.map((style) => refOf(page.file.path, style));
  const known = lost.get(keyOf(place));
  if (known) {
    for (const one of places) known.places.push(one);
    return;
  }
  lost.set(keyOf(place), {
    spot: { ...place, declaration, holder: holder!, property: declaration.property },
    rule: ruleNow(page, block.match!).entry.rule,
    by,
    bySpot: { ...above, declaration: by.declaration, holder: holder!, property: by.declaration.property },
    places,
  });
}

interface Placed {
  path: string;
  block: Block;
}

/** Whether neither is under a condition; twice in one rule is told as that. */
function isUnconditional(loser: Block, winner: Block): boolean {
  const isPlain = ({ match }: Block) => {
    const conditions = match?.rule.entry.conditions;
    return !conditions || conditions.media.length + conditions.supports.length + conditions.containers.length === 0;
  };
  return winner.origin === "author" && loser !== winner && isPlain(loser) && isPlain(winner);
}

/** Whether what loses stands behind what wins. */
function isSurprise(loser: Placed, winner: Placed): boolean {
  if (winner.block.attached) return true;
  if (loser.block.match?.rule.layer !== winner.block.match?.rule.layer) return false;
  const order = (one: Placed) => one.block.match?.rule.order ?? 0;
  // Written again for the same, further down: who changes the first wonders.
  const prelude = (one: Placed) => one.block.match?.rule.entry.rule.preludeText.replace(/\s+/g, " ");
  return order(loser) > order(winner) || (loser.path === winner.path && prelude(loser) === prelude(winner));
}

function tell({ site }: CheckContext, { spot, by, bySpot, places }: Lost): Found {
  const { declaration } = spot;
  const cause = causeAt(site, bySpot);
  const selector = by.block.attached
    ? "the style attribute"
    : `\`${by.block.match!.rule.entry.rule.preludeText.replace(/\s+/g, " ")}\``;
  let why = spot.path === bySpot.path && spot.offset < bySpot.offset ? "comes later" : "is more specific";
  if (by.block.attached) why = "stands on the element itself";
  if (by.declaration.important && !declaration.important) why = "is important";
  return {
    level: "warning",
    message: `\`${declaration.property}: ${declaration.valueText}\` never counts: ${selector} in ${cause.path} line ${cause.line} ${why}.`,
    because:
      "What is important, then what stands on the element, then the more specific selector wins, wherever it stands (CSS Cascade 5, 6.1).",
    ...inSite(site, spot.path, spot.offset),
    causes: [cause],
    places,
    ways: (context) => waysFor(context, spot, bySpot),
  };
}

function waysFor({ site }: CheckContext, spot: Spot, bySpot: Spot): Way[] {
  const { property, valueText } = spot.declaration;
  const nameOf = ({ declaration }: Spot) => aliases[declaration.property] ?? declaration.property;
  const declare = ({ path, rule }: Spot, value: string | null) =>
    declareWay(site, "", rule === null ? null : { kind: "rule", path, start: rule }, property, value);
  const out = declare(spot, null)[0]?.changes ?? [];
  const by = nameOf(bySpot);
  const decides = by === nameOf(spot) || shorthands.get(by)?.longhands.includes(nameOf(spot));
  const there = decides ? declare(bySpot, valueText)[0]?.changes : undefined;
  const ways: Way[] = [];
  if (there) ways.push({ label: `Write \`${valueText}\` where it is decided`, changes: [...there, ...out] });
  return [...ways, { label: "Take it out", changes: out }];
}
