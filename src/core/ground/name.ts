import type { Style } from "../cascade/style";
import { shortSelector } from "../source/html/document";
import type { Ground } from "./types";

/** What a ground is, for people: "the canvas", "section", "gradient of .band". @param styles of the page, by index */
export function groundName({ from, kind, range }: Ground, styles: readonly Style[]): string {
  if (kind === "painted") return range ? "as it is painted, varying" : "as it is painted";
  if (from === null) return range ? "see-through layers" : "the canvas";
  const name = shortSelector(styles[from]!.element);
  if (kind === "color") return range ? `see-through ${name}` : name;
  return `${kind} of ${name}`;
}
