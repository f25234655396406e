/** Values as people write them, and what they most likely mean: one kind of slip an entry. */
import { namedColors } from "../../color/names";
import { table } from "../../source/table";
import { keywordsFor } from "../../edits/completion";
import { meantUnits } from "./units";
import { colorNamesWithin, hexDigits, meantArguments, meantColorNames, meantFunction } from "./colors";
import { nearestWords } from "./near";

/** One kind of slip: what it is, and what the value may have been meant to be, likeliest first. */
export interface ValueSlip {
  why: string;
  meant(value: string, property: string): Iterable<string>;
}

const replaced = (pattern: RegExp, by: string | ((...parts: string[]) => string)) => (value: string) => [
  value.replace(pattern, by as string),
];

/** Where a colour may be written without its mark. */
const takesColor = /color|^background$|^border|^outline|^box-shadow$|^text-(?:shadow|decoration)$|^fill$|^stroke$/;

const otherWords: Readonly<Record<string, string>> = table({
  centre: "center",
  centred: "center",
  centered: "center",
  middle: "center",
  justified: "justify",
  italics: "italic",
  italicised: "italic",
  italicized: "italic",
  slanted: "oblique",
  bolded: "bold",
  thick: "bold",
  heavy: "bold",
  thin: "lighter",
  regular: "normal",
  underlined: "underline",
  underscore: "underline",
  strike: "line-through",
  strikethrough: "line-through",
  "strike-through": "line-through",
  strikeout: "line-through",
  crossed: "line-through",
  through: "line-through",
  capitalise: "capitalize",
  capitalised: "capitalize",
  capitalized: "capitalize",
  caps: "uppercase",
  capitals: "uppercase",
  upper: "uppercase",
  lower: "lowercase",
  smallcaps: "small-caps",
  smallcap: "small-caps",
  hide: "hidden",
  invisible: "hidden",
  off: "none",
  no: "none",
  false: "none",
  big: "large",
  tiny: "x-small",
  dashes: "dashed",
  dots: "dotted",
  line: "solid",
  "no-wrap": "nowrap",
  "all-caps": "uppercase",
  allcaps: "uppercase",
  capital: "capitalize",
  "title-case": "capitalize",
  titlecase: "capitalize",
  "sentence-case": "none",
  everything: "all",
});

/** Each word of a value, with the value around it. */
function* wordsOf(value: string): Generator<{ word: string; put: (by: string) => string }> {
  for (const match of value.matchAll(/[a-z\u00b5-\uffff_][\w\u00b5-\uffff-]*/gi)) {
    const [before, after] = [value.slice(0, match.index), value.slice(match.index + match[0].length)];
    if (/[#\w.%-]$/.test(before) || /^\(/.test(after)) continue;
    yield { word: match[0], put: (by) => before + by + after };
  }
}

/** All words that one function gives others for, each in its place, and all at once. */
function* wordwise(value: string, meant: (word: string) => readonly string[]): Generator<string> {
  let all = value;
  for (const { word, put } of wordsOf(value)) {
    const found = meant(word);
    for (const one of found) yield put(one);
    if (found[0]) all = all.replace(word, found[0]);
  }
  yield all;
}

const functionCall = /([\w-]+)\s*\(([^()]*)\)/g;

/** Words for the values of one property. */
const ownWords: Readonly<Record<string, Readonly<Record<string, string>>>> = table({
  "font-weight": table({
    thin: "100",
    extralight: "200",
    light: "300",
    medium: "500",
    semibold: "600",
    demibold: "600",
    extrabold: "800",
    black: "900",
    heavy: "900",
    none: "normal",
  }),
  "vertical-align": table({ center: "middle", centre: "middle" }),
  visibility: table({ none: "hidden", hide: "hidden", invisible: "hidden", show: "visible" }),
  display: table({ hide: "none", invisible: "none", show: "block", inlineblock: "inline-block" }),
  "text-decoration-style": table({ waved: "wavy", wave: "wavy", line: "solid" }),
  "text-align": table({ center: "center", leftalign: "left", rightalign: "right" }),
});

/** Words that people use for others. */
export const calledOtherwise: ValueSlip = {
  why: "the word is called otherwise",
  meant: (value, property) =>
    wordwise(value, (word) => {
      const lower = word.toLowerCase();
      const own = ownWords[property]?.[lower.replace(/-/g, "")];
      const other = otherWords[lower];
      const meant = own || other;
      return meant ? [meant] : [];
    }),
};

export const valueSlips: readonly ValueSlip[] = [
  { why: "a colon or an equals sign too many", meant: replaced(/^\s*[:=]+\s*|\s*[:=]+\s*$/g, "") },
  { why: "typographic quotation marks", meant: replaced(/[\u201c\u201d\u201e\u2018\u2019\u201a\u00ab\u00bb]/g, '"') },
  { why: "quotation marks make a string of it", meant: replaced(/["'\u201c\u201d\u2018\u2019]/g, "") },
  { why: "a dash in place of the minus sign", meant: replaced(/[\u2212\u2013\u2014](?=[\d.])/g, "-") },
  {
    why: "`!important` is written otherwise",
    *meant(value) {
      yield value.replace(/^\s*!\s*im[a-z]*t\s+(.*)$/is, "$1 !important");
      yield value.replace(/\s*!+\s*im[a-z]*t\s*!*\s*$/i, " !important");
      yield value.replace(/\s+im[a-z]*t\s*!?\s*$/i, " !important");
      const last = /^(.*?)\s*!?\s*([a-z]+)\s*!?\s*$/is.exec(value);
      if (last && nearestWords(last[2]!.toLowerCase(), ["important"], 3).length) yield `${last[1]} !important`;
    },
  },
  {
    why: "it lacks its unit",
    *meant(value, property) {
      const bare = /(?<![\w.#%(-]|[\w]\()[-+]?(?:\d+\.?\d*|\.\d+)(?![\w.%])/g;
      const put = (unit: string) => value.replace(bare, (number) => (Number(number) === 0 ? number : number + unit));
      const most = Math.max(0, ...[...value.matchAll(bare)].map(([number]) => Math.abs(Number(number))));
      const isSpacing = /^(?:letter|word)-spacing$/.test(property);
      const isSize = /^(?:font-size|line-height|text-indent)$/.test(property);
      const below = isSize ? 4 : 0;
      if (most > 0 && most < (isSpacing ? 0.5 : below)) yield put("em");
      for (const unit of ["px", "deg", "s", "em"]) yield put(unit);
    },
  },
  { why: "a blank parts the number from its unit", meant: replaced(/(\d)\s+(?=%|[a-z]+\b)/gi, "$1") },
  { why: "numbers have a point, not a comma", meant: replaced(/(\d),(\d)/g, "$1.$2") },
  {
    why: "the unit is written otherwise",
    *meant(value) {
      const number = /(?<![\w#.-])([-+]?(?:\d+[.,]?\d*|[.,]\d+))\s*([a-z\u00b0]+)(?![\w(])/gi;
      for (let at = 0; at < 3; at += 1)
        yield value.replace(number, (whole, digits: string, unit: string) => {
          const meant = meantUnits(unit)[at];
          return meant ? digits.replace(",", ".") + meant : whole;
        });
      yield value.replace(/(?<![\w#.-])([a-z]{1,4})\s*([-+]?(?:\d+\.?\d*|\.\d+))(?![\w.%])/gi, "$2$1");
      yield value.replace(/%\s*(\d+(?:\.\d+)?)/g, "$1%");
      yield value.replace(/(\d)\.(?=[a-z%])/gi, "$1");
    },
  },
  { why: "a blank parts the number", meant: replaced(/(\d)\s*\.\s*(\d)/g, "$1.$2") },
  { why: "a blank is missing between two values", meant: replaced(/(\d(?:px|r?em|pt|v[wh]|%))(?=[\d.])/gi, "$1 ") },
  {
    why: "it takes no unit",
    *meant(value) {
      if (!value.includes("("))
        yield value.replace(/(?<![\w#.-])([-+]?(?:\d+\.?\d*|\.\d+))(?:px|em|rem|pt|%)(?![\d.])/gi, "$1");
    },
  },
  {
    why: "the `#` of a colour is missing",
    meant: replaced(/(?<![\w#.%-])(?:0x)?([\da-f]{8}|[\da-f]{6}|[\da-f]{3,4})(?![\w.%(-])/gi, "#$1"),
  },
  { why: "a colour has one `#`, with its digits behind it", meant: replaced(/#[#\s]+/g, "#") },
  {
    why: "a name of a colour has no `#`",
    meant: replaced(/#([a-z]+)/gi, (whole, name) => (namedColors.has(name.toLowerCase()) ? name : whole)),
  },
  {
    why: "a colour has three, four, six or eight hexadecimal digits",
    meant: replaced(/#([\da-z]{1,12})/gi, (_, digits) => `#${hexDigits(digits)}`),
  },
  {
    why: "a parenthesis too many",
    meant: (value) => [value.replace(/\)\s*\)$/, ")"), value.replace(/^\s*\(|\(|\)/g, "")],
  },
  {
    why: "a comma parts them, not a semicolon or a stroke",
    *meant(value, property) {
      if (value.includes("(") || /^font-family$|^transition/.test(property))
        yield value.replace(/\s*[;|/+&]\s*/g, ", ");
    },
  },
  {
    why: "the function is written otherwise",
    *meant(value) {
      yield value.replace(/\[([^\]]*)\]|\{([^}]*)\}/g, (_, a: string, b: string) => `(${a ?? b})`);
      yield value.replace(/([a-z]+)\s+\(/gi, "$1(");
      yield value.replace(/\b(rgba?|hsla?|hwb|lab|lch|oklab|oklch)\b\s*(?!\()([\d.,%\s/-]+)\)?/gi, "$1($2)");
      yield `${value})`;
      for (const [whole, name] of value.matchAll(functionCall))
        for (const meant of meantFunction(name!.toLowerCase())) yield value.replace(whole, whole.replace(name!, meant));
    },
  },
  {
    why: "its parts are not written as the function takes them",
    *meant(value) {
      for (const [whole, name, inside] of value.matchAll(functionCall)) {
        if (!/^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch)$/i.test(name!)) continue;
        for (const parts of meantArguments(name!.toLowerCase(), inside!))
          yield value.replace(whole, `${name}(${parts})`);
      }
    },
  },
  {
    why: "`var()` takes a custom property, with its two dashes",
    *meant(value) {
      yield value.replace(/var\(\s*(?:\$|@|-(?!-))?(?!--)([\w-]+)/gi, "var(--$1");
      yield value.replace(/(?<![\w(-])(?:\$|@)([a-z_][\w-]*)/gi, "var(--$1)");
      yield value.replace(/(?<![\w(-]|\(\s*)--([\w-]+)(?!\s*[(\w-])/g, "var(--$1)");
    },
  },
  {
    why: "a sum needs blanks round its + and -",
    *meant(value) {
      const spaced = value.replace(
        /([\d%a-z)])\s*([+-])\s*(?=[\d.(]|var|calc|min|max|clamp)/gi,
        (whole, before: string, sign: string) => (/^e$/i.test(before) ? whole : `${before} ${sign} `),
      );
      yield spaced;
      yield value.replaceAll("\u00d7", " * ").replaceAll("\u00f7", " / ");
      if (spaced !== value && !value.includes("calc(")) yield `calc(${spaced})`;
    },
  },
  { why: "a gradient is linear, radial or conic", meant: (value) => [linear(value)] },
  {
    why: "a gradient has a comma between its colours",
    meant: (value) => (/gradient\(/i.test(value) ? [betweenCommas(linear(value))] : []),
  },
  { why: "the side that a gradient runs to has `to` before it", meant: (value) => [toSide(value)] },
  { why: "commas stand between the parts of the function", meant: (value) => [betweenCommas(value)] },
  {
    why: "the words are joined by hyphens",
    *meant(value, property) {
      const lower = value.trim().toLowerCase();
      const joined = lower.replace(/[\s_]+/g, "-");
      if (joined.includes("-") && keywordsFor(property).includes(joined)) yield joined;
      for (const keyword of keywordsFor(property))
        if (keyword.includes("-") && lower.includes(keyword.replaceAll("-", " ")))
          yield lower.replace(keyword.replaceAll("-", " "), keyword);
    },
  },
  {
    why: "it is one word",
    *meant(value, property) {
      const joined = value
        .trim()
        .toLowerCase()
        .replace(/[\s_-]+/g, "");
      if (keywordsFor(property).includes(joined)) yield joined;
    },
  },
  {
    why: "it is called otherwise",
    *meant(value, property) {
      const lower = value.trim().toLowerCase();
      if (/^no[\s-]/.test(lower)) yield "none";
      const own = ownWords[property]?.[lower.replace(/[\s_-]+/g, "")];
      if (own && lower !== own) yield own;
    },
  },
  calledOtherwise,
  {
    why: "the name of the colour is one word",
    *meant(value, property) {
      if (!takesColor.test(property)) return;
      for (const match of value.matchAll(/[a-z]+(?:[\s_-]+[a-z]+){1,2}/gi))
        for (const name of meantColorNames(match[0])) if (namedColors.has(name)) yield value.replace(match[0], name);
    },
  },
  {
    why: "the word is misspelt",
    *meant(value, property) {
      const keywords = keywordsFor(property);
      const known = new Set(keywords);
      yield* wordwise(value, (word) => {
        const lower = word.toLowerCase();
        const parted = lower.replaceAll("_", "-");
        if (known.has(lower)) return [];
        return [
          ...(known.has(parted) ? [parted] : []),
          ...keywords.filter((one) => one.replaceAll("-", "") === parted.replaceAll("-", "")),
          ...parted.split("-").filter((one) => parted.includes("-") && known.has(one)),
          ...nearestWords(lower, keywords, lower.length > 5 ? 2 : 1),
          ...(takesColor.test(property) ? [...meantColorNames(word), ...colorNamesWithin(word)] : []),
        ].slice(0, 4);
      });
    },
  },
  { why: "a comma too many", meant: replaced(/\s*,(?:\s*,)+\s*/g, ", ") },
  { why: "a comma too many", meant: replaced(/^\s*,\s*|\s*,\s*$/g, "") },
  { why: "it cannot be negative", meant: replaced(/(?<![\w.])-(?=[\d.])/g, "") },
  {
    why: "it is out of range",
    *meant(value, property) {
      if (property === "font-weight") {
        const number = Number.parseFloat(value);
        if (number > 1000) yield "900";
        if (number < 1) yield "100";
      }
    },
  },
  {
    why: "an address stands in `url()`",
    meant: replaced(/^(?:url\s+)?["']?([\w./-]+\.(?:png|jpe?g|gif|svg|webp|avif))["']?/i, 'url("$1")'),
  },
  {
    why: "`font` takes the size, then the families",
    *meant(value, property) {
      if (property !== "font") return;
      yield value.replace(/^([^,]*\d[a-z%]*)\s*,/i, "$1");
      yield value.replace(/((?:\b(?:italic|bold|small-caps|[1-9]00)\s+)*)/i, "$11em ");
      const size = /(?<![\w.#])(?:\d+\.?\d*|\.\d+)(?:px|em|rem|pt|%)(?:\s*\/\s*[\d.]+(?:px|em|rem|%)?)?/i.exec(value);
      if (!size) return;
      const rest = value.replace(size[0], " ");
      const shape = rest.match(/\b(?:italic|oblique|bold|bolder|lighter|small-caps|normal|[1-9]00)\b/gi) ?? [];
      const families = rest
        .replace(/\b(?:italic|oblique|bold|bolder|lighter|small-caps|normal|[1-9]00)\b/gi, " ")
        .replace(/\s+/g, " ")
        .trim()
        .replace(/^,\s*|\s*,$/g, "");
      yield [...shape, size[0], families || "serif"].join(" ");
    },
  },
  { why: "it takes no commas", meant: replaced(/\s*,\s*/g, " ") },
  {
    why: "a name that begins with a digit or has signs in it stands in quotation marks",
    *meant(value, property) {
      if (property !== "font-family") return;
      const parts = value.split(",").map((part) => part.trim());
      yield parts
        .map((part) =>
          /^["']/.test(part) || /^-?[a-z_][\w-]*(?:\s+-?[a-z_][\w-]*)*$/i.test(part) ? part : `"${part}"`,
        )
        .join(", ");
    },
  },
  { why: "there is no such word", meant: (value) => fallbackWords(value) },
  { why: "one part too many", meant: (value) => withoutOne(value) },
];

const linear = (value: string) => value.replace(/(?<![\w-])gradient\(/gi, "linear-gradient(");

const betweenCommas = (value: string) =>
  value.replace(
    /\(([^()]*)\)/g,
    (_, inside: string) =>
      `(${inside
        .trim()
        .split(/\s*,\s*|\s+/)
        .join(", ")})`,
  );

/** Browsers' own gradients began at the side that they named. */
function toSide(value: string): string {
  const sides: Readonly<Record<string, string>> = { left: "right", right: "left", top: "bottom", bottom: "top" };
  return linear(value).replace(
    /gradient\(\s*(?:from\s+)?(left|right|top|bottom)\s*,/gi,
    (_, side: string) => `gradient(to ${sides[side.toLowerCase()]!},`,
  );
}

function* fallbackWords(value: string): Generator<string> {
  if (/^(?:none|no|off|false|default|standard|regular|0)$/i.test(value)) {
    yield "none";
    yield "normal";
  }
}

function* withoutOne(value: string): Generator<string> {
  const parts = value.split(/\s+/);
  if (parts.length < 2 || parts.length > 5 || value.includes("(")) return;
  for (let at = parts.length - 1; at >= 0; at -= 1) yield parts.filter((_, index) => index !== at).join(" ");
}
