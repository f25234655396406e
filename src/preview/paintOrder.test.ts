import { describe, expect, test } from "vitest";
import { comparePaths, groundPath, textPath, type PaintedNode } from "./paintOrder";

const plain = {
  position: "static",
  zIndex: "auto",
  opacity: "1",
  transform: "none",
  filter: "none",
  mixBlendMode: "normal",
  isolation: "auto",
  clipPath: "none",
  maskImage: "none",
  float: "none",
  display: "block",
};
let count = 0;
function node(parent: PaintedNode | null, style: Partial<typeof plain> = {}): PaintedNode {
  return { index: count++, parent, style: { ...plain, ...style } as unknown as CSSStyleDeclaration };
}
const isUnder = (ground: PaintedNode, text: PaintedNode) => comparePaths(groundPath(ground), textPath(text)) < 0;

describe("paint order", () => {
  test.each<[string, (root: PaintedNode) => [ground: PaintedNode, text: PaintedNode], boolean]>([
    [
      "an ancestor lies under its text",
      (root) => {
        const box = node(root);
        return [box, node(box)];
      },
      true,
    ],
    [
      "an element's own ground lies under its text",
      (root) => {
        const box = node(root);
        return [box, box];
      },
      true,
    ],
    [
      "a later block lies under earlier text",
      (root) => {
        const text = node(root);
        return [node(root), text];
      },
      true,
    ],
    [
      "a float lies under text beside it",
      (root) => {
        const float = node(root, { float: "left" });
        return [float, node(root)];
      },
      true,
    ],
    [
      "a positioned box lies over text in the flow",
      (root) => {
        const text = node(root);
        return [node(root, { position: "absolute" }), text];
      },
      false,
    ],
    [
      "an earlier positioned box lies over text in the flow, too",
      (root) => {
        const box = node(root, { position: "absolute" });
        return [box, node(root)];
      },
      false,
    ],
    [
      "text that is positioned later lies over it",
      (root) => {
        const box = node(root, { position: "absolute" });
        return [box, node(root, { position: "relative" })];
      },
      true,
    ],
    [
      "a z-index lifts",
      (root) => {
        const box = node(root, { position: "absolute", zIndex: "2" });
        return [box, node(root, { position: "relative", zIndex: "1" })];
      },
      false,
    ],
    [
      "a negative z-index goes under the flow",
      (root) => {
        const box = node(root, { position: "absolute", zIndex: "-1" });
        return [box, node(root)];
      },
      true,
    ],
    [
      "text under the ground of the block it stands in",
      (root) => {
        const box = node(root);
        return [box, node(box, { position: "relative", zIndex: "-1" })];
      },
      false,
    ],
    [
      "a context keeps what is inside together",
      (root) => {
        const low = node(root, { position: "relative", zIndex: "1" });
        const high = node(low, { position: "absolute", zIndex: "99" });
        return [high, node(root, { position: "relative", zIndex: "2" })];
      },
      true,
    ],
    [
      "without a context a z-index inside counts outside",
      (root) => {
        const loose = node(root, { position: "relative" });
        const high = node(loose, { position: "absolute", zIndex: "99" });
        return [high, node(root, { position: "relative", zIndex: "2" })];
      },
      false,
    ],
    [
      "opacity makes a context in the order of the page",
      (root) => {
        const faded = node(root, { opacity: "0.5" });
        return [node(faded), node(root)];
      },
      false,
    ],
    [
      "isolation holds a negative z-index above its own ground",
      (root) => {
        const apart = node(root, { isolation: "isolate" });
        const below = node(apart, { position: "absolute", zIndex: "-1" });
        return [below, node(apart)];
      },
      true,
    ],
    [
      "z-index counts on flex items",
      (root) => {
        const flex = node(root, { display: "flex" });
        const item = node(flex, { zIndex: "1" });
        return [item, node(flex)];
      },
      false,
    ],
    [
      "z-index does nothing in the flow",
      (root) => {
        const box = node(root, { zIndex: "5" });
        return [box, node(root)];
      },
      true,
    ],
    [
      "an inline ground lies over text before it in the same line",
      (root) => {
        const text = node(root, { display: "inline" });
        return [node(root, { display: "inline" }), text];
      },
      false,
    ],
  ])("%s", (_, make, expected) => {
    count = 0;
    const [ground, text] = make(node(null));
    expect(isUnder(ground, text)).toBe(expected);
  });
});
