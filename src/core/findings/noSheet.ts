import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check, type Finding } from "./types";

/** Pages without any sheet, and pages that lack a sheet most others have. */
export const noSheet: Check = {
  name: "no-sheet",
  run: ({ site, pages }) => {
    const findings: Finding[] = [];
    const users = new Map<string, number>();
    for (const { sources } of pages) for (const path of sources) users.set(path, (users.get(path) ?? 0) + 1);
    for (const page of pages) {
      const own = page.sheets.owners.length;
      const where = at(site, page.file.path, 0);
      if (own === 0) {
        findings.push({
          check: "no-sheet",
          level: "warning",
          message: `${page.file.path} has no style sheet at all.`,
          ...where,
          places: [],
        });
        continue;
      }
      for (const sheet of sheetsOf(site)) {
        const count = users.get(sheet.path) ?? 0;
        if (page.sources.includes(sheet.path) || count * 2 <= pagesOf(site).length || count < 2) continue;
        const message = `${page.file.path} is not linked to ${sheet.path}, which ${count} other pages use.`;
        findings.push({ check: "no-sheet", level: "warning", message, ...where, places: [] });
      }
    }
    return findings;
  },
};
