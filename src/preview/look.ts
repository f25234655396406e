/** Looks at the texts of a page that is laid out: first at what styles and boxes tell, then at what the browser paints. */
import type { PageLayout } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "./frame";
import { layoutOf } from "./grounds";
import { paintedLayouts, type MakePicture } from "./paint";

/**
 * @param tell takes in what is known so far, and again when the page was painted
 * @param stillThere false once the page has changed: the look is given up
 */
export async function lookAt(
  page: ShownPage,
  texts: readonly PlaceView[],
  make: MakePicture,
  tell: (layout: PageLayout) => Promise<void>,
  stillThere: () => boolean,
): Promise<void> {
  const own = texts.filter(({ pseudo }) => pseudo === null).map(({ index }) => index);
  const layout = stillThere() ? await layoutOf(page, own, stillThere) : null;
  if (!layout || !stillThere()) return;
  await tell(layout);
  const painted = stillThere() ? await paintedLayouts(page, { layouts: layout, texts }, make, stillThere) : null;
  if (painted && stillThere()) await tell(painted);
}
