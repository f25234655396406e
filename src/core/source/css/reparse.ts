/** Reading a changed sheet by reading only what is around the change, where that gives the same as reading all of it. */
import type { AtRule, Declaration, Item, Span, StyleRule } from "./syntax";
import { parseSheet } from "./syntax";

/** At-rules that hold rules and nothing else, as a sheet does. */
const groups = new Set(["media", "supports", "layer", "container"]);
/** At deeper nesting than this the rule around is read as a whole. */
const deepest = 16;

interface Edit {
  /** The text as it is now. */
  text: string;
  /** The stretch that was replaced, in the text as it was. */
  start: number;
  end: number;
  /** By how much what follows has moved. */
  by: number;
}

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
  const edit: Edit = { text, start, end: oldEnd, by: newEnd - oldEnd };
  return readAgain(items, edit, { start: 0, end: text.length }, 0);
}

/** @param list where the items stand in the text as it is now @param depth of groups around it */
function readAgain(items: readonly Item[], edit: Edit, list: Span, depth: number): Item[] | null {
  const at = items.findIndex((item) => item.start < edit.start && edit.end < item.end);
  const item = items[at];
  const inside = item && isRule(item) ? readInside(item, edit, depth) : null;
  if (inside) return [...items.slice(0, at), inside, ...movedAll(items.slice(at + 1), edit.by)];
  return readBetween(items, edit, list, depth);
}

/** A rule in which something changed. */
function readInside(rule: StyleRule | AtRule, edit: Edit, depth: number): StyleRule | AtRule | null {
  if (!rule.closed || !rule.block) return null;
  const { text, start, end, by } = edit;
  const { block } = rule;
  if (rule.kind === "at" && groups.has(rule.name) && depth < deepest && block.start <= start && end <= block.end) {
    const list = { start: block.start, end: block.end + by };
    const items = readAgain(rule.items, edit, list, depth + 1);
    if (items) return { ...rule, end: rule.end + by, block: list, items };
  }
  const slice = text.slice(rule.start, rule.end + by);
  const [own, more] = parseSheet(slice);
  if (!own || more || !isRule(own) || own.kind !== rule.kind) return null;
  if (own.start !== 0 || own.end !== slice.length || !own.closed || !isPlain(own, depth)) return null;
  return moved(own, rule.start) as StyleRule | AtRule;
}

/** The items between the last that ends before the change and the first that starts after it. */
function readBetween(items: readonly Item[], edit: Edit, list: Span, depth: number): Item[] | null {
  const { text, start, end, by } = edit;
  const before = items.findLastIndex((item) => item.end <= start && isRule(item) && item.closed);
  const after = items.findIndex((item) => item.start > end && isRule(item));
  const next = items[after];
  const from = items[before]?.end ?? list.start;
  const slice = text.slice(from, next ? next.end + by : list.end);
  // Between rules, these are blank in a sheet alone.
  if (depth > 0 && /<!--|-->/.test(slice)) return null;
  const read = parseSheet(slice);
  if (next) {
    // What follows is as it was only if it starts where it did.
    const last = read.pop();
    if (last?.kind !== next.kind || last.start + from !== next.start + by || last.end !== slice.length) return null;
  } else if (depth > 0 && !isBlank(slice.slice(read[read.length - 1]?.end ?? 0))) return null;
  if (!read.every((item) => isPlain(item, depth))) return null;
  const rest = next ? items.slice(after) : [];
  return [...items.slice(0, before + 1), ...movedAll(read, from), ...movedAll(rest, by)];
}

const isRule = (item: Item): item is StyleRule | AtRule => item.kind === "style" || item.kind === "at";

/** Whether an item is read alike in a sheet and in a group: in some groups, what may be a declaration is one. */
function isPlain(item: Item, depth: number): boolean {
  if (depth === 0) return true;
  return item.kind === "style" && item.closed && !/^--|[;{}]|:\s*$/.test(item.preludeText);
}

/** White space, and comments that are closed. */
const isBlank = (text: string) => /^(?:[ \t\r\n\f]|\/\*(?:(?!\*\/)[\s\S])*\*\/)*$/.test(text);

const movedAll = (items: readonly Item[], by: number): readonly Item[] =>
  by === 0 ? items : items.map((item) => moved(item, by));

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
