import { pagesOf, sheetsOf } from "../source/site";
import { linkTo } from "../edits/sheetLinks";
import { at, type Check, type Found } from "./types";

const because =
  "A page is dressed by the sheets it asks for itself (HTML, 4.2.4): what the others have does not reach it.";

/** Pages without any sheet, and pages that lack a sheet most others have. */
export const noSheet: Check = {
  name: "no-sheet",
  group: "idle",
  *onSite({ site, pages }) {
    const found: Found[] = [];
    const users = new Map<string, number>();
    for (const { sources } of pages) for (const path of sources) users.set(path, (users.get(path) ?? 0) + 1);
    const sheets = sheetsOf(site);
    const usual = sheets.filter(({ path }) => {
      const count = users.get(path) ?? 0;
      return count >= 2 && count * 2 > pagesOf(site).length;
    });
    for (const page of pages) {
      yield;
      const { file, sources } = page;
      const where = at(file, 0);
      const ways = (paths: readonly string[]) => () =>
        paths.map((path) => ({ label: `Link it to ${path}`, changes: [linkTo(file, path)] }));
      if (page.sheets.owners.length === 0) {
        // A link that goes wrong is told where it stands.
        if (page.sheets.missing.length) continue;
        const offered = [...usual, ...sheets.filter((sheet) => !usual.includes(sheet))].map(({ path }) => path);
        const message = `${file.path} has no style sheet at all.`;
        found.push({ level: "warning", message, because, ...where, ways: ways(offered.slice(0, 4)) });
        continue;
      }
      for (const { path } of usual) {
        if (sources.includes(path)) continue;
        const message = `${file.path} is not linked to ${path}, which ${users.get(path)} other pages use.`;
        found.push({ level: "warning", message, because, ...where, ways: ways([path]) });
      }
    }
    return found;
  },
};
