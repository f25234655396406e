"use client";

import type { ShownPage } from "@/preview/frame";
import styles from "./RoomLines.module.css";

interface Props {
  page: ShownPage;
  /** CSS px of the page. */
  at: { x: number; y: number };
  scale: number;
}

/** How long each of the four strokes is, px as drawn. */
const arm = 7;
/** How far they stay off what they point at. */
const gap = 4;

/** Four strokes around the point where a text is read worst. */
export function Worst({ page, at, scale }: Props) {
  const view = page.document.defaultView;
  const [x, y] = [at.x - (view?.scrollX ?? 0), at.y - (view?.scrollY ?? 0)];
  const [from, to] = [gap / scale, (gap + arm) / scale];
  const strokes = [
    [0, -1],
    [1, 0],
    [0, 1],
    [-1, 0],
  ].map(([dx, dy]) => `M${x + dx! * from} ${y + dy! * from}L${x + dx! * to} ${y + dy! * to}`);
  return (
    <svg className={styles.worst} aria-hidden="true" data-testid="worst">
      <path d={strokes.join("")} />
      <path d={strokes.join("")} />
    </svg>
  );
}
