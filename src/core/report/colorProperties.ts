import { namedColors } from "./colorNames";
import type { Report } from "./types";

export const colorProperties: Report = {
  id: "color-properties",
  label: "Colours as custom properties (CSS)",
  file: "colours.css",
  type: "text/css",
  make: (context) =>
    `:root {\n${namedColors(context)
      .map(({ name, value, words }) => `  --${name}: ${value}; /* ${words.replaceAll("*/", "* /")} */\n`)
      .join("")}}\n`,
};
