/** Texts that no element holds: what pseudo-elements put on the page, or set in their own way. */
import { pseudoStyler, valueOf, type Style, type StyledPage } from "./cascade/styles";
import type { Component } from "./source/css/components";
import { isText } from "./source/html/document";
import { isPlace, isShown } from "./textStyles";

export interface PseudoText {
  /** The element it belongs to. */
  index: number;
  name: "before" | "after" | "first-line" | "first-letter" | "marker" | "placeholder";
  /** What it shows, as far as it can be told without counters and quotation depth. */
  text: string;
  style: Style;
}

const known = new WeakMap<StyledPage, PseudoText[]>();

/** In document order; generated text, placeholders, and first lines, first letters and markers that a rule sets. */
export function pseudoTexts(page: StyledPage): PseudoText[] {
  let texts = known.get(page);
  if (!texts) {
    const styler = pseudoStyler(page);
    texts = page.styles.filter(isShown).flatMap((style) => textsOf(style, styler));
    known.set(page, texts);
  }
  return texts;
}

function textsOf(origin: Style, styler: (name: string, origin: Style) => Style | null): PseudoText[] {
  const { element } = origin;
  const texts: PseudoText[] = [];
  const add = (name: PseudoText["name"], text: string, style: Style) => texts.push({ index: element.index, name, text, style });
  for (const name of ["before", "after"] as const) {
    const style = styler(name, origin);
    const text = style && valueOf<string>(style, "display") !== "none" ? generated(style) : "";
    if (style && text.trim() !== "") add(name, text, style);
  }
  const placeholder = element.tag === "input" || element.tag === "textarea" ? element.attributes.get("placeholder") : undefined;
  if (placeholder?.trim()) {
    const style = styler("placeholder", origin);
    if (style) add("placeholder", placeholder, style);
  }
  const own = element.content.filter(isText).map(({ text }) => text).join("").trim();
  for (const name of ["first-line", "first-letter", "marker"] as const) {
    const applies = name === "marker" ? valueOf<string>(origin, "display").includes("list-item") : isPlace(origin);
    const style = applies ? styler(name, origin) : null;
    if (!style?.blocks.some((block) => block.origin === "author")) continue;
    add(name, name === "first-letter" ? own.slice(0, 1) : name === "marker" ? "\u2022" : own, style);
  }
  return texts;
}

function generated(style: Style): string {
  const parts = valueOf<readonly Component[] | null>(style, "content") ?? [];
  const end = parts.findIndex((part) => part.type === "delim");
  return (end < 0 ? parts : parts.slice(0, end)).map((part) => textOf(part, style)).join("");
}

function textOf(part: Component, { element }: Style): string {
  if (part.type === "string") return part.value;
  if (part.type === "ident") return part.name.toLowerCase() === "open-quote" ? "\u201c" : part.name.toLowerCase() === "close-quote" ? "\u201d" : "";
  if (part.type !== "function") return "";
  const [first] = part.args;
  if (part.name === "attr" && first?.type === "ident") return element.attributes.get(first.name.toLowerCase()) ?? "";
  return part.name.startsWith("counter") ? "1" : "";
}
