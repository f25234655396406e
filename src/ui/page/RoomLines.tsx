"use client";

import { useId } from "react";
import type { ShownPage } from "@/preview/frame";
import { roomOf, type Room } from "@/preview/room";
import { showPx } from "../shared/numbers";
import styles from "./RoomLines.module.css";

interface Props {
  page: ShownPage;
  index: number;
  /** How much smaller than it is the page is drawn. */
  scale: number;
}

/** Room in and around a box, as a draughtsman shows it: hatched where it is, with a dimension line and a figure outside. */
export function RoomLines({ page, index, scale }: Props) {
  const hatch = useId();
  const room = roomOf(page, index);
  if (!room) return null;
  const parts = partsOf(room);
  return (
    <svg className={styles.room} aria-hidden="true">
      <defs>
        <pattern id={`${hatch}-out`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" />
        </pattern>
        <pattern id={`${hatch}-in`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M0 0V7" />
        </pattern>
      </defs>
      {parts.map(({ key, inside, x, y, width, height }) => (
        <rect key={key} {...{ x, y, width, height }} fill={`url(#${hatch}-${inside ? "in" : "out"})`} />
      ))}
      {parts.map((part) => (
        <Dimension key={part.key} part={part} room={room} scale={scale} />
      ))}
    </svg>
  );
}

interface Part {
  key: string;
  /** Padding, not a margin. */
  inside: boolean;
  side: "top" | "right" | "bottom" | "left";
  px: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

const sides = ["top", "right", "bottom", "left"] as const;

/** The stretches of room that are there at all. */
function partsOf({ box, margin, padding, edge }: Room): Part[] {
  const inner = {
    left: box.left + edge.left,
    top: box.top + edge.top,
    right: box.left + box.width - edge.right,
    bottom: box.top + box.height - edge.bottom,
  };
  const right = box.left + box.width;
  const bottom = box.top + box.height;
  const places = {
    margin: {
      top: { x: box.left, y: box.top - margin.top, width: box.width, height: margin.top },
      right: { x: right, y: box.top, width: margin.right, height: box.height },
      bottom: { x: box.left, y: bottom, width: box.width, height: margin.bottom },
      left: { x: box.left - margin.left, y: box.top, width: margin.left, height: box.height },
    },
    padding: {
      top: { x: inner.left, y: inner.top, width: inner.right - inner.left, height: padding.top },
      right: { x: inner.right - padding.right, y: inner.top, width: padding.right, height: inner.bottom - inner.top },
      bottom: {
        x: inner.left,
        y: inner.bottom - padding.bottom,
        width: inner.right - inner.left,
        height: padding.bottom,
      },
      left: { x: inner.left, y: inner.top, width: padding.left, height: inner.bottom - inner.top },
    },
  };
  const amounts = { margin, padding };
  return (["margin", "padding"] as const).flatMap((kind) =>
    sides.flatMap((side): Part[] => {
      const px = amounts[kind][side];
      // Less than nothing is no room to hatch.
      return px >= 0.5 ? [{ key: `${kind} ${side}`, inside: kind === "padding", side, px, ...places[kind][side] }] : [];
    }),
  );
}

/** How far dimension lines stand off the box, and how long their ends are, CSS px as drawn. */
const off = { margin: 8, padding: 22 };
const end = 4;

/** A line as long as the room is, ticked at its ends, with its figure beside it. */
function Dimension({ part, room: { box }, scale }: { part: Part; room: Room; scale: number }) {
  const { side, px, x, y, width, height, inside } = part;
  const unit = 1 / scale;
  const away = (inside ? off.padding : off.margin) * unit;
  const tick = end * unit;
  const figure = `${showPx(px)}`;
  if (side === "top" || side === "bottom") {
    const at = box.left + box.width + away;
    return (
      <g className={styles.dimension} style={{ strokeWidth: unit, fontSize: 12 * unit }}>
        <path d={`M${at - tick} ${y}h${2 * tick}M${at - tick} ${y + height}h${2 * tick}M${at} ${y}v${height}`} />
        <text x={at + 6 * unit} y={y + height / 2 + 4 * unit} style={{ strokeWidth: 3 * unit }}>
          {figure}
        </text>
      </g>
    );
  }
  const at = box.top + box.height + away;
  return (
    <g className={styles.dimension} style={{ strokeWidth: unit, fontSize: 12 * unit }}>
      <path d={`M${x} ${at - tick}v${2 * tick}M${x + width} ${at - tick}v${2 * tick}M${x} ${at}h${width}`} />
      <text x={x + width / 2} y={at + 16 * unit} textAnchor="middle" style={{ strokeWidth: 3 * unit }}>
        {figure}
      </text>
    </g>
  );
}
