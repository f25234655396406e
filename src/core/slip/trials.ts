/** What a text would come to with what is only tried. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { EditError, type Edit } from "../edits/types";
import { legibilityOf } from "../ground/ground";
import type { Verdict } from "../ground/types";
import { textId } from "../ground/layout";
import { styleAt } from "../text/pageTexts";
import { layoutAfter } from "../ground/under";
import { changeSite, textFile, type Site } from "../source/site";
import { combine } from "../tables/styleTable";
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
  const now = textFile(site, picked.page);
  const before = now && styleAt(styledPage(site, now, conditions), picked);
  const layout = layouts[picked.page]?.[textId(picked.index, picked.pseudo ?? null)];
  return candidates.map((edits) => {
    try {
      const after = changeSite(site, combine(site, edits));
      const file = textFile(after, picked.page);
      const page = file && styledPage(after, file, conditions);
      const style = page && styleAt(page, picked);
      if (!style || !before) return null;
      const { ratio, needs, verdict } = legibilityOf(style, layout && layoutAfter(layout, before, style), page.styles);
      return { ratio, needs, verdict };
    } catch (error) {
      if (error instanceof EditError || error instanceof RangeError) return null;
      throw error;
    }
  });
}
