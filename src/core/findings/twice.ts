import { invalidReason, prepare } from "../cascade/declarations";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import type { Declaration } from "../source/css/syntax";
import { append } from "../source/groups";
import { leadBefore } from "../source/lines";
import { eachInSteps } from "../source/steps";
import { blocksOf, declarationsOf, type Block } from "./blocks";
import { changed, quoted, stopOf, takenOut } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "Of two declarations in one rule the later wins; a shorthand sets back all that it stands for (CSS Cascade 5, 6.1 and 3.1).";

/** Declarations that another of the same rule makes void. */
export const setTwice: Check = {
  name: "set-twice",
  group: "idle",
  *inFile(file, site) {
    const found: Found[] = [];
    for (const block of blocksOf(site, file)) append(found, yield* inBlock(block));
    return found;
  },
};

const nameOf = ({ property }: Declaration) => aliases[property] ?? property;

function* inBlock(block: Block): Generator<void, Found[]> {
  const below = new Below();
  const found: Found[] = [];
  yield* eachInSteps(declarationsOf(block).reverse(), (declaration) => {
    const { property, valueText } = declaration;
    if (!property.startsWith("--") && invalidReason(property, valueText) !== null) return;
    const later = below.takesOver(declaration);
    below.add(declaration);
    if (!later) return;
    const same = nameOf(later) === nameOf(declaration);
    if (same && isFallback(declaration, later)) return;
    found.push(same ? repeated(block, declaration, later) : reset(block, declaration, later));
  });
  return found.reverse();
}

/** The declarations below one, from the last on. */
class Below {
  /** The first that sets a property, or sets it back, by its name; and the first that does so as important. */
  private readonly first = new Map<string, Declaration>();
  private readonly important = new Map<string, Declaration>();

  add(declaration: Declaration): void {
    const name = nameOf(declaration);
    for (const set of [name, ...(shorthands.get(name)?.longhands ?? [])]) {
      this.first.set(set, declaration);
      if (declaration.important) this.important.set(set, declaration);
    }
  }

  takesOver(declaration: Declaration): Declaration | undefined {
    return (declaration.important ? this.important : this.first).get(nameOf(declaration));
  }
}

/** A value that every browser knows before one that is newer: written for those that skip the second. */
function isFallback(first: Declaration, second: Declaration): boolean {
  if (first.valueText === second.valueText) return false;
  const modern =
    /[a-z-]+\(|\b[sld]v[hwib]\b|\d(?:[sld]v[hwib]|v(?:min|max)|cq\w+|r?lh|rem|ch|cap)\b|-(?:webkit|moz|ms|o)-|\b(?:grid|flex|inline-flex|inline-grid|contents|flow-root|sticky|clip|anywhere|break-spaces|min-content|max-content|fit-content|stretch|revert|unset|start|end)\b|#(?:[\da-f]{4}|[\da-f]{8})\b/i;
  return modern.test(second.valueText) || /-(?:webkit|moz|ms|o)-/.test(first.valueText);
}

const outWay = (block: Block, declaration: Declaration, label: string): Way => ({
  label,
  changes: [takenOut(block, declaration)],
});

const written = ({ property, valueText }: Declaration) => `${property}: ${valueText}`;

function repeated(block: Block, declaration: Declaration, later: Declaration): Found {
  const equal = declaration.valueText === later.valueText;
  return {
    level: equal ? "note" : "warning",
    message: equal
      ? `${quoted(written(declaration))} stands twice in the rule.`
      : `${quoted(written(declaration))} does nothing: ${quoted(written(later))} stands below it in the same rule.`,
    because,
    ...at(block.file, block.offset + declaration.start),
    causes: [{ ...at(block.file, block.offset + later.start), text: written(later) }],
    ways: () => [outWay(block, declaration, "Take the first out"), outWay(block, later, "Take the second out")],
  };
}

/** A longhand above the shorthand that sets it back. */
function reset(block: Block, declaration: Declaration, later: Declaration): Found {
  return {
    level: "warning",
    message: `${quoted(written(declaration))} does nothing: ${quoted(written(later))} below it sets \`${declaration.property}\` ${named(declaration, later) ? "again" : "back"}.`,
    because,
    ...at(block.file, block.offset + declaration.start),
    causes: [{ ...at(block.file, block.offset + later.start), text: written(later) }],
    ways: () => {
      const { start, end, semicolon } = declaration;
      const stop = stopOf(later);
      const text = block.text.slice(start, semicolon ?? end);
      const gap = block.text.slice(leadBefore(block.text, start), start);
      const move: Way = {
        label: "Move it below",
        changes: [
          takenOut(block, declaration),
          changed(block, stop, stop, `${later.semicolon === null ? ";" : ""}${gap || " "}${text};`),
        ],
      };
      return [move, outWay(block, declaration, "Take it out")];
    },
  };
}

/** Whether a shorthand names the longhand, and does not only set it back. */
function named(declaration: Declaration, shorthand: Declaration): boolean {
  const prepared = prepare(shorthand.property, shorthand.valueText);
  if (prepared.kind !== "longhands") return false;
  const given = prepared.entries.find(([name]) => name === nameOf(declaration))?.[1];
  return given?.kind === "value";
}
