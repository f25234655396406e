/** All texts of a page: those that elements show, and those of their pseudo-elements, in document order. */
import type { ElementRef } from "./refs";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import type { Conditions } from "../cascade/conditions";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { textFile, type Site } from "../source/site";
import { pseudoTexts } from "./pseudoTexts";
import { isPlace } from "./textStyles";

const known = new WeakMap<StyledPage["styles"], Style[]>();

/** Styles of elements and pseudo-elements that show text. */
export function textsOf(page: StyledPage): readonly Style[] {
  let texts = known.get(page.styles);
  if (!texts) {
    texts = [...page.styles.filter(isPlace), ...pseudoTexts(page).map(({ style }) => style)];
    texts.sort((a, b) => a.element.index - b.element.index);
    known.set(page.styles, texts);
  }
  return texts;
}

/** The style of an element, or of a pseudo-element that shows text; null where there is none. */
export function styleAt(page: StyledPage, { index, pseudo }: Pick<ElementRef, "index" | "pseudo">): Style | null {
  if (pseudo === undefined) return page.styles[index] ?? null;
  return textsOf(page).find((style) => style.pseudo === pseudo && style.element.index === index) ?? null;
}

/** A text, or an element, on its page. */
export interface TextOnPage {
  page: KnownPage;
  style: Style;
}

/** What is referred to on its page as it is styled; null where there is none. */
export function textAt(site: Site, ref: ElementRef | null | undefined, conditions: Conditions): TextOnPage | null {
  const file = ref ? textFile(site, ref.page) : null;
  if (!ref || file?.kind !== "html") return null;
  const page = styledPage(site, file, conditions);
  const style = styleAt(page, ref);
  return style && { page, style };
}

/** A text as it is referred to. @param page its path */
export function refOf(page: string, { element: { index }, pseudo }: Style): ElementRef {
  return pseudo === null ? { page, index } : { page, index, pseudo };
}

/** Texts gathered by what they have in common. @param add what one more text adds to its group, the first included @param textsIn those that count; all by default */
export function gatherTexts<Group extends { places: ElementRef[] }>(
  pages: readonly KnownPage[],
  keyOf: (style: Style, page: KnownPage) => string,
  make: (style: Style, page: KnownPage) => Group,
  add?: (group: Group, style: Style, page: KnownPage) => void,
  textsIn: (page: KnownPage) => readonly Style[] = textsOf,
): Group[] {
  const groups = new Map<string, Group>();
  for (const page of pages) {
    for (const style of textsIn(page)) {
      const key = keyOf(style, page);
      let group = groups.get(key);
      if (!group) groups.set(key, (group = make(style, page)));
      group.places.push(refOf(page.file.path, style));
      add?.(group, style, page);
    }
  }
  return [...groups.values()];
}
