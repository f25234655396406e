/** Run inside a page: versions of a sheet put into a `style` element one after the other, as the frame does. */
import { editionOf, sinceEditions } from "../../src/engine/editions";
import type { ShownSheet } from "../../src/engine/protocol";
import { ShownSheets } from "../../src/preview/sheets";

interface Result {
  same: number;
  exchanged: number;
  /** The first version that came out otherwise. */
  differs: { version: string; rules: string[]; anew: string[] } | null;
}

declare global {
  interface Window {
    putOneAfterTheOther(versions: readonly string[]): Result;
  }
}

const rulesOf = (node: HTMLStyleElement) => [...node.sheet!.cssRules].map(({ cssText }) => cssText);

window.putOneAfterTheOther = (versions) => {
  const node = document.createElement("style");
  const anew = document.createElement("style");
  document.head.append(node, anew);
  const shown = new ShownSheets();
  const sheetOf = (text: string): ShownSheet => ({
    owner: 0,
    media: "all",
    text,
    edition: editionOf(text),
    since: null,
  });
  const result: Result = { same: 0, exchanged: 0, differs: null };
  // Each is told from what was written, which stays for some versions; a few are what is written next.
  let written = sheetOf(versions[0]!);
  shown.put(node, written);
  for (const [at, version] of versions.slice(1).entries()) {
    const [sheet] = sinceEditions([written], [sheetOf(version)]);
    const before = node.sheet;
    shown.put(node, sheet!);
    anew.textContent = version;
    const [rules, expected] = [rulesOf(node), rulesOf(anew)];
    if (JSON.stringify(rules) !== JSON.stringify(expected)) {
      result.differs = { version, rules, anew: expected };
      break;
    }
    result.same += 1;
    if (node.sheet === before) result.exchanged += 1;
    if (at % 4 === 3) {
      written = sheetOf(version);
      shown.put(node, written);
    }
  }
  node.remove();
  anew.remove();
  return result;
};
