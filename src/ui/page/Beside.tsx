"use client";

import { useEffect, useRef } from "react";
import { frameSandbox } from "@/preview/frame";
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
  /** The text that it is brought in line with, and how far down that stands on the page it is beside, CSS px. */
  levelIndex: number | null;
  levelTop: number;
}

/** The page at another width, in step with the page beside it: the same text stands at the same height. */
export function Beside({ width, height, left, scale, levelIndex, levelTop }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const mirrored = useMirror(frame, width);
  const scheme = useWorkspace((state) => state.conditions.scheme);
  useEffect(() => {
    if (!mirrored || levelIndex === null) return;
    const there = boxOf(mirrored.page, levelIndex);
    if (there) mirrored.page.document.defaultView?.scrollBy({ top: there.top - levelTop, behavior: "instant" });
  }, [mirrored, levelIndex, levelTop, width, height]);
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
