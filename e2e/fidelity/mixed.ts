/** Properties of random parts, right or wrong, an element each: which of them are one, and what they come to. */
import { lexer, type CssNode } from "css-tree";
import { reportedLonghands } from "../../src/core";
import { chanceOf } from "../support/random";

const lines = "none solid dotted dashed double hidden";
const widths = "1px 2px thin thick 0 -1px 10%";
const colors = "red #123456 currentcolor transparent rgb(1,2,3)";
const sides = "1px 2em 10% 0 -3px auto 7";

/** What each is mixed of; parts that do not belong come from all of them. */
const parts: Readonly<Record<string, string>> = {
  font: "normal italic oblique small-caps bold 500 condensed 10deg 16px 2em large / 1.5 2px serif 'A' , inherit",
  "text-decoration": `underline overline line-through none solid dotted wavy from-font auto 2px ${colors}`,
  "background-position": "left right top bottom center 10px 20% 0 ,",
  background: `${colors} url(a.png) none linear-gradient(red,blue) left center 10px 20% / cover auto no-repeat repeat-x space fixed local border-box content-box text ,`,
  "border-radius": "1px 2em 10% 0 / -1px",
  border: `${lines} ${widths} ${colors}`,
  "border-top": `${lines} ${widths} ${colors}`,
  "border-inline-start": `${lines} ${widths} ${colors}`,
  "border-width": widths,
  "border-style": lines,
  "border-color": colors,
  "border-image": "url(a.png) none 30 10% fill 10px auto 2 / / stretch round space",
  "white-space": "normal nowrap pre pre-wrap preserve collapse preserve-breaks break-spaces wrap",
  "text-wrap": "wrap nowrap auto balance pretty stable",
  "font-variant":
    "normal none small-caps all-small-caps lining-nums oldstyle-nums tabular-nums ordinal slashed-zero common-ligatures no-common-ligatures historical-forms sub super jis78 full-width ruby text emoji",
  "list-style": "inside outside none square circle lower-roman url(a.png) '-'",
  container: "none a b / size inline-size normal",
  margin: sides,
  padding: sides,
  "margin-inline": sides,
  "padding-block": sides,
  outline: `${lines} auto ${widths} ${colors}`,
  overflow: "visible hidden scroll auto clip",
  "text-emphasis": `none filled open dot circle triangle 'x' ${colors}`,
  "-webkit-text-stroke": `${widths} ${colors}`,
  "text-box": "normal none trim-both trim-start trim-end text cap ex alphabetic auto",
};

const shorthands = Object.keys(parts);
const wordsOf = (name: string) => parts[name]!.split(" ");

/** @param each how many of each shorthand */
export function mixedPage(seed: number, each = 24): string {
  const chance = chanceOf(seed);
  const part = (name: string) => chance.among(wordsOf(chance.is(0.04) ? chance.among(shorthands) : name));
  const several = (name: string, most: number) =>
    Array.from({ length: 1 + chance.upTo(most) }, () => part(name)).join(" ");
  const declaration = (name: string) => {
    const value = several(name, name === "font" ? 7 : 5);
    if (!chance.is(0.2)) return `${name}: ${value}`;
    // Some of it is known only where it is used (CSS Variables 1, 3).
    const asked = chance.among(["var(--a)", "var(--b, none)", "var(--b)", `var(--b, ${part(name)})`]);
    const parts = value.split(" ");
    return `--a: ${several(name, 2)}; ${name}: ${parts.with(chance.upTo(parts.length), asked).join(" ")}`;
  };
  return pageOf(shorthands.flatMap((name) => Array.from({ length: each }, () => declaration(name))));
}

/** Nothing has a box, so that computed values are not those of the layout. */
const pageOf = (declarations: readonly string[]): string => {
  const elements = declarations.map((declaration) => `<i style="${declaration}"></i>`);
  return `<!doctype html><title>Tern</title><div style="display: none; font-size: 20px">\n${elements.join("\n")}\n</div>`;
};

/** What may stand anywhere, with a unit or without, as it is or reckoned. */
const amounts =
  "0 1 -1 2.5 500 1e2 0px 1px -2px 2em 1.5rem 3ex 10% -5% 150% 10deg .25turn 1s 2fr calc(1px+1em) calc(1px_+_1em) calc(2_*_3) calc(10%_+_1px) min(1em,30px) max(2,3) clamp(1px,2em,3px) round(1.7px,1px) calc(1px_*_-1) sign(-1) calc(infinity)";
const others =
  "red #abc #12345678 currentcolor transparent canvastext rgb(1,2,3) rgb(1_2_3_/_50%) hsl(20_50%_50%) color-mix(in_srgb,red,blue) light-dark(red,blue) 'x' 'wght' url(a.png) linear-gradient(red,blue) none auto normal inherit initial unset revert 0x1 5x --x x";

/** Words that a property asks for by their names, however deep in the definition of its syntax (CSS Values 4, 2). */
function keywordsOf(property: string): string[] {
  const found = new Set<string>();
  const seen = new Set<string>();
  const look = (node: unknown): void => {
    if (Array.isArray(node)) node.forEach(look);
    if (typeof node !== "object" || node === null) return;
    const { type, name, terms, term } = node as { type?: string; name?: string; terms?: unknown; term?: unknown };
    if (type === "Keyword" && name) found.add(name);
    if (type === "Type" && name && !seen.has(name) && !leftOut.test(name)) {
      seen.add(name);
      look(definitions.types[name]?.syntax);
    }
    look(terms);
    look(term);
  };
  look(definitions.properties[property]?.syntax);
  return [...found];
}

type Definitions = Record<"types" | "properties", Record<string, { syntax?: CssNode } | undefined>>;
const definitions = lexer as unknown as Definitions;

/** Names of these are not what a property is about. */
const leftOut = /color|image|gradient|url|calc|math|size\b.*\(/;

/** @param each how many of each longhand */
export function longhandPage(seed: number, each = 5): string {
  const chance = chanceOf(seed);
  const declaration = (name: string) => {
    const own = keywordsOf(name);
    const part = () => {
      if (own.length && chance.is(0.6)) return chance.among(own);
      return chance.among((chance.is(0.6) ? amounts : others).split(" ")).replaceAll("_", " ");
    };
    const value = Array.from({ length: chance.is(0.5) ? 1 : 1 + chance.upTo(4) }, part);
    return `${name}: ${value.join(chance.among([" ", " ", " ", ", ", " / "]))}`;
  };
  return pageOf(reportedLonghands.flatMap((name) => Array.from({ length: each }, () => declaration(name))));
}
