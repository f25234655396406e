/** `@supports` conditions (CSS Conditional 4, section 2). */
import { componentsOf, isDelim, splitAt, type Component } from "../source/css/components";
import { invalidReason } from "./declarations";
import { evaluateCondition } from "./media";
import { tryParseSelectorList } from "./selectors/parse";

/** Whether the condition holds in a current browser, as far as its properties and selectors are known here. */
export function matchesSupports(text: string): boolean {
  const components = componentsOf(text);
  const bare =
    splitAt(components, ":").length > 1 &&
    components[0]?.type === "ident" &&
    !["not"].includes(components[0].name.toLowerCase());
  if (bare) return supportsDeclaration(text, components);
  return evaluateCondition(components, (component) => inParens(component, text)) === true;
}

/** As Chromium (156) knows them. */
const atRules = new Set(
  (
    "@-webkit-keyframes @container @counter-style @font-face @font-feature-values @font-palette-values @function @import " +
    "@keyframes @layer @media @namespace @page @position-try @property @scope @starting-style @supports @swash @top-left " +
    "@view-transition"
  ).split(" "),
);

/** What nobody knows is not supported (CSS Conditional 3, 6). */
function inParens(component: Component, text: string): boolean {
  if (component.type === "function") {
    const inside = text.slice(component.start + component.name.length + 1, component.end - 1);
    if (component.name === "selector") {
      const list = tryParseSelectorList(inside, { strict: true });
      return list !== null && list.length === 1;
    }
    if (component.name === "at-rule") return atRules.has(inside.trim().toLowerCase());
    if (component.name === "font-tech")
      return /^(?:color-colrv[01]|color-svg|color-sbix|color-cbdt|variations|palettes|features-opentype|features-aat|incremental)$/i.test(
        inside.trim(),
      );
    if (component.name === "font-format") return /^(?:opentype|truetype|woff|woff2|collection)$/i.test(inside.trim());
    return false;
  }
  if (component.type !== "block" || component.open !== "(") return false;
  const inside = text.slice(component.start + 1, component.end - 1);
  if (component.args[0]?.type === "ident" && isDelim(component.args[1], ":"))
    return supportsDeclaration(inside, componentsOf(inside));
  return evaluateCondition(component.args, (inner) => inParens(inner, text)) === true;
}

function supportsDeclaration(text: string, components: readonly Component[]): boolean {
  const name = components[0];
  if (name?.type !== "ident" || !isDelim(components[1], ":")) return false;
  const value = text
    .slice(components[1]!.end)
    .trim()
    .replace(/\s*!\s*important\s*$/i, "");
  const property = name.name.startsWith("--") ? name.name : name.name.toLowerCase();
  if (/^-(?:moz|ms|o)-/.test(property)) return false;
  return invalidReason(property, value) === null;
}
