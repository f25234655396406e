/** Values that only layout or the machine's fonts can give. One line each, with its reason. */
import type { stylePage } from "../../src/core";

type Style = ReturnType<typeof stylePage>["styles"][number];

const edges = /^(?:margin|padding)-(?:top|right|bottom|left)$/;

export function isExcepted(property: string, _style: Style, ours: string, theirs: string): boolean {
  // Automatic margins and percentages of the containing block: the browser gives the used value where there is a box.
  return edges.test(property) && (ours === "auto" || ours.includes("%")) && /px$/.test(theirs);
}
