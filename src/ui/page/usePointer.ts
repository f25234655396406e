"use client";

/** The pointer on the page: a text under it is hovered, a press picks it, and pulling over words picks these. */
import { useMemo, useRef, useState } from "react";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "@/preview/frame";
import { scrollAt } from "@/preview/measure";
import { wordsBetween, type WordSpan } from "@/preview/words";
import { placeUnder } from "./placeBoxes";

interface Pointing {
  page: ShownPage;
  places: readonly PlaceView[];
  /** How much smaller than it is the page is drawn. */
  scale: number;
  onPress(place: PlaceView | null): void;
  onWords(words: WordSpan): void;
}

/** So far, CSS px, a press has to be pulled to be picking words. */
const far = 5;

export function usePointer({ page, places, scale, onPress, onWords }: Pointing) {
  const [hovered, setHovered] = useState<PlaceView | null>(null);
  /** Where the pointer went down, and whether it has gone far enough to be picking words. */
  const pressed = useRef<{ x: number; y: number; far: boolean } | null>(null);
  const own = useMemo(() => new Set(places.flatMap(({ pseudo, index }) => (pseudo === null ? [index] : []))), [places]);
  const at = (event: React.MouseEvent) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale };
  };
  const under = (event: React.MouseEvent) => placeUnder(page, places, own, at(event));
  const handlers = {
    onMouseDown: (event: React.MouseEvent) => {
      pressed.current = { ...at(event), far: false };
    },
    onMouseMove: (event: React.MouseEvent) => {
      setHovered(under(event));
      const from = pressed.current;
      if (!from || event.buttons !== 1) return;
      const to = at(event);
      from.far ||= Math.hypot(to.x - from.x, to.y - from.y) > far;
      const found = from.far ? wordsBetween(page, from, to) : null;
      if (found && own.has(found.index)) onWords(found);
    },
    onMouseLeave: () => setHovered(null),
    onClick: (event: React.MouseEvent) => {
      const picking = pressed.current?.far;
      pressed.current = null;
      if (!picking) onPress(under(event));
    },
    onWheel: (event: React.WheelEvent) => {
      const { x, y } = at(event);
      scrollAt(page, x, y, event.deltaX / scale, event.deltaY / scale);
    },
  };
  return { hovered, handlers };
}
