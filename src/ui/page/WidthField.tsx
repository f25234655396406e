"use client";

import { AutoComplete } from "antd";
import { useState } from "react";
import type { MediaWidth } from "@/core";
import { usualWidths } from "./look";
import { narrowest, turnWords, widest } from "./Ruler";
import styles from "./PageBar.module.css";

interface Props {
  label: string;
  width: number;
  /** Whether the page is as wide as the room is. */
  fits: boolean;
  /** Where media conditions begin or cease to hold. */
  turns: readonly MediaWidth[];
  /** Whether it can be as wide as the room is. */
  canFit: boolean;
  /** Null to fit the room. */
  onWidth(width: number | null): void;
}

/** The page's width, typed or chosen. */
export function WidthField({ label, width, fits, turns, canFit, onWidth }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    setTyped(null);
    if (text === "fit") return onWidth(null);
    const number = Number.parseInt(text, 10);
    if (number >= narrowest && number <= widest) onWidth(number);
  };
  return (
    <AutoComplete
      aria-label={label}
      size="small"
      className={styles.width}
      popupMatchSelectWidth={false}
      value={typed ?? `${width} px`}
      onChange={setTyped}
      onSelect={take}
      onBlur={() => typed !== null && take(typed)}
      onKeyDown={(event) => {
        if (event.key === "Enter" && typed !== null) take(typed);
        if (event.key === "Escape") setTyped(null);
      }}
      options={[
        ...(canFit ? [{ value: "fit", label: fits ? "Fits the room (now)" : "Fit the room" }] : []),
        ...usualWidths
          .filter((px) => turns.every((turn) => turn.width !== px))
          .map((px) => ({ value: String(px), label: `${px} px` })),
        ...turns
          .filter((turn) => turn.width >= narrowest && turn.width <= widest)
          .map((turn) => ({ value: String(turn.width), label: `${turn.width} px: ${turnWords(turn)}` })),
      ]}
    />
  );
}
