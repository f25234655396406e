import type { TextChange } from "../source/changes";
import { leadBefore } from "../source/lines";
import type { TextFile } from "../source/site";
import { showExpected, unknownUnit } from "./meant/expected";
import { meantBy } from "./meant/declaration";
import { invalidReason, isKnownProperty } from "../cascade/declarations";
import { aliases } from "../cascade/properties";
import type { Declaration } from "../source/css/syntax";
import { declarationsOf, type Block } from "./blocks";
import { swallowed, writtenIn } from "./swallowed";
import { quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "Browsers skip a declaration that they cannot read, and say nothing (CSS Syntax 3, 9): the text keeps what it had.";

/** Declarations that browsers ignore: properties that do not exist and values that do not fit. */
export const ignoredDeclarations: Check = {
  name: "ignored-declaration",
  group: "idle",
  inDeclaration: (declaration, block) => {
    const named = customName(block.file, declaration);
    if (named) return [withoutDashes(block, declaration, named)];
    const { property, name } = declaration;
    const written = block.text.slice(name.start, name.end);
    const message = ignoredMessage(property, writtenValue(block, declaration), written);
    if (!message || isToldOtherwise(declaration, block) || isForOthers(declaration)) return [];
    return [
      {
        level: isFallback(declaration, block) ? "warning" : "error",
        message,
        because,
        ...at(block.file, block.offset + declaration.start),
        ways: () => waysFor(block, declaration),
      },
    ];
  },
};

/** The custom property that a name without its two dashes is asked for as in the same file; null where it is not. */
function customName(file: TextFile, { property }: Declaration): string | null {
  if (property.startsWith("--") || isKnownProperty(property)) return null;
  return askedIn(file).get(property.replace(/[^\w-]/g, "").replace(/^-/, "")) ?? null;
}

const askedByFile = new WeakMap<TextFile, ReadonlyMap<string, string>>();

/** Custom properties that a file asks for with `var()`, by their names without dashes in small letters. */
function askedIn(file: TextFile): ReadonlyMap<string, string> {
  let asked = askedByFile.get(file);
  if (!asked) {
    const names = Array.from(file.text.matchAll(/var\(\s*--([\w-]+)\s*[,)]/gi), ([, name]) => name!);
    asked = new Map(names.map((name) => [name.toLowerCase(), `--${name}`]));
    askedByFile.set(file, asked);
  }
  return asked;
}

function withoutDashes(block: Block, { property, name, start }: Declaration, meant: string): Found {
  return {
    level: "error",
    message: `\`${property}\` is not a property, so this line sets nothing. Meant: \`${meant}\`, which \`var()\` asks for.`,
    because: "The name of a custom property begins with two dashes (CSS Variables 1, 2).",
    ...at(block.file, block.offset + start),
    ways: () => [
      {
        label: `Write \`${meant}\``,
        changes: [
          { path: block.file.path, start: block.offset + name.start, end: block.offset + name.end, insert: meant },
        ],
      },
    ],
  };
}

/** The value with what stands behind it, where that is part of the mistake. */
const writtenValue = (block: Block, declaration: Declaration) =>
  declaration.important ? declaration.valueText : writtenIn(block, declaration);

/** What is told of punctuation, or of marks that are left open. */
const isToldOtherwise = (declaration: Declaration, block: Block) =>
  swallowed(block, declaration) !== null ||
  /\([^()]*;/.test(declaration.valueText) ||
  /["'][^"']*[\r\n]/.test(declaration.valueText);

/** Spellings of single browsers, old ones' hacks among them: others skip them on purpose. */
const isForOthers = ({ property, valueText }: Declaration) =>
  /(?:^|[\s,(])-(?:webkit|moz|ms|o|khtml)-|progid:|expression\(|\\[09]\b|^alpha\(/i.test(valueText) ||
  /^(?:zoom|behavior|filter|-)/.test(property);

/** Whether another declaration of the block sets the same: what some browsers do not know is written on purpose then. */
function isFallback({ property, valueText }: Declaration, block: Block): boolean {
  const meant = isKnownProperty(property) ? property : (meantBy(property, valueText)?.property ?? property);
  return setIn(block).has(unprefixed(meant));
}

const unprefixed = (property: string) => property.replace(/^-[a-z]+-/, "");

const setByBlock = new WeakMap<Block, ReadonlySet<string>>();

/** The properties that browsers take from a block, without what single browsers put before them. */
function setIn(block: Block): ReadonlySet<string> {
  let set = setByBlock.get(block);
  if (!set) {
    const taken = declarationsOf(block).filter(
      ({ property, valueText }) => invalidReason(property, valueText) === null,
    );
    set = new Set(taken.map(({ property }) => unprefixed(property)));
    setByBlock.set(block, set);
  }
  return set;
}

/**
 * Why a declaration does nothing, in plain words; null when it is in order.
 * @param written the property as it is written, in whatever case
 */
export function ignoredMessage(property: string, value: string, written = property): string | null {
  if (property.startsWith("--") || /^[*_]|^-(?!-)/.test(property)) return null;
  const meant = () => meantBy(property, value);
  if (!isKnownProperty(property)) {
    const found = meant();
    if (!found) return `\`${written}\` is not a property, so this line sets nothing.`;
    if (found.why === null && found.value === value)
      return `\`${written}\` is not a property, so this line sets nothing. Meant: \`${found.property}\`.`;
    return `\`${written}\` is not a property, so this line sets nothing. Meant: \`${found.property}: ${found.value}\`.`;
  }
  const reason = invalidReason(property, value);
  if (reason === "empty value") return `\`${property}\` has no value, so it sets nothing.`;
  if (reason !== "invalid value") return null;
  if (/;(?![^()]*\))/.test(value))
    return `${quoted(value)} does not end where the value does: a semicolon stands in it.`;
  const found = meant();
  const told = `${quoted(`${property}: ${value}`)} sets nothing`;
  if (!found) {
    const odd = unknownUnit(value);
    const why = odd === null ? "" : `${quoted(odd)} has no unit that CSS knows, and `;
    return `${told}: ${why}\`${property}\` takes ${showExpected(property)}.`.replace(/…\.$/, "…");
  }
  if (found.property !== property)
    return `${told}: that is a value of \`${found.property}\`. Meant: \`${found.property}: ${found.value}\`.`;
  return `${told}: ${found.why}. Meant: \`${found.value}\`.`;
}

function waysFor(block: Block, declaration: Declaration): Way[] {
  const { file, offset, text } = block;
  const { name, value, property, start, semicolon } = declaration;
  const written = writtenValue(block, declaration);
  const meant = meantBy(aliases[property] ?? property, written);
  const ways: Way[] = [];
  const span = (from: number, to: number, insert: string) => ({
    path: file.path,
    start: offset + from,
    end: offset + to,
    insert,
  });
  if (meant) {
    const changes: TextChange[] = [];
    if (meant.property !== property) changes.push(span(name.start, name.end, meant.property));
    if (meant.value !== written) {
      const gap = /^[:=]\s/.test(written) ? " " : "";
      changes.push(span(value.start, value.start + written.length, gap + meant.value));
    }
    ways.push({ label: `Write \`${meant.property}: ${meant.value}\``, changes });
  }
  const end = semicolon === null ? Math.max(declaration.end, value.start + written.length) : semicolon + 1;
  ways.push({ label: "Take the line out", changes: [span(leadBefore(text, start), end, "")] });
  return ways;
}
