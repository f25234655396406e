/** Widths and heights of boxes, their limits, and what boxes keep clear of (CSS Sizing 3, section 5; CSS 2, 9.5.2). */
import { absoluteUnit } from "../../source/css/math";
import type { Component } from "../../source/css/components";
import { computeLength, isLength, keywords, serialiseLengthPercentage, wordOf } from "./kinds";
import type { LengthPercentage, Longhand } from "./types";

const rules = { percent: true, negative: false };

/** Sizes by name, and what older names of them come to. */
const words = new Map(
  ["min-content", "max-content", "fit-content", "stretch"].map((name): [string, string] => [name, name]),
);
for (const name of ["min-content", "max-content", "fit-content"]) words.set(`-webkit-${name}`, name);
words.set("-webkit-fill-available", "stretch");
words.set("intrinsic", "intrinsic");
words.set("min-intrinsic", "min-intrinsic");

/** @param none - the word for no size, or no limit */
const size = (name: string, none: "auto" | "none"): Longhand<Component, LengthPercentage | string> => ({
  name,
  inherited: false,
  initial: none,
  parse: ([only, more]) => {
    if (more || !only) return null;
    if (only.type === "ident") return wordOf(only) === none || words.has(wordOf(only)) ? only : null;
    return isLength(only, rules, absoluteUnit) ? only : null;
  },
  compute: (value, context) => {
    if (value.type !== "ident") return computeLength(value, context, rules);
    return words.get(wordOf(value)) ?? none;
  },
  serialise: (value) => (typeof value === "string" ? value : serialiseLengthPercentage(value)),
});

/** Sizes of boxes, whose used values only layout knows. */
export const sizeNames = ["width", "min-width", "max-width", "height", "min-height", "max-height"] as const;

export const sizeLonghands: readonly Longhand<never, never>[] = [
  ...sizeNames.map((name) => size(name, name.startsWith("max-") ? "none" : "auto")),
  keywords("box-sizing", false, "content-box", "border-box"),
  keywords("clear", false, "none", "left right both inline-start inline-end"),
] as unknown as Longhand<never, never>[];
