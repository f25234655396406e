/** Pages whose looks are told by attributes, right or wrong (HTML, 15.3): what each of them comes to. */
import { chanceOf, type Chance } from "../support/random";

const lengths = [
  "10",
  "10px",
  "50%",
  "0",
  "-3",
  "+7",
  "1.5",
  " 5 ",
  "5abc",
  "abc",
  "",
  "*",
  "2*",
  "100.5%",
  ".5",
  "1e2",
  "0%",
];
const colours = [
  "red",
  "#fff",
  "#1234",
  "fff",
  "#12345678",
  "chucknorris",
  "",
  "transparent",
  " lime ",
  "rgb(1,2,3)",
  "#zz",
];
const aligns = [
  "left",
  "right",
  "center",
  "justify",
  "middle",
  "char",
  "LEFT",
  "top",
  "bottom",
  "absmiddle",
  "texttop",
  "nope",
];
const valigns = ["top", "middle", "bottom", "baseline", "sub", "center"];
const sizes = ["1", "7", "8", "+1", "-2", "+9", "0", "3px", "abc", "", "-", "2.9"];
const faces = ["serif", "Georgia, serif", "'A B'", "", "1x"];
const types = ["1", "a", "A", "i", "I", "disc", "SQUARE", "circle", "none", "x"];
const numbers = ["1", "3", "0", "-1", "2.5", "x", "", "+4"];
const flag = [""];

/** Attributes that elements have, with what may stand in them. */
const attributes: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  body: {
    bgcolor: colours,
    text: colours,
    link: colours,
    vlink: colours,
    marginwidth: lengths,
    topmargin: lengths,
    leftmargin: lengths,
    background: ["a.png", ""],
  },
  table: {
    border: lengths,
    cellpadding: lengths,
    cellspacing: lengths,
    width: lengths,
    height: lengths,
    align: aligns,
    bgcolor: colours,
    bordercolor: colours,
    rules: ["none", "groups", "rows", "cols", "all"],
    frame: ["void", "above", "box", "hsides", "lhs", "border"],
  },
  tr: { align: aligns, valign: valigns, bgcolor: colours, height: lengths },
  td: {
    align: aligns,
    valign: valigns,
    width: lengths,
    height: lengths,
    bgcolor: colours,
    nowrap: flag,
    background: ["a.png"],
  },
  th: { align: aligns, valign: valigns, width: lengths, nowrap: flag },
  tbody: { align: aligns, valign: valigns, bgcolor: colours },
  col: { width: lengths, align: aligns, span: numbers },
  caption: { align: aligns },
  font: { color: colours, size: sizes, face: faces },
  hr: { color: colours, size: lengths, width: lengths, noshade: flag, align: aligns },
  img: { width: lengths, height: lengths, border: lengths, hspace: lengths, vspace: lengths, align: aligns },
  iframe: { width: lengths, height: lengths, frameborder: numbers, align: aligns, marginwidth: lengths },
  object: { width: lengths, height: lengths, border: lengths, hspace: lengths, align: aligns },
  ul: { type: types, compact: flag },
  ol: { type: types, start: numbers, reversed: flag },
  li: { type: types, value: numbers },
  p: { align: aligns, dir: ["rtl", "auto", "LTR", "x"], hidden: ["", "until-found", "x"] },
  div: { align: aligns, lang: ["de", ""], contenteditable: ["", "true", "false"] },
  h2: { align: aligns },
  legend: { align: aligns },
  pre: { width: lengths, wrap: flag },
  br: { clear: ["left", "right", "all", "both", "none", "x"] },
  input: {
    size: numbers,
    type: ["text", "button", "checkbox", "hidden", "image", "x", "color"],
    width: lengths,
    align: aligns,
    border: lengths,
  },
  textarea: { rows: numbers, cols: numbers, wrap: ["off", "soft", "hard", "x"] },
  select: { size: ["1", "3", "0", ""], multiple: flag },
  marquee: { bgcolor: colours, width: lengths, height: lengths, hspace: lengths, vspace: lengths },
  video: { width: lengths, height: lengths },
  canvas: { width: lengths, height: lengths },
  dialog: { open: flag },
  details: { open: flag },
  q: { dir: ["rtl"] },
  a: { href: ["#x"] },
  center: {},
  blockquote: {},
  big: {},
  tt: {},
  nobr: {},
};

const wholes = Object.keys(attributes).filter(
  (tag) => !["body", "tr", "td", "th", "tbody", "col", "caption", "li"].includes(tag),
);
const empty = new Set(["hr", "img", "br", "input", "col"]);
/** What is in these is not laid out as part of the page. */
const closed = new Set(["iframe", "object", "video", "canvas", "select", "textarea", "marquee"]);

function open(chance: Chance, tag: string): string {
  const known = Object.entries(attributes[tag]!);
  const own = known.filter(() => chance.is(0.45)).map(([name, values]) => ` ${name}="${chance.among(values)}"`);
  return `<${tag}${own.join("")}>`;
}

function element(chance: Chance, depth: number, tag = chance.among(wholes)): string {
  if (empty.has(tag)) return open(chance, tag);
  if (closed.has(tag)) return `${open(chance, tag)}</${tag}>`;
  const several = (make: () => string, most: number) => Array.from({ length: 1 + chance.upTo(most) }, make).join("");
  if (tag === "table") {
    const cell = () => {
      const name = chance.is(0.3) ? "th" : "td";
      return `${open(chance, name)}${inside(chance, depth + 1)}</${name}>`;
    };
    const row = () => `${open(chance, "tr")}${several(cell, 2)}</tr>`;
    const head = `${chance.is(0.3) ? `${open(chance, "caption")}sea</caption>` : ""}${chance.is(0.3) ? open(chance, "col") : ""}`;
    return `${open(chance, tag)}${head}${open(chance, "tbody")}${several(row, 2)}</tbody></table>`;
  }
  if (tag === "ul" || tag === "ol")
    return `${open(chance, tag)}${several(() => `${open(chance, "li")}${inside(chance, depth + 1)}</li>`, 3)}</${tag}>`;
  return `${open(chance, tag)}${inside(chance, depth + 1)}</${tag}>`;
}

const inside = (chance: Chance, depth: number): string =>
  depth > 3
    ? "sea"
    : Array.from({ length: chance.upTo(3) }, () => (chance.is(0.4) ? "fog " : element(chance, depth))).join("");

/** Nothing is drawn, so that computed values are not those of the layout. */
export function hintingPage(seed: number): string {
  const chance = chanceOf(seed);
  const body = Array.from({ length: 25 }, () => element(chance, 0)).join("\n");
  const mode = chance.is(0.3) ? "" : "<!doctype html>";
  const text = `${open(chance, "body")}<div style="display: none">\n${body}\n</div></body>`;
  return `${mode}<html><head><title>t</title></head>${text}</html>`;
}
