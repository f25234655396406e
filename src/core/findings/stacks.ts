import { genericFamilies } from "../cascade/properties/font";
import { invalidReason } from "../cascade/declarations";
import type { Declaration } from "../source/css/syntax";
import { componentsOf, splitAt } from "../source/css/components";
import { stackMembers, writeStack, likelyGeneric, nearestFamily } from "../type/stack";
import { platformFace } from "../type/platforms";
import { editDistance } from "../source/path";
import type { Block } from "./blocks";
import { changed, quoted } from "./texts";
import { at, type Check, type Found, type Level } from "./types";

/** Stacks that are not what was meant: commas missing, generic families misspelt, quoted, not last or left out. */
export const stackSlips: Check = {
  name: "stack",
  group: "idle",
  inDeclaration: (declaration, block) =>
    declaration.property === "font-family" || declaration.property === "font" ? inStack(block, declaration) : [],
};

interface Slip {
  level: Level;
  message: string;
  because: string;
  meant: string;
}

function inStack(block: Block, declaration: Declaration): Found[] {
  const { value, start } = declaration;
  const found = slipIn(declaration);
  if (!found) return [];
  const { slip, from } = found;
  return [
    {
      level: slip.level,
      message: slip.message,
      because: slip.because,
      ...at(block.file, block.offset + start),
      ways: () => [
        {
          label: `Write \`${slip.meant}\``,
          changes: [changed(block, value.start + from, value.end, slip.meant)],
        },
      ],
    },
  ];
}

/** Whether names in a stack are not those that were meant, or not where: what they come to says nothing then. */
export const isStackMistaken = (declaration: Declaration): boolean =>
  (slipIn(declaration)?.slip.level ?? "note") !== "note";

interface InStack {
  slip: Slip;
  /** Where that begins in the value. */
  from: number;
}

const known = new WeakMap<Declaration, InStack | null>();

/** What is wrong with the stack of a declaration, found once: all texts that are set in it ask. */
function slipIn(declaration: Declaration): InStack | null {
  let found = known.get(declaration);
  if (found === undefined) known.set(declaration, (found = readStack(declaration)));
  return found;
}

function readStack({ property, valueText }: Declaration): InStack | null {
  if (invalidReason(property, valueText) !== null || /var\(|env\(/i.test(valueText)) return null;
  const from = property === "font" ? startOfFamilies(valueText) : 0;
  const slip = from < 0 ? null : slipOf(valueText.slice(from));
  return slip && { slip, from };
}

/** Where the families begin in a `font` shorthand; -1 where it has none. */
function startOfFamilies(text: string): number {
  const parts = componentsOf(text);
  const size = parts.findIndex(
    (part) =>
      part.type === "dimension" ||
      part.type === "percentage" ||
      /^(?:xx-small|x-small|small|medium|large|x-large|xx-large|smaller|larger)$/i.test(
        part.type === "ident" ? part.name : "",
      ),
  );
  if (size < 0) return -1;
  let next = size + 1;
  if (parts[next]?.type === "delim") next += 2;
  return parts[next]?.start ?? -1;
}

const names = "Names of families stand between commas; a name that is not known is passed over (CSS Fonts 4, 2.1).";
const fallback = "The generic family at the end is what readers get when no other is there (CSS Fonts 4, 2.1.3).";

type Members = NonNullable<ReturnType<typeof stackMembers>>;

/** One kind of slip; null where a stack has none of it. */
type Reading = (text: string, members: Members) => Slip | null;

/** All names in one pair of quotation marks. */
const quotedAsOne: Reading = (text) => {
  const list = /^(["'])([^"']*,[^"']*)\1$/.exec(text.trim());
  const meant = list && writeStack(stackMembers(list[2]!) ?? []);
  if (!meant) return null;
  const message = `${quoted(text)} is one name with a comma in it, which no font has: each name stands by itself. Meant: \`${meant}\`.`;
  return { level: "error", because: names, meant, message };
};

/** Several known families in one name: their commas are missing. */
const withoutCommas: Reading = (text) => {
  const parts = splitAt(componentsOf(text), ",").map((part) => text.slice(part[0]!.start, part.at(-1)!.end));
  for (const [index, part] of parts.entries()) {
    const parted = partedNames(part);
    if (!parted) continue;
    const meant = parts.map((one, at) => (at === index ? parted.join(", ") : one)).join(", ");
    const message = `${quoted(part)} is read as the name of one family, which no system has: a comma is missing. Meant: \`${meant}\`.`;
    return { level: "error", because: names, meant, message };
  }
  return null;
};

/** A name that is nearly a generic family, or nearly one that systems have. */
const misnamed: Reading = (_, members) => {
  for (const [index, { name, generic }] of members.entries()) {
    if (generic) continue;
    const put = (member: Members[number]) => writeStack(members.map((one, at) => (at === index ? member : one)));
    const lower = name.toLowerCase();
    const isQuoted = genericFamilies.has(lower);
    const near = isQuoted ? lower : nearGeneric(lower.replace(/[\s_-]+/g, "-"), lower);
    if (near && !/^(?:math|system)$/.test(lower)) {
      const meant = put({ name: near, generic: true });
      const message = isQuoted
        ? `\`"${name}"\` in quotation marks is the name of a font, not the generic family. Meant: \`${meant}\`.`
        : `\`${name}\` is no generic family. Meant: \`${meant}\`.`;
      return { level: "error", because: fallback, meant, message };
    }
    const family = nearestFamily(name, []);
    if (!family || members.some((one) => one.name === family)) continue;
    const meant = put({ name: family, generic: false });
    const message = `\`${name}\` comes with no system: ${quoted(family)} is a known one. Meant: \`${meant}\`.`;
    return { level: "warning", because: names, meant, message };
  }
  return null;
};

/** Names behind a generic family, which is always found. */
const behindGeneric: Reading = (_, members) => {
  const always = /^(?:sans-)?serif$|^monospace$|^cursive$|^fantasy$/;
  const generic = members.findIndex((member) => member.generic && always.test(member.name));
  if (generic < 0 || members.slice(generic + 1).every((member) => member.generic)) return null;
  const [own, generics] = [members.filter((one) => !one.generic), members.filter((one) => one.generic)];
  const meant = writeStack([...own, ...generics]);
  const message = `\`${members[generic]!.name}\` is always found, so what stands behind it is never used. Meant: \`${meant}\`.`;
  return { level: "warning", because: fallback, meant, message };
};

const withoutGeneric: Reading = (text, members) => {
  if (members.some((member) => member.generic)) return null;
  const meant = writeStack([...members, { name: likelyGeneric(members), generic: true }]);
  const message = `No generic family ends ${quoted(text)}: who has none of these gets the browser's standard font. Meant: \`${meant}\`.`;
  return { level: "note", because: fallback, meant, message };
};

/** What is worst first: of one stack one slip is told. */
const readings: readonly Reading[] = [quotedAsOne, withoutCommas, misnamed, behindGeneric, withoutGeneric];

function slipOf(text: string): Slip | null {
  const members = stackMembers(text);
  if (!members || members.length === 0) return null;
  for (const reading of readings) {
    const slip = reading(text, members);
    if (slip) return slip;
  }
  return null;
}

/** The known families that a name without commas is made of; null where it is one name. */
function partedNames(part: string): string[] | null {
  if (/["']/.test(part) && !/["']\s+\S|\S\s+["']/.test(part)) return null;
  const words = part.match(/"[^"]*"|'[^']*'|[^\s]+/g) ?? [];
  if (words.length < 2 || platformFace(part)) return null;
  const list: string[] = [];
  for (let at = 0; at < words.length;) {
    let length = words.length - at;
    while (length > 0 && !isFamily(words.slice(at, at + length).join(" "))) length -= 1;
    if (length === 0) return null;
    list.push(words.slice(at, at + length).join(" "));
    at += length;
  }
  return list.length > 1 ? list : null;
}

function isFamily(text: string): boolean {
  const name = text.replace(/^["']|["']$/g, "").toLowerCase();
  return /^["']/.test(text) || platformFace(name) !== undefined || genericFamilies.has(name);
}

/** The generic family that a name is, or is nearly; nothing for a face that systems have. */
function nearGeneric(plain: string, lower: string): string | undefined {
  if (genericFamilies.has(plain)) return plain;
  if (platformFace(lower)) return undefined;
  return [...genericFamilies].find(
    (one) => !one.startsWith("-") && one.length > 4 && editDistance(plain, one) <= (one.length > 6 ? 2 : 1),
  );
}
