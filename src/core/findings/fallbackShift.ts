import { genericFace, knownFace } from "../cascade/fonts/faces";
import { computedValue, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { EditError } from "../edits/types";
import { matchFallback } from "../tables/addFont";
import { stackInfo, type MemberInfo } from "../type/members";
import { refOf, textsOf } from "../text/pageTexts";
import { spotFor } from "./cause";
import { at, type Check, type CheckContext, type Found, type Way } from "./types";

/** Letters that run so much wider or narrower, as a share, break most lines elsewhere. */
const unnoticed = 0.05;

/** Fonts of the site that come late, in whose place text is set first in letters of another width. */
export const fallbackShift: Check = {
  name: "fallback-shift",
  group: "readers",
  onPage: (page) => {
    const byStack = new Map<string, Shift | null>();
    const found = new Map<string, Found>();
    for (const style of textsOf(page)) {
      const stack = computedValue(style, "font-family");
      let shift = byStack.get(stack);
      if (shift === undefined) byStack.set(stack, (shift = shiftOf(page, stack)));
      if (!shift) continue;
      const known = found.get(stack);
      if (known) known.places!.push(refOf(page.file.path, style));
      else found.set(stack, tell(page, style, stack, shift));
    }
    return [...found.values()];
  },
};

interface Shift {
  first: string;
  /** The family that stands in, and a face of a system that it comes to. */
  next: string;
  face: string;
  /** By how much its letters run wider, as a share; negative where they run narrower. */
  wider: number;
}

function shiftOf(page: KnownPage, stack: string): Shift | null {
  const [first, second] = stackInfo(page, stack)?.members ?? [];
  if (first?.source !== "site" || !first.metrics || !second || second.source === "site") return null;
  // A font that may stay away is not put in once the page is shown (CSS Fonts 4, 4.9).
  const isOptional = ({ family, display }: KnownPage["faces"][number]) =>
    family.toLowerCase() === first.name.toLowerCase() && display === "optional";
  if (page.faces.some(isOptional)) return null;
  const standIn = metricsOf(second);
  if (!standIn) return null;
  const width = ({ averageWidth, unitsPerEm }: { averageWidth: number; unitsPerEm: number }) =>
    averageWidth / unitsPerEm;
  const wider = width(standIn) / width(first.metrics) - 1;
  return Math.abs(wider) < unnoticed ? null : { first: first.name, next: second.name, face: standIn.family, wider };
}

const metricsOf = ({ name, generic, metrics }: MemberInfo) =>
  metrics ?? (generic ? genericFace(name) : knownFace(name));

function tell(page: KnownPage, style: Style, stack: string, { first, next, face, wider }: Shift): Found {
  const percent = Math.round(Math.abs(wider) * 100);
  return {
    level: "note",
    message: `Until \`${first}\` has come, text is set in \`${next}\`, whose letters run ${percent}% ${wider > 0 ? "wider" : "narrower"}: lines break anew and the page shifts.`,
    because:
      "What is being read jumps away; a fallback with the measures of the font keeps the lines as they are (CSS Fonts 5, 4.1).",
    ...at(page.file, style.element.source?.startTag.start ?? 0),
    spot: spotFor(page, style, "font-family"),
    kind: "shift",
    places: [refOf(page.file.path, style)],
    ways: (context) => matchedWays(context, stack, first, face),
  };
}

function matchedWays({ site, conditions }: CheckContext, stack: string, first: string, face: string): Way[] {
  try {
    const changes = matchFallback(site, stack, face, conditions);
    return [{ label: `Give \`${face}\` the measures of \`${first}\``, changes }];
  } catch (error) {
    if (error instanceof EditError) return [];
    throw error;
  }
}
