import { describe, expect, test } from "vitest";
import { computed, pageWith, site, styleOf, stylesOf } from "../testing/site";
import { computedValue } from "./style";
import { explain } from "./explain";
import { defaultConditions } from "./conditions";
import { styledPage } from "./styledPages";
import { textFile } from "../source/site";

describe("who wins", () => {
  test.each<[string, string, string, string]>([
    ["the later of two equals", "p{color:red} p{color:blue}", '<p id="t">', "rgb(0, 0, 255)"],
    ["the more specific", "p.a{color:red} p{color:blue}", '<p id="t" class="a">', "rgb(255, 0, 0)"],
    ["the style attribute", "#t{color:red}", '<p id="t" style="color:blue">', "rgb(0, 0, 255)"],
    [
      "importance over the style attribute",
      "p{color:red!important}",
      '<p id="t" style="color:blue">',
      "rgb(255, 0, 0)",
    ],
    ["unlayered over layers", "p{color:red} @layer a{#t{color:blue}}", '<p id="t">', "rgb(255, 0, 0)"],
    [
      "later layers, in the order named",
      "@layer b,a; @layer a{p{color:red}} @layer b{#t{color:blue}}",
      '<p id="t">',
      "rgb(255, 0, 0)",
    ],
    [
      "earlier layers where important",
      "@layer a,b; @layer a{p{color:red!important}} @layer b{#t{color:blue!important}}",
      '<p id="t">',
      "rgb(255, 0, 0)",
    ],
    [
      "the nearer scope",
      "@scope(.a){p{color:red}} @scope(.b){p{color:blue}}",
      '<div class="a"><div class="b"><p id="t">',
      "rgb(0, 0, 255)",
    ],
    [
      "not what a scope leaves out",
      "p{color:red} @scope(.a) to (.b){p{color:blue}}",
      '<div class="a"><div class="b"><p id="t">',
      "rgb(255, 0, 0)",
    ],
    ["revert goes back to the browser", "a{color:red} #t{color:revert}", '<a id="t" href="#">', "rgb(0, 0, 238)"],
    [
      "revert-layer goes back a layer",
      "@layer a{p{color:red}} @layer b{p{color:revert-layer}}",
      '<p id="t">',
      "rgb(255, 0, 0)",
    ],
    ["attributes lose to any rule", "*{color:red}", '<font id="t" color="blue">', "rgb(255, 0, 0)"],
    ["attributes beat the browser", "", '<font id="t" color="#00f">', "rgb(0, 0, 255)"],
    ["an invalid value is passed over", "p{color:red;color:rgb(1 2)}", '<p id="t">', "rgb(255, 0, 0)"],
    [
      "a variable that fails counts as unset",
      "div{color:red} p{color:blue;color:var(--x)}",
      '<div><p id="t">',
      "rgb(255, 0, 0)",
    ],
    ["a variable's fallback", "p{color:var(--x, var(--y, blue))}", '<p id="t">', "rgb(0, 0, 255)"],
    ["a cycle has no value", "p{--a:var(--b);--b:var(--a);color:var(--a,green)}", '<p id="t">', "rgb(0, 128, 0)"],
    [
      "a fallback closes a circle where it is taken",
      "p{--a:var(--x,var(--a));--b:var(--y,var(--b));--y:blue;color:var(--a,var(--b))}",
      '<p id="t">',
      "rgb(0, 0, 255)",
    ],
    ["nested rules", ".a{color:red;&.b{color:blue}}", '<p id="t" class="a b">', "rgb(0, 0, 255)"],
    ["all sets everything back", "p{color:red;all:initial}", '<p id="t">', "rgb(0, 0, 0)"],
    [
      "a rule for another medium is out of force",
      "p{color:red} @media print{p{color:blue}}",
      '<p id="t">',
      "rgb(255, 0, 0)",
    ],
  ])("%s", (_, css, body, expected) => {
    expect(computed(pageWith(css, body), "t", "color")).toBe(expected);
  });
});

describe("layers of several sheets", () => {
  const colorWith = (head: string, sheets: Record<string, string>) =>
    computed(site({ "index.html": `${head}<p id=t class=x>`, ...sheets }), "t", "color");
  const linked = (...names: string[]) => names.map((name) => `<link rel=stylesheet href=${name}>`).join("");
  const red = "p{color:rgb(1,0,0)}";
  const blue = ".x{color:rgb(0,0,1)}";

  test("those named in front of an import come before what it brings", () => {
    const sheets = { "a.css": "@layer late, early;@import 'b.css' layer(early);@layer late{.x{color:rgb(0,0,1)}}", "b.css": red }; // prettier-ignore
    expect(colorWith(linked("a.css"), sheets)).toBe("rgb(1, 0, 0)");
    const after = { ...sheets, "a.css": "@import 'b.css' layer(early);@layer late, early;@layer late{.x{color:rgb(0,0,1)}}" }; // prettier-ignore
    expect(colorWith(linked("a.css"), after)).toBe("rgb(0, 0, 1)");
  });

  test("those named on the way to an import count where their sheet does, in its own layer", () => {
    const sheets = {
      "a.css": "@layer one;@import 'b.css' layer(o) print;@import 'b.css' layer(i);@layer two{p{color:rgb(0,0,1)}}",
      "b.css": "@layer two, one;@import 'c.css' layer(one);@layer two{.x{color:rgb(9,9,9)}}",
      "c.css": red,
    };
    expect(colorWith(linked("a.css"), sheets)).toBe("rgb(0, 0, 1)");
    expect(colorWith(linked("b.css"), sheets)).toBe("rgb(1, 0, 0)");
  });

  test("those without a name are another each time", () => {
    const sheets = { "a.css": `@layer{${blue}}`, "b.css": `@layer{${red}}` };
    expect(colorWith(linked("a.css", "b.css"), sheets)).toBe("rgb(1, 0, 0)");
    expect(colorWith(linked("a.css", "b.css", "a.css"), sheets)).toBe("rgb(0, 0, 1)");
    const importing = { "c.css": "@import 'a.css' layer;", ...sheets };
    expect(colorWith(linked("c.css", "b.css", "c.css"), importing)).toBe("rgb(0, 0, 1)");
    expect(colorWith(linked("c.css", "b.css"), importing)).toBe("rgb(1, 0, 0)");
  });

  test("are told by their names alone", () => {
    const from = site({
      "index.html": `${linked("a.css", "b.css")}<p id=t class=x>`,
      "a.css": `@layer{${blue}}`,
      "b.css": `@import 'c.css' layer;@layer{${red}}`,
      "c.css": `@layer out{@media print{${blue}}}`,
    });
    const page = styledPage(from, textFile(from, "index.html")!, defaultConditions);
    const { contenders } = explain(from, page, styleOf(from, "t"), "color");
    expect(contenders.map(({ layer }) => layer)).toEqual(["(unnamed)", "(unnamed)", "(unnamed).out"]);
    expect(contenders[1]!.lost).toEqual({ kind: "layer", layer: "(unnamed)" });
  });
});

test.each([
  ["legend", "inline", "block"],
  ["legend", "inline-block", "block"],
  ["legend", "flex", "flex"],
  ["p", "inline", "inline"],
])("a %s told to be %s is %s", (tag, told, display) => {
  const from = pageWith(`#t{display:${told}}`, `<fieldset><${tag} id=t>x</${tag}></fieldset>`);
  expect(computed(from, "t", "display")).toBe(display);
});

test.each([
  ["ultra-condensed", "50%"],
  ["extra-condensed", "62.5%"],
  ["condensed", "75%"],
  ["semi-condensed", "87.5%"],
  ["normal", "100%"],
  ["semi-expanded", "112.5%"],
  ["expanded", "125%"],
  ["extra-expanded", "150%"],
  ["ultra-expanded", "200%"],
])("a width named %s is %s", (name, width) => {
  expect(computed(pageWith(`#t{font-stretch:${name}}`, "<p id=t>x</p>"), "t", "font-stretch")).toBe(width);
});

describe("computed values", () => {
  test.each<[string, string, string, string]>([
    ["em of the parent for a size", "div{font-size:20px} p{font-size:1.5em}", "font-size", "30px"],
    ["rem of the root", "html{font-size:10px} p{font-size:1.6rem}", "font-size", "16px"],
    ["points", "p{font-size:12pt}", "font-size", "16px"],
    ["keywords", "p{font-size:x-large}", "font-size", "24px"],
    ["larger and smaller", "div{font-size:20px} p{font-size:larger}", "font-size", "24px"],
    ["calculations", "p{font-size:calc(1em + 2 * 3px)}", "font-size", "22px"],
    ["clamp with the window", "p{font-size:clamp(1rem, 2vw, 3rem)}", "font-size", "25.6px"],
    ["monospace alone is smaller", "p{font-family:monospace}", "font-size", "13px"],
    ["a number as line height", "div{line-height:1.5} p{font-size:20px}", "line-height", "30px"],
    [
      "an em as line height is inherited as a length",
      "div{line-height:1.5em} p{font-size:20px}",
      "line-height",
      "24px",
    ],
    ["bolder than normal", "p{font-weight:bolder}", "font-weight", "700"],
    ["letter spacing in em", "p{font-size:20px;letter-spacing:.08em}", "letter-spacing", "1.6px"],
    ["the font shorthand resets", "p{font-weight:700;font:italic 20px/1.2 Georgia,serif}", "font-weight", "400"],
    ["decoration does not inherit", "div{text-decoration:underline}", "text-decoration-line", "none"],
    [
      "the decoration's colour is the ink",
      "p{color:red;text-decoration:underline wavy}",
      "text-decoration-color",
      "rgb(255, 0, 0)",
    ],
    ["flow-relative margins", "p{margin-inline-start:3em;direction:rtl}", "margin-right", "48px"],
    ["border widths without style are none", "p{border-width:5px}", "border-top-width", "0px"],
    ["percent and px together", "p{text-indent:calc(5% + 1em)}", "text-indent", "calc(5% + 16px)"],
    ["an item of a flex box is a block", "div{display:flex} p{display:inline}", "display", "block"],
  ])("%s", (_, css, property, expected) => {
    expect(computed(pageWith(css, '<div><p id="t">x</p></div>'), "t", property)).toBe(expected);
  });

  test("conditions decide which rules are in force", () => {
    const from = pageWith(
      "p{color:red} @media(max-width:600px){p{color:blue}} @media(prefers-color-scheme:dark){p{color:lime}}",
      '<p id="t">',
    );
    expect(computed(from, "t", "color")).toBe("rgb(255, 0, 0)");
    expect(computed(from, "t", "color", { width: 400 })).toBe("rgb(0, 0, 255)");
    expect(computed(from, "t", "color", { scheme: "dark" })).toBe("rgb(0, 255, 0)");
  });

  test("states can be forced on an element", () => {
    const from = pageWith(
      "a{color:red} a:hover{color:blue} a:focus-visible{color:lime} p:has(a:hover){opacity:.5}",
      '<p id="p"><a id="t" href="#">x</a><a id="u" href="#">y</a></p>',
    );
    const { index } = styleOf(from, "t").element;
    const forced = { "index.html": { [index]: ["hover"] } };
    expect(computed(from, "t", "color", { forced })).toBe("rgb(0, 0, 255)");
    expect(computed(from, "u", "color", { forced })).toBe("rgb(255, 0, 0)");
    expect(computed(from, "p", "opacity", { forced })).toBe("0.5");
  });

  test("custom properties cannot be made to explode", () => {
    const bomb = Array.from({ length: 40 }, (_, at) => `--v${at + 1}:var(--v${at})var(--v${at});`).join("");
    expect(computed(pageWith(`p{--v0:xxxxxxxxxx;${bomb}color:var(--v40,red)}`, '<p id="t">'), "t", "color")).toBe(
      "rgb(255, 0, 0)",
    );
  });
});

test("pages are styled anew only when something they are made from changes", () => {
  const from = site({ "a.html": "<link rel=stylesheet href=a.css><p>", "b.html": "<p>", "a.css": "p{top:0}" });
  const other = site({ "a.html": "<link rel=stylesheet href=a.css><p>", "b.html": "<p>", "a.css": "p{top:1px}" });
  const a = textFile(from, "a.html")!;
  expect(styledPage(from, a, defaultConditions)).toBe(styledPage(from, a, defaultConditions));
  const changed = { ...from, files: new Map([...from.files, ["a.css", other.files.get("a.css")!]]) };
  expect(styledPage(changed, a, defaultConditions)).not.toBe(styledPage(from, a, defaultConditions));
});

describe("why", () => {
  const from = site({
    "index.html": '<link rel=stylesheet href="f.css"><body><h2 id="t" style="top:0">x</h2>',
    "f.css":
      "h1, h2 {\n  color: red;\n}\nbody { font-weight: 600 }\nh2 {\n  font: 20px/1.2 Georgia;\n  color: blue;\n}\n",
  });
  const why = (property: string) =>
    explain(from, styledPage(from, textFile(from, "index.html")!, defaultConditions), styleOf(from, "t"), property);

  test("the reason names both rules", () => {
    expect(why("color").reason).toBe(
      ", because `h2` in f.css line 7 comes after `h1, h2` in f.css line 2, equally specific.",
    );
  });

  test("a part of a shorthand is taken out of it", () => {
    const { written, contenders } = why("font-size");
    expect(written).toBe("20px");
    expect(contenders[0]).toMatchObject({
      property: "font",
      value: "20px/1.2 Georgia",
      place: { path: "f.css", line: 6, column: 3 },
    });
  });

  test("what a shorthand sets back without naming it is not written", () => {
    expect(why("font-weight")).toMatchObject({ written: null, computed: "400" });
    expect(why("font-weight").contenders[1]).toMatchObject({
      origin: "browser",
      lost: { kind: "origin", origin: "browser" },
    });
  });

  test("what a later shorthand leaves out is set back by it", () => {
    const reset = pageWith("p{font-weight:700} p{font:20px serif}", '<p id="t">');
    const { contenders, reason } = explain(
      reset,
      styledPage(reset, textFile(reset, "index.html")!, defaultConditions),
      styleOf(reset, "t"),
      "font-weight",
    );
    expect(contenders[1]).toMatchObject({
      value: "700",
      lost: { kind: "set back", shorthand: "font" },
    });
    expect(reason).toBe(", because `p` in index.html line 1 sets it back after `p` in index.html line 1.");
  });

  test("rules whose condition does not hold are told, and never win", () => {
    const waiting = pageWith("p{color:red} @media (max-width:100px){p{color:blue}}", '<p id="t">');
    const { contenders, reason } = explain(
      waiting,
      styledPage(waiting, textFile(waiting, "index.html")!, defaultConditions),
      styleOf(waiting, "t"),
      "color",
    );
    expect(contenders.map(({ value, lost }) => [value, lost])).toEqual([
      ["red", null],
      ["blue", { kind: "condition", unmet: { kind: "media", text: "(max-width:100px)" } }],
    ]);
    expect(reason).toBe(", from `p` in index.html line 1.");
  });

  test("what nothing sets is said to be so", () => {
    expect(why("text-indent")).toMatchObject({ from: "initial", contenders: [] });
  });
});

test.each([
  ["2147483647", "3.35544e+07px"],
  ["2147483648", "8px"],
  ["+4", "4px"],
  ["-0", "0px"],
  ["-4", "8px"],
])("a body's margin of %s is %s", (value, expected) => {
  const body = stylesOf(site({ "index.html": `<body leftmargin="${value}">x` })).find(
    ({ element }) => element.tag === "body",
  );
  expect(computedValue(body!, "margin-left")).toBe(expected);
});

test.each([
  ["", "clip"],
  ["select{appearance:none}", "clip"],
  ["select{appearance:base-select}", "visible"],
])("what is too long in a menu with %j: %s", (css, expected) => {
  expect(computed(pageWith(css, "<select id=t><option>x</select>"), "t", "overflow-x")).toBe(expected);
});

test.each([
  ["<input id=t type=IMAGE width=20>", "20px"],
  ["<input id=t type=text width=20>", "auto"],
  ["<img id=t width=20>", "20px"],
  ["<p id=t type=image width=20>", "auto"],
])("what the width of %s says is %s", (body, expected) => {
  expect(computed(pageWith("", body), "t", "width")).toBe(expected);
});

test.each([
  ["#t.a.b, #t", "#t.a"],
  ["#t, #t.a.b", "#t.a"],
  [".a.b, .a", ".a"],
  [".a, .a.b", ".a"],
  ["p.a, .a, p", ".a"],
  ["p, .a, p.a", ".a"],
])("of a list the strongest selector that matches counts: %s before %s", (list, later) => {
  const from = pageWith(`${list} { color: rgb(1, 1, 1) } ${later} { color: rgb(2, 2, 2) }`, '<p id="t" class="a b">x');
  expect(computedValue(styleOf(from, "t"), "color")).toBe("rgb(1, 1, 1)");
});

test.each([
  ["<input id=t type=date dir=rtl>", "direction", "ltr"],
  ["<div dir=rtl><input id=t type=tel></div>", "direction", "ltr"],
  ["<div dir=rtl><input id=t type=text></div>", "direction", "rtl"],
  ["<p contenteditable=plaintext-only><b id=t>x</b></p>", "white-space-collapse", "preserve"],
  ["<p contenteditable=plaintext-only><b id=t contenteditable=false>x</b></p>", "white-space-collapse", "preserve"],
  ["<p contenteditable=true><b id=t>x</b></p>", "white-space-collapse", "collapse"],
  ["<p contenteditable=nope id=t>x</p>", "overflow-wrap", "normal"],
])("of %s, %s is %s", (html, property, expected) => {
  expect(computed(pageWith("", html), "t", property)).toBe(expected);
});
