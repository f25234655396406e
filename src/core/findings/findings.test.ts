import { describe, expect, test } from "vitest";
import { analyse } from "../report/analysis";
import { changeSite, openSite, textFile } from "../source/site";
import { pageWith, sampleFiles, site } from "../testing/site";
import { allRight, ignoredMessage } from ".";

const findingsOf = (from: Parameters<typeof analyse>[0]) => analyse(from).findings;

const said = (from: Parameters<typeof analyse>[0]) =>
  findingsOf(from).map(({ path, line, message }) => `${path}:${line} ${message}`);

test("the sample's faults are found where they stand", () => {
  const messages = said(openSite(sampleFiles()));
  for (const expected of [
    "timetable.html:8 css/prnt.css is asked for but is not among the files.",
    "notices.html:1 notices.html is not linked to css/ferry.css, which 3 other pages use.",
    "css/ferry.css:143 `colour` is not a property, so this line sets nothing. Meant: `color`.",
    "css/ferry.css:149 `letter-spacing: 1` sets nothing: it lacks its unit. Meant: `1px`.",
    "css/ferry.css:44 Section heading `h2` cannot be read well on its ground: 2.8 to 1, and 3 is needed.",
  ]) {
    expect(messages).toContain(expected);
  }
});

describe("ignored declarations", () => {
  test.each<[string, string, string | null]>([
    ["font-face", "Georgia", "`font-face` is not a property, so this line sets nothing. Meant: `font-family`."],
    ["text-align", "middle", "`text-align: middle` sets nothing: the word is called otherwise. Meant: `center`."],
    ["font-size", "12", "`font-size: 12` sets nothing: it lacks its unit. Meant: `12px`."],
    [
      "font-style",
      "bold",
      "`font-style: bold` sets nothing: that is a value of `font-weight`. Meant: `font-weight: bold`.",
    ],
    [
      "underline",
      "true",
      "`underline` is not a property, so this line sets nothing. Meant: `text-decoration: underline`.",
    ],
    [
      "font-size",
      "banana",
      "`font-size: banana` sets nothing: `font-size` takes a length such as `16px` or `1.5em`, a percentage, `xx-small`, `x-small`, `small`, `medium`, `large`, …",
    ],
    [
      "font-size",
      "1banana",
      "`font-size: 1banana` sets nothing: `1banana` has no unit that CSS knows, and `font-size` takes a length such as `16px` or `1.5em`, a percentage, `xx-small`, `x-small`, `small`, `medium`, `large`, …",
    ],
    ["color", "", "`color` has no value, so it sets nothing."],
    [
      "text-decoratoin",
      "none",
      "`text-decoratoin` is not a property, so this line sets nothing. Meant: `text-decoration`.",
    ],
    ["grid-template-columns", "1fr 1fr", null],
    ["--anything", "goes", null],
    ["-moz-thing", "x", null],
  ])("%s: %s", (property, value, expected) => {
    expect(ignoredMessage(property, value)).toBe(expected);
  });
});

test("a page without any sheet, a selector that is none, and parts on other servers are named", () => {
  expect(said(site({ "index.html": "<p>x</p>" }))).toContain("index.html:1 index.html has no style sheet at all.");
  expect(said(pageWith("p..x { top: 0 }", ""))[0]).toMatch(/The rule `p..x` is skipped/);
  expect(said(pageWith("", '<img src="https://far.example/a.png">')).join()).toContain(
    "https://far.example/a.png is on another server and is left out.",
  );
});

describe("slips of the pen", () => {
  test.each<[string, string, string, string]>([
    [
      "a missing semicolon",
      "p {\n  color: red\n  font-size: 20px;\n}",
      "",
      "A semicolon is missing after `color: red`: `font-size` is read as part of the value, and both are skipped.",
    ],
    [
      "a brace left open",
      "p { color: red;\nh1 { top: 0 }",
      "",
      "The block of `p` is never closed: all that follows is read as part of it.",
    ],
    [
      "a comment left open",
      "p { top: 0 }\n/* to do\nh1 { top: 0 }",
      "",
      "A comment is opened here and never closed: all that follows is left out.",
    ],
    [
      "the wrong letter case",
      ".Lead { top: 0 }",
      '<p class="lead">',
      "`.Lead` matches nothing. The letter case of classes and ids counts: `.lead` would match 1 element.",
    ],
    [
      "a blank too many",
      "p .lead { top: 0 }",
      '<p class="lead">',
      "`p .lead` matches nothing. With a blank it asks for something inside; without it, `p.lead` would match 1 element.",
    ],
    [
      "a blank too few",
      "p.in { top: 0 }",
      '<p><b class="in">',
      "`p.in` matches nothing. Without a blank it asks for one element that is both; with it, `p .in` would match 1 element.",
    ],
  ])("%s", (_, css, body, expected) => {
    expect(said(pageWith(css, body)).join("\n")).toContain(expected);
  });
});

test("text in the colour of its ground is called invisible", () => {
  expect(said(pageWith("p{color:#fff}", "<p>x</p>"))[0]).toContain("is invisible on its ground: 1.0 to 1");
});

test("what pseudo-elements show is a text of its own", () => {
  const from = pageWith(
    'p::before { content: "Note " attr(id) ": "; color: #aaa } li::marker { color: #bbb } p::first-letter { font-size: 3em } i::after { content: "" } ::placeholder { color: #ccc } q { color: red }',
    '<p id="t">x</p><ul><li>y</ul><i>z</i><input placeholder="Name"><q>w</q>',
  );
  const { pages, findings } = analyse(from);
  expect(pages[0]!.pseudo.map(({ name, text, style }) => [name, text, style.color, style["font-size"]])).toEqual([
    ["before", "Note t: ", "rgb(170, 170, 170)", "16px"],
    ["first-letter", "N", "rgb(170, 170, 170)", "48px"],
    ["marker", "\u2022", "rgb(187, 187, 187)", "16px"],
    ["placeholder", "Name", "rgb(204, 204, 204)", "13.3333px"],
    ["before", "\u201c", "rgb(255, 0, 0)", "16px"],
    ["after", "\u201d", "rgb(255, 0, 0)", "16px"],
  ]);
  expect(findings.map(({ message }) => message).join("\n")).toContain(
    "`input::placeholder` cannot be read well on its ground: 1.6 to 1",
  );
});

test("the analysis is plain data", () => {
  const analysis = analyse(openSite(sampleFiles()), { width: 360 });
  expect(JSON.parse(JSON.stringify(analysis))).toEqual(analysis);
  expect(analysis.conditions).toEqual({ width: 360, height: 800, scheme: "light", rootSize: 16 });
  expect(analysis.pages.map(({ path }) => path)).toEqual([
    "fares.html",
    "index.html",
    "notices.html",
    "timetable.html",
  ]);
});

test.each([
  ["one name that no page has is told by the one that was meant", ".lead .pirce", ["p .price"]],
  ["two are not: no other name makes it match", ".laed .pirce", []],
  ["what may stand in a list is", ":is(.laed, p) .pirce", [".price"]],
])("%s", (_, selector, expected) => {
  const from = pageWith(`${selector}{top:0}`, '<p class="lead"><b class="price">x</b></p>');
  const told = said(from).filter((message) => message.includes("would match"));
  expect(told.map((message) => /`([^`]*)` would match/.exec(message)![1])).toEqual(
    expected.map((name) => selector.replace(".pirce", name.replace(/^p /, ""))),
  );
});

test("what was meant by a selector is looked for on the pages that read its sheet", () => {
  const of = (link: string) =>
    site({
      "index.html": "<link rel=stylesheet href=a.css><p class=lead>x",
      "b.html": `${link}<p class=card>x<p class=card>y`,
      "a.css": ".lead { top: 0 } .crad { color: #111 }",
      "b.css": "p { top: 0 }",
    });
  const told = (link: string) => said(of(link)).filter((message) => message.includes("match"));
  expect(told("<link rel=stylesheet href=a.css>")).toEqual([
    expect.stringMatching(/`\.crad` matches nothing\. .* `\.card` would match 2 elements\.$/),
  ]);
  const none = ["a.css:1 1 rule of a.css matches nothing on any of 2 pages."];
  expect(told("")).toEqual(none);
  // What leads to the sheet may stand in another one.
  const apart = of("<link rel=stylesheet href=b.css>");
  const together = changeSite(apart, [{ path: "b.css", start: 0, end: 0, insert: "@import 'a.css'; " }]);
  const messages = (from: typeof apart) => said(from).filter((message) => message.startsWith("a.css"));
  expect(messages(apart)).toEqual(none);
  expect(messages(together)).toEqual(told("<link rel=stylesheet href=a.css>"));
  expect(messages(apart)).toEqual(none);
});

test("a name is proposed for a colour on pages alone that know it", () => {
  const pages = (link: string) =>
    site({
      "index.html": "<link rel=stylesheet href=a.css><h1>x",
      "b.html": `${link}<style>h2 { color: #17445c }</style><h2>x`,
      "a.css": ":root { --sea: #17445c } h1 { color: var(--sea) }",
    });
  const held = (link: string) => said(pages(link)).filter((message) => message.includes("holds it"));
  expect(held("<link rel=stylesheet href=a.css>")).toEqual([
    "b.html:1 `#17445c` is written out once, and `--sea` holds it.",
  ]);
  expect(held("")).toEqual([]);
  expect(held("<link rel=stylesheet href=a.css><p style='color: #17445c'>")).toEqual(
    held("<link rel=stylesheet href=a.css>"),
  );
  expect(held("<link rel=stylesheet href=a.css media=print>")).toEqual([]);
  const onPaper = "<style media=print>:root { --rust: #963 }</style><style>h1 { color: #963 }</style><h1>x";
  expect(said(site({ "index.html": onPaper })).filter((message) => message.includes("holds it"))).toEqual([]);
});

test("several are set right at once, and counted; what meets one of them is left for later", () => {
  const from = pageWith("p{colour:red}b{font-weight:boldd}i{colour:blue}", "<p>x <b>y</b> <i>z</i></p>");
  const slips = findingsOf(from).filter(({ message }) => message.includes("Meant:"));
  const { changes, count } = allRight(from, slips);
  expect([slips.length, count]).toEqual([3, 3]);
  expect(textFile(changeSite(from, changes), "index.html")!.text).toContain(
    "p{color:red}b{font-weight:bold}i{color:blue}",
  );
  expect(allRight(from, [slips[0]!, slips[0]!]).count).toBe(1);
  expect(allRight(from, [])).toEqual({ changes: [], count: 0 });
});

test("a rule that matches is no finding, whatever its page was meanwhile", () => {
  const from = site({ "index.html": "<link rel=stylesheet href=a.css><p class=lead>x", "a.css": ".lead { top: 0 }" });
  const other = changeSite(from, [{ path: "index.html", start: 47, end: 47, insert: "<i>y</i>" }]);
  const told = (of: typeof from) => said(of).filter((message) => message.includes("matches nothing"));
  expect([told(from), told(other), told(from), told(other)]).toEqual([[], [], [], []]);
});

test("a rule that matched nothing is no finding any more once a page has what it asks for, and again when it has not", () => {
  const pageOf = (words: string) => `<!doctype html><link rel=stylesheet href=a.css><p class="lead">${words}</p>`;
  const from = site({ "a.html": pageOf("x"), "b.html": pageOf("y"), "a.css": "p .lead { top: 0 }" });
  const unmatched = (of: typeof from) => said(of).filter((message) => message.includes("matches nothing"));
  const told =
    "a.css:1 `p .lead` matches nothing. With a blank it asks for something inside; without it, `p.lead` would match 2 elements.";
  expect(unmatched(from)).toEqual([told]);
  const start = textFile(from, "b.html")!.text.indexOf("y</p>");
  const inside = '<b class="lead">y</b>';
  const now = changeSite(from, [{ path: "b.html", start, end: start + 1, insert: inside }]);
  expect(unmatched(now)).toEqual([]);
  const back = changeSite(now, [{ path: "b.html", start, end: start + inside.length, insert: "y" }]);
  expect(unmatched(back)).toEqual([told]);
});
