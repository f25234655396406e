import { isKnownProperty } from "../cascade/declarations";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import type { AtRule, Item, StyleRule } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { blanksBefore, indentAt, leadBefore, lineEndOf } from "../source/lines";
import { breaksOff, changed, quoted, withoutWords } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

const because =
  "Every opening brace has its closing one; what is left open takes in all that follows, what is closed too often spoils the next rule (CSS Syntax 3, 5.5).";

/** Braces that are missing, that nothing opened, or that are no braces. */
export const braces: Check = {
  name: "braces",
  group: "idle",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) => {
      const others = [...notOpened(sheet), ...tooMany(sheet)];
      return others.length ? others : notClosed(sheet);
    }),
};

const found = ({ file, offset }: SheetText, start: number, message: string, ways: () => Way[]): Found => ({
  level: "error",
  message,
  because,
  ...at(file, offset + start),
  ways,
});

const nameOf = (rule: StyleRule | AtRule) => quoted(`${rule.kind === "at" ? `@${rule.name} ` : ""}${rule.preludeText}`);

/** The outermost block that the text ends in. */
function notClosed(sheet: SheetText): Found[] {
  const last = sheet.items.findLast((item) => item.kind === "style" || item.kind === "at");
  if (!last || (last.kind !== "style" && last.kind !== "at") || last.closed || !last.block) return [];
  // A comment or a string that is left open takes the brace in.
  if (/\/\*(?:(?!\*\/)[\s\S])*$/.test(sheet.text) || breaksOff(sheet)) return [];
  const message = `The block of ${nameOf(last)} is never closed: all that follows is read as part of it.`;
  return [
    found(sheet, last.start, message, () =>
      likelyEnds(sheet, last).map((end) => ({
        label: "Close the block",
        changes: [end],
      })),
    ),
  ];
}

/** Where a block that is left open most likely ends: before the first rule that stands no further in than its own. */
function likelyEnds(sheet: SheetText, open: StyleRule | AtRule) {
  const { text } = sheet;
  const lineEnd = lineEndOf(text);
  const own = indentAt(text, open.start);
  const ends = [];
  const close = (rule: StyleRule | AtRule, items: readonly Item[]) => {
    const inside = items.filter((item) => item.kind === "style" || item.kind === "at");
    const first =
      inside.find(
        (item) =>
          startsLine(text, item.start) && indentAt(text, item.start).length <= indentAt(text, rule.start).length,
      ) ?? (rule.kind === "style" ? inside.find((item) => !text.slice(item.start).startsWith("&")) : undefined);
    if (!first) return;
    const before = text.slice(0, first.start).trimEnd().length;
    const gap = text.slice(before, first.start);
    const insert = /[\r\n]/.test(gap) ? `${lineEnd}${own}}` : "}";
    ends.push(changed(sheet, before, before, insert));
  };
  close(open, open.items);
  for (let inner: StyleRule | AtRule | null = lastRule(open); inner; inner = lastRule(inner)) close(inner, inner.items);
  const end = text.trimEnd().length;
  ends.push(changed(sheet, end, end, /[\r\n]/.test(text.trim()) ? `${lineEnd}}` : "}"));
  return ends;
}

function lastRule(rule: StyleRule | AtRule): StyleRule | AtRule | null {
  const last = rule.items.findLast((item) => item.kind === "style" || item.kind === "at");
  return last && !last.closed && last.block ? last : null;
}

const startsLine = (text: string, offset: number) => /^[\r\n]?$/.test(text.charAt(blanksBefore(text, offset) - 1));

/** A rule whose opening brace is missing or is another bracket: its declarations are read as a selector. */
function notOpened(sheet: SheetText): Found[] {
  const { text, items } = sheet;
  return items.flatMap((item) => {
    if (item.kind !== "style" && item.kind !== "skipped") return [];
    const prelude = item.kind === "style" ? item.preludeText : text.slice(item.start, item.end);
    const start = item.kind === "style" ? item.prelude.start : item.start;
    const bracket = /^([^{}();:[\]]+?)\s*([([])(\s*[-a-z]+\s*:[^{}]*?)([)\]])/i.exec(prelude);
    if (
      bracket &&
      tryParseSelectorList(bracket[1]!) &&
      isKnownProperty(/[-a-z]+/i.exec(bracket[3]!)![0].toLowerCase())
    ) {
      const [whole, selector] = bracket as unknown as [string, string];
      const open = start + whole.indexOf(bracket[2]!, selector.length);
      const close = start + whole.length - 1;
      return [
        found(
          sheet,
          start,
          `The declarations of ${quoted(selector)} stand in brackets, not in braces, so none of them counts.`,
          () => [
            {
              label: "Write braces",
              changes: [changed(sheet, open, open + 1, "{"), changed(sheet, close, close + 1, "}")],
            },
          ],
        ),
      ];
    }
    for (const match of prelude.matchAll(/\s([-a-z]+)\s*:\s*[^\s:]/gi)) {
      const selector = prelude.slice(0, match.index).trimEnd();
      if (!isKnownProperty(match[1]!.toLowerCase()) || !selector || !tryParseSelectorList(selector)) continue;
      if (!prelude.includes(";") && !prelude.includes("}")) continue;
      const end = start + selector.length;
      return [
        found(
          sheet,
          start,
          `The opening brace after ${quoted(selector)} is missing, so its declarations are read as a selector.`,
          () => [{ label: "Put the brace in", changes: [changed(sheet, end, end, " {")] }],
        ),
      ];
    }
    return [];
  });
}

/** A closing brace that nothing opened, and an opening one too many. */
function tooMany(sheet: SheetText): Found[] {
  const plain = withoutWords(sheet);
  const all: Found[] = [];
  if (notOpened(sheet).length) return all;
  let depth = 0;
  let previous = -1;
  for (const { 0: brace, index } of plain.matchAll(/[{}]/g)) {
    if (brace === "{") {
      if (previous >= 0 && plain[previous] === "{" && plain.slice(previous + 1, index).trim() === "")
        all.push(
          found(sheet, index, "A block is opened twice, so all that stands in it is skipped.", () => [
            { label: "Take the second brace out", changes: [changed(sheet, index, index + 1, "")] },
          ]),
        );
      depth += 1;
    } else if (depth > 0) depth -= 1;
    else
      all.push(
        found(sheet, index, "This closing brace closes nothing: the rule that follows is skipped.", () => [
          { label: "Take the brace out", changes: [changed(sheet, ...withBlanks(sheet.text, index), "")] },
        ]),
      );
    previous = index;
  }
  return all;
}

/** A brace that stands alone on its line goes with it. */
function withBlanks(text: string, at: number): [start: number, end: number] {
  const alone = startsLine(text, at) && /^\}[ \t]*(?:\r\n|\n|\r|$)/.test(text.slice(at));
  return alone ? [leadBefore(text, at), at + 1] : [at, at + 1];
}
