import type { ComponentType } from "react";
import { slipRows, type SlipRow } from "@/core";
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

/** Room above and below have a chapter of their own. */
const isRoom = ({ id, section }: SlipRow) => section === "room" && id !== "above" && id !== "below";

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
  ...Object.fromEntries(slipRows.filter(isRoom).map(({ id }) => [id, RoomChapter])),
  layers: LayersChapter,
  ...Object.fromEntries(slipRows.filter(({ part }) => part === "layers").map(({ id }) => [id, PlainChapter])),
  "own-ground": ColorChapter,
  ink: ColorChapter,
  ground: ColorChapter,
};
