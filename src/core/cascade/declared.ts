/** Declarations of properties that are not computed: the text that wins the cascade, in lower case. */
import { forEachInOrder } from "./blocks";
import type { Style } from "./style";

/** By what is shared where that comes from nothing but the declarations. */
const known = new WeakMap<Style["shared"] | Style["blocks"], Map<string, string>>();

/** Null where nothing says it. Custom properties are not put in. */
export function declaredText(style: Style, property: string): string | null {
  const key = style.shared.isCommon ? style.shared : style.blocks;
  let texts = known.get(key);
  if (!texts) {
    texts = new Map();
    const into = texts;
    forEachInOrder(style.blocks, (_, { declaration }) => {
      into.set(declaration.property, declaration.valueText.trim().toLowerCase());
    });
    known.set(key, texts);
  }
  return texts.get(property) ?? null;
}
