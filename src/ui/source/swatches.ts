/** A square of its colour before every colour of the source. */
import { StateEffect, StateField, type Extension } from "@codemirror/state";
import { Decoration, EditorView, WidgetType, type DecorationSet } from "@codemirror/view";
import type { SourceColor } from "@/engine/protocol";
import { swatch } from "./completing";

class Square extends WidgetType {
  constructor(private readonly css: string) {
    super();
  }

  override eq(other: Square): boolean {
    return other.css === this.css;
  }

  override toDOM(): HTMLElement {
    return swatch(this.css);
  }
}

const setColors = StateEffect.define<DecorationSet>();
export const colorSquares: Extension = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (value, transaction) => {
    let next = value.map(transaction.changes);
    for (const effect of transaction.effects) if (effect.is(setColors)) next = effect.value;
    return next;
  },
  provide: (field) => EditorView.decorations.from(field),
});

export function showColors(view: EditorView, colors: readonly SourceColor[]): void {
  const squares = colors
    .filter(({ start }) => start <= view.state.doc.length)
    .map(({ start, css }) => Decoration.widget({ widget: new Square(css), side: -1 }).range(start));
  view.dispatch({ effects: setColors.of(Decoration.set(squares, true)) });
}
