import { declarationsIn, sheetTexts } from "../source/declarations";
import { table } from "../source/table";
import { lexer } from "css-tree";
import { invalidReason, isKnownProperty } from "../cascade/declarations";
import { longhandIndex } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { editDistance } from "../source/path";
import { at, type Check, type Finding } from "./types";

/** Declarations that browsers ignore: properties that do not exist and values that do not fit. */
export const ignoredDeclarations: Check = {
  name: "ignored-declaration",
  inFile: (file, site) => {
    const findings: Finding[] = [];
    for (const sheet of sheetTexts(site, file)) {
      for (const { declaration } of declarationsIn(sheet.items)) {
        const message = ignoredMessage(declaration.property, declaration.valueText);
        if (!message) continue;
        findings.push({
          check: "ignored-declaration",
          level: "error",
          message,
          ...at(file, sheet.offset + declaration.start),
          places: [],
        });
      }
    }
    return findings;
  },
};

/** Why a declaration does nothing, in plain words; null when it is in order. */
export function ignoredMessage(property: string, value: string): string | null {
  if (property.startsWith("--") || /^[*_]|^-(?!-)/.test(property)) return null;
  if (!isKnownProperty(property)) {
    const nearest = nearestProperty(property, value);
    return `\`${property}\` is not a property.${nearest ? ` Did you mean \`${nearest}\`?` : ""}`;
  }
  switch (invalidReason(property, value)) {
    case "empty value":
      return `\`${property}\` has no value.`;
    case "invalid value": {
      const withUnit = /^-?\d*\.?\d+$/.test(value) ? `${value}px` : null;
      if (withUnit && !invalidReason(property, withUnit))
        return `\`${value}\` lacks its unit for \`${property}\`. Did you mean \`${withUnit}\`?`;
      return `\`${value}\` is not a value of \`${property}\`.`;
    }
    default:
      return null;
  }
}

let names: string[] | null = null;

/** What people write for a property that is called otherwise. */
const misnamed: Readonly<Record<string, string>> = table({
  "font-color": "color",
  "font-colour": "color",
  "text-color": "color",
  "text-colour": "color",
  "bg-color": "background-color",
  leading: "line-height",
  tracking: "letter-spacing",
  "text-style": "font-style",
  "text-weight": "font-weight",
  "font-underline": "text-decoration",
});

/** The property a mistyped name was most likely meant to be; those that the value fits come first. */
export function nearestProperty(name: string, value: string): string | null {
  if (misnamed[name]) return misnamed[name];
  names ??= [
    ...new Set([
      ...longhandIndex.keys(),
      ...shorthands.keys(),
      ...Object.keys((lexer as unknown as { properties: object }).properties),
    ]),
  ].filter((one) => !one.startsWith("-"));
  const farthest = Math.max(2, Math.ceil(name.length / 2));
  const near = names
    .filter((one) => Math.abs(one.length - name.length) <= farthest)
    .map((one) => ({ one, distance: editDistance(name, one) }))
    .filter(({ distance }) => distance <= farthest)
    .sort((a, b) => a.distance - b.distance);
  const fitting = near.find(({ one }) => value !== "" && invalidReason(one, value) === null);
  const close = near.find(({ distance }) => distance <= Math.max(1, Math.floor(name.length / 3)));
  if (fitting && (!close || fitting.distance <= close.distance + 2)) return fitting.one;
  return close?.one ?? null;
}
