/** The property that is written at a place of a file. */
import { textFile, type Site } from "../source/site";
import { hereAt } from "./here";

/** In small letters; null where none is. @param offset UTF-16 units of the file */
export function propertyAt(site: Site, path: string, offset: number): string | null {
  const rest = textFile(site, path)?.text.slice(offset) ?? "";
  const here = hereAt(site, path, offset + /^[-\w]*/.exec(rest)![0].length);
  if (here?.kind === "value") return here.property;
  return here?.kind === "property" && here.typed ? here.typed.toLowerCase() : null;
}
