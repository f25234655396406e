"use client";

import { useState } from "react";
import { formatColor, gamutOf, inGamut, nearestName, notations, type Color, type Notation } from "@/core";
import { showDistance } from "../shared/numbers";
import styles from "./Notations.module.css";
import { unwaited } from "../shared/unwaited";

interface Props {
  color: Color;
  /** The notation it is written in now. */
  current: Notation | null;
  /** Null where nothing can be written. */
  onWrite: ((text: string, notation: Notation) => void) | null;
}

/** What is offered first; the others are a click away. */
const common: readonly Notation[] = ["hex", "rgb", "hsl", "oklch", "lab", "name"];

/** A colour in every notation, each to copy and to write. */
export function Notations({ color, current, onWrite }: Props) {
  const [all, setAll] = useState(false);
  const shown = notations.filter(({ notation }) => all || common.includes(notation) || notation === current);
  return (
    <div className={styles.list}>
      {shown.map(({ notation, label }) => {
        const text = formatColor(color, notation);
        const note = noteFor(color, notation);
        return (
          <div key={notation} className={styles.line} role="group" aria-label={label}>
            <span className={notation === current ? styles.current : undefined}>{label}</span>
            <code>
              {text}
              {note && <em> {note}</em>}
            </code>
            <Copy text={text} />
            {onWrite && (
              <button
                type="button"
                className="text-button"
                onClick={() => onWrite(text, notation)}
                disabled={notation === current}
              >
                Write
              </button>
            )}
          </div>
        );
      })}
      <button type="button" className="text-button" onClick={() => setAll(!all)} aria-expanded={all}>
        {all ? "Fewer notations" : "All notations"}
      </button>
    </div>
  );
}

/** What is lost on the way into a notation. */
function noteFor(color: Color, notation: Notation): string | null {
  if (notation === "name") {
    const { distance } = nearestName(color);
    return distance === 0 ? null : `${showDistance(distance)} off`;
  }
  const space = gamutOf(notation);
  if (!space || inGamut(color, space)) return null;
  return "brought into its gamut";
}

/** Copies a text and says so. */
export function Copy({ text, label = "Copy" }: { text: string; label?: string }) {
  const [copied, setCopied] = useState<string | null>(null);
  const copy = async () => {
    await navigator.clipboard.writeText(text);
    setCopied(text);
  };
  return (
    <button type="button" className="text-button" onClick={() => unwaited(copy())} onBlur={() => setCopied(null)}>
      {copied === text ? "Copied" : label}
    </button>
  );
}
