/** The open site in the worker: its files, and what is known of its pages as they are shown and laid out. */
import {
  layoutNow,
  siteOf,
  styledPage,
  textFile,
  type Conditions,
  type AddressOf,
  type Layouts,
  type PageLayout,
  type PageStress,
  type Site,
  type Stresses,
  type StyledPage,
} from "@/core";
import { Addresses } from "./addresses";
import { sinceEditions } from "./editions";
import { Turns } from "./turns";
import { documentAt, glanceOf, lookOf, pageOf, shownSheetsOf, type PageLook } from "./views";
import type { PageGlance, PagePatch, PageView } from "./protocol";

/** The site as it is now; it is another object after each change. */
export let site: Site = siteOf([]);

export function replaceSite(next: Site): void {
  site = next;
}

export const turns = new Turns();

/** Counts what is asked about all pages; what takes long gives way to the next of its kind. */
const latest = {
  allRight: 0,
  attributeGroups: 0,
  changesInWords: 0,
  compare: 0,
  differences: 0,
  draft: 0,
  find: 0,
  heldAgainst: 0,
  reach: 0,
  rhythm: 0,
  selectors: 0,
  summary: 0,
  survey: 0,
  targets: 0,
  unstressed: 0,
};

/** Takes back what was asked last of a kind. */
export function giveUp(kind: keyof typeof latest): void {
  latest[kind] += 1;
}

/** Whether what is asked now is still wanted: until the next of its kind is asked for, or stopped. */
export function asLatest(kind: keyof typeof latest): () => boolean {
  const mine = (latest[kind] += 1);
  return () => mine === latest[kind];
}

export const addresses = new Addresses();
export const addressesIn =
  ({ files }: Site): AddressOf =>
  (path) =>
    addresses.of(path, files.get(path));

/** What was read of a page that was shown, for one structure of it. */
export interface KnownLayout {
  structure: string;
  layout: PageLayout;
  /** The page as it was shown last. */
  page: StyledPage | undefined;
  /** Whether all texts were looked at since the page was shown as it is. */
  whole: boolean;
}

export const layouts = new Map<string, KnownLayout>();
/** What is shown and not written: once it is, it is the page as it is shown, and its layout is that of the page. */
export const unwritten: {
  layout: { path: string; changes: string; known: KnownLayout } | null;
  page: { path: string; changes: string; page: StyledPage } | null;
} = { layout: null, page: null };

/** The pages as they were sent to be shown last. */
export const shown = new Map<string, StyledPage>();

/** What is known of all pages as they are laid out, each looked at when it is asked for: what was painted counts for texts that are as they were. */
export function knownLayouts(conditions: Conditions): Layouts {
  const from = site;
  const all: Record<string, PageLayout> = {};
  for (const [path, { layout, page }] of layouts) {
    const file = textFile(from, path);
    if (file?.kind !== "html") continue;
    let now: PageLayout | null = null;
    const get = () => (now ??= layoutNow(layout, page, styledPage(from, file, conditions)));
    Object.defineProperty(all, path, { get, enumerable: true });
  }
  return all;
}

/** What gives way on pages as some readers have them, by their styles: as long as those are the same, so is it. */
export const stresses = new WeakMap<StyledPage["styles"], PageStress>();

export function knownStresses(from: Site, conditions: Conditions): Stresses {
  const all: Record<string, PageStress> = {};
  for (const path of layouts.keys()) {
    const file = textFile(from, path);
    const own = file?.kind === "html" ? stresses.get(styledPage(from, file, conditions).styles) : undefined;
    if (own) all[path] = own;
  }
  return all;
}

export const measuredNow = (conditions: Conditions) => ({
  layouts: knownLayouts(conditions),
  stresses: knownStresses(site, conditions),
});

/** The layout of a page, if it is of the page with this structure. */
export function layoutFor(path: string, structure: string, page: StyledPage): Layouts {
  const known = layouts.get(path);
  return known?.structure === structure ? { [path]: layoutNow(known.layout, known.page, page) } : {};
}

/** How the page is shown, told first of what can be shown before it is styled. */
export function viewAfterGlance(path: string, conditions: Conditions, ahead: (glance: PageGlance) => void): PageView {
  const glanced = glanceOf(site, path, conditions, addressesIn(site));
  if (glanced) {
    ahead(glanced.glance);
    glanced.keepFor(pageOf(site, path, conditions));
  }
  return viewFor(site, path, conditions);
}

interface Shown {
  /** Whether it is the page as it is shown from now on. */
  kept?: boolean;
  /** See `lookOf`. */
  outOfSight?: boolean;
}

export const viewFor = (from: Site, path: string, conditions: Conditions, how: Shown = {}): PageView => ({
  ...lookFor(from, path, conditions, how),
  document: documentAt(from, path, conditions, addressesIn(from)),
});

/** The same without the document, which need not be made again for it. */
function lookFor(
  from: Site,
  path: string,
  conditions: Conditions,
  { kept = from === site, outOfSight = false }: Shown = {},
): PageLook {
  const known = (structure: string) => {
    // A page that has got other elements has to be laid out anew.
    if (kept && layouts.get(path)?.structure !== structure) layouts.delete(path);
    return layoutFor(path, structure, pageOf(from, path, conditions));
  };
  const look = lookOf(from, path, conditions, addressesIn(from), known, outOfSight);
  if (kept) shown.set(path, pageOf(from, path, conditions));
  return look;
}

export function patchOf(from: Site, path: string, structure: string, conditions: Conditions): PagePatch {
  const look = lookFor(from, path, conditions);
  if (look.structure !== structure) return viewFor(from, path, conditions);
  const before = from === site ? [] : shownSheetsOf(site, pageOf(site, path, conditions), addressesIn(site));
  return { ...look, sheets: sinceEditions(before, look.sheets), document: null };
}
