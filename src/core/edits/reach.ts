/** What an edit reaches: the places whose looks come out differently, page by page. */
import { append } from "../source/groups";
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { sameBox, sameValues, type Style } from "../cascade/style";
import { type StyledPage } from "../cascade/styles";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { refOf, textsOf } from "../text/pageTexts";
import { textId } from "../ground/layout";
import { indexesAfter } from "../source/html/movedElements";
import { pagesOf, textFile, type Site, type TextFile } from "../source/site";
import type { TextChange } from "../source/changes";
import type { Reach } from "./types";

/**
 * The places that come out differently, as they are counted after the changes; all of a page whose elements change. In
 * steps, a page each.
 * @param only the page that is looked at; null for all
 */
export function* reachSteps(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  conditions: Conditions,
  only: string | null,
): Generator<void, Reach> {
  const reach = noReach(before, only);
  const later = conditionsAfter(conditions, before, after, changes);
  const isChanged = (path: string) => before.files.get(path) !== after.files.get(path);
  for (const file of pagesAmong(before, only)) {
    const old = styledPage(before, file, conditions);
    if (!isChanged(file.path) && !asksFor(old, isChanged)) continue;
    const places = reachedOn(old, styledPage(after, textFile(after, file.path)!, later), changes);
    if (places.length) reach.pages.push(file.path);
    append(reach.places, places);
    yield;
  }
  return reach;
}

/** Whether a page reads one of some files, or would if it were there. */
function asksFor({ sources, sheets }: KnownPage, isOne: (path: string) => boolean): boolean {
  return sources.some(isOne) || sheets.missing.some(({ target }) => target !== null && isOne(target));
}

/** All pages of a site, or only one. */
export function pagesAmong(site: Site, only: string | null): TextFile[] {
  return pagesOf(site).filter(({ path }) => only === null || path === only);
}

/** What a reach over all pages, or only one, begins with. */
export function noReach(site: Site, only: string | null): Reach {
  return { places: [], pages: [], whole: pagesAmong(site, only).length === pagesOf(site).length };
}

function reachedOn(old: StyledPage, now: StyledPage, changes: readonly TextChange[]): ElementRef[] {
  const { path } = old.file;
  if (old.styles === now.styles) return [];
  const own = changes.filter((change) => change.path === path);
  const differs = differing(old, now, own);
  return textsOf(now)
    .filter(differs)
    .map((style) => refOf(path, style));
}

/** What a style of a page was before the page's text was changed; nothing for what is new. @param changes of the page itself */
export function styleBefore(
  old: StyledPage,
  now: StyledPage,
  changes: readonly TextChange[],
): (style: Style) => Style | undefined {
  const pseudos = new Map(textsOf(old).map((style) => [textId(style.element.index, style.pseudo), style]));
  const indexes = old.document === now.document ? null : elementsBefore(old, now, changes);
  return ({ element: { index }, pseudo }) => {
    const was = indexes ? indexes.get(index) : index;
    if (was === undefined) return undefined;
    return pseudo === null ? old.styles[was] : pseudos.get(textId(was, pseudo));
  };
}

/** Whether a text comes out differently: it, or a box around it, has another computed value. */
function differing(old: StyledPage, now: StyledPage, changes: readonly TextChange[]): (style: Style) => boolean {
  const boxes = new Map<Style, boolean>();
  const before = styleBefore(old, now, changes);
  const boxDiffers = (style: Style | null): boolean => {
    if (!style) return false;
    let result = boxes.get(style);
    if (result === undefined) {
      const was = before(style);
      result = !was || !sameBox(was, style) || boxDiffers(style.parent);
      boxes.set(style, result);
    }
    return result;
  };
  return (style) => {
    const was = before(style);
    return !was || !sameValues(was, style) || boxDiffers(style.parent);
  };
}

/** The element each one was before the page's text was changed; those that are new, or have another tag, have none. */
function elementsBefore(old: StyledPage, now: StyledPage, changes: readonly TextChange[]): Map<number, number> {
  const after = [...indexesAfter(old.file, now.file, changes)];
  const tagOf = ({ document }: StyledPage, index: number) => document.elements[index]!.tag;
  return new Map(after.filter(([was, is]) => tagOf(old, was) === tagOf(now, is)).map(([was, is]) => [is, was]));
}
