import { parseColor } from "../color";
import { contrastRatio, showRatio } from "../color/contrast";
import { formatColor } from "../color/format";
import { nearestPassingInk } from "../color/ladder";
import type { Declaration } from "../source/css/syntax";
import { blocksOf, declarationsOf } from "./blocks";
import { changed } from "./texts";
import { at, type Check, type Found } from "./types";

/** What text of any size needs (WCAG 2.2, 1.4.3). */
const needed = 4.5;

/** Selected text that cannot be read: the ink and ground that `::selection` gives it. */
export const selectionContrast: Check = {
  name: "selection-contrast",
  group: "unread",
  inFile: (file, site) =>
    blocksOf(site, file).flatMap((block): Found[] => {
      if (!/::(?:-moz-)?selection\b/i.test(block.selector)) return [];
      const last = (names: RegExp): Declaration | undefined =>
        declarationsOf(block).findLast(({ property }) => names.test(property));
      const [inkAt, groundAt] = [last(/^color$/), last(/^background(?:-color)?$/)];
      const [ink, ground] = [inkAt, groundAt].map((one) => (one ? parseColor(one.valueText) : null));
      if (!inkAt || !ink || !ground || ground.alpha !== 1) return [];
      const ratio = contrastRatio(ink, ground);
      if (ratio >= needed) return [];
      const nearest = nearestPassingInk({ ...ink, alpha: 1 }, [{ color: ground, needs: needed }]);
      const value = formatColor(nearest.color, "hex");
      return [
        {
          level: "error",
          message: `Selected text (\`${block.selector}\`) cannot be read well: ${showRatio(ratio)} to 1, and ${needed} is needed.`,
          because: "Who selects what they read loses their place where it cannot be read any more (WCAG 2.2, 1.4.3).",
          ...at(file, block.offset + inkAt.start),
          ways: () =>
            nearest.passes
              ? [
                  {
                    label: `Write the ink \`${value}\``,
                    changes: [changed(block, inkAt.value.start, inkAt.value.end, value)],
                  },
                ]
              : [],
        },
      ];
    }),
};
