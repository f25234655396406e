import { groups } from "../findings";
import { criterionOf, foundIn, plainWords } from "./found";
import { csv, type Report } from "./types";

export const findingsTable: Report = {
  id: "findings-table",
  label: "Findings as a table (CSV)",
  file: "findings.csv",
  type: "text/csv",
  make: (context) =>
    csv(
      ["level", "group", "check", "file", "line", "column", "what", "why", "criterion", "places"],
      foundIn(context).map((finding) => {
        const { level, group, check, path, line, column, message, because, places } = finding;
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
        ];
      }),
    ),
};
