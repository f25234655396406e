"use client";

import { showRatio, type Slip } from "@/core";
import { Swatch } from "../../color/Swatch";
import { plural } from "../../shared/numbers";
import { usePick } from "../../workspace/usePick";
import { Doubt, Spellings } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const edges = ["none", "1px solid currentcolor", "1px solid #ccc", "2px solid currentcolor"];

/** What people try first. */
const tries: Readonly<Record<string, readonly string[]>> = {
  marker: ["disc", "circle", "square", '"– "', "decimal", "lower-alpha", "upper-roman", "none"],
  "marker-place": ["outside", "inside"],
  "marker-size": ["0.75em", "1em", "1.25em"],
  "list-inset": ["0", "1em", "1.5em", "2.5em"],
  "list-gap": ["0", "0.25em", "0.5em", "1em"],
  "cell-padding": ["0", "0.25em 0.5em", "0.5em 0.75em", "0.75em 1em"],
  "cell-edge": edges,
  "cell-place": ["baseline", "top", "middle", "bottom"],
  collapse: ["separate", "collapse"],
  "cell-gap": ["0", "2px", "4px"],
  "table-edge": edges,
  "head-ink": ["inherit", "#fff", "#222"],
  "head-ground": ["transparent", "#eee", "#333"],
  "stripe-ground": ["transparent", "rgb(0 0 0 / 4%)", "rgb(0 0 0 / 8%)"],
  "caption-side": ["top", "bottom"],
  "caption-size": ["0.85em", "1em", "1.25em"],
  "picture-width": ["auto", "50%", "100%", "20em"],
  "picture-widest": ["none", "100%", "20em"],
  "picture-float": ["none", "left", "right"],
  "picture-room": ["0", "1em", "0 1em 0.5em 0", "0 auto"],
  "picture-edge": edges,
  "picture-corners": ["0", "3px", "0.5em", "50%"],
  "picture-shadow": ["none", "0 1px 3px rgb(0 0 0 / 30%)", "0 4px 12px rgb(0 0 0 / 25%)"],
};

const notes: Readonly<Record<string, string>> = {
  marker: "Words in quotes are a marker of their own. Without one, a list of links is no list to some screen readers.",
  "marker-place": "Inside, the second line begins under the marker.",
  collapse: "Collapsed, neighbours share one edge, and there is no room between cells.",
  "cell-gap": "It counts where edges are separate.",
  "stripe-ground": "Every other row of the body. It is judged with the ink of its cells.",
  "picture-widest": "With 100% it is never wider than what it stands in.",
  "picture-float": "The text runs along it; a clear on what is to stand below ends that.",
};

/** What a text stands in or beside: values to try on the page, and for a table how all its parts are read. */
export function AroundChapter({ row, slip, draft }: ChapterProps) {
  return (
    <div className={styles.chapter}>
      <Spellings label={`${row.label}: values to try`} texts={tries[row.id] ?? []} draft={draft} tried />
      {notes[row.id] && <p className="quiet">{notes[row.id]}</p>}
      {row.section === "table" && <TablePairs slip={slip} />}
      {row.id === "picture-width" && /^\d+px$/.test(row.written ?? "") && (
        <Doubt>In px it is as wide in every window; with a greatest width of 100% it gives way.</Doubt>
      )}
    </div>
  );
}

const partWords = { head: "Head cells", rows: "Rows", stripes: "Striped rows", caption: "Caption" } as const;

/** Ink and ground of the parts of the table, judged together. */
function TablePairs({ slip }: { slip: Slip }) {
  const pick = usePick();
  return (
    <ul className={styles.tablePairs} aria-label="How the table is read">
      {slip.tablePairs.map(({ of, ink, ground, ratio, needs, passes, places }) => (
        <li key={of}>
          <span>{partWords[of]}</span>
          <Swatch css={ink} /> on <Swatch css={ground} />
          <b className={passes ? undefined : "fails"}>
            {passes ? showRatio(ratio) : `▲ ${showRatio(ratio)} of ${needs}`}
          </b>
          <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
            {plural(places.length, "text")}
          </button>
        </li>
      ))}
    </ul>
  );
}
