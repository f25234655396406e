/** What is asked of the page about fonts: whether anything goes by them, and under which name they are measured. */

/** What measured fonts are looked up by. @param stack as computed @param size in CSS px */
export function fontKeyOf(stack: string, size: number, weight: number, italic: boolean, stretch: string): string {
  return `${italic ? "italic " : ""}${stretch === "100%" ? "" : `${stretch} `}${weight} ${Math.round(size * 1000) / 1000}px ${stack}`;
}

/** Whether a sheet uses units that follow the metrics of a font. */
export function usesFontUnits(text: string): boolean {
  return /\d(?:r?(?:ex|ch|cap|ic|lh))\b/i.test(text);
}
