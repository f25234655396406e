/** All texts of a page: those that elements show, and those of their pseudo-elements, in document order. */
import type { Style, StyledPage } from "./cascade/styles";
import { pseudoTexts } from "./pseudoTexts";
import { isPlace } from "./textStyles";

export interface PageText {
  style: Style;
  /** The name of the pseudo-element; null for the element's own text. */
  pseudo: string | null;
}

const known = new WeakMap<StyledPage, PageText[]>();

export function textsOf(page: StyledPage): PageText[] {
  let texts = known.get(page);
  if (!texts) {
    const own = page.styles.filter(isPlace).map((style): PageText => ({ style, pseudo: null }));
    const others = pseudoTexts(page).map(({ style, name }): PageText => ({ style, pseudo: name }));
    texts = [...own, ...others].sort((a, b) => a.style.element.index - b.style.element.index);
    known.set(page, texts);
  }
  return texts;
}
