import { blocksOf, declarationsOf, type Block } from "./blocks";
import { changed, quoted, takenOut } from "./texts";
import { at, type Check, type Found } from "./types";

const because =
  "Readers who need it have all pages in colours of their own: grounds, shadows and inks of the page are not drawn then (CSS Color Adjustment 1, 3.1; WCAG 2.2, 1.4.11).";

/** What is lost once a reader's own colours are forced upon a page, with what would stay. */
export const forcedColors: Check = {
  name: "forced-colors",
  group: "readers",
  inFile: (file, site) =>
    blocksOf(site, file).flatMap((block) =>
      block.rule?.kind === "style" ? [...focusByShadow(block), ...keptInk(block)] : [],
    ),
};

/** A focus that only a shadow or a ground shows, which forced colours take away. */
function focusByShadow(block: Block): Found[] {
  if (!/:focus(?:-visible|-within)?\b/.test(block.selector) || /:not\(:focus/.test(block.selector)) return [];
  const all = declarationsOf(block);
  const outline = all.find(
    ({ property, valueText }) => property === "outline" && /^(?:none|0)$/i.test(valueText.trim()),
  );
  const shows = all.find(({ property }) => /^(?:box-shadow|background(?:-color)?|color)$/.test(property));
  const stays = all.some(({ property }) => /^(?:border|text-decoration|outline-|transform)/.test(property));
  if (!outline || !shows || stays) return [];
  return [
    {
      level: "warning",
      message: `With colours forced, the focus on ${quoted(block.selector)} is not shown: its \`${shows.property}\` is not drawn, and \`outline: ${outline.valueText}\` leaves nothing else.`,
      because,
      ...at(block.file, block.offset + outline.start),
      ways: () => [
        {
          label: "Write `outline: 2px solid transparent`, which is drawn once colours are forced",
          changes: [changed(block, outline.value.start, outline.value.end, "2px solid transparent")],
        },
      ],
    },
  ];
}

/** Colours kept although a reader's are forced, an ink without a ground or the other way round. */
function keptInk(block: Block): Found[] {
  const all = declarationsOf(block);
  const kept = all.find(
    ({ property, valueText }) => property === "forced-color-adjust" && valueText.toLowerCase() === "none",
  );
  if (!kept) return [];
  const has = (names: RegExp) => all.some(({ property }) => names.test(property));
  const [ink, ground] = [has(/^color$/), has(/^background(?:-color|-image)?$/)];
  if (ink === ground) return [];
  return [
    {
      level: "warning",
      message: `${quoted(block.selector)} keeps its ${ink ? "ink" : "ground"} where a reader's colours are forced, and its ${ink ? "ground" : "ink"} is the reader's: one may come to stand on the like of itself.`,
      because,
      ...at(block.file, block.offset + kept.start),
      ways: () => [{ label: "Take it out", changes: [takenOut(block, kept)] }],
    },
  ];
}
