/** What keeps texts from being seen. */
import type { Box, PlaceLayout } from "@/core";
import type { ShownPage } from "./frame";

/** What keeps a text from being seen: for good, if a clip or a mask does it, or until something is scrolled. */
export function hiddenBy(
  { document }: ShownPage,
  place: Element,
  text: Box,
): Pick<PlaceLayout, "unseen" | "hides" | "away"> {
  const view = document.defaultView!;
  const root = document.documentElement;
  // An element without a box of its own is as visible as what it stands in.
  let boxed = place;
  while (view.getComputedStyle(boxed).display === "contents" && boxed.parentElement) boxed = boxed.parentElement;
  const [right, bottom] = [text.left + text.width, text.top + text.height];
  const outside = right <= 0 || bottom <= 0 || text.left >= Math.max(root.scrollWidth, view.innerWidth);
  const moved = outside ? "It is moved out of the page." : null;
  const isRendered = boxed.checkVisibility({ contentVisibilityAuto: false });
  const unseen = isRendered ? moved : "What it stands in is not rendered.";
  let hides: string | null = null;
  let away: string | null = null;
  for (let node: Element | null = place; node; node = node.parentElement) {
    const style = view.getComputedStyle(node);
    if (style.clipPath !== "none" || (style.clip !== "auto" && style.clip !== ""))
      hides ??= "It is clipped to nothing.";
    if ((style.maskImage ?? "none") !== "none") hides ??= "It is masked away.";
    if (node === root || node.localName === "body") continue;
    if (/auto|scroll/.test(`${style.overflowX} ${style.overflowY}`)) away ??= "It is scrolled out of its box.";
    else if (/hidden|clip/.test(`${style.overflowX} ${style.overflowY}`))
      hides ??= "It is cut off by the box around it.";
  }
  if (place.closest("svg")) away ??= "Text in a drawing is not looked at.";
  return { unseen, hides, away };
}
