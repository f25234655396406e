"use client";

import { useRem } from "../shared/rem";
import styles from "./PageDesk.module.css";

interface Props {
  label: string;
  /** Which way the panel grows: "left" where its edge is upright, "up" where it lies. */
  grows: "left" | "up";
  /** CSS px. */
  size: number;
  smallest: number;
  largest: number;
  onSize(size: number): void;
}

/** What keys do to a panel's size, in steps. */
const growing = {
  left: new Map([
    ["ArrowLeft", 1],
    ["ArrowRight", -1],
  ]),
  up: new Map([
    ["ArrowUp", 1],
    ["ArrowDown", -1],
  ]),
};

/** The edge of a panel as keys move it: the splitter under it has the pointer alone. */
export function Edge({ label, grows, size, smallest, largest, onSize }: Props) {
  const step = useRem()(1);
  const set = (next: number) => onSize(Math.round(Math.min(largest, Math.max(smallest, next))));
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label={label}
      aria-orientation={grows === "left" ? "vertical" : "horizontal"}
      aria-valuemin={Math.round(smallest)}
      aria-valuemax={Math.round(largest)}
      aria-valuenow={Math.round(size)}
      aria-valuetext={`${Math.round(size)} px`}
      className={grows === "left" ? styles.upright : styles.lying}
      onKeyDown={(event) => {
        const direction = growing[grows].get(event.key);
        const ends = new Map([
          ["Home", smallest],
          ["End", largest],
        ]);
        const next = direction ? size + direction * step * (event.shiftKey ? 5 : 1) : ends.get(event.key);
        if (next === undefined) return;
        event.preventDefault();
        set(next);
      }}
    />
  );
}
