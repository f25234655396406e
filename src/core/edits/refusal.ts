/** Why a value is not one of a property, and what would be: for the person who typed it. */
import { invalidReason } from "../cascade/declarations";
import { isUnit } from "../source/css/math";
import { completions } from "./completion";

const takes = (property: string, value: string) => invalidReason(property, value) === null;

const listed = (parts: readonly string[]) =>
  parts.length < 2 ? (parts[0] ?? "") : `${parts.slice(0, -1).join(", ")} and ${parts.at(-1)}`;

/** Units that people know, in their order. */
const usualUnits = ["px", "rem", "em", "%", "deg", "s"] as const;

/** A number with letters behind it, as CSS reads them together (CSS Syntax 3, 4.3.3). */
const dimension = /(?<![\w.#-])([-+]?(?:\d+\.?\d*|\.\d+))([a-z]+)(?![\w(-])/gi;

/**
 * In plain words why `value` cannot be written to `property`, and what can.
 * Names of values and properties stand in backticks.
 */
export function refusal(property: string, value: string): string {
  const units = usualUnits.filter((unit) => takes(property, `1${unit}`));
  for (const [whole, , unit] of value.matchAll(dimension))
    if (!isUnit(unit!) && units.length > 0)
      return `\`${whole}\` has no unit that CSS knows; ${listed(units)} would do.`;
  const bare = /^[-+]?(?:\d+\.?\d*|\.\d+)$/.test(value.trim());
  const dressed = units.map((unit) => `\`${value.trim()}${unit}\``).slice(0, 2);
  if (bare && dressed.length > 0 && takes(property, `${value.trim()}${units[0]}`))
    return `\`${value.trim()}\` lacks a unit: ${listed(dressed)} would do.`;
  return `\`${value}\` is not a value of \`${property}\`${wouldDo(property, units)}`;
}

/** What a property takes: colours, lengths, and words of its own. */
function wouldDo(property: string, units: readonly string[]): string {
  const isColor = takes(property, "#17445c");
  const words = isColor
    ? []
    : completions(property, "", 40).filter((word) => !/^(?:inherit|initial|unset|revert|revert-layer)$/.test(word));
  const parts = [
    ...(isColor ? ["a colour such as `#17445c` or `rgb(23 68 92)`"] : []),
    ...(takes(property, "1.4") ? ["a number such as `1.4`"] : []),
    ...(units.length > 0
      ? [`a number with ${units.length > 1 ? "one of the units" : "the unit"} ${listed(units)}`]
      : []),
    ...words.slice(0, 5).map((word) => `\`${word}\``),
  ];
  return parts.length > 0 ? `; it takes ${parts.join(", ")}.` : ".";
}
