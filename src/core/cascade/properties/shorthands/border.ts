import { colorFromComponent } from "../../../color/value";
import type { Component } from "../../../source/css/components";
import { borderStyles, isBorderWidth } from "../box";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import type { Expansion } from "./parts";

const lineStyles = new Set(["none", ...borderStyles.split(" ")]);

/** Width, style and colour in any order, for all the sides named. */
export function border(name: string, edges: readonly string[], others: readonly string[] = []): Shorthand {
  const own = edges.flatMap((edge) => [`border-${edge}-width`, `border-${edge}-style`, `border-${edge}-color`]);
  const longhands = [...own, ...others];
  return {
    name,
    longhands,
    expand: (value) => {
      const found: { width?: Component; style?: Component; color?: Component } = {};
      if (value.length < 1 || value.length > 3) return null;
      for (const one of value) {
        if (!found.style && lineStyles.has(wordOf(one))) found.style = one;
        else if (!found.width && isBorderWidth(one)) found.width = one;
        else if (!found.color && colorFromComponent(one)) found.color = one;
        else return null;
      }
      const expansion: Expansion = {};
      for (const edge of edges) {
        if (found.width) expansion[`border-${edge}-width`] = [found.width];
        if (found.style) expansion[`border-${edge}-style`] = [found.style];
        if (found.color) expansion[`border-${edge}-color`] = [found.color];
      }
      return expansion;
    },
  };
}
