/**
 * The page as a picture: the safe page written as XHTML into a `foreignObject` of an SVG (SVG 2, 12.4), which a browser
 * loads as an image and paints. What a page has and an image has not is put in its place: the root, the window and
 * its units, the ground handed to the canvas, conditions of media.
 */
import { ident } from "css-tree/utils";
import { matchesMedia } from "../cascade/media";
import { quirksText } from "../cascade/browserSheet";
import { withStates, stateAttribute, type Override } from "../cascade/rehearse";
import type { StyledPage } from "../cascade/styles";
import { T, tokensOf } from "../source/css/tokens";
import { withoutIdle } from "./reaching";
import { scriptedText } from "../source/html/scripted";
import type { SafeDocument, SafeElement, SafeSheet, SheetRewriting } from "../source/html/safe";

/** What is painted of the texts. */
export type PictureLook =
  /** Nothing: what lies under them. */
  | { kind: "ground" }
  /** A line through each, in the colour it is said. */
  | { kind: "struck"; strikes: readonly Strike[] };

/** A line through a text, as thick as its letters are high. */
export interface Strike {
  index: number;
  /** The pseudo-element of it that shows the text; null for the element's own. */
  pseudo: string | null;
  /** A colour of CSS. */
  color: string;
  /** In CSS px. */
  thickness: number;
}

/** What only the laid-out page can tell of itself. Lengths in CSS px. */
export interface PictureStage {
  /** Of the whole page, and at least of the window. */
  width: number;
  height: number;
  /** What the page is laid out in: the window without its scroll bars. */
  room: number;
  /** Whether scroll bars take room. */
  bars: boolean;
  /** Of the window. */
  window: { width: number; height: number };
  /** The canvas before anything is painted on it, a colour of CSS. */
  paper: string;
  /** Whether the paper is part of the picture, for filters of what lies under them; what is blended is not with it. */
  backed: boolean;
  /** What fills the canvas: the element it comes from, its declarations, and the box it is placed by. */
  canvas: { index: number; declarations: string; box: PictureBox } | null;
  /** What root elements are set in, for units that follow the root. */
  root: string;
  /** Elements whose overflow goes to the window. */
  spilling: readonly number[];
  /** Elements whose animations never end. */
  moving: readonly number[];
  /** Elements that stay in the window while the page scrolls: they lie over another part of it every moment. */
  fixed: readonly number[];
  /** Elements that stick to an edge of the window, with what puts them where they stand while nothing is scrolled. */
  sticky: readonly (readonly [index: number, declarations: string])[];
  /** Elements that a picture would lay out otherwise, with what keeps them as they are. */
  kept: readonly (readonly [index: number, declarations: string])[];
  /** Elements whose background is cut out by their text, so that it is no ground. */
  cutOut: readonly number[];
  /** Elements whose content is not known: what comes from elsewhere, films, frames. */
  unknown: readonly number[];
  /** Whether sheets ask for pictures that are not in memory. */
  remote: boolean;
}

interface PictureBox {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** What may be anything is painted in one colour; two pictures show how much depends on it. */
export interface PictureUnknown {
  color: "black" | "white";
  /**
   * What is shown: the page without what is fixed in the window; all of it, as it stands before anything is scrolled; or
   * what stays in the window alone, over a canvas of that colour, since anything may scroll under it.
   */
  shows: "flow" | "all" | "held";
}

export interface PicturePage {
  document: SafeDocument;
  sheets: readonly SafeSheet[];
  overrides: readonly Override[];
  states: readonly (readonly [index: number, states: string])[];
  scheme: "light" | "dark";
}

/** Attributes by which what is added finds its elements. */
const rootAttribute = "data-hevret-root";
const placeAttribute = "data-hevret-place";

/** How the sheets of a page are written for a picture of it, without what does nothing on it. */
export function pictureRewriting({ document, file, conditions }: StyledPage): SheetRewriting {
  const states = new Set(Object.values(conditions.forced[file.path] ?? {}).flat());
  return withoutIdle(
    {
      media: (text) => (text.trim() === "" || matchesMedia(text, conditions) ? "all" : null),
      selectors: (text) => asInXml(states.size ? withStates(text, states) : text),
    },
    document,
  );
}

/** `:root` is the page's, not the drawing's; names of elements are told apart by case in XML. */
function asInXml(selectors: string): string {
  const { count, types, starts } = tokensOf(selectors);
  let text = "";
  let at = 0;
  let brackets = 0;
  for (let token = 0; token < count; token += 1) {
    if (types[token] === T.LeftSquareBracket) brackets += 1;
    if (types[token] === T.RightSquareBracket) brackets -= 1;
    if (types[token] !== T.Ident || brackets > 0) continue;
    const raw = selectors.slice(starts[token]!, starts[token + 1]!);
    const before = token > 0 ? types[token - 1] : 0;
    if (before === T.Colon) {
      if (types[token - 2] === T.Colon || ident.decode(raw).toLowerCase() !== "root") continue;
      text += selectors.slice(at, starts[token - 1]!) + `[${rootAttribute}]`;
    } else if (before === T.Delim && selectors[starts[token - 1]!] === ".") continue;
    else text += selectors.slice(at, starts[token]!) + raw.toLowerCase();
    at = starts[token + 1]!;
  }
  return text + selectors.slice(at);
}

/** Units of the window in px, since the picture is as high as the page. */
export function withoutWindowUnits(text: string, { width, height }: { width: number; height: number }): string {
  if (!/\dv(?:w|h|i|b|min|max)|\d[sld]v(?:w|h|i|b|min|max)/i.test(text)) return text;
  return text.replace(
    /(?<![\w#-])([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)[sld]?v(w|h|i|b|min|max)(?![\w-])/gi,
    (_, number: string, unit: string) => {
      const name = unit.toLowerCase();
      const bases: Record<string, number> = { min: Math.min(width, height), max: Math.max(width, height) };
      const base = bases[name] ?? (/[hb]/.test(name) ? height : width);
      return `${Number(((Number(number) * base) / 100).toFixed(4))}px`;
    },
  );
}

const stilled = `*, *::before, *::after { transition: none !important; animation-delay: -100000s !important; caret-color: transparent !important }`;
/** Glyphs and their lines and shadows; inside SVG drawings, text is part of the picture. */
const glyphless = `*, *::before, *::after, *::first-line, *::first-letter, *::marker, *::placeholder, *::file-selector-button, *::details-content { -webkit-text-fill-color: transparent !important; -webkit-text-stroke-color: transparent !important; text-decoration-color: transparent !important; text-shadow: none !important; text-emphasis-color: transparent !important }`;

/** The picture as the text of an SVG document. Addresses in it are those of the page. */
export function pictureOf(
  page: PicturePage,
  stage: PictureStage,
  look: PictureLook,
  unknown: PictureUnknown | null,
): string {
  const { document, scheme } = page;
  const dressing = dressingOf(page, stage, look, unknown);
  const { width, height } = stage;
  const ground = unknown?.shows === "held" ? unknown.color : "transparent";
  const parts = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" style="${attribute(stage.root)};color-scheme:${scheme};background:${ground}">`,
    `<foreignObject x="0" y="0" width="${stage.room}" height="${stage.window.height}" style="overflow:visible;font:initial;color:initial">`,
  ];
  // A drawing is never in quirks mode: what the browser's own sheet adds there comes before all that pages say.
  const quirks = document.mode === "quirks" ? `@layer{${quirksText}${quirksBoxes}}` : "";
  parts.push(`<style xmlns="${namespaces.html}">${escaped(scriptedText(document))}${quirks}</style>`);
  if (document.root) write(document.root, opener(page, stage, unknown, dressing, parts), parts);
  parts.push(`<style xmlns="${namespaces.html}">${escaped(dressing.rules.join("\n"))}</style></foreignObject></svg>`);
  return parts.join("");
}

/** What is put on elements of the page, by index, and the rules that come after all of its own. */
interface Dressing {
  styles: Map<number, string>;
  /** Elements that rules ask for. */
  placed: Set<number>;
  rules: string[];
}

function dressingOf(
  { overrides, scheme }: PicturePage,
  stage: PictureStage,
  look: PictureLook,
  unknown: PictureUnknown | null,
): Dressing {
  const styles = new Map<number, string>();
  const put = (index: number, declarations: string) => styles.set(index, `${styles.get(index) ?? ""};${declarations}`);
  for (const [index, property, value] of overrides) put(index, `${property}:${value}!important`);
  if (unknown === null || unknown.shows === "flow")
    for (const index of stage.fixed) put(index, "display:none!important");
  for (const [index, declarations] of [...stage.sticky, ...stage.kept]) put(index, declarations);
  if (look.kind === "ground") for (const index of stage.cutOut) put(index, "background:none!important");
  if (unknown)
    for (const index of stage.unknown) put(index, `background:${unknown.color}!important;color:${unknown.color}`);
  for (const index of stage.spilling) put(index, "overflow:visible!important");
  for (const index of stage.moving) put(index, "animation:none!important");
  if (stage.canvas) put(stage.canvas.index, "background:none!important");
  // The root is a stacking context of its own, with the canvas at its bottom.
  put(0, "isolation:isolate!important");
  const rules = [
    stilled,
    ...(stage.bars ? [] : ["* { scrollbar-width: none !important }"]),
    glyphless,
    `[${rootAttribute}] { color-scheme: ${scheme} !important }`,
  ];
  const dressing: Dressing = { styles, placed: new Set(), rules };
  if (look.kind === "struck") strike(look.strikes, dressing, put);
  if (unknown?.shows === "held") showHeld(stage, dressing);
  return dressing;
}

/** Puts a line through texts. @param put adds to what is put on an element */
function strike(strikes: readonly Strike[], { placed, rules }: Dressing, put: (index: number, text: string) => void) {
  for (const { index, pseudo, color, thickness } of strikes) {
    const line = `text-decoration:line-through solid ${color} ${thickness}px!important;text-decoration-skip-ink:none!important`;
    if (pseudo === null) {
      put(index, line);
      continue;
    }
    placed.add(index);
    const colored = `color:${color}!important;-webkit-text-fill-color:${color}!important`;
    rules.push(`[${placeAttribute}="${index}"]::${pseudo} { ${pseudo === "marker" ? colored : line} }`);
  }
}

/** Shows what stays in the window alone. */
function showHeld(stage: PictureStage, { placed, rules }: Dressing): void {
  const held = heldBy(stage);
  for (const index of held) placed.add(index);
  const which = held.map((index) => `[${placeAttribute}="${index}"]`).join();
  // More specific than what the page says of visibility inside of them is not needed: nothing else is looked at.
  rules.push(
    `[${rootAttribute}], [${rootAttribute}] * { visibility: hidden !important }`,
    `:is(${which}), :is(${which}) * { visibility: visible !important }`,
  );
}

/** Writes start tags; each gives its end tag. */
function opener(
  { sheets, states }: PicturePage,
  stage: PictureStage,
  unknown: PictureUnknown | null,
  { styles, placed }: Dressing,
  parts: string[],
): (element: SafeElement, around: SafeElement | null) => string {
  const sheetsOf = new Map(sheets.map((sheet) => [sheet.owner, sheet]));
  const stateOf = new Map(states);
  return (element, around) => {
    const { index, tag, namespace } = element;
    const name = /^[A-Za-z_][\w.-]*$/.test(tag) ? tag : "x-unnamed";
    parts.push(`<${name}`);
    if (namespace !== around?.namespace) parts.push(` xmlns="${namespaces[namespace]}"`);
    let style = styles.get(index) ?? "";
    for (const [key, value] of element.attributes) {
      if (key.toLowerCase() === "style") style = withoutWindowUnits(value, stage.window) + style;
      else if (/^(?:xml:lang|xml:space|[A-Za-z_][\w.-]*)$/.test(key) && key !== "xmlns")
        parts.push(` ${key}="${attribute(value)}"`);
      else if (key === "xlink:href") parts.push(` href="${attribute(value)}"`);
    }
    if (style) parts.push(` style="${attribute(style)}"`);
    if (index === 0) parts.push(` ${rootAttribute}=""`);
    if (placed.has(index)) parts.push(` ${placeAttribute}="${index}"`);
    const state = stateOf.get(index);
    if (state !== undefined) parts.push(` ${stateAttribute}="${attribute(state)}"`);
    const sheet = sheetsOf.get(index);
    if (sheet) {
      const text = withoutWindowUnits(sheet.text, stage.window);
      parts.push(` media="${attribute(sheet.media)}">`, escaped(unknown ? withUnknown(text, unknown.color) : text));
    } else parts.push(">");
    if (index === 0 && unknown?.shows !== "held") parts.push(canvasGround(stage));
    return `</${name}>`;
  };
}

/** Of controls and tables, and margins at the top of a body or cell, in quirks mode (Quirks Mode, 3; HTML, 15.3.10). */
const first = ":first-child";
const atTheTop = ["", `>${first}`, `>${first}>${first}`].map((deeper) => `:is(body,td,th)>${first}${deeper}`).join();
const quirksBoxes = `:is(h1,h2,h3,h4,h5,h6,p,ul,ol,dl,menu,dir,blockquote,pre,listing):is(${atTheTop}) { margin-block-start: 0 } input:not([type="image" i]), textarea, table { box-sizing: border-box } html, body { min-height: 100% }`;

/** Elements that may lie over any part of the page as it is scrolled. */
export function heldBy({ fixed, sticky, height, window }: PictureStage): number[] {
  return height > window.height + 1 ? [...fixed, ...sticky.map(([index]) => index)] : [];
}

/** Without recursion: pages nest as deep as they like. */
function write(
  root: SafeElement,
  open: (element: SafeElement, around: SafeElement | null) => string,
  parts: string[],
): void {
  const pending = [{ element: root, at: 0, close: open(root, null) }];
  for (let top = pending.at(-1); top; top = pending.at(-1)) {
    const node = top.element.content[top.at];
    top.at += 1;
    if (node === undefined) {
      parts.push(top.close);
      pending.pop();
    } else if (typeof node === "string") parts.push(escaped(node));
    else pending.push({ element: node, at: 0, close: open(node, top.element) });
  }
}

/**
 * The canvas is filled with an element's background, placed by the root's box (CSS Backgrounds 3, 2.11.1). What is blended
 * is blended with that, not with the paper under it, as in Chromium.
 */
function canvasGround({ canvas, width, height, paper, backed }: PictureStage): string {
  const boxed = (own: string, inner: string) =>
    `<hevret-canvas xmlns="${namespaces.html}" style="${attribute(`all:initial;display:block;position:absolute;${own}`)}">${inner}</hevret-canvas>`;
  const whole = `left:0;top:0;width:${width}px;height:${height}px;z-index:-2147483647`;
  const back = backed ? boxed(`${whole};background:${paper}`, "") : "";
  if (!canvas) return back;
  const { box, declarations } = canvas;
  const around = Math.ceil(Math.max(width, height));
  const ground = `left:${box.left - around}px;top:${box.top - around}px;width:${box.width}px;height:${box.height}px;padding:${around}px;${declarations};background-origin:content-box;background-clip:border-box`;
  return back + boxed(`${whole};overflow:hidden`, boxed(ground, ""));
}

const namespaces = {
  html: "http://www.w3.org/1999/xhtml",
  svg: "http://www.w3.org/2000/svg",
  math: "http://www.w3.org/1998/Math/MathML",
};

/** Pictures that are not in memory, filled with a colour: they may be anything. */
function withUnknown(text: string, color: string): string {
  const fill = encodeURIComponent(
    `<svg xmlns="${namespaces.svg}"><rect width="100%" height="100%" fill="${color}"/></svg>`,
  );
  return text.replaceAll('url("")', `url("data:image/svg+xml,${fill}")`);
}

/** Characters that XML does not allow (XML 1.0, 2.2) stand for nothing. */
const notXml =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

function escaped(text: string): string {
  return text.replace(notXml, "\ufffd").replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;");
}

function attribute(text: string): string {
  return escaped(text).replace(/"/g, "&quot;").replace(/\n/g, "&#10;").replace(/\t/g, "&#9;").replace(/\r/g, "&#13;");
}
