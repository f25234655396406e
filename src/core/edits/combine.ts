import { changeBetween, ComposedChanges, type TextChange } from "../source/changes";
import { groupBy } from "../source/groups";
import { changeSite, textFile, type Site } from "../source/site";
import { refsAfter } from "../text/refAfter";
import { movedEdit } from "./movedEdit";
import { changesFor } from "./plan";
import type { Edit } from "./types";

/** Several edits as one, one after the other: changes of the files as they are now. @throws EditError */
export function combine(site: Site, edits: readonly Edit[]): TextChange[] {
  let current = site;
  const composed = new Map<string, ComposedChanges>();
  // From the end of a file to its start, so that the places of rules still to come stay.
  let left = [...edits].sort((a, b) => startOf(b) - startOf(a));
  for (let edit = left.shift(); edit; edit = left.shift()) {
    const made = changesFor(current, edit);
    for (const [path, own] of groupBy(made, (change) => change.path)) {
      const all = composed.get(path) ?? new ComposedChanges(textFile(site, path)!.text.length);
      all.add(own);
      composed.set(path, all);
    }
    const next = changeSite(current, made);
    const placeAfter = refsAfter(current, next, made);
    left = left.map((one) => movedEdit(one, placeAfter));
    current = next;
  }
  return [...composed].flatMap(([path, all]) => {
    const { text } = textFile(site, path)!;
    // What comes to be as it was is no change.
    return all.all(path).flatMap((change) => {
      const least = changeBetween(path, text.slice(change.start, change.end), change.insert);
      return least ? [{ ...least, start: change.start + least.start, end: change.start + least.end }] : [];
    });
  });
}

function startOf(edit: Edit): number {
  return edit.kind === "declare" && edit.target.kind === "rule" ? edit.target.start : -1;
}
