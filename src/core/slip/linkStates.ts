/** A link in each of its states, and how it is told from the text around it (WCAG 2.2, 1.4.1). */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { computedValue } from "../cascade/style";
import { contrastRatio } from "../color/contrast";
import { cssColor } from "../color/format";
import type { Verdict } from "../ground/types";
import { ownWords } from "../source/html/document";
import { textFile, type Site } from "../source/site";
import { legibilityOn, type Layouts } from "../text/textStyles";

const linkStates = ["rest", "visited", "hover", "focus", "active"] as const;
/** At rest, or forced. */
export type LinkState = (typeof linkStates)[number];

export interface LinkLook {
  state: LinkState;
  ink: string;
  ground: string;
  ratio: number;
  needs: number;
  verdict: Verdict;
  /** As the `text-decoration` shorthand has it, computed. */
  lines: string;
}

export interface LinkLooks {
  states: LinkLook[];
  /** Ratio of its ink at rest to that of the words around it; null where it has a line, or no words around it. */
  tellsApart: number | null;
}

/** Null for an element that is not there. */
export function linkLooks(
  site: Site,
  { page: path, index }: ElementRef,
  conditions: Conditions,
  layouts: Layouts,
): LinkLooks | null {
  const file = textFile(site, path);
  if (file?.kind !== "html") return null;
  const pageIn = (state: LinkState) =>
    styledPage(site, file, { ...conditions, forced: state === "rest" ? {} : { [path]: { [index]: [state] } } });
  const rest = pageIn("rest");
  const style = rest.styles[index];
  if (!style) return null;
  const states = linkStates.map((state): LinkLook => {
    const page = pageIn(state);
    const own = page.styles[index]!;
    const { ink, ground, ratio, needs, verdict } = legibilityOn(page, own, layouts);
    const lines = ["line", "style", "color", "thickness"]
      .map((part) => computedValue(own, `text-decoration-${part}`))
      .join(" ");
    return { state, ink: cssColor(ink), ground: cssColor(ground.color), ratio, needs, verdict, lines };
  });
  const { parent } = style;
  const isBare =
    parent !== null && ownWords(parent.element) !== "" && computedValue(style, "text-decoration-line") === "none";
  return {
    states,
    tellsApart: isBare
      ? contrastRatio(legibilityOn(rest, style, layouts).ink, legibilityOn(rest, parent, layouts).ink)
      : null,
  };
}
