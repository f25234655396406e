import { serialiseFamily } from "../cascade/properties/font";
import { valueOf, type Style } from "../cascade/style";
import { isText, type ElementNode } from "../source/html/document";
import { isPlace } from "../text/textStyles";
import type { FontFile } from "../cascade/fonts/fontFile";
import { faceFor, type FontFace } from "../cascade/fonts/pageFonts";
import { platformFaces } from "../type/platforms";
import { nearestFamily, stackMembers, writeStack } from "../type/stack";
import type { KnownPage } from "../cascade/styledPages";
import type { Site } from "../source/site";
import { declareWay, spotFor, targetOf } from "./cause";
import { inSite, type Check, type Finding, type Found, type Way } from "./types";

/** Names that browsers give the system's own font. */
const systemNames = new Set(["-apple-system", "blinkmacsystemfont"]);
const mostCharacters = 12;
/** Names, in small letters, that come from somewhere without a sheet. */
const systemFamilies = new Set([...systemNames, ...platformFaces.map(({ family }) => family.toLowerCase())]);

const keyOf = ({ sheet, offset }: FontFace) => `${sheet}:${offset}`;

/** Fonts that cannot be loaded, are loaded for nothing, are named but come from nowhere, or lack characters of the pages. */
export const fonts: Check = {
  name: "fonts",
  group: "readers",
  *onSite({ site, pages }) {
    const findings = new Map<string, Found>();
    const used = new Set<string>();
    const declared = new Map<string, FontFace>();
    const lacking = new Map<string, { face: FontFace; characters: Set<string>; places: Finding["places"] }>();
    const nowhere = new Map<string, { style: Style; page: KnownPage; places: Finding["places"]; own: string[] }>();
    for (const page of pages) {
      yield;
      for (const face of page.faces) declared.set(keyOf(face), face);
      const own = page.faces.map(({ family }) => family);
      const known = new Set([...systemFamilies, ...own.map((family) => family.toLowerCase())]);
      for (const style of page.styles) {
        const families = valueOf(style, "font-family");
        if (!isPlace(style)) continue;
        const place = { page: page.file.path, index: style.element.index };
        for (const { name, generic } of families) {
          if (generic) continue;
          used.add(name.toLowerCase());
          if (known.has(name.toLowerCase())) continue;
          const entry = nowhere.get(name) ?? { style, page, places: [], own };
          entry.places.push(place);
          nowhere.set(name, entry);
        }
        const face =
          families[0] &&
          faceFor(
            page.faces,
            families[0].name,
            valueOf(style, "font-weight"),
            valueOf(style, "font-style") !== "normal",
          );
        const missing = face?.file ? missingIn(style.element, face.file) : "";
        if (!face || !missing) continue;
        const entry = lacking.get(keyOf(face)) ?? { face, characters: new Set<string>(), places: [] };
        for (const character of missing) entry.characters.add(character);
        entry.places.push(place);
        lacking.set(keyOf(face), entry);
      }
    }
    for (const face of declared.values()) {
      const where = inSite(site, face.sheet, face.offset);
      const broken = face.sources.filter(({ problem }) => problem);
      if (!face.file && broken.length) {
        findings.set(`broken ${face.offset}`, {
          level: "error",
          because: "Text is set in the next font of the stack until a font can be loaded (CSS Fonts 4, 4.3).",
          message: `${face.family} cannot be loaded from \`${broken[0]!.address}\`: ${broken[0]!.problem}`,
          ...where,
          ways: () => [takenOut(face)],
        });
      } else if (face.file && !used.has(face.family.toLowerCase())) {
        findings.set(`unused ${face.family}`, {
          level: "note",
          because: "A font that no text is set in costs its reading and shows nothing.",
          message: `${face.family} is loaded, but no text is set in it.`,
          ...where,
          ways: () => [takenOut(face)],
        });
      }
    }
    for (const { face, characters, places } of lacking.values()) {
      const list = [...characters].slice(0, mostCharacters).join(" ");
      findings.set(`lacking ${face.offset}`, {
        level: "note",
        because: "Characters without a glyph are shown from another font, letter by letter (CSS Fonts 4, 5.3).",
        message: `${face.family} has no glyph for ${list}${characters.size > mostCharacters ? " and others" : ""}: these come from the next font of the stack.`,
        ...inSite(site, face.sheet, face.offset),
        places,
      });
    }
    for (const [name, { style, page, places, own }] of nowhere) {
      const near = nearestFamily(name, own);
      const message = `${serialiseFamily({ name, generic: false })} is named in a stack, but no sheet loads it and no system has it.${near ? ` Did you mean \`${near}\`?` : ""}`;
      findings.set(`nowhere ${name}`, {
        level: near ? "warning" : "note",
        because: "A family that nobody has is passed over (CSS Fonts 4, 2.1).",
        message,
        ...inSite(site, page.file.path, style.element.source?.startTag.start ?? 0),
        places,
        ways: () => (near ? renamed(site, page, style, name, near) : []),
      });
    }
    return [...findings.values()];
  },
};

const takenOut = ({ sheet, offset, end }: FontFace): Way => ({
  label: "Take the `@font-face` out",
  changes: [{ path: sheet, start: offset, end, insert: "" }],
});

/** The stack that a text has its fonts from, with another name in place of one. */
function renamed(site: Site, page: KnownPage, style: Style, name: string, near: string): Way[] {
  const spot = spotFor(page, style, "font-family");
  const members = spot && spot.declaration.property === "font-family" ? stackMembers(spot.declaration.valueText) : null;
  if (!spot || !members) return [];
  const stack = writeStack(members.map((member) => (member.name === name ? { name: near, generic: false } : member)));
  return declareWay(site, `Write \`${near}\``, targetOf(page.file.path, spot), "font-family", stack);
}

/** Characters that only steer the text: blanks, joiners, variation selectors. They have no glyph of their own. */
const steering = /[\u0000-\u0020\u00ad\u200b-\u200f\ufeff\ufe00-\ufe0f]/u;
const lookedUp = new WeakMap<ElementNode, { font: FontFile; characters: string }>();

/** The characters of an element's own text that a font has no glyph for, each once; looked up once for each text and font. */
function missingIn(element: ElementNode, font: FontFile): string {
  const known = lookedUp.get(element);
  if (known?.font === font) return known.characters;
  const all = new Set(element.content.filter(isText).flatMap(({ text }) => [...text]));
  const characters = [...all]
    .filter((character) => !steering.test(character) && !font.has(character.codePointAt(0)!))
    .join("");
  lookedUp.set(element, { font, characters });
  return characters;
}
