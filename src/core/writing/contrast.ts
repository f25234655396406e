/** Whether the text of a rule could be read with colours that are only proposed. */
import { elementsMatching } from "../cascade/selectors";
import { atRest } from "../cascade/selectors/atRest";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { styledPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { contrastRatio, paintOver } from "../color/contrast";
import { parseColor } from "../color";
import { textId } from "../ground/layout";
import { groundsOf, legibilityOf, type Legibility } from "../ground/ground";
import { ruleAround } from "../source/declarations";
import { documentOf } from "../source/html/document";
import { pagesOf } from "../source/site";
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
  return options.map((option) => (option.css === null ? option : { ...option, contrast: judge(text, option.css) }));
}

interface Text {
  page: StyledPage;
  style: Style;
  layouts: Asked["layouts"];
}

type Judge = (text: Text, css: string) => WritingOption["contrast"];

function judgeFor(property: string): Judge | null {
  if (property === "color") return asInk;
  return property === "background-color" || property === "background" ? asGround : null;
}

const legibilityHere = ({ page, style, layouts }: Text, ink: Parameters<typeof legibilityOf>[3] = null): Legibility =>
  legibilityOf(style, layouts[page.file.path]?.[textId(style.element.index, style.pseudo)], page.styles, ink);

function asInk(text: Text, css: string): WritingOption["contrast"] {
  const ink = parseColor(css);
  if (!ink) return null;
  const { ratio, needs } = legibilityHere(text, ink);
  return { ratio, needs };
}

function asGround(text: Text, css: string): WritingOption["contrast"] {
  const color = parseColor(css);
  if (!color) return null;
  const { ink, ground, needs } = legibilityHere(text);
  const ratios = groundsOf(ground).map((under) => contrastRatio(ink, paintOver(color, under)));
  return { ratio: Math.min(...ratios), needs };
}

/** The first text that a rule dresses: an element it matches, or one inside of it. */
function firstText({ site, path, page: shown, conditions, layouts }: Asked, rule: number): Text | null {
  const prelude = ruleAround(site, path, rule)?.rule.preludeText;
  const selectors = prelude === undefined ? null : tryParseSelectorList(atRest(prelude.replaceAll("&", "*")));
  if (!selectors) return null;
  const files = [...pagesOf(site)].sort((a, b) => Number(b.path === shown) - Number(a.path === shown));
  for (const file of files) {
    const matched = new Set(elementsMatching(documentOf(file), selectors));
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
