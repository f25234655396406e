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
export function Ladder(props: Props) {
  const { color, tracks, nearest, onTry, onWrite } = props;
  const { base, onKeyDown, hold } = useHold(props);
  const [lightness] = oklch(color);
  const ramp = useMemo(
    () => Array.from({ length: stops + 1 }, (_, at) => css(atLightness(base, at / stops))).join(", "),
    [base],
  );
  const spoken = tracks.map((track) => `${track.label}: ${showRatio(track.ratio(color))}`).join(". ");
  return (
    <div className={styles.ladder}>
      <div
        className={`true-colors ${styles.strip}`}
        style={{ background: `linear-gradient(90deg, ${ramp})` }}
        role="slider"
        tabIndex={0}
        aria-label="Lightness"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(lightness * 100)}
        aria-valuetext={`Lightness ${Math.round(lightness * 100)} percent, ${css(color)}. ${spoken}`}
        onKeyDown={onKeyDown}
        {...hold}
      >
        <span className={styles.now} style={{ left: percent(lightness) }} />
        {nearest && <span className={styles.near} style={{ left: percent(oklch(nearest.color)[0]) }} />}
      </div>
      {nearest && <Nearest {...nearest} onTry={onTry} onWrite={onWrite} />}
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

const within = (lightness: number) => Math.min(1, Math.max(0, lightness));

/** The ladder taken hold of, by the pointer or by keys. */
function useHold({ color, onTry, onWrite, onPutBack }: Props) {
  const dragged = useRef<Color | null>(null);
  /** What it was taken hold of with: black and white have no hue to come back to. */
  const [held, setHeld] = useState<Color | null>(null);
  const base = held ?? color;
  const drag = ({ clientX, currentTarget }: React.PointerEvent) => {
    const { left, width } = currentTarget.getBoundingClientRect();
    dragged.current = atLightness(base, within((clientX - left) / width));
    onTry(dragged.current);
  };
  const letGo = () => {
    dragged.current = null;
    setHeld(null);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const by = stepOf(event);
    if (by !== null) {
      setHeld(base);
      onTry(atLightness(base, within(oklch(color)[0] + by)));
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
  const hold = {
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setHeld(base);
      drag(event);
    },
    onPointerMove: (event: React.PointerEvent) => dragged.current && drag(event),
    onPointerUp: () => {
      const chosen = dragged.current;
      letGo();
      if (chosen) onWrite(chosen);
    },
    onPointerCancel: letGo,
    onBlur: letGo,
  };
  return { base, onKeyDown, hold };
}

/** By how much of the way from black to white a key moves; null for one that does not. */
function stepOf({ key, altKey, shiftKey }: React.KeyboardEvent): number | null {
  const fine = altKey ? 0.001 : 0.01;
  const step = shiftKey ? 0.1 : fine;
  if (key === "ArrowRight" || key === "ArrowUp") return step;
  if (key === "ArrowLeft" || key === "ArrowDown") return -step;
  if (key === "Home") return -1;
  return key === "End" ? 1 : null;
}

/** The nearest colour that is enough, or comes nearest to it. */
function Nearest({
  color,
  passes,
  label,
  onTry,
  onWrite,
}: NonNullable<Props["nearest"]> & Pick<Props, "onTry" | "onWrite">) {
  return (
    <p className={passes ? styles.nearest : styles.impossible}>
      {passes ? (
        <button type="button" className="text-button" onClick={() => onWrite(color)}>
          {label}
        </button>
      ) : (
        <>
          {label}{" "}
          <button type="button" className="text-button" onClick={() => onTry(color)}>
            Try {css(color)}
          </button>
        </>
      )}
    </p>
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
