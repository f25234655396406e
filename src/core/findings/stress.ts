import { plainSelector } from "../source/html/document";
import { quoted } from "./texts";
import { shownWords } from "../text/textStyles";
import type { KnownPage } from "../cascade/styledPages";
import { letFit, letGrow } from "./giveWay";
import { at, type Check, type Found } from "./types";

/** What gives way on a page that is laid out as some readers have it, measured out of sight. Elements by index. */
export interface PageStress {
  /** At 320 CSS px of width: what reaches beyond the window, so that it scrolls both ways. */
  beyond: readonly number[];
  /** At twice the size: texts that are cut off and were not before. */
  cutLarge: readonly number[];
  /** With more room between lines, words and letters: the same. */
  cutSpaced: readonly number[];
  /** At twice the size: pairs of texts that lie over each other and did not before. */
  overLarge: readonly (readonly [number, number])[];
}

const growth = "Text has to grow to twice its size without loss (WCAG 2.2, 1.4.4).";

/** By path; pages that were not measured are not in it. */
export type Stresses = Readonly<Record<string, PageStress>>;

/** Pages that do not hold when text is larger, has more room, or the window is narrow (WCAG 2.2, 1.4.4, 1.4.10 and 1.4.12). */
export const stress: Check = {
  name: "stress",
  group: "readers",
  *onSite({ pages, stresses }) {
    const found: Found[] = [];
    for (const page of pages) {
      yield;
      const own = stresses[page.file.path];
      if (!own) continue;
      found.push(
        ...beyond(page, own.beyond),
        ...over(page, own.overLarge),
        ...cut(page, own.cutLarge, "at twice the size", growth),
        ...cut(
          page,
          own.cutSpaced,
          "where a reader gives lines, words and letters more room",
          "Readers may set lines at 1.5, letters at 0.12em and words at 0.16em without loss (WCAG 2.2, 1.4.12).",
        ),
      );
    }
    return found;
  },
};

const wordsAt = ({ document }: KnownPage, index: number): string => {
  const element = document.elements[index]!;
  return shownWords(element) || plainSelector(element);
};

function beyond(page: KnownPage, indexes: readonly number[]): Found[] {
  if (indexes.length === 0) return [];
  const first = page.document.elements[indexes[0]!]!;
  return [
    {
      level: "warning",
      message: `At 320px of width ${page.file.path} scrolls both ways: \`${plainSelector(first)}\` reaches beyond the window.`,
      because:
        "At four times the size a window has 320px of width; lines that have to be scrolled for are given up (WCAG 2.2, 1.4.10).",
      ...at(page.file, first.source?.startTag.start ?? 0),
      places: indexes.map((index) => ({ page: page.file.path, index })),
      ways: ({ site }) => [
        { label: "Let it fit into the window", changes: letFit(site, page, indexes), proof: "layout" },
      ],
    },
  ];
}

/** One finding for all texts of a page that come to lie over others. */
function over(page: KnownPage, pairs: PageStress["overLarge"]): Found[] {
  const [first] = pairs;
  if (!first) return [];
  const more = pairs.length > 1 ? ` There are ${pairs.length - 1} more such pairs.` : "";
  const indexes = [...new Set(pairs.flat())];
  return [
    {
      level: "warning",
      message: `At twice the size ${quoted(wordsAt(page, first[0]))} and ${quoted(wordsAt(page, first[1]))} lie over each other.${more}`,
      because: growth,
      ...at(page.file, page.document.elements[first[0]]!.source?.startTag.start ?? 0),
      places: indexes.map((index) => ({ page: page.file.path, index })),
      ways: ({ site }) => [
        { label: "Let the boxes grow with the text", changes: letGrow(site, page, indexes), proof: "layout" },
      ],
    },
  ];
}

/** One finding for all texts of a page that are cut off for one reason. */
function cut(page: KnownPage, indexes: readonly number[], when: string, because: string): Found[] {
  if (indexes.length === 0) return [];
  const first = page.document.elements[indexes[0]!]!;
  const more = indexes.length > 1 ? `, and ${indexes.length - 1} more` : "";
  return [
    {
      level: "warning",
      message: `${quoted(wordsAt(page, indexes[0]!))}${more} ${indexes.length > 1 ? "are" : "is"} cut off ${when}: the box does not grow with the text.`,
      because,
      ...at(page.file, first.source?.startTag.start ?? 0),
      places: indexes.map((index) => ({ page: page.file.path, index })),
      ways: ({ site }) => [
        { label: "Let the boxes grow with the text", changes: letGrow(site, page, indexes), proof: "layout" },
      ],
    },
  ];
}
