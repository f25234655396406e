import type { AtRule, Item } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { table } from "../source/table";
import { leadBefore } from "../source/lines";
import { nearestWords } from "./meant/near";
import { changed, quoted, stopOf } from "./texts";
import { at, type Check, type Found } from "./types";

/** Descriptors of `@font-face` (CSS Fonts 4, 4). */
const descriptors = [
  "font-family",
  "src",
  "font-style",
  "font-weight",
  "font-stretch",
  "font-width",
  "font-display",
  "unicode-range",
  "font-feature-settings",
  "font-variation-settings",
  "font-named-instance",
  "font-language-override",
  "font-variant",
  "ascent-override",
  "descent-override",
  "line-gap-override",
  "size-adjust",
];

/** What people call them. */
const calledOtherwise: Readonly<Record<string, string>> = table({
  name: "font-family",
  family: "font-family",
  "font-name": "font-family",
  "font-face": "font-family",
  url: "src",
  source: "src",
  href: "src",
  file: "src",
  "font-src": "src",
  "font-url": "src",
  weight: "font-weight",
  style: "font-style",
});

/** Fonts that are declared so that nothing can be loaded, or that hide the text while they load. */
export const fontFaceSlips: Check = {
  name: "font-face",
  group: "readers",
  inFile: (file, site) =>
    sheetTexts(site, file).flatMap((sheet) => [...facesIn(sheet.items)].flatMap((rule) => inFace(sheet, rule))),
};

function* facesIn(items: readonly Item[]): Generator<AtRule> {
  for (const item of items) {
    if (item.kind !== "at") continue;
    if (item.name === "font-face" && item.block) yield item;
    else yield* facesIn(item.items);
  }
}

function inFace(sheet: SheetText, rule: AtRule): Found[] {
  const own = rule.items.filter((item) => item.kind === "declaration");
  const names = new Set(own.map(({ property }) => property));
  const all: Found[] = [];
  const where = at(sheet.file, sheet.offset + rule.start);
  for (const { property, name, start } of own) {
    if (descriptors.includes(property) || property.startsWith("-")) continue;
    const near = [calledOtherwise[property], ...nearestWords(property, descriptors, 3)].find(
      (one) => one !== undefined && !names.has(one),
    );
    all.push({
      level: "error",
      group: "idle",
      message: `\`${property}\` says nothing in \`@font-face\`.${near ? ` Meant: \`${near}\`.` : ""}`,
      because: "What a browser does not know of a font it skips (CSS Fonts 4, 4.1).",
      ...at(sheet.file, sheet.offset + start),
      ways: () => (near ? [{ label: `Write \`${near}\``, changes: [changed(sheet, name.start, name.end, near)] }] : []),
    });
  }
  if (all.length) return all;
  for (const needed of ["font-family", "src"]) {
    if (!names.has(needed))
      all.push({
        level: "error",
        group: "idle",
        message: `This \`@font-face\` has no \`${needed}\`, so no font comes of it.`,
        because: "A font needs its family and its source (CSS Fonts 4, 4.1).",
        ...where,
        ways: () => [{ label: "Take it out", changes: [changed(sheet, rule.start, rule.end, "")] }],
      });
  }
  const loads = own.some(({ property, valueText }) => property === "src" && /url\(/i.test(valueText));
  if (!all.length && loads && !names.has("font-display")) {
    const family = own.find(({ property }) => property === "font-family")!;
    const stop = stopOf(family);
    const gap = sheet.text.slice(leadBefore(sheet.text, family.start), family.start) || " ";
    all.push({
      level: "note",
      message: `Text in ${quoted(family.valueText)} stays unseen for up to three seconds while the font loads: \`font-display\` is not set.`,
      because:
        "Without it most browsers hide the text at first; `swap` shows it in the next font of the stack (CSS Fonts 4, 4.9).",
      ...where,
      ways: () => [
        {
          label: "Write `font-display: swap`",
          changes: [changed(sheet, stop, stop, `${family.semicolon === null ? ";" : ""}${gap}font-display: swap;`)],
        },
      ],
    });
  }
  return all;
}
