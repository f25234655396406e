import { valueOf, computedValue, type Style } from "../cascade/style";
import { contrastRatio, showRatio } from "../color/contrast";
import { shortSelector } from "../source/html/document";
import { refOf, textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { declareWay, spotFor, targetFor } from "./cause";
import { at, type Check, type Found } from "./types";

/** Links in running text that only their colour tells from the words around them. */
export const linkColor: Check = {
  name: "link-color",
  group: "readers",
  onPage: (page, layouts) =>
    textsOf(page).flatMap((style): Found[] => {
      const { element, parent } = style;
      if (element.tag !== "a" || !element.attributes.has("href") || style.pseudo || !parent?.element.hasText) return [];
      if (!/^(?:p|li|dd|td|blockquote|figcaption|em|strong|span|small)$/.test(parent.element.tag)) return [];
      if (isMarked(style, parent)) return [];
      const [own, around] = [legibilityOn(page, style, layouts).ink, legibilityOn(page, parent, layouts).ink];
      const ratio = contrastRatio(own, around);
      const spot = spotFor(page, style, "text-decoration-line");
      const apart = ratio >= 3;
      return [
        {
          level: apart ? "note" : "warning",
          message: `Links in running text are told by their colour alone: ${showRatio(ratio)} to 1 against the words around them${apart ? "" : ", and 3 is needed"}.`,
          because:
            "Who cannot tell the colours does not find the links; a line under them does it for all (WCAG 2.2, 1.4.1).",
          ...at(page.file, element.source?.startTag.start ?? 0),
          spot,
          kind: spot ? "link" : shortSelector(element),
          rank: ratio,
          places: [refOf(page.file.path, style)],
          ways: ({ site }) =>
            declareWay(site, "Put a line under them", targetFor(page, style, spot), "text-decoration", "underline"),
        },
      ];
    }),
};

/** Whether something else than its colour marks a link. */
function isMarked(style: Style, parent: Style): boolean {
  if (computedValue(style, "text-decoration-line") !== "none") return true;
  const differs = ["font-weight", "font-style", "font-family", "font-size", "text-transform", "font-variant-caps"];
  if (differs.some((name) => computedValue(style, name) !== computedValue(parent, name))) return true;
  if (valueOf(style, "border-bottom-style") !== "none" || valueOf(style, "background-image").length > 0)
    return isDrawn(style);
  return computedValue(style, "background-color") !== "rgba(0, 0, 0, 0)";
}

const isDrawn = (style: Style) =>
  computedValue(style, "border-bottom-style") !== "none" || computedValue(style, "background-image") !== "none";
