/** Where custom properties are referred to. */
import { attachedDeclarations } from "../cascade/blocks";
import { attributeSource } from "../edits/attributes";
import { sheetTexts } from "../edits/locate";
import { declarationsIn } from "../findings/declarations";
import { componentsOf, type Component, type ComponentOf } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import { documentOf } from "../source/html/document";
import { pagesOf, sheetsOf, type Site } from "../source/site";

export interface ReferenceSpot {
  /** Of the custom property. */
  name: string;
  /** The property whose value refers to it. */
  property: string;
  path: string;
  declaration: number;
  /** Whether it stands in a gradient that names no space to mix in. */
  inGradient: boolean;
}

export function referenceSpots(site: Site): ReferenceSpot[] {
  const spots: ReferenceSpot[] = [];
  const add = (declaration: Declaration, path: string, offset: number) => {
    if (!declaration.valueText.includes("var(")) return;
    for (const found of referencesOf(componentsOf(declaration.valueText), false)) spots.push({ ...found, property: declaration.property, path, declaration: offset + declaration.start });
  };
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    for (const sheet of sheetTexts(site, file)) for (const declaration of declarationsIn(sheet.items)) add(declaration, file.path, sheet.offset);
    if (file.kind !== "html") continue;
    for (const element of documentOf(file).elements) {
      const attribute = attributeSource(file.text, element, "style");
      if (attribute) for (const declaration of attachedDeclarations(element)) add(declaration, file.path, attribute.raw.start);
    }
  }
  return spots;
}

function referencesOf(components: readonly Component[], inGradient: boolean): { name: string; inGradient: boolean }[] {
  return components.flatMap((component) => {
    if (component.type !== "function" && component.type !== "block") return [];
    const own = component.type === "function" && component.name === "var" && component.args[0]?.type === "ident" ? [{ name: component.args[0].name, inGradient }] : [];
    return [...own, ...referencesOf(component.args, inGradient || (component.type === "function" && mixesByNotation(component)))];
  });
}

/** Whether colours in a function are mixed in a space that follows from their notations (CSS Images 4, 3.1; CSS Color 4, 12.1). */
export function mixesByNotation(component: ComponentOf<"function">): boolean {
  return component.name.endsWith("-gradient") && !component.args.some((part) => part.type === "ident" && part.name.toLowerCase() === "in");
}

/** Names of all custom properties that sheets and style attributes set. */
export function definedProperties(site: Site): string[] {
  const names = new Set<string>();
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    for (const sheet of sheetTexts(site, file)) for (const { property } of declarationsIn(sheet.items)) if (property.startsWith("--")) names.add(property);
    if (file.kind === "html") for (const element of documentOf(file).elements) for (const { property } of attachedDeclarations(element)) if (property.startsWith("--")) names.add(property);
  }
  return [...names];
}
