import type { ComponentType } from "react";
import { AxesChapter } from "./AxesChapter";
import { ColorChapter } from "./ColorChapter";
import { LeadingChapter } from "./LeadingChapter";
import { LinesChapter } from "./LinesChapter";
import { PlainChapter } from "./PlainChapter";
import { ShadowChapter } from "./ShadowChapter";
import { SizeChapter } from "./SizeChapter";
import { SpacingChapter } from "./SpacingChapter";
import { StackChapter } from "./StackChapter";
import { WeightChapter } from "./WeightChapter";
import type { ChapterProps } from "./types";

/** The chapters by the row that opens them. A new chapter is a file and a line here. */
export const chapters: Readonly<Record<string, ComponentType<ChapterProps>>> = {
  stack: StackChapter,
  size: SizeChapter,
  leading: LeadingChapter,
  weight: WeightChapter,
  style: WeightChapter,
  width: AxesChapter,
  axes: AxesChapter,
  caps: WeightChapter,
  numerals: PlainChapter,
  ligatures: PlainChapter,
  kerning: PlainChapter,
  raised: PlainChapter,
  stroke: PlainChapter,
  "letter-spacing": SpacingChapter,
  "word-spacing": SpacingChapter,
  case: SpacingChapter,
  indent: SpacingChapter,
  alignment: SpacingChapter,
  hyphens: SpacingChapter,
  breaks: PlainChapter,
  wrapping: PlainChapter,
  overflow: PlainChapter,
  above: SpacingChapter,
  below: SpacingChapter,
  lines: LinesChapter,
  offset: SpacingChapter,
  position: SpacingChapter,
  skip: SpacingChapter,
  shadow: ShadowChapter,
  opacity: ShadowChapter,
  ink: ColorChapter,
  ground: ColorChapter,
};
