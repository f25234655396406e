import { componentsOf, type Component } from "../../../source/css/components";
import { isImage } from "../color";
import { wordOf } from "../kinds";
import { isMarker } from "../lists";
import type { Shorthand } from "../types";

/** The longhand of `list-style` that a word is for: after a place for markers, a second is the name of a style. */
function listPart(part: Component, word: string, isPlaced: boolean): string | null {
  if (!isPlaced && (word === "inside" || word === "outside")) return "list-style-position";
  if (isImage(part)) return "list-style-image";
  return isMarker(part) ? "list-style-type" : null;
}

/** CSS Lists 3, 3.6: `none` stands for what else is not said of marker and picture. */
export const listStyle: Shorthand = {
  name: "list-style",
  longhands: ["list-style-type", "list-style-position", "list-style-image"],
  expand: (value) => {
    const found: Record<string, Component[]> = {};
    let nones = 0;
    for (const part of value) {
      const word = wordOf(part);
      const name = listPart(part, word, found["list-style-position"] !== undefined);
      if (!name) return null;
      if (word === "none") nones += 1;
      else if (found[name]) return null;
      else found[name] = [part];
    }
    const free = (found["list-style-type"] ? 0 : 1) + (found["list-style-image"] ? 0 : 1);
    if (value.length === 0 || nones > free) return null;
    if (nones && !found["list-style-type"]) found["list-style-type"] = [...componentsOf("none")];
    return found;
  },
};
