/** Versions of a sheet, one made of the other as by a hand that types, by seed. */
import { randomPage } from "../fidelity/random";
import { chanceOf } from "./random";

const typed = ["red", "1", "px", ";", " ", "color:red;", "h1{color:red}", "}", "{", "/*", "*/", "@media print{a{b:c}}", ",", '"', "@layer x;", "@namespace a url(b);", "<!--", "--x:1;"]; // prettier-ignore

/** @returns the sheet as it opens, then each version */
export function sheetVersions(seed: number, count: number): string[] {
  const chance = chanceOf(seed);
  const first = [0, 1, 2].flatMap((more) => randomPage(seed * 3 + more).rules).join("\n");
  const versions = [first];
  while (versions.length <= count) {
    // From the sheet as it opened, from the last version, or back to an earlier one.
    const from = chance.is(0.5) ? first : versions[versions.length - 1]!;
    if (chance.is(0.1)) versions.push(chance.among(versions));
    else {
      const at = chance.upTo(from.length);
      const gone = chance.is(0.5) ? 0 : chance.upTo(chance.is(0.1) ? 300 : 6);
      versions.push(from.slice(0, at) + (chance.is(0.3) ? "" : chance.among(typed)) + from.slice(at + gone));
    }
  }
  return versions;
}
