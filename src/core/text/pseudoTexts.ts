/** Texts that no element holds: what pseudo-elements put on the page, or set in their own way. */
import { table } from "../source/table";
import { valueOf, type Style } from "../cascade/style";
import { generatedStyler, pseudoStyler, pseudoVersionOf, type StyledPage } from "../cascade/styles";
import { showsPlaceholder } from "../cascade/selectors/validity";
import type { Component } from "../source/css/components";
import { textIn } from "../source/html/document";
import { isPlace, isShown, shownWords } from "./textStyles";

export interface PseudoText {
  /** The element it belongs to. */
  index: number;
  name: "before" | "after" | "first-line" | "first-letter" | "marker" | "placeholder";
  /** What it shows, as far as it can be told without counters and quotation depth. */
  text: string;
  style: Style;
}

const known = new WeakMap<StyledPage["styles"], PseudoText[]>();

/** For one version of the rules for pseudo-elements and one of how fonts measure. */
interface Versioned {
  version: object;
  fonts: object;
  texts: readonly PseudoText[];
}

const ofStyles = new WeakMap<Style, Versioned>();

/** In document order; generated text, placeholders, and first lines, first letters and markers that a rule sets. */
export function pseudoTexts(page: StyledPage): PseudoText[] {
  let texts = known.get(page.styles);
  if (!texts) {
    const stylers: Stylers = { pseudo: pseudoStyler(page), generated: generatedStyler(page) };
    const version = pseudoVersionOf(page);
    const { fonts } = page.conditions;
    // Most have none: these share what says so.
    const none: Versioned = { version, fonts, texts: [] };
    texts = page.styles.filter(isShown).flatMap((style) => {
      let own = ofStyles.get(style);
      if (own?.version !== version || own.fonts !== fonts) {
        const texts = textsOf(style, stylers);
        ofStyles.set(style, (own = texts.length ? { version, fonts, texts } : none));
      }
      return own.texts;
    });
    known.set(page.styles, texts);
  }
  return texts;
}

/** The words of a text, whether an element shows them or a pseudo-element of it. */
export function wordsOf(page: StyledPage, style: Style): string {
  if (style.pseudo === null) return shownWords(style.element);
  return pseudoTexts(page).find((text) => text.style === style)?.text ?? "";
}

interface Stylers {
  pseudo: ReturnType<typeof pseudoStyler>;
  generated: ReturnType<typeof generatedStyler>;
}

function textsOf(origin: Style, { pseudo: styler, generated: boxOf }: Stylers): PseudoText[] {
  const { element } = origin;
  const texts: PseudoText[] = [];
  const add = (name: PseudoText["name"], text: string, style: Style) =>
    texts.push({ index: element.index, name, text, style });
  for (const name of ["before", "after"] as const) {
    const style = boxOf(name, origin);
    const text = style && valueOf(style, "display") !== "none" ? generatedWords(style) : "";
    if (style && text.trim() !== "") add(name, text, style);
  }
  const placeholder = element.attributes.get("placeholder") ?? "";
  if (placeholder.trim() && showsPlaceholder(element)) {
    const style = styler("placeholder", origin);
    if (style) add("placeholder", placeholder, style);
  }
  /** Adds a pseudo-element that only shows where a rule of the page sets it. */
  const addAuthored = (name: PseudoText["name"], text: () => string, parent: Style): Style | null => {
    const style = styler(name, origin, parent);
    if (!style?.blocks.some((block) => block.origin === "author")) return null;
    add(name, text(), style);
    return style;
  };
  if (isPlace(origin) && holdsLines.test(valueOf(origin, "display"))) {
    const own = () => textIn(element).trim();
    // The first letter may be that of the generated text, and lies in the first line (CSS Pseudo 4, 2.2.3).
    const before = texts.find(({ name }) => name === "before");
    const line = addAuthored("first-line", own, origin);
    addAuthored("first-letter", () => (before?.text ?? own()).trim().slice(0, 1), before?.style ?? line ?? origin);
  }
  const hasMarker = valueOf(origin, "display").includes("list-item") && valueOf(origin, "list-style-type") !== "none";
  if (hasMarker) addAuthored("marker", () => "\u2022", origin);
  return texts;
}

/** Displays of boxes that hold lines themselves: others have no first one (CSS Pseudo 4, 2.1). */
const holdsLines = /^(?:block|inline-block|flow-root|table-cell|table-caption|list-item)$/;

function generatedWords(style: Style): string {
  const parts = valueOf(style, "content") ?? [];
  const end = parts.findIndex((part) => part.type === "delim");
  return (end < 0 ? parts : parts.slice(0, end)).map((part) => textOf(part, style)).join("");
}

/** What these words of `content` show in English (CSS Content 3, 2.3.1). */
const quotes = table({ "open-quote": "\u201c", "close-quote": "\u201d" });

function textOf(part: Component, { element }: Style): string {
  if (part.type === "string") return part.value;
  if (part.type === "ident") return quotes[part.name.toLowerCase()] ?? "";
  if (part.type !== "function") return "";
  const [first] = part.args;
  if (part.name === "attr" && first?.type === "ident") return element.attributes.get(first.name.toLowerCase()) ?? "";
  return part.name.startsWith("counter") ? "1" : "";
}
