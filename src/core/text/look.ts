/** A text as it looks by itself: its words, how they are set, and what they stand on. */
import type { ElementRef } from "./refs";
import type { Conditions } from "../cascade/conditions";
import { computedValue, fontSizeOf, type Style } from "../cascade/style";
import { cssColor } from "../color/format";
import { inkOf } from "../ground/backgrounds";
import type { Verdict } from "../ground/types";
import { type Site } from "../source/site";
import { textAt } from "./pageTexts";
import { wordsOf } from "./pseudoTexts";
import { legibilityOn, roleName, textStyleProperties, type Layouts } from "./textStyles";

/** Declarations, later ones over earlier ones. */
export type Specimen = [property: string, value: string][];

/** The declarations that set a specimen as a text is set, in a line of its own. */
export function specimenOf(style: Style, without: readonly string[] = []): Specimen {
  return textStyleProperties
    .filter((name) => name !== "opacity" && !without.includes(name))
    .map((name) => [name, computedValue(style, name)]);
}

export interface TextLook {
  text: string;
  role: string;
  specimen: Specimen;
  /** The ink as it is declared. */
  color: string;
  ground: string;
  /** Darkest and lightest, where there is more than one. */
  range: [string, string] | null;
  ratio: number;
  needs: number;
  verdict: Verdict;
  sizePx: number;
}

const longest = 160;

/** How a text looks; null where there is none. */
export function lookOf(site: Site, ref: ElementRef, conditions: Conditions, layouts: Layouts): TextLook | null {
  const found = textAt(site, ref, conditions);
  if (!found) return null;
  const { page, style } = found;
  const { ground, ratio, needs, verdict } = legibilityOn(page, style, layouts);
  return {
    text: wordsOf(page, style).slice(0, longest),
    role: roleName(style),
    specimen: specimenOf(style, ["text-align", "text-indent"]),
    color: cssColor(inkOf(style)),
    ground: cssColor(ground.color),
    range: ground.range ? [cssColor(ground.range[0]), cssColor(ground.range[1])] : null,
    ratio,
    needs,
    verdict,
    sizePx: fontSizeOf(style),
  };
}
