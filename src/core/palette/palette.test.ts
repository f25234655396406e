import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { parseColor } from "../color";
import { differenceOk } from "../color/gamut";
import { changeSite, openSite, textFile } from "../source/site";
import { planEdit } from "../edits/plan";
import { pageWith, sampleFiles, site } from "../testing/site";
import { paletteOf, twinsIn } from "./palette";
import { nameColor, proposedNames } from "./properties";
import { joinColors, rewriteColors } from "./rewrite";
import { colorSpots } from "./values";
import { runs } from "../testing/runs";

const values = (css: string) => colorSpots(site({ "a.css": css })).map(({ value }) => value);

describe("colour values as written", () => {
  test.each<[string, string[]]>([
    ["p{color:#ABC;background:red url(red.png)}", ["#ABC", "red"]],
    ["/* #fff */ p::before{content:'#fff'} a{background:url(#abc)}", []],
    ["p{color:rgb(1 2 3/50%)!important}", ["rgb(1 2 3/50%)"]],
    ["p{background:linear-gradient(red,#0000ff 50%,hsl(1 2% 3%))}", ["red", "#0000ff", "hsl(1 2% 3%)"]],
    ["p{background:-webkit-gradient(linear,0 0,0 1,from(#fff),to(#000))}", ["#fff", "#000"]],
    [
      "p{color:color-mix(in srgb,red,#00f)} a{color:light-dark(#111,#eee)} b{color:rgb(from teal r g b)}",
      ["red", "#00f", "#111", "#eee", "teal"],
    ],
    ["p{color:currentcolor;border:1px solid} a{color:inherit}", []],
    ["p{font:12px tan;animation:red 1s;grid-area:blue}", []],
    ["p{--a:#123;--b: red;--c:red herring;--d:1px solid #456}", ["#123", "red", "#456"]],
    ["p{color:#12345;color:rgb(1,2);color:nope}", []],
    ["p{filter:progid:x(startColorstr='#80000000')}", []],
    ["p{color:#FFF;color:canvas}", ["#FFF", "canvas"]],
    ["a{color:red}b{color:blue}", ["red", "blue"]],
  ])("%s", (css, expected) => expect(values(css)).toEqual(expected));

  test("stand where they are said to stand, in sheets, embedded sheets and style attributes", () => {
    const all = openSite(sampleFiles());
    const spots = colorSpots(all);
    expect(spots.length).toBeGreaterThan(20);
    for (const { value, path, start, end } of spots) expect(textFile(all, path)!.text.slice(start, end)).toBe(value);
    expect(new Set(spots.map(({ path }) => path)).size).toBeGreaterThan(2);
  });

  test("attributes with character references are left alone", () => {
    expect(colorSpots(site({ "a.html": '<p style="font-family:&quot;x&quot;;color:red">' }))).toEqual([]);
  });
});

describe("what a colour is used for", () => {
  const palette = paletteOf(
    pageWith(
      "body{color:#333} h1{color:#8a9aa6} a:hover{color:red} div{background:#17445C} :root{--sea:#004060} b{color:var(--sea)}",
      "<h1>a</h1><p>b <a>c</a></p><div><p>d <b>e</b></p></div>",
    ),
    defaultConditions,
  );
  const value = (text: string) => palette.values.find((one) => one.value === text)!;

  test("words, places and whether it fails", () => {
    expect(value("#8a9aa6")).toMatchObject({
      words: "ink of h1",
      places: 1,
      failing: true,
      roles: ["ink"],
      notation: "hex",
    });
    expect(value("#333")).toMatchObject({ words: "ink of body", places: 3, failing: true });
    expect(value("#17445C")).toMatchObject({ words: "ground of div", places: 2 });
    expect(value("red").places).toBe(0);
  });

  test("the text of a pseudo-element is a place of its colour", () => {
    const page = pageWith("p::before{content:'Note';color:#c33}", "<p>Dogs travel on deck</p>");
    const found = paletteOf(page, defaultConditions, {}).values.find(({ value }) => value === "#c33")!;
    expect([found.places, found.uses[0]!.places]).toEqual([1, [expect.objectContaining({ pseudo: "before" })]]);
  });

  test("a custom property's colour counts where it is referred to", () => {
    expect(value("#004060")).toMatchObject({ words: "value of --sea", places: 1, roles: ["named"] });
    expect(palette.properties).toMatchObject([
      { name: "--sea", references: 1, values: [{ value: "#004060", selector: ":root" }] },
    ]);
  });

  test("pairs that occur, those that fail first", () => {
    expect(palette.pairs.map(({ inkName, groundName, passes }) => [inkName, groundName, passes])).toEqual([
      ["#004060", "#17445C", false],
      ["#333", "#17445C", false],
      ["#8a9aa6", "rgb(255, 255, 255)", false],
      ["#333", "rgb(255, 255, 255)", true],
    ]);
  });

  test("twins: other colours, but hardly", () => {
    const near = paletteOf(
      pageWith("a{color:#1a6fa0}b{color:rgb(27, 112, 161)}i{color:#1A6FA0}u{color:#333}s{color:#1a6fa080}", ""),
      defaultConditions,
    ).values;
    expect(twinsIn(near).map(({ a, b }) => [a, b])).toEqual([["#1A6FA0", "rgb(27, 112, 161)"]]);
    expect(twinsIn(near, 0.0001)).toEqual([]);
  });

  test("twins of many colours are those that each with each would give", () => {
    const channel = fc.integer({ min: 0, max: 30 }).map((value) => value * 8);
    fc.assert(
      fc.property(fc.array(fc.tuple(channel, channel, channel), { minLength: 2, maxLength: 60 }), (colors) => {
        const css = [...new Set(colors.map((one) => `rgb(${one.join(", ")})`))];
        const { values } = paletteOf(
          site({ "a.css": css.map((one) => `p{color:${one}}`).join("") }),
          defaultConditions,
        );
        const found = twinsIn(values, 0.05).map(({ a, b }) => [a, b].sort().join(" | "));
        const all = css.flatMap((a, at) =>
          css
            .slice(at + 1)
            .filter((b) => differenceOk(parseColor(a)!, parseColor(b)!) <= 0.05)
            .map((b) => [a, b].sort().join(" | ")),
        );
        expect(found.sort()).toEqual(all.sort());
      }),
      runs(50),
    );
  });
});

describe("rewriting", () => {
  test("every value in every notation comes back to the same colour, and nothing else is touched", () => {
    const all = openSite(sampleFiles());
    const spots = colorSpots(all);
    for (const notation of [
      "hex",
      "rgb",
      "hsl",
      "hwb",
      "oklch",
      "lab",
      "lch",
      "oklab",
      "display-p3",
      "srgb",
    ] as const) {
      const { changes, same, different, left } = rewriteColors(spots, notation);
      expect(same + different.length + left.length).toBe(spots.length);
      expect(left.every(({ reason }) => reason.startsWith("It stands in a gradient"))).toBe(true);
      expect(left.length > 0).toBe(!["hex", "rgb", "hsl", "hwb"].includes(notation));
      if (notation !== "hex" && notation !== "rgb" && notation !== "hsl" && notation !== "hwb")
        expect(different).toEqual([]);
      const after = colorSpots(changeSite(all, changes));
      expect(after.map(({ role, selector }) => [role, selector])).toEqual(
        spots.map(({ role, selector }) => [role, selector]),
      );
      const restored = changeSite(changeSite(all, changes), joinedBack(spots, after));
      for (const [path, file] of all.files)
        if (file.kind !== "other") expect(textFile(restored, path)!.text).toBe(file.text);
    }
  });

  const joinedBack = (spots: ReturnType<typeof colorSpots>, after: ReturnType<typeof colorSpots>) =>
    after
      .map(({ path, start, end }, at) => ({ path, start, end, insert: spots[at]!.value }))
      .filter(({ insert }, at) => insert !== after[at]!.value);

  test("what a notation cannot hold is said", () => {
    const spots = colorSpots(
      site({
        "a.css": "a{color:color(display-p3 0 1 0)}b{color:#123456}i{color:#f00}u{color:canvas}s{color:#ff000080}",
      }),
    );
    expect(rewriteColors(spots, "hex").different).toMatchObject([{ value: "color(display-p3 0 1 0)" }]);
    const named = rewriteColors(spots, "name");
    expect(named.changes.map(({ insert }) => insert)).toEqual(["red"]);
    expect(named.left.map(({ value, reason }) => [value, reason])).toEqual([
      ["color(display-p3 0 1 0)", "It has no name."],
      ["#123456", "It has no name."],
      ["canvas", "What it comes to depends on where it stands."],
      ["#ff000080", "A name cannot be translucent."],
    ]);
  });

  test("colours of a gradient stay in a notation that is mixed the same way", () => {
    const spots = colorSpots(
      site({
        "a.css":
          ":root{--a:#123456;--b:#654321}p{background:linear-gradient(#fff,var(--a))}a{background:linear-gradient(in oklab,#eee,var(--b))}b{background:linear-gradient(oklch(50% 0 0),lab(50 0 0))}",
      }),
    );
    expect(rewriteColors(spots, "oklch").left.map(({ value }) => value)).toEqual(["#123456", "#fff"]);
    expect(rewriteColors(spots, "hsl").left.map(({ value }) => value)).toEqual(["oklch(50% 0 0)", "lab(50 0 0)"]);
  });

  test("random colours in a minified sheet", () => {
    const byte = fc.nat(255);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(byte, byte, byte), { minLength: 1, maxLength: 8 }),
        fc.constantFrom("hsl", "oklch", "lab", "hwb", "hex"),
        (colors, notation) => {
          const css = colors.map((rgb, at) => `.c${at}{color:rgb(${rgb.join()})!important}`).join("");
          const from = site({ "a.css": css });
          const { changes, different } = rewriteColors(colorSpots(from), notation as "hsl");
          expect(different).toEqual([]);
          const back = rewriteColors(colorSpots(changeSite(from, changes)), "rgb", { commas: true, digits: 0 });
          expect(
            textFile(changeSite(changeSite(from, changes), back.changes), "a.css")!.text.replaceAll(", ", ","),
          ).toBe(css);
        },
      ),
      runs(100),
    );
  });

  test("twins are joined, and what changes is told by the plan", () => {
    const from = pageWith("a{color:#1a6fa0}b{color:rgb(27, 112, 161)}", "<a>x</a> <b>y</b>");
    const spots = colorSpots(from).filter(({ value }) => value.startsWith("rgb"));
    const plan = planEdit(from, { kind: "text", changes: joinColors(spots, "#1a6fa0") });
    expect(plan.changes).toHaveLength(1);
    expect(plan.reach.places).toHaveLength(1);
  });
});

describe("names", () => {
  test("are proposed from hue, lightness and role, and are free", () => {
    expect(proposedNames("#17445c", ["ground"], new Set())).toEqual([
      "--dark-blue",
      "--blue-ground",
      "--ground",
      "--darkslategray",
    ]);
    expect(proposedNames("#fff", [], new Set(["--white"]))).toEqual(["--white-2"]);
    expect(proposedNames("var(--x)", [], new Set())).toEqual([]);
  });

  const files = {
    "index.html": '<link rel=stylesheet href=a.css><link rel=stylesheet href=b.css><p style="color:#123456">x</p>',
    "other.html": "<link rel=stylesheet href=a.css>",
    "a.css": '@charset "utf-8";\np { border: 1px solid #123456 }\n',
    "b.css": "h1{color:#123456}",
  };
  const named = (texts: Record<string, string>, name = "--sea") => {
    const from = site(texts);
    const spots = colorSpots(from).filter(({ value }) => value === "#123456");
    const after = changeSite(from, nameColor(from, spots, name, new Set(["--taken"])));
    return (path: string) => textFile(after, path)!.text;
  };

  test("stand in a sheet that all pages have, behind what must come first", () => {
    const text = named(files);
    expect(text("a.css")).toBe(
      '@charset "utf-8";\n\n:root {\n  --sea: #123456;\n}\np { border: 1px solid var(--sea) }\n',
    );
    expect(text("b.css")).toBe("h1{color:var(--sea)}");
    expect(text("index.html")).toContain('style="color:var(--sea)"');
  });

  test("go into the root rule where there is one", () => {
    expect(named({ ...files, "a.css": ":root {\n  --gap: 2px;\n}\np { color: #123456 }" })("a.css")).toBe(
      ":root {\n  --gap: 2px;\n  --sea: #123456;\n}\np { color: var(--sea) }",
    );
  });

  test("a page that reads the value for paper alone needs the name, too", () => {
    const print = {
      ...files,
      "other.html": "<link rel=stylesheet href=b.css media=print>",
      "b.css": "h1{color:#123456}",
    };
    expect(() => named({ ...print, "a.css": "p{top:0}" })).toThrow("No style sheet is shared");
    expect(
      named({ ...print, "other.html": `<link rel=stylesheet href=a.css>${print["other.html"]}` })("a.css"),
    ).toContain("--sea: #123456");
  });

  test("a declaration that browsers drop keeps its own value: with a reference in it, it would win and come to nothing", () => {
    const css = "p{background:#eee;background:#123456 #123456} h1{colour:#123456;color:#123456}";
    expect(named({ ...files, "b.css": css })("b.css")).toBe(
      "p{background:#eee;background:#123456 #123456} h1{colour:#123456;color:var(--sea)}",
    );
    expect(() => named({ "a.css": "p{color:#123456 solid}", "index.html": files["index.html"] })).not.toThrow();
    expect(() => named({ "a.css": "p{color:#123456 solid}" })).toThrow("Browsers drop every declaration");
  });

  test.each([
    ["sea", "not a name"],
    ["--taken", "already"],
    ["--a b", "not a name"],
  ])("%s is refused", (name, reason) => {
    expect(() => named(files, name)).toThrow(reason);
  });

  test("no sheet in common, no name", () => {
    const texts = { "a.html": "<style>p{color:#123456}</style>", "b.html": "<style>b{color:#123456}</style>" };
    expect(() => named(texts)).toThrow("No style sheet is shared");
  });
});

describe("a site with two schemes", () => {
  const css =
    "body{background:#fff;color:#222} a{color:#777} @media (prefers-color-scheme: dark){body{background:#111;color:#333}}";
  const both = pageWith(css, '<p>One <a href="#">two</a></p>');

  test("has its pairs over both, and says in which", () => {
    const { pairs } = paletteOf(both, defaultConditions);
    expect(pairs.map(({ inkName, groundName, schemes, passes }) => [inkName, groundName, schemes, passes])).toEqual([
      ["#333", "#111", ["dark"], false],
      ["#777", "#111", ["dark"], false],
      ["#777", "#fff", ["light"], false],
      ["#222", "#fff", ["light"], true],
    ]);
  });

  test("has values failing that fail in the other scheme", () => {
    const { values } = paletteOf(both, defaultConditions);
    expect(values.filter(({ failing }) => failing).map(({ value }) => value)).toEqual(
      expect.arrayContaining(["#333", "#111", "#777", "#fff"]),
    );
    expect(values.find(({ value }) => value === "#222")!.failing).toBe(false);
  });

  test("with one scheme nothing is said of schemes", () => {
    const { pairs } = paletteOf(pageWith("body{color:#777}", "<p>One</p>"), defaultConditions);
    expect(pairs).toMatchObject([{ schemes: null }]);
  });
});

test("an ink counts where texts have it, not on elements that show none", () => {
  const from = pageWith("div { color: #a00; border-top: 1px solid #0a0 } p { color: #222 }", "<div><p>x</p></div>");
  const places = paletteOf(from, defaultConditions).values.map(({ value, places }) => [value, places]);
  expect(Object.fromEntries(places)).toMatchObject({ "#a00": 0, "#0a0": 1, "#222": 1 });
});
