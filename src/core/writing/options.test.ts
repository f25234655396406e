import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { site } from "../testing/site";
import { writingOptions } from "./options";
import { narrowed } from "./ranked";

const page = `<!doctype html><html lang="en"><head><title>Fares</title><link rel="stylesheet" href="ferry.css"></head>
<body><h1>Fares</h1><h2 class="season">Winter</h2><h2 class="season late">Spring</h2><p id="lead">Two boats.</p></body></html>`;

/** What is proposed where the bar stands in a sheet. */
function optionsIn(written: string) {
  const offset = written.indexOf("|");
  const from = site({ "index.html": page, "ferry.css": written.replace("|", "") });
  const asked = { site: from, path: "ferry.css", page: "index.html", conditions: defaultConditions, layouts: {} };
  return writingOptions(asked, offset);
}

const textsIn = (written: string) => optionsIn(written)?.options.map(({ text }) => text) ?? [];

/** What is proposed where the bar stands in a page. */
function textsInPage(written: string) {
  const from = site({
    "index.html": written.replace("|", ""),
    "css/ferry.css": ".season, .season b, .late { color: red }",
  });
  const asked = { site: from, path: "index.html", page: "index.html", conditions: defaultConditions, layouts: {} };
  return writingOptions(asked, written.indexOf("|"))?.options.map(({ text }) => text) ?? [];
}

describe("properties", () => {
  test("those that the site uses come first, those already in the rule last", () => {
    const texts = textsIn("h1 { color: red; margin: 0 } h2 { color: blue; m|");
    expect(texts[0]).toBe("margin");
    const again = textsIn("h1 { color: red } h2 { color: blue; c|");
    expect(again.indexOf("color")).toBeGreaterThan(again.indexOf("cursor"));
  });

  test("a part of the name is enough", () => {
    expect(textsIn("h2 { decor|")).toContain("text-decoration");
  });

  test("how often each is used is said", () => {
    expect(optionsIn("h1 { color: red } h2 { color: blue } h3 { col|")!.options[0]).toMatchObject({
      text: "color",
      detail: "2 times here",
    });
  });
});

describe("values", () => {
  test("custom properties, then the site's own colours, then keywords, then all names", () => {
    const texts = textsIn(":root { --deep: #17445c } h1 { background: #f4f1ea } h2 { color: |");
    const keyword = texts.findIndex((text) => /^currentcolor$/i.test(text));
    expect(texts.indexOf("var(--deep)")).toBe(0);
    expect(texts.indexOf("#17445c")).toBeLessThan(keyword);
    expect(keyword).toBeLessThan(texts.indexOf("rebeccapurple"));
    expect(texts).toContain("rgb(");
  });

  test("a colour has its swatch and its ratio on the rule's ground", () => {
    const options = optionsIn("h1 { color: white } body { background: #f4f1ea } h2 { color: |")!.options;
    const white = options.find(({ text }) => text === "white")!;
    expect(white.css).toBe("rgb(255, 255, 255)");
    expect(white.contrast!.ratio).toBeCloseTo(1.13, 2);
    expect(white.contrast!.needs).toBe(3);
    expect(options.find(({ text }) => text === "black")!.contrast!.ratio).toBeCloseTo(18.6, 0);
  });

  test("custom properties are proposed where their value may stand, and where nobody knows", () => {
    const root = ":root { --deep: #17445c; --gap: 8px; --any: var(--x) }";
    const proposed = (written: string) => textsIn(`${root} h2 { ${written}`).filter((text) => /^var\(-/.test(text));
    expect(proposed("margin: |")).toEqual(["var(--gap)", "var(--any)"]);
    expect(proposed("border: |")).toEqual(["var(--deep)", "var(--gap)", "var(--any)"]);
    expect(proposed("font-weight: |")).toEqual(["var(--any)"]);
    expect(proposed("--ink: |")).toHaveLength(3);
    expect(proposed("width: calc(1px + |")).toEqual(["var(--gap)", "var(--any)"]);
    expect(proposed("background: linear-gradient(|")).toEqual(["var(--deep)", "var(--any)"]);
  });

  test("generic families are those that browsers know", () => {
    const texts = textsIn("h2 { font-family: |");
    expect(texts.slice(0, 3)).toEqual(["serif", "sans-serif", "monospace"]);
    expect(texts).not.toContain("fangsong");
  });

  test("a ground is judged by the ink on it", () => {
    const options = optionsIn("h2 { color: white; background: bl|")!.options;
    expect(options.find(({ text }) => text === "black")!.contrast!.ratio).toBeCloseTo(21, 1);
  });

  const link = "<link rel=stylesheet href=a.css>";
  test.each<[string, Record<string, string>]>([
    [
      "on a page that reads the sheet, and on a text that the rule is nested for",
      {
        "index.html": "<style>body { background: #000 }</style><p>x</p>",
        "b.html": `${link}<body><p>x</p><main><p>y</p></main>`,
        "a.css": "main { background: #777; p { color: wh } }",
      },
    ],
    [
      "of two pages that read it, on the one that is shown",
      {
        "b.html": `${link}<style>body { background: #000 }</style><p>x</p>`,
        "index.html": `${link}<style>body { background: #777 }</style><p>x</p>`,
        "a.css": "p { color: wh }",
      },
    ],
  ])("it is judged %s", (_, files) => {
    const asked = { path: "a.css", page: "index.html", conditions: defaultConditions, layouts: {} };
    const { options } = writingOptions({ ...asked, site: site(files) }, files["a.css"]!.indexOf("wh }") + 2)!;
    expect(options.find(({ text }) => text === "white")!.contrast!.ratio).toBeCloseTo(4.48, 2);
  });

  test("a number gets the units that the property takes", () => {
    const texts = textsIn("h2 { font-size: 1.5|");
    expect(texts).toEqual(expect.arrayContaining(["1.5rem", "1.5em", "1.5px", "1.5%"]));
    expect(texts).not.toContain("1.5deg");
  });

  test("a stack that the site has is proposed whole", () => {
    expect(textsIn("body { font-family: Georgia, serif } h2 { font-family: |")[0]).toBe("Georgia, serif");
  });

  test("what follows a first part is what the grammar takes there", () => {
    const texts = textsIn("h2 { border: 1px |");
    expect(texts).toContain("solid");
    expect(texts).not.toContain("thin");
  });

  test("nothing more where a value is whole", () => {
    expect(optionsIn("h2 { color: blue|")).toBeNull();
    expect(textsIn("h2 { color: bluev|")).toEqual(["blueviolet"]);
  });

  test("in var() the custom properties", () => {
    expect(textsIn(":root { --deep: red; --leading: 1.5 } h2 { color: var(--|")).toEqual(["--deep", "--leading"]);
  });

  test("nothing where a value is nonsense so far", () => {
    expect(textsIn("h2 { margin: red gre|")).toEqual([]);
  });
});

describe("selectors", () => {
  test("names of the pages with how many elements have them", () => {
    expect(optionsIn(".s|")!.options).toMatchObject([{ text: ".season", detail: "on 2 elements" }]);
    expect(textsIn("#|")).toEqual(["#lead"]);
    expect(textsIn("h|").slice(0, 2)).toEqual(["h2", "h1"]);
    expect(textsIn("h2:ho|")).toEqual([":hover"]);
  });
});

describe("a page", () => {
  test("tags, attributes, classes that sheets ask for, addresses of sheets", () => {
    expect(textsInPage("<body><h|")).toContain("h2");
    expect(textsInPage("<link hr|")).toEqual(["href", "hreflang"].slice(0, 1));
    expect(textsInPage('<p class="|"></p>')).toEqual(["season", "late"]);
    expect(textsInPage('<p class="season |"></p>')).toEqual(["late"]);
    expect(textsInPage('<link rel="stylesheet" href="|">')).toEqual(["css/ferry.css"]);
    expect(textsInPage('<p style="font-w|"></p>')[0]).toBe("font-weight");
  });
});

describe("conditions of @media", () => {
  const own = "@media (min-width: 40em) { p { color: red } } @media (width < 40em) and (hover) { a { color: blue } }";

  test("those of the site come first, then kinds of output", () => {
    expect(textsIn(`${own} @media |`)).toEqual([
      "(min-width: 40em)",
      "(width < 40em) and (hover)",
      "screen",
      "print",
      "all",
    ]);
  });

  test("features in a parenthesis, values behind them, of the same kind", () => {
    expect(textsIn(`${own} @media (|`).slice(0, 3)).toEqual(["hover", "min-width", "width"]);
    expect(textsIn("@media (tern: 3) { p { color: red } } @media (t|")).not.toContain("tern");
    const named = textsIn(`${own} @media (|`);
    expect(named.indexOf("prefers-reduced-motion")).toBeLessThan(named.indexOf("device-width"));
    expect(textsIn(`${own} @media (prefers-c|`)).toEqual(["prefers-color-scheme", "prefers-contrast"]);
    expect(textsIn(`${own} @media (max-width: |`)).toEqual(["40em"]);
    expect(textsIn(`${own} @media (prefers-color-scheme: |`)).toEqual(["light", "dark"]);
    expect(optionsIn(`${own} @media (max-width: |`)!.options[0]!.detail).toBe("2 times here");
    expect(optionsIn(`${own} @media (width) |`)).toBeNull();
  });
});

describe("a list that goes on as its word does", () => {
  const sheet = (written: string) => `:root { --deep: #17445c } .season, .sea-side { color: red } ${written}`;
  /** What a list comes to as more is typed, and what would be told if it were asked for anew. */
  function goneOn(written: string, more: string) {
    const found = optionsIn(sheet(written))!;
    return {
      left: narrowed(found, found.typed + more),
      anew: optionsIn(sheet(written.replace("|", `${more}|`))),
    };
  }

  test.each([
    ["h2 { l|", "etter-s"],
    ["h2 { color: d|", "arkb"],
    ["h2 { color: v|", "a"],
    ["h2 { text-transform: u|", "pper"],
    [".s| {}", "ea"],
    ["@m| {}", "e"],
    ["@media (min| ) {}", "-w"],
  ])("%s and then %s", (written, more) => {
    const { left, anew } = goneOn(written, more);
    expect(anew!.options.length).toBeGreaterThan(0);
    expect(left).toEqual(anew);
  });

  test.each([
    ["a number takes units", "h2 { margin: 1|", "2"],
    ["the value is whole", "h2 { color: re|", "d"],
    ["nothing is left", "h2 { color: re|", "xx"],
    ["another word is begun", "h2 { color: re|", " b"],
  ])("is asked for anew where %s", (_, written, more) => {
    expect(goneOn(written, more).left).toBeNull();
  });

  test("is told to be cut where there are more than are shown", () => {
    const names = (count: number) => Array.from({ length: count }, (_, at) => `--sea${at}: red;`).join(" ");
    expect(optionsIn(`:root { ${names(10)} } h2 { color: v|`)!.isAll).toBe(true);
    expect(optionsIn(`:root { ${names(300)} } h2 { color: v|`)!.isAll).toBe(false);
  });

  test("is asked for anew where it was cut, or its word is another", () => {
    const found = optionsIn(sheet("h2 { color: d|"))!;
    expect(narrowed({ ...found, isAll: false }, "da")).toBeNull();
    expect(narrowed(found, "b")).toBeNull();
  });
});
