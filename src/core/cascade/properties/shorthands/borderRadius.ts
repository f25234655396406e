import { splitAt } from "../../../source/css/components";
import { corners } from "../sides";
import type { Shorthand } from "../types";

/** Up to four across and, behind a slash, up to four down (CSS Backgrounds 3, 5.1). */
export const borderRadius: Shorthand = {
  name: "border-radius",
  longhands: corners.map((corner) => `border-${corner}-radius`),
  expand: (value) => {
    const groups = splitAt(value, "/");
    const [horizontal, vertical] = groups.map((group) => {
      const [first, second = first, third = first, fourth = second] = group;
      return group.length >= 1 && group.length <= 4 ? [first!, second!, third!, fourth!] : null;
    });
    if (groups.length > 2 || !horizontal || (groups.length === 2 && !vertical)) return null;
    return Object.fromEntries(
      corners.map((corner, at) => [
        `border-${corner}-radius`,
        vertical ? [horizontal[at]!, vertical[at]!] : [horizontal[at]!],
      ]),
    );
  },
};
