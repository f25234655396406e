/** What is generated (CSS Content 3, 2). */
import { splitAt, type Component, type ComponentOf } from "../../source/css/components";
import { isImage } from "./color";
import { isGradientValid } from "./gradients";
import { wordOf } from "./kinds";
import type { Longhand } from "./types";

const quotes = new Set(["open-quote", "close-quote", "no-open-quote", "no-close-quote"]);

/** As parts; null for `normal` and `none`. */
const content: Longhand<readonly Component[] | null, readonly Component[] | null> = {
  name: "content",
  inherited: false,
  initial: "normal",
  parse: (value) => {
    const only = value.length === 1 ? wordOf(value[0]) : "";
    if (only === "normal" || only === "none") return [];
    const [shown, told, more] = splitAt(value, "/");
    if (!shown?.length || more || (told && told.length === 0)) return null;
    const isShown = (part: Component) => isSpoken(part) || isPicture(part) || quotes.has(wordOf(part));
    return shown.every(isShown) && (told ?? []).every(isSpoken) ? value : null;
  },
  compute: (value) => (value?.length ? value : null),
  serialise: () => "",
};

const isPicture = (part: Component) => isImage(part) && isGradientValid(part);

/** What can be said for a picture, too: words and counters. */
const isSpoken = (part: Component): boolean =>
  part.type === "string" || (part.type === "function" && (isCounter(part) || part.name === "attr"));

/** Of one counter, or of all of its name with what stands between (CSS Lists 3, 4.4); of another page (CSS GCPM 3). */
function isCounter({ name, args }: ComponentOf<"function">): boolean {
  if (name.startsWith("target-")) return true;
  const [named, ...rest] = splitAt(args, ",");
  const style = rest.slice(name === "counters" ? 1 : 0);
  const isAlone = (part: readonly Component[] | undefined, type: Component["type"]) =>
    part?.length === 1 && part[0]!.type === type;
  if (!/^counters?$/.test(name) || !isAlone(named, "ident") || style.length > 1) return false;
  if (name === "counters" && !isAlone(rest[0], "string")) return false;
  return style.every((part) => isAlone(part, "ident") || isAlone(part, "function"));
}

export const contentLonghands: readonly Longhand<never, never>[] = [content] as unknown as Longhand<never, never>[];
