/** What is kept from an earlier version comes out as if everything were computed anew. */
import { ruleAround } from "../source/declarations";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyPlan, planEdit } from "../edits/plan";
import { pseudoTexts } from "../text/pseudoTexts";
import { parseSheet, type Item } from "../source/css/syntax";
import { reparse } from "../source/css/reparse";
import { changeSite, openSite, pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import { cssSoup, sampleFiles, site, stylesOf } from "../testing/site";
import { defaultConditions } from "./conditions";
import { explain } from "./explain";
import { fontKeyOf } from "./fonts/fontKey";
import { reportedLonghands } from "./properties";
import { styledPage } from "./styledPages";
import { computedValue } from "./style";
import { runs } from "../testing/runs";

/** The same files with nothing known of them. */
const anew = (from: Site): Site =>
  openSite(
    [...from.files.values()].map((file) => (file.kind === "other" ? file : { path: file.path, text: file.text })),
  );

const everything = (from: Site) =>
  pagesOf(from).map((file) =>
    stylesOf(from, file.path).map((style) => reportedLonghands.map((name) => computedValue(style, name)).join("|")),
  );

/** Texts of pseudo-elements, and how they are set. */
const generated = (from: Site) =>
  pagesOf(from).map((file) =>
    pseudoTexts(styledPage(from, file, defaultConditions)).map(({ index, name, text, style }) =>
      [index, name, text, ...reportedLonghands.map((longhand) => computedValue(style, longhand))].join("|"),
    ),
  );

/** Where each value of a few elements comes from. */
const origins = (from: Site) =>
  pagesOf(from).flatMap((file) => {
    const page = styledPage(from, file, defaultConditions);
    return page.styles
      .filter((_, at) => at % 7 === 0)
      .map(({ element }) =>
        explain(from, page, page.styles[element.index]!, "color").contenders.map(({ place, lost }) => [place, lost]),
      );
  });

const base = openSite(sampleFiles());
const rules = sheetsOf(base).flatMap((file) =>
  parseSheet(file.text)
    .filter((item) => item.kind === "style")
    .map(({ start, preludeText }) => ({ path: file.path, start, preludeText })),
);
const declarations: [string, string | null][] = [
  ["color", "teal"],
  ["font-size", "1.3em"],
  ["font-size", "17px"],
  ["line-height", "1.7"],
  ["display", "contents"],
  ["background-color", "#123"],
  ["--sea", "red"],
  ["font-family", "monospace"],
  ["margin-inline-start", "3em"],
  ["letter-spacing", ".1em"],
  ["color", "inherit"],
  ["display", "flex"],
  ["opacity", "0.5"],
];

test("after a run of random edits", () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...rules), fc.constantFrom(...declarations)), { minLength: 2, maxLength: 4 }),
      (edits) => {
        let site = base;
        everything(site);
        for (const [{ path, preludeText }, [property, value]] of edits) {
          const start = parseSheet(textFile(site, path)!.text).find(
            (item) => item.kind === "style" && item.preludeText === preludeText,
          )!.start;
          site = applyPlan(
            site,
            planEdit(site, { kind: "declare", target: { kind: "rule", path, start }, property, value }),
          );
          expect(everything(site)).toEqual(everything(anew(site)));
        }
        expect(origins(site)).toEqual(origins(anew(site)));
      },
    ),
    runs(12),
  );
});

/** Rules to put in, each of another kind. */
const more = [
  ".lead { color: teal; font-size: 1.1em }",
  "h2::before { content: '*'; color: red }",
  "main p:first-of-type, nav a { letter-spacing: 0.1em }",
  ":root { --sea: #123; font-size: 18px }",
  ":root { --new: 3px }",
  "@media (min-width: 10px) { body { line-height: 1.9 } p:has(a) { color: green } }",
  "@media print { p { color: lime } }",
  "@layer late { p { color: lime } }",
  "@scope (main) { p { color: olive } }",
  "p { & + p { text-indent: 1em } color: var(--new, navy) }",
  "@property --size { syntax: '<length>'; inherits: true; initial-value: 7px }",
];

test("after rules are put in and taken out", () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          path: fc.constantFrom(...sheetsOf(base).map(({ path }) => path)),
          where: fc.nat(1000),
          insert: fc.option(fc.constantFrom(...more), { freq: 2 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      (edits) => {
        let site = base;
        everything(site);
        for (const { path, where, insert } of edits) {
          const items = parseSheet(textFile(site, path)!.text);
          const { start, end } = items[where % items.length] ?? { start: 0, end: 0 };
          const change = insert === null ? { path, start, end, insert: "" } : { path, start, end: start, insert };
          site = changeSite(site, [change]);
          expect(everything(site)).toEqual(everything(anew(site)));
          expect(generated(site)).toEqual(generated(anew(site)));
        }
        expect(origins(site)).toEqual(origins(anew(site)));
      },
    ),
    runs(12),
  );
});

test("after typing anything into a sheet", () => {
  const text = textFile(base, "css/ferry.css")!.text;
  fc.assert(
    fc.property(fc.nat(text.length), fc.nat(8), cssSoup, (at, length, insert) => {
      const site = changeSite(base, [
        { path: "css/ferry.css", start: at, end: Math.min(text.length, at + length), insert: insert.slice(0, 12) },
      ]);
      expect(everything(site)).toEqual(everything(anew(site)));
    }),
    runs(25),
  );
});

test("a rule read again is as the whole sheet read again, or it is not used", () => {
  const plain = (items: readonly Item[] | null) => JSON.stringify(items);
  fc.assert(
    fc.property(
      fc.array(cssSoup, { minLength: 1, maxLength: 3 }),
      fc.nat(),
      fc.nat(6),
      cssSoup,
      (soups, seed, length, insert) => {
        const group = `@layer x { @media print { p { left: 0 } ${soups[0]} } @font-face { src: a } i{} }`;
        const before = `a { color: red; b { top: 0 } }\n${soups.slice(1).join("\n")}\n${group} h1 { top: 0 }`;
        const start = seed % before.length;
        const end = Math.min(before.length, start + length);
        const after = before.slice(0, start) + insert.slice(0, 9) + before.slice(end);
        const quick = reparse(parseSheet(before), after, start, end, start + insert.slice(0, 9).length);
        if (quick) expect(plain(quick)).toBe(plain(parseSheet(after)));
      },
    ),
    runs(2000),
  );
});

test("the rule around an offset is found after an edit", () => {
  const site = changeSite(base, [{ path: "css/ferry.css", start: 0, end: 0, insert: "/* new */\n" }]);
  const offset = textFile(site, "css/ferry.css")!.text.indexOf(".lead");
  expect(ruleAround(site, "css/ferry.css", offset)?.rule.preludeText).toBe(".lead");
});

const small = (css: string) =>
  site({
    "a.html": "<!doctype html><link rel=stylesheet href=a.css><body><main><p class=x>x</p></main>",
    "a.css": css,
  });

test.each([
  [
    "the size of the root, which is not inherited here",
    "html{font-size:10px} body{font-size:16px} p{text-indent:2rem}",
    "10px",
    "20px",
  ],
  ["the order of the layers", "@layer a, b; @layer a{p{color:red}} @layer b{p{color:blue}}", "a, b", "b, a"],
  ["only what stands in a pseudo-element", "p{color:red} p::before{content:'x'}", "'x'", "'y'"],
])("after changing %s", (_, css, from, to) => {
  const before = small(css);
  everything(before);
  generated(before);
  const start = css.indexOf(from);
  const after = changeSite(before, [{ path: "a.css", start, end: start + from.length, insert: to }]);
  expect(everything(after)).toEqual(everything(anew(after)));
  expect(generated(after)).toEqual(generated(anew(after)));
});

test("after fonts were measured, and after a change then", () => {
  const css = "body{font-size:20px;word-spacing:1ch} p{text-indent:2em} main::before{content:'x';letter-spacing:1ex}";
  const before = small(css);
  const key = fontKeyOf('"Times New Roman"', 20, 400, false, "100%");
  const fonts = { [key]: { ex: 11, ch: 12, cap: 13, ic: 14, line: 15 } };
  const under = (from: Site, conditions = { ...defaultConditions, fonts }) =>
    pagesOf(from).map((file) => {
      const page = styledPage(from, file, conditions);
      return [...page.styles, ...pseudoTexts(page).map(({ style }) => style)].map((style) =>
        reportedLonghands.map((name) => computedValue(style, name)).join("|"),
      );
    });
  const plain = under(before, defaultConditions);
  const measured = under(before);
  expect(measured).not.toEqual(plain);
  expect(measured).toEqual(under(anew(before)));
  const after = changeSite(before, [{ path: "a.css", start: 0, end: 4, insert: "p,main" }]);
  expect(under(after)).toEqual(under(anew(after)));
  expect(under(before, defaultConditions)).toEqual(plain);
});

/** Rules that go by what readers do, each in another way. */
const ofStates = [
  "a:hover { color: red }",
  "nav:hover a, li:focus-within > b { color: teal; font-size: 2em }",
  "a:not(:hover) { letter-spacing: 1px }",
  ":is(a, b:active):visited { color: purple }",
  "main:has(a:focus) p { text-indent: 3px }",
  "li:nth-child(1 of :hover) { opacity: 0.5 }",
  "a:hover + p { color: olive }",
  "a:focus::before { content: '*'; color: navy }",
  "a::after { content: 'x' } a:active::after { content: none }",
  "@scope (nav:hover) { a { color: lime } }",
  "@scope (nav) to (li:hover) { b { color: maroon } }",
  "@media (min-width: 10px) { nav { &:hover { b { font-weight: 900 } } } }",
  "html:hover { font-size: 20px } p { margin-left: 1rem }",
  "a { color: navy } p { color: green }",
  "nav:hover { --near: 1 } @container style(--near: 1) { b { color: lime } }",
];

test("after states are forced, others are, and a rule is put in under them", () => {
  const body =
    "<nav><ul><li><a href=x>x</a><b>y</b></li><li><a href=y>x</a><p>z</p></li></ul></nav><main><a href=z>x</a><p>z<b>w</b></p></main>";
  const states = fc.dictionary(
    fc.integer({ min: 0, max: 16 }).map(String),
    fc.uniqueArray(fc.constantFrom("hover", "focus", "focus-visible", "active", "visited"), { minLength: 1 }),
    { maxKeys: 4 },
  );
  const look = (from: Site, forced: Record<string, string[]>) => {
    const page = styledPage(from, textFile(from, "a.html")!, { ...defaultConditions, forced: { "a.html": forced } });
    const texts = pseudoTexts(page).map(({ index, name, text, style }) => ({
      words: `${index} ${name} ${text}`,
      style,
    }));
    return [...page.styles.map((style) => ({ words: style.element.tag, style })), ...texts].map(
      ({ words, style }) => `${words} ${reportedLonghands.map((name) => computedValue(style, name)).join("|")}`,
    );
  };
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...ofStates), { minLength: 1, maxLength: 6 }),
      fc.array(states, { minLength: 1, maxLength: 3 }),
      fc.constantFrom(...ofStates),
      (css, forced, more) => {
        const from = site({
          "a.html": `<!doctype html><link rel=stylesheet href=a.css><body>${body}`,
          "a.css": css.join("\n"),
        });
        const rest = look(from, {});
        for (const one of forced) expect(look(from, one)).toEqual(look(anew(from), one));
        const after = changeSite(from, [{ path: "a.css", start: 0, end: 0, insert: more }]);
        for (const one of forced) expect(look(after, one)).toEqual(look(anew(after), one));
        expect(look(from, {})).toEqual(rest);
      },
    ),
    runs(70),
  );
});

describe("rules that go by what containers have", () => {
  const queries = "@container style(--x: 1) { a { color: red } a::before { content: 'x' } }";
  const page = "<link rel=stylesheet href=a.css><link rel=stylesheet href=b.css><nav><p><a href=x>x</a></p></nav>";
  const of = (css: string) => site({ "a.html": `<!doctype html>${page}`, "a.css": queries, "b.css": css });
  const look = (from: Site, forced: Record<number, string[]> = {}) => {
    const conditions = {
      ...defaultConditions,
      containers: { "a.html": { 0: { width: 9, height: 9 } } },
      forced: { "a.html": forced },
    };
    const known = styledPage(from, textFile(from, "a.html")!, conditions);
    const link = known.styles.find(({ element }) => element.tag === "a")!;
    return [computedValue(link, "color"), ...pseudoTexts(known).map(({ text }) => text)];
  };
  const [off, on] = [["rgb(0, 0, 238)"], ["rgb(255, 0, 0)", "x"]];

  test("match anew once another sheet says otherwise", () => {
    const from = of("nav { --x: 0 }");
    expect(look(from)).toEqual(off);
    expect(look(changeSite(from, [{ path: "b.css", start: 11, end: 12, insert: "1" }]))).toEqual(on);
  });

  test("match anew what is generated in containers of another size", () => {
    const from = site({
      "a.html":
        "<!doctype html><style>nav{container-type:inline-size}a::before{content:'x'}@container (width>99px){a::before{color:red}}</style><nav><a>x</a></nav>",
    });
    const file = textFile(from, "a.html")!;
    const { elements } = styledPage(from, file, defaultConditions).document;
    const nav = elements.find(({ tag }) => tag === "nav")!.index;
    const inkAt = (width: number) => {
      const conditions = { ...defaultConditions, containers: { "a.html": { [nav]: { width, height: 9 } } } };
      return computedValue(pseudoTexts(styledPage(from, file, conditions))[0]!.style, "color");
    };
    expect([50, 150, 50].map(inkAt)).toEqual(["rgb(0, 0, 0)", "rgb(255, 0, 0)", "rgb(0, 0, 0)"]);
  });

  test("match anew in another state", () => {
    const from = of("nav { --x: 0 } nav:hover { --x: 1 }");
    const { elements } = styledPage(from, textFile(from, "a.html")!, defaultConditions).document;
    const nav = elements.find(({ tag }) => tag === "nav")!.index;
    expect(look(from)).toEqual(off);
    expect(look(from, { [nav]: ["hover"] })).toEqual(on);
    expect(look(from)).toEqual(off);
  });
});

test("what holds the focus is in a state of its own", () => {
  const from = site({
    "a.html": "<!doctype html><style>p:focus-within{color:red}</style><p><a href=x>x</a></p>",
  });
  const page = (forced: Record<number, string[]>) =>
    styledPage(from, textFile(from, "a.html")!, { ...defaultConditions, forced: { "a.html": forced } });
  const { elements } = page({}).document;
  const [p, a] = ["p", "a"].map((tag) => elements.find((element) => element.tag === tag)!.index);
  expect(computedValue(page({ [a!]: ["focus"] }).styles[p!]!, "color")).toBe("rgb(255, 0, 0)");
});

test("a state is looked for only where a rule asks for it", () => {
  const from = small("a:hover{color:red} p{color:blue}");
  const look = (forced: Record<number, string[]>) =>
    styledPage(from, textFile(from, "a.html")!, { ...defaultConditions, forced: { "a.html": forced } }).styles;
  expect(look({ 3: ["focus"] })).toBe(look({}));
  const hovered = site({
    "a.html": "<!doctype html><style>a:hover{color:red}</style><a href=x>x</a><p>x</p>",
  });
  const file = textFile(hovered, "a.html")!;
  const rest = styledPage(hovered, file, defaultConditions).styles;
  const link = rest.find(({ element }) => element.tag === "a")!.element.index;
  const now = styledPage(hovered, file, { ...defaultConditions, forced: { "a.html": { [link]: ["hover"] } } }).styles;
  expect(now.filter((style, at) => style !== rest[at]).map(({ element }) => element.tag)).toEqual(["a"]);
});
