/** What becomes of the ground of the root, or of the body where the root has none (CSS Backgrounds 3, 2.11.1 and 2.11.2). */
import type { ShownPage } from "./frame";

export interface CanvasGround {
  /** Whose ground fills the window. */
  by: "html" | "body";
  /** Of the root's box, in which it is laid out, CSS px. */
  height: number;
  /** Of the window, CSS px. */
  window: number;
  /** Whether it ends within the window, and starts anew. */
  isAnew: boolean;
}

/** Null for an element whose ground does not fill the window. */
export function canvasOf({ document, nodes }: ShownPage, index: number): CanvasGround | null {
  const view = document.defaultView;
  const node = nodes[index];
  const root = document.documentElement;
  if (!view || !node || (node !== root && node !== document.body)) return null;
  const own = view.getComputedStyle(root);
  const isBare = own.backgroundImage === "none" && own.backgroundColor === "rgba(0, 0, 0, 0)";
  if (node !== root && !isBare) return null;
  const { backgroundRepeat, backgroundAttachment } = view.getComputedStyle(node);
  const { height } = root.getBoundingClientRect();
  return {
    by: node === root ? "html" : "body",
    height,
    window: view.innerHeight,
    isAnew: height < view.innerHeight - 1 && backgroundRepeat !== "no-repeat" && backgroundAttachment !== "fixed",
  };
}
