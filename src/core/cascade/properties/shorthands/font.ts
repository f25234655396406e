import { componentsOf, isDelim, soleKeyword, type Component } from "../../../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../../../source/css/math";
import { isFontSize, isLineHeight, parseFamilies, stretchKeywords } from "../font";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import { variantLonghands } from "./fontVariant";
import type { Expansion } from "./parts";

function isAngle(component: Component | undefined): boolean {
  if (!component || (component.type !== "dimension" && !isMath(component))) return false;
  const quantity = evaluateMath(component, { unit: absoluteUnit, percentAs: null });
  return quantity !== null && measureOf(quantity) === "angle";
}

function isWeightInMath(component: Component): boolean {
  if (!isMath(component)) return false;
  const quantity = evaluateMath(component, { unit: absoluteUnit, percentAs: null });
  return quantity !== null && measureOf(quantity) === "number";
}

const fontStyles = new Set(["italic", "oblique"]);
const systemFonts = new Set(["caption", "icon", "menu", "message-box", "small-caption", "status-bar"]);

/** CSS Fonts 4, 2.7: style, caps, weight and stretch in any order, then size, line height and family. */
export const font: Shorthand = {
  name: "font",
  longhands: [
    "font-family",
    "font-size",
    "font-weight",
    "font-style",
    "font-stretch",
    "font-variant-caps",
    "font-size-adjust",
    "font-variation-settings",
    "line-height",
    "font-kerning",
    "font-optical-sizing",
    "font-variant-position",
    ...variantLonghands,
    "font-feature-settings",
    "font-language-override",
  ],
  expand: (value) => {
    const system = soleKeyword(value);
    if (system === "-webkit-control")
      return { "font-family": componentsOf("Arial"), "font-size": componentsOf("13.3333px") };
    if (system && systemFonts.has(system)) {
      return { "font-family": componentsOf("Arial"), "font-size": componentsOf("16px") };
    }
    const expansion: Expansion = {};
    let at = 0;
    for (let parts = 0; at < value.length && parts < 4; at += 1, parts += 1) {
      const part = value[at]!;
      const word = wordOf(part);
      if (word === "normal") continue;
      if (fontStyles.has(word) && !expansion["font-style"]) {
        const angle = word === "oblique" && isAngle(value[at + 1]);
        expansion["font-style"] = angle ? [part, value[++at]!] : [part];
      } else if (word === "small-caps" && !expansion["font-variant-caps"]) expansion["font-variant-caps"] = [part];
      else if (
        (["bold", "bolder", "lighter"].includes(word) ||
          (part.type === "number" && !expansion["font-weight"] && !isFontSize(part)) ||
          isWeightInMath(part)) &&
        !expansion["font-weight"]
      ) {
        expansion["font-weight"] = [part];
      } else if (word in stretchKeywords && !expansion["font-stretch"]) expansion["font-stretch"] = [part];
      else break;
    }
    const size = value[at];
    if (!size || !isFontSize(size)) return null;
    expansion["font-size"] = [size];
    at += 1;
    if (isDelim(value[at], "/")) {
      const leading = value[at + 1];
      if (!leading || !isLineHeight(leading)) return null;
      expansion["line-height"] = [leading];
      at += 2;
    }
    const families = value.slice(at);
    if (families.length === 0 || !parseFamilies(families)) return null;
    expansion["font-family"] = families;
    return expansion;
  },
};
