/** What stands in several places gathered into one. */
import { attachedDeclarations } from "../source/declarations";
import type { Span, StyleRule } from "../source/css/syntax";
import type { TextChange } from "../source/changes";
import { leadBefore, lineEnd, lineLead } from "../source/lines";
import { joinedLike } from "./selectorList";
import type { Site, TextFile } from "../source/site";
import type { ElementRef } from "../text/refs";
import { readdressed } from "../source/css/addresses";
import { baseOf } from "../source/html/sheets";
import { documentOf, type ElementNode } from "../source/html/document";
import { newRule } from "./newRule";
import { giveClass } from "./plan";
import { elementAt, ruleAt } from "./locate";
import { EditError } from "./types";

/**
 * Rules of a sheet with the same declarations made one, whose list has the selectors of all.
 * @param starts where the rules start in their file, in order
 * @param into whether it stands where the first or where the last of them stood
 */
export function gatherRules(site: Site, path: string, starts: readonly number[], into: "first" | "last"): TextChange[] {
  const found = starts.map((start) => ruleAt(site, path, start));
  if (!found[0]) throw new EditError("There is no rule to gather from.");
  const { sheet } = found[0];
  const rules = found.map(({ rule }) => rule);
  const kept = into === "first" ? rules[0]! : rules.at(-1)!;
  const selectors = [...new Set(rules.map(({ preludeText }) => preludeText))];
  const change = (start: number, end: number, insert: string): TextChange => ({
    path,
    start: sheet.offset + start,
    end: sheet.offset + end,
    insert,
  });
  return [
    change(kept.prelude.start, kept.prelude.start + kept.preludeText.length, joinedLike(sheet, kept, selectors)),
    ...rules.filter((rule) => rule !== kept).map((rule) => change(...ruleWithBlanks(sheet.text, rule), "")),
  ];
}

const blankLines = new RegExp(`^[ \\t]*(?:${lineEnd.source})*`);

/** A rule with the lines that part it from what stands before it; from what follows, where nothing does. */
export function ruleWithBlanks(text: string, { start, end }: Pick<StyleRule, "start" | "end">): [number, number] {
  let from = leadBefore(text, start);
  if (from > 0) {
    while (lineLead(text, from)) from = leadBefore(text, from);
    return [from, end];
  }
  const tail = blankLines.exec(text.slice(end))![0].length;
  return [from, end + tail];
}

/**
 * Equal style attributes made one rule for a class, which their elements are given.
 * @param path the sheet the rule goes into, or the page for the first it embeds
 * @throws EditError where one of them has no style attribute that can be taken out
 */
export function gatherAttributes(
  site: Site,
  elements: readonly ElementRef[],
  path: string,
  name: string,
): TextChange[] {
  const [first] = elements;
  if (!first) throw new EditError("There is no element to gather from.");
  const declarations = attributeFor(site, first, path);
  if (declarations.length === 0) throw new EditError("The style attribute sets nothing.");
  return [
    ...elements.flatMap((ref) => classForStyle(site, ref, name)),
    ...newRule(site, path, `.${name}`, declarations),
  ];
}

/** What an element's style attribute sets, as it is written in another file. @param path of that */
export function attributeFor(
  site: Site,
  ref: ElementRef,
  path: string,
): (readonly [property: string, value: string])[] {
  const { file, element } = elementAt(site, ref.page, ref.index);
  const base = baseOf(documentOf(file));
  return attachedDeclarations(element).map(({ property, valueText, important }) => {
    const value = path === file.path ? valueText : readdressed(valueText, base, path);
    return [property, important ? `${value} !important` : value];
  });
}

function classForStyle(site: Site, ref: ElementRef, name: string): TextChange[] {
  const { element } = elementAt(site, ref.page, ref.index);
  if (element.attributes.has("class")) return [withoutAttribute(site, ref), ...giveClass(site, ref, name)];
  return [{ path: ref.page, ...styleSpan(site, ref), insert: `class="${name}"` }];
}

/** Where an element's style attribute is written, name and value. @throws EditError where it has none */
function styleSpan(site: Site, ref: ElementRef): Span {
  const { element } = elementAt(site, ref.page, ref.index);
  const span = element.source?.attributes.get("style");
  if (!span) throw new EditError("This element has no style attribute.");
  return span;
}

/** An element's style attribute taken out, with the blank before it. @throws EditError where it has none */
export function withoutAttribute(site: Site, ref: ElementRef): TextChange {
  const { file } = elementAt(site, ref.page, ref.index);
  const { start, end } = styleSpan(site, ref);
  return { path: file.path, start: leadBefore(file.text, start), end, insert: "" };
}

/** A class name for elements, from what they are and where they stand, that nothing in the site has. */
export function classNameFor(elements: readonly ElementNode[], taken: (name: string) => boolean): string {
  const words = (text: string) =>
    text
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "");
  const [first] = elements;
  const around = first?.parent;
  const what = kinds[first?.tag ?? ""] ?? first?.tag ?? "text";
  const where = around && (around.id ?? around.classes[0] ?? (around.tag === "body" ? "" : around.tag));
  const said = words([where, what].filter(Boolean).join("-"));
  const base = /^[a-z]/.test(said) ? said : `text-${said}`.replace(/-$/, "");
  for (let number = 1; ; number += 1) {
    const name = number === 1 ? base : `${base}-${number}`;
    if (!taken(name)) return name;
  }
}

const kinds: Readonly<Record<string, string>> = {
  p: "text",
  td: "cell",
  th: "head",
  li: "item",
  a: "link",
  span: "words",
  div: "part",
  img: "picture",
  h1: "title",
  h2: "heading",
  h3: "heading",
  h4: "heading",
};

/** Whether a class is named anywhere in a site: on a page, or in a sheet. */
export function isClassTaken(files: readonly TextFile[], name: string): boolean {
  const pattern = new RegExp(`(?<![\\w-])${name}(?![\\w-])`);
  return files.some(({ text }) => text.includes(name) && pattern.test(text));
}
