/** The fonts of a site as parts of the sheet, so that it needs no file beside it. */
import { serialiseFamily } from "../../cascade/properties/font";
import { styledPage } from "../../cascade/styledPages";
import type { FontFace } from "../../cascade/fonts/pageFonts";
import { dataAddress } from "../../source/binary";
import { pagesOf, type Site } from "../../source/site";
import type { Conditions } from "../../cascade/conditions";

/** Bytes of all fonts together; what is more is left out, and said. */
const most = 4_000_000;

export interface SheetFonts {
  css: string;
  /** Families that are too large to be part of it. */
  left: string[];
}

/** `@font-face` rules with the fonts in them as `data:` addresses (RFC 2397). @param room bytes of all together */
export function fontsFor(site: Site, conditions: Conditions, room = most): SheetFonts {
  const faces = new Map<string, FontFace>();
  for (const file of pagesOf(site))
    for (const face of styledPage(site, file, conditions).faces)
      if (face.path !== null && face.file) faces.set(`${face.sheet} ${face.offset}`, face);
  const rules: string[] = [];
  const left = new Set<string>();
  let size = 0;
  for (const face of faces.values()) {
    const file = site.files.get(face.path!);
    if (file?.kind !== "other") continue;
    if (size + file.bytes.length > room) {
      left.add(face.family);
      continue;
    }
    size += file.bytes.length;
    rules.push(ruleFor(face, file.bytes));
  }
  return { css: rules.join(""), left: [...left] };
}

function ruleFor({ family, weight, italic }: FontFace, bytes: Uint8Array): string {
  // The style element must not end within a name (HTML, 13.1.2.6).
  const name = serialiseFamily({ name: family, generic: false }).replaceAll("<", "\\3c ");
  return (
    `@font-face { font-family: ${name}; font-weight: ${weight[0]} ${weight[1]}; font-style: ${italic ? "italic" : "normal"}; ` +
    `src: url(${dataAddress("application/octet-stream", bytes)}) }\n`
  );
}
