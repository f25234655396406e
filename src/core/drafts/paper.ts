/** How a site comes out on paper, drafted: ink on white, addresses behind links, sizes in points. */
import type { Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { fontSizeOf } from "../cascade/style";
import { atSheetEnd } from "../edits/newRule";
import { rulesUnder, type Declarations } from "../edits/ruleText";
import { newSheet, type SheetPlan } from "../edits/sheetLinks";
import { EditError } from "../edits/types";
import { commonSheet } from "../palette/properties";
import type { Item } from "../source/css/syntax";
import { isForScreens, sheetTexts } from "../source/declarations";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { ownWords } from "../source/html/document";
import { textsOf } from "../text/pageTexts";

export interface PaperAsked {
  /** Size of most of the text, pt. */
  size: number;
  /** Whether links to other sites are followed by their addresses. */
  addresses: boolean;
  /** A new sheet for it, which all pages link to last; null for the end of one that they share. */
  sheet: string | null;
}

const pxPerPt = 96 / 72;

/** @throws EditError, in plain words, where it cannot be written so */
export function writePaper(site: Site, conditions: Conditions, { size, addresses, sheet }: PaperAsked): SheetPlan {
  if (!(size >= 4 && size <= 72)) throw new EditError("A size on paper is from 4 to 72 points.");
  const scale = (size * pxPerPt) / usualSize(site, conditions);
  const rules: (readonly [selector: string, lines: Declarations])[] = [
    ["*, ::before, ::after", plain],
    ...(addresses ? [linked] : []),
    ["h1, h2, h3, h4", [["break-after", "avoid"]]],
    [":root", [["font-size", points(conditions.rootSize * scale)]]],
    ...sizesIn(site, scale),
  ];
  if (sheet !== null) {
    const pages = pagesOf(site).map(({ path }) => path);
    return newSheet(site, { sheet, pages, first: false }, `${rulesUnder("", "@media print", rules)}\n`);
  }
  const target = commonSheet(
    site,
    sheetsOf(site).map(({ path }) => ({ path })),
  );
  return { changes: [atSheetEnd(target, rulesUnder(target.text, "@media print", rules))], files: [] };
}

/** What every element loses: an ink that is set is black, whatever rule sets it. */
const plain: Declarations = [
  ["background", "transparent !important"],
  ["color", "#000 !important"],
  ["-webkit-text-fill-color", "currentColor !important"],
  ["box-shadow", "none !important"],
  ["text-shadow", "none !important"],
];

const linked = ['a[href^="http"]::after', [["content", '" (" attr(href) ")"']]] as const;

/** The size that most letters of the site are set in, CSS px. */
function usualSize(site: Site, conditions: Conditions): number {
  const letters = new Map<number, number>();
  for (const file of pagesOf(site))
    for (const style of textsOf(styledPage(site, file, conditions))) {
      const px = fontSizeOf(style);
      letters.set(px, (letters.get(px) ?? 0) + ownWords(style.element).length);
    }
  const [most] = [...letters].sort((a, b) => b[1] - a[1]);
  return most?.[0] || conditions.rootSize;
}

const points = (px: number) => `${Math.round((px / pxPerPt) * 4) / 4}pt`;

/** Rules that set a size in px or pt, with the size on paper; those of the root are told apart. */
function sizesIn(site: Site, scale: number): [selector: string, lines: Declarations][] {
  const sizes: [string, Declarations][] = [];
  const walk = (items: readonly Item[]) => {
    for (const item of items) {
      if (item.kind === "at" && /^(?:layer|supports)$/.test(item.name)) walk(item.items);
      if (item.kind !== "style") continue;
      const own = item.items.findLast((one) => one.kind === "declaration" && one.property === "font-size");
      const found = own?.kind === "declaration" ? /^([\d.]+)(px|pt)$/i.exec(own.valueText) : null;
      if (!found) continue;
      const px = Number(found[1]) * (found[2]!.toLowerCase() === "pt" ? pxPerPt : 1);
      if (px > 0) sizes.push([item.preludeText.replace(/\s+/g, " "), [["font-size", points(px * scale)]]]);
    }
  };
  for (const file of [...sheetsOf(site), ...pagesOf(site)])
    for (const { items, media } of sheetTexts(site, file)) if (isForScreens(media)) walk(items);
  return sizes;
}
