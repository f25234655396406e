"use client";

import type { ElementRef } from "@/core";
import { useAnswered } from "./answers";

interface Props {
  places: readonly ElementRef[];
  /** Places listed at most. */
  most: number;
  label: string;
  className?: string;
  onPick(place: ElementRef): void;
}

/** Places by their words and lines, each a step to it. */
export function PlaceList({ places, most, label, className, onPick }: Props) {
  const listed = places.slice(0, most).map(({ page, index, pseudo }) => ({ page, index, pseudo }));
  const names = useAnswered("placeNames", [listed])?.answer;
  return (
    <ul className={className} aria-label={label}>
      {listed.map((place, at) => (
        <li key={`${place.page} ${place.index} ${place.pseudo}`}>
          <button type="button" className="text-button" onClick={() => onPick(place)}>
            {names?.[at] ?? place.page}
          </button>
        </li>
      ))}
      {places.length > most && <li>and {places.length - most} more</li>}
    </ul>
  );
}
