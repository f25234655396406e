import type { ComponentType } from "react";
import { slipRows, type SlipRow } from "@/core";
import { AroundChapter } from "./AroundChapter";
import { AxesChapter } from "./AxesChapter";
import { ColorChapter } from "./ColorChapter";
import { LayersChapter } from "./LayersChapter";
import { LeadingChapter } from "./LeadingChapter";
import { LinesChapter } from "./LinesChapter";
import { PlainChapter } from "./PlainChapter";
import { RoomChapter } from "./RoomChapter";
import { ShadowChapter } from "./ShadowChapter";
import { SizeChapter } from "./SizeChapter";
import { SpacingChapter } from "./SpacingChapter";
import { StackChapter } from "./StackChapter";
import { WeightChapter } from "./WeightChapter";
import type { ChapterProps } from "./types";

/** The rows that one chapter serves, each by its id. */
const all = (Chapter: ComponentType<ChapterProps>, isServed: (row: SlipRow) => boolean) =>
  Object.fromEntries(slipRows.filter(isServed).map(({ id }) => [id, Chapter]));

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
  lines: LinesChapter,
  offset: SpacingChapter,
  position: SpacingChapter,
  skip: SpacingChapter,
  shadow: ShadowChapter,
  opacity: ShadowChapter,
  ...all(RoomChapter, ({ section }) => section === "room"),
  layers: LayersChapter,
  ...all(PlainChapter, ({ part }) => part === "layers"),
  ...all(AroundChapter, ({ of }) => of !== undefined),
  "own-ground": ColorChapter,
  ink: ColorChapter,
  ground: ColorChapter,
};
