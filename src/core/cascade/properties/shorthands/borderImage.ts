import { splitAt } from "../../../source/css/components";
import { isImage } from "../color";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import { isOneOf, standTogether } from "./parts";

export const borderImageLonghands = ["source", "slice", "width", "outset", "repeat"].map(
  (part) => `border-image-${part}`,
);

/** CSS Backgrounds 3, 6.7: slice, width and outset stand together, parted by slashes. */
export const borderImage: Shorthand = {
  name: "border-image",
  longhands: borderImageLonghands,
  expand: (value) => {
    const source = value.filter((part) => isImage(part) || wordOf(part) === "none");
    const repeat = value.filter((part) => isOneOf("stretch repeat round space")(part));
    const rest = value.filter((part) => !source.includes(part) && !repeat.includes(part));
    const groups = rest.length ? splitAt(rest, "/") : [];
    const [slice, width, outset] = groups;
    if (value.length === 0 || source.length > 1 || repeat.length > 2 || groups.length > 3) return null;
    if (!standTogether(rest, value) || !standTogether(repeat, value)) return null;
    if (groups.length && (!slice?.length || (groups.length === 2 && !width?.length) || (outset && !outset.length)))
      return null;
    return {
      ...(source.length ? { "border-image-source": source } : {}),
      ...(slice?.length ? { "border-image-slice": slice } : {}),
      ...(width?.length ? { "border-image-width": width } : {}),
      ...(outset?.length ? { "border-image-outset": outset } : {}),
      ...(repeat.length ? { "border-image-repeat": repeat } : {}),
    };
  },
};
