/** Custom properties (CSS Custom Properties 1): inheritance, references, cycles. */
import { append } from "../source/groups";
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
  return new Resolver(own, inherited, registered, sources, compute).resolved();
}

/** The custom properties of one element on their way to what they come to. */
class Resolver {
  private readonly result: Map<string, string>;
  private readonly state = new Map<string, "open" | "done">();
  /** Those that are being resolved, each of which refers to the next. */
  private readonly stack: string[] = [];
  private readonly cyclic = new Set<string>();

  constructor(
    private readonly own: ReadonlyMap<string, DeclaredText>,
    private readonly inherited: CustomProperties,
    private readonly registered: ReadonlyMap<string, RegisteredProperty>,
    private readonly sources: Sources,
    private readonly compute: ComputeProperty,
  ) {
    this.result = new Map(inherited);
  }

  resolved(): CustomProperties {
    this.begin();
    // What a text refers to is resolved before it, without recursion: chains are as long as they like.
    const pending: string[] = [];
    const entered = new Set<string>();
    for (const first of this.own.keys()) {
      pending.push(first);
      for (let name = pending.at(-1); name !== undefined; name = pending.at(-1)) {
        const isNext = (one: string) => this.own.has(one) && !entered.has(one);
        const open = entered.has(name) ? [] : referencesIn(this.own.get(name)).filter(isNext);
        entered.add(name);
        if (open.length) append(pending, open);
        else {
          pending.pop();
          if (!this.state.has(name)) this.resolve(name);
        }
      }
    }
    return this.result;
  }

  /** Registered properties that nothing is inherited of begin with their initial values. */
  private begin(): void {
    for (const property of this.registered.values()) {
      const { name, inherits } = property;
      const initial = this.initialOf(property);
      if ((!inherits || !this.result.has(name)) && initial !== null) this.result.set(name, initial);
      else if (!inherits) this.result.delete(name);
    }
  }

  private initialOf(property: RegisteredProperty): string | null {
    return property.initial === null ? null : this.compute(property, property.initial);
  }

  private resolve(name: string): void {
    const text = this.own.get(name);
    if (typeof text === "string") return this.put(name, this.valueOf(name, text));
    this.state.set(name, "done");
    if (text === null) {
      const property = this.registered.get(name);
      this.put(name, property ? this.initialOf(property) : null);
    } else if (this.inherited.has(name)) this.result.set(name, this.inherited.get(name)!);
  }

  private put(name: string, value: string | null): void {
    if (value === null) this.result.delete(name);
    else this.result.set(name, value);
  }

  /** What a text comes to; where that is nothing, what a registered property falls back to. */
  private valueOf(name: string, text: string): string | null {
    this.state.set(name, "open");
    this.stack.push(name);
    const property = this.registered.get(name);
    // Siblings are counted where a text is used, unless a syntax says what it is (CSS Values 5, 9).
    const siblings = property ? this.sources.siblings : null;
    const variable = (reference: string) => this.referred(reference);
    const value = substitute(text, { ...this.sources, variable, siblings });
    this.stack.pop();
    this.state.set(name, "done");
    const trimmed = value === null || this.cyclic.has(name) ? null : value.trim();
    if (!property) return trimmed;
    const computed = trimmed === null ? null : this.compute(property, trimmed);
    return computed ?? (property.inherits ? this.inherited.get(name) : null) ?? this.initialOf(property);
  }

  /** What another property comes to; null for one that is being resolved, which closes a circle. */
  private referred(reference: string): string | null {
    if (this.state.get(reference) === "open") {
      for (const one of this.stack.slice(this.stack.indexOf(reference))) this.cyclic.add(one);
      return null;
    }
    if (this.own.has(reference) && !this.state.has(reference)) this.resolve(reference);
    return this.cyclic.has(reference) ? null : (this.result.get(reference) ?? null);
  }
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
