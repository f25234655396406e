/** Sites in all sorts of colours, for tests. */
import fc from "fast-check";
import { site } from "./site";
import type { Site } from "../source/site";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, "0")}`);
const grey = fc.integer({ min: 0, max: 255 }).map((value) => `rgb(${value} ${value} ${value})`);
const solid = fc.oneof(
  hex,
  grey,
  fc.constantFrom("white", "black", "#fff", "#222", "navy", "gold", "hsl(200 60% 40%)"),
);
const translucent = fc
  .tuple(fc.constantFrom("0 0 0", "255 255 255", "20 60 90"), fc.integer({ min: 5, max: 95 }))
  .map(([channels, percent]) => `rgb(${channels} / ${percent}%)`);
const named = fc.constantFrom("var(--a)", "var(--b)", "var(--c)", "var(--a)");
/** Names by what they are for, which parts of a page set anew. */
const forInk = fc.constant("var(--text)");
const forGround = fc.constant("var(--under)");
const ink = fc.oneof(
  { weight: 5, arbitrary: solid },
  { weight: 3, arbitrary: named },
  { weight: 2, arbitrary: forInk },
  { weight: 1, arbitrary: translucent },
);
const ground = fc.oneof(
  { weight: 5, arbitrary: solid },
  { weight: 3, arbitrary: named },
  { weight: 2, arbitrary: forGround },
  { weight: 2, arbitrary: translucent },
  { weight: 2, arbitrary: fc.tuple(solid, solid).map(([a, b]) => `linear-gradient(${a}, ${b})`) },
  { weight: 1, arbitrary: fc.tuple(named, solid).map(([a, b]) => `linear-gradient(90deg, ${a}, ${b} 40%)`) },
);
const selector = fc.constantFrom(
  "body",
  "html",
  "header",
  "nav a",
  "a",
  "a:hover",
  "a:visited",
  "h1",
  "p",
  ".card",
  ".card p",
  "#call",
  "th",
  "td",
  "em",
);
/** Browsers drop it, with the colours in it. */
const dropped = fc.oneof(
  fc.tuple(solid, solid).map(([one, other]) => `background: ${one} ${other}`),
  solid.map((value) => `color: ${value} solid`),
);
const declaration = fc.oneof(
  { weight: 4, arbitrary: ink.map((value) => `color: ${value}`) },
  { weight: 3, arbitrary: ground.map((value) => `background: ${value}`) },
  { weight: 1, arbitrary: solid.map((value) => `border: 1px solid ${value}`) },
  { weight: 1, arbitrary: fc.constantFrom("opacity: .8", "font-size: 26px", "font-weight: 700", "color: inherit") },
  { weight: 1, arbitrary: dropped },
);
const rule = fc
  .tuple(selector, fc.array(declaration, { minLength: 1, maxLength: 3 }))
  .map(([own, list]) => `${own} { ${list.join("; ")} }`);
const inMedia = rule.map((text) => `@media (min-width: 600px) { ${text} }`);
const names = fc
  .tuple(solid, solid, fc.oneof(solid, fc.constant("var(--a)")), fc.boolean())
  .map(
    ([a, b, c, turned]) =>
      `:root { --a: ${a}; --b: ${b}; --c: ${c}; --text: var(--a); --under: var(--b) }` +
      (turned ? "\n.card { --text: var(--b); --under: var(--a) }" : ""),
  );
const sheet = fc
  .tuple(
    names,
    fc.array(fc.oneof({ weight: 6, arbitrary: rule }, { weight: 1, arbitrary: inMedia }), { maxLength: 14 }),
  )
  .map(([first, rules]) => [first, ...rules].join("\n"));

const attribute = fc.option(
  fc.oneof(
    ink.map((value) => ` style="color: ${value}"`),
    solid.map((value) => ` style='background: ${value}'`),
  ),
  {
    nil: "",
    freq: 5,
  },
);

const page = fc
  .tuple(attribute, attribute, fc.constantFrom("", "<style>.card { color: #345; background: #eef }</style>"))
  .map(
    ([one, two, own]) =>
      `<!doctype html><link rel="stylesheet" href="a.css">${own}<title>Times</title><header><nav><a href="index.html">Times</a> <a href="b.html">Fares</a></nav></header>` +
      `<main><h1${one}>Winter times</h1><p>The boat sails <em>daily</em>, see <a href="b.html">fares</a>.</p><div class="card"${two}><p>Card with <a id="call" href="tel:1">a call</a></p></div>` +
      `<table><tr><th>Quay</th><td>East</td></tr></table></main>`,
  );

/** One or two pages with one sheet. */
export const randomSite: fc.Arbitrary<Site> = fc
  .tuple(sheet, page, fc.option(page, { nil: null }))
  .map(([css, first, second]) =>
    site({ "a.css": css, "index.html": first, ...(second === null ? {} : { "b.html": second }) }),
  );
