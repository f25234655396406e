import { componentsOf, splitAt } from "../source/css/components";
import { sheetTexts, type SheetText } from "../source/declarations";
import { indentAt, lineEndOf } from "../source/lines";
import { rulesOf, type InvalidSelector } from "../cascade/rules";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { meantSelectors, type MeantSelector } from "./meant/selectors";
import { changed, quoted, withoutWords } from "./texts";
import { at, type Check, type Found } from "./types";

const because =
  "One selector that cannot be read makes the whole rule void, the other selectors of its list included (Selectors 4, 4.1).";

/** Rules that browsers skip because their selector is not one. */
export const invalidSelectors: Check = {
  name: "invalid-selector",
  group: "idle",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) => {
      const plain = withoutWords(sheet);
      return rulesOf(sheet.items).invalidSelectors.flatMap((invalid) => {
        const { start, end } = invalid.rule.prelude;
        if (isPunctuation(plain.slice(start, end))) return [];
        const found = isForOthers(invalid.rule.preludeText) ? mixed(sheet, invalid) : skipped(sheet, invalid);
        return found ? [found] : [];
      });
    }),
};

function skipped(sheet: SheetText, { rule, message, offset }: InvalidSelector): Found {
  const { preludeText: text, prelude } = rule;
  const meant = meantFor(text);
  const gap = /^[;:]+(\s*)/.exec(text)?.[1] ?? "";
  const told = `The rule ${quoted(text)} is skipped.`;
  return {
    level: "error",
    message: meant ? `${told} ${meant.why} Meant: \`${meant.selector}\`.` : `${told} ${message}`,
    because,
    ...at(sheet.file, sheet.offset + offset),
    ways: () => [
      ...(meant
        ? [
            {
              label: `Write \`${meant.selector}\``,
              changes: [changed(sheet, prelude.start, prelude.end, gap + meant.selector)],
            },
          ]
        : []),
      { label: "Take the rule out", changes: [changed(sheet, rule.start, rule.end, "")] },
    ],
  };
}

/** Selectors of single browsers among others: each browser skips the whole for the sake of those it does not know. */
function mixed(sheet: SheetText, { rule, offset }: InvalidSelector): Found | null {
  const all = splitAt(componentsOf(rule.preludeText), ",").map((part) =>
    part.length ? rule.preludeText.slice(part[0]!.start, part.at(-1)!.end) : "",
  );
  const own = all.filter((one) => !isForOthers(one));
  if (own.length === 0 || !tryParseSelectorList(own.join(", "))) return null;
  const others = all.filter(isForOthers);
  const block = sheet.text.slice(rule.block.start - 1, rule.end);
  const gap = sheet.text.slice(rule.prelude.end, rule.block.start - 1);
  const line = lineEndOf(sheet.text) + indentAt(sheet.text, rule.start);
  return {
    level: "warning",
    message: `The rule ${quoted(rule.preludeText)} is skipped by browsers that do not know ${quoted(others.join(", "))}, its other selectors with it.`,
    because,
    ...at(sheet.file, sheet.offset + offset),
    ways: () => [
      {
        label: "Write them as rules of their own",
        changes: [
          changed(sheet, rule.start, rule.end, [own.join(", "), ...others].map((one) => one + gap + block).join(line)),
        ],
      },
    ],
  };
}

/** What is told as a comment that is none, a brace or a declaration in the wrong place. */
const isPunctuation = (prelude: string) =>
  prelude.trim() === "" ||
  /\/\/|<!--|-->|\*\/|^\s*\}|[{}]|<\/?(?:style|link|script|html|head|body|meta|title)\b/i.test(prelude) ||
  /[-a-z]+\s*:\s*[^;:]+;/i.test(prelude) ||
  /[([]\s*[-a-z]+\s*:\s/i.test(prelude);

/** Selectors of single browsers, which others skip on purpose. */
const isForOthers = (text: string) => /:{1,2}-(?:webkit|moz|ms|o|khtml)-|^@/i.test(text);

const known = new Map<string, MeantSelector | null>();

/** What a list of selectors was meant to be; null where nothing is near. */
function meantFor(text: string): MeantSelector | null {
  let found = known.get(text);
  if (found === undefined) {
    if (known.size > 2000) known.clear();
    known.set(text, (found = find(text)));
  }
  return found;
}

function find(text: string): MeantSelector | null {
  if (text.length > 300) return null;
  const isOne = (selector: string) => selector !== text && selector !== "" && tryParseSelectorList(selector) !== null;
  const first = [...meantSelectors(text)];
  const single = first.find(({ selector, outright }) => outright || isOne(selector));
  if (single) return single;
  for (const step of first.slice(0, 25)) {
    if (step.selector === text || step.selector === "") continue;
    for (const next of meantSelectors(step.selector))
      if (isOne(next.selector))
        return { selector: next.selector, why: step.why === next.why ? step.why : `${step.why} ${next.why}` };
  }
  return null;
}
