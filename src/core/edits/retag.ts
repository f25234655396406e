/** Elements made others where that is the true way: the tags alone are changed, attributes and words stay. */
import { documentOf, plainSelector, writtenElements, type ElementNode } from "../source/html/document";
import type { TextChange } from "../source/changes";
import { pagesOf, type Site } from "../source/site";
import type { ElementRef } from "../text/refs";
import { elementAt } from "./locate";
import { EditError } from "./types";

/** What can be made of what: of one list any other of it (HTML, 4.3.6, 4.4 and 4.5). */
const kinds: readonly (readonly string[])[] = [
  ["p", "h1", "h2", "h3", "h4", "h5", "h6", "div"],
  ["em", "strong", "mark", "small", "cite", "code", "b", "i", "u", "s", "span"],
  ["ul", "ol"],
];

/** What stands in lines of text: a part of a page that holds anything else is no paragraph and no heading. */
const inLines =
  /^(?:a|abbr|b|bdi|bdo|br|cite|code|data|dfn|em|i|img|kbd|mark|q|s|samp|small|span|strong|sub|sup|time|u|var|wbr)$/;

/** What an element can be made; none where its tags do not stand in the source, or it is of a kind of its own. */
export function otherTags({ tag, source, namespace, children }: ElementNode): string[] {
  if (namespace !== "html" || !source?.endTag) return [];
  if (tag === "div" && !children.every((child) => inLines.test(child.tag))) return [];
  return (kinds.find((list) => list.includes(tag)) ?? []).filter((one) => one !== tag);
}

/** Elements of a site with the same tag, id and classes as one, that one included. @throws EditError */
export function alikeOf(site: Site, { page, index }: ElementRef): ElementRef[] {
  const { element } = elementAt(site, page, index);
  const selector = plainSelector(element);
  return pagesOf(site).flatMap((file) =>
    writtenElements(documentOf(file))
      .filter((one) => one.tag === element.tag && plainSelector(one) === selector && one.source?.endTag)
      .map((one) => ({ page: file.path, index: one.index })),
  );
}

/** Other tags for elements, in the letter case of those they have. @throws EditError where one cannot be made that */
export function retag(site: Site, refs: readonly ElementRef[], to: string): TextChange[] {
  return refs.flatMap(({ page, index }) => {
    const { file, element } = elementAt(site, page, index);
    if (!otherTags(element).includes(to)) throw new EditError(`A ${element.tag} element cannot be made ${to} here.`);
    const { startTag, endTag } = element.source!;
    const put = (start: number): TextChange => {
      const end = start + element.tag.length;
      const isLoud = /[A-Z]/.test(file.text.slice(start, end));
      return { path: page, start, end, insert: isLoud ? to.toUpperCase() : to };
    };
    return [put(startTag.start + 1), put(endTag!.start + 2)];
  });
}
