/** Reading a changed sheet by reading only the rule that changed, where that gives the same as reading all of it. */
import type { Declaration, Item, Span } from "./syntax";
import { parseSheet } from "./syntax";

/** At-rules whose place among the others matters. */
const placed = new Set(["import", "charset", "namespace"]);

/**
 * The items of a text in which one stretch was replaced; null when the whole has to be read again.
 * @param start where the stretch starts, `oldEnd` where it ended in the old text, `newEnd` where it ends now
 */
export function reparse(
  items: readonly Item[],
  text: string,
  start: number,
  oldEnd: number,
  newEnd: number,
): Item[] | null {
  const at = items.findIndex((item) => item.start < start && oldEnd < item.end);
  const item = items[at];
  if (
    !item ||
    (item.kind !== "style" && item.kind !== "at") ||
    !item.closed ||
    (item.kind === "at" && (placed.has(item.name) || !item.block))
  )
    return null;
  const by = newEnd - oldEnd;
  const slice = text.slice(item.start, item.end + by);
  const [own, more] = parseSheet(slice);
  if (!own || more || own.kind !== item.kind || own.start !== 0 || own.end !== slice.length || !own.closed) return null;
  const rest = items.slice(at + 1);
  return [...items.slice(0, at), moved(own, item.start), ...(by === 0 ? rest : rest.map((one) => moved(one, by)))];
}

function moved(item: Item, by: number): Item {
  const span = ({ start, end }: Span): Span => ({ start: start + by, end: end + by });
  switch (item.kind) {
    case "declaration":
      return movedDeclaration(item, by);
    case "disabled":
      return { ...item, ...span(item), declaration: movedDeclaration(item.declaration, by) };
    case "skipped":
      return { ...item, ...span(item) };
    case "style":
      return {
        ...item,
        ...span(item),
        prelude: span(item.prelude),
        block: span(item.block),
        items: item.items.map((one) => moved(one, by)),
      };
    case "at":
      return {
        ...item,
        ...span(item),
        prelude: span(item.prelude),
        block: item.block && span(item.block),
        items: item.items.map((one) => moved(one, by)),
      };
  }
}

function movedDeclaration(item: Declaration, by: number): Declaration {
  return {
    ...item,
    start: item.start + by,
    end: item.end + by,
    name: { start: item.name.start + by, end: item.name.end + by },
    value: { start: item.value.start + by, end: item.value.end + by },
    semicolon: item.semicolon === null ? null : item.semicolon + by,
  };
}
