import { isSetBack, spotOf } from "../cascade/explain";
import { computedValue } from "../cascade/style";
import { declareWay } from "./cause";
import { refOf, textsOf } from "../text/pageTexts";
import { at, type Check, type Found } from "./types";

/** What a text is set in that `font` sets back where it does not name it. */
const longhands = ["font-weight", "font-style", "font-variant-caps", "font-stretch", "line-height"];

/** A shorthand that sets back what another rule had given the same text. */
export const resets: Check = {
  name: "reset",
  group: "idle",
  onPage: (page) =>
    textsOf(page).flatMap((style): Found[] =>
      longhands.flatMap((name): Found[] => {
        const winner = style.shared.winners.get(name);
        const lost = winner?.beaten;
        if (!winner || !lost || !isSetBack(winner) || lost.block.origin !== "author" || isSetBack(lost)) return [];
        if (lost.given.kind === "wide" || lost.block === winner.block) return [];
        const [own, other] = [winner, lost].map((one) => spotOf(page, style.element, one.block, one.declaration));
        if (!own || !other || own.rule === null) return [];
        const now = computedValue(style, name);
        const had = lost.declaration.valueText;
        if (had === now || /var\(/.test(had)) return [];
        const cause = `${lost.declaration.property}: ${had}`;
        return [
          {
            level: "note",
            message: `\`${winner.declaration.property}\` sets \`${name}\` back to ${now}, which \`${cause}\` had set for the same text.`,
            because: "A shorthand sets back all that it stands for and does not name (CSS Cascade 5, 3.1).",
            ...at(page.file, style.element.source?.startTag.start ?? 0),
            spot: { ...own, declaration: winner.declaration, holder: style, property: name },
            kind: name,
            places: [refOf(page.file.path, style)],
            ways: ({ site }) =>
              lost.declaration.property === name
                ? declareWay(
                    site,
                    `Write \`${name}: ${had}\` with it`,
                    { kind: "rule", path: own.path, start: own.rule! },
                    name,
                    had,
                  )
                : [],
          },
        ];
      }),
    ),
};
