/** Selectors as they are with no reader about (Selectors 4, 9). */

const state =
  ":{1,2}(?:hover|focus(?:-visible|-within)?|active|visited|target|before|after|first-line|first-letter|marker|placeholder|selection|backdrop|-[\\w-]+)";
const stateful = new RegExp(state, "gi");

/** What is asked to be in no state is so at rest. */
const inNone = new RegExp(`:not\\(\\s*${state}(?:\\s*,\\s*${state})*\\s*\\)`, "gi");

/** A state or pseudo-element of nothing in particular. */
const alone = /(^|[\s>+~])(:)/g;

/** A selector without what only a reader brings about, and without its pseudo-element. */
export function atRest(text: string): string {
  return text
    .replace(inNone, "")
    .split(",")
    .map((one) => one.trim().replace(alone, "$1*$2").replace(stateful, "").trim() || "*")
    .join(",");
}
