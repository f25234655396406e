"use client";

import { useEffect } from "react";
import { eyesNamed } from "@/core";
import { useWorkspace } from "../workspace/context";

/** Seen by all that shows the site's own: the frames of pages, and what is set as the site sets it. */
const property = "--eyes";

/** Paints the site as other eyes see it: a filter for all that shows it (Filter Effects 1, 9). */
export function OtherEyes() {
  const name = useWorkspace((state) => state.eyes);
  useEffect(() => {
    const { style } = document.documentElement;
    if (name) style.setProperty(property, `url(#eyes-${name})`);
    return () => {
      style.removeProperty(property);
    };
  }, [name]);
  if (!name) return null;
  const { matrix, blur } = eyesNamed(name);
  return (
    <svg className="visually-hidden" aria-hidden="true">
      <filter id={`eyes-${name}`} colorInterpolationFilters="linearRGB" x="0" y="0" width="1" height="1">
        {matrix ? (
          <feColorMatrix
            values={[...matrix.flatMap(([r, g, b, added = 0]) => [r, g, b, 0, added]), 0, 0, 0, 1, 0].join(" ")}
          />
        ) : (
          <feGaussianBlur stdDeviation={blur} />
        )}
      </filter>
    </svg>
  );
}
