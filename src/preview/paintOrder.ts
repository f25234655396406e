/** In which order elements are painted (CSS 2.2, appendix E; CSS Position 3, 2.3), from their computed styles. */

/** Compared part by part: level first, then place in the tree. */
export type PaintPath = readonly (readonly [level: number, order: number])[];

export interface PaintedNode {
  index: number;
  /** Position in the list of its parent; null for the root. */
  parent: PaintedNode | null;
  style: CSSStyleDeclaration;
}

const level = { ownGround: -1e9, block: -0.9, float: -0.6, inline: -0.3 };

function isPositioned({ style }: PaintedNode): boolean {
  return style.position !== "static";
}

/** A flex or grid item may have a `z-index` without a position. */
function zIndexOf(node: PaintedNode): number | null {
  const { zIndex } = node.style;
  if (zIndex === "auto" || zIndex === "") return null;
  const inFlex = /flex|grid/.test(node.parent?.style.display ?? "");
  return isPositioned(node) || inFlex ? Number(zIndex) : null;
}

/** A question about a node whose answer is kept: it is asked for each of its descendants, and styles are slow to read. */
function kept(ask: (node: PaintedNode) => boolean): (node: PaintedNode) => boolean {
  const answers = new WeakMap<PaintedNode, boolean>();
  return (node) => {
    let answer = answers.get(node);
    if (answer === undefined) answers.set(node, (answer = ask(node)));
    return answer;
  };
}

const isContext = kept((node) => {
  const { style } = node;
  return (
    node.parent === null ||
    zIndexOf(node) !== null ||
    style.position === "fixed" ||
    style.position === "sticky" ||
    Number(style.opacity) < 1 ||
    style.transform !== "none" ||
    style.filter !== "none" ||
    style.mixBlendMode !== "normal" ||
    style.isolation === "isolate" ||
    (style.clipPath ?? "none") !== "none" ||
    (style.maskImage ?? "none") !== "none"
  );
});

const isRaised = (node: PaintedNode) => isPositioned(node) || isContext(node);
const isFloat = ({ style }: PaintedNode) => style.float !== "none";
const isAtomicInline = ({ style }: PaintedNode) => style.display.startsWith("inline-");
const isLayer = kept((node) => isRaised(node) || isFloat(node) || isAtomicInline(node));

function above(node: PaintedNode, matches: (node: PaintedNode) => boolean): PaintedNode | null {
  let current = node.parent;
  while (current && !matches(current)) current = current.parent;
  return current;
}

const layerPaths = new WeakMap<PaintedNode, PaintPath>();

function layerPath(layer: PaintedNode): PaintPath {
  let path = layerPaths.get(layer);
  if (!path) {
    if (!layer.parent) path = [];
    else if (isRaised(layer)) path = [...layerPath(above(layer, isContext)!), [zIndexOf(layer) ?? 0, layer.index]];
    else path = [...layerPath(above(layer, isLayer)!), [isFloat(layer) ? level.float : level.inline, layer.index]];
    layerPaths.set(layer, path);
  }
  return path;
}

/** Of an element's own background. */
export function groundPath(node: PaintedNode): PaintPath {
  if (isLayer(node)) return [...layerPath(node), [level.ownGround, 0]];
  return [
    ...layerPath(above(node, isLayer)!),
    [node.style.display === "inline" ? level.inline : level.block, node.index],
  ];
}

/** Of an element's own text. */
export function textPath(node: PaintedNode): PaintPath {
  const layer = isLayer(node) ? node : above(node, isLayer)!;
  return [...layerPath(layer), [level.inline, node.index + 0.5]];
}

/** Negative when `a` is painted before `b`. */
export function comparePaths(a: PaintPath, b: PaintPath): number {
  for (let at = 0; at < Math.min(a.length, b.length); at += 1) {
    const difference = a[at]![0] - b[at]![0] || a[at]![1] - b[at]![1];
    if (difference !== 0) return difference;
  }
  return a.length - b.length;
}
