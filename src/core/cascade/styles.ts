/** All elements of a page styled. */
import { parseBlock } from "../source/css/syntax";
import { documentOf, type HtmlDocument } from "../source/html/document";
import { sheetsOfPage, type PageSheets } from "../source/html/sheets";
import type { Site, TextFile } from "../source/site";
import { browserSheet, quirksSheet } from "./browserSheet";
import { Computer } from "./computer";
import { measuresKey, type Conditions } from "./conditions";
import { forcedStatesOf, stateNames } from "./forced";
import type { PageRules } from "./pageRules";
import { changesBetween, changesByStates, type RuleChanges } from "./ruleChanges";
import { ruleSetOf, type RuleSet } from "./ruleSet";
import { facesKey } from "./styleBank";
import type { MatchContext } from "./selectors/match";
import type { Style } from "./style";
import { fontFacesOf, type FontFace } from "./fonts/pageFonts";

export interface StyledPage {
  file: TextFile;
  document: HtmlDocument;
  sheets: PageSheets;
  rules: PageRules;
  conditions: Conditions;
  /** The fonts its sheets bring. */
  faces: readonly FontFace[];
  /** By element index; the very same list as before a change after which every element and pseudo-element is as it was. */
  styles: readonly Style[];
}

/** @param before an earlier version of the same page under the same conditions, of which as much as can be is kept */
export function stylePage(
  site: Site,
  file: TextFile,
  conditions: Conditions,
  before: StyledPage | null = null,
): StyledPage {
  const document = documentOf(file);
  const sheets = sheetsOfPage(site, file);
  const all = sheets.owners.flatMap((owner) => owner.sheets);
  const quirks = document.mode === "quirks";
  const set = ruleSetOf(
    { browser: quirks ? quirksSheet : browserSheet, sheets: all, quirks, conditions },
    before?.rules.set ?? null,
  );
  const rules: PageRules = { set, sheets: all };
  const faces = fontFacesOf(site, all);
  const computer = new Computer(rules, conditions, document, matchingFor(document, conditions), faces);
  const isOver = before !== null && before.document === document && facesKey(before.faces) === facesKey(faces);
  const changes = isOver ? changesFrom(before, set, conditions) : null;
  const styles =
    (changes && computer.over(before!.styles, changes, measuresKey(before!.conditions) === measuresKey(conditions))) ??
    computer.all();
  return { file, document, sheets, rules, conditions, faces, styles };
}

/** What may be otherwise than on an earlier version; null where nothing is known of what stays. */
function changesFrom(before: StyledPage, set: RuleSet, conditions: Conditions): RuleChanges | null {
  const { path } = before.file;
  if (sameStates(before.conditions, conditions, path)) return changesBetween(before.rules.set, set);
  if (before.rules.set !== set) return null;
  return changesByStates(set, new Set([...stateNames(before.conditions, path), ...stateNames(conditions, path)]));
}

const sameStates = (a: Conditions, b: Conditions, path: string) =>
  JSON.stringify(a.forced[path] ?? {}) === JSON.stringify(b.forced[path] ?? {});

/** The same for pages whose elements have the same pseudo-elements wherever they are styled alike. */
export function pseudoVersionOf({ file, rules: { set }, conditions, styles }: StyledPage): object {
  const states = stateNames(conditions, file.path);
  return states.size && changesByStates(set, states).pseudo ? styles : set.pseudoVersion;
}

/** The fonts that the sheets of a page bring, without styling it. */
export function facesOfPage(site: Site, file: TextFile): readonly FontFace[] {
  return fontFacesOf(
    site,
    sheetsOfPage(site, file).owners.flatMap((owner) => owner.sheets),
  );
}

/** How selectors match on a page under given conditions. */
export function matchingFor(document: HtmlDocument, conditions: Conditions): MatchContext {
  const states = forcedStatesOf(document, conditions);
  return { quirks: document.mode === "quirks", scope: null, forced: states.size ? states : null };
}

/** The scheme in which a page is shown. */
export function usedScheme({ styles }: StyledPage): "light" | "dark" {
  return styles[0]?.shared.scheme ?? "light";
}

/** A way to ask for the styles of a page's pseudo-elements, which inherit from `parent`: their element, unless it is said. */
export function pseudoStyler({
  rules,
  conditions,
  document,
  faces,
}: StyledPage): (name: string, origin: Style, parent?: Style) => Style | null {
  const computer = new Computer(rules, conditions, document, matchingFor(document, conditions), faces);
  return (name, origin, parent = origin) => computer.pseudo(name, origin, parent);
}

/** The same for the boxes that rules generate before and after what is in elements: null where no rule says with what. */
export function generatedStyler({
  rules,
  conditions,
  document,
  faces,
}: StyledPage): (name: "before" | "after", origin: Style) => Style | null {
  const computer = new Computer(rules, conditions, document, matchingFor(document, conditions), faces);
  return (name, origin) => computer.generated(name, origin);
}

/** A text's style as it would be with declarations that nothing is stronger than. @param text of a block, without `!important` */
export function styleWith(
  { rules, conditions, document, faces }: StyledPage,
  style: Style,
  property: string,
  value: string,
): Style {
  const computer = new Computer(rules, conditions, document, matchingFor(document, conditions), faces);
  const declarations = parseBlock(`${property}:${value}!important`).filter((item) => item.kind === "declaration");
  return computer.attaching(style, declarations);
}
