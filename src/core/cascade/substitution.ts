/**
 * Functions that stand for other text: `var()`, `env()`, `attr()` and `if()` (CSS Values 5, 7; CSS Variables 1, 3), and
 * those that count siblings (CSS Values 5, 9). What they come to is known element by element.
 */
import { string } from "css-tree/utils";
import { componentsOf, isDelim, isKeyword, splitAt, type Component, type ComponentOf } from "../source/css/components";
import { table } from "../source/table";
import { evaluateCondition, type Truth } from "./media";
import { fitsSyntax } from "./registered";
import { styleQuery, type KnownSyntax, type StyleAsked } from "./styleQuery";

/** What the functions may ask for. */
export interface Sources {
  /** The text of a custom property; null for one without a value, undefined where what falls back is not asked, either. */
  variable(name: string): string | null | undefined;
  /** Of a custom property that is registered with a syntax; null for others. */
  syntax(name: string): KnownSyntax | null;
  /** The value of the element's attribute; null where it has none. */
  attribute(name: string): string | null;
  /** Whether a media condition holds. */
  media(text: string): boolean;
  /** Whether a condition of support holds. */
  supports(text: string): boolean;
  /** Where the element stands among its siblings, from 1, and how many they are; null leaves the functions in the text. */
  siblings: (() => { index: number; count: number }) | null;
}

interface Substitute {
  /** Whether its arguments can be read at all; where not, the declaration is not valid. */
  isWellFormed(args: readonly Component[]): boolean;
  /** The text it stands for; null where it has no value. */
  textOf(component: ComponentOf<"function">, text: string, sources: Sources, depth: number): string | null;
}

/** Longer texts than this are refused, so that references cannot be made to explode (CSS Variables 1, 3.3). */
const longest = 1_000_000;
/** Fallbacks in fallbacks deeper than this have no value. */
const deepest = 200;

/** A value's text with every such function replaced; null when one has no value and no fallback. */
export function substitute(text: string, sources: Sources, depth = 0): string | null {
  if (depth > deepest) return null;
  const parts: string[] = [];
  let length = 0;
  let at = 0;
  let last = "";
  let lacking = false;
  const put = (piece: string): boolean => {
    if (piece === "") return true;
    if (growTogether(last, piece)) parts.push("/**/");
    parts.push(piece);
    last = piece;
    length += piece.length;
    return length <= longest;
  };
  const walk = (components: readonly Component[]): boolean => {
    for (const component of components) {
      const kind = component.type === "function" ? substitutes[component.name] : undefined;
      if (component.type === "function" && kind) {
        if (!put(text.slice(at, component.start))) return false;
        const value = kind.textOf(component, text, sources, depth + 1);
        // What comes after is looked at all the same: it may close a circle.
        if (value === null) lacking = true;
        else if (!put(value)) return false;
        at = component.end;
      } else if (component.type === "function" || component.type === "block") {
        if (!walk(component.args)) return false;
      }
    }
    return true;
  };
  if (!walk(componentsOf(text)) || lacking) return null;
  return put(text.slice(at)) ? parts.join("") : null;
}

const substitutionBy = (name: string) => (counting.has(name) ? "counted" : "some");

/** Whether a value holds such a function; "malformed" where one cannot be read, "counted" where all count siblings. */
export function substitutionsIn(components: readonly Component[]): "none" | "counted" | "some" | "malformed" {
  let found: "none" | "counted" | "some" = "none";
  for (const part of components) {
    if (part.type !== "function" && part.type !== "block") continue;
    const kind = part.type === "function" ? substitutes[part.name] : undefined;
    if (kind && !kind.isWellFormed(part.args)) return "malformed";
    const inside = substitutionsIn(part.args);
    if (inside === "malformed") return inside;
    const own = kind && part.type === "function" ? substitutionBy(part.name) : "none";
    if (own === "some" || inside === "some") found = "some";
    else if (found === "none") found = own === "none" ? inside : own;
  }
  return found;
}

/** What a value that counts siblings comes to where there are none. */
export function countedAlone(text: string): string {
  return substitute(text, { ...nothing, siblings: () => ({ index: 1, count: 1 }) }) ?? text;
}

const nothing: Sources = {
  variable: () => null,
  syntax: () => null,
  attribute: () => null,
  media: () => false,
  supports: () => false,
  siblings: null,
};

const number = String.raw`[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?`;
const nameStart = String.raw`(?:--|-?(?:[a-z_\u0080-\uffff]|\\[^\n]))`;
const nameEnd = String.raw`(?:[\w\u0080-\uffff-]|\\.|\\[\da-f]+ )`;
const startsName = new RegExp(`^${nameStart}`, "i");
const startsNumber = new RegExp(`^${number}`, "i");
const endsNumber = new RegExp(`(?<!${nameEnd}|[#@])${number}$`, "i");
const endsName = new RegExp(`${nameEnd}$`, "i");
/** That name is not the one of an at-rule or a hash, nor a unit. */
const endsIdent = new RegExp(`(?<!${nameEnd}|[#@])${nameStart}${nameEnd}*$`, "i");

/** Characters of a text that tell which token it ends with; texts may be long. */
const telling = 64;

/** Whether the last token of a text and the first of another would be read as others (CSS Syntax 3, 9). */
function growTogether(text: string, after: string): boolean {
  const before = text.slice(-telling);
  if (!/[^\s)\]}"',;:!<>=]$/.test(before) || !/^[^\s)\]}"',;:!<>={[]/.test(after)) return false;
  const amount = startsNumber.test(after);
  const name = startsName.test(after);
  if (endsNumber.test(before)) return amount || name || after.startsWith("%");
  if (endsName.test(before) && before !== "-")
    return amount || name || after.startsWith("-") || (after.startsWith("(") && endsIdent.test(before));
  if (/[#-]$/.test(before)) return amount || name || after.startsWith("-");
  if (before.endsWith("@")) return name || after.startsWith("-");
  if (/[.+]$/.test(before)) return amount;
  return before.endsWith("/") && after.startsWith("*");
}

/** The text between a function's parentheses from some place on; the last of them may be missing. */
function argumentsFrom(start: number, { end }: ComponentOf<"function">, text: string): string {
  return text.slice(start, text[end - 1] === ")" ? end - 1 : end);
}

const isCustomName = (part: Component | undefined) => part?.type === "ident" && part.name.startsWith("--");

const variable: Substitute = {
  isWellFormed: ([name, comma]) => isCustomName(name) && (!comma || isDelim(comma, ",")),
  textOf(component, text, sources, depth) {
    const [name, comma] = component.args;
    if (name?.type !== "ident") return null;
    const value = sources.variable(name.name);
    if (value === undefined) return null;
    // A fallback that is not taken is not looked at, so it closes no circle.
    return value ?? (comma ? substitute(argumentsFrom(comma.end, component, text), sources, depth) : null);
  },
};

const sides = ["top", "right", "bottom", "left"];

/** What is told of a device whose whole screen can be used, and of a reader who has not asked for larger texts. */
const environments: Readonly<Record<string, string>> = table({
  ...Object.fromEntries(
    [
      ...sides.flatMap((side) => [`safe-area-inset-${side}`, `safe-area-max-inset-${side}`]),
      ...[...sides, "width", "height"].map((part) => `keyboard-inset-${part}`),
    ].map((name) => [name, "0px"]),
  ),
  "preferred-text-scale": "1",
});

/** CSS Environment Variables 1, 2 and 3 */
const environment: Substitute = {
  isWellFormed([name, ...more]) {
    if (name?.type !== "ident") return false;
    const end = more.findIndex((part) => isDelim(part, ","));
    return more.slice(0, end < 0 ? undefined : end).every(isCount);
  },
  textOf(component, text, sources, depth) {
    const [name, second] = component.args;
    const known = name?.type === "ident" && (!second || isDelim(second, ",")) ? environments[name.name] : undefined;
    if (known !== undefined) return known;
    const comma = component.args.find((part) => isDelim(part, ","));
    return comma ? substitute(argumentsFrom(comma.end, component, text), sources, depth) : null;
  },
};

const isCount = (part: Component) => part.type === "number" && part.integer && part.value >= 0;

/** CSS Values 5, 7.7 */
const attribute: Substitute = {
  isWellFormed(args) {
    const [name, kind] = args;
    if (name?.type !== "ident") return false;
    if (!kind || isDelim(kind, ",")) return true;
    return (
      (kind.type === "ident" || isDelim(kind, "%") || (kind.type === "function" && kind.name === "type")) &&
      (args.length === 2 || isDelim(args[2], ","))
    );
  },
  textOf(component, text, sources, depth) {
    const [name, second] = component.args;
    if (name?.type !== "ident") return null;
    const kind = second && !isDelim(second, ",") ? second : null;
    const comma = component.args.find((part) => isDelim(part, ","));
    const plain = kind === null || isKeyword(kind, "raw-string");
    const written = sources.attribute(name.name);
    const read = (value: string) => (plain ? string.encode(value) : typed(value, kind, text, sources, depth));
    const value = written === null ? null : read(written);
    if (value !== null) return value;
    if (comma) return substitute(argumentsFrom(comma.end, component, text), sources, depth);
    return plain ? "''" : null;
  },
};

/** An attribute's value as what it is said to be; null where it is not. */
function typed(written: string, kind: Component, text: string, sources: Sources, depth: number): string | null {
  if (kind.type === "function") {
    const value = substitute(written, sources, depth);
    const syntax = text.slice(kind.start + "type(".length, kind.end - 1);
    return value !== null && fitsSyntax(syntax, value) ? value.trim() : null;
  }
  const [number, ...more] = componentsOf(written);
  if (number?.type !== "number" || number.start > 0 || more.length) return null;
  const digits = written.slice(number.start, number.end);
  if (isKeyword(kind, "number")) return digits;
  return `${digits}${kind.type === "ident" ? kind.name : "%"}`;
}

interface Branch {
  condition: readonly Component[];
  start: number;
  end: number;
}

/** CSS Values 5, 7.6 */
const choice: Substitute = {
  isWellFormed(args) {
    const branches = branchesOf(args);
    return (
      branches !== null &&
      branches.length > 0 &&
      branches.every(({ condition }) => isElse(condition) || isCondition(condition))
    );
  },
  textOf(component, text, sources, depth) {
    const asked: StyleAsked = {
      custom: (name) => sources.variable(name) ?? null,
      // Whether there is a value at all is asked here, be it the first one (Chromium 156; not so in `@container`).
      syntax: (name) => withoutInitial(sources.syntax(name)),
    };
    const answer = (part: Component): Truth => {
      if (part.type === "block") return evaluateCondition(part.args, answer) ?? "unknown";
      if (part.type !== "function") return "unknown";
      const inside = text.slice(part.start + part.name.length + 1, part.end - 1);
      if (part.name === "media") return sources.media(/^\s*[a-z]+\s*$|\(/i.test(inside) ? inside : `(${inside})`);
      if (part.name === "supports") return sources.supports(inside);
      return part.name === "style" ? styleQuery(part.args, text, asked) : "unknown";
    };
    for (const { condition, start, end } of branchesOf(component.args) ?? []) {
      if (isElse(condition) || evaluateCondition(condition, answer) === true)
        return substitute(text.slice(start, end), sources, depth);
    }
    return null;
  },
};

const withoutInitial = (syntax: KnownSyntax | null) => syntax && { ...syntax, initial: null };

const isElse = (condition: readonly Component[]) => condition.length === 1 && isKeyword(condition[0], "else");

/** Whether a condition can be read, whatever it comes to. */
function isCondition(parts: readonly Component[]): boolean {
  const isPart = (part: Component): Truth =>
    part.type === "block"
      ? isCondition(part.args)
      : part.type === "function" && /^(?:media|supports|style)$/.test(part.name);
  return evaluateCondition(isKeyword(parts[0], "not") ? parts.slice(1) : parts, isPart) === true;
}

/** Null where one of them has no colon. */
function branchesOf(args: readonly Component[]): Branch[] | null {
  const parts = splitAt(args, ";");
  if (parts.length > 1 && parts.at(-1)!.length === 0) parts.pop();
  const branches = parts.map((part): Branch | null => {
    const colon = part.findIndex((one) => isDelim(one, ":"));
    if (colon < 1) return null;
    return { condition: part.slice(0, colon), start: part[colon]!.end, end: part.at(-1)!.end };
  });
  return branches.some((branch) => branch === null) ? null : (branches as Branch[]);
}

function counted(of: "index" | "count"): Substitute {
  return {
    isWellFormed: (args) => args.length === 0,
    textOf: ({ name }, _, { siblings }) => (siblings ? String(siblings()[of]) : `${name}()`),
  };
}

const substitutes: Readonly<Record<string, Substitute>> = table({
  var: variable,
  env: environment,
  attr: attribute,
  if: choice,
  "sibling-index": counted("index"),
  "sibling-count": counted("count"),
});
const counting: ReadonlySet<string> = new Set(["sibling-index", "sibling-count"]);
