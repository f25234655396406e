/** Pages and sheets made at random over what the engine computes; a seed makes them again. */
import { chanceOf, type Chance } from "../support/random";

export interface RandomPage {
  rules: string[];
  body: string;
  quirks: boolean;
}

const tags = [
  "p",
  "div",
  "span",
  "b",
  "em",
  "h1",
  "h2",
  "a",
  "ul",
  "li",
  "section",
  "code",
  "small",
  "td",
  "blockquote",
  "label",
];
const classes = ["x", "y", "z"];

const lengths = [
  "0",
  "3px",
  "-2px",
  "1.5em",
  "0.75rem",
  "12pt",
  "2ch",
  "1vw",
  "calc(1em + 2px)",
  "max(1px, 1em)",
  "clamp(2px, 1vw, 9px)",
  "5%",
  "1e1px",
  "min(10%, 3px)",
];
const colours = [
  "red",
  "#123",
  "#12345678",
  "rgb(1 2 3 / 40%)",
  "hsl(200 50% 40%)",
  "hwb(120 10% 20%)",
  "lab(50 20 -30)",
  "oklch(0.6 0.1 200)",
  "currentColor",
  "transparent",
  "color-mix(in oklab, red, blue 30%)",
  "color(display-p3 0.2 0.4 0.6)",
  "light-dark(white, black)",
  "rgb(from red r g 40)",
  "CanvasText",
  "Mark",
  "notacolour",
  "rgb(300, -5, 10)",
];
const wide = ["inherit", "initial", "unset", "revert", "revert-layer"];

/** Values by property, some of them not valid. */
export const values: Readonly<Record<string, readonly string[]>> = {
  color: colours,
  "background-color": colours,
  "text-decoration-color": colours,
  "border-left-color": colours,
  "background-image": [
    "none",
    "linear-gradient(red, blue)",
    "linear-gradient(45deg, red 10%, 20%, lime)",
    "radial-gradient(circle at left, red, blue)",
    "conic-gradient(from 1turn, red, blue 50%)",
    "none, linear-gradient(to right, red, blue)",
    "linear-gradient(red)",
    "linear-gradient(to up, red, blue)",
  ],
  "background-clip": ["text", "padding-box", "content-box, border-box", "nope"],
  "font-size": [...lengths, "large", "smaller", "xx-small", "120%", "larger", "medium", "-3px"],
  "font-weight": ["bold", "bolder", "lighter", "350", "1", "1001", "calc(300 + 50)", "normal"],
  "font-style": ["italic", "oblique", "oblique 20deg", "oblique 100deg", "normal"],
  "font-family": ["serif", "monospace", "Georgia, serif", '"A B", sans-serif', "system-ui", "1bad", "a b c, monospace"],
  "font-stretch": ["condensed", "75%", "expanded", "-5%"],
  "font-variant-caps": ["small-caps", "normal", "unicase", "big-caps"],
  font: [
    "italic 700 20px/1.5 serif",
    "12px monospace",
    "small-caps condensed 1em/2em a, b",
    "menu",
    "20px",
    "normal 1.2em serif",
  ],
  "line-height": ["1.5", "normal", "120%", "20px", "2em", "-1", "calc(1.5 * 2)", "133.3%"],
  "letter-spacing": ["normal", ...lengths],
  "word-spacing": ["normal", ...lengths],
  "text-indent": [...lengths, "2em hanging", "1px each-line hanging"],
  "text-transform": ["uppercase", "capitalize", "none", "shout"],
  "text-align": ["center", "right", "justify", "start", "end", "match-parent", "middle"],
  "text-align-last": ["center", "auto", "justify"],
  "text-decoration": [
    "underline",
    "none",
    "underline overline dotted red",
    "line-through 2px",
    "wavy",
    "underline 10%",
    "blink underline",
  ],
  "text-underline-offset": ["auto", "2px", "10%", "0.1em"],
  "text-decoration-thickness": ["auto", "from-font", "3px", "10%", "-2px"],
  "text-decoration-skip-ink": ["none", "all", "auto"],
  "text-shadow": ["1px 1px red", "none", "0 0 2px", "1px 2px 3px rgb(0 0 0 / 50%), 0 0 red", "1px"],
  "white-space": ["pre", "nowrap", "pre-wrap", "normal", "break-spaces", "pre-line"],
  "text-wrap": ["balance", "nowrap", "wrap pretty", "stable"],
  "overflow-wrap": ["anywhere", "break-word"],
  "word-break": ["break-all", "keep-all"],
  hyphens: ["auto", "none"],
  opacity: ["0.5", "50%", "2", "-1", "calc(1 / 3)"],
  visibility: ["hidden", "collapse", "visible"],
  display: [
    "block",
    "inline",
    "none",
    "flex",
    "inline-block",
    "grid",
    "contents",
    "inline flex",
    "list-item",
    "table-cell",
    "flow-root",
  ],
  margin: ["1px 2px", "auto", "1em 2em 3em", "-5px", "1px 2px 3px 4px 5px", "0"],
  "margin-left": lengths,
  "margin-inline-start": lengths,
  "padding-block": ["1px 2px", "1em", "-1px"],
  padding: ["3px", "1em 5%", "auto"],
  border: ["1px solid", "thick dashed red", "none", "2px", "0.5px solid blue", "solid 1em"],
  "border-width": ["1px 2px", "thin", "1.7px"],
  "border-style": ["solid", "none dotted", "groove"],
  direction: ["rtl", "ltr"],
  "writing-mode": ["vertical-rl", "horizontal-tb", "sideways-lr"],
  "color-scheme": ["dark", "light dark", "normal", "only light"],
  position: ["absolute", "relative", "static"],
  float: ["left", "none", "right"],
  "list-style": ["square inside", "none", '"x" outside'],
  "border-collapse": ["collapse"],
  "font-kerning": ["none"],
  "font-feature-settings": ['"smcp"', '"liga" off, "kern" 2', "normal", '"abc"', '"cv01" 1, "cv01" 3'],
  "font-variant": ["small-caps tabular-nums", "none", "no-common-ligatures ordinal", "normal", "sub sub"],
  "font-variant-numeric": ["tabular-nums", "slashed-zero oldstyle-nums", "lining-nums oldstyle-nums"],
  "font-variant-ligatures": ["none", "contextual", "no-common-ligatures discretionary-ligatures"],
  "font-variant-east-asian": ["ruby", "jis78 full-width"],
  "font-variant-alternates": ["historical-forms", "styleset(a, b)"],
  "font-palette": ["dark", "--own", "other"],
  "-webkit-text-stroke": ["1px red", "thick", "blue", "-1px"],
  "text-emphasis": ["open dot red", "'x'", "none", "filled triangle", "dot dot"],
  "text-emphasis-position": ["under left", "over right", "left"],
  "text-box": ["trim-both cap alphabetic", "normal", "trim-start", "ex"],
  "hyphenate-character": ['"-"', "auto"],
  "hyphenate-limit-chars": ["5 2", "auto 3", "5 2 2", "0"],
  "initial-letter": ["3 2", "2.5", "normal", "drop 3"],
  "unicode-bidi": ["isolate", "plaintext", "bidi-override"],
  "-webkit-line-clamp": ["2", "none", "0"],
  "paint-order": ["stroke", "markers fill", "fill stroke", "stroke stroke"],
  zoom: ["1.5", "80%", "0", "-1"],
  "tab-size": ["4", "2em", "-1", "2.5"],
  "caret-color": colours,
  "accent-color": ["auto", "red", "currentcolor"],
  quotes: ['"a" "b"', "none", '"a"'],
  "vertical-align": ["super", "middle", "2px", "10%", "up", "calc(1em - 10%)"],
  "border-spacing": ["2px", "1em 3px", "-1px"],
  outline: ["1px solid red", "auto", "thick dotted", "none", "2px 3px"],
  "outline-offset": ["2px", "-1em", "3%"],
  background: [
    "red",
    "none",
    "linear-gradient(red, blue) left 10px top / cover no-repeat, lime",
    "url() bottom right repeat-x fixed padding-box",
    "red, blue",
    "center / 10px content-box border-box",
  ],
  "background-position": [
    "left",
    "bottom 10px right 20%",
    "top",
    "10% 2em",
    "center left",
    "1px 2px 3px",
    "right -2px center",
  ],
  "background-size": ["cover", "10px", "auto 5%", "contain, 1em", "-1px"],
  "background-repeat": ["no-repeat", "repeat-x", "space round", "repeat no-repeat, round"],
  "background-origin": ["content-box", "border-box, padding-box", "text"],
  "background-attachment": ["fixed", "local, scroll"],
  "border-radius": ["5px", "1em 2px / 10%", "50%", "1px 2px 3px 4px / 5px 6px", "-1px"],
  "border-top-left-radius": ["3px", "2px 10%"],
  "box-shadow": ["1px 1px red", "inset 0 0 1em 2px", "none", "0 1px 2px rgb(0 0 0 / 20%), inset 1px 1px", "red 1px"],
  "border-image": ["linear-gradient(red, blue) 30", "none", "linear-gradient(red, lime) 1 fill / 2px / 1 round", "30"],
  "border-image-width": ["2", "auto 1px", "10%"],
  overflow: ["hidden", "auto visible", "clip", "clip scroll", "overlay"],
  "text-size-adjust": ["none", "80%"],
  "--a": ["3px", "red", "initial", "var(--b)", "1 2", "var(--a)", "var(--b, var(--a))", "var(--none, var(--b))"],
  "--b": ["5px", "blue", "var(--a, 4px)", "", "var(--a, var(--b))", "var(--none, var(--a, 6px))"],
  all: ["unset", "initial", "revert"],
};
const properties = Object.keys(values);

const substitutions = [
  "var(--a)",
  "var(--b, 7px)",
  "var(--none, red)",
  "calc(var(--a) * 2)",
  "attr(data-v type(<length> | <color>), 2px)",
  "attr(data-v type(*))",
  "attr(data-v px)",
  "attr(data-v)",
  "attr(data-v number, var(--b))",
  "attr(1)",
  "if(style(--a: 3px): 5px; else: red)",
  "if(media(width < 900px): var(--a); style(--b): 2)",
  "if(supports(display: grid) and style(--b: blue): 1em)",
  "if(else)",
  "sibling-index()",
  "calc(sibling-index() * 3px)",
  "calc(sibling-count() * 2)",
];

function declaration(chance: Chance): string {
  const property = chance.among(properties);
  const value = chance.is(0.08)
    ? chance.among(wide)
    : chance.is(0.06)
      ? chance.among(substitutions)
      : chance.among(values[property]!);
  return `${property}: ${value}${chance.is(0.08) ? " !important" : ""}`;
}

function compound(chance: Chance): string {
  const base = chance.among([
    chance.among(tags),
    `.${chance.among(classes)}`,
    "*",
    `${chance.among(tags)}.${chance.among(classes)}`,
    "#i",
  ]);
  return chance.is(0.2)
    ? base +
        chance.among([
          ":first-child",
          ":nth-child(2n)",
          ":not(.x)",
          ":is(.y, b)",
          ":where(.z)",
          ":has(b)",
          ":last-of-type",
          ":empty",
          ":nth-last-child(2 of .x)",
          "[class]",
          '[class~="x"]',
          ":link",
          ":lang(en)",
          ":dir(rtl)",
          ":root",
        ])
    : base;
}

function selector(chance: Chance): string {
  let text = compound(chance);
  while (chance.is(0.3)) text += chance.among([" ", " > ", " + ", " ~ "]) + compound(chance);
  return chance.is(0.15) ? `${text}, ${compound(chance)}` : text;
}

function rule(chance: Chance, depth = 0): string {
  const own = Array.from({ length: 1 + chance.upTo(4) }, () => declaration(chance)).join("; ");
  const nested = chance.is(0.12) && depth < 2 ? `; & ${compound(chance)} { ${declaration(chance)} }` : "";
  const text = `${selector(chance)} { ${own}${nested} }`;
  const around = chance.upTo(14);
  if (around === 0) return `@media (min-width: ${chance.upTo(1500)}px) { ${text} }`;
  if (around === 1) return `@layer ${chance.among(["a", "b", "a.c"])} { ${text} }`;
  if (around === 2) return `@supports (${chance.among(["display: grid", "colour: red", "not (x: y)"])}) { ${text} }`;
  if (around === 3) return `@media (prefers-color-scheme: ${chance.among(["dark", "light"])}) { ${text} }`;
  return text;
}

function element(chance: Chance, depth: number): string {
  const tag = chance.among(tags.filter((one) => one !== "td"));
  const list = [
    chance.is(0.4) ? ` class="${chance.among(["x", "y", "z", "x y", "x z"])}"` : "",
    chance.is(0.08) ? ` style="${declaration(chance).replaceAll('"', "'")}"` : "",
    chance.is(0.04) ? ' dir="rtl"' : "",
    chance.is(0.1) ? ` data-v="${chance.among(["3", "4px", "teal", "-2.5", "var(--a)", "x y", "1.2em"])}"` : "",
    tag === "a" ? ' href="#"' : "",
  ].join("");
  const inside =
    depth < 4
      ? Array.from({ length: chance.upTo(4) }, () => (chance.is(0.4) ? "text " : element(chance, depth + 1))).join("")
      : "deep";
  return `<${tag}${list}>${inside}</${tag}>`;
}

export function randomPage(seed: number): RandomPage {
  const chance = chanceOf(seed);
  return {
    rules: Array.from({ length: 4 + chance.upTo(14) }, () => rule(chance)),
    body: Array.from({ length: 2 + chance.upTo(3) }, () => element(chance, 0)).join("\n"),
    quirks: chance.is(0.15),
  };
}

export function pageText({ rules, body, quirks }: RandomPage): string {
  return `${quirks ? "" : "<!doctype html>"}<html lang="en"><head><title>t</title><style>\n${rules.join("\n")}\n</style></head><body id="i">${body}</body></html>`;
}
