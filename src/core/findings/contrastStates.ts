import type { Conditions } from "../cascade/conditions";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { ElementNode } from "../source/html/document";
import type { Site } from "../source/site";
import { textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { unreadable } from "./contrast";
import type { Check, CheckContext, Found } from "./types";

/** So many pages are looked at in other states and schemes than the one that is shown: each is styled once more for each. */
const mostPages = 12;

/** A page under circumstances that readers bring about. */
interface Circumstance {
  when: string;
  /** What a page's sheets hold where it makes a difference. */
  asked: RegExp;
  conditions(page: KnownPage, now: Conditions): Conditions;
  /** The states it is about; none where it is the scheme. */
  states: readonly string[];
}

const isControl = ({ tag, attributes }: ElementNode) =>
  (tag === "a" && attributes.has("href")) || tag === "button" || tag === "summary";

const forced = (when: string, asked: RegExp, ...states: string[]): Circumstance => ({
  when,
  asked,
  states,
  conditions: (page, now) => ({
    ...now,
    forced: {
      ...now.forced,
      [page.file.path]: Object.fromEntries(
        page.document.elements.filter(isControl).map(({ index }) => [index, states]),
      ),
    },
  }),
});

const otherScheme = (now: Conditions): Conditions => ({ ...now, scheme: now.scheme === "light" ? "dark" : "light" });

const circumstances: readonly Circumstance[] = [
  {
    when: "In the other scheme",
    asked: /prefers-color-scheme|light-dark\(|color-scheme\s*:/i,
    states: [],
    conditions: (_, now) => otherScheme(now),
  },
  forced("Under the pointer", /:hover/i, "hover"),
  forced("Once it was visited", /:visited/i, "visited"),
  forced("With the focus", /:focus/i, "focus", "focus-visible"),
  forced("While it is pressed", /:active/i, "active"),
];

/** Text that can be read as the page stands, and not in the other scheme, or as a link in one of its states (WCAG 2.2, 1.4.3). */
export const contrastStates: Check = {
  name: "contrast-states",
  group: "unread",
  *onSite({ site, pages, conditions }) {
    const found: Found[] = [];
    for (const page of pages.slice(0, mostPages)) {
      for (const one of circumstances) {
        if (!page.sheets.owners.some(({ sheets }) => sheets.some(({ text }) => one.asked.test(text)))) continue;
        yield;
        found.push(...foundUnder(site, page, one, conditions));
      }
    }
    return found;
  },
};

const known = new WeakMap<KnownPage, Map<Circumstance, Found[]>>();

function foundUnder(site: Site, page: KnownPage, one: Circumstance, conditions: Conditions): Found[] {
  let byCircumstance = known.get(page);
  if (!byCircumstance) known.set(page, (byCircumstance = new Map()));
  let found = byCircumstance.get(one);
  if (!found) byCircumstance.set(one, (found = look(site, page, one, conditions)));
  return found;
}

function look(site: Site, page: KnownPage, one: Circumstance, conditions: Conditions): Found[] {
  const then = styledPage(site, page.file, one.conditions(page, conditions));
  const readAtRest = new Set(
    textsOf(page)
      .filter((style) => legibilityOn(page, style, {}).ratio >= legibilityOn(page, style, {}).needs)
      .map(keyOf),
  );
  const failing = textsOf(then).filter((style) => {
    if (!readAtRest.has(keyOf(style)) || (one.states.length > 0 && !isWithinControl(style))) return false;
    const { verdict, ratio, needs } = legibilityOn(then, style, {});
    return (verdict === "fails" || verdict === "doubtful") && ratio < needs;
  });
  const { scheme } = then.conditions;
  const told = one.states.length > 0 ? { states: one.states } : { scheme };
  const when = one.states.length > 0 ? one.when : `In the ${scheme} scheme`;
  return unreadable(then, failing, {}, when, (context) => under(context, one)).map((found) => ({
    ...found,
    under: told,
  }));
}

const keyOf = ({ element, pseudo }: Style) => `${element.index} ${pseudo ?? ""}`;

function isWithinControl({ element }: Style): boolean {
  for (let above: ElementNode | null = element; above; above = above.parent) if (isControl(above)) return true;
  return false;
}

const under = (context: CheckContext, one: Circumstance): CheckContext => ({
  ...context,
  conditions: one.states.length > 0 ? context.conditions : otherScheme(context.conditions),
  layouts: {},
  pages: context.pages
    .slice(0, mostPages)
    .map((page) => styledPage(context.site, page.file, one.conditions(page, context.conditions))),
});
