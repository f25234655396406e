/** Longhands folded into their shorthand, and shorthands unfolded (CSS Cascade 5, 3.1), within one rule. */
import { prepare, type Given } from "../cascade/declarations";
import { valueSpan } from "../cascade/explain";
import { aliases, longhandIndex, longhands } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import type { Declaration } from "../source/css/syntax";
import { startWithBlank, write, type BlockText, type Splice } from "./block";
import { foldable } from "./foldable";
import { plain } from "./shorthand";
import { EditError } from "./types";

const nameOf = (declaration: Declaration) => aliases[declaration.property] ?? declaration.property;
const same = (a: unknown, b: unknown) => JSON.stringify(plain(a)) === JSON.stringify(plain(b));

function givenBy(declaration: Declaration, longhand: string): Given | null {
  const prepared = prepare(declaration.property, declaration.valueText);
  return prepared.kind === "longhands" ? (prepared.entries.find(([name]) => name === longhand)?.[1] ?? null) : null;
}

function declarationsOf(where: BlockText): Declaration[] {
  return where.items.filter((item): item is Declaration => item.kind === "declaration");
}

const splicesOut = (where: BlockText, declaration: Declaration): Splice => ({
  start: startWithBlank(where, declaration.start),
  end: declaration.semicolon === null ? declaration.end : declaration.semicolon + 1,
  insert: "",
});

export interface Folding {
  splices: Splice[];
  /** Longhands that are set back to their initial value and were left alone before. */
  setBack: string[];
}

/** @throws EditError when the longhands of a rule do not make up the shorthand */
export function fold(where: BlockText, shorthand: string): Folding {
  const kind = foldable[shorthand];
  const all = shorthands.get(shorthand)?.longhands;
  if (!kind || !all) throw new EditError(`${shorthand} is not a shorthand that can be folded here.`);
  const own = declarationsOf(where);
  const last = new Map<string, Declaration>();
  for (const declaration of own)
    if (all.includes(nameOf(declaration)) && givenBy(declaration, nameOf(declaration)))
      last.set(nameOf(declaration), declaration);
  const missing = kind.needs.filter((name) => !last.has(name));
  if (missing.length) throw new EditError(`For ${shorthand} the rule has to set ${missing.join(" and ")} as well.`);
  if (own.some((declaration) => nameOf(declaration) === shorthand))
    throw new EditError(`The rule sets ${shorthand} already.`);
  const importance = new Set([...last.values()].map(({ important }) => important));
  if (importance.size > 1) throw new EditError("Some of them are !important and some are not.");
  const parts = Object.fromEntries([...last].map(([name, { valueText }]) => [name, valueText]));
  const value = kind.compose(parts);
  const folded = prepare(shorthand, value);
  const fits =
    folded.kind === "longhands" &&
    [...last].every(
      ([name, declaration]) =>
        same(folded.entries.find(([one]) => one === name)?.[1], givenBy(declaration, name)) ||
        isInitial(name, givenBy(declaration, name)),
    );
  if (!fits) throw new EditError(`These values cannot stand together in ${shorthand}.`);
  const removed = own.filter((declaration) => last.has(nameOf(declaration)));
  const end = removed[removed.length - 1]!;
  const important = importance.has(true) ? " !important" : "";
  return {
    splices: [
      ...removed.slice(0, -1).map((declaration) => splicesOut(where, declaration)),
      { start: end.start, end: end.end, insert: write(where, end, shorthand, value) + important },
    ],
    setBack: all.filter((name) => !last.has(name)),
  };
}

function isInitial(name: string, given: Given | null): boolean {
  const initial = prepare(name, longhands[longhandIndex.get(name)!]!.initial);
  return initial.kind === "longhands" && same(initial.entries[0]![1], given);
}

/** Every longhand in the place of its shorthand, those it leaves out at their initial value. @throws EditError */
export function unfold(where: BlockText, shorthand: string): Folding {
  const all = shorthands.get(shorthand)?.longhands;
  const declaration = declarationsOf(where).findLast((one) => nameOf(one) === shorthand);
  if (!all || !declaration || !(shorthand in foldable))
    throw new EditError(`The rule has no ${shorthand} that can be unfolded.`);
  const prepared = prepare(declaration.property, declaration.valueText);
  if (prepared.kind !== "longhands" || prepared.entries.some(([, given]) => given.kind === "pending"))
    throw new EditError(`${shorthand} holds a reference, or is not valid: it cannot be taken apart.`);
  if (
    shorthand === "background" &&
    /[^-\w#(),.%\s/]|url\(|repeat|position|fixed|scroll|cover|contain/i.test(declaration.valueText)
  ) {
    throw new EditError(
      "This background says more than a colour and a gradient: it cannot be taken apart without loss.",
    );
  }
  const setBack: string[] = [];
  const lines = all.map((name) => {
    const span = valueSpan(declaration, name);
    const whole = prepared.entries.find(([one]) => one === name)?.[1];
    if (span && whole?.kind === "value") return [name, declaration.valueText.slice(span.start, span.end)] as const;
    setBack.push(name);
    return [
      name,
      whole?.kind === "wide" && whole.keyword !== "initial"
        ? whole.keyword
        : longhands[longhandIndex.get(name)!]!.initial,
    ] as const;
  });
  const { text } = where;
  const gap = text.slice(startWithBlank(where, declaration.start), declaration.start);
  const lead = /[\r\n]/.test(gap) ? gap.slice(gap.search(/(?:\r\n|\n|\r)[^\r\n]*$/)) : gap;
  const important = declaration.important ? " !important" : "";
  const insert = lines.map(([name, value]) => write(where, declaration, name, value) + important).join(`;${lead}`);
  return { splices: [{ start: declaration.start, end: declaration.end, insert }], setBack };
}
