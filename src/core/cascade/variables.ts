/** Custom properties (CSS Custom Properties 1): inheritance, references, cycles. */
import { componentsOf, isDelim, type Component, type ComponentOf } from "../source/css/components";
import type { RegisteredProperty } from "./rules";

/** Resolved texts by name; a name that is missing has the guaranteed-invalid value. */
export type CustomProperties = ReadonlyMap<string, string>;

/** Longer texts than this are refused, so that references cannot be made to explode (2.3, 3.3). */
const longest = 1_000_000;

/** A declared text, null for `initial`, undefined for anything that inherits. */
export type DeclaredText = string | null | undefined;

/** The computed value of a registered property as text; null when the text does not fit its syntax. */
export type ComputeProperty = (property: RegisteredProperty, text: string) => string | null;

export function resolveVariables(
  own: ReadonlyMap<string, DeclaredText>,
  inherited: CustomProperties,
  registered: ReadonlyMap<string, RegisteredProperty>,
  compute: ComputeProperty = (_, text) => text,
): CustomProperties {
  if (own.size === 0 && registered.size === 0) return inherited;
  const result = new Map(inherited);
  const initialOf = (property: RegisteredProperty) =>
    property.initial === null ? null : compute(property, property.initial);
  for (const property of registered.values()) {
    const { name, inherits } = property;
    const initial = initialOf(property);
    if ((!inherits || !result.has(name)) && initial !== null) result.set(name, initial);
    else if (!inherits) result.delete(name);
  }
  const state = new Map<string, "open" | "done">();
  const resolve = (name: string): void => {
    const text = own.get(name);
    if (text === undefined) {
      state.set(name, "done");
      if (own.has(name) && inherited.has(name)) result.set(name, inherited.get(name)!);
      return;
    }
    if (text === null) {
      state.set(name, "done");
      const property = registered.get(name);
      const initial = property ? initialOf(property) : null;
      if (initial === null) result.delete(name);
      else result.set(name, initial);
      return;
    }
    state.set(name, "open");
    stack.push(name);
    const value = replace(text, (reference) => {
      if (state.get(reference) === "open") {
        for (const one of stack.slice(stack.indexOf(reference))) cyclic.add(one);
        return null;
      }
      if (own.has(reference) && !state.has(reference)) resolve(reference);
      return cyclic.has(reference) ? null : (result.get(reference) ?? null);
    });
    stack.pop();
    state.set(name, "done");
    const property = registered.get(name);
    const trimmed = value === null || cyclic.has(name) ? null : value.trim();
    const computed = trimmed !== null && property ? compute(property, trimmed) : trimmed;
    if (computed === null) {
      const fallback = property ? ((property.inherits ? inherited.get(name) : null) ?? initialOf(property)) : null;
      if (fallback === null) result.delete(name);
      else result.set(name, fallback);
    } else result.set(name, computed);
  };
  const stack: string[] = [];
  const cyclic = new Set<string>();
  // What a text refers to is resolved before it, without recursion: chains are as long as they like.
  const pending: string[] = [];
  const entered = new Set<string>();
  for (const first of own.keys()) {
    pending.push(first);
    for (let name = pending.at(-1); name !== undefined; name = pending.at(-1)) {
      const open = entered.has(name)
        ? []
        : referencesIn(own.get(name)).filter((one) => own.has(one) && !entered.has(one));
      entered.add(name);
      if (open.length) pending.push(...open);
      else {
        pending.pop();
        if (!state.has(name)) resolve(name);
      }
    }
  }
  return result;
}

/** Names of the custom properties a text refers to. */
function referencesIn(text: DeclaredText): string[] {
  if (!text?.includes("var(")) return [];
  const names: string[] = [];
  const walk = (components: readonly Component[]) => {
    for (const component of components) {
      if (component.type !== "function" && component.type !== "block") continue;
      const [first] = component.args;
      if (component.type === "function" && component.name === "var" && first?.type === "ident") names.push(first.name);
      walk(component.args);
    }
  };
  walk(componentsOf(text));
  return names;
}

/** Fallbacks in fallbacks deeper than this have no value. */
const deepest = 200;

/** A value's text with every var() replaced; null when a reference has no value and no fallback. */
export function substitute(text: string, custom: CustomProperties): string | null {
  return replace(text, (name) => custom.get(name) ?? null);
}

function replace(text: string, lookUp: (name: string) => string | null, depth = 0): string | null {
  if (depth > deepest) return null;
  const parts: string[] = [];
  let length = 0;
  let at = 0;
  const put = (piece: string): boolean => {
    parts.push(piece);
    length += piece.length;
    return length <= longest;
  };
  const walk = (components: readonly Component[]): boolean => {
    for (const component of components) {
      if (component.type === "function" && (component.name === "var" || component.name === "env")) {
        if (!put(text.slice(at, component.start))) return false;
        const value = reference(component, text, lookUp, depth + 1);
        if (value === null || !put(separate(value))) return false;
        at = component.end;
      } else if (component.type === "function" || component.type === "block") {
        if (!walk(component.args)) return false;
      }
    }
    return true;
  };
  if (!walk(componentsOf(text))) return null;
  return put(text.slice(at)) ? parts.join("") : null;
}

/** Keeps what is put in from growing together with its neighbours. */
function separate(value: string): string {
  return `/**/${value}/**/`;
}

function reference(
  component: ComponentOf<"function">,
  text: string,
  lookUp: (name: string) => string | null,
  depth: number,
): string | null {
  const [name, comma] = component.args;
  if (name?.type !== "ident" || (comma && !isDelim(comma, ","))) return null;
  const value = component.name === "env" ? null : lookUp(name.name);
  if (value !== null) {
    if (comma) replace(text.slice(comma.end, component.end - 1), lookUp, depth);
    return value;
  }
  if (!comma) return null;
  const closed = text[component.end - 1] === ")";
  return replace(text.slice(comma.end, closed ? component.end - 1 : component.end), lookUp, depth);
}
