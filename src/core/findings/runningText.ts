import { computedValue, fontSizeOf, leadingOf, valueOf, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { ownWords, plainSelector } from "../source/html/document";
import { refOf, textsOf } from "../text/pageTexts";
import type { Layouts } from "../text/textStyles";
import { declareWay, ownTarget, spotFor, targetFor, type Spot } from "./cause";
import { at, type Check, type Found, type Level } from "./types";

/** Fewer letters than this are no running text. */
const fewest = 80;
const running = /^(?:p|li|dd|blockquote|figcaption|div|article|section|td)$/;

const isRunning = ({ element, pseudo }: Style) =>
  pseudo === null && running.test(element.tag) && ownWords(element).length >= fewest;

/** One thing that makes running text hard to read. */
interface Trouble {
  longhand: string;
  level: Level;
  /** What is so; null where it is in order. */
  says(style: Style, spot: Spot | null): string | null;
  because: string;
  /** What is written instead, best first. */
  instead: readonly (readonly [label: string, property: string, value: string])[];
}

const shown = (value: number) => String(Math.round(value * 100) / 100);

const troubles: readonly Trouble[] = [
  {
    longhand: "line-height",
    level: "warning",
    says: (style, spot) => {
      const leading = leadingOf(style);
      if (leading === null) return null;
      const share = leading / fontSizeOf(style);
      if (share >= 1.3) return null;
      const inherited = spot && spot.holder !== style && /[a-z%]\s*$/i.test(spot.declaration.valueText);
      return inherited
        ? `Running text has a leading of ${shown(share)}: \`${spot.declaration.valueText}\` was reckoned where it is set, and is inherited as a length.`
        : `Running text has a leading of ${shown(share)}${share < 1 ? ": its lines touch" : ", and 1.3 to 1.6 is usual"}.`;
    },
    because:
      "Lines that stand too close are hard to follow; a number without a unit is reckoned anew for each size (CSS Inline 3, 4.1; WCAG 2.2, 1.4.12).",
    instead: [["Write `1.5`", "line-height", "1.5"]],
  },
  {
    longhand: "text-transform",
    level: "warning",
    says: (style) =>
      computedValue(style, "text-transform") === "uppercase" ? "Running text is in capitals throughout." : null,
    because:
      "Words in capitals lose their shape: whole sentences of them are read slowly, and some screen readers spell them.",
    instead: [["Write `none`", "text-transform", "none"]],
  },
  {
    longhand: "font-weight",
    level: "note",
    says: (style) => {
      const weight = valueOf(style, "font-weight");
      return weight <= 300 && fontSizeOf(style) < 20
        ? `Running text of ${shown(fontSizeOf(style))}px has a weight of ${weight}: its lines are thin.`
        : null;
    },
    because: "Thin letters have less contrast than their colour says.",
    instead: [["Write `400`", "font-weight", "400"]],
  },
  {
    longhand: "letter-spacing",
    level: "note",
    says: (style) => {
      const spacing = Number.parseFloat(computedValue(style, "letter-spacing"));
      const share = Number.isFinite(spacing) ? spacing / fontSizeOf(style) : 0;
      if (share > 0.16) return `The letters of running text stand ${shown(share)}em apart: words fall to pieces.`;
      return share < -0.03
        ? `The letters of running text stand ${shown(-share)}em closer than they are drawn for.`
        : null;
    },
    because:
      "Running text is drawn for the spacing it has; more than 0.12em is asked of no page, only allowed for (WCAG 2.2, 1.4.12).",
    instead: [["Write `normal`", "letter-spacing", "normal"]],
  },
  {
    longhand: "text-align",
    level: "note",
    says: (style) =>
      computedValue(style, "text-align") === "justify" && computedValue(style, "hyphens") !== "auto"
        ? "Running text is justified without hyphens: blanks of all widths run through it."
        : null,
    because: "Even edges cost uneven blanks, which some people cannot read past (WCAG 2.2, 1.4.8).",
    instead: [
      ["Write `start`", "text-align", "start"],
      ["Let words be parted", "hyphens", "auto"],
    ],
  },
];

/** Settings that make running text hard to read. */
export const runningText: Check = {
  name: "running-text",
  group: "readers",
  onPage: (page, layouts) =>
    textsOf(page)
      .filter(isRunning)
      .flatMap((style) => [
        ...troubles.flatMap((trouble) => inTrouble(page, style, trouble)),
        ...lineLength(page, style, layouts),
      ]),
};

function inTrouble(page: KnownPage, style: Style, { longhand, level, says, because, instead }: Trouble): Found[] {
  const spot = spotFor(page, style, longhand);
  const message = says(style, spot);
  if (message === null || !spot) return [];
  return [
    {
      level,
      message,
      because,
      ...at(page.file, style.element.source?.startTag.start ?? 0),
      spot,
      kind: longhand,
      places: [refOf(page.file.path, style)],
      ways: ({ site }) =>
        instead.flatMap(([label, property, value]) =>
          declareWay(site, label, targetFor(page, style, spot), property, value),
        ),
    },
  ];
}

/** Characters of a line of running text, at the most and at the least. */
const [longest, shortest] = [80, 20];

/** Lines that are too long or too short; known where the page was laid out. */
function lineLength(page: KnownPage, style: Style, layouts: Layouts): Found[] {
  const characters = layouts[page.file.path]?.[style.element.index]?.longest ?? null;
  if (characters === null || (characters <= longest && characters >= shortest)) return [];
  const tooLong = characters > longest;
  const selector = plainSelector(style.element);
  return [
    {
      level: "note",
      message: tooLong
        ? `Lines of running text (\`${selector}\`) hold up to ${characters} characters, and 45 to 75 are read with ease.`
        : `Lines of running text (\`${selector}\`) hold no more than ${characters} characters: they break after every other word.`,
      because:
        "At the end of a line that is too long the eye does not find the next one (WCAG 2.2, 1.4.8: 80 at most).",
      ...at(page.file, style.element.source?.startTag.start ?? 0),
      // The same size in the same kind of element breaks into the same lines.
      spot: spotFor(page, style, "font-size"),
      kind: `line ${tooLong} ${selector}`,
      rank: tooLong ? -characters : characters,
      places: [refOf(page.file.path, style)],
      ways: ({ site }) =>
        tooLong
          ? declareWay(site, "Hold them to about 70 characters", ownTarget(page, style), "max-width", "60ch").map(
              (way) => ({ ...way, proof: "layout" as const }),
            )
          : [],
    },
  ];
}
