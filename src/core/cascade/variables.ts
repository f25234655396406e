/** Custom properties (CSS Custom Properties 1): inheritance, references, cycles. */
import { append } from "../source/groups";
import { componentsOf, type Component } from "../source/css/components";
import type { RegisteredProperty } from "./rules";
import type { CustomGiven, CustomWinner } from "./blocks";
import { isAny } from "./registered";
import { substitute, type Sources } from "./substitution";
import { isWide } from "./wide";
import { rolledBack } from "./winners";

/** Resolved texts by name; a name that is missing has the guaranteed-invalid value. */
export type CustomProperties = ReadonlyMap<string, string>;

const none: CustomProperties = new Map();

/** The computed value of a registered property as text; null when the text does not fit its syntax. */
export type ComputeProperty = (property: RegisteredProperty, text: string) => string | null;

/**
 * Custom properties of an element with their references put in (CSS Variables 1, 2 and 3); those in a cycle are
 * invalid.
 * @param inherited those of the parent; null at the root
 */
export function resolveVariables(
  own: ReadonlyMap<string, CustomWinner>,
  inherited: CustomProperties | null,
  registered: ReadonlyMap<string, RegisteredProperty>,
  sources: Sources,
  compute: ComputeProperty = (_, text) => text,
): CustomProperties {
  if (own.size === 0 && registered.size === 0) return inherited ?? none;
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
    private readonly own: ReadonlyMap<string, CustomWinner>,
    private readonly inherited: CustomProperties | null,
    private readonly registered: ReadonlyMap<string, RegisteredProperty>,
    private readonly sources: Sources,
    private readonly compute: ComputeProperty,
  ) {
    this.result = new Map(inherited ?? none);
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
        const open = entered.has(name) ? [] : referencesIn(this.own.get(name)!.given).filter(isNext);
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

  /** Registered properties that nothing is inherited of begin with their initial values; at the root, all. */
  private begin(): void {
    for (const property of this.registered.values()) {
      const { name, inherits } = property;
      if (inherits && this.inherited) continue;
      const initial = this.initialOf(property);
      if (initial === null) this.result.delete(name);
      else this.result.set(name, initial);
    }
  }

  private initialOf(property: RegisteredProperty): string | null {
    return property.initial === null ? null : this.compute(property, property.initial);
  }

  private resolve(name: string): void {
    this.state.set(name, "open");
    this.stack.push(name);
    const value = this.valueOf(name);
    this.stack.pop();
    this.state.set(name, "done");
    if (value === null) this.result.delete(name);
    else this.result.set(name, value);
  }

  /** What wins, or what it goes back to, comes to; null for nothing. */
  private valueOf(name: string): string | null {
    const property = this.registered.get(name) ?? null;
    for (let winner: CustomWinner | null = this.own.get(name)!; winner;) {
      const given: CustomGiven | null =
        winner.given.kind === "text" ? this.read(winner.given.text, property) : winner.given;
      if (given?.kind !== "wide") {
        const text = given && !this.cyclic.has(name) ? given.text : null;
        // Without a syntax, what is not valid has no value; with one, it is as though it were not set.
        if (!property || isAny(property.syntax)) return text;
        return (text === null ? null : this.compute(property, text)) ?? this.unset(name, property);
      }
      if (given.keyword === "initial") return property && this.initialOf(property);
      if (given.keyword === "inherit" && this.inherited) return this.inherited.get(name) ?? null;
      if (given.keyword === "inherit" || given.keyword === "unset") break;
      winner = rolledBack(winner, given.keyword);
    }
    return this.unset(name, property);
  }

  /** A text with what stands for other text put in; that may come to a keyword of all properties. Null for no value. */
  private read(text: string, property: RegisteredProperty | null): CustomGiven | null {
    // Siblings are counted where a text is used, unless a syntax says what it is (CSS Values 5, 9).
    const siblings = property ? this.sources.siblings : null;
    const variable = (reference: string) => {
      const referred = this.referred(reference);
      return this.cyclic.has(this.stack.at(-1)!) ? undefined : referred;
    };
    const value = substitute(text, { ...this.sources, variable, siblings })?.trim();
    if (value === undefined) return null;
    const keyword = value.toLowerCase();
    return isWide(keyword) ? { kind: "wide", keyword } : { kind: "text", text: value };
  }

  private unset(name: string, property: RegisteredProperty | null): string | null {
    if (this.inherited && property?.inherits !== false) return this.inherited.get(name) ?? null;
    return property && this.initialOf(property);
  }

  /** What another property comes to; null for one that is being resolved, which closes a circle. */
  private referred(reference: string): string | null {
    if (this.state.get(reference) === "open") {
      for (const one of this.stack.slice(this.stack.indexOf(reference))) this.cyclic.add(one);
      return null;
    }
    if (this.own.has(reference) && !this.state.has(reference)) this.resolve(reference);
    return this.result.get(reference) ?? null;
  }
}

const asksByName: ReadonlySet<string> = new Set(["var", "style"]);

/** Names of the custom properties a text refers to. */
function referencesIn(given: CustomGiven): string[] {
  if (given.kind === "wide" || !given.text.includes("--")) return [];
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
  walk(componentsOf(given.text));
  return names;
}
