import { componentsOf } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import { append, groupBy } from "../source/groups";
import { blocksOf, declarationsOf, type Block } from "./blocks";
import { takenOut } from "./texts";
import { at, type Check, type Found } from "./types";
import { asksIn } from "./variables";

/** Custom properties that ask for themselves, by themselves or by way of others of the same rule. */
export const circles: Check = {
  name: "circle",
  group: "idle",
  *inFile(file, site) {
    const found: Found[] = [];
    for (const block of blocksOf(site, file)) {
      const custom = declarationsOf(block).filter(({ property }) => property.startsWith("--"));
      if (custom.length === 0) continue;
      append(
        found,
        circlesOf(custom).map((circle) => toldOf(block, circle)),
      );
      yield;
    }
    return found;
  },
};

/** Declarations that ask for each other in a circle, a list a circle, each as it is written. */
function circlesOf(custom: readonly Declaration[]): Declaration[][] {
  const byName = new Map(custom.map((one) => [one.property, one]));
  const asked = new Map([...byName].map(([name, { valueText }]) => [name, alwaysAsked(valueText)]));
  const edges = [...asked].flatMap(([name, all]) => all.map((one) => ({ name, one })));
  const askers = new Map([...groupBy(edges, ({ one }) => one)].map(([one, all]) => [one, all.map(({ name }) => name)]));
  const left = new Set(byName.keys());
  // What asks for nothing that is left, and what nothing left asks for, stands in no circle.
  takeOut(left, asked, askers);
  takeOut(left, askers, asked);
  const all: Declaration[][] = [];
  for (const first of left) {
    const circle = [first];
    left.delete(first);
    for (const name of circle)
      for (const next of asked.get(name)!) {
        if (left.delete(next)) circle.push(next);
      }
    all.push(circle.map((name) => byName.get(name)!).sort((a, b) => a.start - b.start));
  }
  return all;
}

/** What a value asks for whatever else has a value: browsers look at a fallback when they need it. */
const alwaysAsked = (valueText: string): string[] =>
  valueText.includes("var(")
    ? [...asksIn(componentsOf(valueText))].filter(({ inFallback }) => !inFallback).map(({ name }) => name)
    : [];

type Leads = ReadonlyMap<string, readonly string[]>;

/** Takes out names that lead to none of the others, until all lead to some. */
function takeOut(left: Set<string>, to: Leads, from: Leads): void {
  const counts = new Map([...left].map((name) => [name, (to.get(name) ?? []).filter((one) => left.has(one)).length]));
  const pending = [...left].filter((name) => counts.get(name) === 0);
  for (const name of pending) {
    left.delete(name);
    for (const one of from.get(name) ?? []) {
      const count = (counts.get(one) ?? 0) - 1;
      counts.set(one, count);
      if (count === 0) pending.push(one);
    }
  }
}

function toldOf(block: Block, circle: readonly Declaration[]): Found {
  const [first] = circle;
  const where = (one: Declaration) => at(block.file, block.offset + one.start);
  const names = circle.map(({ property }) => `\`${property}\``);
  return {
    level: "error",
    message:
      circle.length === 1
        ? `${names[0]} asks for itself, so it has no value: what it is around this rule does not count.`
        : `${names.slice(0, 4).join(", ")}${names.length > 4 ? "…" : ""} ask for each other in a circle, so none of them has a value.`,
    because: "A custom property that depends on itself is void where it is computed (CSS Variables 1, 2.3).",
    ...where(first!),
    causes: circle.map((one) => ({ ...where(one), text: `${one.property}: ${one.valueText}` })),
    ways: () => (circle.length === 1 ? [{ label: "Take the line out", changes: [takenOut(block, first!)] }] : []),
  };
}
