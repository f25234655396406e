/** A name for each colour of a site: its custom property's, or one from hue and lightness. */
import { paletteOf, type PaletteValue } from "../palette/palette";
import { proposedNames } from "../palette/properties";
import type { ReportContext } from "./types";

export interface NamedColor {
  /** Without hyphens in front. */
  name: string;
  value: string;
  css: string;
  words: string;
  places: number;
}

/** Every different colour once, those most used first. */
export function namedColors({ site, conditions, layouts }: ReportContext): NamedColor[] {
  const { values } = paletteOf(site, conditions, layouts);
  const byColor = new Map<string, PaletteValue[]>();
  for (const value of values)
    if (value.css !== null) byColor.set(value.css, [...(byColor.get(value.css) ?? []), value]);
  const taken = new Set<string>();
  const own = (group: readonly PaletteValue[]) =>
    group.flatMap(({ uses }) => uses).find(({ role, property }) => role === "named" && !taken.has(property))?.property;
  return [...byColor.entries()].map(([css, group]) => {
    const name =
      own(group) ??
      proposedNames(
        group[0]!.value,
        group.flatMap(({ roles }) => roles),
        taken,
      )[0]!;
    taken.add(name);
    return {
      name: name.slice(2),
      value: group[0]!.value,
      css,
      words: [...new Set(group.map(({ words }) => words))].join(", "),
      places: group.reduce((sum, { places }) => sum + places, 0),
    };
  });
}
