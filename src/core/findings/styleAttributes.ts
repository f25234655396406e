import { attributeOf, change, changeValue, mistake, tagsOf, type Tag } from "./tags";
import { quoted } from "./texts";
import type { Check, Found } from "./types";

/** Style attributes that are not read as a whole: without quotation marks, or with more than declarations in them. */
export const styleAttributes: Check = {
  name: "style-attribute",
  group: "idle",
  inFile: (file) => tagsOf(file).flatMap(inTag),
};

function inTag(tag: Tag): Found[] {
  const own = attributeOf(tag, "style");
  if (!own || own.value === "") return [];
  const { raw, quote, value } = own;
  if (quote === "") {
    const rest = tag.file.text.slice(raw.start, tag.end).replace(/\s*\/?>$/, "");
    const whole = /^[^\s>]*(?:\s+(?![a-z-]+\s*=)[^\s>=]+)*/i.exec(rest)![0];
    if (whole.length <= raw.end - raw.start) return [];
    return [
      mistake(tag, {
        message: `${quoted(`style=${whole}`)} has no quotation marks: it ends at the first blank.`,
        because: "A value with blanks stands in quotation marks (HTML, 13.1.2.3).",
        offset: raw.start,
        ways: () => [
          {
            label: "Put the quotation marks in",
            changes: [change(tag, raw.start, raw.start + whole.length, `"${whole.replaceAll('"', "'")}"`)],
          },
        ],
      }),
    ];
  }
  const inner = /^\s*(?:[.#\w-]*\s*)[{[(]([\s\S]*?)[}\])]?\s*$/.exec(value)?.[1];
  if (inner === undefined) return [];
  const bare = inner.trim().replaceAll(quote, quote === "'" ? '"' : "'");
  return [
    mistake(tag, {
      message: `${quoted(`style="${value}"`)} holds braces or brackets, so nothing in it counts.`,
      because: "A style attribute holds declarations and nothing else (CSS Style Attributes, 3).",
      offset: raw.start,
      ways: () => [{ label: "Take the braces out", changes: [changeValue(tag, own, bare)] }],
    }),
  ];
}
