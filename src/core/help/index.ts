/** Help where one stands: what a property does, what it starts as, whether children inherit it, what is usual. */
import { longhandIndex, longhands } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { propertyWords, type PropertyWords } from "./properties";

export interface PropertyHelp extends Omit<PropertyWords, "standard"> {
  property: string;
  /** As CSS; null for a shorthand, and where it is not computed here. */
  initial: string | null;
  /** Null where that differs between the longhands, or is not known. */
  inherited: boolean | null;
  /** The longhands that a shorthand sets. */
  sets: readonly string[];
  /** The standard, for people: "CSS Fonts 4". */
  standard: string | null;
}

/** Null where nothing is known of it. @param property in small letters */
export function helpFor(property: string): PropertyHelp | null {
  const words = propertyWords[property];
  if (!words) return null;
  const sets = shorthands.get(property)?.longhands ?? [];
  const own = (sets.length ? sets : [property]).flatMap((name) => longhands[longhandIndex.get(name) ?? -1] ?? []);
  const kinds = new Set(own.map(({ inherited }) => inherited));
  return {
    ...words,
    property,
    initial: sets.length ? null : (own[0]?.initial ?? null),
    inherited: kinds.size === 1 ? own[0]!.inherited : null,
    sets,
    standard: nameOf(words.standard),
  };
}

/** "css-fonts-4" as "CSS Fonts 4". */
function nameOf(standard: string): string {
  if (standard === "css2") return "CSS 2.2";
  if (standard === "compat.spec.whatwg.org") return "Compatibility Standard";
  return standard
    .split("-")
    .map((word) => (["css", "ui"].includes(word) ? word.toUpperCase() : word[0]!.toUpperCase() + word.slice(1)))
    .join(" ");
}
