/** The room in and around a box as it is laid out. Lengths in CSS px of the frame's window. */
import type { ShownPage } from "./frame";
import { boxOf, type Box } from "./measure";

export interface Sides {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

export interface Room {
  /** Around its edges. */
  box: Box;
  /** Used margins (CSS Box 4, 3); what falls together with others is in each as it would be alone. */
  margin: Sides;
  padding: Sides;
  /** Widths of its edges. */
  edge: Sides;
}

/** The room of an element; null where it is not shown. */
export function roomOf(page: ShownPage, index: number): Room | null {
  const node = page.nodes[index];
  const view = page.document.defaultView;
  const box = boxOf(page, index);
  if (!node || !view || !box) return null;
  const style = view.getComputedStyle(node);
  const px = (name: string) => Number.parseFloat(style.getPropertyValue(name)) || 0;
  const sides = (name: (side: string) => string): Sides => ({
    top: px(name("top")),
    right: px(name("right")),
    bottom: px(name("bottom")),
    left: px(name("left")),
  });
  return {
    box,
    margin: sides((side) => `margin-${side}`),
    padding: sides((side) => `padding-${side}`),
    edge: sides((side) => `border-${side}-width`),
  };
}
