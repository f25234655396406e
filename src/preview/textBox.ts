/** Where a text lies on its page. */
import type { Box } from "@/core";
import type { ShownPage } from "./frame";

/** Around the text nodes directly in an element; null where none of them is laid out. */
export function textBox({ document, nodes }: ShownPage, index: number): Box | null {
  const view = document.defaultView!;
  const range = document.createRange();
  let box: { left: number; top: number; right: number; bottom: number } | null = null;
  for (const child of nodes[index]!.childNodes) {
    if (child.nodeType !== 3 || !child.nodeValue!.trim()) continue;
    range.selectNodeContents(child);
    for (const { left, top, right, bottom } of range.getClientRects()) {
      if (right - left < 0.5) continue;
      box = box
        ? {
            left: Math.min(box.left, left),
            top: Math.min(box.top, top),
            right: Math.max(box.right, right),
            bottom: Math.max(box.bottom, bottom),
          }
        : { left, top, right, bottom };
    }
  }
  return (
    box && {
      left: box.left + view.scrollX,
      top: box.top + view.scrollY,
      width: box.right - box.left,
      height: box.bottom - box.top,
    }
  );
}
