import { lineParts } from "./lineParts";
import styles from "./LineDifference.module.css";

interface Line {
  kind: "same" | "gone" | "new" | "gap";
  before: number | null;
  after: number | null;
  text: string;
}

/** Lines left standing around a change. */
const around = 2;

function linesOf(before: string, after: string): Line[] {
  const all: Line[] = [];
  let old = 1;
  let now = 1;
  for (const { kind, lines } of lineParts(before, after)) {
    for (const line of lines) {
      const text = line.replace(/\r?\n$/, "");
      if (kind === "new") all.push({ kind, before: null, after: now++, text });
      else if (kind === "gone") all.push({ kind, before: old++, after: null, text });
      else all.push({ kind, before: old++, after: now++, text });
    }
  }
  const near = all.map((_, at) =>
    all.slice(Math.max(0, at - around), at + around + 1).some(({ kind }) => kind !== "same"),
  );
  return all.flatMap((line, at) => {
    if (near[at]) return [line];
    return near[at - 1] ? [{ kind: "gap" as const, before: null, after: null, text: "" }] : [];
  });
}

const signs = { same: "", gone: "\u2212", new: "+", gap: "" };
const words = { same: "", gone: "was", new: "now", gap: "" };

/** What changes in a text, line by line, with two lines around. */
export function LineDifference({ before, after }: { before: string; after: string }) {
  return (
    <table className={styles.lines}>
      <tbody>
        {linesOf(before, after).map((line, at) =>
          line.kind === "gap" ? (
            <tr key={at} className={styles.gap}>
              <td colSpan={4}>…</td>
            </tr>
          ) : (
            <tr key={at} className={styles[line.kind]}>
              <td>{line.before}</td>
              <td>{line.after}</td>
              <td aria-label={words[line.kind]}>{signs[line.kind]}</td>
              <td>{line.text}</td>
            </tr>
          ),
        )}
      </tbody>
    </table>
  );
}
