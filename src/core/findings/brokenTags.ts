import type { TextFile } from "../source/site";
import { isElement, meantElement } from "./meant/elements";
import { byText, change, mistake, tagsOf, type Tag } from "./tags";
import { quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

/** Tags that are not read as they are meant: quotation marks, signs, brackets, and names that browsers do not know. */
export const brokenTags: Check = {
  name: "broken-tag",
  group: "idle",
  inFile: (file) => (file.kind === "html" ? [...leftOpen(file), ...tagsOf(file).flatMap(inTag)] : []),
};

const typographic = /[\u201c\u201d\u201e\u2018\u2019\u201a]/;

/** What is told of a tag: the first that is so. */
function inTag(tag: Tag): readonly Found[] {
  const found = readOtherwise(tag);
  return found.length ? found : orNone(goesOn(tag));
}

const readOtherwise = byText((tag) => orNone(withMarks(tag) ?? withoutSign(tag) ?? notClosed(tag) ?? unknown(tag)));

const orNone = (found: Found | null): Found[] => (found ? [found] : []);

function withMarks(tag: Tag): Found | null {
  const { element, written, start, end } = tag;
  if (![...element.attributes.values()].some((value) => typographic.test(value[0] ?? ""))) return null;
  const marked = written.replace(
    /(=\s*)[\u201c\u201d\u201e\u2018\u2019\u201a]([^\u201c\u201d\u2018\u2019"'<>]*)[\u201c\u201d\u2018\u2019]/g,
    '$1"$2"',
  );
  if (marked === written) return null;
  return mistake(tag, {
    message: `${quoted(written)} has typographic quotation marks: they are read as part of what stands between them.`,
    because: "Attributes stand between straight quotation marks (HTML, 13.1.2.3).",
    ways: () => [{ label: "Write straight quotation marks", changes: [change(tag, start, end, marked)] }],
  });
}

function withoutSign(tag: Tag): Found | null {
  const { element, written, start, end } = tag;
  // Only then a quotation mark is part of a name.
  if (![...element.attributes.keys()].some((name) => /["']/.test(name))) return null;
  const signed = written.replace(/(\s(?:style|class|id|href|src))\s*(?::\s*)?(["'])([^"'=]*)\2/gi, "$1=$2$3$2");
  if (signed === written) return null;
  return mistake(tag, {
    message: `The equals sign of an attribute is missing in ${quoted(written)}.`,
    because: "An attribute is a name, an equals sign and a value (HTML, 13.1.2.3).",
    ways: () => [{ label: "Put it in", changes: [change(tag, start, end, signed)] }],
  });
}

function notClosed(tag: Tag): Found | null {
  const { element, written, start } = tag;
  // Only then the bracket of another tag is part of a name.
  if (![...element.attributes.keys()].some((name) => name.includes("<"))) return null;
  const next = /["'\s]<\/?[a-z]/i.exec(written.slice(1));
  if (!next) return null;
  const close = start + 2 + next.index;
  return mistake(tag, {
    message: `The tag \`<${element.tag}\` is never closed: the tag that follows is read as part of it.`,
    because: "A tag ends with its angle bracket (HTML, 13.1.2.1).",
    ways: () => [{ label: "Close it", changes: [change(tag, close, close, ">")] }],
  });
}

function unknown(tag: Tag): Found | null {
  const { element, start } = tag;
  const { tag: name, namespace, source } = element;
  const meant = namespace === "html" && !isElement(name) ? meantElement(name) : null;
  if (!meant) return null;
  const put = (from: number) => change(tag, from, from + name.length, meant);
  return mistake(tag, {
    level: meant === "link" || meant === "style" ? "error" : "warning",
    message: `\`${name}\` is no element that browsers know: rules for \`${meant}\` do not match it. Meant: \`${meant}\`.`,
    because: "An element that is not known means nothing, and no rule of the browser's own is about it (HTML, 4.13).",
    ways: () => [
      {
        label: `Write \`${meant}\``,
        changes: [put(start + 1), ...(source!.endTag ? [put(source!.endTag.start + 2)] : [])],
      },
    ],
  });
}

/** Formatting that is taken up again in whatever follows, until it is closed (HTML, 13.2.4.3). */
const formatting = /^(?:b|big|code|em|font|i|nobr|s|small|strike|strong|tt|u)$/;

function goesOn(tag: Tag): Found | null {
  const { tag: name, source, parent } = tag.element;
  const end = parent?.source?.endTag?.start;
  if (!formatting.test(name) || source!.endTag || end === undefined) return null;
  return mistake(tag, {
    message: `\`<${name}>\` is never closed: all that follows on the page is set as it is.`,
    because: "Formatting goes on through the paragraphs that follow until its end tag (HTML, 13.2.4.3).",
    ways: () => [{ label: "Close it where what it stands in ends", changes: [change(tag, end, end, `</${name}>`)] }],
  });
}

/** An attribute whose quotation mark is never closed: it takes in the rest of its tag, and words and tags behind it. */
function leftOpen(file: TextFile): Found[] {
  const plain = file.text.replace(/<!--[\s\S]*?-->|<(script|style|textarea)\b[\s\S]*?<\/\1\s*>/gi, (whole) =>
    whole.replace(/[^\r\n]/g, " "),
  );
  const pattern =
    /(<[a-z][^<>"']*\s(?:class|style|id|href|rel|src)\s*=\s*)(["'])((?:(?!\2)[^<>])*)>(?=(?:(?!\2)[\s\S])*?<\/)/gi;
  return [...plain.matchAll(pattern)].flatMap(({ 0: whole, 1: head, 2: quote, 3: value, index }) => {
    const close = index + whole.length - 1;
    return [
      {
        level: "error" as const,
        message: `The quotation mark in ${quoted(`${head}${quote}${value}`)} is never closed: words and tags behind it are read as part of it.`,
        because: "A value ends with the quotation mark it began with (HTML, 13.1.2.3).",
        ...at(file, index),
        ways: (): Way[] => [
          { label: "Close it", changes: [{ path: file.path, start: close, end: close, insert: quote! }] },
        ],
      },
    ];
  });
}
