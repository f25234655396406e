import { tryParseSelectorList } from "../cascade/selectors/parse";
import { compareSpecificity } from "../cascade/selectors/types";
import type { StyleRule } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { afterLine, lineEndOf, lineLead } from "../source/lines";
import { changed, quoted } from "./texts";
import { at, type Check, type Found } from "./types";

/** The order in which the states of a link all show: each may hold with those before it. */
const order = ["link", "visited", "hover", "focus", "focus-visible", "active"];

/** States of links in an order in which one never shows. */
export const linkOrder: Check = {
  name: "link-order",
  group: "idle",
  inFile: (file, site) => sheetTexts(site, file).flatMap(inSheet),
};

interface StateRule {
  rule: StyleRule;
  base: string;
  state: string;
  properties: ReadonlySet<string>;
}

function inSheet(sheet: SheetText): Found[] {
  const seen: StateRule[] = [];
  const all: Found[] = [];
  for (const item of sheet.items) {
    if (item.kind !== "style") continue;
    const properties = new Set(item.items.flatMap((one) => (one.kind === "declaration" ? [one.property] : [])));
    // A comma in parentheses parts no selectors.
    for (const text of item.preludeText.includes("(") ? [] : item.preludeText.split(",")) {
      const match = /^\s*([^:,]*?):(link|visited|hover|focus|focus-visible|active)\s*$/i.exec(text);
      if (!match) continue;
      const now: StateRule = { rule: item, base: match[1]!.trim() || "*", state: match[2]!.toLowerCase(), properties };
      const hidden = seen.find(
        (one) =>
          one.base === now.base &&
          one.rule !== item &&
          order.indexOf(now.state) < order.indexOf(one.state) &&
          hides(now.state, one.state) &&
          [...one.properties].some((property) => now.properties.has(property)) &&
          isEqual(text, `${one.base}:${one.state}`),
      );
      if (hidden) all.push(tell(sheet, hidden, now));
      seen.push(now);
    }
  }
  return all;
}

/** Whether a state that comes later holds whenever the earlier one does, on a link. */
const hides = (later: string, earlier: string) => later === "link" || later === "visited" || earlier === "active";

function isEqual(a: string, b: string): boolean {
  const [x, y] = [tryParseSelectorList(a)?.[0], tryParseSelectorList(b)?.[0]];
  return x !== undefined && y !== undefined && compareSpecificity(x.specificity, y.specificity) === 0;
}

function tell(sheet: SheetText, hidden: StateRule, now: StateRule): Found {
  const { rule } = hidden;
  const name = (one: StateRule) => `\`${one.base}:${one.state}\``;
  return {
    level: "warning",
    message: `${name(hidden)} never shows${now.state === "visited" ? " on links that were visited" : ""}: ${name(now)} below it is as strong and holds at the same time.`,
    because:
      "Of equally strong rules the last wins: link, visited, hover, focus, active is the order in which each shows (CSS Cascade 5, 6.1; Selectors 4, 9).",
    ...at(sheet.file, sheet.offset + rule.start),
    causes: [{ ...at(sheet.file, sheet.offset + now.rule.start), text: now.rule.preludeText }],
    ways: () => {
      const { text } = sheet;
      const own = text.slice(rule.start, rule.end);
      const lead = lineLead(text, rule.start);
      const tail = lead ? "" : text.slice(rule.end, afterLine(text, rule.end));
      const { end } = now.rule;
      return [
        {
          label: `Move ${quoted(rule.preludeText)} below it`,
          changes: [
            changed(sheet, rule.start - lead.length, rule.end + tail.length, ""),
            changed(sheet, end, end, (lead || lineEndOf(text)) + own),
          ],
        },
      ];
    },
  };
}
