import { serialiseFamily } from "../cascade/properties/font";
import { valueOf, type Style } from "../cascade/style";
import { isText, type ElementNode } from "../source/html/document";
import { isPlace } from "../text/textStyles";
import type { FontFile } from "../cascade/fonts/fontFile";
import { faceFor, type FontFace } from "../cascade/fonts/pageFonts";
import { platformFaces } from "../type/platforms";
import { nearestFamily, stackMembers, writeStack } from "../type/stack";
import type { KnownPage } from "../cascade/styledPages";
import { made } from "../source/memo";
import type { Site } from "../source/site";
import { declareWay, spotFor, targetOf } from "./cause";
import { isStackMistaken } from "./stacks";
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
    const use = newUse();
    for (const page of pages) {
      yield;
      gather(page, use);
    }
    const faces = [...use.declared.values()];
    const broken = faces.flatMap((face) => unloadable(site, face));
    // Of several faces of a family one is told of.
    const byFamily = new Map(faces.filter(({ file }) => file).map((face) => [face.family.toLowerCase(), face]));
    const idle = [...byFamily].filter(([family]) => !use.used.has(family)).map(([, face]) => unused(site, face));
    const lacking = [...use.lacking.values()].map((one) => withoutGlyphs(site, one));
    const nowhere = [...use.nowhere].filter(isNotTold).map(([name, one]) => fromNowhere(site, name, one));
    return [...broken, ...idle, ...lacking, ...nowhere];
  },
};

interface Lacking {
  face: FontFace;
  characters: Set<string>;
  places: Finding["places"];
}

interface Nowhere {
  /** The first text that names it. */
  style: Style;
  page: KnownPage;
  places: Finding["places"];
  /** Families that the sheets of that page load. */
  own: string[];
}

/** Which fonts pages load and name. */
interface FontUse {
  used: Set<string>;
  declared: Map<string, FontFace>;
  lacking: Map<string, Lacking>;
  nowhere: Map<string, Nowhere>;
}

const newUse = (): FontUse => ({ used: new Set(), declared: new Map(), lacking: new Map(), nowhere: new Map() });

function gather(page: KnownPage, { used, declared, lacking, nowhere }: FontUse): void {
  for (const face of page.faces) declared.set(keyOf(face), face);
  const own = page.faces.map(({ family }) => family);
  const known = new Set([...systemFamilies, ...own.map((family) => family.toLowerCase())]);
  for (const style of page.styles) {
    if (!isPlace(style)) continue;
    const families = valueOf(style, "font-family");
    const place = { page: page.file.path, index: style.element.index };
    for (const { name, generic } of families) {
      if (generic) continue;
      used.add(name.toLowerCase());
      if (!known.has(name.toLowerCase()))
        made(nowhere, name, (): Nowhere => ({ style, page, places: [], own })).places.push(place);
    }
    const [first] = families;
    const italic = valueOf(style, "font-style") !== "normal";
    const face = first && faceFor(page.faces, first.name, valueOf(style, "font-weight"), italic);
    const missing = face?.file ? missingIn(style.element, face.file) : "";
    if (!face || !missing) continue;
    const entry = made(lacking, keyOf(face), (): Lacking => ({ face, characters: new Set(), places: [] }));
    for (const character of missing) entry.characters.add(character);
    entry.places.push(place);
  }
}

function unloadable(site: Site, face: FontFace): Found[] {
  const broken = face.file ? undefined : face.sources.find(({ problem }) => problem);
  if (!broken) return [];
  return [
    {
      level: "error",
      because: "Text is set in the next font of the stack until a font can be loaded (CSS Fonts 4, 4.3).",
      message: `${face.family} cannot be loaded from \`${broken.address}\`: ${broken.problem}`,
      ...inSite(site, face.sheet, face.offset),
      ways: () => [takenOut(face)],
    },
  ];
}

const unused = (site: Site, face: FontFace): Found => ({
  level: "note",
  because: "A font that no text is set in costs its reading and shows nothing.",
  message: `${face.family} is loaded, but no text is set in it.`,
  ...inSite(site, face.sheet, face.offset),
  ways: () => [takenOut(face)],
});

function withoutGlyphs(site: Site, { face, characters, places }: Lacking): Found {
  const list = [...characters].slice(0, mostCharacters).join(" ");
  return {
    level: "note",
    because: "Characters without a glyph are shown from another font, letter by letter (CSS Fonts 4, 5.3).",
    message: `${face.family} has no glyph for ${list}${characters.size > mostCharacters ? " and others" : ""}: these come from the next font of the stack.`,
    ...inSite(site, face.sheet, face.offset),
    places,
  };
}

/** What is told of the stack that names it need not be told of the name. */
function isNotTold([, { page, style }]: readonly [name: string, one: Nowhere]): boolean {
  const spot = spotFor(page, style, "font-family");
  return !spot || !isStackMistaken(spot.declaration);
}

function fromNowhere(site: Site, name: string, { style, page, places, own }: Nowhere): Found {
  const near = nearestFamily(name, own);
  return {
    level: near ? "warning" : "note",
    because: "A family that nobody has is passed over (CSS Fonts 4, 2.1).",
    message: `${serialiseFamily({ name, generic: false })} is named in a stack, but no sheet loads it and no system has it.${near ? ` Did you mean \`${near}\`?` : ""}`,
    ...inSite(site, page.file.path, style.element.source?.startTag.start ?? 0),
    places,
    ways: () => (near ? renamed(site, page, style, name, near) : []),
  };
}

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
