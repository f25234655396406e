import { documentOf } from "../source/html/document";
import { resolveAddress } from "../source/path";
import { pagesOf, sheetsOf } from "../source/site";
import { at, type Check, type Finding } from "./types";

/** Pictures and fonts that lie on other servers: they are left out, nothing is fetched. */
export const remoteParts: Check = {
  name: "remote-part",
  run: ({ site }) => {
    const findings: Finding[] = [];
    const name = (address: string, path: string, offset: number) =>
      findings.push({
        check: "remote-part",
        level: "note",
        message: `${address} is on another server and is left out.`,
        ...at(site, path, offset),
        places: [],
      });
    for (const page of pagesOf(site)) {
      for (const element of documentOf(page).elements) {
        const source = element.tag === "img" ? element.attributes.get("src") : undefined;
        if (source && resolveAddress(source, page.path).kind === "remote")
          name(source, page.path, element.source?.startTag.start ?? 0);
      }
    }
    for (const sheet of sheetsOf(site)) {
      for (const match of sheet.text.matchAll(/url\(\s*["']?((?:https?:)?\/\/[^"')\s]+)/gi)) {
        if (!/@import\s+$/i.test(sheet.text.slice(0, match.index))) name(match[1]!, sheet.path, match.index);
      }
    }
    return findings;
  },
};
