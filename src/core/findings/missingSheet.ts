import { inSite, type Check, type Finding } from "./types";

/** Sheets that a page asks for and does not get. */
export const missingSheet: Check = {
  name: "missing-sheet",
  *onSite({ site, pages }) {
    const found = new Map<string, Finding>();
    for (const page of pages) {
      for (const { path, offset, address, why, nearest } of page.sheets.missing) {
        const level = why === "remote" ? "note" : "error";
        const message = {
          remote: `${address} is on another server and is left out.`,
          "imports itself": `${address} imports itself, so browsers leave it out.`,
          "not among the files": `${address} is asked for but is not among the files.${nearest ? ` The nearest file is ${nearest}.` : ""}`,
        }[why];
        found.set(`${path}:${offset}`, {
          check: "missing-sheet",
          level,
          message,
          ...inSite(site, path, offset),
          places: [],
        });
      }
    }
    return [...found.values()];
  },
};
