"use client";

import { useEffect, useRef } from "react";
import type { PlaceView } from "@/engine/protocol";
import { frameSandbox, type ShownPage } from "@/preview/frame";
import { boxOf } from "@/preview/measure";
import { useWorkspace } from "../workspace/context";
import styles from "./Stage.module.css";
import { useMirror } from "./useMirror";

interface Props {
  width: number;
  height: number;
  /** Where it stands in the stage, CSS px. */
  left: number;
  scale: number;
  /** The page that it is beside, and the texts on it. */
  page: ShownPage | null;
  places: readonly PlaceView[];
  /** Goes up whenever that page is scrolled or laid out. */
  moved: number;
  pickedIndex: number | null;
}

/** The page at another width, in step with the page beside it: the same text stands at the same height. */
export function Beside({ width, height, left, scale, page, places, moved, pickedIndex }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const mirrored = useMirror(frame, width);
  const scheme = useWorkspace((state) => state.conditions.scheme);
  useEffect(() => {
    if (!mirrored || !page) return;
    const index = textInSight(page, places, pickedIndex);
    if (index === null) return;
    const [here, there] = [boxOf(page, index), boxOf(mirrored.page, index)];
    if (here && there) mirrored.page.document.defaultView?.scrollBy({ top: there.top - here.top, behavior: "instant" });
  }, [mirrored, page, places, moved, pickedIndex, width, height]);
  return (
    <iframe
      ref={frame}
      title={`The page at ${width} px`}
      sandbox={frameSandbox}
      tabIndex={-1}
      className={`${styles.frame} ${styles.beside}`}
      style={{ left, width, height, transform: `scale(${scale})`, colorScheme: scheme }}
    />
  );
}

/** The text that others are brought in line with: the picked one if it is in sight, else the first that begins in sight. */
function textInSight(page: ShownPage, places: readonly PlaceView[], pickedIndex: number | null): number | null {
  const height = page.document.defaultView?.innerHeight ?? 0;
  const begins = (index: number) => {
    const box = boxOf(page, index);
    return box !== null && box.top >= 0 && box.top < height;
  };
  if (pickedIndex !== null && begins(pickedIndex)) return pickedIndex;
  return places.find(({ index, pseudo }) => pseudo === null && begins(index))?.index ?? null;
}
