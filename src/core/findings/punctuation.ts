import { isKnownProperty, invalidReason } from "../cascade/declarations";
import type { Declaration, Item, Skipped } from "../source/css/syntax";
import { leadBefore } from "../source/lines";
import { blocksOf, type Block } from "./blocks";
import { meantBy } from "./meant/declaration";
import { meantProperties } from "./meant/properties";
import { swallowed, writtenIn } from "./swallowed";
import { changed, quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "A declaration is a property, a colon and a value, and ends in a semicolon; what is written otherwise is skipped up to the next semicolon (CSS Syntax 3, 5.5.6).";

/** Colons and semicolons that are missing, or stand where the other belongs. */
export const punctuation: Check = {
  name: "punctuation",
  group: "idle",
  inFile: (file, site) => blocksOf(site, file).flatMap(inBlock),
};

function inBlock(block: Block): Found[] {
  return block.items.flatMap((item, at) => {
    const [before, behind] = [block.items[at - 1], block.items[at + 1]];
    const found = item.kind === "declaration" ? withoutSemicolon(block, item) : null;
    if (found) return [found];
    if (item.kind !== "skipped" || block.depth === 0) return [];
    return withoutColon(block, item, behind) ?? partedValue(block, item, before) ?? [];
  });
}

/** A declaration whose value has taken in the one that follows. */
function withoutSemicolon(block: Block, declaration: Declaration): Found | null {
  const { property, value } = declaration;
  const { file, offset } = block;
  const next = swallowed(block, declaration);
  if (!next) return null;
  const written = writtenIn(block, declaration);
  const before = written.slice(0, next.index).trimEnd();
  const bare = before.replace(/[,.:\s]+$/, "");
  if (bare === "") return null;
  const lost = property.startsWith("--") ? "read as part of it" : "read as part of the value, and both are skipped";
  return {
    level: "error",
    message: `A semicolon is missing after ${quoted(`${property}: ${bare}`)}: \`${next.name}\` is ${lost}.`,
    because,
    ...at(file, offset + declaration.start),
    ways: () => [
      {
        label: "Put the semicolon in",
        changes: [changed(block, value.start + bare.length, value.start + before.length, ";")],
      },
    ],
  };
}

/** What is skipped for want of a colon. */
function withoutColon(block: Block, skipped: Skipped, next: Item | undefined): Found | null {
  const { text, file, offset } = block;
  const written = text.slice(skipped.start, skipped.end);
  if (/^\s*(?:\/\/|<!--|\/\*)/.test(written)) return null;
  const parted = nameInParts(block, skipped, written);
  if (parted) return parted;
  const match = /^(\s*)([-a-z_]+)(\s*[=;]\s*|\s+|)([^\r\n]*)/i.exec(written);
  if (!match) return null;
  const [, lead, name, sign, rest] = match as unknown as [string, string, string, string, string];
  // Where its colon stands, it is skipped for another reason.
  const property = rest.startsWith(":") ? null : propertyNear(name.toLowerCase(), rest);
  if (!property) return null;
  const start = skipped.start + lead.length;
  const message = (why: string) => `${quoted(written.split(/\r\n|\n|\r/)[0]!)} sets nothing: ${why}.`;
  const where = at(file, offset + start);
  const found = (why: string, ways: () => Way[]): Found => ({
    level: "error",
    message: message(why),
    because,
    ...where,
    ways,
  });
  if (rest.trim() === "") {
    if (next?.kind !== "skipped" || !/^\s*;\s*$/.test(text.slice(skipped.end, next.start))) return null;
    const value = text.slice(next.start, next.end).trim();
    if (invalidReason(property, value)) return null;
    return found(`a semicolon stands where the colon belongs. Meant: \`${property}: ${value}\``, () => [
      { label: "Write a colon", changes: [changed(block, skipped.end, next.start, ": ")] },
    ]);
  }
  const value = rest.trim().replace(/^[=:]\s*/, "");
  const lines = written.slice(lead.length).split(/\r\n|\n|\r/);
  const meant = invalidReason(property, value) === null ? value : (meantBy(property, value)?.value ?? null);
  if (meant === null) return null;
  const why = sign.includes("=") ? "an equals sign stands where the colon belongs" : "its colon is missing";
  const end = start + lines[0]!.trimEnd().length;
  return found(`${why}. Meant: \`${property}: ${meant}\``, () => [
    {
      label: `Write \`${property}: ${meant}\``,
      changes: [changed(block, start, end, `${property}: ${meant}${lines.length > 1 ? ";" : ""}`)],
    },
  ]);
}

/** A value that a semicolon parts, or what stands alone and is no declaration. */
function partedValue(block: Block, skipped: Skipped, before: Item | undefined): Found | null {
  const { text, file, offset } = block;
  const written = text.slice(skipped.start, skipped.end).trim();
  if (skipped.reason !== "declaration" || written === "" || isComment(written)) return null;
  const where = at(file, offset + skipped.start);
  if (before?.kind === "declaration" && before.semicolon !== null) {
    const { property, valueText, value } = before;
    const joined = (property === "font-family" ? [", ", " "] : [" ", ", "])
      .map((sign) => valueText + sign + written)
      .find((one) => invalidReason(property, one) === null);
    if (joined)
      return {
        level: "error",
        message: `A semicolon parts the value of \`${property}\`: ${quoted(written)} is skipped. Meant: \`${joined}\`.`,
        because,
        ...where,
        ways: () => [{ label: `Write \`${joined}\``, changes: [changed(block, value.start, skipped.end, joined)] }],
      };
  }
  // What stands before a colon that is set is told of the next line; words of a value before a semicolon are.
  if (isKnownProperty(written.toLowerCase())) return null;
  return {
    level: "error",
    message: `${quoted(written)} is no declaration, so it is skipped.`,
    because,
    ...where,
    ways: () => {
      const stop = text[skipped.end] === ";" ? skipped.end + 1 : skipped.end;
      return [{ label: "Take it out", changes: [changed(block, leadBefore(text, skipped.start), stop, "")] }];
    },
  };
}

const isComment = (text: string) => /^(?:\/\/|<!--|\/\*|[*_]\w|-->|[})\]])/.test(text);

/** A property whose name is parted by blanks. */
function nameInParts(block: Block, { start }: Skipped, written: string): Found | null {
  const match = /^([a-z]+(?:[ \t]+[a-z]+){1,2})\s*:\s*[^\s:]/i.exec(written);
  const property = match?.[1]!.toLowerCase().replace(/[ \t]+/g, "-");
  if (!match || !property || !isKnownProperty(property)) return null;
  return {
    level: "error",
    message: `\`${match[1]}\` is not a property: its words are joined by hyphens. Meant: \`${property}\`.`,
    because,
    ...at(block.file, block.offset + start),
    ways: () => [
      { label: `Write \`${property}\``, changes: [changed(block, start, start + match[1]!.length, property)] },
    ],
  };
}

/** The property a name is, or is but a letter away from. */
function propertyNear(name: string, value: string): string | null {
  if (isKnownProperty(name)) return name;
  return meantProperties(name, (one) => invalidReason(one, value.trim()) === null)[0] ?? null;
}
