/** Styled pages, kept as long as nothing they are made from changes. */
import type { Site, TextFile } from "../source/site";
import type { Conditions } from "./conditions";
import { stylePage, type StyledPage } from "./styles";

export interface KnownPage extends StyledPage {
  /** Paths of the style sheet files it takes part of its rules from. */
  sources: readonly string[];
}

interface Entry {
  conditions: string;
  /** Names of all files: a sheet that was missing may have come. */
  names: string;
  sources: readonly (TextFile | undefined)[];
  page: KnownPage;
}

const known = new WeakMap<TextFile, Entry[]>();
/** Versions of one page kept at a time: before and after an edit, at a few widths. */
const mostVersions = 6;
const namesOf = new WeakMap<Site["files"], string>();

export function styledPage(site: Site, file: TextFile, conditions: Conditions): KnownPage {
  const key = JSON.stringify(conditions);
  let names = namesOf.get(site.files);
  if (names === undefined) {
    names = [...site.files.keys()].join("\n");
    namesOf.set(site.files, names);
  }
  const entries = known.get(file) ?? [];
  const found = entries.find(
    (entry) => entry.conditions === key && entry.names === names && entry.sources.every((source, at) => site.files.get(entry.page.sources[at]!) === source),
  );
  if (found) return found.page;
  const latest = entries.find((entry) => entry.conditions === key && entry.names === names)?.page ?? null;
  const styled = stylePage(site, file, conditions, latest);
  const sources = [...new Set(styled.sheets.owners.flatMap((owner) => owner.sheets).filter(({ kind }) => kind !== "embedded").map(({ path }) => path))];
  const page: KnownPage = { ...styled, sources };
  const entry: Entry = { conditions: key, names, sources: sources.map((path) => site.files.get(path) as TextFile | undefined), page };
  known.set(file, [entry, ...entries].slice(0, mostVersions));
  return page;
}
