/** A sheet's rules in order, nesting and conditional groups unfolded; independent of page and conditions. */
import { table } from "../source/table";
import { addressIn, componentsOf, splitAt, type Component } from "../source/css/components";
import type { Namespace } from "../source/html/document";
import type { AtRule, Declaration, Item, StyleRule } from "../source/css/syntax";
import { layerWithin } from "./layerOrder";
import { registeredBy } from "./registration";
import { SelectorError, parseSelectorList, tryParseSelectorList } from "./selectors/parse";
import type { Selector } from "./selectors/types";
import { matchesSupports } from "./supports";

/** A run of declarations with all that decides whether they apply. */
export interface RuleEntry {
  /** The rule the declarations stand in; for a group nested in a style rule, that style rule. */
  rule: StyleRule;
  selectors: readonly Selector[];
  declarations: readonly Declaration[];
  conditions: RuleConditions;
  /** Full name within the sheet, parts joined by dots; null for none. */
  layer: string | null;
}

export interface RuleConditions {
  media: readonly string[];
  supports: readonly string[];
  /** Whether all the supports conditions hold; they are the same for every page. */
  supported: boolean;
  containers: readonly string[];
  scopes: readonly ScopeLimits[];
}

/** `@scope (start) to (end)`; a null start is the parent of the element that owns the sheet (CSS Cascade 6, 2.5). */
export interface ScopeLimits {
  start: readonly Selector[] | null;
  end: readonly Selector[] | null;
}

/** A layer named on its own, which fixes its place among the layers (CSS Cascade 5, 6.4). */
export interface LayerStatement {
  layer: string;
  conditions: RuleConditions;
}

export interface RegisteredProperty {
  name: string;
  syntax: string;
  inherits: boolean;
  initial: string | null;
}

export interface InvalidSelector {
  rule: StyleRule;
  message: string;
  /** Offset into the sheet's text. */
  offset: number;
}

export interface SheetRules {
  steps: readonly (RuleEntry | LayerStatement)[];
  registered: readonly RegisteredProperty[];
  fontFaces: readonly AtRule[];
  invalidSelectors: readonly InvalidSelector[];
}

/** Whether a step is a rule, not the statement of a layer. */
export function isEntry(step: RuleEntry | LayerStatement): step is RuleEntry {
  return "selectors" in step;
}

const namespaceUris: Readonly<Record<string, Namespace>> = table({
  "http://www.w3.org/1999/xhtml": "html",
  "http://www.w3.org/2000/svg": "svg",
  "http://www.w3.org/1998/Math/MathML": "math",
});

const scopeRoot = parseSelectorList(":where(:scope)", { parent: null, nested: true, scoped: true });
const topLevel: readonly Selector[] = [];
const selectorLists = new WeakMap<readonly Selector[], Map<string, readonly Selector[]>>();
const mostLists = 20_000;

const known = new WeakMap<readonly Item[], SheetRules>();

/** The rules of a sheet with the conditions, layers and scopes they stand in, in order; read once for equal items. */
export function rulesOf(items: readonly Item[]): SheetRules {
  let rules = known.get(items);
  if (!rules) {
    rules = new Unfolder().unfold(items);
    known.set(items, rules);
  }
  return rules;
}

interface Place {
  parent: readonly Selector[] | null;
  rule: StyleRule | null;
  conditions: RuleConditions;
  layer: string | null;
}

const noConditions: RuleConditions = { media: [], supports: [], supported: true, containers: [], scopes: [] };

class Unfolder {
  private readonly steps: (RuleEntry | LayerStatement)[] = [];
  private readonly registered: RegisteredProperty[] = [];
  private readonly fontFaces: AtRule[] = [];
  private readonly invalidSelectors: InvalidSelector[] = [];
  private readonly namespaces = new Map<string, Namespace | "none">();
  private anonymous = 0;

  unfold(items: readonly Item[]): SheetRules {
    this.list(items, { parent: null, rule: null, conditions: noConditions, layer: null });
    return {
      steps: this.steps,
      registered: this.registered,
      fontFaces: this.fontFaces,
      invalidSelectors: this.invalidSelectors,
    };
  }

  /** Declarations between nested rules keep their place in the order (CSS Nesting 1, 4). */
  private list(items: readonly Item[], place: Place): void {
    let run: Declaration[] = [];
    const close = () => {
      if (run.length > 0 && place.rule && place.parent) {
        this.steps.push({
          rule: place.rule,
          selectors: place.parent,
          declarations: run,
          conditions: place.conditions,
          layer: place.layer,
        });
      }
      run = [];
    };
    for (const item of items) {
      if (item.kind === "declaration") run.push(item);
      else if (item.kind === "style") {
        close();
        this.style(item, place);
      } else if (item.kind === "at") {
        close();
        this.at(item, place);
      }
    }
    close();
  }

  private style(rule: StyleRule, place: Place): void {
    try {
      const selectors = this.selectors(rule.preludeText, place);
      this.list(rule.items, { ...place, parent: selectors, rule });
    } catch (error) {
      if (!(error instanceof SelectorError)) throw error;
      this.invalidSelectors.push({ rule, message: error.message, offset: rule.prelude.start + error.offset });
    }
  }

  /** Lists are shared by rules that read alike, also between versions of a sheet. */
  private selectors(text: string, { parent, conditions }: Place): readonly Selector[] {
    const scoped = conditions.scopes.length > 0;
    const parse = () =>
      parseSelectorList(text, {
        parent,
        nested: parent !== null || scoped,
        scoped: parent === null,
        namespaces: this.namespaces,
      });
    if (this.namespaces.size > 0 || scoped) return parse();
    const key = parent ?? topLevel;
    let lists = selectorLists.get(key);
    if (!lists) selectorLists.set(key, (lists = new Map()));
    let list = lists.get(text);
    if (!list) {
      list = parse();
      if (lists.size >= mostLists) lists.clear();
      lists.set(text, list);
    }
    return list;
  }

  private at(rule: AtRule, place: Place): void {
    const { conditions } = place;
    switch (rule.name) {
      case "media":
        this.list(rule.items, {
          ...place,
          conditions: { ...conditions, media: [...conditions.media, rule.preludeText] },
        });
        return;
      case "supports": {
        const supported = conditions.supported && matchesSupports(rule.preludeText);
        const supports = [...conditions.supports, rule.preludeText];
        this.list(rule.items, { ...place, conditions: { ...conditions, supports, supported } });
        return;
      }
      case "container":
        this.list(rule.items, {
          ...place,
          conditions: { ...conditions, containers: [...conditions.containers, rule.preludeText] },
        });
        return;
      case "starting-style":
        return;
      case "layer":
        this.layer(rule, place);
        return;
      case "scope":
        this.scope(rule, place);
        return;
      case "property":
        this.register(rule);
        return;
      case "font-face":
        if (rule.block) this.fontFaces.push(rule);
        return;
      case "namespace": {
        const [first, second] = componentsOf(rule.preludeText);
        const address = second ?? first;
        const uri = address?.type === "string" ? address.value : addressIn(address);
        if (uri !== null) this.namespaces.set(first?.type === "ident" ? first.name : "", namespaceUris[uri] ?? "none");
        return;
      }
    }
  }

  private layer(rule: AtRule, place: Place): void {
    const names = layerNames(rule);
    if (!rule.block) {
      for (const name of names)
        if (name) this.steps.push({ layer: layerWithin(place.layer, name), conditions: place.conditions });
      return;
    }
    if (names.length > 1 || names[0] === null) return;
    const layer = layerWithin(place.layer, names[0] || `(unnamed ${(this.anonymous += 1)})`);
    this.steps.push({ layer, conditions: place.conditions });
    this.list(rule.items, { ...place, layer });
  }

  private scope(rule: AtRule, place: Place): void {
    const text = rule.preludeText;
    const [first, word, last] = componentsOf(text);
    const inside = (part: Component | undefined) =>
      part?.type === "block" && part.open === "(" ? text.slice(part.start + 1, part.end - 1) : null;
    const to = first?.type === "ident" ? first : word;
    const startText = first?.type === "ident" ? null : inside(first);
    const endText = to ? inside(first?.type === "ident" ? word : last) : null;
    if (text !== "" && startText === null && endText === null) return;
    const scoped = place.parent === null;
    const nested = !scoped || place.conditions.scopes.length > 0;
    const start = startText === null ? null : tryParseSelectorList(startText, { parent: place.parent, nested, scoped });
    const end = endText === null ? null : tryParseSelectorList(endText, { parent: null, nested: true, scoped: true });
    if ((startText !== null && !start) || (endText !== null && !end)) return;
    const scopes = [...place.conditions.scopes, { start, end }];
    const conditions = { ...place.conditions, scopes };
    this.list(rule.items, { ...place, parent: null, conditions });
    this.bare(rule, { ...place, conditions });
  }

  /** Declarations that stand in a scope without a rule are its root's, of no specificity (CSS Cascade 6, 2.5.2). */
  private bare(rule: AtRule, { conditions, layer }: Place): void {
    const declarations = rule.items.filter((item) => item.kind === "declaration");
    if (declarations.length === 0 || !rule.block) return;
    this.steps.push({
      rule: { ...rule, kind: "style", preludeText: `@scope ${rule.preludeText}`.trim(), block: rule.block },
      selectors: scopeRoot,
      declarations,
      conditions,
      layer,
    });
  }

  private register(rule: AtRule): void {
    const property = registeredBy(rule);
    if (property) this.registered.push(property);
  }
}

/** What layers a rule names: "" for none, null for one that is not valid. */
export const layerNames = ({ preludeText }: AtRule): (string | null)[] =>
  splitAt(componentsOf(preludeText), ",").map((part) => layerName(part, preludeText));

function layerName(parts: readonly Component[], text: string): string | null {
  if (parts.length === 0) return "";
  const well = parts.every((part, at) =>
    at % 2 === 0 ? part.type === "ident" : part.type === "delim" && part.value === "." && !part.spaced,
  );
  return well && parts.length % 2 === 1 ? text.slice(parts[0]!.start, parts[parts.length - 1]!.end) : null;
}
