/** Sizes in the units people write them in (CSS Values 4, section 6). */
import { keywordSize, sizeKeywords } from "../cascade/properties/font";

export type SizeUnit = "px" | "rem" | "em" | "%" | "pt" | "vw";

export const sizeUnits: readonly SizeUnit[] = ["px", "rem", "em", "%", "pt", "vw"];

/** What relative units refer to. CSS px. */
export interface SizeBasis {
  /** Font size of the parent: what em and % of a font size refer to. */
  parent: number;
  root: number;
  /** Width of the window. */
  width: number;
}

/** Px for one of a unit. */
function pxPerUnit(unit: SizeUnit, { parent, root, width }: SizeBasis): number {
  switch (unit) {
    case "px":
      return 1;
    case "rem":
      return root;
    case "em":
      return parent;
    case "%":
      return parent / 100;
    case "pt":
      return 96 / 72;
    case "vw":
      return width / 100;
  }
}

/** A number in the fewest decimals, at most four, that comes back to the same px within a hundredth. */
export function sizeIn(px: number, unit: SizeUnit, basis: SizeBasis): string {
  const per = pxPerUnit(unit, basis);
  if (per === 0) return `${shortest(px)}px`;
  for (let digits = 0; digits <= 4; digits += 1) {
    const value = Number((px / per).toFixed(digits));
    if (Math.abs(value * per - px) < 0.005) return `${value}${unit}`;
  }
  return `${Number((px / per).toFixed(4))}${unit}`;
}

const shortest = (value: number) => Number(value.toFixed(4));

/** The unit a size is written in; null for keywords, functions and anything else. */
export function unitOf(text: string): SizeUnit | null {
  const match = /^[-+]?[\d.]+(px|rem|em|%|pt|vw)$/i.exec(text.trim());
  return match ? (match[1]!.toLowerCase() as SizeUnit) : null;
}

/** What a size comes to, CSS px; null for keywords, functions and anything else that `unitOf` does not tell. */
export function pxOf(text: string, basis: SizeBasis): number | null {
  const unit = unitOf(text);
  return unit && Number.parseFloat(text) * pxPerUnit(unit, basis);
}

/** A size at a width of the window, both in CSS px. */
export interface SizeAt {
  size: number;
  width: number;
}

export interface FluidSize {
  /** `clamp()` in rem and vw; the size alone where it is one. */
  text: string;
  /** The line it follows between the two: size = base + slope · width, in px. */
  base: number;
  slope: number;
}

/**
 * A size that goes in a straight line from one to the other and stays beyond them (CSS Values 4, 10.3). Written in rem,
 * so that it follows the reader's size. Null when both are at one width.
 */
export function fluidSize(a: SizeAt, b: SizeAt, root: number): FluidSize | null {
  const [narrow, wide] = a.width <= b.width ? [a, b] : [b, a];
  if (narrow.width === wide.width || !(root > 0)) return null;
  const slope = (wide.size - narrow.size) / (wide.width - narrow.width);
  const base = narrow.size - slope * narrow.width;
  const rem = (px: number) => `${shortest(px / root)}rem`;
  const vw = `${shortest(Math.abs(slope) * 100)}vw`;
  const rising = base < 0 ? `${vw} - ${rem(-base)}` : `${rem(base)} + ${vw}`;
  const line = slope < 0 ? `${rem(base)} - ${vw}` : rising;
  const [low, high] = [Math.min(a.size, b.size), Math.max(a.size, b.size)];
  return { text: low === high ? rem(low) : `clamp(${rem(low)}, ${line}, ${rem(high)})`, base, slope };
}

/** What the keywords of `font-size` come to, px (CSS Fonts 4, 2.5.1 and 2.5.2). Of a page in standards mode. @param monospace whether the stack is monospace alone */
export function keywordSizes(parent: number, reader: number, monospace: boolean): { keyword: string; px: number }[] {
  const absolute = sizeKeywords.map((keyword, at) => ({ keyword, px: keywordSize(at, monospace, reader, false) }));
  return [...absolute, { keyword: "smaller", px: parent / 1.2 }, { keyword: "larger", px: parent * 1.2 }];
}
