/** Declarations of properties that are not computed: the text that wins the cascade, in lower case. */
import { forEachInOrder } from "./blocks";
import type { Style } from "./style";

const known = new WeakMap<Style["blocks"], Map<string, string>>();

/** Null where nothing says it. Custom properties are not put in. */
export function declaredText(style: Style, property: string): string | null {
  let texts = known.get(style.blocks);
  if (!texts) {
    texts = new Map();
    const into = texts;
    forEachInOrder(style.blocks, (_, { declaration }) => {
      into.set(declaration.property, declaration.valueText.trim().toLowerCase());
    });
    known.set(style.blocks, texts);
  }
  return texts.get(property) ?? null;
}
