/** A file as it is being written, ahead of the site. */
import { changeBetween } from "../source/changes";
import { changeSite, textFile, type Site } from "../source/site";

/** Its lines end in LF. Offsets that are asked about are UTF-16 units of this text. */
export interface Typed {
  path: string;
  text: string;
}

/** The site with a file as it is being written; what is typed is the only change, so that most of what is known stands. */
export function withTyped(site: Site, { path, text }: Typed): Site {
  const file = textFile(site, path);
  const change = file && changeBetween(path, file.text, text);
  return change ? changeSite(site, [change]) : site;
}
