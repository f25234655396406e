import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check, type Finding } from "./types";

/** Pages without any sheet, and pages that lack a sheet most others have. */
export const noSheet: Check = {
  name: "no-sheet",
  *onSite({ site, pages }) {
    const findings: Finding[] = [];
    const users = new Map<string, number>();
    for (const { sources } of pages) for (const path of sources) users.set(path, (users.get(path) ?? 0) + 1);
    const usual = sheetsOf(site).filter(({ path }) => {
      const count = users.get(path) ?? 0;
      return count >= 2 && count * 2 > pagesOf(site).length;
    });
    for (const page of pages) {
      const own = page.sheets.owners.length;
      const where = at(page.file, 0);
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
      for (const { path } of usual) {
        if (page.sources.includes(path)) continue;
        const message = `${page.file.path} is not linked to ${path}, which ${users.get(path)} other pages use.`;
        findings.push({ check: "no-sheet", level: "warning", message, ...where, places: [] });
      }
    }
    return findings;
  },
};
