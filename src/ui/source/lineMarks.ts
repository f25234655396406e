/** The lines of the rule in question, and what is changed in each since the file was opened. */
import { RangeSetBuilder, StateEffect, StateField, type EditorState } from "@codemirror/state";
import { Decoration, EditorView, type DecorationSet } from "@codemirror/view";
import { changedLines } from "./changedLines";

const setMarks = StateEffect.define<DecorationSet>();
export const lineMarks = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (value, transaction) => {
    let next = value.map(transaction.changes);
    for (const effect of transaction.effects) if (effect.is(setMarks)) next = effect.value;
    return next;
  },
  provide: (field) => EditorView.decorations.from(field),
});
const ruleLine = Decoration.line({ class: "cm-hevret-rule" });
const changedLine = Decoration.line({ class: "cm-hevret-changed" });
const changedText = Decoration.mark({ class: "cm-hevret-new" });

/** @param original the text as it was opened @param first line of the rule, from 1 @param last 0 for none */
export function markLines(view: EditorView, original: string, first: number, last: number): void {
  view.dispatch({ effects: setMarks.of(marksFor(view.state, original, first, last)) });
}

function marksFor(state: EditorState, original: string, first: number, last: number): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  const { doc } = state;
  const changed = changedLines(original, doc.toString());
  for (let number = 1; number <= doc.lines; number += 1) {
    const part = changed.get(number);
    const isRule = number >= first && number <= last;
    if (!part && !isRule) continue;
    const line = doc.line(number);
    if (part) builder.add(line.from, line.from, changedLine);
    if (isRule) builder.add(line.from, line.from, ruleLine);
    if (part && part.to > part.from)
      builder.add(line.from + part.from, Math.min(line.to, line.from + part.to), changedText);
  }
  return builder.finish();
}
