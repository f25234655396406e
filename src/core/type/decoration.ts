/** Lines of text, taken apart and written (CSS Text Decoration 4, section 2). */
import { colorFromComponent } from "../color/value";
import { decorationStyles } from "../cascade/properties/decoration";
import { componentsOf } from "../source/css/components";

export const lineKinds = ["underline", "overline", "line-through"] as const;
export const lineStyles: readonly string[] = decorationStyles;

/** What `text-decoration` says, as written; "" for what it leaves out, and so sets back. */
export interface DecorationParts {
  lines: readonly string[];
  style: string;
  thickness: string;
  color: string;
}

/** The parts of a `text-decoration` value; words that are none of them count as the colour, so that nothing typed is lost. */
export function decorationParts(text: string): DecorationParts {
  const lines: string[] = [];
  const parts = { style: "", thickness: "", color: "" };
  for (const component of componentsOf(text)) {
    const written = text.slice(component.start, component.end);
    const word = component.type === "ident" ? component.name.toLowerCase() : "";
    if ((lineKinds as readonly string[]).includes(word)) lines.push(word);
    else if (decorationStyles.includes(word)) parts.style = word;
    else if (word === "none") continue;
    else if (
      word === "auto" ||
      word === "from-font" ||
      (component.type !== "ident" && component.type !== "hash" && !colorFromComponent(component))
    )
      parts.thickness = written;
    else parts.color = written;
  }
  return { lines, ...parts };
}

/** The shorthand, in the order people write it. */
export function writeDecoration({ lines, style, thickness, color }: DecorationParts): string {
  return lines.length === 0
    ? "none"
    : [...lines, style === "solid" ? "" : style, color, thickness].filter(Boolean).join(" ");
}

/** The same as longhands; parts that are left out are not set. */
export function decorationLonghands({
  lines,
  style,
  thickness,
  color,
}: DecorationParts): [property: string, value: string][] {
  const all: [string, string][] = [
    ["text-decoration-line", lines.join(" ") || "none"],
    ["text-decoration-style", style],
    ["text-decoration-color", color],
    ["text-decoration-thickness", thickness],
  ];
  return all.filter(([, value]) => value !== "");
}
