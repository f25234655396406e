import { formatColor, parseColor } from "../color";
import { paletteOf } from "../palette/palette";
import { csv, type Report } from "./types";

export const colorTable: Report = {
  id: "color-table",
  group: "uses",
  label: "Colours as a table (CSV)",
  hint: "For a spreadsheet: every value where it is written",
  file: "colours.csv",
  type: "text/csv",
  *make({ site, conditions, layouts }) {
    return csv(
      ["value", "hex", "oklch", "used for", "places", "fails somewhere", "file", "line", "property"],
      paletteOf(site, conditions, layouts).values.flatMap(({ value, css, words, places, failing, uses }) => {
        const color = css === null ? null : parseColor(value);
        return uses.map(({ path, line, property }) => [
          value,
          color ? formatColor(color, "hex") : "",
          color ? formatColor(color, "oklch") : "",
          words,
          places,
          failing ? "yes" : "no",
          path,
          line,
          property,
        ]);
      }),
    );
  },
};
