import { documentOf, type ElementNode } from "../source/html/document";
import { attributeSource } from "../source/html/attributeSource";
import { escapeQuotes, replaceValue } from "../edits/attributes";
import type { TextFile } from "../source/site";
import { isAttribute } from "./meant/attributes";
import { attributeOf, byText, change, changeValue, mistake, tagsOf, type Tag } from "./tags";
import { quoted } from "./texts";
import { at, type Check, type Found, type Way } from "./types";

/** Classes and ids that no selector asks for as they are written, and ids that several elements have. */
export const names: Check = {
  name: "name",
  group: "idle",
  inFile: (file) =>
    file.kind === "html"
      ? [...tagsOf(file).flatMap((tag) => inTag(tag)), ...sameIds(file, documentOf(file).elements)]
      : [],
};

/** A slip in a class: what gives it away, what is said, and the names as they were meant. */
interface NameSlip {
  is: RegExp;
  says(value: string): string;
  because: string;
  meant(value: string): string;
}

const signs = "The sign belongs to the selector, not to the name (Selectors 4, 6.6 and 6.7).";
const parted = "Classes are names parted by blanks (HTML, 3.2.6).";

const classSlips: readonly NameSlip[] = [
  {
    is: /(?:^|\s)[.#](?=[a-z_])/i,
    says: (value) => `\`class="${value}"\` holds a full stop or a hash: no rule for the name matches it.`,
    because: signs,
    meant: (value) => value.replace(/(^|\s)[.#]+/g, "$1"),
  },
  {
    is: /,/,
    says: (value) => `\`class="${value}"\` has commas: they are read as part of the names.`,
    because: parted,
    meant: (value) => value.replace(/\s*,\s*/g, " ").trim(),
  },
  {
    is: /;|^\s*class\s*=/i,
    says: (value) => `\`class="${value}"\` holds signs that belong to no name.`,
    because: parted,
    meant: (value) =>
      value
        .replace(/^\s*class\s*=\s*/i, "")
        .replace(/\s*;\s*/g, " ")
        .trim(),
  },
];

const idSlips: readonly NameSlip[] = [
  {
    is: /(?:^|\s)[.#](?=[a-z_])/i,
    says: (value) => `\`id="${value}"\` holds a full stop or a hash: a rule \`${value.trim()}\` does not match it.`,
    because: signs,
    meant: (value) => value.replace(/(^|\s)[.#]+/g, "$1"),
  },
  {
    is: /\S\s+\S/,
    says: (value) => `\`id="${value}"\` has a blank, so no \`#\` in a selector can ask for it.`,
    because: "An id is one name without blanks (HTML, 3.2.6).",
    meant: (value) => value.trim().replace(/\s+/g, "-"),
  },
];

function slipIn(tag: Tag, name: "class" | "id", slips: readonly NameSlip[]): Found[] {
  const own = attributeOf(tag, name);
  const slip = own && slips.find(({ is }) => is.test(own.value));
  if (!own || !slip) return [];
  const meant = slip.meant(own.value);
  return [
    mistake(tag, {
      message: slip.says(own.value),
      because: slip.because,
      offset: own.raw.start,
      ways: () => [
        {
          label: `Write \`${meant}\``,
          changes: [changeValue(tag, own, meant)],
        },
      ],
    }),
  ];
}

const inTag = byText((tag) => [...inClass(tag), ...inId(tag)]);

const inId = (tag: Tag) => slipIn(tag, "id", idSlips);

function inClass(tag: Tag): Found[] {
  const own = attributeOf(tag, "class");
  const more = own?.quote === "" ? bareWords(tag.written.slice(own.raw.end - tag.start)) : "";
  if (!own || !more) return slipIn(tag, "class", classSlips);
  const { raw, value } = own;
  const written = tag.file.text.slice(raw.start, raw.end + more.length);
  return [
    mistake(tag, {
      message: `${quoted(`class=${value}${more}`)} has no quotation marks: only \`${value}\` is a class.`,
      because: "A value with blanks stands in quotation marks (HTML, 13.1.2.3).",
      offset: raw.start,
      ways: () => [
        {
          label: "Put the quotation marks in",
          changes: [change(tag, raw.start, raw.end + more.length, `"${escapeQuotes(written, '"')}"`)],
        },
      ],
    }),
  ];
}

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
                    return { path: file.path, ...replaceValue(file.text, own, name) };
                  }),
                },
              ]
            : [],
      },
    ];
  });
}
