/** The site as a whole: opened, changed, counted. */
import {
  changeSite,
  colorSpots,
  draftKindNames,
  draftKinds,
  facesOfPage,
  pagesOf,
  refAfter,
  siteOf,
  styledPage,
  placeNames,
  withFiles,
  type Conditions,
  type FileChange,
  type Site,
} from "@/core";
import {
  site,
  replaceSite,
  turns,
  giveUp,
  asLatest,
  addresses,
  addressesIn,
  layouts,
  unwritten,
  shown,
  knownLayouts,
  stresses,
  knownStresses,
} from "../open";
import { collect, collectAll } from "../collect";
import { summarySteps } from "../summary";
import { warmSteps } from "../warm";
import { pageOf } from "../views";
import type { SiteAnswers, SiteColor, SiteFont, SiteSummary } from "../protocol/site";

const isNoText = ({ before, after }: FileChange) => (after ?? before)?.kind === "other";

/** The fonts that pages bring and that can be loaded, in steps, a page each. */
function* fontSteps(from: Site): Generator<void, SiteFont[]> {
  const fonts = new Map<string, SiteFont>();
  for (const file of pagesOf(from)) {
    for (const face of facesOfPage(from, file)) {
      const address = face.file && face.path ? addressesIn(from)(face.path) : null;
      if (!address) continue;
      const { family, italic } = face;
      const font: SiteFont = { family, weight: face.weight.join(" "), style: italic ? "italic" : "normal", address };
      fonts.set(`${font.family} ${font.weight} ${font.style}`, font);
    }
    yield;
  }
  return [...fonts.values()];
}

/** Pages of which it is not known what gives way, in steps, a page each: after an edit, each is styled for it. */
function* unstressedSteps(from: Site, conditions: Conditions): Generator<void, string[]> {
  const unstressed: string[] = [];
  for (const file of pagesOf(from)) {
    if (!stresses.has(styledPage(from, file, conditions).styles)) unstressed.push(file.path);
    yield;
  }
  return unstressed;
}

export const siteAnswers = {
  warm: async (files) => {
    await turns.inSlices(warmSteps(files), () => site.files.size === 0);
  },

  open: async (files) => {
    addresses.clear();
    layouts.clear();
    shown.clear();
    unwritten.layout = null;
    unwritten.page = null;
    replaceSite(siteOf(files));
  },

  commit: async (changes, files, follow = null) => {
    const before = site;
    replaceSite(changeSite(withFiles(site, files), changes));
    // What was painted, or laid out, was so with the pictures and fonts that there were.
    if (files.some(isNoText)) layouts.clear();
    const key = JSON.stringify(changes);
    if (unwritten.page?.changes === key) shown.set(unwritten.page.path, unwritten.page.page);
    if (unwritten.layout?.changes === key)
      layouts.set(unwritten.layout.path, { ...unwritten.layout.known, whole: false });
    unwritten.layout = null;
    unwritten.page = null;
    return follow && refAfter(before, site, follow, changes);
  },

  summary: async (conditions, report): Promise<SiteSummary | null> => {
    const steps = summarySteps(site, conditions, knownLayouts(conditions), knownStresses(site, conditions));
    return turns.whileQuiet(steps, asLatest("summary"), ({ done, of }) => void report?.(done, of));
  },

  stopSummary: async () => {
    giveUp("summary");
  },

  collect: async (all) => (all ? collectAll() : collect()),

  asked: async () => draftKindNames.filter((kind) => draftKinds[kind].isAsked(site)),

  siteFonts: async () => (await turns.inSlices(fontSteps(site), () => true)) ?? [],

  siteColors: async () => {
    const colors = new Map<string, SiteColor>();
    for (const { value, css } of colorSpots(site)) {
      if (css === null) continue;
      const known = colors.get(css);
      if (known) known.uses += 1;
      else colors.set(css, { css, value, uses: 1 });
    }
    return [...colors.values()].sort((a, b) => b.uses - a.uses);
  },

  placeNames: async (refs) => placeNames(site, refs),

  unstressedPages: async (conditions) =>
    (await turns.inSlices(unstressedSteps(site, conditions), asLatest("unstressed"))) ?? [],

  stressed: async (path, conditions, stress) => {
    stresses.set(pageOf(site, path, conditions).styles, stress);
    return Object.values(stress).some((list) => list.length > 0);
  },
} satisfies SiteAnswers;
