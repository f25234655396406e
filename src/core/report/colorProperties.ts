import { namedColors } from "./colorNames";
import type { Report } from "./types";

export const colorProperties: Report = {
  id: "color-properties",
  group: "uses",
  label: "Colours as custom properties (CSS)",
  hint: "Every colour under a name, for a sheet",
  file: "colours.css",
  type: "text/css",
  *make(context) {
    return `:root {\n${namedColors(context)
      .map(({ name, value, words }) => `  --${name}: ${value}; /* ${words.replaceAll("*/", "* /")} */\n`)
      .join("")}}\n`;
  },
};
