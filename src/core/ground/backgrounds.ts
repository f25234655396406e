/** What an element's background is made of, whatever lies under it. */
import type { Image } from "../cascade/properties/color";
import { valueOf, type Style } from "../cascade/style";
import type { Color } from "../color/types";
import { resolveColor, type ColorContext } from "../color/value";

export const white: Color = { space: "srgb", channels: [1, 1, 1], alpha: 1 };
export const black: Color = { space: "srgb", channels: [0, 0, 0], alpha: 1 };
export const clear: Color = { space: "srgb", channels: [0, 0, 0], alpha: 0 };
/** The canvas where a page asks for the dark scheme (Chromium). */
const darkCanvas: Color = { space: "srgb", channels: [18 / 255, 18 / 255, 18 / 255], alpha: 1 };

/** What colours on an element refer to. */
export function colorsOf(style: Style): ColorContext {
  return { current: valueOf(style, "color"), scheme: style.shared.scheme };
}

/** The colour text is filled with, before compositing. */
export function inkOf(style: Style): Color {
  return resolveColor(valueOf(style, "-webkit-text-fill-color"), colorsOf(style)).color;
}

/** The canvas before anything is painted on it. */
export function canvasColor(root: Style): Color {
  return root.shared.scheme === "dark" ? darkCanvas : white;
}

function isBoxless(style: Style): boolean {
  return valueOf(style, "display") === "contents";
}

/** The background colour, before compositing; clear for an element without a box (CSS Backgrounds 3, 2.2). */
export function backgroundColor(style: Style): Color {
  return isBoxless(style) ? clear : resolveColor(valueOf(style, "background-color"), colorsOf(style)).color;
}

/** Layers of the background in the order they are written, topmost first, with how each is clipped. */
export function backgroundImages(style: Style): { image: Image; clip: string }[] {
  if (isBoxless(style)) return [];
  const clips = valueOf(style, "background-clip");
  return valueOf(style, "background-image").map((image, at) => ({ image, clip: clips[at % clips.length]! }));
}

/** How the background colour is clipped: as the last layer is (CSS Backgrounds 3, 2.11). */
export function colorClip(style: Style): string {
  const images = valueOf(style, "background-image");
  const clips = valueOf(style, "background-clip");
  return clips[(images.length - 1) % clips.length]!;
}

/** Whether an element paints a background of its own: a colour that is not clear, or an image. */
export function hasBackground(style: Style): boolean {
  return backgroundColor(style).alpha !== 0 || valueOf(style, "background-image").some((image) => image !== null);
}

/** The element whose background fills the canvas: the root, or the body when the root has none (CSS Backgrounds 3, 2.11.2). */
export function isCanvasOwner(style: Style): boolean {
  if (!style.parent) return hasBackground(style);
  const isBody = !style.parent.parent && style.element.tag === "body" && style.element.namespace === "html";
  return isBody && !hasBackground(style.parent) && hasBackground(style);
}

/** Why the way an element is mixed with what lies under it is not computed; null where it is. */
export function blendDoubt(style: Style): string | null {
  if (valueOf(style, "mix-blend-mode") !== "normal")
    return `It is blended with what lies under it (${valueOf(style, "mix-blend-mode")}).`;
  const modes = valueOf(style, "background-blend-mode").filter((mode) => mode !== "normal");
  if (modes.length && valueOf(style, "background-image").some((image) => image !== null))
    return `Layers of the background are blended (${modes[0]}).`;
  return null;
}
