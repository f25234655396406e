/** Pages as they are shown, laid out and painted. */
import {
  changeSite,
  conditionsAfter,
  dataAddress,
  isDressedByWidth,
  differingSteps,
  keptLayout,
  provenUnder,
  layoutWith,
  pagesOf,
  sizesAt,
  styledPage,
  textFile,
  mediaWidths,
  withFiles,
  type Conditions,
  type PageLayout,
  type Site,
  type StyledPage,
} from "@/core";
import {
  site,
  turns,
  asLatest,
  addresses,
  addressesIn,
  layouts,
  unwritten,
  shown,
  layoutFor,
  viewAfterGlance,
  viewFor,
  patchOf,
} from "../open";
import { ElementNumbers } from "../numbers";
import { dressOf, outOfSightOf, pageAsPicture, pageOf, placesOf } from "../views";
import type { PagesAnswers } from "../protocol/pages";

/** Pages of which it is not known what lies under their texts, those after the one shown first, in steps. */
function* unlaidSteps(from: Site, conditions: Conditions, shown: string | null): Generator<void, string[]> {
  const files = pagesOf(from);
  const next = files.findIndex(({ path }) => path === shown) + 1;
  const unlaid: string[] = [];
  for (const file of [...files.slice(next), ...files.slice(0, next)]) {
    if (file.path === shown) continue;
    const known = layouts.get(file.path);
    // A page that was never laid out need not be styled to know it.
    if (!known?.whole || known.page?.styles !== styledPage(from, file, conditions).styles) unlaid.push(file.path);
    yield;
  }
  return unlaid;
}

/** What is known of a page's texts with what is told of them now. @param whole whether that is of all */
const mergedLayout = (path: string, structure: string, page: StyledPage, told: PageLayout, whole: boolean) =>
  layoutWith(layoutFor(path, structure, page)[path] ?? {}, told, whole);

const keepLayout = (path: string, structure: string, layout: PageLayout, whole: boolean) =>
  layouts.set(path, { structure, layout: keptLayout(layout), page: shown.get(path), whole });

export const pagesAnswers = {
  page: async (path, conditions, ahead) =>
    ahead ? viewAfterGlance(path, conditions, (glance) => void ahead(glance)) : viewFor(site, path, conditions),

  pageOutOfSight: async (path, conditions) => viewFor(site, path, conditions, { outOfSight: true }),

  glanceOutOfSight: async (path, conditions) => outOfSightOf(site, path, conditions, addressesIn(site)),

  dressOutOfSight: async (path, conditions, width) =>
    isDressedByWidth(conditions) ? dressOf(site, path, { ...conditions, width }, addressesIn(site)) : null,

  patch: async (path, structure, conditions) => patchOf(site, path, structure, conditions),

  rehearse: async (changes, path, structure, conditions) => {
    const from = changeSite(site, changes);
    const later = conditionsAfter(conditions, site, from, changes);
    unwritten.page = { path, changes: JSON.stringify(changes), page: pageOf(from, path, later) };
    const patch = patchOf(from, path, structure, later);
    return ElementNumbers.between(site, from, path, changes)?.patch(patch) ?? patch;
  },

  variant: async (path, changes, conditions, files = []) => {
    const before = withFiles(site, files);
    const from = changeSite(before, changes);
    const view = viewFor(from, path, conditionsAfter(conditions, before, from, changes), { kept: false });
    return ElementNumbers.between(before, from, path, changes)?.view(view) ?? view;
  },

  layOut: async (path, structure, told, whole, conditions, changes) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const later = conditionsAfter(conditions, site, from, changes);
    const numbers = ElementNumbers.between(site, from, path, changes);
    const page = pageOf(from, path, later);
    const merged = mergedLayout(path, structure, page, numbers?.layout(told) ?? told, whole);
    if (from === site) keepLayout(path, structure, merged, whole);
    else
      unwritten.layout = { path, changes: JSON.stringify(changes), known: { structure, layout: merged, page, whole } };
    const places = placesOf(page, from, { [path]: merged });
    return numbers?.places(places) ?? places;
  },

  layOutOfSight: async (path, structure, told, conditions) => {
    const page = pageOf(site, path, conditions);
    keepLayout(path, structure, mergedLayout(path, structure, page, told, true), true);
  },

  picture: async (path, changes, conditions, stage, look, unknown) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const later = conditionsAfter(conditions, site, from, changes);
    const numbers = ElementNumbers.between(site, from, path, changes);
    const asked = [numbers?.stage(stage) ?? stage, numbers?.look(look) ?? look] as const;
    const svg = pageAsPicture(from, path, later, addressesIn(from), ...asked, unknown);
    const whole = svg.replace(/blob:[^"'()\s&<>\\]+/g, (address) => addresses.asData(address));
    return dataAddress("image/svg+xml", new TextEncoder().encode(whole));
  },

  unlaidPages: async (conditions, shown) =>
    (await turns.inSlices(unlaidSteps(site, conditions, shown), asLatest("survey"))) ?? [],

  mediaWidths: async (path, conditions) => {
    const file = textFile(site, path);
    return file ? mediaWidths(site, file, conditions) : [];
  },

  sizesAt: async (refs, widths, conditions) => {
    // Width by width, so that each page is styled once for each.
    const columns = widths.map((width) => refs.map((ref) => sizesAt(site, ref, [width], conditions)[0] ?? 0));
    return refs.map((_, at) => columns.map((column) => column[at]!));
  },

  differences: async (changes, files, conditions, except = null) =>
    turns.inSlices(
      differingSteps(
        site,
        changeSite(withFiles(site, files), changes),
        changes,
        conditions,
        provenUnder(conditions, except),
      ),
      asLatest("differences"),
    ),
} satisfies PagesAnswers;
