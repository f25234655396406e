import { prepareDeclaration } from "../cascade/declarations";
import { settableOn } from "../cascade/pseudoProperties";
import { table } from "../source/table";
import type { Block } from "./blocks";
import { quoted, takenOut } from "./texts";
import { at, type Check } from "./types";

/** What is said of each of the pseudo-elements that are less than a box. */
const takes: Readonly<Record<string, string>> = table({
  "first-line": "a first line takes fonts, inks, lines and grounds, and nothing about its box",
  "first-letter": "a first letter takes fonts, inks, lines, grounds, margins, paddings and borders, and floats",
  marker: "a marker takes what it shows, fonts and inks",
});

/** What is set on pseudo-elements that take only some properties, and not this one. */
export const pseudoProperties: Check = {
  name: "pseudo-property",
  group: "idle",
  inDeclaration: (declaration, block) => {
    const names = pseudosOf(block);
    const prepared = names.length ? prepareDeclaration(declaration) : null;
    if (prepared?.kind !== "longhands" || prepared.entries.length === 0) return [];
    if (prepared.entries.some(([longhand]) => names.some((name) => settableOn(name)!.test(longhand)))) return [];
    const { property, valueText, start } = declaration;
    return [
      {
        level: "warning",
        message: `${quoted(`${property}: ${valueText}`)} does nothing on \`::${names[0]!}\`: ${takes[names[0]!]!}.`,
        because: "What is less than a box takes only some properties (CSS Pseudo 4, 2.1.1, 2.2.1 and 4.1).",
        ...at(block.file, block.offset + start),
        ways: () => [{ label: "Take it out", changes: [takenOut(block, declaration)], proof: "nothing" }],
      },
    ];
  },
};

/** Those that all selectors of a rule are for; none where one is for something else. */
function pseudosOf({ rule }: Block): readonly string[] {
  if (rule?.kind !== "style" || !/first-l|marker/i.test(rule.preludeText)) return [];
  const names = rule.preludeText
    .split(/,(?![^(]*\))/)
    .map((selector) => /(?:::?(first-line|first-letter)|::(marker))\s*$/i.exec(selector))
    .map((found) => (found?.[1] ?? found?.[2])?.toLowerCase());
  return names.every((name) => name !== undefined) ? names : [];
}
