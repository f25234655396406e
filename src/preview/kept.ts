/** What keeps an element in a picture as it is laid out on the page, where a picture lays it out otherwise. */
import type { ShownPage } from "./frame";

/**
 * @param isBoxed whether what has no box gets one, for a line through its text
 * @returns declarations; null where it is laid out as it is
 */
export function keptAs(
  node: Element,
  style: CSSStyleDeclaration,
  mode: ShownPage["mode"],
  isBoxed: boolean,
): string | null {
  const declarations = [
    ...(node.localName === "textarea" ? sizeOf(style) : []),
    ...(isBoxed ? asBox : []),
    ...(mode === "no-quirks" ? [] : lineOf(node, style)),
  ];
  return declarations.length > 0 ? declarations.map((one) => `${one}!important`).join(";") : null;
}

/** Fields of several lines leave room for a scroll bar, as wide as the window's are and a picture's are not. */
const sizeOf = ({ width, height }: CSSStyleDeclaration): string[] =>
  width.endsWith("px") && height.endsWith("px") ? [`width:${width}`, `height:${height}`] : [];

/** Whether an element has words and no box: it carries no line through them. */
export const isBoxless = (node: Element, style: CSSStyleDeclaration) => style.display === "contents" && hasWords(node);

type StyleOf = (node: Element, pseudo?: string) => CSSStyleDeclaration;

/**
 * Whether a box in its place would lay out the page otherwise: in a row or a grid, words that follow each other are one
 * item together, whichever elements without a box they are in (CSS Flexbox 1, 4; CSS Grid 2, 6).
 */
export function isJoined(node: Element, styleOf: StyleOf): boolean {
  let around = node.parentElement;
  while (around && styleOf(around).display === "contents") around = around.parentElement;
  if (!around || !/flex|grid/.test(styleOf(around).display)) return false;
  // What is generated before or after them is an item of its own.
  const generates = (pseudo: string) => /^(?!none|normal)/.test(styleOf(node, pseudo).content);
  if (node.children.length > 0 || generates("::before") || generates("::after")) return true;
  const isApart = (child: ChildNode): boolean | null => {
    if (child.nodeType === 3) return child.nodeValue!.trim() === "" ? null : false;
    const display = child.nodeType === 1 ? styleOf(child as Element).display : "none";
    return display === "none" ? null : display !== "contents";
  };
  /** Whether nothing but the words of others stands next to it, on one side. */
  const meets = (next: (node: ChildNode) => ChildNode | null): boolean => {
    for (let from: ChildNode = node; from !== around; from = from.parentElement!)
      for (let sibling = next(from); sibling; sibling = next(sibling)) {
        const apart = isApart(sibling);
        if (apart !== null) return !apart;
      }
    return false;
  };
  return meets(({ previousSibling }) => previousSibling) || meets(({ nextSibling }) => nextSibling);
}

/** What has no box carries no line through its text: a box that makes no difference is put in its place. */
const asBox = [
  "display:inline",
  "position:static",
  "float:none",
  "margin:0",
  "padding:0",
  "border:0",
  "outline:0",
  "box-shadow:none",
  "background:none",
  "opacity:1",
  "filter:none",
  "backdrop-filter:none",
  "mask:none",
  "clip-path:none",
  "mix-blend-mode:normal",
  "isolation:auto",
  "contain:none",
  "will-change:auto",
  "vertical-align:baseline",
  // Where it stands in a row or a grid it is laid out as a block.
  "width:auto",
  "height:auto",
  "min-width:auto",
  "min-height:auto",
  "max-width:none",
  "max-height:none",
  "overflow:visible",
  "z-index:auto",
  "transform:none",
  "translate:none",
  "rotate:none",
  "scale:none",
  "perspective:none",
  "container-type:normal",
  "flex:0 1 auto",
  "order:0",
  "align-self:auto",
  "justify-self:auto",
  "grid-area:auto",
];

/**
 * In quirks mode and limited quirks mode, boxes without words of their own do not make lines higher (Quirks Mode, 3.2). A
 * drawing is in neither: such boxes get lines without a height, and all others theirs, which they would inherit.
 */
function lineOf(node: Element, style: CSSStyleDeclaration): string[] {
  const isSlim = makesLines.test(style.display) && node.childNodes.length > 0 && !hasWords(node) && !breaks(node);
  return [`line-height:${isSlim && !hasEdges(style) ? "0" : style.lineHeight}`];
}

/** Items of lists are not among them: their markers stand in the line. */
const makesLines = /^(?:block|inline|table-cell|table-caption|inline-block|flow-root)$/;

function hasWords(node: Element): boolean {
  for (const child of node.childNodes) if (child.nodeType === 3 && /[^ \t\r\n\f]/.test(child.nodeValue!)) return true;
  return false;
}

const breaks = (node: Element) => [...node.children].some(({ localName }) => localName === "br" || localName === "wbr");

/** A box of a line that has edges or room of its own makes the line higher, words or not. */
const hasEdges = (style: CSSStyleDeclaration) =>
  style.display === "inline" && edges.some((name) => style[name] !== "0px");

const edges = [
  "marginLeft",
  "marginRight",
  "paddingTop",
  "paddingRight",
  "paddingBottom",
  "paddingLeft",
  "borderTopWidth",
  "borderRightWidth",
  "borderBottomWidth",
  "borderLeftWidth",
] as const;
