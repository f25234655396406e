import { parseColor, formatColor, inGamut } from "../color";
import { namedColors } from "./colorNames";
import type { Report } from "./types";

/** Design Tokens Format Module (W3C Design Tokens Community Group, 2025.10), colour module: space, components, alpha, hex as a fallback. */
export const colorTokens: Report = {
  id: "color-tokens",
  group: "uses",
  label: "Colours as design tokens (JSON)",
  hint: "For design tools and builds",
  file: "colours.tokens.json",
  type: "application/design-tokens+json",
  *make(context) {
    const tokens = namedColors(context).map(({ name, value, words }) => {
      const color = parseColor(value)!;
      const components = color.channels.map((channel) => (channel === null ? "none" : Number(channel.toFixed(6))));
      const hex = inGamut(color, "srgb") ? { hex: formatColor({ ...color, alpha: 1 }, "hex") } : {};
      return [
        name,
        { $value: { colorSpace: color.space, components, alpha: color.alpha ?? 0, ...hex }, $description: words },
      ] as const;
    });
    return `${JSON.stringify({ color: { $type: "color", ...Object.fromEntries(tokens) } }, null, 2)}\n`;
  },
};
