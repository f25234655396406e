/** Whether the text of a rule could be read with colours that are only proposed. */
import { elementsAtRest, readersOf, restingRules, type SheetReader } from "../cascade/matchedAtRest";
import { styledPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { contrastRatio, paintOver } from "../color/contrast";
import { parseColor, type Color } from "../color";
import { textId } from "../ground/layout";
import { groundsOf } from "../ground/range";
import { legibilityOf } from "../ground/ground";
import type { Legibility } from "../ground/types";
import { ruleAround } from "../source/declarations";
import { isPlace } from "../text/textStyles";
import type { Asked, WritingOption } from "./types";

/** What proposed colours come to on the first text of a rule, on the page that is shown before all others. */
export function withContrast(
  asked: Asked,
  { property, rule }: { property: string; rule: number | null },
  options: readonly WritingOption[],
): WritingOption[] {
  const judge = rule === null ? null : judgeFor(property);
  const text = judge && firstText(asked, rule!);
  if (!judge || !text) return [...options];
  const contrastOf = judge(text);
  return options.map((option) => {
    const color = option.css === null ? null : parseColor(option.css);
    return color ? { ...option, contrast: contrastOf(color) } : option;
  });
}

interface Text {
  page: StyledPage;
  style: Style;
  layouts: Asked["layouts"];
}

/** Made for a text, asked for each colour. */
type Judge = (text: Text) => (color: Color) => NonNullable<WritingOption["contrast"]>;

const legibilityHere = ({ page, style, layouts }: Text, ink: Parameters<typeof legibilityOf>[3] = null): Legibility =>
  legibilityOf(style, layouts[page.file.path]?.[textId(style.element.index, style.pseudo)], page.styles, ink);

const asInk: Judge = (text) => (ink) => {
  const { ratio, needs } = legibilityHere(text, ink);
  return { ratio, needs };
};

const asGround: Judge = (text) => {
  const { ink, ground, needs } = legibilityHere(text);
  const under = groundsOf(ground);
  return (color) => ({ ratio: Math.min(...under.map((one) => contrastRatio(ink, paintOver(color, one)))), needs });
};

function judgeFor(property: string): Judge | null {
  if (property === "color") return asInk;
  return property === "background-color" || property === "background" ? asGround : null;
}

/** The first text that a rule dresses: an element it matches, or one inside of it. */
function firstText({ site, path, page: shown, conditions, layouts }: Asked, rule: number): Text | null {
  const around = ruleAround(site, path, rule);
  const resting = around && restingRules(around.sheet.items).get(around.rule.start);
  if (!resting) return null;
  const isShown = ({ file }: SheetReader) => Number(file.path === shown);
  for (const reader of readersOf(site, around.sheet).sort((a, b) => isShown(b) - isShown(a))) {
    const { file } = reader;
    const matched = new Set(elementsAtRest(resting, reader));
    if (matched.size === 0) continue;
    const page = styledPage(site, file, conditions);
    const isIn = (style: Style | null): boolean =>
      style !== null && (matched.has(style.element.index) || isIn(style.parent));
    const style =
      page.styles.find((one) => matched.has(one.element.index) && isPlace(one)) ??
      page.styles.find((one) => isPlace(one) && isIn(one));
    if (style) return { page, style, layouts };
  }
  return null;
}
