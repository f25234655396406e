import { declarationsOfFile, type DeclarationInFile } from "../source/declarations";
import { stackMembers } from "../type/stack";
import { filesOf } from "./blocks";
import { at, type Check, type Found } from "./types";

interface Stack {
  text: string;
  uses: DeclarationInFile[];
}

/** Stacks that begin with the same families and end otherwise, or are the same written otherwise. */
export const stackTwins: Check = {
  name: "stack-twins",
  group: "tidy",
  *onSite({ site }) {
    const byFirst = new Map<string, Map<string, Stack>>();
    for (const file of filesOf(site)) {
      yield;
      for (const one of declarationsOfFile(site, file)) {
        const { property, valueText } = one.declaration;
        if (property !== "font-family" || !one.exact) continue;
        const members = stackMembers(valueText);
        if (!members || members.length < 2 || members[0]!.generic) continue;
        const first = members[0]!.name.toLowerCase();
        const stacks = byFirst.get(first) ?? new Map<string, Stack>();
        byFirst.set(first, stacks);
        const stack = stacks.get(valueText) ?? { text: valueText, uses: [] };
        stack.uses.push(one);
        stacks.set(valueText, stack);
      }
    }
    return [...byFirst.values()].flatMap(twins);
  },
};

function twins(stacks: ReadonlyMap<string, Stack>): Found[] {
  const [usual, ...others] = [...stacks.values()].sort((a, b) => b.uses.length - a.uses.length);
  return others.map(({ text, uses }) => ({
    level: "note" as const,
    message: `\`${text}\` and \`${usual!.text}\` begin with the same family: one stack would do.`,
    because:
      "Stacks that differ behind their first family give readers without it different pages for no reason that shows.",
    ...at(uses[0]!.file, uses[0]!.offset + uses[0]!.declaration.start),
    causes: uses.map(({ file, offset, declaration, selector }) => ({
      ...at(file, offset + declaration.start),
      text: selector,
    })),
    ways: () => [
      {
        label: `Write \`${usual!.text}\``,
        changes: uses.map(({ file, offset, declaration: { value } }) => ({
          path: file.path,
          start: offset + value.start,
          end: offset + value.end,
          insert: usual!.text,
        })),
      },
    ],
  }));
}
