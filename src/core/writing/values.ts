/** Values of a property: what the site has first (custom properties, colours, values as written), then its grammar. */
import { lexer } from "css-tree";
import { invalidReason } from "../cascade/declarations";
import { namedColors } from "../color/names";
import { keywordsFor } from "../edits/completion";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { declarationsOfSite } from "../source/declarations";
import { colorSpots } from "../palette/values";
import type { Here } from "./here";
import { counted, plain, times, type Asked, type WritingOption } from "./types";

type Value = Here & { kind: "value" };

const units = ["px", "rem", "em", "%", "ch", "pt", "vw", "vh", "deg", "ms", "s"];
const colorFunctions = ["rgb(", "hsl(", "oklch(", "oklab(", "color-mix(in oklab, ", "light-dark("];
const mathFunctions = ["calc(", "clamp(", "min(", "max("];

/** Values of a property: those of the site first, with colours and what each comes to, then keywords. */
export function valueOptions({ site }: Asked, here: Value): WritingOption[] {
  if (here.inside === "var") return customProperties(site);
  const takesColor = takesColors(here.property) || here.inside?.endsWith("gradient") === true;
  const { before, property } = here;
  const isFirst = before === "";
  const fits = ({ text }: WritingOption) => here.inside !== null || isTaken(property, before + text);
  const own = isFirst ? valuesOf(site, property) : [];
  const colors = takesColor ? colorsOf(site) : [];
  const keywords = here.inside === null ? keywordsFor(property) : [];
  const all: WritingOption[] = [
    ...numbersWith(here),
    ...customProperties(site)
      .filter((one) => mayTake(here, takesColor, one))
      .map((one) => ({ ...one, text: `var(${one.text})` })),
    ...own,
    ...colors,
    ...keywords.filter((word) => !namedColors.has(word)).map((word) => plain(word)),
    ...functionsFor(here, takesColor),
    ...(takesColor ? [...namedColors.keys()].map(named) : []),
  ];
  const texts = new Set<string>();
  return all.filter((one) => {
    if (texts.has(one.text)) return false;
    texts.add(one.text);
    return one.text.startsWith("var(")
      ? isFirst || here.inside !== null || fits(one)
      : one.text.endsWith("(") || fits(one);
  });
}

/** Whether the value of another custom property may stand there; one that refers to others may be anything. */
function mayTake({ property, before, inside }: Value, takesColor: boolean, one: WritingOption): boolean {
  const { text, css, detail } = one;
  if (text === property) return false;
  if (/\b(?:var|env|attr|if)\(/i.test(detail)) return true;
  if (inside !== null) return takesColor === (css !== null);
  return isTaken(property, before + detail);
}

const named = (name: string): WritingOption => ({ ...plain(name), css: name });

/** Whether a colour is one of the things a property's value can hold. */
const takesColors = (property: string): boolean =>
  property.startsWith("--") || keywordsFor(property).includes("rebeccapurple");

/** Whether a property takes a value, or would with more behind it. */
function isTaken(property: string, value: string): boolean {
  if (invalidReason(property, value) === null) return true;
  const { error } = lexer.matchProperty(property, value);
  return error !== null && "mismatchOffset" in error && Number(error.mismatchOffset) >= value.length;
}

/** Values of the property as the site writes them. */
function valuesOf(site: Asked["site"], property: string): WritingOption[] {
  const written = [...declarationsOfSite(site)].flatMap(({ declaration }) =>
    declaration.property === property && invalidReason(property, declaration.valueText) === null
      ? [declaration.valueText.replace(/\s+/g, " ")]
      : [],
  );
  return counted(written.filter((text) => text !== "")).map(([text, count]) => ({
    ...plain(text, times(count)),
    css: cssOf(text),
  }));
}

function cssOf(text: string): string | null {
  const color = parseColor(text);
  return color && cssColor(color);
}

/** Colours that the site names, whatever for. */
function colorsOf(site: Asked["site"]): WritingOption[] {
  const spots = colorSpots(site).filter(({ css }) => css !== null);
  const css = new Map(spots.map((spot) => [spot.value, spot.css]));
  return counted(spots.map(({ value }) => value)).map(([value, count]) => ({
    ...plain(value, times(count)),
    css: css.get(value)!,
  }));
}

/** Custom properties, with what they are first set to. */
function customProperties(site: Asked["site"]): WritingOption[] {
  const first = new Map<string, string>();
  for (const { declaration } of declarationsOfSite(site))
    if (declaration.property.startsWith("--") && !first.has(declaration.property))
      first.set(declaration.property, declaration.valueText);
  return [...first].map(([name, value]) => ({ ...plain(name, value), css: cssOf(value) }));
}

/** A number that was typed, with the units the property takes behind it. */
function numbersWith({ typed, before, property }: Value): WritingOption[] {
  const number = /^-?(?:\d+\.?\d*|\.\d+)(?=[a-z%]*$)/i.exec(typed)?.[0];
  if (number === undefined) return [];
  return units.map((unit) => plain(number + unit)).filter(({ text }) => isTaken(property, before + text));
}

function functionsFor({ property, before, inside }: Value, takesColor: boolean): WritingOption[] {
  if (inside !== null && !takesColor) return [];
  const takesNumber = isTaken(property, `${before}1px`) || isTaken(property, `${before}1.5`);
  return [...(takesColor ? colorFunctions : []), ...(takesNumber ? mathFunctions : []), "var("].map((text) =>
    plain(text),
  );
}
