/** Selector matching (Selectors 4) over the element tree. */
import type { ElementNode } from "../../source/html/document";
import { ownStates, states } from "./states";
import { hasRelative } from "./has";
import { memoOf, type NthSelector } from "./memo";
import type { Compound, Selector, SimpleSelector } from "./types";

export interface MatchContext {
  /** In quirks mode classes and ids match in any letter case (Selectors 4, 3.5). */
  quirks: boolean;
  /** What `:scope` is; the root when null. */
  scope: ElementNode | null;
  /** States forced on elements, by index: "hover", "focus" … */
  forced: ReadonlyMap<number, ReadonlySet<string>> | null;
}

/** Whether the element matches; a selector's pseudo-element is left to the caller. */
export function matches(selector: Selector, element: ElementNode, context: MatchContext): boolean {
  return matchesFrom(selector, selector.compounds.length - 1, element, context);
}

function matchesFrom(selector: Selector, at: number, element: ElementNode, context: MatchContext): boolean {
  if (!matchesCompound(selector.compounds[at]!, element, context)) return false;
  if (at === 0) return true;
  switch (selector.combinators[at - 1]) {
    case ">":
      return element.parent !== null && matchesFrom(selector, at - 1, element.parent, context);
    case "+": {
      const before = previous(element);
      return before !== null && matchesFrom(selector, at - 1, before, context);
    }
    case "~":
      for (let before = previous(element); before; before = previous(before)) {
        if (matchesFrom(selector, at - 1, before, context)) return true;
      }
      return false;
    default:
      for (let above = element.parent; above; above = above.parent) {
        if (matchesFrom(selector, at - 1, above, context)) return true;
      }
      return false;
  }
}

function previous(element: ElementNode): ElementNode | null {
  return element.parent && element.position > 0 ? element.parent.children[element.position - 1]! : null;
}

function matchesCompound(compound: Compound, element: ElementNode, context: MatchContext): boolean {
  if (compound.namespace !== null && compound.namespace !== element.namespace) return false;
  for (const simple of compound.simples) if (!matchesSimple(simple, element, context)) return false;
  return true;
}

function matchesSimple(simple: SimpleSelector, element: ElementNode, context: MatchContext): boolean {
  switch (simple.kind) {
    case "universal":
      return true;
    case "type":
      return element.namespace === "html" ? element.tag === simple.lower : element.tag === simple.name;
    case "id":
      return element.id !== null && (element.id === simple.name || (context.quirks && same(element.id, simple.name)));
    case "class":
      return (
        element.classes.includes(simple.name) ||
        (context.quirks && element.classes.some((name) => same(name, simple.name)))
      );
    case "attribute":
      return matchesAttribute(simple, element);
    case "state":
      if (context.forced?.get(element.index)?.has(simple.name)) return true;
      if (simple.name === "scope" && context.scope) return element === context.scope;
      if (simple.name === "focus-within") return holdsFocus(element, context);
      return (states.get(simple.name) ?? ownStates.get(simple.name))?.(element) ?? false;
    case "lang":
      return matchesLang(simple.ranges, element);
    case "dir":
      return directionOf(element) === simple.direction;
    case "nth":
      return matchesNth(simple, element, context);
    case "is":
      return matchesList(simple.list, element, context);
    case "not":
      return !simple.list.some((selector) => matches(selector, element, context));
    case "has":
      return simple.list.some((selector) => hasRelative(selector, element, context, matchesCompound));
    case "never":
      return false;
  }
}

/** Lists nested deeper than this are matched once for each element: nesting can name the same list many times over. */
const shallow = 3;

function matchesList(list: readonly Selector[], element: ElementNode, context: MatchContext): boolean {
  const look = () => list.some((selector) => matches(selector, element, context));
  if (depthOf(list) <= shallow) return look();
  return memoOf(context).lists.of(list, element, look);
}

const depths = new WeakMap<readonly Selector[], number>();

/** How deep lists stand in lists. */
function depthOf(list: readonly Selector[]): number {
  let depth = depths.get(list);
  if (depth === undefined) {
    depth = 1;
    for (const { compounds } of list)
      for (const { simples } of compounds)
        for (const simple of simples) if (simple.kind === "is") depth = Math.max(depth, 1 + depthOf(simple.list));
    depths.set(list, depth);
  }
  return depth;
}

function same(a: string, b: string): boolean {
  return a.length === b.length && asciiLower(a) === asciiLower(b);
}

function asciiLower(text: string): string {
  return text.replace(/[A-Z]+/g, (letters) => letters.toLowerCase());
}

/** Attributes whose values match in any letter case on HTML elements (HTML, 4.16.2). */
const caseless = new Set(
  (
    "accept accept-charset align alink axis bgcolor charset checked clear codetype color compact declare defer dir direction disabled " +
    "enctype face frame hreflang http-equiv lang language link media method multiple nohref noresize noshade nowrap readonly rel rev " +
    "rules scope scrolling selected shape target text type valign valuetype vlink"
  ).split(" "),
);

function matchesAttribute(simple: SimpleSelector & { kind: "attribute" }, element: ElementNode): boolean {
  const html = element.namespace === "html";
  const actual = element.attributes.get(html ? simple.lower : simple.name);
  if (actual === undefined) return false;
  if (simple.operator === null) return true;
  const fold = simple.flag === "i" || (simple.flag === null && html && caseless.has(simple.lower));
  const value = fold ? asciiLower(actual) : actual;
  const wanted = fold ? asciiLower(simple.value) : simple.value;
  switch (simple.operator) {
    case "=":
      return value === wanted;
    case "~=":
      return wanted !== "" && !/[ \t\n\r\f]/.test(wanted) && value.split(/[ \t\n\r\f]+/).includes(wanted);
    case "|=":
      return value === wanted || value.startsWith(`${wanted}-`);
    case "^=":
      return wanted !== "" && value.startsWith(wanted);
    case "$=":
      return wanted !== "" && value.endsWith(wanted);
    case "*=":
      return wanted !== "" && value.includes(wanted);
  }
}

function holdsFocus(element: ElementNode, context: MatchContext): boolean {
  if (!context.forced) return false;
  if (context.forced.get(element.index)?.has("focus")) return true;
  return element.children.some((child) => holdsFocus(child, context));
}

/** As Chromium has it: a language is in a range that is equal to it or ends before a hyphen in it (Selectors 4, 7.2). */
function matchesLang(ranges: readonly string[], element: ElementNode): boolean {
  const language = languageOf(element).toLowerCase();
  return ranges.some((range) => {
    const wanted = range.toLowerCase();
    return wanted !== "" && (language === wanted || language.startsWith(`${wanted}-`));
  });
}

/** The language of an element (HTML, 3.2.6.2); "" when unknown. */
function languageOf(element: ElementNode): string {
  for (let node: ElementNode | null = element; node; node = node.parent) {
    const language = node.attributes.get("xml:lang") ?? node.attributes.get("lang");
    if (language !== undefined) return language;
  }
  return "";
}

/** The direction of an element as its `dir` attributes give it (HTML, 3.2.6.4). */
export function directionOf(element: ElementNode): "ltr" | "rtl" {
  const own = element.namespace === "html" ? element.attributes.get("dir")?.toLowerCase() : undefined;
  if (own === "ltr" || own === "rtl") return own;
  if (own === "auto" || (element.tag === "bdi" && own === undefined)) return autoDirection(element) ?? "ltr";
  return element.parent ? directionOf(element.parent) : "ltr";
}

const rightToLeft = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/;
const strong = /[A-Za-z\u00aa\u00b5\u00ba\u00c0-\u02b8\u0370-\u08ff\u0900-\u1fff\u2c00-\ufdff\ufe70-\ufeff]/;

function autoDirection(element: ElementNode): "ltr" | "rtl" | null {
  for (const node of element.content) {
    if ("text" in node) {
      const letter = strong.exec(node.text);
      if (letter) return rightToLeft.test(letter[0]) ? "rtl" : "ltr";
    } else if (!["bdi", "script", "style", "textarea"].includes(node.tag) && !node.attributes.has("dir")) {
      const inner = autoDirection(node);
      if (inner) return inner;
    }
  }
  return null;
}

function matchesNth(simple: NthSelector, element: ElementNode, context: MatchContext): boolean {
  if (simple.list && !simple.list.some((selector) => matches(selector, element, context))) return false;
  const place = placeOf(simple, element, context);
  if (simple.step === 0) return place === simple.offset;
  const steps = (place - simple.offset) / simple.step;
  return steps >= 0 && Number.isInteger(steps);
}

/** Place among the siblings that count, from 1. */
function placeOf(simple: NthSelector, element: ElementNode, context: MatchContext): number {
  const { parent, position } = element;
  if (!parent) return 1;
  if (simple.of === "child" && !simple.list) return position + 1;
  if (simple.of === "last-child" && !simple.list) return parent.children.length - position;
  return memoOf(context).places.of(simple, parent, () => placesAmong(parent.children, simple, context))[position]!;
}

/** The places of all siblings; those that do not count have that of the last that does. */
function placesAmong(siblings: readonly ElementNode[], simple: NthSelector, context: MatchContext): Uint32Array {
  const places = new Uint32Array(siblings.length);
  const counts = new Map<string, number>();
  const last = simple.of.startsWith("last");
  for (let step = 0; step < siblings.length; step += 1) {
    const at = last ? siblings.length - 1 - step : step;
    const sibling = siblings[at]!;
    const kind = simple.list ? "" : `${sibling.namespace} ${sibling.tag}`;
    const counted = simple.list?.some((selector) => matches(selector, sibling, context)) ?? true;
    const place = (counts.get(kind) ?? 0) + (counted ? 1 : 0);
    counts.set(kind, place);
    places[at] = place;
  }
  return places;
}
