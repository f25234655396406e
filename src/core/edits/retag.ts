/** Elements made others where that is the true way: the tags alone are changed, attributes and words stay. */
import { documentOf, plainSelector, writtenElements, type ElementNode } from "../source/html/document";
import type { TextChange } from "../source/changes";
import { pagesOf, type Site, type TextFile } from "../source/site";
import type { ElementRef } from "../text/refs";
import { holdsLines, intoList, isList, outOfList, renamed, rowOf } from "./lists";
import { elementAt } from "./locate";
import { EditError } from "./types";

/** What can be made of what: of one list any other of it (HTML, 4.3.6, 4.4 and 4.5). */
const kinds: readonly (readonly string[])[] = [
  ["p", "h1", "h2", "h3", "h4", "h5", "h6", "div"],
  ["em", "strong", "mark", "small", "cite", "code", "b", "i", "u", "s", "span"],
];

const lists = ["ul", "ol"];

/** What an element can be made; none where its tags do not stand in the source, or it is of a kind of its own. */
export function otherTags(element: ElementNode): string[] {
  const { tag, source, namespace, parent } = element;
  if (namespace !== "html" || !source) return [];
  const list = [element, tag === "li" ? parent : null].find((one) => one && isList(one));
  if (list) return list.source?.endTag ? ["p", ...lists.filter((one) => one !== list.tag)] : [];
  if (tag === "p" && !source.endTag) return lists;
  if (!source.endTag || (tag === "div" && !holdsLines(element))) return [];
  const kind = kinds.find((names) => names.includes(tag)) ?? [];
  return [...kind.filter((one) => one !== tag), ...(tag === "p" ? lists : [])];
}

/** Elements of a site with the same tag, id and classes as one, that one included. @throws EditError */
export function alikeOf(site: Site, { page, index }: ElementRef): ElementRef[] {
  const { element } = elementAt(site, page, index);
  const selector = plainSelector(element);
  return pagesOf(site).flatMap((file) =>
    writtenElements(documentOf(file))
      .filter((one) => one.tag === element.tag && plainSelector(one) === selector && otherTags(one).length > 0)
      .map((one) => ({ page: file.path, index: one.index })),
  );
}

/**
 * Other tags for elements, in the letter case of those they have. Paragraphs become the items of a list with those they
 * are in a row with; an item stands for its list.
 * @throws EditError where one cannot be made that
 */
export function retag(site: Site, refs: readonly ElementRef[], to: string): TextChange[] {
  /** Lists and rows that are done, by their first element. */
  const done = new Set<ElementNode>();
  return refs.flatMap(({ page, index }) => {
    const { file, element } = elementAt(site, page, index);
    if (!otherTags(element).includes(to)) throw new EditError(`A ${element.tag} element cannot be made ${to} here.`);
    const { whole, change } = changeFor(file, element, to);
    if (done.has(whole)) return [];
    done.add(whole);
    return change();
  });
}

interface Change {
  /** What is changed at once, by its first element. */
  whole: ElementNode;
  change(): TextChange[];
}

function changeFor(file: TextFile, element: ElementNode, to: string): Change {
  const list = element.tag === "li" ? element.parent! : element;
  if (isList(list))
    return { whole: list, change: () => (to === "p" ? outOfList(file, list) : renamed(file, list, to)) };
  if (!lists.includes(to)) return { whole: element, change: () => renamed(file, element, to) };
  const row = rowOf(element);
  return { whole: row[0]!, change: () => intoList(file, row, to) };
}
