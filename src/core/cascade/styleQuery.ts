/** What is asked of an element's own custom properties (CSS Conditional 5, 5.3), in `@container` and in `if()`. */
import { componentsOf, isDelim, type Component } from "../source/css/components";
import type { Truth } from "./media";

/** @param custom the text of a custom property; undefined for one without a value */
export function styleQuery(parts: readonly Component[], custom: (name: string) => string | undefined): Truth {
  const [name, colon, ...value] = parts;
  if (name?.type !== "ident" || !name.name.startsWith("--")) return "unknown";
  const actual = custom(name.name);
  if (!colon) return actual !== undefined;
  if (!isDelim(colon, ":")) return "unknown";
  const text = (list: readonly Component[]) =>
    JSON.stringify(list.map((one) => ({ ...one, start: 0, end: 0, spaced: false })));
  return actual !== undefined && text(componentsOf(actual)) === text(value);
}
