import { formatColor, parseColor } from "@/core";

/** A computed colour in few characters; one that hex cannot hold stays as it is. */
export function colorName(css: string): string {
  const color = parseColor(css);
  if (color?.space !== "srgb") return css;
  const hex = formatColor(color, "hex", { short: true });
  if (hex === "#fff") return "white";
  return hex === "#000" ? "black" : hex;
}
