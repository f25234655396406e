/** Where custom properties are referred to. */
import { declarationsOfFile, declarationsOfSite } from "../source/declarations";
import { componentsOf, type Component, type ComponentOf } from "../source/css/components";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";

export interface ReferenceSpot {
  /** Of the custom property. */
  name: string;
  /** The property whose value refers to it. */
  property: string;
  path: string;
  declaration: number;
  /** Whether it stands in a gradient that names no space to mix in. */
  inGradient: boolean;
  /** Where the name stands, offsets of the file; null in a style attribute with character references. */
  at: { start: number; end: number } | null;
}

const known = new WeakMap<TextFile, ReferenceSpot[]>();

/** Where custom properties are referred to, in sheets and style attributes. */
export function referenceSpots(site: Site): ReferenceSpot[] {
  return [...sheetsOf(site), ...pagesOf(site)].flatMap((file) => {
    let own = known.get(file);
    if (!own) known.set(file, (own = spotsIn(site, file)));
    return own;
  });
}

function spotsIn(site: Site, file: TextFile): ReferenceSpot[] {
  const spots: ReferenceSpot[] = [];
  for (const { declaration, offset, exact } of declarationsOfFile(site, file)) {
    const { property, valueText, start, value } = declaration;
    if (!valueText.includes("var(")) continue;
    const from = offset + value.start;
    for (const { name, inGradient, at } of referencesOf(componentsOf(valueText), false))
      spots.push({
        name,
        inGradient,
        property,
        path: file.path,
        declaration: offset + start,
        at: exact ? { start: from + at.start, end: from + at.end } : null,
      });
  }
  return spots;
}

interface Reference {
  name: string;
  inGradient: boolean;
  at: { start: number; end: number };
}

function referencesOf(components: readonly Component[], inGradient: boolean): Reference[] {
  return components.flatMap((component): Reference[] => {
    if (component.type !== "function" && component.type !== "block") return [];
    const [first] = component.args;
    const own =
      component.type === "function" && component.name === "var" && first?.type === "ident"
        ? [{ name: first.name, inGradient, at: { start: first.start, end: first.end } }]
        : [];
    return [
      ...own,
      ...referencesOf(component.args, inGradient || (component.type === "function" && mixesByNotation(component))),
    ];
  });
}

/** Whether colours in a function are mixed in a space that follows from their notations (CSS Images 4, 3.1; CSS Color 4, 12.1). */
export function mixesByNotation(component: ComponentOf<"function">): boolean {
  return (
    component.name.endsWith("-gradient") &&
    !component.args.some((part) => part.type === "ident" && part.name.toLowerCase() === "in")
  );
}

/** Names of all custom properties that sheets and style attributes set. */
export function definedProperties(site: Site): ReadonlySet<string> {
  const names = new Set<string>();
  for (const { declaration } of declarationsOfSite(site))
    if (declaration.property.startsWith("--")) names.add(declaration.property);
  return names;
}
