"use client";

import { useRef } from "react";
import type { MediaWidth } from "@/core";
import { useRem } from "../shared/rem";
import styles from "./Ruler.module.css";

export const narrowest = 240;
export const widest = 2560;

interface Props {
  /** Where the page starts in the ruler, and how wide it is. */
  left: number;
  width: number;
  /** How much smaller than it is the page is drawn. */
  scale: number;
  /** Where media conditions begin or cease to hold. */
  turns: readonly MediaWidth[];
  /** Where lines of 45 to 75 characters end, from the ruler's left. */
  measure: { from: number; to: number } | null;
  onWidth(width: number): void;
}

/** Which conditions turn at a width, in words. */
export const turnWords = ({ conditions }: MediaWidth): string =>
  conditions.map(({ text, begins }) => `${text} ${begins ? "begins to hold" : "no longer holds"}`).join("; ");

/** What keys do to the width. */
const directions = new Map([
  ["ArrowRight", 1],
  ["ArrowUp", 1],
  ["ArrowLeft", -1],
  ["ArrowDown", -1],
]);

/** The ruler over the page; its end can be dragged, or moved with the arrow keys. */
export function Ruler({ left, width, scale, turns, measure, onWidth }: Props) {
  const drag = useRef<{ x: number; width: number } | null>(null);
  const rem = useRem();
  const set = (next: number) => onWidth(Math.round(Math.min(widest, Math.max(narrowest, next))));
  return (
    <div className={styles.ruler}>
      <Scale left={left} width={width} scale={scale} measure={measure} />
      {turns
        .filter((turn) => turn.width <= width)
        .map((turn) => (
          <button
            key={turn.width}
            type="button"
            className={styles.turn}
            style={{ left: left + turn.width * scale - rem(0.75) }}
            aria-label={`${turn.width} px: ${turnWords(turn)}`}
            title={`${turn.width} px: ${turnWords(turn)}`}
            onClick={() => onWidth(turn.width)}
          />
        ))}
      <div
        role="slider"
        tabIndex={0}
        aria-label="Page width"
        aria-valuemin={narrowest}
        aria-valuemax={widest}
        aria-valuenow={width}
        aria-valuetext={`${width} px`}
        className={styles.end}
        style={{ left: left + width * scale - rem(0.75) }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag.current = { x: event.clientX, width };
        }}
        onPointerMove={(event) => {
          if (drag.current) set(drag.current.width + (event.clientX - drag.current.x) / scale);
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

/** What the words on the band need, rem; what lies beyond the page may stand on others. */
const bandRoom = 7;
/** The same for a number. */
const numberRoom = 2;

/** Its ticks and numbers, and where lines of a good length end. */
function Scale({ left, width, scale, measure }: Pick<Props, "left" | "width" | "scale" | "measure">) {
  const rem = useRem();
  const high = rem(1.625);
  const every = scale > 0.7 * (rem(1) / 16) ? 50 : 100;
  const steps = Array.from({ length: Math.floor(width / every) + 1 }, (_, at) => at * every);
  const hasRoom = (step: number) => (width - step) * scale > rem(numberRoom);
  return (
    <svg width="100%" height={high} aria-hidden="true">
      {measure && (
        <g>
          <rect x={measure.from} width={Math.max(0, measure.to - measure.from)} height={high} className={styles.band} />
          {left + width * scale - measure.from > rem(bandRoom) && (
            <text x={measure.from + 6} y={rem(0.75)} className={styles.bandText}>
              45 to 75 characters
            </text>
          )}
        </g>
      )}
      {steps.map((step) => {
        const x = left + step * scale;
        const isNamed = step % (2 * every) === 0;
        return (
          <g key={step}>
            <path d={`M${x + 0.5} ${high}v${isNamed ? -9 : -5}`} className={styles.tick} />
            {isNamed && hasRoom(step) && !(measure && x + 20 > measure.from && x < measure.to) && (
              <text x={x + 4} y={rem(0.8125)} className={styles.number}>
                {step}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
