import { documentOf, type ElementNode } from "../source/html/document";
import { attributeSource } from "../source/html/attributeSource";
import type { TextFile } from "../source/site";
import { table } from "../source/table";
import { insertAttribute, spliceAttribute } from "../edits/attributes";
import { at, type Check, type Found, type Way } from "./types";

/** Elements of old that only say how something looks (HTML, 16.2), with what is written now. */
/** What keeps the look of an element that is written as another. */
const styleOfTag = table({
  center: ' style="text-align: center"',
  big: ' style="font-size: larger"',
});

const elements: Readonly<Record<string, string>> = table({
  font: "span",
  center: "div",
  big: "span",
  strike: "s",
  tt: "code",
  basefont: "",
  marquee: "",
  blink: "",
});

/** Attributes of old that only say how something looks, with the declaration that says the same (HTML, 15.3). */
const attributes: Readonly<Record<string, (value: string, tag: string) => string | null>> = table({
  bgcolor: (value) => `background-color: ${value}`,
  align: (value, tag) => {
    if (!/^(?:img|table|iframe|object)$/.test(tag)) return `text-align: ${value.toLowerCase()}`;
    return /^(?:left|right)$/i.test(value) ? `float: ${value.toLowerCase()}` : null;
  },
  valign: (value) => `vertical-align: ${value.toLowerCase()}`,
  face: (value) => `font-family: ${value}`,
  nowrap: () => "white-space: nowrap",
  text: (value, tag) => (tag === "body" ? `color: ${value}` : null),
  background: (value) => `background-image: url('${value}')`,
  color: (value, tag) => (tag === "font" || tag === "hr" ? `color: ${value}` : null),
});

/** Looks that stand in a page's tags, told once for each kind and page. */
export const presentational: Check = {
  name: "presentational",
  group: "page",
  inFile: (file) => (file.kind === "html" ? [...oldElements(file), ...oldAttributes(file)] : []),
};

const because =
  "What only says how something looks belongs into a sheet: there it is written once, and any rule is stronger than it (HTML, 16.2).";

function oldElements(file: TextFile): Found[] {
  const byTag = new Map<string, ElementNode[]>();
  for (const element of documentOf(file).elements)
    if (element.source && element.namespace === "html" && element.tag in elements)
      byTag.set(element.tag, [...(byTag.get(element.tag) ?? []), element]);
  return [...byTag].map(([tag, all]) => ({
    level: "note" as const,
    message: `\`${tag}\` ${all.length === 1 ? "is an element" : `(${all.length} times) is an element`} of old that only says how its text looks.`,
    because,
    ...at(file, all[0]!.source!.startTag.start),
    causes: all.map((one) => ({ ...at(file, one.source!.startTag.start), text: `<${tag}>` })),
    ways: (): Way[] => {
      const to = elements[tag]!;
      if (to === "" || all.some(({ source, attributes: own }) => !source!.endTag || own.size > 0)) return [];
      const style = styleOfTag[tag] ?? "";
      return [
        {
          label: `Write \`${to}\` instead`,
          changes: all.flatMap(({ source }) => [
            {
              path: file.path,
              start: source!.startTag.start + 1,
              end: source!.startTag.start + 1 + tag.length,
              insert: to + style,
            },
            {
              path: file.path,
              start: source!.endTag!.start + 2,
              end: source!.endTag!.start + 2 + tag.length,
              insert: to,
            },
          ]),
        },
      ];
    },
  }));
}

function oldAttributes(file: TextFile): Found[] {
  const byName = new Map<string, { element: ElementNode; declaration: string }[]>();
  for (const element of documentOf(file).elements) {
    if (!element.source || element.namespace !== "html") continue;
    for (const [name, value] of element.attributes) {
      const declaration = attributes[name]?.(value, element.tag);
      if (declaration && element.source.attributes.has(name))
        byName.set(name, [...(byName.get(name) ?? []), { element, declaration }]);
    }
  }
  return [...byName].map(([name, all]) => ({
    level: "note" as const,
    message: `\`${name}\` ${all.length === 1 ? "is an attribute" : `(${all.length} times) is an attribute`} of old that only says how something looks.`,
    because,
    ...at(file, all[0]!.element.source!.attributes.get(name)!.start),
    causes: all.map(({ element, declaration }) => ({ ...at(file, element.source!.startTag.start), text: declaration })),
    ways: (): Way[] => [
      {
        label: "Write it into `style`",
        changes: all.flatMap(({ element, declaration }) => intoStyle(file, element, name, declaration)),
      },
    ],
  }));
}

function intoStyle(file: TextFile, element: ElementNode, name: string, declaration: string): Way["changes"] {
  const { path, text } = file;
  const { start, end } = element.source!.attributes.get(name)!;
  const from = start - (/\s*$/.exec(text.slice(0, start))?.[0].length ?? 0);
  const out = { path, start: from, end, insert: "" };
  const style = attributeSource(text, element, "style");
  if (!style) return [{ path, ...insertAttribute(text, element, "style", declaration) }, out];
  const joint = /;\s*$/.test(style.value) ? " " : "; ";
  const lead = style.value.trim() === "" ? "" : joint;
  const behind = style.value.length;
  const added = spliceAttribute(text, style, [{ start: behind, end: behind, insert: lead + declaration }]);
  return [out, ...added.map((splice) => ({ path, ...splice }))];
}
