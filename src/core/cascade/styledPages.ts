/** Styled pages, kept as long as nothing they are made from changes. */
import { filesKey, originOf, type Site, type TextFile } from "../source/site";
import { conditionsKey, measuresKey, type Conditions } from "./conditions";
import { stylePage, type StyledPage } from "./styles";

export interface KnownPage extends StyledPage {
  /** Paths of the style sheet files it takes part of its rules from. */
  sources: readonly string[];
}

/** What a page is known by under conditions. */
interface Key {
  conditions: string;
  /** States forced on its elements. */
  states: string;
  /** How fonts measure. */
  fonts: string;
  /** Which files there are: a sheet that was missing may have come, a font may be another. */
  names: string;
}

interface Entry extends Key {
  sources: readonly (TextFile | undefined)[];
  page: KnownPage;
}

const known = new WeakMap<TextFile, Entry[]>();
/** Versions of one page kept at a time, those asked for last: before and after an edit, at several widths, in several states. */
const mostVersions = 10;

/** Equal for conditions under which a page is the same but for states: what is measured on other pages leaves it as it is. */
function keyFor(conditions: Conditions, path: string): string {
  return conditionsKey(conditions) + JSON.stringify(conditions.containers[path] ?? {});
}

const keyOf = (site: Site, file: TextFile, conditions: Conditions): Key => ({
  conditions: keyFor(conditions, file.path),
  states: JSON.stringify(conditions.forced[file.path] ?? {}),
  fonts: measuresKey(conditions),
  names: filesKey(site),
});

function foundIn(site: Site, entries: readonly Entry[], key: Key): Entry | undefined {
  return entries.find(
    (entry) =>
      entry.conditions === key.conditions &&
      entry.states === key.states &&
      entry.fonts === key.fonts &&
      entry.names === key.names &&
      entry.sources.every((source, at) => site.files.get(entry.page.sources[at]!) === source),
  );
}

/** Whether a page was styled under these conditions as it is. */
export const isStyled = (site: Site, file: TextFile, conditions: Conditions): boolean =>
  foundIn(site, known.get(file) ?? [], keyOf(site, file, conditions)) !== undefined;

/** A page with its styles under these conditions, made from the nearest version that is known. */
export function styledPage(site: Site, file: TextFile, conditions: Conditions): KnownPage {
  const key = keyOf(site, file, conditions);
  const entries = known.get(file) ?? [];
  const found = foundIn(site, entries, key);
  if (found) {
    if (found !== entries[0]) known.set(file, [found, ...entries.filter((entry) => entry !== found)]);
    return found.page;
  }
  const styled = stylePage(site, file, conditions, nearestOf(site, entries, key));
  const sources = [
    ...new Set(
      styled.sheets.owners
        .flatMap((owner) => owner.sheets)
        .filter(({ kind }) => kind !== "embedded")
        .map(({ path }) => path),
    ),
  ];
  const page: KnownPage = { ...styled, sources };
  const entry: Entry = { ...key, sources: sources.map((path) => site.files.get(path) as TextFile | undefined), page };
  known.set(file, [entry, ...entries].slice(0, mostVersions));
  return page;
}

/**
 * The version a page is made over from: how fonts measure aside, the one with most of the same sheets, or the one they
 * were changed from. In other states, one with all the same sheets, where there is none in the same.
 */
function nearestOf(site: Site, entries: readonly Entry[], key: Key): StyledPage | null {
  let nearest: Entry | null = null;
  let best = -1;
  for (const entry of entries) {
    if (entry.conditions !== key.conditions || entry.names !== key.names) continue;
    const shared = entry.sources.reduce((sum, source, at) => {
      const now = site.files.get(entry.page.sources[at]!);
      if (now === source) return sum + 2;
      return now?.kind === "css" && originOf(now)?.file === source ? sum + 1 : sum;
    }, 0);
    const isSame = entry.states === key.states;
    if (!isSame && shared < 2 * entry.sources.length) continue;
    const rank = isSame ? shared + 1 : 0;
    if (rank > best) [nearest, best] = [entry, rank];
  }
  return nearest?.page ?? null;
}
