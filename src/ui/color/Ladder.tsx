"use client";

import { useRef } from "react";
import { atLightness, formatColor, oklch, type Color } from "@/core";
import styles from "./Ladder.module.css";

/** A ground an ink is read on, or an ink that is read on a ground: where along the ladder it is enough. */
export interface Track {
  key: string;
  label: string;
  /** What it comes to now. */
  now: string;
  passes: boolean;
  enough(color: Color): boolean;
  rungs: { lightness: number; label: string }[];
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
  const [lightness] = oklch(color);
  const ramp = Array.from({ length: stops + 1 }, (_, at) => css(atLightness(color, at / stops)));

  const at = (x: number) => {
    const { left, width } = strip.current!.getBoundingClientRect();
    return atLightness(color, Math.min(1, Math.max(0, (x - left) / width)));
  };
  const drag = (event: React.PointerEvent) => {
    dragged.current = at(event.clientX);
    onTry(dragged.current);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = event.shiftKey ? 0.1 : event.altKey ? 0.001 : 0.01;
    const by: Record<string, number> = { ArrowRight: step, ArrowUp: step, ArrowLeft: -step, ArrowDown: -step, Home: -1, End: 1 };
    if (event.key in by) onTry(atLightness(color, Math.min(1, Math.max(0, lightness + by[event.key]!))));
    else if (event.key === "Enter") onWrite(color);
    else if (event.key === "Escape") {
      dragged.current = null;
      onPutBack();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <div className={styles.ladder}>
      <div
        ref={strip} className={styles.strip} style={{ background: `linear-gradient(90deg, ${ramp.join(", ")})` }}
        role="slider" tabIndex={0} aria-label="Lightness" aria-valuemin={0} aria-valuemax={100} aria-valuenow={Math.round(lightness * 100)}
        aria-valuetext={`Lightness ${Math.round(lightness * 100)} percent, ${css(color)}. ${tracks.map((track) => `${track.label}: ${track.now}`).join(". ")}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag(event);
        }}
        onPointerMove={(event) => dragged.current && drag(event)}
        onPointerUp={() => {
          const chosen = dragged.current;
          dragged.current = null;
          if (chosen) onWrite(chosen);
        }}
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
              <b className={track.passes ? undefined : styles.fails}>{track.now}</b>
            </p>
            <TrackLine color={color} track={track} />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Where it is enough, as lines; and the rungs, as ticks with their ratios. */
function TrackLine({ color, track }: { color: Color; track: Track }) {
  const enough = Array.from({ length: samples + 1 }, (_, at) => track.enough(atLightness(color, at / samples)));
  const stretches: [from: number, to: number][] = [];
  enough.forEach((passes, at) => {
    if (!passes) return;
    const last = stretches.at(-1);
    if (last && last[1] === at - 1) last[1] = at;
    else stretches.push([at, at]);
  });
  return (
    <div className={styles.track} aria-hidden="true">
      {stretches.map(([from, to]) => (
        <span key={from} className={styles.stretch} style={{ left: percent(from / samples), width: percent((to - from) / samples) }} />
      ))}
      {track.rungs.map(({ lightness, label }, at) => (
        <span key={at} className={styles.rung} style={{ left: percent(lightness) }}>
          <i>{label}</i>
        </span>
      ))}
    </div>
  );
}
