import { invalidReason, isKnownProperty } from "../cascade/declarations";
import { leadBefore } from "../source/lines";
import { blocksOf, declarationsOf } from "./blocks";
import { changed, quoted, stopOf } from "./texts";
import { at, type Check } from "./types";

/** Properties whose spelling with a prefix is still the one that counts, or says another thing than without. */
const only =
  /^(?:text-size-adjust|font-smoothing|osx-font-smoothing|line-clamp|box-orient|box-align|box-pack|box-flex|box-ordinal-group|box-direction|overflow-scrolling|tap-highlight-color|text-fill-color|text-stroke|text-stroke-width|text-stroke-color|text-security|touch-callout|user-drag|user-modify|appearance|margin-collapse|margin-top-collapse|box-reflect|print-color-adjust|perspective-origin-x|focus-ring-color|flex-pack|flex-align|overflow-style|interpolation-mode|user-select|backdrop-filter|mask.*|clip-path|hyphens|initial-letter|text-decoration-skip|touch-action)$/;

/** Spellings of single browsers without the standard one beside them. */
export const vendorAlone: Check = {
  name: "vendor-alone",
  group: "readers",
  inFile: (file, site) =>
    blocksOf(site, file).flatMap((block) => {
      const all = declarationsOf(block);
      const names = new Set(all.map(({ property }) => property));
      const told = new Set<string>();
      return all.flatMap((declaration) => {
        const { property, value, valueText, semicolon } = declaration;
        const standard = /^-(?:webkit|moz|ms|o|khtml)-(.+)$/.exec(property)?.[1];
        if (!standard || names.has(standard) || told.has(standard) || only.test(standard)) return [];
        if (!isKnownProperty(standard) || invalidReason(standard, valueText) !== null) return [];
        told.add(standard);
        const stop = stopOf(declaration);
        const gap = block.text.slice(leadBefore(block.text, declaration.start), declaration.start) || " ";
        const line = `${semicolon === null ? ";" : ""}${gap}${standard}: ${block.text.slice(value.start, value.end)};`;
        return [
          {
            level: "warning" as const,
            message: `${quoted(`${property}: ${valueText}`)} counts in some browsers only: \`${standard}\` is not set beside it.`,
            because:
              "A spelling with a prefix is that of one browser; the property without it is the standard one (CSS Snapshot, 3.2.1).",
            ...at(file, block.offset + declaration.start),
            ways: () => [{ label: `Write \`${standard}\` beside it`, changes: [changed(block, stop, stop, line)] }],
          },
        ];
      });
    }),
};
