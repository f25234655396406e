/** What a draft is looked at under: as the pages stand, and whatever else readers bring about that sheets ask for. */
import type { Conditions } from "../cascade/conditions";
import { hasSchemes } from "../cascade/schemes";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { underWords } from "../edits/difference";
import { provenUnder } from "../edits/proof";
import { newlyShaped } from "../source/html/shapes";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";
import type { DraftKind } from "./kinds";
import { tonedTexts, type Tones } from "./tones";
import type { TonedText } from "./types";

/** Texts under some conditions, as the site is without the draft. */
export interface Look {
  /** "" as the pages stand. */
  under: string;
  conditions: Conditions;
  texts: TonedText[];
}

/** So many differently shaped pages are looked at under what readers bring about. */
const mostPages = 16;

/** All texts as the pages stand, first; then those of differently shaped pages under all else that is asked for. */
export function* looksAt(site: Site, kind: DraftKind, shown: Conditions, tones: Tones): Generator<void, Look[]> {
  const [rest, ...others] = conditionsOf(site, kind, shown);
  const pages: KnownPage[] = [];
  const texts = yield* tonedTexts(kept(styledUnder(site, pagesOf(site), rest!, shown), pages), tones);
  const looks: Look[] = [{ under: "", conditions: rest!, texts }];
  const some = newlyShaped(pages, mostPages).map(({ file }) => file);
  for (const conditions of others) {
    const own = yield* tonedTexts(styledUnder(site, some, conditions, shown), tones);
    looks.push({ under: underWords(conditions, rest!), conditions, texts: own });
  }
  return looks;
}

/** Pages under other conditions, each made when it is asked for. Only so many versions are kept: the one shown stays. */
export function* styledUnder(
  site: Site,
  files: readonly TextFile[],
  conditions: Conditions,
  shown: Conditions,
): Generator<KnownPage> {
  for (const file of files) {
    yield styledPage(site, file, conditions);
    styledPage(site, file, shown);
  }
}

function* kept<Thing>(things: Iterable<Thing>, into: Thing[]): Generator<Thing> {
  for (const one of things) {
    into.push(one);
    yield one;
  }
}

/** States that the browser's own sheet asks for. */
const always: readonly string[] = ["visited", "active"];

/** As the pages stand, first. Of schemes, widths and states those that make a difference. */
function conditionsOf(site: Site, kind: DraftKind, shown: Conditions): Conditions[] {
  const base: Conditions = { ...shown, ...kind.without, medium: "screen" };
  const texts = [...sheetsOf(site), ...pagesOf(site)].map(({ text }) => text);
  const asks = (what: RegExp) => texts.some((text) => what.test(text));
  const isInState = (state: string) => always.includes(state) || asks(new RegExp(`:${state}(?![\\w-])`, "i"));
  const widthsCount = asks(/@media[^{]*width|<link[^>]*width/i);
  const schemesCount = hasSchemes(site);
  return provenUnder(base, kind.name).filter(
    ({ scheme, width, forcedEverywhere }) =>
      (schemesCount || scheme === base.scheme) &&
      (widthsCount || width === base.width) &&
      forcedEverywhere.every(isInState),
  );
}
