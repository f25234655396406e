import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { site } from "../testing/site";
import { textFile } from "../source/site";
import { defaultConditions } from "./conditions";
import { matchesMedia } from "./media";
import { mediaWidths } from "./mediaWidths";
import { runs } from "../testing/runs";

const widthsOf = (css: string, head = "") => {
  const from = site({ "index.html": `<link rel=stylesheet href=a.css>${head}<p>x`, "a.css": css });
  return mediaWidths(from, textFile(from, "index.html")!, defaultConditions);
};

describe("widths at which media conditions turn", () => {
  test("in every way they are written", () => {
    const turns = widthsOf(
      "@media (min-width: 48em) { p { top: 0 } }\n@media (max-width: 599.98px) { p { top: 0 } }\n@media (400px < width <= 900px) { p { top: 0 } }\n@media print { p { top: 0 } }\n@media (min-height: 300px) { p { top: 0 } }",
    );
    expect(turns.map(({ width, conditions }) => [width, conditions[0]!.begins])).toEqual([
      [401, true],
      [600, false],
      [768, true],
      [901, false],
    ]);
  });

  test("of links and of what stands within others, each width once", () => {
    const turns = widthsOf(
      "@media (min-width: 600px) { @media (max-width: 900px) { p { top: 0 } } }\n@media screen and (min-width:600px) { p { top: 0 } }",
      '<style media="(min-width: 1200px)">p { left: 0 }</style>',
    );
    expect(turns.map(({ width, conditions }) => [width, conditions.length])).toEqual([
      [600, 2],
      [901, 1],
      [1200, 1],
    ]);
  });

  test("however near to each other they turn", () => {
    expect(widthsOf("@media (605px <= width < 608px) { p { top: 0 } }").map(({ width }) => width)).toEqual([605, 608]);
  });

  test("also where they are reckoned, and where they follow the height", () => {
    const turns = widthsOf(
      "@media (min-width: calc(30em + 17px)) { p { top: 0 } }\n@media (orientation: landscape) { p { top: 0 } }\n@media (min-aspect-ratio: 2/1) { p { top: 0 } }",
    );
    const { height } = defaultConditions;
    expect(turns.map(({ width }) => width)).toEqual([497, height + 1, 2 * height].sort((a, b) => a - b));
  });

  test("as a sweep over all widths finds them", () => {
    const feature = fc.tuple(
      fc.constantFrom("min-width", "max-width", "width >", "width <="),
      fc.integer({ min: 241, max: 1500 }),
      fc.constantFrom("px", "em", "pt"),
    );
    fc.assert(
      fc.property(fc.array(feature, { minLength: 1, maxLength: 3 }), (features) => {
        const text = features
          .map(([name, px, unit]) => {
            const value = `${unit === "px" ? px : unit === "em" ? px / 16 : px * 0.75}${unit}`;
            return name.startsWith("width ") ? `(${name} ${value})` : `(${name}: ${value})`;
          })
          .join(" and ");
        const holds = (width: number) => matchesMedia(text, { ...defaultConditions, width });
        const swept = Array.from({ length: 1600 }, (_, at) => at + 1).filter(
          (width) => holds(width) !== holds(width - 1),
        );
        expect(widthsOf(`@media ${text} { p { top: 0 } }`).map(({ width }) => width)).toEqual(swept);
      }),
      runs(40),
    );
  });
});
