/** Reads selectors (Selectors 4; CSS Nesting 1). */
import { componentsOf, isDelim, isKeyword, splitAt, type Component } from "../../source/css/components";
import type { Namespace } from "../../source/html/document";
import { forcedStates, neverStates, ownStates, states } from "./states";
import {
  compareSpecificity,
  type AttributeOperator,
  type Combinator,
  type Compound,
  type NthKind,
  type Selector,
  type SimpleSelector,
  type Specificity,
} from "./types";

/** Why a selector is not valid, and where in its text. */
export class SelectorError extends Error {
  constructor(
    message: string,
    readonly offset: number,
  ) {
    super(message);
  }
}

export interface ParseOptions {
  /** The selectors `&` stands for; null at the top level, where it is `:scope`. */
  parent?: readonly Selector[] | null;
  /** Whether selectors may start with a combinator and stand for descendants of the parent otherwise. */
  nested?: boolean;
  /** Whether the parent is the root of a scope: `:scope` then counts as `&` does (CSS Cascade 6, 2.5.2). */
  scoped?: boolean;
  /** Namespaces declared by the sheet, by prefix, the default one under ""; other prefixes make a selector invalid. */
  namespaces?: ReadonlyMap<string, Namespace | "none">;
  /** Whether lists that let go of what is wrong do not: what is asked for is all of it (CSS Conditional 4, 2). */
  strict?: boolean;
}

/**
 * A selector list. @throws SelectorError in plain words; one invalid selector makes the list invalid
 * (Selectors 4, 4.1).
 */
export function parseSelectorList(text: string, options: ParseOptions = {}): Selector[] {
  const components = componentsOf(text);
  const reader = new SelectorReader(text, options);
  return splitAt(components, ",").map((part) => reader.complex(part, options.nested ? "nested" : "absolute"));
}

/** The selector list, or null when it is not valid. */
export function tryParseSelectorList(text: string, options: ParseOptions = {}): Selector[] | null {
  try {
    return parseSelectorList(text, options);
  } catch (error) {
    if (error instanceof SelectorError) return null;
    throw error;
  }
}

const nothing: Specificity = [0, 0, 0];
const combinators = new Set([">", "+", "~"]);
const legacyPseudoElements = new Set(["before", "after", "first-line", "first-letter"]);
const pseudoElements = new Set([
  ...legacyPseudoElements,
  "marker",
  "placeholder",
  "selection",
  "backdrop",
  "file-selector-button",
  "cue",
  "target-text",
  "spelling-error",
  "grammar-error",
  "search-text",
  "details-content",
  "view-transition",
  "scroll-marker",
  "scroll-marker-group",
  "column",
  "checkmark",
  "picker-icon",
]);
const functionalPseudoElements = new Set([
  "part",
  "slotted",
  "highlight",
  "cue",
  "view-transition-group",
  "view-transition-image-pair",
  "view-transition-old",
  "view-transition-new",
  "scroll-button",
  "picker",
]);
/** Deeper `:is(:is(…` than this is refused rather than followed. */
const deepest = 64;

/** A simple selector with what it weighs. */
interface SimpleRead {
  simple: SimpleSelector;
  specificity: Specificity;
  usesNesting: boolean;
}

const plain = (simple: SimpleSelector): SimpleRead => ({ simple, specificity: [0, 1, 0], usesNesting: false });

/** What was read of a compound. */
class CompoundRead {
  readonly simples: SimpleSelector[] = [];
  specificity: Specificity = nothing;
  pseudoElement: string | null = null;
  usesNesting = false;

  take(simple: SimpleSelector, weight: Specificity): void {
    this.simples.push(simple);
    this.specificity = add(this.specificity, weight);
  }

  add({ simple, specificity, usesNesting }: SimpleRead): void {
    this.take(simple, specificity);
    this.usesNesting ||= usesNesting;
  }

  takePseudoElement(name: string): void {
    this.pseudoElement = name;
    this.specificity = add(this.specificity, [0, 0, 1]);
  }
}

class SelectorReader {
  private depth = 0;

  constructor(
    private readonly text: string,
    private readonly options: ParseOptions,
  ) {}

  complex(parts: readonly Component[], mode: "absolute" | "relative" | "nested"): Selector {
    const first = parts[0];
    if (!first) this.fail("A selector is missing.", 0);
    const compounds: Compound[] = [];
    const joins: Combinator[] = [];
    let leading: Combinator | null = null;
    let pseudoElement: string | null = null;
    let specificity: Specificity = nothing;
    let at = 0;
    const combinatorAt = (): Combinator | null => {
      const part = parts[at];
      if (part?.type === "delim" && combinators.has(part.value)) {
        at += 1;
        return part.value as Combinator;
      }
      return null;
    };
    if (mode !== "absolute") leading = combinatorAt();
    let usesNesting = false;
    while (at < parts.length) {
      if (pseudoElement !== null) this.fail("Nothing can follow a pseudo-element.", parts[at]!.start);
      const read = this.compound(parts, at);
      at = read.next;
      compounds.push({ simples: read.simples, namespace: read.namespace });
      pseudoElement = read.pseudoElement;
      specificity = add(specificity, read.specificity);
      usesNesting ||= read.usesNesting;
      if (at >= parts.length) break;
      const join = combinatorAt() ?? (parts[at]!.spaced ? " " : null);
      if (!join) this.fail("This does not belong in a selector.", parts[at]!.start);
      joins.push(join);
      if (at >= parts.length) this.fail("A selector cannot end with a combinator.", parts[at - 1]!.start);
    }
    if (compounds.length === 0) this.fail("A selector is missing after the combinator.", first!.start);
    const text = this.text.slice(first!.start, parts[parts.length - 1]!.end);
    if (mode === "nested" && (leading !== null || !usesNesting)) {
      const nesting = this.nesting();
      return {
        text,
        compounds: [{ simples: [nesting.simple], namespace: null }, ...compounds],
        combinators: [leading ?? " ", ...joins],
        leading: null,
        pseudoElement,
        specificity: add(nesting.specificity, specificity),
      };
    }
    return {
      text,
      compounds,
      combinators: joins,
      leading: mode === "relative" ? (leading ?? " ") : null,
      pseudoElement,
      specificity,
    };
  }

  private compound(parts: readonly Component[], from: number) {
    const read = new CompoundRead();
    let at = from;
    const type = this.typeSelector(parts, at);
    const namespace = type ? type.namespace : (this.options.namespaces?.get("") ?? null);
    if (type) {
      read.take(type.simple, type.simple.kind === "type" ? [0, 0, 1] : nothing);
      at = type.next;
    }
    while (at < parts.length) {
      const part = parts[at]!;
      if (at > from && part.spaced) break;
      if (part.type === "delim" && (combinators.has(part.value) || part.value === ",")) break;
      if (read.pseudoElement !== null && !isDelim(part, ":"))
        this.fail("Nothing can follow a pseudo-element.", part.start);
      at = this.simple(parts, at, read);
    }
    if (at === from) this.fail("A selector is missing.", parts[from]!.start);
    const { simples, specificity, pseudoElement, usesNesting } = read;
    return { simples, namespace, specificity, pseudoElement, usesNesting, next: at };
  }

  /** Reads one simple selector. @returns where the next begins */
  private simple(parts: readonly Component[], at: number, read: CompoundRead): number {
    const part = parts[at]!;
    if (isDelim(part, ":")) return this.pseudo(parts, at, read);
    if (part.type === "hash") {
      if (!/^#(?:-?(?:[_a-z\u0080-\uffff]|\\[^\n])|--)/i.test(this.text.slice(part.start, part.end)))
        this.fail("An id in a selector cannot start with a digit.", part.start);
      read.take({ kind: "id", name: part.value }, [1, 0, 0]);
    } else if (isDelim(part, ".")) {
      const name = parts[at + 1];
      if (name?.type !== "ident" || name.spaced) this.fail("A class name must follow the full stop.", part.start);
      read.take({ kind: "class", name: (name as Component & { name: string }).name }, [0, 1, 0]);
      return at + 2;
    } else if (part.type === "block" && part.open === "[") {
      read.take(this.attribute(part), [0, 1, 0]);
    } else if (isDelim(part, "&")) {
      read.add({ ...this.nesting(), usesNesting: true });
    } else if (part.type === "ident") this.fail(`A type such as "${part.name}" must stand first.`, part.start);
    else this.fail("This does not belong in a selector.", part.start);
    return at + 1;
  }

  /** Reads a pseudo-class or pseudo-element from its colon on. @returns where the next simple selector begins */
  private pseudo(parts: readonly Component[], at: number, read: CompoundRead): number {
    const double = isDelim(parts[at + 1], ":") && !parts[at + 1]!.spaced;
    const nameAt = at + (double ? 2 : 1);
    const name = parts[nameAt];
    if (!name || name.spaced || (name.type !== "ident" && name.type !== "function"))
      this.fail("The name of a pseudo-class or pseudo-element must follow the colon.", parts[at]!.start);
    const word = (name as Component & { name: string }).name.toLowerCase();
    if (double || (name!.type === "ident" && legacyPseudoElements.has(word))) {
      this.checkPseudoElement(name!, word);
      read.takePseudoElement(word === "-webkit-input-placeholder" ? "placeholder" : word);
    } else if (read.pseudoElement !== null) {
      // A state of the pseudo-element itself, like ::-webkit-scrollbar-thumb:hover.
      read.take({ kind: "never" }, [0, 1, 0]);
    } else {
      const pseudo = this.pseudoClass(name!, word);
      const usesNesting = pseudo.usesNesting || (this.options.scoped === true && word === "scope");
      read.add({ ...pseudo, usesNesting });
    }
    return nameAt + 1;
  }

  private typeSelector(
    parts: readonly Component[],
    at: number,
  ): { simple: SimpleSelector; namespace: Compound["namespace"]; next: number } | null {
    const name = (part: Component | undefined) => {
      if (part?.type === "ident") return part.name;
      return isDelim(part, "*") ? "*" : null;
    };
    let prefix: string | null = null;
    let local = name(parts[at]);
    let next = at + 1;
    const after = local !== null && isDelim(parts[at + 1], "|") && !parts[at + 1]!.spaced ? at + 1 : -1;
    const bar = isDelim(parts[at], "|") ? at : after;
    if (bar >= 0) {
      prefix = bar === at ? "" : local;
      local = parts[bar + 1]?.spaced ? null : name(parts[bar + 1]);
      next = bar + 2;
      if (local === null) this.fail("A type must follow the namespace prefix.", parts[bar]!.start);
      if (prefix && prefix !== "*" && !this.options.namespaces?.has(prefix)) {
        this.fail(`The namespace prefix "${prefix}" is not declared.`, parts[at]!.start);
      }
    }
    if (local === null) return null;
    const named = prefix === "*" ? null : (this.options.namespaces?.get(prefix ?? "") ?? null);
    const namespace = prefix === "" ? "none" : named;
    if (local === "*") return { simple: { kind: "universal" }, namespace, next };
    return { simple: { kind: "type", name: local!, lower: local!.toLowerCase() }, namespace, next };
  }

  private attribute(block: Component & { args: Component[] }): SimpleSelector {
    const parts = [...block.args];
    if (isDelim(parts[1], "|") && parts[2]?.type === "ident") {
      const [prefix] = parts.splice(0, 2);
      if (prefix!.type === "ident" && !this.options.namespaces?.has(prefix!.name))
        this.fail(`The namespace prefix "${prefix!.name}" is not declared.`, prefix!.start);
    } else if (isDelim(parts[0], "|")) parts.shift();
    const name = parts.shift();
    if (name?.type !== "ident") this.fail("An attribute name is missing.", block.start);
    const base = {
      kind: "attribute" as const,
      name: (name as { name: string }).name,
      lower: (name as { name: string }).name.toLowerCase(),
    };
    if (parts.length === 0) return { ...base, operator: null, value: "", flag: null };
    let operator = "";
    while (parts[0]?.type === "delim" && operator.length < 2 && !operator.endsWith("="))
      operator += (parts.shift() as { value: string }).value;
    if (!["=", "~=", "|=", "^=", "$=", "*="].includes(operator))
      this.fail(`"${operator}" does not compare attributes.`, block.start);
    const value = parts.shift();
    if (value?.type !== "string" && value?.type !== "ident")
      this.fail("The attribute's value must be a word or stand in quotes.", block.start);
    let flag: "i" | null = null;
    const last = parts.shift();
    if (last) {
      const letter = last.type === "ident" ? last.name.toLowerCase() : "";
      if (letter !== "i" || parts.length > 0) this.fail("Only i can follow the attribute's value.", last.start);
      flag = letter;
    }
    const text = value!.type === "string" ? value.value : (value as { name: string }).name;
    return { ...base, operator: operator as AttributeOperator, value: text, flag };
  }

  private checkPseudoElement(part: Component, word: string): void {
    const known = part.type === "function" ? functionalPseudoElements.has(word) : pseudoElements.has(word);
    if (!known && !(part.type === "ident" && word.startsWith("-webkit-"))) {
      this.fail(`::${word} is not a pseudo-element.`, part.start);
    }
  }

  private pseudoClass(part: Component, word: string): SimpleRead {
    if (part.type !== "function") return plain(this.plainPseudoClass(part, word));
    const { args } = part;
    switch (word) {
      case "is":
      case "where":
      case "-webkit-any":
        return this.matchesAny(part, args, word);
      case "not": {
        const { list, usesNesting } = this.list(args, "absolute", false);
        return { simple: { kind: "not", list }, specificity: greatest(list), usesNesting };
      }
      case "has":
        return this.has(part, args);
      case "nth-child":
      case "nth-last-child":
      case "nth-of-type":
      case "nth-last-of-type":
        return this.nth(part, args, word.slice(4) as NthKind);
      case "lang": {
        // Chromium takes one name; lists and quotes are newer (Selectors 4, 9.2).
        const ranges = splitAt(args, ",").map(([range]) => (range?.type === "ident" ? range.name : null));
        if (ranges.length !== 1 || ranges.includes(null)) this.fail(":lang() takes language codes.", part.start);
        return plain({ kind: "lang", ranges: ranges as string[] });
      }
      case "dir": {
        const direction = args[0]?.type === "ident" ? args[0].name.toLowerCase() : "";
        if (args.length !== 1 || !direction) this.fail(":dir() takes ltr or rtl.", part.start);
        return plain({ kind: "dir", direction });
      }
      case "host":
      case "host-context":
      case "state":
      case "active-view-transition-type":
        return plain({ kind: "never" });
      default:
        return this.fail(`:${word}() is not a pseudo-class.`, part.start);
    }
  }

  private plainPseudoClass({ start }: Component, word: string): SimpleSelector {
    const nth = plainNth[word];
    if (nth) return { kind: "nth", list: null, ...nth };
    if (word === "only-child") return this.both("child", "last-child");
    if (word === "only-of-type") return this.both("of-type", "last-of-type");
    if (states.has(word) || ownStates.has(word) || forcedStates.has(word)) return { kind: "state", name: word };
    if (neverStates.has(word)) return { kind: "never" };
    return this.fail(`:${word} is not a pseudo-class.`, start);
  }

  /** The first from either side. */
  private both(...kinds: NthKind[]): SimpleSelector {
    const list = kinds.map((of) => this.wrap({ kind: "nth", of, step: 0, offset: 1, list: null }));
    const simples = list.flatMap(({ compounds }) => compounds[0]!.simples);
    return { kind: "is", list: [{ ...list[0]!, compounds: [{ simples, namespace: null }] }] };
  }

  private matchesAny(part: Component, args: readonly Component[], word: "is" | "where" | "-webkit-any"): SimpleRead {
    const { list, usesNesting } = this.list(args, "absolute", true);
    // The older name takes no combinators, and is not forgiving.
    if (word === "-webkit-any" && (list.some(({ combinators: joins }) => joins.length > 0) || list.length === 0))
      this.fail(":-webkit-any() takes compound selectors.", part.start);
    return { simple: { kind: "is", list }, specificity: word === "where" ? nothing : greatest(list), usesNesting };
  }

  private has(part: Component, args: readonly Component[]): SimpleRead {
    if (this.inHas) this.fail(":has() cannot stand in :has().", part.start);
    this.inHas = true;
    try {
      const { list, usesNesting } = this.list(args, "relative", false);
      return { simple: { kind: "has", list }, specificity: greatest(list), usesNesting };
    } finally {
      this.inHas = false;
    }
  }

  private list(args: readonly Component[], mode: "absolute" | "relative", forgiving: boolean) {
    this.depth += 1;
    if (this.depth > deepest) this.fail("The selector is nested too deeply.", args[0]?.start ?? 0);
    const usesNesting = args.some(
      (arg, at) =>
        mentionsNesting(arg) || (this.options.scoped === true && isDelim(args[at - 1], ":") && isKeyword(arg, "scope")),
    );
    const list: Selector[] = [];
    try {
      for (const part of splitAt(args, ",")) {
        const selector = this.listed(part, mode, forgiving);
        if (selector) list.push(selector);
      }
    } finally {
      this.depth -= 1;
    }
    return { list, usesNesting };
  }

  /** One of a list; null for one that is let go where lists are forgiving (Selectors 4, 5.1). */
  private listed(part: readonly Component[], mode: "absolute" | "relative", forgiving: boolean): Selector | null {
    try {
      const selector = this.complex(part, mode);
      if (selector.pseudoElement !== null) this.fail("A pseudo-element cannot stand here.", part[0]!.start);
      return selector;
    } catch (error) {
      if (!forgiving || this.options.strict || !(error instanceof SelectorError)) throw error;
      return null;
    }
  }

  private nth(part: Component, args: readonly Component[], of: NthKind) {
    const ofWord = args.findIndex((arg) => arg.type === "ident" && arg.name.toLowerCase() === "of");
    const formula = ofWord < 0 ? args : args.slice(0, ofWord);
    if (formula.length === 0) this.fail("A formula such as 2n+1 is missing.", part.start);
    const text = this.text.slice(formula[0]!.start, formula[formula.length - 1]!.end);
    const parsed = parseNth(text);
    if (!parsed) this.fail(`"${text}" is not a formula such as 2n+1.`, formula[0]!.start);
    let list: Selector[] | null = null;
    if (ofWord >= 0) {
      if (of === "of-type" || of === "last-of-type")
        this.fail("Only the child forms take a selector.", args[ofWord]!.start);
      list = this.list(args.slice(ofWord + 1), "absolute", false).list;
    }
    const specificity = add([0, 1, 0], list ? greatest(list) : nothing);
    return { simple: { kind: "nth", of, ...parsed!, list } as SimpleSelector, specificity, usesNesting: false };
  }

  private inHas = false;

  private nesting(): { simple: SimpleSelector; specificity: Specificity } {
    const parent = this.options.parent;
    if (!parent) return { simple: { kind: "state", name: "scope" }, specificity: nothing };
    const list = parent.filter((selector) => selector.pseudoElement === null);
    return { simple: { kind: "is", list }, specificity: greatest(parent) };
  }

  private wrap(simple: SimpleSelector): Selector {
    return {
      text: "",
      compounds: [{ simples: [simple], namespace: null }],
      combinators: [],
      leading: null,
      pseudoElement: null,
      specificity: nothing,
    };
  }

  private fail(message: string, offset: number): never {
    throw new SelectorError(message, offset);
  }
}

const plainNth: Record<string, { of: NthKind; step: number; offset: number }> = {
  "first-child": { of: "child", step: 0, offset: 1 },
  "last-child": { of: "last-child", step: 0, offset: 1 },
  "first-of-type": { of: "of-type", step: 0, offset: 1 },
  "last-of-type": { of: "last-of-type", step: 0, offset: 1 },
};

/** An+B (CSS Syntax 3, section 6). */
function parseNth(text: string): { step: number; offset: number } | null {
  const bare = text
    .trim()
    .toLowerCase()
    .replace(/\/\*[\s\S]*?\*\//g, "");
  if (bare === "odd") return { step: 2, offset: 1 };
  if (bare === "even") return { step: 2, offset: 0 };
  if (/^[+-]?\d+$/.test(bare)) return { step: 0, offset: Number(bare) };
  const match = /^([+-]?\d*)n(?:\s*([+-])\s*(\d+))?$/.exec(bare);
  if (!match) return null;
  const [, a, sign, b] = match;
  const step = Number(/\d/.test(a!) ? a : `${a}1`);
  return { step, offset: b ? Number(sign + b) : 0 };
}

function mentionsNesting(component: Component): boolean {
  if (isDelim(component, "&")) return true;
  return (component.type === "function" || component.type === "block") && component.args.some(mentionsNesting);
}

function add(a: Specificity, b: Specificity): Specificity {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}

function greatest(list: readonly Selector[]): Specificity {
  return list.reduce<Specificity>(
    (most, { specificity }) => (compareSpecificity(specificity, most) > 0 ? specificity : most),
    nothing,
  );
}
