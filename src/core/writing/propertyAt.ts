/** The property that is written at a place of a file. */
import { textFile, type Site } from "../source/site";
import { hereAt } from "./here";

/** In small letters; behind a declaration on its line, its own; null where none is. @param offset UTF-16 units of the file */
export function propertyAt(site: Site, path: string, offset: number): string | null {
  const text = textFile(site, path)?.text ?? "";
  const rest = /^[-\w]*/.exec(text.slice(offset))![0];
  const behind = /;[^\S\r\n]*$/.exec(text.slice(0, offset));
  return propertyBefore(site, path, offset + rest.length) ?? (behind && propertyBefore(site, path, behind.index));
}

function propertyBefore(site: Site, path: string, offset: number): string | null {
  const here = hereAt(site, path, offset);
  if (here?.kind === "value") return here.property;
  return here?.kind === "property" && here.typed ? here.typed.toLowerCase() : null;
}
