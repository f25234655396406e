import { isKnownProperty } from "../cascade/declarations";
import { escapeQuotes } from "../edits/attributes";
import { isAttribute } from "./meant/attributes";
import { propertyAlike } from "./meant/properties";
import { nearestWords } from "./meant/near";
import {
  attributeOf,
  attributesIn,
  byText,
  change,
  changeValue,
  mistake,
  tagsOf,
  type RawAttribute,
  type Tag,
} from "./tags";
import { quoted } from "./texts";
import type { Check, Found, Way } from "./types";

/** Attributes that stand twice, are misspelt, or are properties of a style sheet. */
export const attributes: Check = {
  name: "attribute",
  group: "idle",
  inFile: (file) => tagsOf(file).flatMap((tag) => inTag(tag)),
};

/** Attributes that styles hang on. */
const joined = /^(?:class|style|id)$/;

const inTag = byText((tag) => {
  const seen = new Map<string, string>();
  return attributesIn(tag.written).flatMap((attribute): Found[] => {
    const name = attribute.name.toLowerCase();
    const first = seen.get(name);
    if (first === undefined) seen.set(name, attribute.value);
    else if (joined.test(name)) return [twice(tag, attribute, name, first)];
    const { element } = tag;
    if (first !== undefined || element.namespace !== "html" || element.tag.includes("-") || !attribute.hasValue)
      return [];
    const found = misspelt(tag, attribute, name) ?? asProperty(tag, attribute, name);
    return found ? [found] : [];
  });
});

function twice(tag: Tag, { value, start, end }: RawAttribute, name: string, first: string): Found {
  return mistake(tag, {
    message: `\`${name}\` stands twice in ${quoted(tag.written)}: the second is left out.`,
    because: "Of an attribute that is written twice the first counts (HTML, 13.2.5.33).",
    offset: tag.start + start,
    ways: () => {
      const kept = attributeOf(tag, name);
      if (!kept || name === "id") return [];
      const more = escapeQuotes(value, kept.quote);
      const both = name === "class" ? `${first} ${more}` : `${first.replace(/;?\s*$/, "; ")}${more}`;
      return [
        {
          label: "Make one of both",
          changes: [
            change(tag, kept.raw.start, kept.raw.end, kept.quote ? both : `"${both}"`),
            change(tag, tag.start + start, tag.start + end, ""),
          ],
        },
      ];
    },
  });
}

const styling = ["class", "style"];

/** Attributes without which an element does not do what it is for; those of links to sheets are told of as that. */
const asking: Readonly<Record<string, readonly string[]>> = { a: ["href"], img: ["src"], label: ["for"] };

const because = "Browsers pass over attributes that they do not know.";

function misspelt(tag: Tag, { name: written, value, start }: RawAttribute, name: string): Found | null {
  if (isAttribute(name)) return null;
  const isStyles = name === "css" && /^\s*[-a-z]+\s*:/i.test(value);
  const meant = isStyles ? "style" : nearestWords(name, [...styling, ...(asking[tag.element.tag] ?? [])], 2)[0];
  if (!meant || tag.element.attributes.has(meant)) return null;
  const from = tag.start + start;
  return mistake(tag, {
    message: `\`${written}\` is no attribute that browsers know. Meant: \`${meant}\`.`,
    because,
    offset: from,
    ways: () => [{ label: `Write \`${meant}\``, changes: [change(tag, from, from + written.length, meant)] }],
  });
}

/** Attributes that are called as properties are and mean something of their own. */
const presentational = new Set(
  "width height border align size content cursor clip direction hyphens translate rotate scale contain order quotes all fill stroke mask filter transform overflow page speak zoom resize src marks".split(
    " ",
  ),
);
const allowed = /^(?:font|basefont|hr|body|table|td|th|tr|thead|tbody|tfoot|link|meta) (?:color|background)$/;

function asProperty(tag: Tag, { name: written, value, start, end }: RawAttribute, name: string): Found | null {
  const { tag: element } = tag.element;
  const property = isAttribute(name) ? name : (propertyAlike(name) ?? name);
  if (!isKnownProperty(property) || presentational.has(property) || /^(?:style|class|id|lang|title)$/.test(name))
    return null;
  if (element === "font" || allowed.test(`${element} ${name}`)) return null;
  const declaration = `${property}: ${value}`;
  const [from, to] = [tag.start + start, tag.start + end];
  return mistake(tag, {
    message: `\`${written}="${value}"\` is no attribute of \`${element}\`, so it sets nothing: properties stand in a rule or in \`style\`.`,
    because,
    offset: from,
    ways: (): Way[] => {
      const kept = attributeOf(tag, "style");
      const lead = kept?.value.trim().replace(/;$/, "") ? "; " : "";
      const changes = kept
        ? [changeValue(tag, kept, kept.value + lead + declaration), change(tag, from, to, "")]
        : [change(tag, from, to, `style="${escapeQuotes(declaration, '"')}"`)];
      return [{ label: "Write it into `style`", changes }];
    },
  });
}
