/** Names of properties as people write them. */
import { lexer } from "css-tree";
import { isKnownProperty } from "../../cascade/declarations";
import { longhandIndex } from "../../cascade/properties";
import { shorthands } from "../../cascade/properties/shorthands";
import { table } from "../../source/table";
import { editDistance } from "../../source/path";

/** What people write for a property that is called otherwise. */
const misnamed: Readonly<Record<string, string>> = table({
  "font-color": "color",
  "font-colour": "color",
  "text-color": "color",
  "text-colour": "color",
  "foreground-color": "color",
  foreground: "color",
  "fore-color": "color",
  colour: "color",
  "color-adjust": "print-color-adjust",
  "bg-color": "background-color",
  bgcolor: "background-color",
  "back-color": "background-color",
  "bg-colour": "background-color",
  bg: "background",
  leading: "line-height",
  "line-spacing": "line-height",
  linespacing: "line-height",
  "font-height": "line-height",
  "text-height": "line-height",
  tracking: "letter-spacing",
  "font-spacing": "letter-spacing",
  "text-spacing": "letter-spacing",
  "char-spacing": "letter-spacing",
  "character-spacing": "letter-spacing",
  spacing: "letter-spacing",
  kerning: "font-kerning",
  "text-style": "font-style",
  "text-weight": "font-weight",
  weight: "font-weight",
  "text-size": "font-size",
  size: "font-size",
  "text-font": "font-family",
  "text-family": "font-family",
  "font-name": "font-family",
  "font-type": "font-family",
  "font-face": "font-family",
  fontface: "font-family",
  typeface: "font-family",
  face: "font-family",
  family: "font-family",
  "font-stack": "font-family",
  "font-underline": "text-decoration",
  "font-decoration": "text-decoration",
  "text-underline": "text-decoration",
  "font-transform": "text-transform",
  "font-case": "text-transform",
  "text-case": "text-transform",
  "font-align": "text-align",
  "text-alignment": "text-align",
  align: "text-align",
  alignment: "text-align",
  "horizontal-align": "text-align",
  halign: "text-align",
  valign: "vertical-align",
  "font-shadow": "text-shadow",
  "drop-shadow": "box-shadow",
  "font-indent": "text-indent",
  indent: "text-indent",
  "first-line-indent": "text-indent",
  "background-colour": "background-color",
  "background-img": "background-image",
  "link-color": "color",
  "text-opacity": "opacity",
  transparency: "opacity",
  "corner-radius": "border-radius",
  rounded: "border-radius",
  style: "font-style",
  shadow: "text-shadow",
  decoration: "text-decoration",
  case: "text-transform",
  caps: "font-variant",
  "list-type": "list-style-type",
  bullet: "list-style-type",
  "white-spaces": "white-space",
  wrap: "white-space",
});

/** Names of properties that are themselves a value of one: `bold: true`. */
const valueNames: Readonly<Record<string, readonly [property: string, value: string]>> = table({
  bold: ["font-weight", "bold"],
  italic: ["font-style", "italic"],
  italics: ["font-style", "italic"],
  underline: ["text-decoration", "underline"],
  underlined: ["text-decoration", "underline"],
  overline: ["text-decoration", "overline"],
  strikethrough: ["text-decoration", "line-through"],
  strike: ["text-decoration", "line-through"],
  "line-through": ["text-decoration", "line-through"],
  uppercase: ["text-transform", "uppercase"],
  lowercase: ["text-transform", "lowercase"],
  capitalize: ["text-transform", "capitalize"],
  capitalise: ["text-transform", "capitalize"],
  "small-caps": ["font-variant", "small-caps"],
  center: ["text-align", "center"],
  centre: ["text-align", "center"],
  justify: ["text-align", "justify"],
  hidden: ["visibility", "hidden"],
  hide: ["display", "none"],
});

let names: string[] | null = null;
const plainNames = new Map<string, string>();

function allNames(): string[] {
  names ??= [
    ...new Set([
      ...longhandIndex.keys(),
      ...shorthands.keys(),
      ...Object.keys((lexer as unknown as { properties: object }).properties),
    ]),
  ].filter((one) => !one.startsWith("-"));
  if (plainNames.size === 0) for (const one of names) if (!plainNames.has(plain(one))) plainNames.set(plain(one), one);
  return names;
}

const plain = (name: string) => name.toLowerCase().replace(/[\s_-]/g, "");

/** The spelling of CSS for a British name. */
const american = (name: string) =>
  name
    .replaceAll("colour", "color")
    .replaceAll("grey", "gray")
    .replaceAll("centre", "center")
    .replaceAll("behaviour", "behavior")
    .replace(/isation/g, "ization");

/** The property that is spelled with the same letters, hyphens, joints and British spelling aside; null where none is. */
export function propertyAlike(name: string): string | null {
  allNames();
  return plainNames.get(plain(american(name))) ?? null;
}

/** A declaration that a property's name alone stands for: `bold: true` is `font-weight: bold`. */
export function meantByName(name: string, value: string): readonly [property: string, value: string] | null {
  const isSwitched = /^(?:yes|true|on|1)$/i.test(value);
  const meant = valueNames[name] ?? (isSwitched ? valueNames[name.replace(/^(?:text|font)-/, "")] : undefined);
  if (!meant || /^(?:no|none|off|false|0)$/i.test(value)) return null;
  return meant;
}

/**
 * The properties a mistyped name may stand for, likeliest first; those that the value fits come before others that are
 * as near.
 * @param fits whether a property takes the value, as it is or as it was meant
 */
export function meantProperties(name: string, fits: (property: string) => boolean): string[] {
  const list = allNames();
  const found: string[] = [];
  const add = (one: string | undefined | null) => {
    if (one && one !== name && !found.includes(one) && isKnownProperty(one)) found.push(one);
  };
  add(misnamed[name]);
  add(plainNames.get(plain(american(name))));
  const farthest = Math.max(2, Math.ceil(name.length / 2));
  const near = list
    .filter((one) => Math.abs(one.length - name.length) <= farthest)
    .map((one) => ({ one, distance: editDistance(american(name), one) }))
    .filter(({ distance }) => distance <= farthest)
    .sort((a, b) => a.distance - b.distance);
  const close = near.find(({ distance }) => distance <= Math.max(1, Math.floor(name.length / 3)));
  const fitting = near.slice(0, 12).find(({ one }) => fits(one));
  if (fitting && (!close || fitting.distance <= close.distance + 2)) add(fitting.one);
  add(close?.one);
  return found;
}
