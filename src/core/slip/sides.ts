/** What the sides of a box come to together: four values in as few as say the same (CSS Box 4, 4.2). */
import type { Explanation } from "../cascade/explain";
import { sides as inOrder } from "../cascade/properties/sides";
import type { Side } from "../cascade/properties/computed";
import { computedValue, type Style } from "../cascade/style";

/** The longhands that make one side, or one corner: its width, style and colour, or the one length there is. */
export type SideNames = readonly string[];

/** "8px 16px" for top, right, bottom and left that are alike in pairs; of two the same. @param values - in the order in which a shorthand has them */
export function fewest([top, right, bottom = top, left = right]: readonly string[]): string {
  if (left !== right) return [top, right, bottom, left].join(" ");
  if (bottom !== top) return [top, right, bottom].join(" ");
  return right === top ? top! : [top, right].join(" ");
}

/** One side: without a style there is no line, whatever its width (CSS Backgrounds 3, 3.2). */
function sideText(style: Style, names: SideNames): string {
  const values = names.map((name) => computedValue(style, name));
  return names.length > 1 && values.some((value) => value === "none" || value === "hidden") ? "none" : values.join(" ");
}

export const sideWords: Readonly<Record<Side, string>> = {
  top: "above",
  right: "right",
  bottom: "below",
  left: "left",
};

/** What all sides come to, as it can be written in one; sides that differ as lines do are told one by one. */
export function computedSides(style: Style, sides: readonly SideNames[]): string {
  const texts = sides.map((names) => sideText(style, names));
  if (texts.length === 1 || texts.every((text) => text === texts[0])) return texts[0]!;
  if (sides[0]!.length === 1) return fewest(texts);
  return texts.flatMap((text, at) => (text === "none" ? [] : [`${sideWords[inOrder[at]!]} ${text}`])).join("; ");
}

/** The sides as they are written: the shorthand whole where it alone sets all of them; null where no one value says it. */
export function writtenSides(explained: readonly Explanation[], property: string): string | null {
  const winners = explained.map(({ contenders }) => contenders.find(({ lost }) => lost === null));
  const [first] = winners;
  const isOne = winners.every(
    (one) =>
      one?.property === property && one.place?.offset === first?.place?.offset && one.selector === first?.selector,
  );
  if (isOne && first) return first.value;
  const written = explained.map((one) => one.written);
  return explained.length > 1 && written.every((one): one is string => one !== null) ? fewest(written) : null;
}
