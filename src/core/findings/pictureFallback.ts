import { computedValue, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { contrastRatio, paintOver, showRatio } from "../color/contrast";
import { formatColor } from "../color/format";
import { nearestPassingGround } from "../color/ladder";
import type { Color } from "../color/types";
import { backgroundColor, canvasColor, inkOf } from "../ground/backgrounds";
import { plainSelector } from "../source/html/document";
import { refOf, textsOf } from "../text/pageTexts";
import { legibilityOn, roleName } from "../text/textStyles";
import { declareWay, spotFor, targetFor } from "./cause";
import { at, type Check, type Found } from "./types";

/** Text that can be read on its picture, and not on what is there until that has come, or where it does not come. */
export const pictureFallback: Check = {
  name: "picture-fallback",
  group: "page",
  onPage: (page, layouts) =>
    textsOf(page).flatMap((style): Found[] => {
      const holder = pictureUnder(style);
      if (!holder) return [];
      const { passes, needs } = legibilityOn(page, style, layouts);
      const ground = colorUnder(holder);
      const ink = paintOver(inkOf(style), ground);
      const ratio = contrastRatio(ink, ground);
      return passes && ratio < needs ? [tell(page, style, holder, { ground, ratio, needs })] : [];
    }),
};

/** The element whose picture a text stands on; null where a colour lies between them, or there is none. */
function pictureUnder(style: Style): Style | null {
  for (let box: Style | null = style; box; box = box.parent) {
    const images = computedValue(box, "background-image");
    if (/\burl\(|\bimage-set\(/i.test(images)) return box;
    if (images !== "none" || (backgroundColor(box).alpha ?? 0) >= 1) return null;
  }
  return null;
}

/** What a box stands on with no picture at all. */
function colorUnder(box: Style): Color {
  const own = backgroundColor(box);
  const alpha = own.alpha ?? 0;
  if (alpha >= 1) return own;
  const below = box.parent ? colorUnder(box.parent) : canvasColor(box);
  return alpha > 0 ? paintOver(own, below) : below;
}

interface Alone {
  ground: Color;
  ratio: number;
  needs: number;
}

function tell(page: KnownPage, style: Style, holder: Style, { ground, ratio, needs }: Alone): Found {
  const selector = plainSelector(style.element);
  const better = nearestPassingGround(ground, [{ ink: inkOf(style), needs }]);
  const value = formatColor(better.color, "hex");
  const spot = spotFor(page, holder, "background-image");
  return {
    level: "warning",
    message: `${roleName(style)} \`${selector}\` stands on \`${formatColor(ground, "hex")}\` until its picture has come, and cannot be read there: ${showRatio(ratio)} to 1, and ${needs} is needed.`,
    because:
      "Pictures come late, or not at all; the colour behind one is what is read on meanwhile (CSS Backgrounds 3, 2.2; WCAG 2.2, 1.4.3).",
    ...at(page.file, style.element.source?.startTag.start ?? 0),
    spot,
    kind: "fallback",
    rank: ratio,
    places: [refOf(page.file.path, style)],
    ways: ({ site }) =>
      better.passes
        ? declareWay(
            site,
            `Write the ground \`${value}\` behind the picture`,
            targetFor(page, holder, spot),
            "background-color",
            value,
          )
        : [],
  };
}
