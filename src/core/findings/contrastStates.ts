import { append } from "../source/groups";
import type { Conditions } from "../cascade/conditions";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import { pageShapes } from "../source/html/shapes";
import type { ElementNode, HtmlDocument } from "../source/html/document";
import type { Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import { refKey, type ElementRef } from "../text/refs";
import { legibilityOn } from "../text/textStyles";
import { finished } from "../source/steps";
import { unreadable } from "./contrast";
import { isAskedIn } from "./texts";
import type { Check, CheckContext, Circumstances, Found } from "./types";

/** A page as readers may bring it about. */
interface Circumstance {
  /** What a page's sheets hold where it makes a difference. */
  asked: RegExp;
  /** Whether it is about links and buttons alone, with what is in them. */
  ofControls: boolean;
  conditions(page: KnownPage, now: Conditions): Conditions;
  under(now: Conditions): Circumstances;
  /** In words, as a sentence begins. */
  when(now: Conditions): string;
}

/** So many pages are looked at in each circumstance: each is styled once more for it. */
const mostPages = 16;

const isControl = ({ tag, attributes }: ElementNode) =>
  (tag === "a" && attributes.has("href")) || tag === "button" || tag === "summary";

const otherOf = ({ scheme }: Conditions) => (scheme === "light" ? "dark" : "light");

const otherScheme: Circumstance = {
  asked: /prefers-color-scheme|light-dark\(|color-scheme\s*:/i,
  ofControls: false,
  conditions: (_, now) => ({ ...now, scheme: otherOf(now) }),
  under: (now) => ({ scheme: otherOf(now) }),
  when: (now) => `In the ${otherOf(now)} scheme`,
};

const inState = (when: string, asked: RegExp, ...states: string[]): Circumstance => ({
  asked,
  ofControls: true,
  conditions: (page, now) => ({
    ...now,
    forced: {
      ...now.forced,
      [page.file.path]: Object.fromEntries(
        page.document.elements.filter(isControl).map(({ index }) => [index, states]),
      ),
    },
  }),
  under: () => ({ states }),
  when: () => when,
});

const circumstances: readonly Circumstance[] = [
  otherScheme,
  inState("Under the pointer", /:hover/i, "hover"),
  inState("Once it was visited", /:visited/i, "visited"),
  inState("With the focus", /:focus/i, "focus", "focus-visible"),
  inState("While it is pressed", /:active/i, "active"),
];

/**
 * Text that can be read as the page stands, and not in the other scheme, or as a link in one of its states
 * (WCAG 2.2, 1.4.3). Of pages on which all is shaped as on others, one is looked at; what is shaped as what was found
 * counts as a place of the same finding.
 */
export const contrastStates: Check = {
  name: "contrast-states",
  group: "unread",
  *onSite({ site, pages, conditions }) {
    const found: Found[] = [];
    for (const one of circumstances) {
      const asking = pages.filter(({ sheets }) => isAskedIn(sheets, one.asked));
      const looked = new Set(yield* lookedAt(asking, one));
      const own: Found[] = [];
      for (const page of looked) {
        append(
          own,
          foundUnder(site, page, one, conditions).map((finding) => ({ ...finding, places: [...finding.places!] })),
        );
        yield;
      }
      const others = asking.filter((page) => !looked.has(page));
      addPlaces(own, others, [...looked]);
      append(found, own);
    }
    return found;
  },
};

/** Pages on which elements that a circumstance is about are shaped as on none before. */
function* lookedAt(pages: readonly KnownPage[], { ofControls }: Circumstance): Generator<void, KnownPage[]> {
  const seen = new Set<string>();
  const looked: KnownPage[] = [];
  for (const page of pages) {
    const before = seen.size;
    for (const { shape, inControl } of shapedTexts(page)) if (inControl || !ofControls) seen.add(shape);
    if (seen.size > before) looked.push(page);
    if (looked.length === mostPages) break;
    yield;
  }
  return looked;
}

/** Puts texts of other pages that are shaped as those found to the places of what was found. */
function addPlaces(found: readonly Found[], others: readonly KnownPage[], looked: readonly KnownPage[]): void {
  if (found.length === 0 || others.length === 0) return;
  const shapeOf = new Map(looked.flatMap(shapedTexts).map(({ ref, shape }) => [refKey(ref), shape]));
  const byShape = new Map<string, Found>();
  for (const one of found) for (const place of one.places!) byShape.set(shapeOf.get(refKey(place))!, one);
  for (const page of others) for (const { ref, shape } of shapedTexts(page)) byShape.get(shape)?.places!.push(ref);
}

interface ShapedText {
  ref: ElementRef;
  shape: string;
  inControl: boolean;
}

const shaped = new WeakMap<KnownPage, readonly ShapedText[]>();

/** The texts of a page with a name for how each is shaped. */
function shapedTexts(page: KnownPage): readonly ShapedText[] {
  let texts = shaped.get(page);
  if (!texts) {
    const shapes = pageShapes(page.document, page.sheets);
    const within = controlled(page.document);
    texts = textsOf(page).map((style) => {
      const { element, pseudo } = style;
      const shape = `${shapes[element.index]} ${pseudo ?? ""}`;
      return { ref: refOf(page.file.path, style), shape, inControl: within.has(element) };
    });
    shaped.set(page, texts);
  }
  return texts;
}

/** Elements that readers bring into a state, with all in them. */
function controlled({ elements }: HtmlDocument): ReadonlySet<ElementNode> {
  const within = new Set<ElementNode>();
  for (const element of elements)
    if (isControl(element) || (element.parent && within.has(element.parent))) within.add(element);
  return within;
}

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
  const keyOf = (style: Style) => refKey(refOf(page.file.path, style));
  const isRead = (style: Style) => {
    const { ratio, needs } = legibilityOn(page, style, {});
    return ratio >= needs;
  };
  const readAtRest = new Set(textsOf(page).filter(isRead).map(keyOf));
  const within = one.ofControls ? controlled(page.document) : null;
  const failing = textsOf(then).filter((style) => {
    if (!readAtRest.has(keyOf(style)) || within?.has(style.element) === false) return false;
    const { verdict, ratio, needs } = legibilityOn(then, style, {});
    return (verdict === "fails" || verdict === "doubtful") && ratio < needs;
  });
  const under = (context: CheckContext): CheckContext => contextUnder(context, one);
  return unreadable(then, failing, {}, one.when(conditions), under).map((found) => ({
    ...found,
    under: one.under(conditions),
  }));
}

/** The pages that were looked at, as they are under a circumstance: they have all that is shaped otherwise. */
function contextUnder(context: CheckContext, one: Circumstance): CheckContext {
  const { site, conditions } = context;
  const { scheme } = one.under(conditions);
  const asking = context.pages.filter(({ sheets }) => isAskedIn(sheets, one.asked));
  return {
    ...context,
    conditions: scheme ? { ...conditions, scheme } : conditions,
    layouts: {},
    pages: finished(lookedAt(asking, one)).map((page) => styledPage(site, page.file, one.conditions(page, conditions))),
  };
}
