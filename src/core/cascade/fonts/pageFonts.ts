/** The fonts that the sheets of a page bring with them (CSS Fonts 4, section 4). */
import { parseFamilies } from "../properties/font";
import { rulesOf } from "../rules";
import { addressIn, componentsOf, splitAt, type Component } from "../../source/css/components";
import type { SheetSource } from "../../source/html/sheets";
import { resolveAddress } from "../../source/path";
import type { Site } from "../../source/site";
import { FontError, readFontFile, type FontFile } from "./fontFile";
import { weightCost } from "./weightCost";

/** One `@font-face` rule. */
export interface FontFace {
  family: string;
  weight: readonly [number, number];
  italic: boolean;
  /** The file that is taken: the first source that is among the files and can be read. */
  file: FontFile | null;
  /** Path of that file. */
  path: string | null;
  /** Addresses and local names, in order, with what is wrong with each. */
  sources: readonly { address: string; local: boolean; path: string | null; problem: string | null }[];
  display: string | null;
  /** Where the rule stands: the file, and the offset in it. */
  sheet: string;
  offset: number;
  end: number;
}

const known = new WeakMap<SheetSource, { site: Site; faces: FontFace[] }>();

/** The faces that sheets declare, in order; of two alike, the later one counts. */
export function fontFacesOf(site: Site, sheets: readonly SheetSource[]): FontFace[] {
  return sheets.flatMap((sheet) => {
    const before = known.get(sheet);
    if (before?.site.files === site.files) return before.faces;
    const faces = rulesOf(sheet.items).fontFaces.flatMap((rule) => {
      const descriptors = new Map(
        rule.items.flatMap((item) => (item.kind === "declaration" ? [[item.property, item.valueText] as const] : [])),
      );
      const family = parseFamilies(componentsOf(descriptors.get("font-family") ?? ""))?.[0]?.name;
      if (!family) return [];
      const sources = sourcesIn(site, sheet, componentsOf(descriptors.get("src") ?? ""));
      const taken = sources.find(({ font }) => font !== null);
      const face: FontFace = {
        family,
        weight: weightRange(descriptors.get("font-weight") ?? "normal"),
        italic: /^(?:italic|oblique)/i.test((descriptors.get("font-style") ?? "").trim()),
        file: taken?.font ?? null,
        path: taken?.path ?? null,
        sources: sources.map(({ address, local, path, problem }) => ({ address, local, path, problem })),
        display: descriptors.get("font-display")?.trim() ?? null,
        sheet: sheet.path,
        offset: sheet.offset + rule.start,
        end: sheet.offset + rule.end,
      };
      return [face];
    });
    known.set(sheet, { site, faces });
    return faces;
  });
}

/** The face that text of a family is set in (CSS Fonts 4, 5.2, weight and slope only); null when none is declared with a file. */
export function faceFor(faces: readonly FontFace[], family: string, weight: number, italic: boolean): FontFace | null {
  const named = faces.filter((face) => face.file && face.family.toLowerCase() === family.toLowerCase());
  const sloped = named.filter((face) => face.italic === italic);
  const candidates = sloped.length ? sloped : named;
  const cost = ({ weight: own }: FontFace) => weightCost(own, weight);
  return candidates.reduce<FontFace | null>((best, face) => (best && cost(best) < cost(face) ? best : face), null);
}

function weightRange(text: string): readonly [number, number] {
  const numbers = componentsOf(text).map((part) => {
    if (part.type === "number") return part.value;
    return part.type === "ident" && part.name.toLowerCase() === "bold" ? 700 : 400;
  });
  return [numbers[0] ?? 400, numbers[1] ?? numbers[0] ?? 400];
}

interface Source {
  address: string;
  local: boolean;
  path: string | null;
  problem: string | null;
  font: FontFile | null;
}

function wordIn(part: Component): string {
  if (part.type === "string") return part.value;
  return part.type === "ident" ? part.name : "";
}

function sourcesIn(site: Site, sheet: SheetSource, value: readonly Component[]): Source[] {
  return splitAt(value, ",").flatMap((parts): Source[] => {
    const [first] = parts;
    if (first?.type === "function" && first.name === "local") {
      const name = first.args.map(wordIn).join(" ");
      return [{ address: name, local: true, path: null, problem: null, font: null }];
    }
    const address = addressIn(first);
    return address === null ? [] : [sourceAt(site, sheet, address)];
  });
}

function sourceAt(site: Site, sheet: SheetSource, address: string): Source {
  const at = resolveAddress(address, sheet.path);
  const source = (path: string | null, problem: string | null, font: FontFile | null = null): Source => ({
    address,
    local: false,
    path,
    problem,
    font,
  });
  if (at.kind !== "file")
    return source(null, at.kind === "data" ? null : "It is on another server, and is not loaded here.");
  const file = site.files.get(at.path);
  if (!file) return source(at.path, "It is not among the files.");
  if (file.kind !== "other") return source(at.path, "It is not a font file: woff2, woff, ttf and otf can be read.");
  try {
    return source(at.path, null, readFontFile(file.bytes));
  } catch (error) {
    if (error instanceof FontError) return source(at.path, error.message);
    throw error;
  }
}
