/** Texts that are not judged, as far as styles alone can tell: those nobody sees, and those the standard exempts. */
import { declaredText } from "../cascade/declared";
import { isDisabled } from "../cascade/selectors/controls";
import { fontSizeOf, valueOf, type Style } from "../cascade/style";

/** Text of a control that is out of use (WCAG 2.2, 1.4.3, "Incidental"). */
export function exemption(style: Style): string | null {
  for (let current: Style | null = style; current; current = current.parent) {
    const { element } = current;
    // What only stands beside the controls of a set is read all the same.
    if (element.tag !== "fieldset" && isDisabled(element))
      return "It belongs to a control that is out of use: the standard asks nothing of it.";
  }
  return null;
}

/** Further out than this, a text was moved out of the page on purpose, CSS px. */
const farOut = -900;

/** Why nobody sees a text; null where it may be seen. */
export function unseenReason(style: Style): string | null {
  if (fontSizeOf(style) === 0) return "Its size is 0.";
  const { length } = valueOf(style, "text-indent");
  if (length.px <= farOut) return "Its first line is moved out of the page.";
  for (let current: Style | null = style; current; current = current.parent) {
    const own = current === style;
    if (valueOf(current, "opacity") === 0) return own ? "Its opacity is 0." : "The opacity around it is 0.";
    const { element } = current;
    const details = element.parent;
    if (details?.tag === "details" && !details.attributes.has("open") && !isSummary(current))
      return "It stands in details that are closed.";
    if (!own && declaredText(current, "content-visibility") === "hidden")
      return "What it stands in is not rendered (`content-visibility`).";
    if (isClippedAway(current)) return "It is clipped to nothing.";
  }
  return null;
}

function isSummary({ element }: Style): boolean {
  return element.tag === "summary" && element.parent!.children.find(({ tag }) => tag === "summary") === element;
}

function isClippedAway(style: Style): boolean {
  const position = valueOf(style, "position");
  if (position !== "absolute" && position !== "fixed") return false;
  const clip = declaredText(style, "clip")?.replace(/\s+/g, "") ?? "";
  if (/^rect\((?:[01](?:px)?,?){4}\)$/.test(clip)) return true;
  if (/^inset\((?:50|100)%\)$/.test(declaredText(style, "clip-path")?.replace(/\s+/g, "") ?? "")) return true;
  return ["left", "top", "right"].some((side) => {
    const moved = declaredText(style, side);
    return moved !== null && /^-\d/.test(moved) && pixelsOf(moved) <= farOut;
  });
}

function pixelsOf(value: string): number {
  const number = Number.parseFloat(value);
  if (/r?em\s*$/.test(value)) return number * 16;
  return /px\s*$/.test(value) ? number : 0;
}
