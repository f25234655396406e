/** Declarations of properties that are not computed: the text that wins the cascade, in lower case. */
import { made } from "../source/memo";
import { forEachInOrder } from "./blocks";
import type { Style } from "./style";

/** By the list of blocks, which is one for all elements that the same apply to. */
const known = new WeakMap<Style["blocks"], Map<string, string>>();

/** Null where nothing says it. Custom properties are not put in. */
export function declaredText({ blocks }: Style, property: string): string | null {
  return made(known, blocks, () => textsIn(blocks)).get(property) ?? null;
}

function textsIn(blocks: Style["blocks"]): Map<string, string> {
  const texts = new Map<string, string>();
  forEachInOrder(blocks, (_, { declaration }) => {
    texts.set(declaration.property, declaration.valueText.trim().toLowerCase());
  });
  return texts;
}
