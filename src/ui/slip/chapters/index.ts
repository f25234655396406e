import type { ComponentType } from "react";
import { ColorChapter } from "./ColorChapter";
import type { ChapterProps } from "./types";

/** The chapters by the row that opens them. A new chapter is a file and a line here. */
export const chapters: Readonly<Record<string, ComponentType<ChapterProps>>> = {
  ink: ColorChapter,
  ground: ColorChapter,
};
