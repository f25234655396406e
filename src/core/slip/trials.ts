/** What a text would come to with a value that is only tried. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { longhandIndex } from "../cascade/properties";
import { styledPage } from "../cascade/styledPages";
import { computedValue } from "../cascade/style";
import { changesFor } from "../edits/plan";
import { EditError, type Target } from "../edits/types";
import { legibilityOf } from "../ground/ground";
import type { Verdict } from "../ground/types";
import { textId } from "../ground/layout";
import { styleAt } from "../text/pageTexts";
import { layoutAfter } from "../ground/under";
import { changeSite, textFile, type Site } from "../source/site";
import type { Layouts } from "../text/textStyles";

export interface TrialContrast {
  ratio: number;
  needs: number;
  verdict: Verdict;
  /** What the property comes out as on the picked text, as CSS; null for shorthands. */
  computed: string | null;
}

/** The contrast of the picked text with each value, in their order; null for a value that cannot be written there. */
export function trialContrasts(
  site: Site,
  picked: ElementRef,
  target: Target,
  property: string,
  values: readonly string[],
  conditions: Conditions,
  layouts: Layouts,
): (TrialContrast | null)[] {
  const now = textFile(site, picked.page);
  const before = now && styleAt(styledPage(site, now, conditions), picked);
  const layout = layouts[picked.page]?.[textId(picked.index, picked.pseudo ?? null)];
  return values.map((value) => {
    try {
      const after = changeSite(site, changesFor(site, { kind: "declare", target, property, value }));
      const file = textFile(after, picked.page);
      const page = file && styledPage(after, file, conditions);
      const style = page && styleAt(page, picked);
      if (!style || !before) return null;
      const { ratio, needs, verdict } = legibilityOf(style, layout && layoutAfter(layout, before, style), page.styles);
      return { ratio, needs, verdict, computed: longhandIndex.has(property) ? computedValue(style, property) : null };
    } catch (error) {
      if (error instanceof EditError || error instanceof RangeError) return null;
      throw error;
    }
  });
}
