"use client";

import type { ShownPage } from "@/preview/frame";
import styles from "./RoomLines.module.css";

/** Lines of a grid over the page, from its top on. @param px - how far apart, CSS px */
export function GridLines({ page, px }: { page: ShownPage; px: number }) {
  const top = page.document.defaultView?.scrollY ?? 0;
  return (
    <div
      className={styles.grid}
      aria-hidden="true"
      data-testid="grid-lines"
      style={{ backgroundSize: `100% ${px}px`, backgroundPositionY: -top }}
    />
  );
}
