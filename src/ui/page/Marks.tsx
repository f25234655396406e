"use client";

import { useMemo, useRef, useState } from "react";
import { showRatio } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { Shown } from "@/preview/frame";
import type { Box } from "@/preview/measure";
import { signs } from "../shared/levels";
import { plural } from "../shared/numbers";
import { NoteOver } from "../shared/PopOver";
import { useRem } from "../shared/rem";
import { useWorkspace } from "../workspace/context";
import { FindingLine } from "../workspace/FindingLine";
import { knownFindings } from "../workspace/troubles";
import { markedPlaces, type MarkedPlace } from "./marked";
import { spread } from "./spread";
import styles from "./Stage.module.css";

/** How tall a mark is with the room to the next, rem: each is a target of 24 px (WCAG 2.2, 2.5.8). */
const markHeight = 1.625;

/** How tall the name of what is picked is, rem. */
const nameHeight = 1;

interface Props {
  shown: Shown;
  places: readonly PlaceView[];
  /** How much smaller than it is the page is drawn. */
  scale: number;
  /** Where a place stands in the window; null where it is not shown. */
  boxOf(mark: MarkedPlace): Box | null;
  /** What is picked, to be named among the marks, where none covers it. */
  picked: { box: Box; name: string } | null;
  onPick(place: Pick<PlaceView, "index" | "pseudo">): void;
}

/** What was found, in the margin beside the line it is about. */
export function Marks({ shown, places, scale, boxOf, picked, onPick }: Props) {
  const page = useWorkspace((state) => state.page)!;
  const px = useRem();
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  const marked = useMemo(
    () => markedPlaces(page, places, knownFindings({ summary, record })),
    [page, places, summary, record],
  );
  /** The one whose findings are listed: a list for each would have to be kept in step with the page. */
  const [open, setOpen] = useState<{ key: string; by: "pointer" | "press" } | null>(null);
  const height = shown.page.document.defaultView?.innerHeight ?? 0;
  const apart = px(markHeight);
  const seen = (box: Box | null): box is Box => box !== null && box.top + box.height > 0 && box.top < height;
  const slots: Slot[] = marked.flatMap((mark) => {
    const box = boxOf(mark);
    if (!seen(box)) return [];
    return [{ mark, top: box.top * scale + Math.min(box.height * scale, 28) / 2 - apart / 2, height: apart }];
  });
  if (picked && seen(picked.box)) {
    const own = px(nameHeight);
    const { top, height: tall } = picked.box;
    // Farther down it would be taken for the name of another.
    slots.push({ name: picked.name, top: top * scale - own, height: own, end: (top + tall) * scale });
  }
  return (
    <ul className={styles.marks} aria-label="Marks">
      {spread(slots).map(({ mark, name, top }) => {
        if (mark === undefined)
          return (
            <li key="name" className={styles.name} style={{ top }} aria-hidden>
              <code>{name}</code>
            </li>
          );
        const key = `${mark.index} ${mark.pseudo}`;
        return (
          <li key={key} style={{ top }}>
            <Mark
              mark={mark}
              open={open?.key === key ? open.by : null}
              onOpen={(by) => setOpen(by && { key, by })}
              onPick={onPick}
            />
          </li>
        );
      })}
    </ul>
  );
}

/** What stands in the margin: a mark, or the name of what is picked. */
type Slot = { top: number; height: number; end?: number } & (
  { mark: MarkedPlace; name?: undefined } | { mark?: undefined; name: string }
);

interface MarkProps {
  mark: MarkedPlace;
  /** How it came that what was found there is listed; null where it is not. */
  open: "pointer" | "press" | null;
  onOpen(by: "pointer" | "press" | null): void;
  onPick: Props["onPick"];
}

function Mark({ mark, open, onOpen, onPick }: MarkProps) {
  const { findings } = mark;
  const { label, words, level } = wordsOf(mark);
  const button = useRef<HTMLButtonElement>(null);
  const press = () => {
    onPick(mark);
    onOpen(findings.length > 0 ? "press" : null);
  };
  const lists = findings.length > 0;
  return (
    <button
      ref={button}
      type="button"
      className={
        level === "error" ? styles.mark : `${styles.mark} ${level === "warning" ? styles.doubtful : styles.noted}`
      }
      // What pops over is told of here, too, wherever it stands in the document.
      onClick={({ currentTarget, target }) => currentTarget.contains(target as Node) && press()}
      onMouseEnter={() => lists && open === null && onOpen("pointer")}
      aria-label={words}
      aria-haspopup={lists ? "dialog" : undefined}
      aria-expanded={lists ? open !== null : undefined}
    >
      {label}
      {open && (
        <NoteOver
          key={open}
          label="Found here"
          by={open}
          className={styles.over}
          onClose={(how) => {
            onOpen(null);
            if (how === "closed") button.current?.focus();
          }}
        >
          <ul className={styles.found} aria-label="Found here">
            {findings.map((one) => (
              <li key={one.key}>
                <FindingLine known={one} />
              </li>
            ))}
          </ul>
        </NoteOver>
      )}
    </button>
  );
}

type Level = keyof typeof signs;

/** The worst of what is told of a place, as the mark shows it and as it is said. */
function wordsOf({ place, contrast, fixed, findings }: MarkedPlace): { label: string; words: string; level: Level } {
  const more = findings.length ? `, and ${plural(findings.length, "finding")}` : "";
  const where = place ? `, ${place.selector}` : "";
  if (place && contrast) {
    const fails = place.verdict === "fails";
    const figure = showRatio(place.ratio);
    return {
      label: `${fails ? signs.error : signs.warning} ${figure}${findings.length ? " +" : ""}`,
      words: `${fails ? "Fails" : "Doubtful"}: contrast ${figure}, needs ${place.needs}${where}${more}`,
      level: fails ? "error" : "warning",
    };
  }
  if (fixed)
    return {
      label: `${signs.warning} fixed${findings.length ? " +" : ""}`,
      words: `Doubtful: the size does not follow the reader's${where}${more}`,
      level: "warning",
    };
  const level =
    (["error", "warning"] as const).find((one) => findings.some(({ finding }) => finding.level === one)) ?? "note";
  return { label: `${signs[level]} ${findings.length}`, words: `${plural(findings.length, "finding")}${where}`, level };
}
