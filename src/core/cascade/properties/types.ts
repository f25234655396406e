import type { PlainColor } from "../../color/value";
import type { Component } from "../../source/css/components";
import type { ComputedValues, ReadLonghand } from "./computed";
import type { Measure } from "../../source/css/math";

/** A length or percentage as computed: px, percent, or an expression that waits for its basis. */
export interface LengthPercentage {
  px: number;
  percent: number;
  /** Set where it was written as a percentage, so that none of it is still one. */
  isPercentage?: boolean;
  /** Set where the value is not a plain sum: the expression as serialised. */
  expression?: string;
}

/** What computing a value may ask for. Lengths in CSS px. */
export interface ComputeContext {
  /** Computed values of this element, of those properties that are computed before this one. */
  own<Name extends ReadLonghand>(name: Name): ComputedValues[Name];
  /** Where there is a parent. */
  parent<Name extends ReadLonghand>(name: Name): ComputedValues[Name];
  hasParent: boolean;
  fontSize: number;
  /** The size its letters come out in. */
  usedFontSize: number;
  parentFontSize: number;
  rootFontSize: number;
  /** The reader's default size, which keywords such as `medium` stand for. */
  defaultSize: number;
  /** Display of the nearest ancestor that makes a box. */
  containerDisplay: string;
  unit(value: number, unit: string): { value: number; measure: Measure } | null;
  color: PlainColor;
  scheme: "light" | "dark";
  /** How many times its size the element is shown in (CSS Viewport 1, 3). */
  zoom: number;
  quirks: boolean;
}

/** One longhand: how it is read, computed and serialised. Values are plain data. */
export interface Longhand<Specified = unknown, Computed = unknown> {
  name: string;
  inherited: boolean;
  /** CSS text of the initial value. */
  initial: string;
  /** Null when the value is not valid. */
  parse(value: readonly Component[]): Specified | null;
  compute(value: Specified, context: ComputeContext): Computed;
  /** What becomes of an inherited value; nothing, for most. */
  inherit?(value: Computed, context: ComputeContext): Computed;
  /** As `getComputedStyle` gives it. */
  serialise(value: Computed, context: ComputeContext): string;
}

/** A property that stands for several longhands. */
export interface Shorthand {
  name: string;
  longhands: readonly string[];
  /**
   * Values by longhand, null when not valid. A longhand left out gets its initial value.
   * Values are component lists, to be read by the longhand.
   */
  expand(value: readonly Component[]): Partial<Record<string, readonly Component[]>> | null;
}
