/** Where an edit of the picked text can be written, with what each choice reaches. */
import { withStatesEverywhere, type Conditions } from "../cascade/conditions";
import { ruleNow } from "../cascade/explain";
import { matches } from "../cascade/selectors/match";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { styledPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import type { Reach, Target } from "../edits/types";
import { plainSelector } from "../source/html/document";
import { positionAt } from "../source/lines";
import { pagesOf, textFile, type Site } from "../source/site";
import type { StyleRule } from "../source/css/syntax";
import { refOf, textsOf } from "../pageTexts";
import { isForScreens } from "../edits/locate";
import { isPlace, textStyleKey } from "../textStyles";

export interface TargetOption {
  target: Target;
  /** The selector, or what is written into. */
  label: string;
  path: string;
  line: number | null;
  reach: Reach;
  /** Group under which it is offered. */
  group: "rule" | "new rule" | "class" | "id" | "style attribute";
  /** Media and other conditions the rule stands under. */
  condition: string | null;
}

export function targetsFor(site: Site, page: StyledPage, style: Style, now: Conditions): TargetOption[] {
  const conditions = withStatesEverywhere(now);
  const { index } = style.element;
  const options = ruleTargets(site, page, style, conditions);
  const sheet = sheetForNew(page);
  if (style.pseudo !== null)
    return [...options, ...newPseudoRules(site, style, style.pseudo, options, sheet, conditions)];
  const here = { page: page.file.path, index };
  const self: Reach = reachBelow(page, style);
  if (sheet) {
    const plain = plainSelector(style.element);
    const taken = options.some(({ label, condition }) => label === plain && condition === null);
    const selector = taken && style.parent ? `${plainSelector(style.parent.element)} ${plain}` : plain;
    options.push(
      option(
        { kind: "new-rule", path: sheet, selector },
        selector,
        sheet,
        "new rule",
        reachOfSelector(site, selector, conditions),
      ),
    );
    const alike = likeIt(site, page, style, conditions);
    const name = freeName(site, style);
    options.push(
      option(
        { kind: "class", name, elements: [here], path: sheet },
        `.${name}, given to this one`,
        sheet,
        "class",
        self,
      ),
    );
    if (alike.places.length > 1) {
      options.push(
        option(
          { kind: "class", name, elements: alike.places, path: sheet },
          `.${name}, given to all like it`,
          sheet,
          "class",
          alike,
        ),
      );
    }
    const id = style.element.id ?? name;
    options.push(option({ kind: "id", name: id, element: here, path: sheet }, `#${id}`, sheet, "id", self));
  }
  if (style.element.source) {
    options.push(
      option({ kind: "style-attribute", element: here }, "style attribute", page.file.path, "style attribute", self),
    );
  }
  return options;
}

/** Rules of their own for a pseudo-element: as all of its kind have it, and this one alone. */
function newPseudoRules(
  site: Site,
  { element }: Style,
  pseudo: string,
  taken: readonly TargetOption[],
  sheet: string | null,
  conditions: Conditions,
): TargetOption[] {
  if (!sheet) return [];
  const origins = [plainSelector(element), ...(element.id ? [`#${element.id}`] : [])];
  return origins
    .map((origin) => `${origin}::${pseudo}`)
    .filter((selector) => !taken.some(({ label, condition }) => label === selector && condition === null))
    .map((selector) =>
      option(
        { kind: "new-rule", path: sheet, selector },
        selector,
        sheet,
        "new rule",
        reachOfSelector(site, selector, conditions),
      ),
    );
}

function option(target: Target, label: string, path: string, group: TargetOption["group"], reach: Reach): TargetOption {
  return { target, label, path, line: null, reach, group, condition: null };
}

function ruleTargets(site: Site, page: StyledPage, style: Style, conditions: Conditions): TargetOption[] {
  const options: TargetOption[] = [];
  for (const block of [...style.blocks].reverse()) {
    if (!block.match) continue;
    const { sheet, entry } = ruleNow(page, block.match);
    if (!sheet) continue;
    const { rule, conditions: under } = entry;
    const start = sheet.offset + rule.start;
    if (options.some(({ target }) => target.kind === "rule" && target.path === sheet.path && target.start === start))
      continue;
    const text = textFile(site, sheet.path)?.text ?? sheet.text;
    options.push({
      target: { kind: "rule", path: sheet.path, start },
      label: rule.preludeText.replace(/\s+/g, " "),
      path: sheet.path,
      line: positionAt(text, start).line,
      reach: reachOfRule(site, rule, conditions),
      group: "rule",
      condition: under.media.length ? `@media ${under.media.join(" and ")}` : null,
    });
  }
  return options;
}

/** Places the rule matches, or that lie in an element it matches. */
export function reachOfRule(site: Site, rule: StyleRule, conditions: Conditions): Reach {
  return collect(site, conditions, (style, page) =>
    style.blocks.some(({ match }) => match !== null && ruleNow(page, match).entry.rule === rule),
  );
}

/** Places a selector matches, and those inside them. */
function reachOfSelector(site: Site, selector: string, conditions: Conditions): Reach {
  const list = tryParseSelectorList(selector) ?? [];
  return collect(site, conditions, ({ element, pseudo }) =>
    list.some(
      (one) => one.pseudoElement === pseudo && matches(one, element, { quirks: false, scope: null, forced: null }),
    ),
  );
}

function collect(site: Site, conditions: Conditions, touches: (style: Style, page: StyledPage) => boolean): Reach {
  const reach: Reach = { places: [], pages: [] };
  for (const file of pagesOf(site)) {
    const touched = new Set<Style>();
    const before = reach.places.length;
    const page = styledPage(site, file, conditions);
    const look = (style: Style) => {
      const reached = (style.parent !== null && touched.has(style.parent)) || touches(style, page);
      if (reached) touched.add(style);
      return reached;
    };
    page.styles.forEach(look);
    for (const style of textsOf(page)) {
      if (style.pseudo === null ? touched.has(style) : look(style)) reach.places.push(refOf(file.path, style));
    }
    if (reach.places.length > before) reach.pages.push(file.path);
  }
  return reach;
}

function reachBelow(page: StyledPage, style: Style): Reach {
  const places = page.styles
    .filter((one) => {
      for (let current: Style | null = one; current; current = current.parent)
        if (current === style) return isPlace(one);
      return false;
    })
    .map(({ element }) => ({ page: page.file.path, index: element.index }));
  return { places, pages: places.length ? [page.file.path] : [] };
}

/** Places of the same text style and the same kind of element, over the whole site. */
function likeIt(site: Site, page: StyledPage, picked: Style, conditions: Conditions): Reach {
  const key = textStyleKey(styledPage(site, page.file, conditions).styles[picked.element.index]!);
  const reach: Reach = { places: [], pages: [] };
  for (const file of pagesOf(site)) {
    const found = styledPage(site, file, conditions).styles.filter(
      (style) =>
        style.element.tag === picked.element.tag &&
        style.element.source &&
        isPlace(style) &&
        textStyleKey(style) === key,
    );
    if (found.length) reach.pages.push(file.path);
    reach.places.push(...found.map(({ element }) => ({ page: file.path, index: element.index })));
  }
  return reach;
}

/** The sheet that new rules go into: the last linked one of the page, else one it embeds. */
export function sheetForNew(page: StyledPage): string | null {
  const sheets = page.sheets.owners.flatMap((owner) => owner.sheets);
  const open = sheets.filter(({ kind, media }) => kind !== "imported" && isForScreens(media[0] ?? ""));
  return (open.findLast(({ kind }) => kind === "linked") ?? open.at(-1))?.path ?? null;
}

/** A class name that no page and no sheet uses yet. */
function freeName(site: Site, { element }: Style): string {
  const base = element.tag.replace(/[^a-z0-9]/gi, "");
  const texts = [...site.files.values()].map((file) => (file.kind === "other" ? "" : file.text));
  for (let number = 1; ; number += 1) {
    const name = `${base}-${number}`;
    if (!texts.some((text) => text.includes(name))) return name;
  }
}
