import { lexer } from "css-tree";
import { invalidReason, isKnownProperty } from "../cascade/declarations";
import { longhandIndex } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { sheetTexts } from "../edits/locate";
import type { Declaration, Item } from "../source/css/syntax";
import { editDistance } from "../source/path";
import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check, type Finding } from "./types";

/** Declarations that browsers ignore: properties that do not exist and values that do not fit. */
export const ignoredDeclarations: Check = {
  name: "ignored-declaration",
  run: ({ site }) => {
    const findings: Finding[] = [];
    for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
      for (const sheet of sheetTexts(site, file)) {
        for (const declaration of declarationsIn(sheet.items)) {
          const message = ignoredMessage(declaration.property, declaration.valueText);
          if (!message) continue;
          findings.push({ check: "ignored-declaration", level: "error", message, ...at(site, file.path, sheet.offset + declaration.start), places: [] });
        }
      }
    }
    return findings;
  },
};

/** At-rules whose declarations are descriptors, which have grammars of their own. */
const descriptorRules = new Set(["font-face", "page", "property", "counter-style", "font-palette-values", "font-feature-values", "view-transition"]);

function* declarationsIn(items: readonly Item[]): Generator<Declaration> {
  for (const item of items) {
    if (item.kind === "declaration") yield item;
    else if (item.kind === "style" || (item.kind === "at" && !descriptorRules.has(item.name))) yield* declarationsIn(item.items);
  }
}

/** Why a declaration does nothing, in plain words; null when it is in order. */
export function ignoredMessage(property: string, value: string): string | null {
  if (property.startsWith("--") || /^[*_]|^-(?!-)/.test(property)) return null;
  if (!isKnownProperty(property)) {
    const nearest = nearestProperty(property);
    return `\`${property}\` is not a property.${nearest ? ` Did you mean \`${nearest}\`?` : ""}`;
  }
  switch (invalidReason(property, value)) {
    case "empty value":
      return `\`${property}\` has no value.`;
    case "invalid value": {
      const withUnit = /^-?\d*\.?\d+$/.test(value) ? `${value}px` : null;
      if (withUnit && !invalidReason(property, withUnit)) return `\`${value}\` lacks its unit for \`${property}\`. Did you mean \`${withUnit}\`?`;
      return `\`${value}\` is not a value of \`${property}\`.`;
    }
    default:
      return null;
  }
}

let names: string[] | null = null;

/** The property a mistyped name was most likely meant to be. */
export function nearestProperty(name: string): string | null {
  names ??= [...new Set([...longhandIndex.keys(), ...shorthands.keys(), ...Object.keys((lexer as unknown as { properties: object }).properties)])].filter((one) => !one.startsWith("-"));
  let best: string | null = null;
  let least = Math.max(1, Math.floor(name.length / 3)) + 1;
  for (const one of names) {
    if (Math.abs(one.length - name.length) >= least) continue;
    const distance = editDistance(name, one);
    if (distance < least) {
      best = one;
      least = distance;
    }
  }
  return best ?? ({ "font-face": "font-family", "font-colour": "color", "text-colour": "color", "text-color": "color", "font-color": "color" }[name] ?? null);
}
