import { fontSizeOf, valueOf } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import type { ElementNode } from "../source/html/document";
import { headingLevel, wordsIn } from "../source/html/headings";
import { otherTags, retag } from "../edits/retag";
import { textsOf } from "../text/pageTexts";
import { quoted } from "./texts";
import { spotFor, declareWay, targetFor } from "./cause";
import { at, type Check, type CheckContext, type Found, type Way } from "./types";

/** Headings whose level and size say different things, levels left out, and text that only looks like a heading. */
export const headings: Check = {
  name: "headings",
  group: "page",
  onPage: (page) => {
    const all = page.document.elements.filter((element) => headingLevel(element) > 0 && element.source);
    return [...leftOut(page, all), ...turnedRound(page, all), ...feigned(page)];
  },
};

/** Another tag for an element, its attributes kept; none where it cannot be that. */
function retagged(
  { file, document }: KnownPage,
  { index, tag }: ElementNode,
  to: string,
): (context: CheckContext) => Way[] {
  return ({ site }) => {
    const label = `Make it an \`${to}\``;
    return otherTags(document.elements[index]!).includes(to) && tag !== to
      ? [{ label, changes: retag(site, [{ page: file.path, index }], to) }]
      : [];
  };
}

function leftOut(page: KnownPage, all: readonly ElementNode[]): Found[] {
  let before = 0;
  return all.flatMap((element): Found[] => {
    const level = headingLevel(element);
    const [last, next] = [before, before + 1];
    before = level;
    if (level <= next || last === 0) return [];
    return [
      {
        level: "note",
        message: `The heading ${quoted(wordsIn(element))} is of level ${level} below one of level ${last}: level ${next} is left out.`,
        because:
          "Who listens to a page goes by its headings; a level that is missing sounds like a part that is missing (WCAG 2.2, 1.3.1).",
        ...at(page.file, element.source!.startTag.start),
        ways: retagged(page, element, `h${next}`),
      },
    ];
  });
}

/** Of each level the size that most of its headings have. */
function turnedRound(page: KnownPage, all: readonly ElementNode[]): Found[] {
  const byLevel = new Map<number, { element: ElementNode; size: number }>();
  for (const element of all) {
    const level = headingLevel(element);
    if (!byLevel.has(level)) byLevel.set(level, { element, size: fontSizeOf(page.styles[element.index]!) });
  }
  const levels = [...byLevel].sort(([a], [b]) => a - b);
  return levels.flatMap(([level, { element, size }], at_): Found[] => {
    const above = levels[at_ - 1];
    if (!above || size <= above[1].size + 0.5) return [];
    const style = page.styles[element.index]!;
    const spot = spotFor(page, style, "font-size");
    const shown = (px: number) => `${Math.round(px * 100) / 100}px`;
    return [
      {
        level: "note",
        message: `Headings of level ${level} are larger (${shown(size)}) than those of level ${above[0]} (${shown(above[1].size)}).`,
        because:
          "The size of a heading tells its rank to those who see it, its level to those who hear it: both should say the same (WCAG 2.2, 1.3.1).",
        ...at(page.file, element.source!.startTag.start),
        spot,
        kind: spot ? "rank" : `h${level}`,
        places: [{ page: page.file.path, index: element.index }],
        ways: ({ site }) =>
          declareWay(
            site,
            `Write \`${shown(above[1].size)}\``,
            targetFor(page, style, spot),
            "font-size",
            shown(above[1].size),
          ),
      },
    ];
  });
}

const longest = 60;

/** A paragraph, alone on its line, that is set as a heading is. */
function feigned(page: KnownPage): Found[] {
  const texts = textsOf(page);
  const sizes = texts.map(fontSizeOf).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 16;
  return page.document.elements.flatMap((element): Found[] => {
    if ((element.tag !== "p" && element.tag !== "div") || !element.source?.endTag) return [];
    const only = element.children.length === 1 && !element.hasText ? element.children[0]! : null;
    if (element.tag === "div" && !element.hasText) return [];
    const bold = only ? /^(?:b|strong|big)$/.test(only.tag) : element.hasText && element.children.length === 0;
    if (!bold) return [];
    const words = wordsIn(element);
    if (
      !/\p{L}{3}/u.test(words) ||
      words.length > longest ||
      /[.!?:;,]$/.test(words) ||
      isWithin(element, /^(?:header|footer|nav|figure|table|form|button|a|li|aside|address|label)$/)
    )
      return [];
    const style = page.styles[(only ?? element).index]!;
    const size = fontSizeOf(style);
    const looks = valueOf(style, "font-weight") >= 600 && (only !== null || size >= usual * 1.2);
    const next = element.parent?.children[element.position + 1];
    if (!looks || !next || !/^(?:p|ul|ol|div|table|figure|dl)$/.test(next.tag) || element.parent?.tag === "li")
      return [];
    const level = rankBefore(page, element);
    return [
      {
        level: "note",
        message: `${quoted(words)} looks like a heading and is none: it is a \`${element.tag}\`${only ? ` with a \`${only.tag}\` in it` : ""}.`,
        because: "Who listens to a page, or goes by its headings, does not find it (WCAG 2.2, 1.3.1).",
        ...at(page.file, element.source.startTag.start),
        places: [{ page: page.file.path, index: (only ?? element).index }],
        ways: retagged(page, element, `h${level}`),
      },
    ];
  });
}

function isWithin(element: ElementNode, tags: RegExp): boolean {
  for (let above = element.parent; above; above = above.parent) if (tags.test(above.tag)) return true;
  return false;
}

/** The level below the last heading of level 1, else that of the heading before. */
function rankBefore(page: KnownPage, element: ElementNode): number {
  const before = page.document.elements.slice(0, element.index).findLast((one) => headingLevel(one) > 0);
  return before ? Math.max(2, headingLevel(before)) : 1;
}
