import { showRatio } from "../color";
import { paletteOf } from "../palette/palette";
import { csv, type Report } from "./types";

export const contrastTable: Report = {
  id: "contrast-table",
  group: "uses",
  label: "Contrast as a table (CSV)",
  hint: "For a spreadsheet: every ink on the grounds it stands on",
  file: "contrast.csv",
  type: "text/csv",
  *make({ site, conditions, layouts }) {
    return csv(
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
    );
  },
};
