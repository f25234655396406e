/** How much room a page gets: for its frame once it stands, and as it will be before there is any. */
import { inRem } from "../shared/rem";
import { isNarrow } from "../shared/useNarrow";
import { narrowest, widest } from "./Ruler";
import { readPanels } from "./usePanels";

/** Room for the marks left of the page, rem. */
export const margin = 5.5;

/** Room right of the page, CSS px. */
export const air = 14;

/** The mat, the bar of the view and the ruler, which stand over the page, rem. */
const over = 3 + 2.25 + 1.625;

/** The width of a page that fits into its stage. All CSS px. */
export const fitting = (stage: number, gutter: number): number =>
  Math.min(widest, Math.max(narrowest, stage - gutter - air));

/**
 * The window of a page that fits, before its stage is put up, so that it is asked for once. Where it comes out otherwise
 * the page is dressed anew. Null where panels stand under each other, and are as high as what is in them. CSS px.
 */
export function expectedRoom(): { width: number; height: number } | null {
  if (isNarrow()) return null;
  const { slip, source } = readPanels(inRem);
  const beside = slip.folded ? 0 : slip.size;
  const under = source.folded ? 0 : source.size;
  return {
    width: fitting(Math.floor(innerWidth - beside), inRem(margin)),
    height: Math.floor(innerHeight - inRem(over) - under),
  };
}
