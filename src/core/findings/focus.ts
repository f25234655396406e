import { blocksOf, declarationsOf } from "./blocks";
import { changed, quoted } from "./texts";
import { at, type Check } from "./types";

/** What else than an outline may show where the focus is. */
const showing =
  /^(?:box-shadow|border(?:-.*)?|background(?:-.*)?|outline-offset|text-decoration(?:-.*)?|transform|filter)$/;

/** Outlines taken away without anything in their place: who goes by keyboard does not see where they are. */
export const focusLost: Check = {
  name: "focus-lost",
  group: "readers",
  inFile: (file, site) => {
    const blocks = blocksOf(site, file);
    const shownElsewhere = blocks.some(
      (block) =>
        /:focus-visible/.test(block.selector) &&
        declarationsOf(block).some(
          ({ property, valueText }) => showing.test(property) || (/^outline/.test(property) && !isNone(valueText)),
        ),
    );
    return blocks.flatMap((block) => {
      const all = declarationsOf(block);
      const outline = all.find(
        ({ property, valueText }) => /^outline(?:-style|-width)?$/.test(property) && isNone(valueText),
      );
      if (!outline || shownElsewhere || /:not\(:focus-visible\)|\[tabindex=["']?-1/.test(block.selector)) return [];
      const isFocus = /:focus(?:-visible|-within)?\b/.test(block.selector);
      if (
        !isFocus &&
        !/(?:^|[,\s>])(?:\*|a|button|input|select|textarea|summary|:focus)(?:$|[,\s:.[])/.test(block.selector)
      )
        return [];
      if (isFocus && all.some(({ property }) => showing.test(property))) return [];
      const { value, property, valueText, start } = outline;
      return [
        {
          level: "warning" as const,
          message: `${quoted(`${property}: ${valueText}`)} takes the focus away from ${quoted(block.selector)}, and nothing shows it instead.`,
          because: "Who goes by keyboard has to see where they are (WCAG 2.2, 2.4.7).",
          ...at(file, block.offset + start),
          ways: () => [
            {
              label: "Write `2px solid`",
              changes:
                property === "outline"
                  ? [changed(block, value.start, value.end, isFocus ? "2px solid" : "revert")]
                  : [changed(block, value.start, value.end, "revert")],
            },
          ],
        },
      ];
    });
  },
};

const isNone = (text: string) => /^(?:none|0(?:px)?(?:\s+none)?|0\s+none|transparent)$/i.test(text.trim());
