/** Custom properties (CSS Custom Properties 1): inheritance, references, cycles. */
import { componentsOf, type Component } from "../source/css/components";
import type { RegisteredProperty } from "./rules";
import { substitute, type Sources } from "./substitution";

/** Resolved texts by name; a name that is missing has the guaranteed-invalid value. */
export type CustomProperties = ReadonlyMap<string, string>;

/** A declared text, null for `initial`, undefined for anything that inherits. */
export type DeclaredText = string | null | undefined;

/** The computed value of a registered property as text; null when the text does not fit its syntax. */
export type ComputeProperty = (property: RegisteredProperty, text: string) => string | null;

/**
 * Custom properties of an element with their references put in (CSS Variables 1, 2 and 3); those in a cycle are
 * invalid.
 */
export function resolveVariables(
  own: ReadonlyMap<string, DeclaredText>,
  inherited: CustomProperties,
  registered: ReadonlyMap<string, RegisteredProperty>,
  sources: Sources,
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
    const variable = (reference: string) => {
      if (state.get(reference) === "open") {
        for (const one of stack.slice(stack.indexOf(reference))) cyclic.add(one);
        return null;
      }
      if (own.has(reference) && !state.has(reference)) resolve(reference);
      return cyclic.has(reference) ? null : (result.get(reference) ?? null);
    };
    // Siblings are counted where a text is used, unless a syntax says what it is (CSS Values 5, 9).
    const siblings = registered.has(name) ? sources.siblings : null;
    const value = substitute(text, { ...sources, variable, siblings });
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

const asksByName: ReadonlySet<string> = new Set(["var", "style"]);

/** Names of the custom properties a text refers to. */
function referencesIn(text: DeclaredText): string[] {
  if (!text?.includes("--")) return [];
  const names: string[] = [];
  const walk = (components: readonly Component[]) => {
    for (const component of components) {
      if (component.type !== "function" && component.type !== "block") continue;
      const [first] = component.args;
      if (component.type === "function" && asksByName.has(component.name) && first?.type === "ident")
        names.push(first.name);
      walk(component.args);
    }
  };
  walk(componentsOf(text));
  return names;
}
