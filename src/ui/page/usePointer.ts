"use client";

/** The pointer on the page: a text under it is hovered, a press picks it, and pulling over words picks these. */
import { useEffect, useMemo, useRef, useState } from "react";
import type { PlaceView } from "@/engine/protocol";
import type { Shown, ShownPage } from "@/preview/frame";
import { scrollAt } from "@/preview/measure";
import { wordsBetween, type WordSpan } from "@/preview/words";
import { placeUnder } from "./placeBoxes";

/** A point of the window of the page, CSS px of the page. */
interface Point {
  x: number;
  y: number;
}

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

function pointIn(event: React.MouseEvent, scale: number): Point {
  const { left, top } = event.currentTarget.getBoundingClientRect();
  return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale };
}

/** The elements that show texts of their own. */
const ownOf = (places: readonly PlaceView[]): ReadonlySet<number> =>
  new Set(places.flatMap(({ pseudo, index }) => (pseudo === null ? [index] : [])));

/** Keeps where a page was pressed before its texts are known, and picks what is there once they are. @returns takes presses */
export function useEarlyPress(
  shown: Shown | null,
  places: readonly PlaceView[] | null,
  scale: number,
  onPress: (place: PlaceView | null) => void,
): (event: React.MouseEvent) => void {
  const pressed = useRef<Point | null>(null);
  useEffect(() => {
    const point = pressed.current;
    if (!point || !shown || !places) return;
    pressed.current = null;
    onPress(placeUnder(shown.page, places, ownOf(places), point));
  }, [shown, places, onPress]);
  return (event) => {
    pressed.current = pointIn(event, scale);
  };
}

export function usePointer({ page, places, scale, onPress, onWords }: Pointing) {
  const [hovered, setHovered] = useState<PlaceView | null>(null);
  /** Where the pointer went down, and whether it has gone far enough to be picking words. */
  const pressed = useRef<(Point & { far: boolean }) | null>(null);
  const own = useMemo(() => ownOf(places), [places]);
  const at = (event: React.MouseEvent) => pointIn(event, scale);
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
