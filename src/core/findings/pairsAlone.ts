import type { KnownPage } from "../cascade/styledPages";
import { computedValue } from "../cascade/style";
import { declareWay, spotFor, targetOf } from "./cause";
import { at, type Check, type Found } from "./types";

/** An ink for the whole page without a ground, or a ground without an ink: the other is the reader's own. */
export const pairsAlone: Check = {
  name: "pair-alone",
  group: "readers",
  onPage: (page) => {
    const body = page.document.body ? page.styles[page.document.body.index] : undefined;
    if (!body) return [];
    const ink = spotFor(page, body, "color");
    const ground = groundSpot(page);
    if ((ink === null) === (ground === null) || (ground && isPaper(page))) return [];
    const spot = (ink ?? ground)!;
    const found: Found = {
      level: "note",
      message: ink
        ? `The page's ink is set (\`${ink.declaration.valueText}\`), its ground is not: that is the reader's own.`
        : `The page's ground is set (\`${ground!.declaration.valueText}\`), its ink is not: that is the reader's own.`,
      because:
        "Readers choose colours of their own; one of a pair alone may come to stand on the like of itself (WCAG 2.2, failure F24).",
      ...at(page.file, 0),
      spot,
      kind: "alone",
      places: [],
      ways: ({ site }) =>
        ink
          ? declareWay(
              site,
              "Write the ground `#ffffff`",
              targetOf(page.file.path, spot),
              "background-color",
              "#ffffff",
            )
          : declareWay(site, "Write the ink `#000000`", targetOf(page.file.path, spot), "color", "#000000"),
    };
    return [found];
  },
};

function groundSpot(page: KnownPage) {
  const holders = [page.document.root, page.document.body].flatMap((element) =>
    element ? [page.styles[element.index]!] : [],
  );
  for (const holder of holders)
    for (const longhand of ["background-color", "background-image"] as const) {
      const spot = spotFor(page, holder, longhand);
      const value = computedValue(holder, longhand);
      if (spot && value !== "none" && value !== "rgba(0, 0, 0, 0)") return spot;
    }
  return null;
}

/** A white ground is what nearly all readers have. */
function isPaper(page: KnownPage): boolean {
  return [page.document.root, page.document.body].some(
    (element) => element && computedValue(page.styles[element.index]!, "background-color") === "rgb(255, 255, 255)",
  );
}
