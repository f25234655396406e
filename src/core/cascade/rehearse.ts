/**
 * What has to be said to a browser so that it shows a page under conditions that are not its own:
 * another medium, scheme, contrast or text size, states forced on elements, fonts that are not there.
 */
import { ident } from "css-tree/utils";
import { T, tokensOf } from "../source/css/tokens";
import type { SheetRewriting } from "../source/html/safe";
import { defaultConditions, type Conditions } from "./conditions";
import { matchesMedia } from "./media";
import { rehearsedIn } from "./rehearsals";
import { serialiseFamily } from "./properties/font";
import { valueOf } from "./style";
import { type StyledPage } from "./styles";

/** Attribute on an element of the shown page that holds the states forced on it, parted by blanks. */
export const stateAttribute = "data-hevret-state";

/** How sheets are written for a page that is shown under these conditions. */
export function rewritingFor(conditions: Conditions, path: string): SheetRewriting {
  const usual = !isOfOtherMedia(conditions);
  const states = new Set(Object.values(conditions.forced[path] ?? {}).flat());
  return {
    media: (text) => {
      if (usual) return withScheme(text, conditions.scheme);
      return text.trim() === "" || matchesMedia(text, conditions) ? "all" : "not all";
    },
    selectors: (text) => (states.size ? withStates(text, states) : text),
  };
}

const isOfOtherMedia = (conditions: Conditions) => rehearsedIn(conditions).some(({ media }) => media);

/** Whether what a page is told to wear depends on how wide its window is. */
export const isDressedByWidth = (conditions: Conditions): boolean =>
  isOfOtherMedia(conditions) || isOverridden(conditions);

/** The scheme is chosen here, not by the machine: its media feature is answered. */
function withScheme(media: string, scheme: "light" | "dark"): string {
  return media.replace(
    /\(\s*prefers-color-scheme\s*(?::\s*(light|dark|no-preference)\s*)?\)/gi,
    (_, wanted?: string) =>
      wanted === undefined || wanted.toLowerCase() === scheme ? "(min-width: 0px)" : "(max-width: 0px)",
  );
}

/** What a pseudo-class becomes so that it holds where its state is forced; null where it stays. */
function inState(name: string, states: ReadonlySet<string>): string | null {
  if (states.has(name)) return `:is(:${name}, [${stateAttribute}~="${name}"])`;
  return name === "link" && states.has("visited") ? `:link:where(:not([${stateAttribute}~="visited"]))` : null;
}

/** Lets forced states match by an attribute, at the same specificity. */
export function withStates(selectors: string, states: ReadonlySet<string>): string {
  const { count, types, starts } = tokensOf(selectors);
  let text = "";
  let at = 0;
  for (let token = 1; token < count; token += 1) {
    if (types[token] !== T.Ident || types[token - 1] !== T.Colon || types[token - 2] === T.Colon) continue;
    const name = ident.decode(selectors.slice(starts[token]!, starts[token + 1]!)).toLowerCase();
    const replacement = inState(name, states);
    if (!replacement) continue;
    text += selectors.slice(at, starts[token - 1]!) + replacement;
    at = starts[token + 1]!;
  }
  return text + selectors.slice(at);
}

/** Declarations to be put on elements, by index, because no sheet can bring them about. */
export type Override = [index: number, property: "font-size" | "font-family", value: string];

/** Whether anything may have to be put on elements. */
export const isOverridden = ({ rootSize, absent }: Conditions): boolean =>
  rootSize !== defaultConditions.rootSize || absent.length > 0;

/** What is put on elements for sizes under another default size, and for stacks without a font. */
export function overridesFor({ styles, conditions }: StyledPage): Override[] {
  const overrides: Override[] = [];
  if (conditions.rootSize !== defaultConditions.rootSize) {
    for (const style of styles) {
      const { px } = valueOf(style, "font-size");
      if (!style.parent || valueOf(style.parent, "font-size").px !== px)
        overrides.push([style.element.index, "font-size", `${px}px`]);
    }
  }
  if (conditions.absent.length) {
    const absent = new Set(conditions.absent.map((name) => name.toLowerCase()));
    for (const style of styles) {
      const stack = valueOf(style, "font-family");
      if (style.parent && valueOf(style.parent, "font-family") === stack) continue;
      const left = stack.filter(({ name }) => !absent.has(name.toLowerCase()));
      if (left.length === stack.length) continue;
      overrides.push([style.element.index, "font-family", left.map(serialiseFamily).join(", ") || "serif"]);
    }
  }
  return overrides;
}
