/** Font files taken into a site, and fallbacks made to their measure: what is written for them. */
import { styledPage } from "../cascade/styledPages";
import type { Conditions } from "../cascade/conditions";
import { EditError } from "../edits/types";
import { atSheetStart, commonSheet } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { addressFrom } from "../source/path";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { knownFace } from "../cascade/fonts/faces";
import type { FontFile } from "../cascade/fonts/fontFile";
import { matchedFallback, stackInfo } from "../type/members";
import { restack } from "./stackTable";
import { stackMembers, writeStack } from "../type/stack";

const formats = { woff2: "woff2", woff: "woff", truetype: "truetype", opentype: "opentype" } as const;

/** An `@font-face` for a file of the site, in a sheet that all pages have (CSS Fonts 4, 4). @throws EditError when there is none */
export function fontFaceFor(site: Site, path: string, font: FontFile, family: string): TextChange[] {
  const sheet = commonSheet(
    site,
    sheetsOf(site).map(({ path: one }) => ({ path: one })),
    ({ items }) => items.some((item) => item.kind === "at" && item.name === "font-face"),
  );
  const [from, to] = font.weight;
  const width = font.axes.find(({ tag }) => tag === "wdth");
  const sole = font.stretch === 100 ? null : `${font.stretch}%`;
  const stretch = width ? `${width.min}% ${width.max}%` : sole;
  const declarations: (readonly [string, string])[] = [
    ["font-family", `"${family.replace(/["\\]/g, "\\$&")}"`],
    ["src", `url("${addressFrom(sheet.file.path, path)}") format("${formats[font.format]}")`],
    ["font-weight", from === to ? `${from}` : `${from} ${to}`],
    ...(stretch ? [["font-stretch", stretch] as const] : []),
    ...(font.italic ? [["font-style", "italic"] as const] : []),
    ["font-display", "swap"],
  ];
  return [atSheetStart(sheet, "@font-face", declarations)];
}

/**
 * A fallback with the measures of a stack's first member, made from a local face of the stack, and the stack with it
 * behind the first member. @throws EditError when measures are not known or no sheet writes the stack
 */
export function matchFallback(site: Site, stack: string, fallback: string, conditions: Conditions): TextChange[] {
  const members = stackMembers(stack);
  const page =
    pagesOf(site)
      .map((file) => styledPage(site, file, conditions))
      .find(({ faces }) =>
        faces.some(({ family, file }) => file && family.toLowerCase() === members?.[0]?.name.toLowerCase()),
      ) ?? (pagesOf(site)[0] ? styledPage(site, pagesOf(site)[0]!, conditions) : null);
  const first = page ? stackInfo(page, stack)?.members[0] : null;
  const local = knownFace(fallback);
  if (!members || !first?.metrics) throw new EditError("The measures of the first member are not known.");
  if (!local) throw new EditError(`The measures of ${fallback} are not known.`);
  const name = `${first.name} fallback`;
  if (members.some((member) => member.name === name)) throw new EditError(`The stack has ${name} already.`);
  const written = restack(site, stack, writeStack([members[0]!, { name, generic: false }, ...members.slice(1)]));
  const sheet = commonSheet(site, written);
  return [atSheetStart(sheet, "@font-face", matchedFallback(first.metrics, local, name).declarations), ...written];
}
