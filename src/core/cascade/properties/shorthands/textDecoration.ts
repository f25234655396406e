import { colorFromComponent } from "../../../color/value";
import type { Component } from "../../../source/css/components";
import { wordOf } from "../kinds";
import { decorationStyles, isDecorationLine, isThickness } from "../decoration";
import type { Shorthand } from "../types";
import { standTogether, type Expansion } from "./parts";

/** CSS Text Decoration 4, 2.6. */
export const textDecoration: Shorthand = {
  name: "text-decoration",
  longhands: ["text-decoration-line", "text-decoration-style", "text-decoration-color", "text-decoration-thickness"],
  expand: (value) => {
    const lines: Component[] = [];
    const expansion: Expansion = {};
    for (const part of value) {
      if (isDecorationLine(part)) {
        lines.push(part);
      } else if (decorationStyles.includes(wordOf(part)) && !expansion["text-decoration-style"])
        expansion["text-decoration-style"] = [part];
      else if (isThickness(part) && !expansion["text-decoration-thickness"])
        expansion["text-decoration-thickness"] = [part];
      else if (colorFromComponent(part) && !expansion["text-decoration-color"])
        expansion["text-decoration-color"] = [part];
      else return null;
    }
    // Lines are one value of their longhand (CSS Text Decoration 4, 2.5).
    if (!standTogether(lines, value)) return null;
    if (lines.length) expansion["text-decoration-line"] = lines;
    return value.length ? expansion : null;
  },
};
