import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { sameValues } from "../cascade/style";
import { styledPage } from "../cascade/styledPages";
import { applyChanges } from "../source/changes";
import { finished } from "../source/steps";
import { changeSite, openSite, pagesOf, textFile, type Site } from "../source/site";
import { pageWith, sampleFiles, site as siteOf } from "../testing/site";
import { siteTokenSteps } from "./ofSite";
import { readTokens, TokensError } from "./read";
import { replaceByTokens } from "./replace";
import { strayingSteps, type Held } from "./straying";
import { tokenName, type Token } from "./types";
import { tokenCss } from "./values";
import { runs } from "../testing/runs";

const read = (json: unknown) => readTokens(JSON.stringify(json));
const named = (tokens: readonly Token[]) =>
  Object.fromEntries(tokens.map((one) => [tokenName(one), tokenCss(one.value)]));

describe("reading a tokens file", () => {
  test("types come from groups, aliases from wherever they lead, in braces or as pointers", () => {
    const { tokens, problems } = read({
      brand: {
        $type: "color",
        sea: { $value: { colorSpace: "srgb", components: [0, 0.2, 0.4], alpha: 1 } },
        link: { $value: "{brand.sea}" },
        $root: { $value: { colorSpace: "oklch", components: [0.5, 0.1, "none"] } },
        deep: {
          faint: { $value: { $ref: "#/brand/link/$value" } },
          size: { $type: "dimension", $value: { value: 1.5, unit: "rem" } },
        },
      },
      text: { $type: "fontFamily", body: { $value: ["Arial", "sans-serif"] }, one: { $value: "Two Words" } },
      bold: { $type: "fontWeight", $value: "semi-bold" },
      older: { $type: "color", $value: "#abc" },
      size: { $type: "dimension", $value: "12px" },
    });
    expect(problems).toEqual([]);
    expect(named(tokens)).toEqual({
      "brand.sea": "#003366",
      "brand.link": "#003366",
      "brand.$root": expect.stringMatching(/^oklch\(50% 0\.1 none\)$/) as unknown,
      "brand.deep.faint": "#003366",
      "brand.deep.size": "1.5rem",
      "text.body": "Arial, sans-serif",
      "text.one": '"Two Words"',
      bold: "600",
      older: "#aabbcc",
      size: "12px",
    });
  });

  test.each([
    ["without a space", { components: [0, 0.2, 0.4] }],
    ["in a space there is none of", { colorSpace: "sea", components: [0, 0.2, 0.4] }],
    ["without components", { colorSpace: "srgb" }],
    ["with two of them", { colorSpace: "srgb", components: [0, 0.2] }],
  ])("a colour %s is told of", (_, value) => {
    const { tokens, problems } = read({ sea: { $type: "color", $value: value } });
    expect([tokens, problems.map(({ name }) => name)]).toEqual([[], ["sea"]]);
  });

  test("composites of type give what they hold themselves; other kinds are counted", () => {
    const { tokens, others } = read({
      s: { $type: "dimension", $value: { value: 20, unit: "px" } },
      lead: {
        $type: "typography",
        $value: {
          fontFamily: "Georgia",
          fontSize: "{s}",
          fontWeight: 700,
          letterSpacing: { value: 0, unit: "px" },
          lineHeight: 1.2,
        },
      },
      shadow: { $type: "shadow", $value: {} },
    });
    expect(named(tokens)).toEqual({ s: "20px", "lead.fontFamily": "Georgia", "lead.fontWeight": "700" });
    expect(others).toBe(1);
  });

  test("weights go by all the names that the format has for them", () => {
    const names: Record<string, number> = {
      ...{ thin: 100, hairline: 100, "extra-light": 200, "ultra-light": 200, light: 300, regular: 400, normal: 400 },
      ...{ book: 400, medium: 500, "semi-bold": 600, "demi-bold": 600, bold: 700, "extra-bold": 800 },
      ...{ "ultra-bold": 800, black: 900, heavy: 900, "extra-black": 950, "ultra-black": 950 },
    };
    const file = Object.fromEntries(Object.keys(names).map((name) => [name, { $type: "fontWeight", $value: name }]));
    expect(named(read(file).tokens)).toEqual(
      Object.fromEntries(Object.entries(names).map(([name, weight]) => [name, String(weight)])),
    );
  });

  test("what cannot be read is told by its name, and the rest is read", () => {
    const { tokens, problems } = read({
      a: { $type: "color", $value: "{b}" },
      b: { $type: "color", $value: "{a}" },
      c: { $type: "color", $value: "{nowhere}" },
      d: { $value: 3 },
      e: { $type: "dimension", $value: { value: 3, unit: "em" } },
      f: { $type: "color", $value: { colorSpace: "srgb", components: [0, 1] } },
      g: { $type: "fontWeight", $value: "constructor" },
      h: { $type: "constructor", $value: 1 },
      i: { $type: "fontWeight", $value: 0.9 },
      j: { $type: "fontWeight", $value: 1000.1 },
      k: { $type: "fontFamily", $value: [] },
      l: { $type: "fontFamily", $value: ["Arial", " "] },
      m: { $type: "fontFamily", $value: ["Arial", 3] },
      ok: { $type: "fontWeight", $value: 400 },
      least: { $type: "fontWeight", $value: 1 },
      most: { $type: "fontWeight", $value: 1000 },
    });
    expect(named(tokens)).toEqual({ ok: "400", least: "1", most: "1000" });
    expect(problems.map(({ name, problem }) => `${name}: ${problem}`)).toEqual([
      "a: it refers to itself, by way of `b`",
      "b: it refers to itself, by way of `a`",
      "c: it refers to `nowhere`, which is not there",
      "d: neither it nor a group around it has a `$type`",
      "e: its `$value` is no dimension: it needs a `value` and the `unit` px or rem",
      "f: its `$value` is no colour: it needs `colorSpace` and three `components`",
      ...["g", "i", "j"].map(
        (name) => `${name}: its \`$value\` is no weight: it is a number from 1 to 1000, or one of the names`,
      ),
      ...["k", "l", "m"].map((name) => `${name}: its \`$value\` is no font family: it is a name, or a list of names`),
    ]);
  });

  test.each([
    ["{", /^This is not JSON: /],
    ["[]", /^A tokens file holds one object/],
    ["{}", /^No design token is in this file/],
    [`${'{"a":'.repeat(200)}{"$value":1}${"}".repeat(200)}`, /nested more than 60 deep/],
  ])("%s is refused in plain words", (text, why) => {
    expect(() => readTokens(text)).toThrow(why);
  });

  test("whatever a file holds, it is read or refused", () => {
    const names = fc.constantFrom(
      "$value",
      "$type",
      "$root",
      "$ref",
      "a",
      "b",
      "value",
      "unit",
      "components",
      "colorSpace",
    );
    const leaves = fc.constantFrom("color", "dimension", "typography", "{a}", "{a.b}", "px", 1, null, "srgb");
    const { json } = fc.letrec((tie) => ({
      json: fc.oneof(
        { depthSize: "medium" },
        leaves,
        fc.array(tie("json"), { maxLength: 3 }),
        fc.dictionary(names, tie("json"), { maxKeys: 4 }),
      ),
    }));
    fc.assert(
      fc.property(json, (one) => {
        try {
          read(one);
        } catch (error) {
          expect(error).toBeInstanceOf(TokensError);
        }
      }),
      runs(500),
    );
  });
});

const tokens = read({
  color: { $type: "color", sea: { $value: "#17445c" }, ink: { $value: "#333" } },
  size: { $type: "dimension", gap: { $value: "16px" }, lead: { $value: "20px" } },
  face: { $type: "fontFamily", body: { $value: ["Arial", "sans-serif"] } },
  weight: { $type: "fontWeight", strong: { $value: 700 } },
}).tokens;

const strayed = (site: Site, from: readonly Token[] = tokens) => finished(strayingSteps(site, from));
const told = ({ kind, value, spots, nearest }: Held) =>
  [kind, value, spots.length, nearest && `${nearest.token}, ${nearest.words}`].join(" | ");

describe("holding a site against tokens", () => {
  const site = pageWith(
    ":root { --sea: #17445c } h1 { color: #18455d; font: bold 20px/1.2 Arial, sans-serif; margin: 0 15px 1rem -4px }\n" +
      "p { color: #333; font-family: Georgia, serif; font-weight: 650; padding: calc(3px + 1em) } i { font-family: arial }",
    '<h1>x</h1><p style="color: #17445C">y <i>z</i></p>',
  );

  test("a length of nothing strays from no token, whatever its unit", () => {
    const none = pageWith("p { margin: 0px 0rem 0.0px 0; padding: 3.5px }", "<p>x</p>");
    expect(strayed(none).map(({ kind, value }) => [kind, value])).toEqual([["dimension", "3.5px"]]);
  });

  test("what strays comes first, with the nearest token and how far it is; what is equal follows", () => {
    expect(strayed(site).map(told)).toEqual([
      "color | #18455d | 1 | color.sea, ΔE OK 0.004 off",
      "dimension | 15px | 1 | size.gap, 1 px off",
      "fontFamily | Georgia, serif | 1 | ",
      "fontWeight | 650 | 1 | weight.strong, 50 off",
      "fontFamily | arial | 1 | face.body, 1 family off",
      "color | #17445c | 2 | color.sea, equal",
      "color | #333 | 1 | color.ink, equal",
      "dimension | 20px | 1 | size.lead, equal",
      "fontFamily | Arial, sans-serif | 1 | face.body, equal",
      "fontWeight | bold | 1 | weight.strong, equal",
      "dimension | 1rem | 1 | size.gap, equal",
    ]);
  });

  const after = (changes: ReturnType<typeof replaceByTokens>, path = "index.html") =>
    applyChanges(textFile(site, path)!.text, changes);

  test("a value is replaced by the token's", () => {
    const text = after(replaceByTokens(site, tokens, [{ kind: "dimension", value: "15px" }], "value"));
    expect(text).toContain("margin: 0 16px 1rem -4px");
  });

  test("or by a custom property that holds it: one that is there, or a new one", () => {
    const wanted = [
      { kind: "color", value: "#18455d" },
      { kind: "color", value: "#17445c" },
      { kind: "fontWeight", value: "bold" },
    ] as const;
    const text = after(replaceByTokens(site, tokens, wanted, "property"));
    expect(text).toContain("--color-sea: #17445c");
    expect(text).toContain("--weight-strong: 700");
    expect(text).toContain("h1 { color: var(--color-sea); font: var(--weight-strong) 20px/1.2 Arial, sans-serif;");
    expect(text).toContain('style="color: var(--color-sea)"');
    expect(text).toContain("--sea: var(--color-sea)");
    // A value stands where it gets its name, and nowhere else.
    const left = strayed(changeSite(site, replaceByTokens(site, tokens, wanted, "property"))).map(({ value }) => value);
    expect(left).not.toContain("#17445c");
  });

  test("what browsers drop strays from nothing", () => {
    const dropped = pageWith(
      "p { color: #123456 solid; margin: 13px 13px 13px 13px 13px } h1 { margin: 14px }",
      "<h1>y</h1>",
    );
    expect(finished(strayingSteps(dropped, tokens)).map(({ value }) => value)).toEqual(["14px"]);
  });

  test("no custom property comes into a declaration that browsers drop", () => {
    const dropping = pageWith(
      ":root { --color-sea: #17445c } p { color: #18455d solid } h1 { color: #18455d }",
      "<h1>y</h1>",
    );
    const changes = replaceByTokens(dropping, tokens, [{ kind: "color", value: "#18455d" }], "property");
    expect(applyChanges(textFile(dropping, "index.html")!.text, changes)).toContain(
      "p { color: #18455d solid } h1 { color: var(--color-sea) }",
    );
  });

  test("a custom property of that name with another value is not written over", () => {
    const other = pageWith(":root { --color-sea: #000 } p { color: #17445c }", "<p>y</p>");
    expect(() => replaceByTokens(other, tokens, [{ kind: "color", value: "#17445c" }], "property")).toThrow(
      "`--color-sea` is a custom property of the site already, and holds `#000` instead of `#17445c`.",
    );
  });

  test("nor is it written where a page does not read the sheet that sets it", () => {
    const own = "<style>h2 { color: #17445c }</style><h2>x";
    const apart = {
      "a.css": ":root { --color-sea: #17445c }",
      "index.html": "<link rel=stylesheet href=a.css>",
      "b.html": `<link rel=stylesheet href=a.css media=print>${own}`,
    };
    const replaced = (files: Record<string, string>) =>
      replaceByTokens(siteOf(files), tokens, [{ kind: "color", value: "#17445c" }], "property");
    expect(() => replaced(apart)).toThrow("b.html does not read the sheet that sets `--color-sea`.");
    expect(replaced({ ...apart, "b.html": `<link rel=stylesheet href=a.css>${own}` })).toHaveLength(1);
  });

  test("two tokens that would have one name are refused", () => {
    const alike = read({
      a: { b: { $type: "color", $value: "#111111" } },
      "a-b": { $type: "color", $value: "#222222" },
    }).tokens;
    const both = pageWith("p { color: #111; background: #222 }", "<p>y</p>");
    const wanted = [
      { kind: "color", value: "#111" },
      { kind: "color", value: "#222" },
    ] as const;
    expect(() => replaceByTokens(both, alike, wanted, "property")).toThrow("Two values would be called --a-b.");
  });

  test("the sample keeps to its own tokens, and is the same under their names", () => {
    const sample = openSite(sampleFiles());
    const own = finished(siteTokenSteps(sample, defaultConditions, {})).tokens.flatMap((token): Token[] =>
      token.group.endsWith("-dark") ? [] : [{ path: ["own", token.group, token.name], value: token.value }],
    );
    const held = strayed(sample, own);
    const equal = held.filter(({ nearest }) => nearest?.distance === 0);
    expect(held.filter(({ kind, nearest }) => kind === "color" && nearest?.distance !== 0)).toEqual([]);
    expect(equal.length).toBeGreaterThan(40);
    const renamed = changeSite(sample, replaceByTokens(sample, own, equal, "property"));
    let compared = 0;
    for (const file of pagesOf(sample))
      for (const scheme of ["light", "dark"] as const) {
        const [was, is] = [sample, renamed].map((one) =>
          styledPage(
            one,
            pagesOf(one).find(({ path }) => path === file.path)!,
            { ...defaultConditions, scheme },
          ),
        );
        for (const [at, style] of was!.styles.entries()) {
          expect(sameValues(style, is!.styles[at]!)).toBe(true);
          compared += 1;
        }
      }
    expect(compared).toBeGreaterThan(400);
    expect(textFile(renamed, "css/ferry.css")!.text).toContain("var(--own-color-");
  });
});

test("a site's own tokens have each family and weight once", () => {
  const site = pageWith(
    "h1 { font: 700 30px Georgia, serif } h2 { font: 700 24px Georgia, serif } p, li { font: 400 16px Georgia, serif }",
    "<h1>x</h1><h2>y</h2><p>z</p><ul><li>a</ul>",
  );
  const { tokens } = finished(siteTokenSteps(site, defaultConditions, {}));
  const values = tokens.flatMap(({ value }) => (value.type === "fontFamily" ? [value.families.join()] : []));
  const weights = tokens.flatMap(({ value }) => (value.type === "fontWeight" ? [value.weight] : []));
  expect([values, weights.sort()]).toEqual([["Georgia,serif"], [400, 700]]);
});

test("what the browser alone sets is no token, nor is a name of the same length for something else", () => {
  const site = openSite([
    {
      path: "index.html",
      text: "<!doctype html><style>:root{--gap:20px;--lead:1.25rem;--wide:40px}h1{font:400 20px Arial;padding:20px}p{font:400 var(--lead) Arial;margin:var(--gap)}em{width:var(--wide)}i{font:400 20px Arial;color:red}h2{padding:40px;font:400 40px Arial}</style><h1>x</h1><p>z</p><h2>y</h2><i>a</i><i style='color:blue'>b</i>",
    },
    { path: "bare.html", text: "<!doctype html><h1>x</h1><p>plain <code>code</code></p>" },
  ]);
  const { tokens, typography } = finished(siteTokenSteps(site, defaultConditions, {}));
  const told = tokens.map(({ group, name, value }) => [group, name, tokenCss(value)].join(" "));
  expect(told.filter((words) => !words.startsWith("color"))).toEqual([
    "dimension gap 20px",
    "dimension lead 1.25rem",
    "dimension wide 40px",
    "font-family arial Arial",
    "font-size px-40 40px",
    "space px-40 40px",
    "font-weight regular 400",
  ]);
  const sizes = typography.map(({ name, fontSize }) => `${name} ${fontSize.name}`);
  // Texts of a role that differ in colour alone are one.
  expect(sizes.sort()).toEqual(["main-heading lead", "section-heading px-40", "words-set-apart lead"]);
});
