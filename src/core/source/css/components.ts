/** Component values (CSS Syntax 3, 5.4): what is inside a declaration's value or a prelude. */
import { ident, string, url } from "css-tree/utils";
import { closerOf, T, tokensOf, type Tokens } from "./tokens";

interface Located {
  /** Offset into the text the components were read from. */
  start: number;
  end: number;
  /** Whether white space stands before it. */
  spaced: boolean;
}

export type Component = Located &
  (
    | { type: "ident"; name: string }
    | { type: "function"; name: string; args: Component[] }
    | { type: "block"; open: "(" | "[" | "{"; args: Component[] }
    | { type: "number"; value: number; integer: boolean; signed: boolean }
    | { type: "percentage"; value: number; signed: boolean }
    | { type: "dimension"; value: number; unit: string; integer: boolean; signed: boolean }
    | { type: "string"; value: string }
    | { type: "url"; value: string }
    | { type: "hash"; value: string }
    | { type: "at"; name: string }
    | { type: "delim"; value: string }
    | { type: "bad" }
  );

export type ComponentOf<Type extends Component["type"]> = Extract<Component, { type: Type }>;

const cache = new Map<string, readonly Component[]>();
const cacheLimit = 20_000;
const deepest = 512;

/** Reads component values; function names and units in lower case. Results are shared: do not change them. */
export function componentsOf(text: string): readonly Component[] {
  const known = cache.get(text);
  if (known) return known;
  const tokens = tokensOf(text);
  const list = read(text, tokens, { at: 0 }, 0, 0);
  if (cache.size >= cacheLimit) cache.clear();
  cache.set(text, list);
  return list;
}

function read(text: string, tokens: Tokens, cursor: { at: number }, closer: number, depth: number): Component[] {
  const list: Component[] = [];
  let spaced = false;
  while (cursor.at < tokens.count) {
    const type = tokens.types[cursor.at]!;
    if (closer && type === closer) return list;
    if (type === T.WhiteSpace || type === T.Comment) {
      spaced ||= type === T.WhiteSpace;
      cursor.at += 1;
      continue;
    }
    const start = tokens.starts[cursor.at]!;
    const end = tokens.starts[cursor.at + 1]!;
    const raw = text.slice(start, end);
    cursor.at += 1;
    const inner = closerOf(type);
    if (inner) {
      if (depth >= deepest) {
        cursor.at = tokens.count;
        list.push({ type: "bad", start, end, spaced });
        return list;
      }
      const args = read(text, tokens, cursor, inner, depth + 1);
      const closed = cursor.at < tokens.count;
      if (closed) cursor.at += 1;
      const whole = { start, end: tokens.starts[cursor.at]!, spaced };
      if (type === T.Function)
        list.push({ type: "function", name: ident.decode(raw.slice(0, -1)).toLowerCase(), args, ...whole });
      else list.push({ type: "block", open: raw as "(" | "[" | "{", args, ...whole });
    } else {
      list.push(single(type, raw, { start, end, spaced }));
    }
    spaced = false;
  }
  return list;
}

function single(type: number, raw: string, where: Located): Component {
  switch (type) {
    case T.Ident:
      return { type: "ident", name: raw.includes("\\") ? ident.decode(raw) : raw, ...where };
    case T.Hash:
      return { type: "hash", value: ident.decode(raw.slice(1)), ...where };
    case T.String:
      return { type: "string", value: string.decode(raw), ...where };
    case T.Url:
      return { type: "url", value: url.decode(raw), ...where };
    case T.AtKeyword:
      return { type: "at", name: ident.decode(raw.slice(1)).toLowerCase(), ...where };
    case T.Number:
      return {
        type: "number",
        value: Number(raw),
        integer: /^[+-]?\d+$/.test(raw),
        signed: /^[+-]/.test(raw),
        ...where,
      };
    case T.Percentage:
      return { type: "percentage", value: Number(raw.slice(0, -1)), signed: /^[+-]/.test(raw), ...where };
    case T.Dimension: {
      const number = /^[+-]?(?:\d*\.\d+|\d+)(?:e[+-]?\d+)?/i.exec(raw)![0];
      return {
        type: "dimension",
        value: Number(number),
        unit: ident.decode(raw.slice(number.length)).toLowerCase(),
        integer: /^[+-]?\d+$/.test(number),
        signed: /^[+-]/.test(raw),
        ...where,
      };
    }
    case T.BadString:
    case T.BadUrl:
      return { type: "bad", ...where };
    default:
      return { type: "delim", value: raw, ...where };
  }
}

/** Whether a component is this delimiter. */
export function isDelim(component: Component | undefined, value: string): boolean {
  return component?.type === "delim" && component.value === value;
}

/** The address in `url(…)`, whether it stands in quotes or not; null for what is none (CSS Values 4, 4.5). */
export function addressIn(component: Component | undefined): string | null {
  if (component?.type === "url") return component.value;
  const [inside] = component?.type === "function" && component.name === "url" ? component.args : [];
  return inside?.type === "string" ? inside.value : null;
}

/** Whether a component is this keyword, in whatever letters. @param keyword in lower case */
export function isKeyword(component: Component | undefined, keyword: string): boolean {
  return component?.type === "ident" && component.name.toLowerCase() === keyword;
}

/** The lower-case name when the list is a single identifier, else null. */
export function soleKeyword(components: readonly Component[]): string | null {
  const only = components[0];
  return components.length === 1 && only?.type === "ident" ? only.name.toLowerCase() : null;
}

/** Splits at a delimiter on the top level; an empty list gives one empty part. */
export function splitAt(components: readonly Component[], delimiter: string): Component[][] {
  const parts: Component[][] = [[]];
  for (const component of components) {
    if (isDelim(component, delimiter)) parts.push([]);
    else parts[parts.length - 1]!.push(component);
  }
  return parts;
}
