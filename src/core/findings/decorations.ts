import { computedValue } from "../cascade/style";
import { refOf, textsOf } from "../text/pageTexts";
import { spotFor, declareWay, targetOf } from "./cause";
import { at, type Check, type Found } from "./types";

/** Parts of a line that say something only where there is one. */
const parts: readonly (readonly [longhand: string, initial: string, words: string])[] = [
  ["text-decoration-color", "", "A colour"],
  ["text-decoration-style", "solid", "A style"],
  ["text-decoration-thickness", "auto", "A thickness"],
  ["text-underline-offset", "auto", "An offset"],
];

/** A line's colour, style, thickness or offset on texts that have no line, or none that it is about. */
export const decorations: Check = {
  name: "decoration",
  group: "idle",
  onPage: (page) =>
    textsOf(page).flatMap((style): Found[] => {
      const lines = computedValue(style, "text-decoration-line");
      return parts.flatMap(([longhand, initial, words]): Found[] => {
        const isOffset = longhand === "text-underline-offset";
        if (isOffset ? lines.includes("underline") : lines !== "none") return [];
        if (computedValue(style, longhand) === initial) return [];
        const spot = spotFor(page, style, longhand);
        if (spot?.holder !== style || spot.declaration.property !== longhand) return [];
        return [
          {
            level: "warning",
            message:
              isOffset && lines !== "none"
                ? `The offset \`${spot.declaration.valueText}\` is about lines under the text, and this one is ${lines}.`
                : `${words} is set for a line, but there is no line: \`text-decoration-line\` is none.`,
            because:
              "Colour, style, thickness and offset say how a line is drawn, not that there is one (CSS Text Decoration 4, 2).",
            ...at(page.file, style.element.source?.startTag.start ?? 0),
            spot,
            kind: longhand,
            places: [refOf(page.file.path, style)],
            ways: ({ site }) => [
              ...declareWay(
                site,
                "Put a line under it",
                targetOf(page.file.path, spot),
                "text-decoration-line",
                "underline",
              ),
              ...declareWay(site, "Take it out", targetOf(page.file.path, spot), longhand, null),
            ],
          },
        ];
      });
    }),
};
