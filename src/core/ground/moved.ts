/** What takes a box from where the flow puts it, or changes it on its way to the screen, as far as styles tell. */
import { declaredText } from "../cascade/declared";
import { sides } from "../cascade/properties/sides";
import { computedValue, valueOf, type Style } from "../cascade/style";
import { made } from "../source/memo";
import { generatedStyler, type StyledPage } from "../cascade/styles";
import { backgroundImages, hasBackground } from "./backgrounds";

const still = /^(?:none|auto|normal|initial|unset|revert|0(?:px|em|rem|%)?)$/;

const says = (style: Style, property: string) => {
  const text = declaredText(style, property);
  return text !== null && !still.test(text);
};

const transforms = ["transform", "-webkit-transform", "translate", "rotate", "scale", "offset-path", "offset", "zoom"];
const offsets = ["top", "left", "right", "bottom", "inset", "inset-block", "inset-inline", "inset-block-start"];

const moved = new WeakMap<Style["shared"], boolean>();

/** Whether a box is drawn elsewhere than the flow puts it. */
export function isMoved(style: Style): boolean {
  if (!style.shared.isCommon) return isDrawnElsewhere(style);
  let result = moved.get(style.shared);
  if (result === undefined) moved.set(style.shared, (result = isDrawnElsewhere(style)));
  return result;
}

function isDrawnElsewhere(style: Style): boolean {
  if (transforms.some((property) => says(style, property))) return true;
  const position = valueOf(style, "position");
  if (position === "relative" && offsets.some((property) => says(style, property))) return true;
  return sides.some((side) => {
    const margin = valueOf(style, `margin-${side}`);
    return margin !== "auto" && (margin.px < 0 || margin.percent < 0 || margin.expression !== undefined);
  });
}

/** Why what an element paints comes out in other colours; null where it does not. */
export function filterDoubt(style: Style): string | null {
  if (says(style, "filter") || says(style, "-webkit-filter")) return "A filter changes what it looks like.";
  if (says(style, "backdrop-filter") || says(style, "-webkit-backdrop-filter"))
    return "A filter changes what lies under it.";
  if (["mask", "mask-image", "-webkit-mask", "-webkit-mask-image"].some((property) => says(style, property)))
    return "It is masked.";
  return null;
}

const replaced = new Set(["img", "svg", "canvas", "video", "picture", "iframe", "object", "embed", "input", "button"]);

/** Elements by index, the ends included. */
interface Span {
  first: number;
  last: number;
}

const nothing: Span = { first: Infinity, last: -Infinity };
const known = new WeakMap<readonly Style[], Span>();

/** What is in all elements that paint something and need not stand where the flow puts them: nothing lies over that. */
function inAllLoose(page: Pick<StyledPage, "styles">): Span {
  return made(known, page.styles, () => {
    let within: Span = { first: -Infinity, last: Infinity };
    for (const style of page.styles) {
      if (!isLoose(style) || !paints(style, page)) continue;
      const { first, last } = spanOf(style);
      // In document order, each begins behind those before it.
      within = { first, last: Math.min(within.last, last) };
    }
    const isEmpty = within.first > within.last;
    return !isEmpty && "rules" in page && hasLoosePseudo(page as StyledPage) ? nothing : within;
  });
}

function spanOf({ element }: Style): Span {
  let last = element;
  while (last.children.length) last = last.children[last.children.length - 1]!;
  return { first: element.index, last: last.index };
}

function isLoose(style: Style): boolean {
  if (!style.parent || valueOf(style, "display") === "none") return false;
  return /absolute|fixed/.test(valueOf(style, "position")) || isMoved(style);
}

function paints(style: Style, { styles }: Pick<StyledPage, "styles">): boolean {
  const { first, last } = spanOf(style);
  return styles
    .slice(first, last + 1)
    .some(
      (one) =>
        hasBackground(one) ||
        replaced.has(one.element.tag) ||
        backgroundImages(one).some(({ image }) => image !== null) ||
        says(one, "box-shadow") ||
        ["top", "right", "bottom", "left"].some((side) => computedValue(one, `border-${side}-width`) !== "0px"),
    );
}

/** Whether generated boxes paint that may lie over or under anything: those that are placed or moved. */
function hasLoosePseudo(page: StyledPage): boolean {
  const styler = generatedStyler(page);
  return page.styles.some((origin) => {
    if (valueOf(origin, "display") === "none") return false;
    return (["before", "after"] as const).some((name) => {
      const style = styler(name, origin);
      if (!style || !says(style, "content")) return false;
      return (hasBackground(style) || says(style, "box-shadow")) && isLoose(style);
    });
  });
}

/** Whether another part of the page may lie over or under a text, for all that styles tell. */
export function mayBeOverlapped(page: Pick<StyledPage, "styles">, { element: { index } }: Style): boolean {
  const { first, last } = inAllLoose(page);
  return index < first || index > last;
}
