/** Signs in the source's own margin, at the lines that findings are about. */
import { RangeSet, StateEffect, StateField, type Extension } from "@codemirror/state";
import { EditorView, gutter, GutterMarker } from "@codemirror/view";
import { signs } from "../shared/levels";
import type { KnownFinding } from "../workspace/troubles";
import styles from "./SourcePane.module.css";

/** Goes to a line, where what is found there is told with the ways to set it right. */
type Open = (line: number) => void;

/** All that is found at one line; the worst of it is shown. */
class Sign extends GutterMarker {
  constructor(
    private readonly found: readonly KnownFinding[],
    private readonly open: Open,
  ) {
    super();
  }

  override eq(other: Sign): boolean {
    return this.found.length === other.found.length && this.found.every(({ key }, at) => key === other.found[at]!.key);
  }

  override toDOM(): HTMLElement {
    const worst = this.found[0]!;
    const button = document.createElement("button");
    button.type = "button";
    button.className = `${styles.sign} ${styles[worst.finding.level]}`;
    button.textContent = signs[worst.finding.level];
    const words = this.found.map(({ finding }) => finding.message.replaceAll("`", "")).join("\n");
    button.title = words;
    // The editor's margins are for the eye alone: by keyboard and by ear the same is told under the line the cursor is in.
    button.tabIndex = -1;
    button.addEventListener("click", () => this.open(worst.finding.line));
    return button;
  }
}

const setSigns = StateEffect.define<RangeSet<GutterMarker>>();
const field = StateField.define<RangeSet<GutterMarker>>({
  create: () => RangeSet.empty,
  update: (value, transaction) => {
    let next = value.map(transaction.changes);
    for (const effect of transaction.effects) if (effect.is(setSigns)) next = effect.value;
    return next;
  },
});

export const findingSigns: Extension = [
  field,
  gutter({ class: styles.signs!, markers: (view) => view.state.field(field) }),
];

/** Puts the signs of a file's findings to their lines. @param open goes to a line */
export function showSigns(view: EditorView, findings: readonly KnownFinding[], open: Open): void {
  const { doc } = view.state;
  const byLine = new Map<number, KnownFinding[]>();
  for (const one of findings) {
    const { line } = one.finding;
    if (line <= doc.lines) byLine.set(line, [...(byLine.get(line) ?? []), one]);
  }
  const ranges = [...byLine]
    .sort(([a], [b]) => a - b)
    .map(([line, found]) => new Sign(found, open).range(doc.line(line).from));
  view.dispatch({ effects: setSigns.of(RangeSet.of(ranges)) });
}
