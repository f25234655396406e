import { serialiseFamily, type FamilyName } from "../cascade/properties/font";
import { valueOf, type Style } from "../cascade/styles";
import { isText } from "../source/html/document";
import { isPlace } from "../textStyles";
import { faceFor, type FontFace } from "../type/pageFonts";
import { platformFaces } from "../type/platforms";
import { nearestFamily } from "../type/stack";
import { at, type Check, type Finding } from "./types";

/** Names that browsers give the system's own font. */
const systemNames = new Set(["-apple-system", "blinkmacsystemfont"]);
const mostCharacters = 12;

/** Fonts that cannot be loaded, are loaded for nothing, are named but come from nowhere, or lack characters of the pages. */
export const fonts: Check = {
  name: "fonts",
  run: ({ site, pages }) => {
    const findings = new Map<string, Finding>();
    const used = new Set<string>();
    const declared = new Map<string, FontFace>();
    const lacking = new Map<FontFace, { characters: Set<string>; places: Finding["places"] }>();
    const nowhere = new Map<string, { style: Style; path: string; places: Finding["places"]; own: string[] }>();
    for (const page of pages) {
      for (const face of page.faces) declared.set(`${face.sheet}:${face.offset}`, face);
      const own = page.faces.map(({ family }) => family);
      for (const style of page.styles) {
        const families = valueOf<FamilyName[]>(style, "font-family");
        if (!isPlace(style)) continue;
        const place = { page: page.file.path, index: style.element.index };
        for (const { name, generic } of families) {
          if (generic) continue;
          used.add(name.toLowerCase());
          const known = own.some((family) => family.toLowerCase() === name.toLowerCase()) || platformFaces.some(({ family }) => family.toLowerCase() === name.toLowerCase());
          if (known || systemNames.has(name.toLowerCase())) continue;
          const entry = nowhere.get(name) ?? { style, path: page.file.path, places: [], own };
          entry.places.push(place);
          nowhere.set(name, entry);
        }
        const face = families[0] && faceFor(page.faces, families[0].name, valueOf<number>(style, "font-weight"), valueOf<string>(style, "font-style") !== "normal");
        if (face?.file) {
          for (const node of style.element.content) if (isText(node)) note(lacking, face, node.text, place);
        }
      }
    }
    for (const face of declared.values()) {
      const where = at(site, face.sheet, face.offset);
      const broken = face.sources.filter(({ problem }) => problem);
      if (!face.file && broken.length) {
        findings.set(`broken ${face.offset}`, { check: "fonts", level: "error", message: `${face.family} cannot be loaded from \`${broken[0]!.address}\`: ${broken[0]!.problem}`, ...where, places: [] });
      } else if (face.file && !used.has(face.family.toLowerCase())) {
        findings.set(`unused ${face.family}`, { check: "fonts", level: "note", message: `${face.family} is loaded, but no text is set in it.`, ...where, places: [] });
      }
    }
    for (const [face, { characters, places }] of lacking) {
      const list = [...characters].slice(0, mostCharacters).join(" ");
      findings.set(`lacking ${face.offset}`, { check: "fonts", level: "note", message: `${face.family} has no glyph for ${list}${characters.size > mostCharacters ? " and others" : ""}: these come from the next font of the stack.`, ...at(site, face.sheet, face.offset), places });
    }
    for (const [name, { style, path, places, own }] of nowhere) {
      const near = nearestFamily(name, own);
      const message = `${serialiseFamily({ name, generic: false })} is named in a stack, but no sheet loads it and no system has it.${near ? ` Did you mean \`${near}\`?` : ""}`;
      findings.set(`nowhere ${name}`, { check: "fonts", level: near ? "warning" : "note", message, ...at(site, path, style.element.source?.startTag.start ?? 0), places });
    }
    return [...findings.values()];
  },
};

function note(lacking: Map<FontFace, { characters: Set<string>; places: Finding["places"] }>, face: FontFace, text: string, place: Finding["places"][number]): void {
  for (const character of text) {
    const point = character.codePointAt(0)!;
    // Blanks and characters that only steer the text have no glyph of their own.
    if (point <= 0x20 || point === 0xad || (point >= 0x200b && point <= 0x200f) || point === 0xfeff || (point >= 0xfe00 && point <= 0xfe0f) || face.file!.has(point)) continue;
    const entry = lacking.get(face) ?? { characters: new Set<string>(), places: [] };
    entry.characters.add(character);
    if (entry.places.at(-1)?.index !== place.index || entry.places.at(-1)?.page !== place.page) entry.places.push(place);
    lacking.set(face, entry);
  }
}
