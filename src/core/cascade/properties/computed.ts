/** What longhands come to whose values are read by name: `valueOf(style, "font-size")` is a `FontSize`. */
import type { ColorValue, PlainColor } from "../../color/value";
import type { Component } from "../../source/css/components";
import type { Image } from "./color";
import type { FamilyName, FontSize, LineHeight } from "./font";
import type { LengthPercentage } from "./types";

export type Side = "top" | "right" | "bottom" | "left";

type Keyword =
  | "container-type"
  | "direction"
  | "display"
  | "float"
  | "font-style"
  | "list-style-type"
  | "mix-blend-mode"
  | "overflow-x"
  | "overflow-y"
  | "position"
  | "text-align"
  | "visibility"
  | "writing-mode"
  | `border-${Side}-style`;

/** One entry in a list of layers, cycled where there are more of another. */
type LayerKeywords = "background-blend-mode" | "background-clip";

export interface ComputedValues
  extends
    Record<Keyword, string>,
    Record<LayerKeywords, readonly string[]>,
    Record<`margin-${Side}`, LengthPercentage | "auto"> {
  "-webkit-text-fill-color": ColorValue;
  "background-color": ColorValue;
  "background-image": readonly Image[];
  color: PlainColor;
  "container-name": readonly string[];
  /** Null for `normal` and `none`. */
  content: readonly Component[] | null;
  "font-family": readonly FamilyName[];
  "font-size": FontSize;
  /** 1 to 1000. */
  "font-weight": number;
  "line-height": LineHeight;
  /** 0 to 1. */
  opacity: number;
  "text-indent": { length: LengthPercentage };
}

/** A longhand whose values are read by name. */
export type ReadLonghand = keyof ComputedValues;
