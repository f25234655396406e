/** Where texts stand in the window of the page, and which of them are meant. */
import type { ElementRef } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "@/preview/frame";
import { boxOf, placeAt, type Box } from "@/preview/measure";

export const isAt = (place: PlaceView, { index, pseudo }: ElementRef): boolean =>
  place.index === index && place.pseudo === (pseudo ?? null);

export function refTo(page: string, { index, pseudo }: Pick<PlaceView, "index" | "pseudo">): ElementRef {
  return pseudo === null ? { page, index } : { page, index, pseudo };
}

/** A box of the page as it stands in the window, with air around it: it is that of the middle of letters. */
function inWindow({ document }: ShownPage, { left, top, width, height }: Box): Box {
  const { scrollX, scrollY } = document.defaultView!;
  return { left: left - scrollX, top: top - scrollY - height * 0.6, width, height: height * 2.2 };
}

const holds = ({ left, top, width, height }: Box, x: number, y: number) =>
  x >= left && x <= left + width && y >= top && y <= top + height;

/** Where a text stands in the window; for a pseudo-element where it was seen, or its element until then. */
export function boxOfPlace(page: ShownPage, { index, box }: PlaceView): Box | null {
  return box ? inWindow(page, box) : boxOf(page, index);
}

/** Boxes of those texts that are in the window now. */
export function inSight(page: ShownPage, list: readonly PlaceView[]): [PlaceView, Box][] {
  const height = page.document.defaultView?.innerHeight ?? 0;
  return list.flatMap((place): [PlaceView, Box][] => {
    const box = boxOfPlace(page, place);
    return box && box.top + box.height > 0 && box.top < height ? [[place, box]] : [];
  });
}

/**
 * The text at a point of the window: what a pseudo-element shows goes before what it is in.
 * @param own the elements that show texts of their own, by index
 * @param point CSS px of the page
 */
export function placeUnder(
  page: ShownPage,
  places: readonly PlaceView[],
  own: ReadonlySet<number>,
  { x, y }: { x: number; y: number },
): PlaceView | null {
  const shownThere = places.findLast((place) => place.box !== null && holds(inWindow(page, place.box), x, y));
  if (shownThere) return shownThere;
  const index = placeAt(page, x, y, own);
  return places.find((place) => place.index === index && place.pseudo === null) ?? null;
}
