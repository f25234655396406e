/** Font stacks: their members, how they are written, and what is wrong with them (CSS Fonts 4, 2.1). */
import { genericFamilies, parseFamilies, serialiseFamily, type FamilyName } from "../cascade/properties/font";
import { componentsOf } from "../source/css/components";
import { editDistance } from "../source/path";
import { platformFace, platformFaces } from "./platforms";

/** Members of a stack as written; null when it is not one. */
export function stackMembers(text: string): FamilyName[] | null {
  return parseFamilies(componentsOf(text));
}

/** A stack as text: names in quotes where they are more than one word or would be read otherwise. */
export function writeStack(members: readonly FamilyName[]): string {
  return members.map(serialiseFamily).join(", ");
}

export interface StackFault {
  kind: "no generic" | "generic not last" | "twice" | "misspelt" | "quoted generic";
  message: string;
  /** The stack without the fault, where there is one way to mend it. */
  mended: FamilyName[] | null;
}

/** @param own families the site brings with it */
export function stackFaults(members: readonly FamilyName[], own: readonly string[]): StackFault[] {
  const faults: StackFault[] = [];
  const generic = members.findIndex((member) => member.generic);
  members.forEach(({ name, generic: isGeneric }, at) => {
    const first = members.findIndex((other) => other.name.toLowerCase() === name.toLowerCase());
    if (first < at)
      faults.push({
        kind: "twice",
        message: `\`${name}\` stands twice; the second is never reached.`,
        mended: members.filter((_, index) => index !== at),
      });
    if (!isGeneric && genericFamilies.has(name.toLowerCase())) {
      faults.push({
        kind: "quoted generic",
        message: `"${name}" in quotes is the name of a font, not the generic family.`,
        mended: members.map((one, index) => (index === at ? { name: name.toLowerCase(), generic: true } : one)),
      });
    }
    const near = isGeneric ? null : nearestFamily(name, own);
    if (near)
      faults.push({
        kind: "misspelt",
        message: `\`${name}\` comes with no system and no file of the site. Is \`${near}\` meant?`,
        mended: members.map((one, index) => (index === at ? { name: near, generic: false } : one)),
      });
  });
  if (generic < 0 && members.length > 0) {
    faults.push({
      kind: "no generic",
      message: "No generic family ends the stack: without one the browser takes its standard font.",
      mended: [...members, { name: likelyGeneric(members), generic: true }],
    });
  } else if (generic >= 0 && generic < members.length - 1) {
    const after = members.slice(generic + 1);
    if (after.some((member) => !member.generic)) {
      faults.push({
        kind: "generic not last",
        message: `\`${members[generic]!.name}\` is always found: what stands behind it is never used.`,
        mended: [...members.filter((member) => !member.generic), ...members.filter((member) => member.generic)],
      });
    }
  }
  return faults;
}

/** A known family that a name misses by a letter or two; null for a known name, or one unlike all. */
export function nearestFamily(name: string, own: readonly string[]): string | null {
  const known = [...own, ...platformFaces.map(({ family }) => family)];
  const lower = name.toLowerCase();
  if (known.some((family) => family.toLowerCase() === lower)) return null;
  const most = name.length <= 5 ? 1 : 2;
  const plain = (text: string) => text.toLowerCase().replace(/[\s_-]/g, "");
  let best: { family: string; distance: number } | null = null;
  for (const family of known) {
    const isFar = Math.abs(family.length - name.length) > most;
    const written = isFar ? Infinity : editDistance(family.toLowerCase(), lower);
    const distance = plain(family) === plain(name) ? 0.5 : written;
    if (distance <= most && (!best || distance < best.distance)) best = { family, distance };
  }
  return best?.family ?? null;
}

/** The generic family that goes with the first member that says what it is. */
export function likelyGeneric(members: readonly FamilyName[]): string {
  for (const { name } of members) {
    const known = platformFace(name);
    if (known) return known.generic;
  }
  if (members.some(({ name }) => /mono|code|courier/i.test(name))) return "monospace";
  const hasSerifs = members.some(
    ({ name }) => /serif|roman|book|text|slab|bitter|garamond|caslon/i.test(name) && !/sans/i.test(name),
  );
  return hasSerifs ? "serif" : "sans-serif";
}
