/** Which schemes a site has for its readers (Media Queries 5, 12.5; CSS Color Adjust 1, 2). */
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";
import type { Conditions } from "./conditions";

export type Scheme = Conditions["scheme"];

const asking = /prefers-color-scheme|light-dark\(|color-scheme\s*["':]/i;
const known = new WeakMap<TextFile, boolean>();

function asks(file: TextFile): boolean {
  let answer = known.get(file);
  if (answer === undefined) known.set(file, (answer = asking.test(file.text)));
  return answer;
}

/** Whether a site asks which scheme its readers have. */
export const hasSchemes = (site: Site): boolean => [...sheetsOf(site), ...pagesOf(site)].some(asks);

/** The schemes in which a site may come out otherwise, that which is looked at first. */
export function schemesOf(site: Site, { scheme }: Conditions): Scheme[] {
  return hasSchemes(site) ? [scheme, scheme === "light" ? "dark" : "light"] : [scheme];
}
