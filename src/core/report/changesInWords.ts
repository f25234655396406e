/** What was changed, in words to paste into a message: where, what, and how many places come out differently. */
import type { Conditions } from "../cascade/conditions";
import { reachSteps } from "../edits/reach";
import { changeBetween } from "../source/changes";
import { declarationsOfFile } from "../source/declarations";
import { textFile, type Site, type TextFile } from "../source/site";
import { counted } from "./words";

/** So many changes of one file are told. */
const most = 40;

/** In steps, a page each. @param before the site as it was opened */
export function* changesInWords(before: Site, after: Site, conditions: Conditions): Generator<void, string> {
  const paths = [...new Set([...before.files.keys(), ...after.files.keys()])].sort();
  const changed = paths.filter(
    (path) => before.files.get(path) !== after.files.get(path) && differs(before, after, path),
  );
  if (changed.length === 0) return "Nothing is changed.\n";
  const changes = changed.flatMap((path) => {
    const [was, is] = [textFile(before, path), textFile(after, path)];
    const change = was && is ? changeBetween(path, was.text, is.text) : null;
    return change ? [change] : [];
  });
  const { places, pages } = yield* reachSteps(before, after, changes, conditions, null);
  const files = changed.map((path) => fileWords(before, after, path));
  return `${counted(changed.length, "file")} changed; ${reachWords(places.length, pages.length)}\n\n${files.join("\n\n")}\n`;
}

const reachWords = (places: number, pages: number) =>
  places === 0
    ? "no text comes out differently."
    : `${counted(places, "text")} on ${counted(pages, "page")} ${places === 1 ? "comes" : "come"} out differently.`;

function differs(before: Site, after: Site, path: string): boolean {
  const [was, is] = [textFile(before, path), textFile(after, path)];
  return was === null || is === null || was.text !== is.text;
}

function fileWords(before: Site, after: Site, path: string): string {
  const [was, is] = [textFile(before, path), textFile(after, path)];
  if (!after.files.has(path)) return `${path} is gone`;
  if (!before.files.has(path)) return `${path} is new`;
  if (!was || !is) return path;
  const told = ruleWords(rulesIn(before, was), rulesIn(after, is));
  const lines = told.length > 0 ? told : ["something else than declarations"];
  const more = lines.length > most ? [`and ${lines.length - most} more`] : [];
  return [path, ...[...lines.slice(0, most), ...more].map((line) => `  ${line}`)].join("\n");
}

type Rules = ReadonlyMap<string, ReadonlyMap<string, string>>;

/** The declarations of a file by selector; of several of one property the last. */
function rulesIn(site: Site, file: TextFile): Rules {
  const rules = new Map<string, Map<string, string>>();
  for (const { declaration, selector } of declarationsOfFile(site, file)) {
    const own = rules.get(selector) ?? new Map<string, string>();
    rules.set(selector, own);
    own.set(declaration.property, declaration.valueText + (declaration.important ? " !important" : ""));
  }
  return rules;
}

function ruleWords(before: Rules, after: Rules): string[] {
  const words: string[] = [];
  for (const [selector, now] of after) {
    const was = before.get(selector);
    if (!was) {
      words.push(`${selector} is new: ${[...now].map(([property, value]) => `${property}: ${value}`).join("; ")}`);
      continue;
    }
    for (const [property, value] of now) {
      const old = was.get(property);
      if (old === undefined) words.push(`${selector}: ${property} is ${value}, and was not set`);
      else if (old !== value) words.push(`${selector}: ${property} was ${old}, is ${value}`);
    }
    for (const [property, value] of was)
      if (!now.has(property)) words.push(`${selector}: ${property} was ${value}, is gone`);
  }
  for (const selector of before.keys()) if (!after.has(selector)) words.push(`${selector} is gone`);
  return words;
}
