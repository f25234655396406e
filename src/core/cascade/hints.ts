/** Presentational hints: attributes that set style (HTML, 15.3 and 15.4.3), as declarations of no specificity. */
import { append } from "../source/groups";
import { table } from "../source/table";
import { sides } from "./properties/sides";
import { namedColors } from "../color/names";
import { parseBlock, type Declaration } from "../source/css/syntax";
import type { ElementNode } from "../source/html/document";

const none: readonly Declaration[] = [];
const known = new Map<string, readonly Declaration[]>();

/** Declarations that presentational attributes stand for (HTML, 15). */
export function hintsFor(element: ElementNode): readonly Declaration[] {
  if (element.namespace === "math") return none;
  if (element.namespace === "svg")
    return declared([...element.attributes].flatMap(([name, value]) => presentation(name, value)));
  const isCell = isCellTag(element.tag);
  if (element.attributes.size === 0 && !isCell && !grouped.has(element.tag) && element.tag !== "bdi") return none;
  const rules: string[] = isCell ? cellHints(element) : [];
  if (element.tag === "table") append(rules, tableHints(element));
  if (grouped.has(element.tag)) append(rules, groupHints(element));
  const direction = directionHint(element);
  if (direction) rules.push(`direction:${direction}`);
  if (element.tag === "a" && element.attributes.has("href")) append(rules, linkHints(element));
  for (const [name, value] of element.attributes) {
    const hint = hints[name]?.(value, element);
    if (hint) rules.push(hint);
  }
  return declared(rules);
}

/** Attributes of SVG that are properties (SVG 2, 6.6), of those computed here; lengths may go without unit. */
const presentationAttributes = new Set([
  "color",
  "direction",
  "display",
  "font-family",
  "font-size",
  "font-size-adjust",
  "font-stretch",
  "font-style",
  "font-variant",
  "font-weight",
  "letter-spacing",
  "opacity",
  "text-decoration",
  "visibility",
  "word-spacing",
  "writing-mode",
]);

function presentation(name: string, value: string): string[] {
  if (!presentationAttributes.has(name)) return [];
  const isLength =
    ["font-size", "letter-spacing", "word-spacing"].includes(name) && /^\s*[+-]?(?:\d*\.)?\d+\s*$/.test(value);
  return [`${name}:${isLength ? `${value.trim()}px` : value}`];
}

function declared(rules: readonly string[]): readonly Declaration[] {
  if (rules.length === 0) return none;
  const text = rules.join(";");
  let declarations = known.get(text);
  if (!declarations) {
    if (known.size > 2000) known.clear();
    declarations = parseBlock(text).filter((item) => item.kind === "declaration");
    known.set(text, declarations);
  }
  return declarations;
}

type Hint = (value: string, element: ElementNode) => string | null;

const tableParts = new Set(["table", "thead", "tbody", "tfoot", "tr", "td", "th"]);
const headings = new Set(["h1", "h2", "h3", "h4", "h5", "h6"]);
const blocksWithAlign = new Set(["p", "div", ...headings, "legend"]);
const cells = new Set(["td", "th", "tr", "tbody", "thead", "tfoot", "col", "colgroup"]);

const hints: Readonly<Record<string, Hint>> = table({
  bgcolor: (value, { tag }) =>
    tag === "body" || tag === "marquee" || tableParts.has(tag) ? colorHint("background-color", value) : null,
  text: (value, { tag }) => (tag === "body" ? colorHint("color", value) : null),
  color: (value, { tag }) => {
    if (tag === "font") return colorHint("color", value);
    return tag === "hr" ? hrColor(value) : null;
  },
  face: (value, { tag }) => (tag === "font" && value.trim() ? `font-family:${value}` : null),
  size: (value, { tag }) => {
    if (tag === "font") return fontSize(value);
    return tag === "hr" ? hrSize(value) : null;
  },
  width: (value, element) => sizeHint(value, "width", element),
  height: (value, element) => sizeHint(value, "height", element),
  noshade: (_, { tag, attributes }) =>
    tag === "hr" && !attributes.has("color") ? "border-style:solid;border-color:gray;background-color:gray" : null,
  background: (value, { tag }) =>
    value.trim() && (tag === "body" || tableParts.has(tag))
      ? `background-image:url("${value.trim().replace(/["\\\n]/g, encodeURIComponent)}")`
      : null,
  wrap: (value, { tag }) => {
    if (tag === "pre") return "white-space:pre-wrap";
    return tag === "textarea" && value.trim().toLowerCase() === "off" ? "white-space:pre;overflow-wrap:normal" : null;
  },
  align: (value, element) => align(value.trim().toLowerCase(), element),
  valign: (value, { tag }) => (cells.has(tag) ? `vertical-align:${value}` : null),
  cellspacing: (value, { tag }) => {
    const amount = /^\s*(\d+)(?![\d.]*[%*])/.exec(value)?.[1];
    return tag === "table" && amount !== undefined ? `border-spacing:${amount}px` : null;
  },
  rules: (value, { tag }) =>
    tag === "table" && value.trim().toLowerCase() in ruledEdges ? "border-collapse:collapse" : null,
  frame: (value, { tag }) => (tag === "table" ? frameHint(value.trim().toLowerCase()) : null),
  type: (value, { tag }) => listTypes[tag]?.[value] ?? listTypes[tag]?.[value.toLowerCase()] ?? null,
  nowrap: (_, { tag }) => (isCellTag(tag) ? "white-space:nowrap" : null),
  border: (value, element) => {
    if (element.tag === "table") return `border-width:${tableBorder(value)}px`;
    return element.tag === "img" || element.tag === "object" || isImageButton(element)
      ? `border:${Math.max(0, integer(value))}px solid`
      : null;
  },
  frameborder: (value, { tag }) => (tag === "iframe" && integer(value) === 0 ? "border-width:0" : null),
  bordercolor: (value, { tag }) => (tableParts.has(tag) ? colorHint("border-color", value) : null),
  hspace: (value, { tag }) => (spaced.has(tag) ? space(value, "margin-left", "margin-right") : null),
  vspace: (value, { tag }) => (spaced.has(tag) ? space(value, "margin-top", "margin-bottom") : null),
  marginwidth: (value, { tag }) => (tag === "body" ? bodyMargin(value, "margin-left", "margin-right") : null),
  leftmargin: (value, { tag }) => (tag === "body" ? bodyMargin(value, "margin-left", "margin-right") : null),
  marginheight: (value, { tag }) => (tag === "body" ? bodyMargin(value, "margin-top", "margin-bottom") : null),
  topmargin: (value, { tag }) => (tag === "body" ? bodyMargin(value, "margin-top", "margin-bottom") : null),
});

const bullets = {
  disc: "list-style-type:disc",
  circle: "list-style-type:circle",
  square: "list-style-type:square",
  none: "list-style-type:none",
};
const counters = {
  "1": "list-style-type:decimal",
  a: "list-style-type:lower-alpha",
  A: "list-style-type:upper-alpha",
  i: "list-style-type:lower-roman",
  I: "list-style-type:upper-roman",
};
/** Letters are told apart by case (HTML, 15.3.7). */
const listTypes: Readonly<Record<string, Readonly<Record<string, string>>>> = table({
  ul: bullets,
  ol: counters,
  li: { ...bullets, ...counters },
});

/** Where pictures stand in their line (HTML, 15.4.3). */
const inLine: Readonly<Record<string, string>> = table({
  left: "top",
  right: "top",
  top: "top",
  middle: "-webkit-baseline-middle",
  center: "-webkit-baseline-middle",
  absmiddle: "middle",
  absbottom: "bottom",
  bottom: "baseline",
  texttop: "text-top",
});

const spaced = new Set(["img", "embed", "object", "input", "marquee"]);

/** A whole number, what follows it left out; 0 where there is none (HTML, 2.3.4.1). */
const integer = (value: string): number => Number(/^\s*([+-]?\d+)/.exec(value)?.[1] ?? 0);

/** A line of one pixel has no lower edge. */
const hrSize = (value: string): string =>
  integer(value) <= 1 ? "border-bottom-width:0" : `height:${integer(value) - 2}px`;

/** The width of a table's edge, CSS px; said without a number, it is 1 (HTML, 15.3.9). */
const tableBorder = (value: string): number => Number(/^\s*\+?(\d+)/.exec(value)?.[1] ?? 1);

const isImageButton = ({ tag, attributes }: ElementNode): boolean =>
  tag === "input" && attributes.get("type")?.toLowerCase() === "image";

/** The body's `link` attribute colours every link (HTML, 15.3.10). */
function linkHints(link: ElementNode): string[] {
  let body = link.parent;
  while (body && body.tag !== "body") body = body.parent;
  const hint = body?.attributes.has("link") ? colorHint("color", body.attributes.get("link")!) : null;
  return hint ? [hint] : [];
}

/** Edges of a table that `frame` draws (HTML, 15.3.9). */
const frameEdges: Readonly<Record<string, readonly string[]>> = table({
  void: [],
  above: ["top"],
  below: ["bottom"],
  hsides: ["top", "bottom"],
  lhs: ["left"],
  rhs: ["right"],
  vsides: ["left", "right"],
  box: [...sides],
  border: [...sides],
});

function frameHint(value: string): string | null {
  const drawn = frameEdges[value];
  const styles = drawn && sides.map((side) => `border-${side}-style:${drawn.includes(side) ? "solid" : "hidden"}`);
  return styles ? ["border-width:1px", ...styles].join(";") : null;
}

/** What `rules` says; null where it is none that is known. */
const ruledBy = (table: ElementNode): string | null => {
  const value = table.attributes.get("rules")?.trim().toLowerCase() ?? "";
  return value in ruledEdges ? value : null;
};

/** Whether a table has edges by its `border`. */
const hasBorder = ({ attributes }: ElementNode): boolean =>
  attributes.has("border") && tableBorder(attributes.get("border")!) > 0;

/** How a table's edges are drawn, weaker than what `frame` says; where only `rules` are, they win over edges of none. */
function tableHints(table: ElementNode): string[] {
  if (!hasBorder(table)) return ruledBy(table) ? ["border-style:hidden"] : [];
  return [`border-style:${table.attributes.get("bordercolor") ? "solid" : "outset"}`];
}

/** Parts of a table that `rules=groups` draws edges between. */
const grouped = new Set(["thead", "tbody", "tfoot", "colgroup"]);

function groupHints(group: ElementNode): string[] {
  const table = tableAround(group);
  if (!table || ruledBy(table) !== "groups") return [];
  const edges = group.tag === "colgroup" ? ["left", "right"] : ["top", "bottom"];
  return edges.map((edge) => `border-${edge}-width:1px;border-${edge}-style:solid`);
}

function tableAround(part: ElementNode): ElementNode | null {
  let table = part.parent;
  while (table && table.tag !== "table") table = table.parent;
  return table;
}

/** Edges that `rules` draws on cells; none of their own for null. */
const ruledEdges: Readonly<Record<string, readonly string[] | null>> = table({
  all: ["top", "right", "bottom", "left"],
  cols: ["left", "right"],
  rows: ["top", "bottom"],
  none: null,
  groups: null,
});

/** What a table's attributes say of its cells (HTML, 15.3.9). */
function cellHints(cell: ElementNode): string[] {
  const table = tableAround(cell);
  if (!table) return [];
  const rules: string[] = [];
  const ruled = ruledEdges[ruledBy(table) ?? ""];
  if (ruled) append(rules, [...ruled.map((edge) => `border-${edge}:1px solid`), "border-color:inherit"]);
  else if (ruled === undefined && hasBorder(table))
    rules.push(`border:1px ${table.attributes.get("bordercolor") ? "solid" : "inset"};border-color:inherit`);
  const padding = table.attributes.get("cellpadding");
  if (padding) rules.push(`padding:${Math.max(0, integer(padding))}px`);
  return rules;
}

/** Elements whose attributes say how large they are (HTML, 15.3.9, 15.3.12 and 15.4.3). */
const pictured = ["img", "embed", "iframe", "object", "video", "marquee"];
const sized = {
  width: new Set([...pictured, "table", "col", "colgroup", "td", "th", "hr"]),
  height: new Set([...pictured, "table", "thead", "tbody", "tfoot", "tr", "td", "th"]),
};

function sizeHint(value: string, property: "width" | "height", element: ElementNode): string | null {
  const { tag } = element;
  return isImageButton(element) || sized[property].has(tag) ? dimension(value, property, tag) : null;
}

const isCellTag = (tag: string) => tag === "td" || tag === "th";

/** The rules for parsing dimension values (HTML, 2.3.4.4); nothing is no size of a table or a cell. */
function dimension(value: string, property: string, tag: string): string | null {
  const size = dimensionOf(value);
  if (size === null) return null;
  if (Number.parseFloat(size) === 0 && (isCellTag(tag) || (property === "width" && tag === "table"))) return null;
  return `${property}:${size}`;
}

/** A length or a percentage; a share of what is left, as columns once had, is none. */
function dimensionOf(value: string): string | null {
  const [, amount, percent] = /^\s*(\d+(?:\.\d+)?)(?![\d.]*\*)(%?)/.exec(value) ?? [];
  return amount === undefined ? null : `${amount}${percent || "px"}`;
}

function space(value: string, ...names: string[]): string | null {
  const size = dimensionOf(value);
  return size === null ? null : names.map((name) => `${name}:${size}`).join(";");
}

/** Whole, not negative, with a sign or without (HTML, 2.3.4.2 and 15.3.2). */
function bodyMargin(value: string, ...names: string[]): string | null {
  const amount = Number(/^[ \t\n\f\r]*([+-]?\d+)/.exec(value)?.[1] ?? -1);
  if (amount < 0 || amount > largestInteger) return null;
  return names.map((name) => `${name}:${Math.abs(amount)}px`).join(";");
}

const largestInteger = 2 ** 31 - 1;

function hrColor(value: string): string | null {
  const color = legacyColor(value);
  return color ? `border-style:solid;border-color:${color};background-color:${color}` : null;
}

function align(value: string, element: ElementNode): string | null {
  const { tag } = element;
  if (blocksWithAlign.has(tag) || cells.has(tag)) {
    const plain = headings.has(tag) || tag === "legend";
    if (value === "left" || value === "right" || value === "center")
      return plain ? `text-align:${value}` : `text-align:-webkit-${value}`;
    if (value === "middle") return `text-align:${plain ? "center" : "-webkit-center"}`;
    if (value === "absmiddle" && cells.has(tag)) return "text-align:center";
    return value === "justify" ? "text-align:justify" : null;
  }
  if (tag === "table") return value === "center" ? "margin-inline:auto" : floatTo(value);
  if (aligned.has(tag) || isImageButton(element)) {
    const place = inLine[value] ? `vertical-align:${inLine[value]}` : null;
    return [floatTo(value), place].filter(Boolean).join(";") || null;
  }
  if (tag === "caption") return value === "top" || value === "bottom" ? `caption-side:${value}` : null;
  return null;
}

const aligned = new Set(["img", "iframe", "object", "embed"]);
const floatTo = (value: string) => (value === "left" || value === "right" ? `float:${value}` : null);

/** Bidirectional character types of strong direction (Unicode UAX 9), as far as scripts tell them. */
const rightToLeft = /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u;
const strong = /[\p{L}]/u;
const withoutDirection = new Set(["bdi", "script", "style", "textarea", "input", "button", "select"]);

/** `dir=auto`, and `bdi` without `dir`: by the first letter of strong direction (HTML, 3.2.6.4). */
function directionHint(element: ElementNode): "ltr" | "rtl" | null {
  const dir = element.attributes.get("dir")?.trim().toLowerCase();
  if (dir !== "auto" && !(element.tag === "bdi" && dir !== "ltr" && dir !== "rtl")) return null;
  if (element.tag === "input") return directionOf(element.attributes.get("value") ?? "") ?? "ltr";
  return directionInside(element) ?? "ltr";
}

function directionInside(element: ElementNode): "ltr" | "rtl" | null {
  for (const node of element.content) {
    if (!("text" in node) && (withoutDirection.has(node.tag) || node.attributes.has("dir"))) continue;
    const found = "text" in node ? directionOf(node.text) : directionInside(node);
    if (found) return found;
  }
  return null;
}

function directionOf(text: string): "ltr" | "rtl" | null {
  for (const character of text) {
    if (rightToLeft.test(character)) return "rtl";
    if (strong.test(character)) return "ltr";
  }
  return null;
}

/** HTML, 15.3.4: sizes 1 to 7, or steps from 3. */
function fontSize(value: string): string | null {
  const match = /^\s*([+-]?)(\d+)/.exec(value);
  if (!match) return null;
  const amount = Number(match[1]! + match[2]!);
  const size = match[1] ? 3 + amount : amount;
  const keyword = ["x-small", "small", "medium", "large", "x-large", "xx-large", "xxx-large"][
    Math.min(7, Math.max(1, size)) - 1
  ]!;
  return `font-size:${keyword}`;
}

function colorHint(property: string, value: string): string | null {
  const color = legacyColor(value);
  return color ? `${property}:${color}` : null;
}

/** The rules for parsing a legacy colour value (HTML, 2.3.6). */
function legacyColor(value: string): string | null {
  const trimmed = value.trim();
  if (trimmed === "" || trimmed.toLowerCase() === "transparent") return null;
  if (namedColors.has(trimmed.toLowerCase())) return trimmed;
  if (/^#[0-9a-f]{3}$/i.test(trimmed)) return trimmed;
  let digits = [...trimmed]
    .slice(0, 128)
    .join("")
    .replace(/^#/, "")
    .replace(/[^0-9a-f]/gi, "0");
  while (digits.length === 0 || digits.length % 3) digits += "0";
  let length = digits.length / 3;
  let parts = [0, 1, 2].map((at) => digits.slice(at * length, (at + 1) * length));
  if (length > 8) {
    parts = parts.map((part) => part.slice(length - 8));
    length = 8;
  }
  while (length > 2 && parts.every((part) => part[0] === "0")) {
    parts = parts.map((part) => part.slice(1));
    length -= 1;
  }
  return `#${parts.map((part) => part.slice(0, 2).padStart(2, "0")).join("")}`;
}
