/** What computing a value may ask for, answered from the style it belongs to. */
import type { PlainColor } from "../color/value";
import { absoluteUnit, type Measure } from "../source/css/math";
import type { Conditions } from "./conditions";
import { longhandIndex } from "./properties";
import { leadingPx, usedSize, type FamilyName, type FontSize, type LineHeight } from "./properties/font";
import { inLayout } from "./properties/kinds";
import type { FontMeasure } from "./fonts/metrics";
import type { FontSetting } from "./fonts/fontUnits";
import type { ComputedValues, ReadLonghand } from "./properties/computed";
import type { ComputeContext } from "./properties/types";
import type { SharedStyle } from "./style";

const colorAt = longhandIndex.get("color")!;
const sizeAt = longhandIndex.get("font-size")!;
const displayAt = longhandIndex.get("display")!;
const familyAt = longhandIndex.get("font-family")!;
const weightAt = longhandIndex.get("font-weight")!;
const styleAt = longhandIndex.get("font-style")!;
const stretchAt = longhandIndex.get("font-stretch")!;
/** What makes the font goes by the font of the parent (CSS Values 4, 6.1.1). */
const ofFont = new Set(["font-size", "font-weight", "font-variation-settings"].map((name) => longhandIndex.get(name)!));
const lineHeightAt = longhandIndex.get("line-height")!;

const initialFamily: readonly FamilyName[] = [{ name: "Times New Roman", generic: false }];
/** The ink of a page in its light scheme. */
export const black: PlainColor = { color: { space: "srgb", channels: [0, 0, 0], alpha: 1 }, legacy: true };

/** What a page adds to its conditions: how its fonts measure. */
export type MeasureFont = (setting: FontSetting) => FontMeasure;

export class Context implements ComputeContext {
  computing = 0;

  constructor(
    private readonly style: SharedStyle,
    private readonly conditions: Conditions,
    private readonly rootStyle: SharedStyle | null,
    readonly quirks: boolean,
    private readonly measureFont: MeasureFont,
  ) {}

  own<Name extends ReadLonghand>(name: Name): ComputedValues[Name] {
    return this.style.values[longhandIndex.get(name)!] as ComputedValues[Name];
  }

  parent<Name extends ReadLonghand>(name: Name): ComputedValues[Name] {
    return this.style.parent?.values[longhandIndex.get(name)!] as ComputedValues[Name];
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

  get usedFontSize(): number {
    const own = (this.style.values[sizeAt] ?? this.style.parent?.values[sizeAt]) as FontSize | undefined;
    return own ? usedSize(own, this.style.zoom) : this.conditions.rootSize;
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

  get zoom(): number {
    return this.style.zoom;
  }

  unit = (value: number, unit: string): { value: number; measure: Measure } | null => {
    const px = this.pxPer(unit);
    return px === null ? absoluteUnit(value, unit) : { value: value * px, measure: "length" };
  };

  /** CSS Values 4, 6.1 */
  private pxPer(unit: string): number | null {
    const sizing = ofFont.has(this.computing);
    const own = sizing ? this.style.parent : this.style;
    const root = this.rootStyle ?? (sizing ? null : this.style);
    switch (unit) {
      case "em":
        return sizing ? this.parentFontSize : this.fontSize;
      case "rem":
        return this.rootFontSize;
      case "ex":
      case "ch":
      case "cap":
      case "ic":
        return this.font(own)[unit];
      case "rex":
      case "rch":
      case "rcap":
      case "ric":
        return this.font(root)[unit.slice(1) as "ex" | "ch" | "cap" | "ic"];
      case "lh":
        return this.lineHeight(sizing || this.computing === lineHeightAt ? this.style.parent : this.style);
      case "rlh":
        return this.lineHeight(this.rootStyle ?? this.style);
    }
    const [, origin, axis] = /^([sld]?v|cq)(w|h|i|b|min|max)$/.exec(unit) ?? [];
    if (!axis) return null;
    const { width, height } = origin === "cq" ? this.containerSize : this.conditions;
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

  /** The nearest query container on each axis, else the window (CSS Conditional 5, 6.5). */
  private get containerSize(): { width: number; height: number } {
    const { width, height } = this.style.container;
    return { width: width ?? this.conditions.width, height: height ?? this.conditions.height };
  }

  private sizeOf(style: SharedStyle | null): number {
    const size = style?.values[sizeAt] as FontSize | undefined;
    return style && size ? usedSize(size, style.zoom) : this.conditions.rootSize;
  }

  private font(style: SharedStyle | null): FontMeasure {
    if (!style)
      return this.measureFont({
        families: initialFamily,
        weight: 400,
        italic: false,
        stretch: 100,
        size: this.conditions.rootSize,
      });
    const size = this.sizeOf(style);
    const weight = (style.values[weightAt] as number | undefined) ?? 400;
    const stretch = (style.values[stretchAt] as number | undefined) ?? 100;
    const italic = style.values[styleAt] !== undefined && style.values[styleAt] !== "normal";
    const families = style.values[familyAt] as FamilyName[];
    const { zoom } = style;
    // A font is measured as large as it is shown; its units are told in px before zooming (CSS Viewport 1, 3).
    const measure = this.measureFont({ families, weight, italic, size: size * zoom, stretch });
    if (zoom === 1) return measure;
    const { ex, ch, cap, ic, line } = measure;
    return { ex: ex / zoom, ch: ch / zoom, cap: cap / zoom, ic: ic / zoom, line: line / zoom };
  }

  private lineHeight(style: SharedStyle | null): number {
    const zoom = style?.zoom ?? 1;
    const value = style?.values[lineHeightAt] as LineHeight | undefined;
    // Browsers take it from the layout, which counts in 64ths of a pixel, as large as the text is shown.
    const px = (value && leadingPx(value, inLayout(this.sizeOf(style) * zoom) / zoom)) ?? this.font(style).line;
    return inLayout(px * zoom) / zoom;
  }
}
