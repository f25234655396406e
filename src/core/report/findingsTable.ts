import { groups } from "../findings";
import { criterionOf, foundIn, plainWords } from "./found";
import { csv, type Report } from "./types";

export const findingsTable: Report = {
  id: "findings-table",
  group: "found",
  label: "Findings as a table (CSV)",
  hint: "For a spreadsheet: what is so, why it matters, and where",
  file: "findings.csv",
  type: "text/csv",
  *make(context) {
    const found = yield* foundIn(context);
    return csv(
      ["level", "group", "check", "file", "line", "column", "what", "why", "criterion", "places", "left as it is"],
      found.map((finding) => {
        const { level, group, check, path, line, column, message, because, places, left } = finding;
        return [
          level,
          groups.find(({ id }) => id === group)!.title,
          check,
          path,
          line,
          column,
          plainWords(message),
          plainWords(because),
          criterionOf(finding) ?? "",
          places.length,
          left ?? "",
        ];
      }),
    );
  },
};
