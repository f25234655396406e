import { declaredText } from "../cascade/declared";
import { computedValue, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { shortSelector } from "../source/html/document";
import { refOf, textsOf } from "../text/pageTexts";
import { declareWay, spotFor, targetFor } from "./cause";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "Alignment and indent are about the lines of a block; words inside a line have neither (CSS Text 3, 7.1 and 8.1; CSS Inline 3, 2).";

/** Properties set on elements of a kind that they say nothing about, and lines that are taken off where they are not. */
export const noEffect: Check = {
  name: "no-effect",
  group: "idle",
  onPage: (page) =>
    textsOf(page).flatMap((style) => (style.pseudo ? [] : [...onInline(page, style), ...lineAbove(page, style)])),
};

const isInline = (style: Style) =>
  computedValue(style, "display") === "inline" &&
  computedValue(style, "float") === "none" &&
  !/^(?:br|wbr)$/.test(style.element.tag);

/** What a block has and words in a line have not. */
const ofBlocks: readonly (readonly [longhand: string, initial: string])[] = [
  ["text-align", "start"],
  ["text-indent", "0px"],
];

function onInline(page: KnownPage, style: Style): Found[] {
  if (!isInline(style)) return [];
  return ofBlocks.flatMap(([longhand, initial]): Found[] => {
    const spot = computedValue(style, longhand) === initial ? null : spotFor(page, style, longhand);
    if (spot?.holder !== style) return [];
    // Of a list of selectors others may be blocks.
    if (/[,*]/.test(style.shared.winners.get(longhand)?.block.match?.rule.entry.rule.preludeText ?? "")) return [];
    return [
      {
        level: "warning",
        message: `\`${longhand}: ${spot.declaration.valueText}\` does nothing for \`${style.element.tag}\`: it stands in a line, and only blocks have lines of their own.`,
        because,
        ...at(page.file, style.element.source?.startTag.start ?? 0),
        spot,
        kind: longhand,
        places: [refOf(page.file.path, style)],
        ways: ({ site }): Way[] => {
          const target = targetFor(page, style, spot);
          return [
            ...declareWay(site, "Make it a block", target, "display", "block"),
            ...declareWay(site, "Take it out", target, longhand, null),
          ];
        },
      },
    ];
  });
}

/** `text-decoration: none` on words in a line that something around them draws. */
function lineAbove(page: KnownPage, style: Style): Found[] {
  if (computedValue(style, "text-decoration-line") !== "none" || !isInline(style)) return [];
  const spot = spotFor(page, style, "text-decoration-line");
  if (spot?.holder !== style) return [];
  let drawn: Style | null = null;
  for (let above = style.parent; above && !drawn; above = above.parent) {
    if (computedValue(above, "text-decoration-line") !== "none") drawn = above;
    if (/^inline-|^absolute|^fixed/.test(`${computedValue(above, "display")} ${declaredText(above, "position") ?? ""}`))
      break;
  }
  if (!drawn) return [];
  const line = computedValue(drawn, "text-decoration-line");
  return [
    {
      level: "warning",
      message: `\`${spot.declaration.property}: ${spot.declaration.valueText}\` takes no line off \`${style.element.tag}\`: the ${line} is that of \`${shortSelector(drawn.element)}\` around it.`,
      because: "A line is drawn by the element that has it through all that stands in it (CSS Text Decoration 4, 2).",
      ...at(page.file, style.element.source?.startTag.start ?? 0),
      spot,
      kind: "line above",
      places: [refOf(page.file.path, style)],
      ways: ({ site }) =>
        declareWay(
          site,
          "Take it out of the line: `display: inline-block`",
          targetFor(page, style, spot),
          "display",
          "inline-block",
        ),
    },
  ];
}
