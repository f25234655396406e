/** Values that only layout or the machine's fonts can give. One line each, with its reason. */
import type { stylePage } from "../../src/core";

type Style = ReturnType<typeof stylePage>["styles"][number];

const edges = /^(?:margin|padding)-(?:top|right|bottom|left)$/;

export function isExcepted(property: string, style: Style, ours: string, theirs: string): boolean {
  // How much smaller the parts of a fraction are set is said by the machine's mathematical font.
  if (property === "font-size" && style.element.namespace === "math") return true;
  // Automatic margins and percentages of the containing block: the browser gives the used value where there is a box.
  return edges.test(property) && (ours === "auto" || ours.includes("%")) && /px$/.test(theirs);
}
