import { documentOf } from "../source/html/document";
import { resolveAddress } from "../source/path";
import type { TextFile } from "../source/site";
import { at, type Check } from "./types";

/** Pictures and fonts that lie on other servers: they are left out, nothing is fetched. */
export const remoteParts: Check = {
  name: "remote-part",
  group: "readers",
  inFile: (file) =>
    (file.kind === "html" ? inPage(file) : inSheet(file)).map(({ address, offset }) => ({
      level: "note" as const,
      message: `${address} is on another server and is left out.`,
      because: "Nothing is fetched while the site is looked at: what lies elsewhere is not seen, nor counted.",
      ...at(file, offset),
    })),
};

interface RemotePart {
  address: string;
  offset: number;
}

function inPage(page: TextFile): RemotePart[] {
  return documentOf(page).elements.flatMap(({ tag, attributes, source }) => {
    const address = tag === "img" ? attributes.get("src") : undefined;
    if (!address || resolveAddress(address, page.path).kind !== "remote") return [];
    return [{ address, offset: source?.startTag.start ?? 0 }];
  });
}

function inSheet({ text }: TextFile): RemotePart[] {
  return [...text.matchAll(/url\(\s*["']?((?:https?:)?\/\/[^"')\s]+)/gi)]
    .filter(({ index }) => !/@import\s+$/i.test(text.slice(Math.max(0, index - 200), index)))
    .map(({ 1: address, index }) => ({ address: address!, offset: index }));
}
