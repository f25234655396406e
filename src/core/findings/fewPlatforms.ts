import type { FamilyName } from "../cascade/properties/font";
import { valueOf } from "../cascade/style";
import { memberOn, platformFace, platformFaces, platforms } from "../type/platforms";
import { likelyGeneric, writeStack } from "../type/stack";
import type { Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import { declareWay, spotFor, targetOf, type Spot } from "./cause";
import { isStackMistaken } from "./stacks";
import { quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

/** Systems that have none of a stack's families get what its generic family comes to; on fewer than these it is the rule. */
const fewest = 3;

/** Stacks of which most systems have no family at all. */
export const fewPlatforms: Check = {
  name: "few-platforms",
  group: "readers",
  onPage: (page) => {
    const own = page.faces.filter((face) => face.file).map(({ family }) => family);
    const found = new Map<string, Found>();
    for (const style of textsOf(page)) {
      const members = valueOf(style, "font-family");
      const having = havingAny(members, own);
      if (having.length >= fewest || members.every(({ generic }) => generic)) continue;
      const spot = spotFor(page, style, "font-family");
      if (!spot || isStackMistaken(spot.declaration)) continue;
      const key = `${spot.path}:${spot.offset}`;
      const known = found.get(key);
      if (known) {
        known.places!.push(refOf(page.file.path, style));
        continue;
      }
      const who = having.length
        ? `Only ${having.map(({ label }) => label).join(" and ")} ${having.length === 1 ? "comes" : "come"} with a family of`
        : "No system comes with a family of";
      found.set(key, {
        level: "note",
        message: `${who} ${quoted(spot.declaration.valueText)}: everyone else gets what ends the stack.`,
        because: "A face that is not there is passed over, and the page is set in another (CSS Fonts 4, 5).",
        ...at(page.file, style.element.source?.startTag.start ?? 0),
        spot,
        kind: "few",
        places: [refOf(page.file.path, style)],
        ways: ({ site }) => moreFamilies(site, page.file.path, spot, members, own),
      });
    }
    return [...found.values()];
  },
};

/** The stack with families of the same kind that the other systems come with, before what ends it. */
function moreFamilies(site: Site, page: string, spot: Spot, members: Members, own: readonly string[]): Way[] {
  if (spot.declaration.property !== "font-family") return [];
  const generic = likelyGeneric(members);
  const added: FamilyName[] = [];
  const end = members.findIndex((member) => member.generic);
  const stack = () => [
    ...members.slice(0, end < 0 ? undefined : end),
    ...added,
    ...(end < 0 ? [] : members.slice(end)),
  ];
  for (const { family, italic, weights, since } of usualFirst) {
    const isPlain = italic && weights.includes(400) && weights.includes(700) && !since;
    if (!isPlain || platformFace(family)!.generic !== generic) continue;
    const before = havingAny(stack(), own).length;
    added.push({ name: family, generic: false });
    if (havingAny(stack(), own).length === before) added.pop();
  }
  if (added.length === 0) return [];
  const label = `Add ${added.map(({ name }) => `\`${name}\``).join(", ")}`;
  return declareWay(site, label, targetOf(page, spot), "font-family", writeStack(stack()));
}

/** Faces of systems, those that most of them have first. */
const usualFirst = [...platformFaces].sort((a, b) => b.platforms.length - a.platforms.length);

type Members = readonly FamilyName[];

/** By members, which texts that inherit them share, with the families of the site they were looked at with. */
const known = new WeakMap<Members, { own: string; having: typeof platforms }>();

/** Systems on which a reader gets one of the families of a stack. */
function havingAny(members: Members, own: readonly string[]): typeof platforms {
  const families = own.join();
  let kept = known.get(members);
  if (kept?.own !== families) {
    const having = platforms.filter(({ platform }) => {
      const { at: member } = memberOn(platform, members, own);
      return member !== null && !members[member]!.generic;
    });
    known.set(members, (kept = { own: families, having }));
  }
  return kept.having;
}
