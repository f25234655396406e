/** What computing a value may ask for, answered from the style it belongs to. */
import type { PlainColor } from "../color/value";
import { absoluteUnit, type Measure } from "../source/css/math";
import type { Conditions } from "./conditions";
import { longhandIndex } from "./properties";
import { leadingPx, type FontSize, type LineHeight } from "./properties/font";
import type { ComputeContext } from "./properties/types";
import type { SharedStyle } from "./styles";

const colorAt = longhandIndex.get("color")!;
const sizeAt = longhandIndex.get("font-size")!;
const displayAt = longhandIndex.get("display")!;
const lineHeightAt = longhandIndex.get("line-height")!;

const black: PlainColor = { color: { space: "srgb", channels: [0, 0, 0], alpha: 1 }, legacy: true };

export class Context implements ComputeContext {
  computing = 0;

  constructor(
    private readonly style: SharedStyle,
    private readonly conditions: Conditions,
    private readonly rootStyle: SharedStyle | null,
    readonly quirks: boolean,
  ) {}

  own(name: string): unknown {
    return this.style.values[longhandIndex.get(name)!];
  }

  parent(name: string): unknown {
    return this.style.parent?.values[longhandIndex.get(name)!];
  }

  get hasParent(): boolean {
    return this.style.parent !== null;
  }

  get defaultSize(): number {
    return this.conditions.rootSize;
  }

  get containerDisplay(): string {
    let above = this.style.parent;
    while (above && above.values[displayAt] === "contents") above = above.parent;
    return above ? String(above.values[displayAt]) : "block";
  }

  get fontSize(): number {
    return (this.style.values[sizeAt] as FontSize | undefined)?.px ?? this.parentFontSize;
  }

  get parentFontSize(): number {
    return (this.style.parent?.values[sizeAt] as FontSize | undefined)?.px ?? this.conditions.rootSize;
  }

  get rootFontSize(): number {
    if (this.rootStyle) return (this.rootStyle.values[sizeAt] as FontSize).px;
    return this.computing === sizeAt ? this.conditions.rootSize : this.fontSize;
  }

  get color(): PlainColor {
    const own = this.computing === colorAt ? undefined : (this.style.values[colorAt] as PlainColor | undefined);
    return own ?? (this.style.parent?.values[colorAt] as PlainColor | undefined) ?? black;
  }

  get scheme(): "light" | "dark" {
    return this.style.scheme;
  }

  unit = (value: number, unit: string): { value: number; measure: Measure } | null => {
    const px = this.pxPer(unit);
    return px === null ? absoluteUnit(value, unit) : { value: value * px, measure: "length" };
  };

  /** CSS Values 4, 6.1; without the font's own metrics, x-height and "0" are taken as half the size. */
  private pxPer(unit: string): number | null {
    const em = this.computing === sizeAt ? this.parentFontSize : this.fontSize;
    const { width, height } = this.conditions;
    switch (unit) {
      case "em":
      case "ic":
        return em;
      case "rem":
      case "ric":
        return this.rootFontSize;
      case "ex":
      case "ch":
        return em / 2;
      case "rex":
      case "rch":
        return this.rootFontSize / 2;
      case "cap":
        return em * 0.7;
      case "rcap":
        return this.rootFontSize * 0.7;
      case "lh":
        return this.lineHeight(this.computing === lineHeightAt || this.computing === sizeAt ? this.style.parent : this.style);
      case "rlh":
        return this.lineHeight(this.rootStyle ?? this.style);
    }
    const axis = /^(?:[sld]?v|cq)(w|h|i|b|min|max)$/.exec(unit)?.[1];
    if (!axis) return null;
    const vertical = String(this.own("writing-mode") ?? "horizontal-tb") !== "horizontal-tb";
    switch (axis) {
      case "w":
        return width / 100;
      case "h":
        return height / 100;
      case "i":
        return (vertical ? height : width) / 100;
      case "b":
        return (vertical ? width : height) / 100;
      case "min":
        return Math.min(width, height) / 100;
      default:
        return Math.max(width, height) / 100;
    }
  }

  private lineHeight(style: SharedStyle | null): number {
    const size = (style?.values[sizeAt] as FontSize | undefined)?.px ?? this.conditions.rootSize;
    const value = style?.values[lineHeightAt] as LineHeight | undefined;
    const px = (value && leadingPx(value, Math.fround(size))) ?? size * 1.15;
    // Browsers take it from the layout, which counts in 64ths of a pixel.
    return Math.floor(Math.fround(px) * 64) / 64;
  }
}
