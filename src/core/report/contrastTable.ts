import { showRatio } from "../color";
import { paletteOf } from "../palette/palette";
import { csv, type Report } from "./types";

export const contrastTable: Report = {
  id: "contrast-table",
  label: "Contrast as a table (CSV)",
  file: "contrast.csv",
  type: "text/csv",
  make: ({ site, conditions, layouts }) =>
    csv(
      ["ink", "ground", "ratio", "needs", "passes", "certain", "schemes", "places", "pages"],
      paletteOf(site, conditions, layouts).pairs.map(
        ({ inkName, groundName, ratio, needs, passes, certain, schemes, places }) => [
          inkName,
          groundName,
          showRatio(ratio),
          needs,
          passes ? "yes" : "no",
          certain ? "yes" : "no",
          schemes?.join(" ") ?? "",
          places.length,
          [...new Set(places.map(({ page }) => page))].join(" "),
        ],
      ),
    ),
};
