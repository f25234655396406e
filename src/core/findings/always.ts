import type { Winner } from "../cascade/blocks";
import { forEachInOrder } from "../cascade/blocks";
import { spotOf } from "../cascade/explain";
import type { KnownPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { Declaration } from "../source/css/syntax";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { refOf } from "../text/pageTexts";
import { causeAt, declareWay, type Spot } from "./cause";
import { inSite, type Check, type CheckContext, type Found, type Way } from "./types";

/** Declarations that were written last and lose all the same, on every element they are about. */
export const alwaysLosing: Check = {
  name: "always-loses",
  group: "idle",
  *onSite(context) {
    const { pages } = context;
    const lost = new Map<string, Lost>();
    const won = new Set<string>();
    for (const page of pages) {
      yield;
      for (const [key, one] of lostOn(page, won)) {
        const known = lost.get(key);
        if (known) known.places.push(...one.places);
        else lost.set(key, one);
      }
    }
    return [...lost].flatMap(([key, one]) => (won.has(key) ? [] : [tell(context, one)]));
  },
};

interface Lost {
  page: KnownPage;
  spot: Spot;
  by: Winner;
  bySpot: Spot;
  places: { page: string; index: number }[];
}

const keyOf = ({ path, offset }: Pick<Spot, "path" | "offset">) => `${path}:${offset}`;

/** What loses on a page although it stands below what beats it; what wins anywhere is put to `won`. */
function lostOn(page: KnownPage, won: Set<string>): Map<string, Lost> {
  const lost = new Map<string, Lost>();
  const seen = new Set<Style["shared"]>();
  for (const style of page.styles) {
    const isNew = !seen.has(style.shared);
    seen.add(style.shared);
    const winners = new Map<Declaration, Winner | null>();
    for (const winner of style.shared.winners.values()) {
      winners.set(winner.declaration, null);
      for (let next = winner.beaten; next; next = next.beaten)
        if (winners.get(next.declaration) === undefined) winners.set(next.declaration, winner);
    }
    if (!isNew) {
      for (const one of lost.values())
        if (one.spot.holder.shared === style.shared) one.places.push(refOf(page.file.path, style));
      continue;
    }
    const own = new Map<Declaration, Winner["block"]>();
    forEachInOrder(style.blocks, (block, { declaration }) => {
      if (block.origin === "author") own.set(declaration, block);
    });
    for (const [declaration, block] of own) {
      const by = winners.get(declaration);
      const place = spotOf(page, style.element, block, declaration);
      if (!place || by === undefined) continue;
      if (by === null) {
        won.add(keyOf(place));
        continue;
      }
      const above = spotOf(page, style.element, by.block, by.declaration);
      if (!above || block.attached || !isSurprise(page, { ...place, block }, { ...above, block: by.block }, by))
        continue;
      lost.set(keyOf(place), {
        page,
        spot: { ...place, declaration, holder: style },
        by,
        bySpot: { ...above, declaration: by.declaration, holder: style },
        places: [refOf(page.file.path, style)],
      });
    }
  }
  return lost;
}

interface Placed {
  path: string;
  offset: number;
  block: Winner["block"];
}

/** Whether what loses stands behind what wins, and neither is under a condition. */
function isSurprise(page: KnownPage, loser: Placed, winner: Placed, { block }: Winner): boolean {
  const isPlain = (one: Placed) => {
    const conditions = one.block.match?.rule.entry.conditions;
    return !conditions || conditions.media.length + conditions.supports.length + conditions.containers.length === 0;
  };
  if (!isPlain(loser) || !isPlain(winner) || block.origin !== "author") return false;
  // Twice in one rule is told as that.
  if (loser.block === winner.block) return false;
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
  const why =
    by.declaration.important && !declaration.important
      ? "is important"
      : by.block.attached
        ? "stands on the element itself"
        : spot.path === bySpot.path && spot.offset < bySpot.offset
          ? "comes later"
          : "is more specific";
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
