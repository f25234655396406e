import { componentsOf, type Component } from "../source/css/components";
import { declarationSteps, type DeclarationInFile } from "../source/declarations";
import type { Site, TextFile } from "../source/site";
import { groupBy, append } from "../source/groups";
import { eachInSteps } from "../source/steps";
import { nearestWords } from "./meant/near";
import { filesOf } from "./blocks";
import { at, type Check, type Found } from "./types";

/** Custom properties that are asked for and set nowhere. */
export const undefinedVariables: Check = {
  name: "undefined-variable",
  group: "idle",
  *onSite({ site }) {
    const set = new Set<string>();
    const asked: Asked[] = [];
    for (const file of filesOf(site)) {
      const own = yield* usesSteps(site, file);
      for (const name of own.set) set.add(name);
      append(asked, own.asked);
      yield;
    }
    const missing = groupBy(
      asked.filter(({ name }) => !set.has(name)),
      ({ name }) => name,
    );
    const byPlain = new Map([...set].map((name) => [plain(name), name]));
    return [...missing].map(([name, all]) => undefinedName(name, all, nearestName(name, set, byPlain)));
  },
};

/** One finding for a name, wherever it is asked for. */
function undefinedName(name: string, all: readonly Asked[], near: string | null): Found {
  const bare = all.filter(({ hasFallback, one }) => !hasFallback && !one.declaration.property.startsWith("--"));
  const [first] = bare.length ? bare : all;
  const { declaration, file } = first!.one;
  const follows = bare.length ? "is as if it were not written" : "comes from what stands behind its comma";
  const places = all.length > 1 ? ` It is asked for in ${all.length} declarations.` : "";
  const asked = near ? "error" : "warning";
  return {
    level: bare.length === 0 ? "note" : asked,
    message: `\`${name}\` is set nowhere, so \`${declaration.property}\` ${follows}.${near ? ` Meant: \`${near}\`.` : ""}${places}`,
    because:
      "A declaration with a custom property that has no value is void where it is computed; letters and their case count (CSS Variables 1, 3).",
    ...at(file, first!.start),
    causes: all.map(({ one, start }) => ({
      ...at(one.file, start),
      text: `${one.declaration.property}: ${one.declaration.valueText}`,
    })),
    ways: () =>
      near
        ? [
            {
              label: `Write \`${near}\``,
              changes: all.map(({ one, start }) => ({
                path: one.file.path,
                start,
                end: start + name.length,
                insert: near,
              })),
            },
          ]
        : [],
  };
}

interface Asked {
  name: string;
  hasFallback: boolean;
  one: DeclarationInFile;
  /** Offset of the name in the file. */
  start: number;
}

interface Uses {
  set: ReadonlySet<string>;
  asked: readonly Asked[];
}

const known = new WeakMap<TextFile, Uses>();

/** The custom properties that a file sets and asks for, read once for the same text, in steps. */
export function* usesSteps(site: Site, file: TextFile): Generator<void, Uses> {
  const before = known.get(file);
  if (before) return before;
  const set = new Set<string>();
  const asked: Asked[] = [];
  yield* eachInSteps(yield* declarationSteps(site, file), (one) => {
    const { property, valueText, value } = one.declaration;
    if (property.startsWith("--")) set.add(property);
    if (!one.exact || !valueText.includes("var(")) return;
    for (const { name, start, hasFallback } of asksIn(componentsOf(valueText)))
      asked.push({ name, hasFallback, one, start: one.offset + value.start + start });
  });
  for (const [, name] of file.text.matchAll(/@property\s+(--[\w-]+)/g)) set.add(name!);
  const uses = { set, asked };
  known.set(file, uses);
  return uses;
}

interface Ask {
  name: string;
  /** Offset of the name in the value. */
  start: number;
  hasFallback: boolean;
  /** Whether it is asked only where another has no value. */
  inFallback: boolean;
}

/** The custom properties that a value asks for. */
export function* asksIn(parts: readonly Component[], inFallback = false): Generator<Ask> {
  for (const part of parts) {
    if (part.type !== "function" && part.type !== "block") continue;
    const isVar = part.type === "function" && part.name === "var";
    const [first, second] = part.args;
    // What has not its two dashes is told as a mistaken value.
    if (isVar && first?.type === "ident" && first.name.startsWith("--"))
      yield { name: first.name, start: first.start, hasFallback: second !== undefined, inFallback };
    yield* asksIn(part.args, inFallback || isVar);
  }
}

const plain = (name: string) => name.toLowerCase().replace(/[-_]/g, "");

/** Names of fewer letters are all near each other. */
const fewestLetters = 3;

/** @param byPlain the names by their letters alone */
function nearestName(name: string, names: ReadonlySet<string>, byPlain: ReadonlyMap<string, string>): string | null {
  const near = () => (plain(name).length < fewestLetters ? [] : nearestWords(name, names, name.length > 8 ? 2 : 1));
  return byPlain.get(plain(name)) ?? near().find((one) => one.replace(/\D/g, "") === name.replace(/\D/g, "")) ?? null;
}
