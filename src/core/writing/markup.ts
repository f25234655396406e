/** Tags, attributes and their values in a page: what the site has first. */
import { nameCounts } from "../cascade/selectors/named";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { sheetTexts, styleRules } from "../source/declarations";
import { documentOf } from "../source/html/document";
import { addressFrom } from "../source/path";
import { table } from "../source/table";
import { pagesOf, sheetsOf } from "../source/site";
import type { Here } from "./here";
import { counted, onElements, plain, type Asked, type WritingOption } from "./types";

/** Elements that hold what people read (HTML, 4.3 to 4.11). */
const tags =
  "a abbr address article aside b blockquote body br button caption cite code col dd del details dfn div dl dt em fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 head header hgroup hr html i img input ins kbd label legend li link main mark menu meta nav ol optgroup option p pre q s samp script section select small span strong style sub summary sup table tbody td textarea tfoot th thead time title tr u ul var".split(
    " ",
  );

const everywhere = ["class", "id", "style", "lang", "title", "dir", "hidden", "role", "aria-label", "tabindex"];

const attributesOf = table<readonly string[]>({
  a: ["href", "rel", "target"],
  img: ["src", "alt", "width", "height", "loading"],
  link: ["rel", "href", "media", "title", "type"],
  style: ["media"],
  meta: ["name", "content", "charset"],
  input: ["type", "name", "value", "placeholder"],
  label: ["for"],
  td: ["colspan", "rowspan"],
  th: ["scope", "colspan", "rowspan"],
  ol: ["start", "type", "reversed"],
  time: ["datetime"],
  blockquote: ["cite"],
  button: ["type"],
  form: ["action", "method"],
});

const valuesOf = table<readonly string[]>({
  "link rel": ["stylesheet", "alternate stylesheet", "icon"],
  "link media": ["screen", "print", "(prefers-color-scheme: dark)"],
  "th scope": ["col", "row"],
  "img loading": ["lazy", "eager"],
  "input type": ["text", "email", "search", "number", "date", "checkbox", "radio", "submit"],
});

/** Elements, those of the site first. */
export function tagOptions({ site }: Asked): WritingOption[] {
  const counts = new Map(nameCounts(pagesOf(site).map(documentOf)));
  const known = [...counts.keys()].filter((name) => /^[a-z]/.test(name));
  return [...new Set([...known, ...tags])].map((tag) => plain(tag, onElements(counts.get(tag) ?? 0)));
}

/** Attributes of an element, its own before those that all may have. */
export const attributeOptions = ({ tag }: Here & { kind: "attribute" }): WritingOption[] =>
  [...(attributesOf[tag] ?? []), ...everywhere].map((name) => plain(name));

/** Values of an attribute: classes and sheets of the site, else words that the attribute knows. */
export function attributeValueOptions(asked: Asked, here: Here & { kind: "attribute value" }): WritingOption[] {
  const { tag, attribute, before } = here;
  const has = new Set(before.split(/\s+/));
  if (attribute === "class") return classes(asked).filter(({ text }) => !has.has(text));
  if (tag === "link" && attribute === "href")
    return sheetsOf(asked.site).map(({ path }) => plain(addressFrom(asked.path, path)));
  return (valuesOf[`${tag} ${attribute}`] ?? []).map((value) => plain(value));
}

/** Classes that sheets ask for, those asked for most first, then others of the pages. */
function classes({ site }: Asked): WritingOption[] {
  const rules = [...sheetsOf(site), ...pagesOf(site)].flatMap((file) =>
    sheetTexts(site, file).flatMap(({ items }) => [...styleRules(items)]),
  );
  const asked = rules.flatMap(({ preludeText }) =>
    (tryParseSelectorList(preludeText) ?? []).flatMap(({ compounds }) =>
      compounds.flatMap(({ simples }) => simples.flatMap((one) => (one.kind === "class" ? [one.name] : []))),
    ),
  );
  const counts = new Map(nameCounts(pagesOf(site).map(documentOf)));
  // While a quote is open, the rest of the page may be taken for classes.
  const onPages = [...counts.keys()].flatMap((name) => /^\.([-\w\u0080-\uffff]+)$/.exec(name)?.[1] ?? []);
  const names = [...new Set([...counted(asked).map(([name]) => name), ...onPages])];
  return names.map((name) => plain(name, onElements(counts.get(`.${name}`) ?? 0)));
}
