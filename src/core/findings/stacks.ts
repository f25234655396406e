import { genericFamilies } from "../cascade/properties/font";
import { invalidReason } from "../cascade/declarations";
import type { Declaration } from "../source/css/syntax";
import { componentsOf, splitAt } from "../source/css/components";
import { stackMembers, writeStack, likelyGeneric, nearestFamily } from "../type/stack";
import { platformFace } from "../type/platforms";
import { editDistance } from "../source/path";
import { blocksOf, type Block } from "./blocks";
import { changed, quoted } from "./texts";
import { at, type Check, type Found, type Level } from "./types";

/** Stacks that are not what was meant: commas missing, generic families misspelt, quoted, not last or left out. */
export const stackSlips: Check = {
  name: "stack",
  group: "idle",
  inFile: (file, site) =>
    blocksOf(site, file).flatMap((block) =>
      block.items.flatMap((item) =>
        item.kind === "declaration" && (item.property === "font-family" || item.property === "font")
          ? inDeclaration(block, item)
          : [],
      ),
    ),
};

interface Slip {
  level: Level;
  message: string;
  because: string;
  meant: string;
}

function inDeclaration(block: Block, declaration: Declaration): Found[] {
  const { property, valueText, value, start } = declaration;
  if (invalidReason(property, valueText) !== null || /var\(|env\(/i.test(valueText)) return [];
  const from = property === "font" ? startOfFamilies(valueText) : 0;
  if (from < 0) return [];
  const written = valueText.slice(from);
  const slip = slipOf(written);
  if (!slip) return [];
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

function slipOf(text: string): Slip | null {
  const members = stackMembers(text);
  if (!members || members.length === 0) return null;
  const because = names;
  const quotedList = /^(["'])([^"']*,[^"']*)\1$/.exec(text.trim());
  if (quotedList) {
    const meant = writeStack(stackMembers(quotedList[2]!) ?? []);
    return meant
      ? {
          level: "error",
          because,
          meant,
          message: `${quoted(text)} is one name with a comma in it, which no font has: each name stands by itself. Meant: \`${meant}\`.`,
        }
      : null;
  }
  // Several known families in one name: their commas are missing.
  const parts = splitAt(componentsOf(text), ",").map((part) => text.slice(part[0]!.start, part.at(-1)!.end));
  for (const [index, part] of parts.entries()) {
    const parted = partedNames(part);
    if (!parted) continue;
    const meant = parts.map((one, at) => (at === index ? parted.join(", ") : one)).join(", ");
    return {
      level: "error",
      because,
      meant,
      message: `${quoted(part)} is read as the name of one family, which no system has: a comma is missing. Meant: \`${meant}\`.`,
    };
  }
  for (const [index, { name, generic }] of members.entries()) {
    const put = (member: { name: string; generic: boolean }) =>
      writeStack(members.map((one, at) => (at === index ? member : one)));
    const lower = name.toLowerCase();
    if (generic) continue;
    const plain = lower.replace(/[\s_-]+/g, "-");
    const isQuoted = genericFamilies.has(lower);
    const near = isQuoted ? lower : nearGeneric(plain, lower);
    if (near && !/^(?:math|system)$/.test(lower)) {
      const meant = put({ name: near, generic: true });
      const message = isQuoted
        ? `\`"${name}"\` in quotation marks is the name of a font, not the generic family. Meant: \`${meant}\`.`
        : `\`${name}\` is no generic family. Meant: \`${meant}\`.`;
      return { level: "error", because: fallback, meant, message };
    }
    const family = nearestFamily(name, []);
    if (family && !members.some((one) => one.name === family)) {
      const meant = put({ name: family, generic: false });
      return {
        level: "warning",
        because,
        meant,
        message: `\`${name}\` comes with no system: ${quoted(family)} is a known one. Meant: \`${meant}\`.`,
      };
    }
  }
  const generic = members.findIndex(
    (member) => member.generic && /^(?:sans-)?serif$|^monospace$|^cursive$|^fantasy$/.test(member.name),
  );
  const hasGeneric = members.some((member) => member.generic);
  if (generic >= 0 && members.slice(generic + 1).some((member) => !member.generic)) {
    const meant = writeStack([
      ...members.filter((member) => !member.generic),
      ...members.filter((member) => member.generic),
    ]);
    return {
      level: "warning",
      because: fallback,
      meant,
      message: `\`${members[generic]!.name}\` is always found, so what stands behind it is never used. Meant: \`${meant}\`.`,
    };
  }
  if (!hasGeneric) {
    const meant = writeStack([...members, { name: likelyGeneric(members), generic: true }]);
    return {
      level: "note",
      because: fallback,
      meant,
      message: `No generic family ends ${quoted(text)}: who has none of these gets the browser's standard font. Meant: \`${meant}\`.`,
    };
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
