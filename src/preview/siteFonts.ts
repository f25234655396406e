/**
 * The site's fonts in the interface, for specimens. They are loaded under names of their own, so that no site can
 * change how the interface is set.
 */
import { stackMembers, writeStack } from "@/core";

export interface LoadedFont {
  family: string;
  weight: string;
  style: string;
  address: string;
}

const aliasOf = (family: string) => `Site: ${family}`;
const loaded = new Map<string, FontFace>();
let families: ReadonlySet<string> = new Set();

/** Loads what is not loaded yet and forgets what is no longer among the fonts. */
export async function loadSiteFonts(fonts: readonly LoadedFont[]): Promise<void> {
  const keyOf = ({ family, weight, style, address }: LoadedFont) => [family, weight, style, address].join("\n");
  const wanted = new Set(fonts.map(keyOf));
  for (const [key, face] of loaded) {
    if (wanted.has(key)) continue;
    document.fonts.delete(face);
    loaded.delete(key);
  }
  await Promise.all(
    fonts.map(async (font) => {
      if (loaded.has(keyOf(font))) return;
      const face = new FontFace(aliasOf(font.family), `url(${font.address})`, {
        weight: font.weight,
        style: font.style,
      });
      loaded.set(keyOf(font), face);
      try {
        document.fonts.add(await face.load());
      } catch {
        // A file the browser refuses: its text comes out in the next member, as on the page.
        loaded.delete(keyOf(font));
      }
    }),
  );
  families = new Set(fonts.map(({ family }) => family.toLowerCase()));
}

/** A stack by the names under which the site's fonts are loaded here. */
export function specimenStack(stack: string): string {
  const members = stackMembers(stack);
  if (!members) return stack;
  return writeStack(
    members.map((member) =>
      !member.generic && families.has(member.name.toLowerCase()) ? { ...member, name: aliasOf(member.name) } : member,
    ),
  );
}

/** Sets a declaration of a specimen. */
export function setSpecimen(style: CSSStyleDeclaration, property: string, value: string): void {
  style.setProperty(property, property === "font-family" ? specimenStack(value) : value);
}
