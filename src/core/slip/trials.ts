/** What a text would come to with what is only tried. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { combine } from "../edits/combine";
import { EditError, type Edit } from "../edits/types";
import { legibilityOf } from "../ground/ground";
import type { Verdict } from "../ground/types";
import { movedLayout, textId } from "../ground/layout";
import { textAt } from "../text/pageTexts";
import { refsAfter } from "../text/refAfter";
import { layoutAfter } from "../ground/under";
import { changeSite, type Site } from "../source/site";
import type { Layouts } from "../text/textStyles";

export interface TrialContrast {
  ratio: number;
  needs: number;
  verdict: Verdict;
}

/** The contrast of the picked text with each candidate's edits, in their order; null for one that cannot be written. */
export function trialContrasts(
  site: Site,
  picked: ElementRef,
  candidates: readonly (readonly Edit[])[],
  conditions: Conditions,
  layouts: Layouts,
): (TrialContrast | null)[] {
  const before = textAt(site, picked, conditions)?.style;
  const layout = layouts[picked.page]?.[textId(picked.index, picked.pseudo ?? null)];
  return candidates.map((edits) => {
    try {
      const changes = combine(site, edits);
      const after = changeSite(site, changes);
      const placeAfter = refsAfter(site, after, changes);
      const found = textAt(after, placeAfter(picked), conditionsAfter(conditions, site, after, changes));
      if (!found || !before) return null;
      const { page, style } = found;
      const moved = layout && movedLayout(layout, (index) => placeAfter({ page: picked.page, index })?.index);
      const { ratio, needs, verdict } = legibilityOf(
        style,
        moved ? layoutAfter(moved, before, style) : undefined,
        page.styles,
      );
      return { ratio, needs, verdict };
    } catch (error) {
      if (error instanceof EditError || error instanceof RangeError) return null;
      throw error;
    }
  });
}
