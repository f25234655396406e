"use client";

import { memo, useMemo, useRef, useState } from "react";
import { atLightness, formatColor, oklch, showRatio, type Color } from "@/core";
import styles from "./Ladder.module.css";

/** A ground an ink is read on, or an ink that is read on a ground: where along the ladder it is enough. */
export interface Track {
  key: string;
  label: string;
  ratio(color: Color): number;
  enough(color: Color): boolean;
  /** At the hue and chroma of a colour. */
  rungs(color: Color): Rung[];
}

/** A lightness at which a ratio is reached. */
export interface Rung {
  lightness: number;
  label: string;
}

interface Props {
  color: Color;
  tracks: readonly Track[];
  /** The nearest colour that is enough everywhere. */
  nearest: { color: Color; passes: boolean; label: string } | null;
  onTry(color: Color): void;
  onWrite(color: Color): void;
  onPutBack(): void;
}

const samples = 100;
const stops = 24;

const css = (color: Color) => formatColor({ ...color, alpha: 1 }, "hex");
const percent = (lightness: number) => `${lightness * 100}%`;

/** Lightness from black to white at one hue and chroma, with the points where contrast is enough. */
export function Ladder({ color, tracks, nearest, onTry, onWrite, onPutBack }: Props) {
  const strip = useRef<HTMLDivElement>(null);
  const dragged = useRef<Color | null>(null);
  /** What the ladder was taken hold of with: black and white have no hue to come back to. */
  const [held, setHeld] = useState<Color | null>(null);
  const base = held ?? color;
  const [lightness] = oklch(color);
  const ramp = useMemo(
    () => Array.from({ length: stops + 1 }, (_, at) => css(atLightness(base, at / stops))).join(", "),
    [base],
  );
  const spoken = tracks.map((track) => `${track.label}: ${showRatio(track.ratio(color))}`).join(". ");

  const at = (x: number) => {
    const { left, width } = strip.current!.getBoundingClientRect();
    return atLightness(base, Math.min(1, Math.max(0, (x - left) / width)));
  };
  const drag = (event: React.PointerEvent) => {
    dragged.current = at(event.clientX);
    onTry(dragged.current);
  };
  const letGo = () => {
    dragged.current = null;
    setHeld(null);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const fine = event.altKey ? 0.001 : 0.01;
    const step = event.shiftKey ? 0.1 : fine;
    const by: Record<string, number> = {
      ArrowRight: step,
      ArrowUp: step,
      ArrowLeft: -step,
      ArrowDown: -step,
      Home: -1,
      End: 1,
    };
    if (event.key in by) {
      setHeld(base);
      onTry(atLightness(base, Math.min(1, Math.max(0, lightness + by[event.key]!))));
    } else if (event.key === "Enter") {
      letGo();
      onWrite(color);
    } else if (event.key === "Escape") {
      letGo();
      onPutBack();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <div className={styles.ladder}>
      <div
        ref={strip}
        className={`true-colors ${styles.strip}`}
        style={{ background: `linear-gradient(90deg, ${ramp})` }}
        role="slider"
        tabIndex={0}
        aria-label="Lightness"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(lightness * 100)}
        aria-valuetext={`Lightness ${Math.round(lightness * 100)} percent, ${css(color)}. ${spoken}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld(base);
          drag(event);
        }}
        onPointerMove={(event) => dragged.current && drag(event)}
        onPointerUp={() => {
          const chosen = dragged.current;
          letGo();
          if (chosen) onWrite(chosen);
        }}
        onPointerCancel={letGo}
        onBlur={letGo}
        onKeyDown={onKeyDown}
      >
        <span className={styles.now} style={{ left: percent(lightness) }} />
        {nearest && <span className={styles.near} style={{ left: percent(oklch(nearest.color)[0]) }} />}
      </div>
      {nearest && (
        <p className={nearest.passes ? styles.nearest : styles.impossible}>
          {nearest.passes ? (
            <button type="button" className="text-button" onClick={() => onWrite(nearest.color)}>
              {nearest.label}
            </button>
          ) : (
            <>
              {nearest.label}{" "}
              <button type="button" className="text-button" onClick={() => onTry(nearest.color)}>
                Try {css(nearest.color)}
              </button>
            </>
          )}
        </p>
      )}
      <ul className={styles.tracks}>
        {tracks.map((track) => (
          <li key={track.key}>
            <p>
              <span>{track.label}</span>
              <b className={track.enough(color) ? undefined : "fails"}>{showRatio(track.ratio(color))}</b>
            </p>
            <TrackLine base={base} track={track} />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Where it is enough, as lines; and the rungs, as ticks with their ratios. */
const TrackLine = memo(function TrackLine({ base, track }: { base: Color; track: Track }) {
  const stretches: [from: number, to: number][] = [];
  for (let at = 0; at <= samples; at += 1) {
    if (!track.enough(atLightness(base, at / samples))) continue;
    const last = stretches.at(-1);
    if (last && last[1] === at - 1) last[1] = at;
    else stretches.push([at, at]);
  }
  return (
    <div className={styles.track} aria-hidden="true">
      {stretches.map(([from, to]) => (
        <span
          key={from}
          className={styles.stretch}
          style={{ left: percent(from / samples), width: percent((to - from) / samples) }}
        />
      ))}
      {track.rungs(base).map(({ lightness, label }, at) => (
        <span key={at} className={styles.rung} style={{ left: percent(lightness) }}>
          <i>{label}</i>
        </span>
      ))}
    </div>
  );
});
