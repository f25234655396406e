"use client";

import { useRef } from "react";
import styles from "./Ruler.module.css";

export const narrowest = 240;
export const widest = 2560;

interface Props {
  /** Where the page starts in the ruler, and how wide it is. */
  left: number;
  width: number;
  /** Where lines of 45 to 75 characters end, from the ruler's left. */
  measure: { from: number; to: number } | null;
  onWidth(width: number): void;
}

/** What keys do to the width. */
const directions = new Map([
  ["ArrowRight", 1],
  ["ArrowUp", 1],
  ["ArrowLeft", -1],
  ["ArrowDown", -1],
]);

/** The ruler over the page; its end can be dragged, or moved with the arrow keys. */
export function Ruler({ left, width, measure, onWidth }: Props) {
  const drag = useRef<{ x: number; width: number } | null>(null);
  const steps = Array.from({ length: Math.floor(width / 50) + 1 }, (_, at) => at * 50);
  const set = (next: number) => onWidth(Math.round(Math.min(widest, Math.max(narrowest, next))));
  return (
    <div className={styles.ruler}>
      <svg width="100%" height="26" aria-hidden="true">
        {measure && (
          <g>
            <rect x={measure.from} width={Math.max(0, measure.to - measure.from)} height="26" className={styles.band} />
            <text x={measure.from + 6} y="12" className={styles.bandText}>
              45 to 75 characters
            </text>
          </g>
        )}
        {steps.map((x) => (
          <g key={x}>
            <path d={`M${left + x + 0.5} 26v${x % 100 ? -5 : -9}`} className={styles.tick} />
            {x % 100 === 0 && !(measure && left + x + 20 > measure.from && left + x < measure.to) && (
              <text x={left + x + 4} y="13" className={styles.number}>
                {x}
              </text>
            )}
          </g>
        ))}
      </svg>
      <div
        role="slider"
        tabIndex={0}
        aria-label="Page width"
        aria-valuemin={narrowest}
        aria-valuemax={widest}
        aria-valuenow={width}
        aria-valuetext={`${width} px`}
        className={styles.end}
        style={{ left: left + width - 4 }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag.current = { x: event.clientX, width };
        }}
        onPointerMove={(event) => {
          if (drag.current) set(drag.current.width + event.clientX - drag.current.x);
        }}
        onPointerUp={() => {
          drag.current = null;
        }}
        onKeyDown={(event) => {
          const direction = directions.get(event.key);
          if (!direction) return;
          event.preventDefault();
          set(width + direction * (event.shiftKey ? 10 : 1));
        }}
      />
    </div>
  );
}
