"use client";

import { InputNumber } from "antd";
import { convertColor, formatColor, handChannels, inGamut, type Color, type HandChannel, type Space } from "@/core";
import styles from "./Channels.module.css";

interface Props {
  color: Color;
  space: Space;
  onTry(color: Color): void;
  onWrite(): void;
  onPutBack(): void;
}

const samples = 32;

/** The channels of one space as sliders, the part outside of what screens show hatched; and alpha. */
export function Channels({ color, space, onTry, onWrite, onPutBack }: Props) {
  const list = handChannels(space);
  if (!list) return null;
  const own = convertColor(color, space);
  const withChannel = (at: number, value: number): Color => ({
    ...own,
    channels: own.channels.map((channel, index) => (index === at ? value : channel)) as Color["channels"],
  });
  return (
    <div className={styles.channels}>
      {list.map((channel, at) => (
        <Slider
          key={channel.label}
          channel={channel}
          value={own.channels[at] ?? 0}
          colorAt={(value) => withChannel(at, value)}
          onChange={(value) => onTry(withChannel(at, value))}
          onWrite={onWrite}
          onPutBack={onPutBack}
        />
      ))}
      <Slider
        channel={{ label: "Alpha", range: [0, 1], shown: 100, step: 1 }}
        value={own.alpha ?? 0}
        colorAt={(alpha) => ({ ...own, alpha })}
        onChange={(alpha) => onTry({ ...own, alpha })}
        onWrite={onWrite}
        onPutBack={onPutBack}
      />
    </div>
  );
}

interface SliderProps {
  channel: HandChannel;
  value: number;
  colorAt(value: number): Color;
  onChange(value: number): void;
  onWrite(): void;
  onPutBack(): void;
}

function Slider({
  channel: {
    label,
    range: [min, max],
    shown: unit,
    step,
  },
  value,
  colorAt,
  onChange,
  onWrite,
  onPutBack,
}: SliderProps) {
  const at = (sample: number) => min + ((max - min) * sample) / samples;
  const ramp = Array.from({ length: samples + 1 }, (_, sample) => colorAt(at(sample)));
  // The gamut's edge: what lies beyond is hatched, and shown as the nearest there is.
  const hatched = ramp
    .map((color, sample) => (inGamut(color, "srgb") ? null : sample))
    .filter((sample) => sample !== null);
  const decimals = Math.max(0, Math.ceil(-Math.log10(step)));
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === "Enter") onWrite();
    else if (event.key === "Escape") onPutBack();
    else return;
    event.stopPropagation();
  };
  return (
    <div className={styles.channel} onKeyDown={onKeyDown}>
      <span>{label}</span>
      <span className={`true-colors ${styles.rail}`}>
        <span
          className={styles.ramp}
          style={{
            backgroundImage: `linear-gradient(90deg, ${ramp.map((color) => formatColor(color, "hex")).join(", ")})`,
          }}
        />
        {hatched.map((sample) => (
          <span
            key={sample}
            className={styles.beyond}
            style={{ left: `${((sample - 0.5) / samples) * 100}%`, width: `${100 / samples}%` }}
          />
        ))}
        <input
          type="range"
          aria-label={label}
          min={min * unit}
          max={max * unit}
          step={step}
          value={Number((value * unit).toFixed(decimals + 1))}
          onChange={(event) => onChange(Number(event.target.value) / unit)}
          onPointerUp={onWrite}
        />
      </span>
      <InputNumber
        size="small"
        aria-label={`${label} as a number`}
        className={styles.number}
        controls={false}
        value={Number((value * unit).toFixed(decimals))}
        min={min * unit}
        max={max * unit}
        step={step}
        onChange={(next) => typeof next === "number" && onChange(next / unit)}
      />
    </div>
  );
}
