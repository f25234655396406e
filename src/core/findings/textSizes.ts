import { invalidReason } from "../cascade/declarations";
import { fontSizeOf } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { ownWords } from "../source/html/document";
import { componentsOf } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import { refOf, textsOf } from "../text/pageTexts";
import { append, groupBy } from "../source/groups";
import type { Site, TextFile } from "../source/site";
import { eachInSteps } from "../source/steps";
import { blocksOf, declarationsOf, filesOf, type Block } from "./blocks";
import { declareWay, spotFor, targetFor } from "./cause";
import { isForPaper } from "./meant/media";
import { changed, quoted } from "./texts";
import { at, type Check, type Found } from "./types";

/** Text smaller than 12px. */
export const smallText: Check = {
  name: "small-text",
  group: "readers",
  onPage: (page) =>
    textsOf(page).flatMap((style): Found[] => {
      const size = fontSizeOf(style);
      if (
        size >= 12 ||
        size === 0 ||
        /^(?:sub|sup|rt|rp)$/.test(style.element.tag) ||
        !/[\p{L}\p{N}]{2}/u.test(ownWords(style.element))
      )
        return [];
      const spot = spotFor(page, style, "font-size");
      return [
        {
          level: size < 9 ? "warning" : "note",
          message: `Text of ${shown(size)} is smaller than most people read with ease.`,
          because:
            "Small text is lost for many readers; 12px is the smallest size of captions, 16px that of running text in most books of rules.",
          ...at(page.file, style.element.source?.startTag.start ?? 0),
          spot,
          kind: spot ? "size" : style.element.tag,
          rank: size,
          places: [refOf(page.file.path, style)],
          ways: ({ site }) =>
            declareWay(site, "Write `0.75rem`, 12px", targetFor(page, style, spot), "font-size", "0.75rem"),
        },
      ];
    }),
};

const shown = (px: number) => `${Math.round(px * 100) / 100}px`;

/** Sizes that stay as they are when a reader chooses larger text, or grow with the window alone. */
export const fixedSizes: Check = {
  name: "fixed-size",
  group: "readers",
  *onSite({ site, pages }) {
    const printed = onPaperAlone(pages);
    const found: Found[] = [];
    for (const file of filesOf(site)) {
      if (!printed.has(file.path)) append(found, yield* fixedIn(site, file));
      yield;
    }
    return found;
  },
};

/** Paths of sheets that pages read for paper alone. */
function onPaperAlone(pages: readonly KnownPage[]): ReadonlySet<string> {
  const sheets = pages.flatMap((page) => page.sheets.owners.flatMap((owner) => owner.sheets));
  const byPath = groupBy(sheets, ({ path }) => path);
  const printed = [...byPath].filter(([, all]) => all.every(({ media }) => media.some(isForPaper)));
  return new Set(printed.map(([path]) => path));
}

const known = new WeakMap<TextFile, Found[]>();

function* fixedIn(site: Site, file: TextFile): Generator<void, Found[]> {
  const before = known.get(file);
  if (before) return before;
  const fixed: Sized[] = [];
  const all: Found[] = [];
  // Who prints has chosen the size of the paper: points are what it is measured in.
  for (const block of blocksOf(site, file).filter(({ forPaper }) => !forPaper))
    yield* eachInSteps(declarationsOf(block), (declaration) => {
      const size = sizeIn(declaration);
      if (!size) return;
      if (size.unit === "px" || size.unit === "pt") fixed.push({ block, declaration, ...size });
      else if (/^[sld]?v(?:w|h|min|max|i|b)$/.test(size.unit) && declaration.property === "font-size")
        all.push(byWindow(block, declaration));
    });
  const [first] = fixed;
  if (first) all.push(notScaled(file.path, first, fixed));
  known.set(file, all);
  return all;
}

interface Sized {
  block: Block;
  declaration: Declaration;
  unit: string;
  amount: number;
  start: number;
  end: number;
}

/** The size of a `font-size`, or that in a `font`. */
function sizeIn({ property, valueText }: Declaration): Omit<Sized, "block" | "declaration"> | null {
  if (property !== "font-size" && property !== "font") return null;
  const parts = componentsOf(valueText);
  const sole = parts.length === 1 ? parts[0] : undefined;
  const part = property === "font-size" ? sole : parts.find(({ type }) => type === "dimension");
  if (part?.type !== "dimension" || invalidReason(property, valueText) !== null) return null;
  return { unit: part.unit, amount: part.value, start: part.start, end: part.end };
}

const because =
  "Who needs larger text chooses it in the browser; sizes in `rem`, `em` and percentages follow, those in `px` and `pt` do not (WCAG 2.2, 1.4.4).";

function notScaled(path: string, { block, declaration }: Sized, all: readonly Sized[]): Found {
  const onRoot = all.find((one) => /^\s*(?:html|:root)\s*$/.test(one.block.selector));
  const rems = (one: Sized) => {
    const px = one.unit === "pt" ? (one.amount * 4) / 3 : one.amount;
    const unit = /^\s*(?:html|:root)\s*$/.test(one.block.selector) ? "%" : "rem";
    return `${Math.round((px / 16) * (unit === "%" ? 100_000 : 10_000)) / (unit === "%" ? 1000 : 10_000)}${unit}`;
  };
  const where = onRoot ?? { block, declaration };
  return {
    level: onRoot ? "warning" : "note",
    message: onRoot
      ? `${quoted(`${onRoot.block.selector} { font-size: ${onRoot.declaration.valueText} }`)} holds all text at this size, whatever a reader chose.`
      : `${all.length === 1 ? "One size" : `${all.length} sizes`} of text in ${path} ${all.length === 1 ? "does" : "do"} not follow the size a reader chose.`,
    because,
    ...at(where.block.file, where.block.offset + where.declaration.start),
    causes: all.map((one) => ({
      ...at(one.block.file, one.block.offset + one.declaration.start),
      text: `${one.declaration.property}: ${one.declaration.valueText}`,
    })),
    ways: () => [
      {
        label: all.length === 1 ? `Write \`${rems(all[0]!)}\`` : "Write them all in rem",
        changes: all.map((one) =>
          changed(one.block, one.declaration.value.start + one.start, one.declaration.value.start + one.end, rems(one)),
        ),
      },
    ],
  };
}

function byWindow(block: Block, declaration: Declaration): Found {
  const { value, valueText, start } = declaration;
  return {
    level: "warning",
    message: `${quoted(`font-size: ${valueText}`)} follows the width of the window alone: it is tiny on a phone, and larger text cannot be chosen.`,
    because:
      "Text has to grow to twice its size; what hangs on the window does not grow when a page is zoomed (WCAG 2.2, 1.4.4).",
    ...at(block.file, block.offset + start),
    ways: () => [
      {
        label: `Write \`max(1rem, ${valueText})\``,
        changes: [changed(block, value.start, value.end, `max(1rem, ${valueText})`)],
      },
    ],
  };
}
