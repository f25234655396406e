/** Selectors as people write them, and what they most likely mean. */
import { forcedStates, neverStates, states } from "../../cascade/selectors/states";
import { groupBy } from "../../source/groups";
import { made } from "../../source/memo";
import { table } from "../../source/table";
import { nearestWords } from "./near";

/** A selector that may have been meant, and what is different about it. */
export interface MeantSelector {
  selector: string;
  why: string;
  /** The name that was put in for one that is spelled nearly so, with its sign. */
  name?: string;
  /** Whether it is no selector at all, but what was meant is known all the same. */
  outright?: boolean;
}

const pseudoClasses = [
  ...states.keys(),
  ...forcedStates,
  ...neverStates,
  "first-child",
  "last-child",
  "only-child",
  "first-of-type",
  "last-of-type",
  "only-of-type",
  "nth-child",
  "nth-last-child",
  "nth-of-type",
  "nth-last-of-type",
  "not",
  "is",
  "where",
  "has",
  "lang",
  "dir",
].filter((name) => !name.startsWith("-") && name.length > 3);

const pseudoElements = [
  "before",
  "after",
  "first-line",
  "first-letter",
  "selection",
  "placeholder",
  "marker",
  "backdrop",
  "file-selector-button",
];

const pseudos = [...pseudoElements, ...pseudoClasses];

/** Names of pseudo-classes by what people call them. */
const calledOtherwise: Readonly<Record<string, string>> = table({
  over: "hover",
  mouseover: "hover",
  onhover: "hover",
  rollover: "hover",
  clicked: "active",
  click: "active",
  seen: "visited",
  focused: "focus",
  first: "first-child",
  last: "last-child",
  even: "nth-child(even)",
  odd: "nth-child(odd)",
  unvisited: "link",
});

/** States of links that stand without their colon. */
export const linkStates = ["hover", "visited", "active", "focus", "focus-visible", "link"];

const stateNames = linkStates.join("|");
const stateBehindSigns = new RegExp(`([\\w\\])])[;,.:\\s]+(${stateNames})\\b`, "gi");
const stateWithoutColon = new RegExp(
  `((?:^|[\\s,])(?:a|button|input|select|textarea|summary|label|p|h[1-6]|li|tr))[\\s.#]+(${stateNames})\\b`,
  "gi",
);
const stateInFront = new RegExp(`^(${stateNames})\\s+([a-z][\\w-]*)$|^([a-z]+)[-_](${stateNames})$`, "i");

const blank = /[\s\u00a0]+/g;

/** A slip: the selector without it, and what is different then. */
type Slip = readonly [mended: (text: string) => string, why: string];

/** Slips with what reads as something else, likeliest first. */
const slips: readonly Slip[] = [
  [(text) => text.replace(stateBehindSigns, "$1:$2"), "A state stands behind one colon."],
  [(text) => text.replace(/\s*[;|/&]\s*(?=[\w.#])/g, ", "), "A comma stands between two selectors."],
  [
    (text) =>
      text.replace(/([\w-]+)([.#])(?=\s|$|,)/g, (whole, name: string, sign: string) =>
        plainTags.test(name) ? name : sign + name,
      ),
    "The sign stands before the name.",
  ],
  [
    (text) => text.replace(/^[;:]+\s*/, ""),
    "Nothing but the selector belongs before the brace: a rule ends with its brace, without a semicolon.",
  ],
  [(text) => text.replace(/[\s;:.=]+$/, ""), "A sign too many stands before the brace."],
  [
    (text) => text.replace(/^[\s,]+|[\s,]+$/g, "").replace(/,\s*(?:,\s*)+/g, ", "),
    "A comma stands only between two selectors.",
  ],
  [
    (text) => text.replace(/<\/?\s*([a-z][\w-]*)[^<>]*>/gi, "$1"),
    "A selector names the element without angle brackets.",
  ],
  [(text) => text.replace(/\b(h)[\s_-]+([1-6])\b/gi, "$1$2"), "A blank parts the name."],
  [
    (text) => text.replace(/(:{1,2})\s+(?=[a-z])/gi, "$1").replace(/([\w\])])\s+(:+)/g, "$1$2"),
    "No blank stands round the colon of a pseudo-class.",
  ],
  [(text) => text.replace(/([.#])[\s.#]+(?=[a-z_-])/gi, "$1"), "One sign stands right before the name."],
  [
    (text) => text.replace(/([.#])(\d)/g, (_, sign: string, digit: string) => `${sign}\\3${digit} `),
    "A name that begins with a digit is written with an escape in a selector.",
  ],
  [
    (text) =>
      text
        .replace(/\bclass\s*=\s*["']?([\w-]+)["']?/gi, ".$1")
        .replace(/\bid\s*=\s*["']?([\w-]+)["']?/gi, "#$1")
        .replace(/(\w)\s+(?=[.#])/g, "$1"),
    "A class is asked for with a full stop, an id with a hash.",
  ],
  [(text) => text.replace(/\[([^\]]*)$/, "[$1]").replace(/\(([^)]*)$/, "($1)"), "A bracket is never closed."],
  [(text) => text.replace(/[)\]]+$/, ""), "A bracket closes what nothing opened."],
  [(text) => text.replace(/^[\s>+~]+|[\s>+~]+$/g, ""), "A combinator stands between two parts."],
  [(text) => text.replace(/([>+~])(?:\s*[>+~])+/g, "$1"), "One combinator stands between two parts."],
  [(text) => text.replace(/[\u201c\u201d\u2018\u2019]/g, '"'), "Quotation marks are straight ones."],
];

/** Slips that are looked for after all others, since what is left out may have been meant. */
const lastSlips: readonly Slip[] = [
  [(text) => text.replace(/[^\w\s.#:,>+~*()[\]="'-]/g, ""), "A sign stands in it that no selector has."],
  [(text) => text.replace(/^.*[;}]\s*/s, ""), "What stands before it belongs to no rule."],
];

const without = (text: string, [mended, why]: Slip): MeantSelector => ({ selector: mended(text).trim(), why });

/** What a selector that is none may have been meant to be, one slip after the other. */
export function* meantSelectors(text: string): Generator<MeantSelector> {
  yield { selector: text.replaceAll("\u00a0", " ").trim(), why: "A blank of another kind stands in it." };
  if (/^(?:import|charset|media|font-face|keyframes|layer|supports)\b/i.test(text))
    yield { selector: `@${text}`.trim(), why: "At-rules begin with an `@`.", outright: true };
  const tail = /^(.+[\r\n]+)([^\r\n]+)$/s.exec(text);
  if (tail && /[\p{L}]{2,}/u.test(tail[1]!) && !/[,>+~]\s*$/.test(tail[1]!)) {
    const selector = `/* ${tail[1]!.replace(/^[\s#;*'"-]+|[\s*]+$/g, "")} */\n${tail[2]!}`.trim();
    yield { selector, why: "Words stand above it that are no comment." };
  }
  for (const slip of slips) yield without(text, slip);
  yield* withOtherPseudo(text);
  for (const slip of lastSlips) yield without(text, slip);
}

/** Pseudo-classes and pseudo-elements with another number of colons, called otherwise, or misspelt. */
function* withOtherPseudo(text: string): Generator<MeantSelector> {
  for (const { 0: whole, 1: colons, 2: name, index } of text.matchAll(/(:{1,2})([a-z][\w-]*)/gi)) {
    const put = (by: string, why: string): MeantSelector => ({
      selector: (text.slice(0, index) + by + text.slice(index + whole.length)).trim(),
      why,
    });
    const lower = name!.toLowerCase();
    const other = calledOtherwise[lower];
    if (colons === "::" && pseudoClasses.includes(lower)) yield put(`:${lower}`, "A pseudo-class has one colon.");
    if (colons === ":" && pseudoElements.includes(lower)) yield put(`::${lower}`, "A pseudo-element has two colons.");
    if (other) yield put(`:${other}`, `\`${whole}\` is called otherwise.`);
    const most = lower.length > 6 ? 2 : 1;
    const signed = (near: string) => (pseudoElements.includes(near) ? "::" : ":") + near;
    const near = [...nearestWords(lower, pseudoElements, most), ...nearestWords(lower, pseudoClasses, most)];
    for (const one of [...near, ...nearestWords(lower, pseudos, 3)])
      yield put(signed(one), `\`${whole}\` is misspelt.`);
  }
}

/** Names of elements, classes and ids that pages have. */
export interface NamesOnPages {
  tags: ReadonlySet<string>;
  classes: ReadonlySet<string>;
  ids: ReadonlySet<string>;
}

const digits = (name: string) => name.replace(/\D/g, "");
const digitsOf = grouping(digits);

/** Names that differ in a letter or two, not in what counts or measures. */
function spelledNear(name: string, from: ReadonlySet<string>): string[] {
  const among = name.length < 4 ? undefined : digitsOf(from).get(digits(name));
  return among ? nearestWords(name, among, name.length > 6 ? 2 : 1) : [];
}

const plain = (one: string) => one.toLowerCase().replace(/[-_]/g, "");
const plainOf = grouping(plain);

/** Names that differ in letter case and joints alone. */
const alike = (name: string, from: ReadonlySet<string>): readonly string[] => plainOf(from).get(plain(name)) ?? [];

/** Names by what is the same for several of them, found out once for a set. */
function grouping(keyOf: (name: string) => string): (from: ReadonlySet<string>) => ReadonlyMap<string, string[]> {
  const groups = new WeakMap<ReadonlySet<string>, Map<string, string[]>>();
  return (from) => made(groups, from, () => groupBy(from, keyOf));
}

/** Elements whose names nobody gives to a class for another end. */
const plainTags = /^(?:h[1-6]|p|body|html|a|ul|ol|li|img|em|strong|td|th|tr|blockquote)$/i;

/** Tags that a name stands for: misspelt, or told in words. */
const inWords: Readonly<Record<string, string>> = table({
  paragraph: "p",
  para: "p",
  heading: "h1",
  heading1: "h1",
  heading2: "h2",
  heading3: "h3",
  link: "a",
  links: "a",
  anchor: "a",
  image: "img",
  list: "ul",
  bold: "b",
  italic: "i",
});

/** Headings and paragraphs cannot stand in one another (HTML, 4.3.6 and 4.4.1): a list was meant. */
const impossible = /^\s*(?:h[1-6]|p)(?:\s+(?:h[1-6]|p|ul|ol|li|table|div|blockquote))+\s*$/i;

const step = (selector: string, why: string, name?: string): MeantSelector => ({ selector, why, name });

/** A name as it stands in a selector. */
interface Named {
  /** What stands before it: a full stop, a hash, or what parts types from what they follow. */
  sign: string;
  name: string;
  /** The selector with something else in the place of sign and name. */
  put(by: string): string;
}

/** What has parts with lists in them may match though a name in it is nowhere. */
const mayHoldLists = /[(\\[]/;

/** The selector with another name for one that pages do not have; nothing where they lack several: none helps then. */
function* withOtherName(text: string, names: NamesOnPages): Generator<MeantSelector> {
  const lacking: Named[] = [];
  for (const { 0: whole, 1: sign, 2: name, index } of text.matchAll(/(^|[\s>+~,.#])([a-z_][\w-]*)/gi)) {
    const put = (by: string) => text.slice(0, index) + by + text.slice(index + whole.length);
    if (!isOnPages(sign!, name!, names)) lacking.push({ sign: sign!, name: name!, put });
  }
  if (lacking.length > 1 && !mayHoldLists.test(text)) return;
  for (const one of lacking) yield* one.sign === "." || one.sign === "#" ? forNamed(one, names) : forType(one, names);
}

function isOnPages(sign: string, name: string, { tags, classes, ids }: NamesOnPages): boolean {
  if (sign === ".") return classes.has(name);
  return sign === "#" ? ids.has(name) : tags.has(name.toLowerCase());
}

/** What a type that no page has may be: a class or an id without its sign, or another type. */
function* forType({ sign: lead, name, put }: Named, { tags, classes, ids }: NamesOnPages): Generator<MeantSelector> {
  const signs = [
    [".", classes, "A class is asked for with a full stop:"],
    ["#", ids, "An id is asked for with a hash:"],
  ] as const;
  const word = name.toLowerCase();
  for (const [mark, own, why] of signs) if (own.has(name)) yield step(put(`${lead}${mark}${name}`), why);
  if (inWords[word]) yield step(put(lead + inWords[word]), "The element is called otherwise:");
  for (const near of spelledNear(word, tags)) yield step(put(lead + near), "The name is spelled otherwise:");
  for (const [mark, own] of signs)
    for (const near of spelledNear(name, own))
      yield step(put(lead + mark + near), "The name is spelled otherwise:", mark + near);
}

/** What a class or an id that no page has may be: the other of the two, an element, or one spelled nearly so. */
function* forNamed({ sign, name, put }: Named, { tags, classes, ids }: NamesOnPages): Generator<MeantSelector> {
  const [own, other] = sign === "." ? [classes, ids] : [ids, classes];
  const mark = sign === "." ? "#" : ".";
  if (other.has(name))
    yield step(put(mark + name), sign === "." ? "It is an id, not a class:" : "It is a class, not an id:");
  if (tags.has(name.toLowerCase()) && plainTags.test(name))
    yield step(put(name), "It is an element, which has no sign:");
  for (const same of alike(name, own)) yield step(put(sign + same), "The name is spelled otherwise:", sign + same);
  for (const near of spelledNear(name, own))
    yield step(put(sign + near), "The name is spelled otherwise:", sign + near);
  for (const near of spelledNear(name, other))
    yield step(put(mark + near), "The name is spelled otherwise:", mark + near);
}

/** Words that read as names and are put right otherwise than by another name. */
const noName = new RegExp(`(?:^|[.#_-])(?:${stateNames}|and|or|und|class|id|root)$`, "i");
/** What is meant as a list: one part of it is enough. */
const isList = (text: string): boolean => impossible.test(text) || /\s&\s/.test(text);

/**
 * What a selector that matches nothing on any page may have been meant to be, likeliest first.
 * @param lacking names that it asks for and no page has, as `namesIn` has them: where it has no other fault only another
 *   name helps there, and one is put in at a time
 */
export function* meantInstead(text: string, names: NamesOnPages, lacking: readonly string[]): Generator<MeantSelector> {
  if (lacking.length === 0 || lacking.some((name) => noName.test(name)) || isList(text))
    yield* putOtherwise(text, names);
  else if (lacking.length === 1) yield* withOtherName(text, names);
}

function* putOtherwise(text: string, names: NamesOnPages): Generator<MeantSelector> {
  const lowered = (from: ReadonlySet<string>, name: string) =>
    alike(name, from).find((one) => one !== name && one.toLowerCase() === name.toLowerCase());
  let cased = text;
  for (const { 0: whole, 1: sign, 2: name } of text.matchAll(/([.#])(-?[_a-z][\w-]*)/gi)) {
    const other = lowered(sign === "." ? names.classes : names.ids, name!);
    const own = (sign === "." ? names.classes : names.ids).has(name!);
    if (other && !own) cased = cased.replace(whole, sign + other);
  }
  yield step(cased, "The letter case of classes and ids counts:");
  yield step(text.replace(/([\w-])\s+([.#])/g, "$1$2"), "With a blank it asks for something inside; without it,");
  yield step(text.replace(/([\w-])([.#])/g, "$1 $2"), "Without a blank it asks for one element that is both; with it,");
  yield step(text.replace(stateWithoutColon, "$1:$2"), "A state stands behind a colon:");
  yield step(
    text.replace(/([\w\])])\s+(:+)/g, "$1$2"),
    "With a blank before the colon it asks for something inside; without it,",
  );
  yield* withOtherName(text, names);
  yield step(text.replace(/\s+(?:and|or|und|&)\s+/gi, ", "), "A comma stands between two selectors:");
  yield step(text.replace(/(^|[\s,])(?:class|id)\s*(?=[.#])/gi, "$1"), "The sign says whether it is a class or an id:");
  yield step(
    text.replace(/(^|[\s,])(?:class|id)\s+([a-z][\w-]*)/gi, "$1.$2"),
    "A class is asked for with a full stop:",
  );
  yield step(
    text.replace(/^([.#][\w-]+)\s+([a-z][\w-]*)$/i, "$2$1"),
    "With a blank it asks for something inside; for one element that is both, the name comes first:",
  );
  yield step(
    text.replace(stateInFront, (_, state, name, other, last) => `${name ?? other}:${state ?? last}`),
    "A state stands behind a colon:",
  );
  yield step(text.replace(/:(first|last)(?![-\w(])/g, ":$1-child"), "The first of its kind is asked for otherwise:");
  yield step(text.replace(/^root$/i, ":root"), "The root is asked for with a colon:");
  if (impossible.test(text))
    yield step(
      text.trim().replace(blank, ", "),
      "A blank asks for the second inside the first; with a comma it is a list:",
    );
  if (/[>+]/.test(text))
    yield step(
      text.replace(/\s*[>+]\s*/g, " "),
      "It asks for what stands right there; with a blank alone it may stand deeper:",
    );
}
