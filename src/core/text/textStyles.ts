/** Places and the text styles they are set in. */
import type { ElementRef } from "./refs";
import { table } from "../source/table";
import { legibilityOf } from "../ground/ground";
import type { Ground, Legibility } from "../ground/types";
import { mayBeOverlapped } from "../ground/moved";
import { textId, type PageLayout, type PlaceLayout } from "../ground/layout";
import { cssColor } from "../color/format";
import type { Color } from "../color/types";
import { Alike, PairMap } from "../source/memo";
import { ownWords, type ElementNode } from "../source/html/document";
import { longhandIndex } from "../cascade/properties";
import { isListBox, isSelected, optionsOf, selectOf, typeOf } from "../cascade/selectors/controls";
import { valueIn } from "../cascade/selectors/validity";
import { computedValue, fontSizeOf, leadingOf, valueOf, type Style } from "../cascade/style";
import { type StyledPage } from "../cascade/styles";

/** The properties that make one setting of text differ from another. */
export const textStyleProperties = [
  "font-family",
  "font-size",
  "font-weight",
  "font-style",
  "font-stretch",
  "font-variant-caps",
  "font-variation-settings",
  "line-height",
  "letter-spacing",
  "word-spacing",
  "text-transform",
  "text-align",
  "text-indent",
  "text-decoration-line",
  "text-decoration-style",
  "text-decoration-color",
  "text-decoration-thickness",
  "text-underline-offset",
  "text-shadow",
  "opacity",
] as const;

const silent = new Set(["script", "style", "title", "template", "noscript", "head", "optgroup", "datalist"]);
/** Elements that show something of their own in place of what stands in them (HTML, 15.4.1). */
const fallbackOnly = new Set(["canvas", "video", "audio", "meter", "progress", "object", "iframe"]);

/** Fields that show what is written in them, and buttons that are named by it. */
const unwritten = new Set(["hidden", "checkbox", "radio", "range", "color", "file", "image"]);

/** Whether a control shows a text that no text node of it holds: what is written in it, or chosen. */
function showsValue(element: ElementNode): boolean {
  const { tag, namespace, attributes, hasText, children } = element;
  if (namespace !== "html") return false;
  if (tag === "select") return children.length > 0 && !isListBox(element);
  if (tag === "textarea") return hasText;
  if (tag === "option") {
    const select = selectOf(element);
    return hasText && select !== null && isListBox(select);
  }
  if (tag !== "input") return false;
  const type = typeOf(element);
  if (type === "submit" || type === "reset") return attributes.get("value") !== "";
  return !unwritten.has(type) && valueIn(element).trim() !== "";
}

/** The words an element shows: its own, or what is written or chosen in a control. */
export function shownWords(element: ElementNode): string {
  const { tag, attributes } = element;
  if (tag === "input") return attributes.get("value") || (typeOf(element) === "reset" ? "Reset" : "Submit");
  if (tag !== "select") return ownWords(element);
  const options = optionsOf(element);
  const chosen = options.find(isSelected) ?? options[0];
  return chosen ? ownWords(chosen) : "";
}

const asControl = new Set(["input", "select", "textarea", "option"]);

/** Whether an element shows text of its own. */
export function isPlace(style: Style): boolean {
  const { element } = style;
  const shows = asControl.has(element.tag) ? showsValue(element) : element.hasText;
  return shows && isShown(style);
}

/**
 * The element whose ground a text stands on; null for the canvas. What was only seen painted is that of the element that
 * the styles say.
 */
export function groundFrom(page: StyledPage, style: Style, { kind, from }: Ground): number | null {
  return kind === "painted" && from === null ? legibilityOn(page, style, {}).ground.from : from;
}

/** Whether an element is on the page at all, and not one whose text is not shown. */
export function isShown(style: Style): boolean {
  if (silent.has(style.element.tag)) return false;
  return valueOf(style, "visibility") === "visible" && isRendered(style);
}

const rendered = new WeakMap<Style, boolean>();

/** Whether neither the element nor anything around it is `display: none`. */
export function isRendered(style: Style): boolean {
  const open: Style[] = [];
  let current: Style | null = style;
  while (current && !rendered.has(current) && !isLeftOut(current)) {
    open.push(current);
    current = current.parent;
  }
  const result = current ? (rendered.get(current) ?? false) : true;
  if (current && !rendered.has(current)) rendered.set(current, false);
  for (const one of open) rendered.set(one, result);
  return result;
}

const isLeftOut = (style: Style) =>
  valueOf(style, "display") === "none" ||
  (style.parent !== null && fallbackOnly.has(style.parent.element.tag) && style.pseudo === null);

/** What pages as they are laid out tell of their texts, by path; those that were not laid out are not in it. */
export type Layouts = Readonly<Record<string, PageLayout>>;

const measured = new WeakMap<PlaceLayout, { style: Style; legibility: Legibility }>();
const verdicts = new Alike<Legibility>(1_000);

/** The legibility of an element's text, on what really lies under it where its page was laid out. */
export function legibilityOn(page: Pick<StyledPage, "file" | "styles">, style: Style, layouts: Layouts): Legibility {
  const { pseudo } = style;
  const { index } = style.element;
  const own = pseudo !== null || page.styles[index] === style;
  const layout = own ? layouts[page.file.path]?.[textId(index, pseudo)] : undefined;
  if (!layout) return mayBeOverlapped(page, style) ? overlapped(legibility(style)) : legibility(style);
  const known = measured.get(layout);
  if (known?.style === style) return known.legibility;
  const result = verdicts.of(legibilityOf(style, layout, page.styles));
  measured.set(layout, { style, legibility: result });
  return result;
}

const doubted = new WeakMap<Legibility, Legibility>();

/** The same where other parts of the page may lie over or under the text: nothing is certain. */
function overlapped(legibility: Legibility): Legibility {
  let result = doubted.get(legibility);
  if (!result) {
    const { ground, verdict } = legibility;
    const doubt = ground.doubt ?? "Other parts of the page may lie over or under it.";
    result = {
      ...legibility,
      ground: { ...ground, certain: false, doubt },
      passes: false,
      verdict: verdict === "unjudged" ? verdict : "doubtful",
    };
    doubted.set(legibility, result);
  }
  return result;
}

/** By how they are set and what they stand on: a ground is the same object for texts in the same ink on the same layers. */
const keys = new PairMap<Legibility["ground"], Style["shared"], string>();
const legibilities = new WeakMap<Style, Legibility>();

/** The legibility of a text as far as styles alone can tell. */
export function legibility(style: Style): Legibility {
  let known = legibilities.get(style);
  if (!known) {
    known = legibilityOf(style);
    legibilities.set(style, known);
  }
  return known;
}

/** Equal for places of one text style: how the text is set, its ink and its ground. */
export function textStyleKey(style: Style): string {
  const { ground, ink } = legibility(style);
  return keys.of(ground, style.shared, () => `${settingKey(style)}|${colorsKey(ink, ground)}`);
}

/** Texts of many styles come out in the same ink on the same colour. */
const colorKeys = new PairMap<Color, Color, string>();

const colorsKey = (ink: Color, { color, range }: Legibility["ground"]): string =>
  range
    ? [ink, color, ...range].map(cssColor).join("|")
    : colorKeys.of(ink, color, () => [ink, color].map(cssColor).join("|"));

const settings = new WeakMap<Style["shared"], string>();
/** What is told of a setting goes by these, the colour of the text for its lines and shadows. */
const settingLonghands = [...textStyleProperties, "color"].map((name) => longhandIndex.get(name)!);

/** Equal for texts that are set alike, their colours aside. */
function settingKey(style: Style): string {
  let from = style;
  while (!settings.has(from.shared) && from.parent && isSetAs(from.shared, from.parent.shared)) from = from.parent;
  const key =
    settings.get(from.shared) ?? textStyleProperties.map((property) => computedValue(from, property)).join("|");
  for (const one of [style, from]) settings.set(one.shared, key);
  return key;
}

/** Whether all that a setting is told by came down from what is around it. */
const isSetAs = (one: Style["shared"], around: Style["shared"]): boolean =>
  one.scheme === around.scheme &&
  one.zoom === around.zoom &&
  settingLonghands.every((at) => one.values[at] === around.values[at]);

/** How a text style comes out, with the places that are set in it. */
export interface TextStyle {
  role: string;
  sizePx: number;
  /** Line height to size; null for `normal`. */
  leading: number | null;
  weight: number;
  stack: string;
  ink: string;
  ground: string;
  ratio: number;
  needs: number;
  places: ElementRef[];
}

/** The text style of an element, without its places. */
export function textStyleOf(page: Pick<StyledPage, "file" | "styles">, style: Style, layouts: Layouts): TextStyle {
  const { ground, ink, ratio, needs } = legibilityOn(page, style, layouts);
  const sizePx = fontSizeOf(style);
  const leading = leadingOf(style);
  return {
    role: roleName(style),
    sizePx,
    leading: leading === null ? null : leading / sizePx,
    weight: valueOf(style, "font-weight"),
    stack: computedValue(style, "font-family"),
    ink: cssColor(ink),
    ground: cssColor(ground.color),
    ratio,
    needs,
    places: [],
  };
}

/** Line of words that say what an element is to the reader, for people who do not read selectors. */
export function roleName(style: Style): string {
  const { element } = style;
  const named = roles[element.tag];
  if (named) return named;
  for (let above = element.parent; above; above = above.parent) {
    if (
      [
        "h1",
        "h2",
        "h3",
        "h4",
        "h5",
        "h6",
        "th",
        "td",
        "a",
        "label",
        "button",
        "caption",
        "blockquote",
        "li",
        "p",
      ].includes(above.tag)
    ) {
      return `Words in a ${roles[above.tag]!.toLowerCase()}`;
    }
  }
  return "Text";
}

const roles: Readonly<Record<string, string>> = table({
  h1: "Main heading",
  h2: "Section heading",
  h3: "Heading, level 3",
  h4: "Heading, level 4",
  h5: "Heading, level 5",
  h6: "Heading, level 6",
  p: "Paragraph",
  a: "Link",
  li: "List item",
  th: "Table head",
  td: "Table cell",
  caption: "Table caption",
  label: "Form label",
  button: "Button",
  blockquote: "Quotation",
  strong: "Strong words",
  em: "Stressed words",
  b: "Bold words",
  i: "Words set apart",
  small: "Small print",
  code: "Code",
  pre: "Preformatted text",
  dt: "Term",
  dd: "Description",
  figcaption: "Figure caption",
  summary: "Summary",
  legend: "Legend",
  cite: "Title of a work",
  q: "Quotation in a line",
  time: "Time",
  span: "Words",
  div: "Text",
  body: "Whole page",
});
