/** The core in a web worker. It holds the site; the interface asks and shows. */
import { expose } from "comlink";
import {
  changeSite,
  colorSpots,
  combine,
  completions,
  computedValue,
  definedProperties,
  EditError,
  editsOn,
  findingsFor,
  FontError,
  fontFaceFor,
  groundsUnder,
  ignoredMessage,
  inksOn,
  isPlace,
  judgeChange,
  layoutNow,
  layoutWith,
  linkLooks,
  matchFallback,
  nameColor,
  nameStack,
  pagesOf,
  paletteOf,
  planSteps,
  positionAt,
  readFontFile,
  reports,
  restack,
  ruleAround,
  settingOf,
  sheetsOf,
  siteOf,
  sizesAt,
  slipFor,
  stackTable,
  styledPage,
  textFile,
  textStyleKey,
  textStyleTable,
  trialContrasts,
  withFiles,
  type FileChange,
  type Conditions,
  type AddressOf,
  type KnownPage,
  type Layouts,
  type PageLayout,
  type Site,
  type StyledPage,
  type TextChange,
} from "@/core";
import { pageAsPicture, pageOf, placesOf, titleOf, viewOf } from "./views";
import type { Engine, PagePatch, PageView, SiteColor, SiteFont, SiteSummary } from "./protocol";

let site: Site = siteOf([]);
/** Counts the looks at all pages; only the latest goes on. */
let summaries = 0;
/** When something was asked that somebody waits for, as `performance.now()`. */
let asked = 0;
/** Milliseconds without a question before it is counted over the site, and how long counting waits for them. */
const quiet = { after: 400, most: 3000 };

/** False when it is not wanted any more. */
async function nothingAsked(wanted: () => boolean): Promise<boolean> {
  const started = performance.now();
  for (;;) {
    const now = performance.now();
    if (now - asked > quiet.after || now - started > quiet.most) return true;
    await new Promise((resolve) => setTimeout(resolve, quiet.after / 3));
    if (!wanted()) return false;
  }
}

/** Counts the plans asked for; one that takes long gives way to the next. */
let plans = 0;
/** Milliseconds after which others are let in. */
const longestSlice = 30;
const addresses = new Map<Uint8Array, string>();

const mediaTypes: Readonly<Record<string, string>> = {
  png: "image/png",
  jpg: "image/jpeg",
  jpeg: "image/jpeg",
  gif: "image/gif",
  webp: "image/webp",
  avif: "image/avif",
  svg: "image/svg+xml",
  ico: "image/x-icon",
  woff2: "font/woff2",
  woff: "font/woff",
  ttf: "font/ttf",
  otf: "font/otf",
};

/** Pictures and fonts of the site, from memory; nothing else gets an address. */
const addressOf: AddressOf = (path) => {
  const file = site.files.get(path);
  if (file?.kind !== "other") return null;
  const type = mediaTypes[path.slice(path.lastIndexOf(".") + 1).toLowerCase()];
  if (!type) return null;
  let address = addresses.get(file.bytes);
  if (!address) {
    address = URL.createObjectURL(new Blob([file.bytes as BlobPart], { type }));
    addresses.set(file.bytes, address);
  }
  return address;
};

/** So many bytes are written at once: functions take no more arguments than that everywhere. */
const chunk = 0x6000;

/** RFC 4648, 4. */
function base64(bytes: Uint8Array): string {
  let text = "";
  // A multiple of three bytes gives whole groups of four digits.
  for (let at = 0; at < bytes.length; at += chunk) text += btoa(String.fromCharCode(...bytes.subarray(at, at + chunk)));
  return text;
}

const dataAddresses = new Map<string, string>();

/** A picture or font that a page shows from memory, as an address that holds all of it. */
function dataAddress(address: string): string {
  const known = dataAddresses.get(address);
  if (known !== undefined) return known;
  const bytes = [...addresses].find(([, own]) => own === address)?.[0];
  const path = [...site.files.values()].find((file) => file.kind === "other" && file.bytes === bytes)?.path ?? "";
  const type = mediaTypes[path.slice(path.lastIndexOf(".") + 1).toLowerCase()];
  const data = bytes ? `data:${type};base64,${base64(bytes)}` : "data:,";
  dataAddresses.set(address, data);
  return data;
}

/** What was read of a page that was shown, for one structure of it. */
interface KnownLayout {
  structure: string;
  layout: PageLayout;
  /** The page as it was shown last. */
  page: StyledPage | undefined;
  /** Whether all texts were looked at since the page was shown as it is. */
  whole: boolean;
}

const layouts = new Map<string, KnownLayout>();
/** The layout of a page with changes that are shown and not written: once they are, it is that of the page. */
let tried: { path: string; changes: string; known: KnownLayout } | null = null;

/** The page that was shown last with changes that are not written: once they are, it is the page as it is shown. */
let rehearsed: { path: string; changes: string; page: StyledPage } | null = null;

/** The pages as they were sent to be shown last. */
const shown = new Map<string, StyledPage>();

/** What is known of all pages as they are laid out: what was painted counts for texts that are as they were. */
function knownLayouts(conditions: Conditions): Layouts {
  return Object.fromEntries(
    [...layouts].flatMap(([path, { layout, page }]) => {
      const file = textFile(site, path);
      if (file?.kind !== "html") return [];
      return [[path, layoutNow(layout, page, styledPage(site, file, conditions))]];
    }),
  );
}

/** The layout of a page, if it is of the page with this structure. */
function layoutFor(path: string, structure: string, page: StyledPage): Layouts {
  const known = layouts.get(path);
  return known?.structure === structure ? { [path]: layoutNow(known.layout, known.page, page) } : {};
}

/** @param kept whether it is the page as it is shown from now on */
function viewFor(from: Site, path: string, conditions: Conditions, kept = from === site): PageView {
  const view = viewOf(from, path, conditions, addressOf, (structure) => {
    // A page that has got other elements has to be laid out anew.
    if (kept && layouts.get(path)?.structure !== structure) layouts.delete(path);
    return layoutFor(path, structure, pageOf(from, path, conditions));
  });
  if (kept) shown.set(path, pageOf(from, path, conditions));
  return view;
}

function patchOf(from: Site, path: string, structure: string, conditions: Conditions): PagePatch {
  const view = viewFor(from, path, conditions);
  return { ...view, document: view.structure === structure ? null : view.document };
}

/** What was made, or why it cannot be. */
function attempt<Made>(make: () => Made): { made: Made | null; problem: string | null } {
  try {
    return { made: make(), problem: null };
  } catch (error) {
    if (error instanceof EditError || error instanceof RangeError) return { made: null, problem: error.message };
    throw error;
  }
}

function changesOf(make: () => TextChange[]): { changes: TextChange[]; problem: string | null } {
  const { made, problem } = attempt(make);
  return { changes: made ?? [], problem };
}

/** Held as long as the worker lives, so that its end is noticed. */
const alive = new Promise<void>((resolve) => {
  if (!navigator.locks) return resolve();
  const held = navigator.locks.request(self.name, () => {
    resolve();
    return new Promise(() => undefined);
  });
  held.catch(() => resolve());
});

const engine: Engine = {
  started: () => alive,

  open: async (files) => {
    for (const address of addresses.values()) URL.revokeObjectURL(address);
    addresses.clear();
    dataAddresses.clear();
    layouts.clear();
    shown.clear();
    tried = null;
    rehearsed = null;
    site = siteOf(files);
  },

  summary: async (conditions, report): Promise<SiteSummary | null> => {
    const mine = (summaries += 1);
    if (!(await nothingAsked(() => mine === summaries))) return null;
    const files = pagesOf(site);
    const pages: KnownPage[] = [];
    for (const file of files) {
      pages.push(styledPage(site, file, conditions));
      if (files.length < 2) break;
      report?.(pages.length, files.length);
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== summaries) return null;
    }
    const keys = new Set<string>();
    const stacks = new Set<string>();
    return {
      pages: pages.map((page) => {
        const places = page.styles.filter(isPlace);
        for (const style of places) {
          keys.add(textStyleKey(style));
          stacks.add(computedValue(style, "font-family"));
        }
        return {
          path: page.file.path,
          title: titleOf(page.file),
          places: places.length,
          sheets: [...page.sources],
        };
      }),
      sheets: sheetsOf(site).map(({ path }) => path),
      textStyles: keys.size,
      stacks: stacks.size,
      colors: new Set(colorSpots(site).map(({ value }) => value)).size,
      findings: findingsFor({ site, pages, conditions, layouts: knownLayouts(conditions) }),
    };
  },

  stopSummary: async () => {
    summaries += 1;
  },

  page: async (path, conditions) => viewFor(site, path, conditions),

  setting: async (picked, places, property, conditions) => settingOf(site, picked, places, property, conditions),

  siteFonts: async (conditions) => {
    const fonts = new Map<string, SiteFont>();
    for (const face of pagesOf(site).flatMap((file) => styledPage(site, file, conditions).faces)) {
      const address = face.file && face.path ? addressOf(face.path) : null;
      if (!address) continue;
      const font: SiteFont = {
        family: face.family,
        weight: face.weight.join(" "),
        style: face.italic ? "italic" : "normal",
        address,
      };
      fonts.set(`${font.family} ${font.weight} ${font.style}`, font);
    }
    return [...fonts.values()];
  },

  grounds: async (picked, places, conditions) =>
    groundsUnder(site, picked, places, conditions, knownLayouts(conditions)),

  inks: async (picked, conditions) => inksOn(site, picked, conditions, knownLayouts(conditions)),

  palette: async (conditions) => paletteOf(site, conditions, knownLayouts(conditions)),

  styleTable: async (conditions) => textStyleTable(site, conditions, knownLayouts(conditions)),

  trialContrasts: async (picked, target, property, values, conditions) =>
    trialContrasts(site, picked, target, property, values, conditions, knownLayouts(conditions)),

  editsOn: async (texts, conditions) => {
    const { made, problem } = attempt(() =>
      texts.flatMap(({ ref, declarations }) => editsOn(site, ref, declarations, conditions)),
    );
    return { edits: made ?? [], problem };
  },

  variant: async (path, changes, conditions) => viewFor(changeSite(site, changes), path, conditions, false),

  combine: async (edits) => changesOf(() => combine(site, edits)),

  sizesAt: async (refs, widths, conditions) => {
    // Width by width, so that each page is styled once for each.
    const columns = widths.map((width) => refs.map((ref) => sizesAt(site, ref, [width], conditions)[0] ?? 0));
    return refs.map((_, at) => columns.map((column) => column[at]!));
  },

  nameColor: async (spots, name) => changesOf(() => nameColor(site, spots, name, definedProperties(site))),

  stacks: async (conditions) => stackTable(site, conditions),

  matchFallback: async (stack, fallback, conditions) =>
    changesOf(() => matchFallback(site, stack, fallback, conditions)),

  checkFont: async (bytes) => {
    try {
      const { family, style } = readFontFile(bytes);
      return { family, style, problem: null };
    } catch (error) {
      if (error instanceof FontError) return { family: "", style: "", problem: error.message };
      throw error;
    }
  },

  declareFont: async (path, bytes, family) => {
    const added: FileChange = { path, before: null, after: { kind: "other", path, bytes } };
    return changesOf(() => fontFaceFor(withFiles(site, [added]), path, readFontFile(bytes), family));
  },

  restack: async (stack, instead) => changesOf(() => restack(site, stack, instead)),

  nameStack: async (stack, name) => changesOf(() => nameStack(site, stack, name, definedProperties(site))),

  report: async (id, conditions) => {
    const report = reports.find((one) => one.id === id);
    if (!report) throw new RangeError(`There is no report ${id}.`);
    return {
      file: report.file,
      type: report.type,
      text: report.make({ site, conditions, layouts: knownLayouts(conditions) }),
    };
  },

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

  linkLooks: async (ref, conditions) => linkLooks(site, ref, conditions, knownLayouts(conditions)),

  slip: async (ref, conditions) => {
    try {
      return slipFor(site, ref, conditions, knownLayouts(conditions));
    } catch (error) {
      if (error instanceof EditError) return null;
      throw error;
    }
  },

  plan: async (edit, conditions, insist) => {
    const mine = (plans += 1);
    try {
      const steps = planSteps(site, edit, conditions);
      let started = performance.now();
      for (;;) {
        const step = steps.next();
        if (step.done) {
          const { changes, reach } = step.value;
          return {
            plan: step.value,
            judged: judgeChange(site, changeSite(site, changes), reach.places, conditions, knownLayouts(conditions)),
            problem: null,
          };
        }
        if (performance.now() - started < longestSlice) continue;
        await new Promise((resolve) => setTimeout(resolve));
        if (mine !== plans && !insist) return { plan: null, judged: null, problem: "Another value took its place." };
        started = performance.now();
      }
    } catch (error) {
      if (error instanceof EditError || error instanceof RangeError)
        return { plan: null, judged: null, problem: error.message };
      throw error;
    }
  },

  rehearse: async (changes, path, structure, conditions) => {
    const from = changeSite(site, changes);
    rehearsed = { path, changes: JSON.stringify(changes), page: pageOf(from, path, conditions) };
    return patchOf(from, path, structure, conditions);
  },

  layOut: async (path, structure, layout, whole, conditions, changes) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const page = pageOf(from, path, conditions);
    const before = layoutFor(path, structure, page)[path] ?? {};
    const merged = layoutWith(before, layout, whole);
    if (from === site) layouts.set(path, { structure, layout: merged, page: shown.get(path), whole });
    else tried = { path, changes: JSON.stringify(changes), known: { structure, layout: merged, page, whole } };
    return placesOf(page, from, { [path]: merged });
  },

  picture: async (path, changes, conditions, stage, look, unknown) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const svg = pageAsPicture(from, path, conditions, addressOf, stage, look, unknown);
    const whole = svg.replace(/blob:[^"'()\s&<>\\]+/g, (address) => dataAddress(address));
    return `data:image/svg+xml;base64,${base64(new TextEncoder().encode(whole))}`;
  },

  unlaidPages: async (conditions) =>
    pagesOf(site)
      .filter((file) => {
        const known = layouts.get(file.path);
        return !known?.whole || known.page !== styledPage(site, file, conditions);
      })
      .map(({ path }) => path),

  commit: async (changes, files) => {
    site = changeSite(withFiles(site, files), changes);
    const key = JSON.stringify(changes);
    if (rehearsed?.changes === key) shown.set(rehearsed.path, rehearsed.page);
    if (tried?.changes === key) layouts.set(tried.path, { ...tried.known, whole: false });
    tried = null;
    rehearsed = null;
  },

  patch: async (path, structure, conditions) => patchOf(site, path, structure, conditions),

  source: async (path, offset) => {
    const file = textFile(site, path);
    if (!file) return null;
    const found = ruleAround(site, path, offset);
    const { text } = file;
    const start = found ? found.sheet.offset + found.rule.start : 0;
    const end = found ? found.sheet.offset + found.rule.end : text.length;
    return { firstLine: positionAt(text, start).line, lastLine: positionAt(text, end).line };
  },

  complete: async (property, typed) => completions(property, typed),

  check: async (property, value) => (value.trim() === "" ? "A value is missing." : ignoredMessage(property, value)),
};

const counting: readonly (keyof Engine)[] = ["summary", "stopSummary"];
const heard = Object.entries(engine).map(([name, answer]: [string, (...asking: never[]) => unknown]) => {
  if (counting.includes(name as keyof Engine)) return [name, answer];
  const hear = (...asking: never[]) => {
    asked = performance.now();
    return answer(...asking);
  };
  return [name, hear];
});

expose(Object.fromEntries(heard));
