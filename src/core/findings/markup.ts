import { documentOf, type ElementNode } from "../source/html/document";
import { attributeSource } from "../source/html/attributeSource";
import { isKnownProperty } from "../cascade/declarations";
import type { TextFile } from "../source/site";
import { isAttribute } from "./meant/attributes";
import { isElement, meantElement } from "./meant/elements";
import { propertyAlike } from "./meant/properties";
import { nearestWords } from "./meant/near";
import { quoted } from "./texts";
import { at, type Check, type Found, type Level, type Way } from "./types";

/** Attributes of a page that styles hang on, and that are not written as they are read. */
export const markup: Check = {
  name: "markup",
  group: "idle",
  inFile: (file) => {
    if (file.kind !== "html") return [];
    const { elements } = documentOf(file);
    return [
      ...leftOpen(file),
      ...elements.flatMap((element) => (element.source ? inTag(file, element) : [])),
      ...sameIds(file, elements),
    ];
  },
};

const names = ["class", "style", "id", "href", "lang", "title", "rel", "alt", "src"];

function inTag(file: TextFile, element: ElementNode): Found[] {
  const all: Found[] = [];
  const { attributes, source, tag } = element;
  const { start, end } = source!.startTag;
  const written = file.text.slice(start, end);
  const add = (level: Level, message: string, because: string, ways: () => Way[], offset = start) =>
    all.push({ level, message, because, ...at(file, offset), ways });
  const change = (from: number, to: number, insert: string) => ({ path: file.path, start: from, end: to, insert });
  const valueOf = (name: string) => attributeSource(file.text, element, name);

  const marked = written.replace(
    /(=\s*)[\u201c\u201d\u201e\u2018\u2019]([^\u201c\u201d\u2018\u2019"'<>]*)[\u201c\u201d\u2018\u2019]/g,
    '$1"$2"',
  );
  if (marked !== written) {
    add(
      "error",
      `${quoted(written)} has typographic quotation marks: they are read as part of what stands between them.`,
      "Attributes stand between straight quotation marks (HTML, 13.1.2.3).",
      () => [{ label: "Write straight quotation marks", changes: [change(start, end, marked)] }],
    );
    return all;
  }
  const signed = written.replace(/(\s(?:style|class|id|href|src))\s*(?::\s*)?(["'])([^"'=]*)\2/gi, "$1=$2$3$2");
  if (signed !== written) {
    add(
      "error",
      `The equals sign of an attribute is missing in ${quoted(written)}.`,
      "An attribute is a name, an equals sign and a value (HTML, 13.1.2.3).",
      () => [{ label: "Put it in", changes: [change(start, end, signed)] }],
    );
    return all;
  }
  const swallowed = /["'\s]<\/?[a-z]/i.exec(written.slice(1));
  if (swallowed) {
    const at_ = start + 2 + swallowed.index;
    add(
      "error",
      `The tag \`<${tag}\` is never closed: the tag that follows is read as part of it.`,
      "A tag ends with its angle bracket (HTML, 13.1.2.1).",
      () => [{ label: "Close it", changes: [change(at_, at_, ">")] }],
    );
    return all;
  }
  const meantTag = element.namespace === "html" && !isElement(tag) ? meantElement(tag) : null;
  if (meantTag) {
    const { endTag } = source!;
    add(
      meantTag === "link" || meantTag === "style" ? "error" : "warning",
      `\`${tag}\` is no element that browsers know: rules for \`${meantTag}\` do not match it. Meant: \`${meantTag}\`.`,
      "An element that is not known means nothing, and no rule of the browser's own is about it (HTML, 4.13).",
      () => [
        {
          label: `Write \`${meantTag}\``,
          changes: [
            change(start + 1, start + 1 + tag.length, meantTag),
            ...(endTag ? [change(endTag.start + 2, endTag.start + 2 + tag.length, meantTag)] : []),
          ],
        },
      ],
    );
  }

  for (const name of ["class", "id"] as const) {
    const value = attributes.get(name);
    const own = value === undefined ? null : valueOf(name);
    if (!own || value === undefined) continue;
    const put = (text: string, label = `Write \`${text}\``): Way => ({
      label,
      changes: [change(own.raw.start, own.raw.end, own.quote ? text : `"${text}"`)],
    });
    const offset = own.raw.start;
    const sign = name === "class" ? "." : "#";
    const more = own.quote === "" && name === "class" ? bareWords(written.slice(own.raw.end - start)) : "";
    if (more) {
      add(
        "error",
        `${quoted(`class=${value}${more}`)} has no quotation marks: only \`${value}\` is a class.`,
        "A value with blanks stands in quotation marks (HTML, 13.1.2.3).",
        () => [
          {
            label: "Put the quotation marks in",
            changes: [change(own.raw.start, own.raw.end + more.length, `"${value}${more}"`)],
          },
        ],
        offset,
      );
      continue;
    }
    if (/(?:^|\s)[.#](?=[a-z_])/i.test(value)) {
      add(
        "error",
        `\`${name}="${value}"\` holds a ${sign === "." ? "full stop" : "hash"}: a rule \`${value.trim()}\` does not match it.`,
        "The sign belongs to the selector, not to the name (Selectors 4, 6.6 and 6.7).",
        () => [put(value.replace(/(^|\s)[.#]+/g, "$1"))],
        offset,
      );
    } else if (name === "class" && /,/.test(value)) {
      add(
        "error",
        `\`class="${value}"\` has commas: they are read as part of the names.`,
        "Classes are parted by blanks (HTML, 3.2.6).",
        () => [put(value.replace(/\s*,\s*/g, " ").trim())],
        offset,
      );
    } else if (name === "class" && /;|^\s*class\s*=/i.test(value)) {
      add(
        "error",
        `\`class="${value}"\` holds signs that belong to no name.`,
        "Classes are names parted by blanks (HTML, 3.2.6).",
        () => [
          put(
            value
              .replace(/^\s*class\s*=\s*/i, "")
              .replace(/\s*;\s*/g, " ")
              .trim(),
          ),
        ],
        offset,
      );
    } else if (name === "id" && /\s/.test(value.trim())) {
      add(
        "error",
        `\`id="${value}"\` has a blank, so no \`#\` in a selector can ask for it.`,
        "An id is one name without blanks (HTML, 3.2.6).",
        () => [put(value.trim().replace(/\s+/g, "-"))],
        offset,
      );
    }
  }

  const style = attributes.get("style");
  const own = style === undefined ? null : valueOf("style");
  if (own && style !== undefined) {
    const because = "A style attribute holds declarations and nothing else (CSS Style Attributes, 3).";
    const inner = /^\s*(?:[.#\w-]*\s*)[{[(]([\s\S]*?)[}\])]?\s*$/.exec(style)?.[1];
    if (own.quote === "" && own.raw.end > own.raw.start) {
      const rest = file.text.slice(own.raw.start, end).replace(/\s*\/?>$/, "");
      const more = /^[^\s>]*(?:\s+(?![a-z-]+\s*=)[^\s>=]+)*/i.exec(rest)![0];
      if (more.length > own.raw.end - own.raw.start)
        add(
          "error",
          `${quoted(`style=${more}`)} has no quotation marks: it ends at the first blank.`,
          "A value with blanks stands in quotation marks (HTML, 13.1.2.3).",
          () => [
            {
              label: "Put the quotation marks in",
              changes: [change(own.raw.start, own.raw.start + more.length, `"${more.replaceAll('"', "'")}"`)],
            },
          ],
          own.raw.start,
        );
    } else if (inner !== undefined) {
      add(
        "error",
        `${quoted(`style="${style}"`)} holds braces or brackets, so nothing in it counts.`,
        because,
        () => [
          {
            label: "Take the braces out",
            changes: [
              change(
                own.raw.start,
                own.raw.end,
                inner.trim().replaceAll(own.quote || '"', own.quote === "'" ? '"' : "'"),
              ),
            ],
          },
        ],
        own.raw.start,
      );
    }
  }

  const seen = new Map<string, string>();
  for (const match of attributesIn(written)) {
    const lower = match.name.toLowerCase();
    const first = seen.get(lower);
    if (first !== undefined && (lower === "class" || lower === "style" || lower === "id")) {
      add(
        "error",
        `\`${lower}\` stands twice in ${quoted(written)}: the second is left out.`,
        "Of an attribute that is written twice the first counts (HTML, 13.2.5.33).",
        () => {
          const kept = valueOf(lower);
          if (!kept || lower === "id") return [];
          const joined =
            lower === "class" ? `${first} ${match.value}` : `${first.replace(/;?\s*$/, "; ")}${match.value}`;
          return [
            {
              label: "Make one of both",
              changes: [
                change(kept.raw.start, kept.raw.end, kept.quote ? joined : `"${joined}"`),
                change(start + match.start, start + match.end, ""),
              ],
            },
          ];
        },
        start + match.start,
      );
    }
    if (first === undefined) seen.set(lower, match.value);
    if (element.namespace !== "html" || names.includes(lower) || tag.includes("-")) continue;
    const isStyles = /^\s*[-a-z]+\s*:/i.test(match.value);
    const near =
      match.hasValue && !isAttribute(lower)
        ? isStyles && lower === "css"
          ? "style"
          : nearestWords(lower, ["class", "style"], 2)[0]
        : undefined;
    const property = isAttribute(lower) ? lower : (propertyAlike(lower) ?? lower);
    const colored =
      isKnownProperty(property) && !presentational.has(property) && match.hasValue && !allowed.test(`${tag} ${lower}`);
    if (near && !attributes.has(near))
      add(
        "error",
        `\`${match.name}\` is no attribute that browsers know. Meant: \`${near}\`.`,
        "Browsers pass over attributes that they do not know.",
        () => [
          {
            label: `Write \`${near}\``,
            changes: [change(start + match.start, start + match.start + match.name.length, near)],
          },
        ],
        start + match.start,
      );
    else if (colored && !(tag === "font" || element.namespace !== "html")) {
      const declaration = `${property}: ${match.value}`;
      add(
        "error",
        `\`${match.name}="${match.value}"\` is no attribute of \`${tag}\`, so it sets nothing: properties stand in a rule or in \`style\`.`,
        "Browsers pass over attributes that they do not know.",
        () => {
          const kept = attributes.has("style") ? valueOf("style") : null;
          const changes = kept
            ? [
                change(kept.raw.end, kept.raw.end, `${kept.value.trim().replace(/;$/, "") ? "; " : ""}${declaration}`),
                change(start + match.start, start + match.end, ""),
              ]
            : [change(start + match.start, start + match.end, `style="${declaration}"`)];
          return [{ label: "Write it into `style`", changes }];
        },
        start + match.start,
      );
    }
  }
  return all;
}

/** Attributes that are called as properties are and mean something of their own. */
const presentational = new Set(
  "width height border align size content cursor clip direction hyphens translate rotate scale contain order quotes all fill stroke mask filter transform overflow page speak zoom resize src marks".split(
    " ",
  ),
);
const allowed = /^(?:font|basefont|hr|body|table|td|th|tr|thead|tbody|tfoot|link|meta) (?:color|background)$/;
/** Words behind a value that are no attributes of their own. */
function bareWords(rest: string): string {
  const match = /^(?:\s+[a-z][\w-]*(?![\w-]*\s*=))+/i.exec(rest)?.[0] ?? "";
  return match
    .trim()
    .split(/\s+/)
    .some((word) => isAttribute(word.toLowerCase()))
    ? ""
    : match;
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

interface RawAttribute {
  name: string;
  value: string;
  hasValue: boolean;
  /** Offsets into the tag. */
  start: number;
  end: number;
}

/** The attributes of a start tag as they are written, those that are left out included (HTML, 13.2.5.32 to 13.2.5.40). */
function attributesIn(tag: string): RawAttribute[] {
  const list: RawAttribute[] = [];
  const from = /^<[^\s/>]+/.exec(tag)?.[0].length ?? 0;
  const pattern = /([^\s"'<>/=]+)(?:\s*=\s*("[^"]*"|'[^']*'|[^\s>]+))?/g;
  pattern.lastIndex = from;
  for (let match = pattern.exec(tag); match; match = pattern.exec(tag)) {
    const [whole, name, value = ""] = match;
    list.push({
      name: name!,
      value: value.replace(/^(["'])(.*)\1$/s, "$2"),
      hasValue: match[2] !== undefined,
      start: match.index,
      end: match.index + whole.length,
    });
  }
  return list;
}

/** An id that several elements have. */
function sameIds(file: TextFile, elements: readonly ElementNode[]): Found[] {
  const byId = new Map<string, ElementNode[]>();
  for (const element of elements) {
    if (!element.id || !element.source) continue;
    const same = byId.get(element.id);
    if (same) same.push(element);
    else byId.set(element.id, [element]);
  }
  return [...byId].flatMap(([id, same]) => {
    if (same.length < 2) return [];
    const second = same[1]!;
    return [
      {
        level: "warning" as const,
        message: `The id \`${id}\` stands on ${same.length} elements: a step to it, and a label for it, finds the first only.`,
        because: "An id names one element of a page; what several share is a class (HTML, 3.2.6).",
        ...at(file, second.source!.attributes.get("id")?.start ?? second.source!.startTag.start),
        causes: same.map((one) => ({ ...at(file, one.source!.startTag.start), text: `<${one.tag} id="${id}">` })),
        ways: (): Way[] =>
          same.slice(1).length
            ? [
                {
                  label: "Give the others names of their own",
                  changes: same.slice(1).map((one, index) => {
                    const own = attributeSource(file.text, one, "id")!;
                    const name = `${id}-${index + 2}`;
                    return { path: file.path, ...own.raw, insert: own.quote ? name : `"${name}"` };
                  }),
                },
              ]
            : [],
      },
    ];
  });
}
