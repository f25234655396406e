/** Ticks at the declarations of the rule that the cursor is in, where they are in force on the page. */
import { RangeSet, StateEffect, StateField, type Extension } from "@codemirror/state";
import { EditorView, gutter, GutterMarker } from "@codemirror/view";
import type { RuleHere } from "@/core";
import { plural } from "../shared/numbers";
import styles from "./SourcePane.module.css";

class Tick extends GutterMarker {
  constructor(
    private readonly wins: number,
    private readonly elements: number,
  ) {
    super();
  }

  override eq(other: Tick): boolean {
    return this.wins === other.wins && this.elements === other.elements;
  }

  override toDOM(): HTMLElement {
    const tick = document.createElement("span");
    tick.className = styles.tick!;
    tick.textContent = this.wins ? "✓" : "–";
    tick.title = ticked(this.wins, this.elements);
    return tick;
  }
}

/** Where a declaration is in force, in words. */
export function ticked(wins: number, elements: number): string {
  if (wins === 0) return "in force nowhere here";
  return wins === elements ? "in force" : `in force on ${wins} of ${plural(elements, "element")}`;
}

const setTicks = StateEffect.define<RangeSet<GutterMarker>>();
const field = StateField.define<RangeSet<GutterMarker>>({
  create: () => RangeSet.empty,
  update: (value, transaction) => {
    let next = value.map(transaction.changes);
    for (const effect of transaction.effects) if (effect.is(setTicks)) next = effect.value;
    return next;
  },
});

export const ruleTicks: Extension = [
  field,
  gutter({ class: styles.ticks!, markers: (view) => view.state.field(field) }),
];

/** @param rule null takes the ticks away */
export function showTicks(view: EditorView, rule: RuleHere | null): void {
  const { doc } = view.state;
  const elements = rule?.elements ?? 0;
  const ofLine = new Map(elements ? rule!.declarations.map(({ line, wins }) => [line, wins]) : []);
  const ranges = [...ofLine]
    .filter(([line]) => line <= doc.lines)
    .sort(([a], [b]) => a - b)
    .map(([line, wins]) => new Tick(wins, elements).range(doc.line(line).from));
  view.dispatch({ effects: setTicks.of(RangeSet.of(ranges)) });
}
