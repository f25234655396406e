/** Each check on a site that has what it looks for, on one that nearly has it, and with its first way carried out. */
import { describe, expect, test } from "vitest";
import { analyse } from "../report/analysis";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { bareLayout } from "../ground/layout";
import { changeSite, textFile, type Site } from "../source/site";
import { pageWith, site } from "../testing/site";
import { checks } from "./checks";
import { findingsFor, fixesFor, type PageStress } from ".";

interface Case {
  check: string;
  has: Site;
  /** Nearly the same, where nothing is wrong. */
  nearly: Site;
  says: RegExp;
  /** What stands in the page afterwards; null where no way is known. */
  after: string | null;
}

const running = "The late boat leaves the outer island at half past six, and waits for nobody on the quay at all.";
const plain = "body{color:#222;background:#fff;font-size:1rem;line-height:1.5}";
const css = (rules: string, body = `<p>${running}</p>`) => pageWith(plain + rules, body);
const page = (body: string, rules = "") => pageWith(plain + rules, body);

const cases: Case[] = [
  {
    check: "contrast",
    has: css("p{color:#999}"),
    nearly: css("p{color:#666}"),
    says: /^Paragraph `p` cannot be read well on its ground: 2\.8 to 1, and 4\.5 is needed\.$/,
    after: "p{color:#767676}",
  },
  {
    check: "contrast",
    has: page(`<p>${running}</p>`, "p{background:#113}"),
    nearly: page(`<p>${running}</p>`, "p{background:#eef}"),
    says: /^Paragraph `p` is invisible/,
    after: "p{background:#",
  },
  {
    check: "contrast",
    has: page(`<main><p>${running}</p></main>`, "main{background:linear-gradient(#000,#fff)} p{color:#ffffffcc}"),
    nearly: page(`<main><p>${running}</p></main>`, "main{background:linear-gradient(#000,#333)} p{color:#ffffffcc}"),
    says: /^Paragraph `p` is invisible on its ground, as far as that is known/,
    after: "p{color:#ffffffcc;background-color:#",
  },
  {
    check: "contrast-states",
    has: css("@media (prefers-color-scheme:dark){body{background:#111}}"),
    nearly: css("@media (prefers-color-scheme:dark){body{background:#111;color:#eee}}"),
    says: /^In the dark scheme, paragraph `p` is invisible/,
    after: null,
  },
  {
    check: "contrast-states",
    has: css("a{color:#006} a:hover{color:#9cf}", '<p><a href="#">Fares</a></p>'),
    nearly: css("a{color:#006} a:hover{color:#03c}", '<p><a href="#">Fares</a></p>'),
    says: /^Under the pointer, link `a` cannot be read well/,
    after: "a:hover{color:#",
  },
  {
    check: "forced-colors",
    has: css("a:focus{outline:none;box-shadow:0 0 0 2px #000}"),
    nearly: css("a:focus{outline:none;box-shadow:0 0 0 2px #000;border:2px solid}"),
    says: /^With colours forced, the focus on `a:focus` is not shown: its `box-shadow`/,
    after: "a:focus{outline:2px solid transparent;box-shadow",
  },
  {
    check: "forced-colors",
    has: css("mark{forced-color-adjust:none;background:#ff8}"),
    nearly: css("mark{forced-color-adjust:none;background:#ff8;color:#000}"),
    says: /^`mark` keeps its ground where a reader's colours are forced/,
    after: "mark{background:#ff8}",
  },
  {
    check: "style-twins",
    has: page("<h2>Fares</h2><h3>Piers</h3>", "h2{font-size:24px;color:#123} h3{font-size:23px;color:#11233a}"),
    nearly: page("<h2>Fares</h2><h3>Piers</h3>", "h2{font-size:24px;color:#123} h3{font-size:20px;color:#11233a}"),
    says: /^`h3` is set nearly as `h2` \(size 23px, not 24px; ink #11233a, not #112233\)/,
    after: "h3{font-size:24px;color:#112233}",
  },
  {
    check: "focus-lost",
    has: css("a:focus{outline:none}"),
    nearly: css("a:focus{outline:none;box-shadow:0 0 0 2px #000}"),
    says: /takes the focus away from `a:focus`/,
    after: "a:focus{outline:2px solid}",
  },
  {
    check: "link-color",
    has: css("a{color:#004;text-decoration:none}", `<p>${running} <a href="#">Fares</a></p>`),
    nearly: css("a{color:#004;text-decoration:none;font-weight:bold}", `<p>${running} <a href="#">Fares</a></p>`),
    says: /told by their colour alone/,
    after: "text-decoration:underline",
  },
  {
    check: "running-text",
    has: css("p{line-height:1}"),
    nearly: css("p{line-height:1.4}"),
    says: /leading of 1, and/,
    after: "p{line-height:1.5}",
  },
  {
    check: "running-text",
    has: css("body{line-height:20px} p{font-size:24px}"),
    nearly: css("body{line-height:1.5} p{font-size:24px}"),
    says: /`20px` was reckoned where it is set, and is inherited as a length/,
    after: "line-height:1.5}",
  },
  {
    check: "running-text",
    has: css("p{text-transform:uppercase}"),
    nearly: css("h2{text-transform:uppercase}", `<h2>${running}</h2>`),
    says: /in capitals/,
    after: "text-transform:none",
  },
  {
    check: "running-text",
    has: css("p{text-align:justify}"),
    nearly: css("p{text-align:justify;hyphens:auto}"),
    says: /justified without hyphens/,
    after: "text-align:start",
  },
  {
    check: "small-text",
    has: css("p{font-size:.6rem}"),
    nearly: css("p{font-size:.75rem}"),
    says: /^Text of 9\.6px/,
    after: "p{font-size:0.75rem}",
  },
  {
    check: "fixed-size",
    has: css("html{font-size:20px}"),
    nearly: css("html{font-size:125%}"),
    says: /holds all text at this size/,
    after: "html{font-size:125%}",
  },
  {
    check: "fixed-size",
    has: css("h1{font-size:5vw}"),
    nearly: css("h1{font-size:calc(1rem + 5vw)}"),
    says: /follows the width of the window alone/,
    after: "h1{font-size:max(1rem, 5vw)}",
  },
  {
    check: "fixed-size",
    has: css("@media not print{p{font-size:12pt}}"),
    nearly: css("@media not screen{p{font-size:12pt}}"),
    says: /does not follow/,
    after: "@media not print{p{font-size:1rem}}",
  },
  {
    check: "pair-alone",
    has: pageWith("body{color:#222}", "<p>x</p>"),
    nearly: pageWith("body{color:#222;background:#fff}", "<p>x</p>"),
    says: /its ground is not/,
    after: "background-color:#ffffff",
  },
  {
    check: "vendor-alone",
    has: css("p{-webkit-box-shadow:0 0 2px #000}"),
    nearly: css("p{-webkit-box-shadow:0 0 2px #000;box-shadow:0 0 2px #000}"),
    says: /`box-shadow` is not set beside it/,
    after: "; box-shadow: 0 0 2px #000;",
  },
  {
    check: "font-face",
    has: css("@font-face{font-family:Buoy;src:url(buoy.woff2)}"),
    nearly: css("@font-face{font-family:Buoy;src:url(buoy.woff2);font-display:swap}"),
    says: /stays unseen for up to three seconds/,
    after: "font-display: swap;",
  },
  {
    check: "font-face",
    has: css("@font-face{font-familly:Buoy;src:url(buoy.woff2)}"),
    nearly: css("@font-face{font-family:Buoy;src:local(Buoy)}"),
    says: /`font-familly` says nothing.* Meant: `font-family`/,
    after: "font-family:Buoy",
  },
  {
    check: "headings",
    has: page("<h1>Ossel</h1><h3>Fares</h3><p>x</p>"),
    nearly: page("<h1>Ossel</h1><h2>Fares</h2><p>x</p>"),
    says: /level 2 is left out/,
    after: "<h2>Fares</h2>",
  },
  {
    check: "headings",
    has: page("<h1>Ossel</h1><h2>Fares</h2><p>x</p>", "h2{font-size:40px}"),
    nearly: page("<h1>Ossel</h1><h2>Fares</h2><p>x</p>", "h2{font-size:30px}"),
    says: /level 2 are larger \(40px\) than those of level 1 \(32px\)/,
    after: "h2{font-size:32px}",
  },
  {
    check: "headings",
    has: page("<h1>Ossel</h1><p><b>Winter fares</b></p><p>x</p>"),
    nearly: page("<h1>Ossel</h1><p><b>Winter fares</b> from May</p><p>x</p>"),
    says: /looks like a heading and is none/,
    after: "<h2><b>Winter fares</b></h2>",
  },
  {
    check: "headings",
    has: page("<h1>Ossel</h1><p><b>Winter fares</b></p><p>x</p>", "b{font-weight:600}"),
    nearly: page("<h1>Ossel</h1><p><b>Winter fares</b></p><p>x</p>", "b{font-weight:599}"),
    says: /looks like a heading and is none/,
    after: "<h2><b>Winter fares</b></h2>",
  },
  {
    check: "page-ground",
    has: pageWith("body{color:#000;background:linear-gradient(#fff, #def)}", "<p>x</p>"),
    nearly: pageWith("html{min-height:100%}body{color:#000;background:linear-gradient(#fff, #def)}", "<p>x</p>"),
    says: /starts again below it/,
    after: "min-height:100%",
  },
  {
    check: "page-ground",
    has: pageWith("body{color:#000;background:repeating-linear-gradient(#fff, #def)}", "<p>x</p>"),
    nearly: pageWith("html{background:#fff}body{color:#000;background:linear-gradient(#fff, #def)}", "<p>x</p>"),
    says: /starts again below it/,
    after: "min-height:100%",
  },
  {
    check: "page-ground",
    has: pageWith("html{background:#eee}body{color:#000;background:#fff}", "<p>x</p>"),
    nearly: pageWith("body{color:#000;background:#fff}", "<p>x</p>"),
    says: /both have a ground/,
    after: null,
  },
  {
    check: "presentational",
    has: page("<center>Fares</center>"),
    nearly: page("<div>Fares</div>"),
    says: /`center` is an element of old/,
    after: '<div style="text-align: center">Fares</div>',
  },
  {
    check: "presentational",
    has: page('<p align="center">Fares</p>'),
    nearly: page('<p style="text-align: center">Fares</p>'),
    says: /`align` is an attribute of old/,
    after: '<p style="text-align: center">Fares</p>',
  },
  {
    check: "color-twins",
    has: css("h1{color:#123456} h2{color:#123457}"),
    nearly: css("h1{color:#123456} h2{color:#654321}"),
    says: /no eye tells them apart/,
    after: "h2{color:#123456}",
  },
  {
    check: "circle",
    has: css(":root{--gap:4px;--ink:#222} p{--gap:calc(var(--gap) * 2);margin:var(--gap);color:var(--ink)}"),
    nearly: css(":root{--gap:4px} p{--room:calc(var(--gap) * 2);margin:var(--room)}"),
    says: /^`--gap` asks for itself, so it has no value/,
    after: "p{margin:var(--gap);",
  },
  {
    check: "custom-property",
    has: css(":root{--ink:#222}"),
    nearly: css(":root{--ink:#123} p{color:var(--ink)}"),
    says: /^`--ink` is set and never asked for\.$/,
    after: ":root{}",
  },
  {
    check: "custom-property",
    has: css(":root{--sea:#123} p{color:var(--sea)} h1{color:#123}"),
    nearly: css(":root{--sea:#123} p{color:var(--sea)} h1{color:#123 solid}"),
    says: /`#123` is written out once, and `--sea` holds it/,
    after: "h1{color:var(--sea)}",
  },
  ...[
    "@media (prefers-color-scheme:dark){:root{--sea:#fff}}",
    "div{--sea:var(--deep)}",
    "@property --sea{syntax:'<color>';inherits:false;initial-value:red}",
  ].map((other) => ({
    check: "custom-property",
    has: css(`:root{--sea:#123} p{color:var(--sea)} h1{color:#123} b{color:var(--deep)}`),
    nearly: css(`:root{--sea:#123} p{color:var(--sea)} h1{color:#123} b{color:var(--deep)} ${other}`),
    says: /`#123` is written out once, and `--sea` holds it/,
    after: "h1{color:var(--sea)}",
  })),
  {
    check: "same-declarations",
    has: css(".a{top:0;left:0;color:#111} .b{left:0;top:0;color:#111}", '<p class="a b">x'),
    nearly: css(".a{top:0;left:0;color:#111} .b{left:0;top:0;color:#112}", '<p class="a b">x'),
    says: /`\.a`, `\.b` set just the same/,
    after: ".a, .b{top:0;left:0;color:#111}</style>",
  },
  {
    check: "same-declarations",
    has: page('<p style="color:#345">One</p><p class="b" style="color:#345">Two</p><p style="color:#345">Three</p>'),
    nearly: page('<p style="color:#345">One</p><p style="color:#346">Two</p><p style="color:#345">Three</p>'),
    says: /^3 elements have the same style attribute/,
    after: '<p class="text">One</p><p class="b text">Two</p><p class="text">Three</p>',
  },
  {
    check: "sheet-twice",
    has: site({ "index.html": "<link rel=stylesheet href=a.css><link rel=stylesheet href=a.css><p>x", "a.css": plain }),
    nearly: site({ "index.html": "<link rel=stylesheet href=a.css><p>x", "a.css": plain }),
    says: /a\.css is asked for twice/,
    after: "<link rel=stylesheet href=a.css><p>x",
  },
  {
    check: "invalid-selector",
    has: css("p::-moz-x, p{top:0}"),
    nearly: css("p::-moz-x{top:0} p{top:0}"),
    says: /is skipped by browsers that do not know `p::-moz-x`/,
    after: "p{top:0}\np::-moz-x{top:0}",
  },
  {
    check: "scheme-claimed",
    has: page('<meta name="color-scheme" content="light dark"><p>x</p>'),
    nearly: page(
      '<meta name="color-scheme" content="light dark"><p>x</p>',
      "@media (prefers-color-scheme:dark){body{background:#111;color:#eee}}",
    ),
    says: /says that it has a dark scheme/,
    after: 'content="light"',
  },
  {
    check: "always-loses",
    has: css("p{color:#123} h1{top:0} p{color:#321}"),
    nearly: css("p{color:#123} h1{top:0} @media print{p{color:#321}}"),
    says: /`color: #123` never counts: `p` in index\.html line 1 comes later/,
    after: "h1{top:0} p{color:#123}",
  },
  {
    check: "pseudo-property",
    has: css("li::marker{color:red;opacity:.5}", "<ul><li>Sea</ul>"),
    nearly: css("li::marker,li{color:red;opacity:.5} p:first-line{opacity:.9}"),
    says: /`opacity: \.5` does nothing on `::marker`: a marker takes what it shows, fonts and inks\./,
    after: "li::marker{color:red",
  },
  {
    check: "no-effect",
    has: css("em{text-align:center}", "<p>Two <em>boats</em></p>"),
    nearly: css("em{text-align:center;display:block}", "<p>Two <em>boats</em></p>"),
    says: /`text-align: center` does nothing for `em`/,
    after: "display:block}",
  },
  {
    check: "no-effect",
    has: css("p{text-decoration:underline} em{text-decoration:none}", "<p>Two <em>boats</em></p>"),
    nearly: css(
      "p{text-decoration:underline} em{text-decoration:none;display:inline-block}",
      "<p>Two <em>boats</em></p>",
    ),
    says: /takes no line off `em`: the underline is that of `p`/,
    after: "display:inline-block}",
  },
  {
    check: "selection-contrast",
    has: css("::selection{color:#999;background:#eee}"),
    nearly: css("::selection{color:#222;background:#eee}"),
    says: /^Selected text \(`::selection`\) cannot be read well/,
    after: "::selection{color:#",
  },
  {
    check: "few-platforms",
    has: css("p{font-family:'Segoe UI',sans-serif}"),
    nearly: css("p{font-family:'Segoe UI',Arial,Roboto,sans-serif}"),
    says: /^Only Windows comes with a family of/,
    after: 'p{font-family:"Segoe UI", Arial, "Noto Sans", Roboto, sans-serif}',
  },
  {
    check: "stack-twins",
    has: css("p{font-family:Georgia,serif} li{font-family:Georgia,serif} h1{font-family:Georgia,Times,serif}"),
    nearly: css("p{font-family:Georgia,serif} h1{font-family:Arial,sans-serif}"),
    says: /begin with the same family/,
    after: "h1{font-family:Georgia,serif}",
  },
  {
    check: "reset",
    has: css("h1,h2{font-weight:600} h2{font:1.5em/1.3 serif}", "<h1>x</h1><h2>y</h2>"),
    nearly: css("h2{font:600 1.5em/1.3 serif} h1{font-weight:600}", "<h1>x</h1><h2>y</h2>"),
    says: /sets `font-weight` back to 400, which `font-weight: 600` had set/,
    after: "h2{font:1.5em/1.3 serif;font-weight:600}",
  },
  {
    check: "size-twins",
    has: css("h3{font-size:18px} h4{font-size:17.6px}", "<h3>x</h3><h3>y</h3><h4>z</h4>"),
    nearly: css("h3{font-size:18px} h4{font-size:16px}", "<h3>x</h3><h3>y</h3><h4>z</h4>"),
    says: /17\.6px is nearly 18px/,
    after: "h4{font-size:18px}",
  },
  {
    check: "range",
    has: css("p{opacity:50}"),
    nearly: css("p{opacity:.5}"),
    says: /opacity runs from 0 to 1/,
    after: "p{opacity:0.5}",
  },
  {
    check: "range",
    has: css("p{color:hsl(240, 120%, 25%)}"),
    nearly: css("p{color:hsl(240, 100%, 25%)}"),
    says: /percentage over 100/,
    after: "p{color:hsl(240, 100%, 25%)}",
  },
  {
    check: "range",
    has: css("p{color:rgb(12, 300, 25)}"),
    nearly: css("p{color:rgb(12, 255, 25)}"),
    says: /channel over 255/,
    after: "p{color:rgb(12, 255, 25)}",
  },
];

const found = (from: Site, check: string, says: RegExp) =>
  analyse(from).findings.filter((finding) => finding.check === check && says.test(finding.message));

describe("each check", () => {
  test.each(cases.map((one) => [`${one.check}: ${one.says.source}`, one] as const))("%s", (_, one) => {
    const told = found(one.has, one.check, one.says);
    expect(
      told,
      analyse(one.has)
        .findings.map(({ check, message }) => `${check}: ${message}`)
        .join("\n"),
    ).toHaveLength(1);
    expect(found(one.nearly, one.check, one.says)).toEqual([]);
    const [first] = fixesFor(one.has, told[0]!);
    if (one.after === null) return;
    expect(first).toBeDefined();
    const after = changeSite(one.has, first!.changes);
    expect(textFile(after, "index.html")!.text).toContain(one.after);
    expect(found(after, one.check, one.says)).toEqual([]);
  });

  test("has a name of its own, and every finding says why it matters", () => {
    expect(new Set(checks.map(({ name }) => name)).size).toBe(checks.length);
    for (const { has } of cases)
      for (const { because } of analyse(has).findings) expect(because).toMatch(/\w{3,}.*\.$/);
  });
});

test("lines of running text are as long as they were laid out", () => {
  const from = css("");
  const file = textFile(from, "index.html")!;
  const index = styledPage(from, file, defaultConditions).styles.findIndex(({ element }) => element.tag === "p");
  const at = (longest: number) =>
    analyse(from, {}, undefined, {
      "index.html": { [index]: { ...bareLayout({ left: 0, top: 0, width: 900, height: 20 }), longest } },
    }).findings.filter(({ message }) => message.startsWith("Lines of running text"));
  for (const fine of [20, 75, 80]) expect(at(fine)).toEqual([]);
  for (const told of [19, 81]) expect(at(told)).toHaveLength(1);
  expect(at(108)[0]!.message).toContain("up to 108 characters");
  expect(at(12)[0]!.message).toContain("no more than 12 characters");
  expect(fixesFor(from, at(108)[0]!, {}, {})).toEqual([]);
});

test("text on a picture has to be read on the colour behind it, too", () => {
  const told = (css: string, body = '<div><p class="it">Fares</p></div>', ground = 10) => {
    const from = page(body, css);
    const file = textFile(from, "index.html")!;
    const index = styledPage(from, file, defaultConditions).styles.findIndex(({ element }) =>
      element.classes.includes("it"),
    );
    const painted = { points: [ground, ground, ground, 255, 255, 255, 9], seen: 1, doubt: null };
    const own = { ...bareLayout({ left: 0, top: 0, width: 90, height: 20 }), painted };
    const layouts = { "index.html": { [index]: own } };
    const [finding] = analyse(from, {}, undefined, layouts).findings.filter(
      ({ check }) => check === "picture-fallback",
    );
    const [fix] = finding ? fixesFor(from, finding, {}, { layouts }) : [];
    return finding && [finding.message, fix && textFile(changeSite(from, fix.changes), "index.html")!.text];
  };
  const white = "p{color:#fff}";
  const [message, text] = told(`div{background:url(quay.jpg)}${white}`)!;
  expect(message).toMatch(
    /^Paragraph `\.it` stands on `#ffffff` until its picture has come, .*: 1\.0 to 1, and 4\.5 is needed\.$/,
  );
  expect(text).toMatch(/div\{background:url\(quay\.jpg\);background-color:#7\w{5}\}/);
  // Where it cannot be read on the picture either, that is what is told.
  expect(told(`div{background:url(quay.jpg)}${white}`, undefined, 240)).toBeUndefined();
  expect(told(`div{background:#123 url(quay.jpg)}${white}`)).toBeUndefined();
  expect(
    told(`div{background:url(quay.jpg)}main{background:#123}${white}`, '<main><div><p class="it">x</p></div></main>'),
  ).toBeUndefined();
  expect(told(`div{background:url(quay.jpg)}p{background:#123}${white}`)).toBeUndefined();
  expect(told(`div{background:linear-gradient(#000,#111)}${white}`)).toBeUndefined();
});

test("what gives way on pages as some readers have them is told as it was measured", () => {
  const from = css("");
  const { styles, file, ...page } = styledPage(from, textFile(from, "index.html")!, defaultConditions);
  const index = styles.findIndex(({ element }) => element.tag === "p");
  const told = (stress: Partial<PageStress>) =>
    findingsFor({
      site: from,
      conditions: defaultConditions,
      pages: [{ ...page, styles, file }],
      stresses: { "index.html": { beyond: [], cutLarge: [], cutSpaced: [], overLarge: [], ...stress } },
    })
      .filter(({ check }) => check === "stress")
      .map(({ message, places }) => [message.replace(/`[^`]*`/g, "…"), places.length]);
  expect(told({})).toEqual([]);
  expect(told({ beyond: [index] })).toEqual([
    ["At 320px of width index.html scrolls both ways: … reaches beyond the window.", 1],
  ]);
  expect(told({ cutLarge: [index] })).toEqual([
    ["… is cut off at twice the size: the box does not grow with the text.", 1],
  ]);
  expect(told({ cutSpaced: [index, index] })[0]![0]).toContain("and 1 more are cut off where a reader gives lines");
  expect(told({ overLarge: [[index, index]] })[0]![0]).toBe("At twice the size … and … lie over each other.");
});

describe("what does not give way is made to", () => {
  const stressed = (stress: keyof PageStress, rules: string, body: string) => {
    const from = page(body, rules);
    const file = textFile(from, "index.html")!;
    const styled = styledPage(from, file, defaultConditions);
    const index = styled.styles.findIndex(({ element }) => element.classes.includes("it"));
    const own = { beyond: [], cutLarge: [], cutSpaced: [], overLarge: [] };
    const stresses = { "index.html": { ...own, [stress]: stress === "overLarge" ? [[index, index]] : [index] } };
    const context = { site: from, conditions: defaultConditions, pages: [styled], stresses };
    const finding = findingsFor(context).find(({ check }) => check === "stress")!;
    const [fix] = fixesFor(from, finding, {}, { stresses });
    return fix ? textFile(changeSite(from, fix.changes), "index.html")!.text : null;
  };
  test.each<[keyof PageStress, string, string, string]>([
    ["cutLarge", ".it{height:2em;overflow:hidden}", '<p class="it">Fares</p>', ".it{min-height:2em;overflow:hidden}"],
    ["cutLarge", ".it{max-height:2em;overflow:hidden}", '<p class="it">Fares</p>', ".it{overflow:hidden}"],
    ["cutLarge", "nav{height:2em}", '<nav><p class="it">Fares</p></nav>', "nav{min-height:2em}"],
    ["cutSpaced", ".it{white-space:nowrap}", '<p class="it">Fares</p>', ".it{white-space:normal}"],
    ["cutSpaced", ".it{overflow:hidden}", '<p class="it">Fares</p>', ".it{overflow:visible}"],
    ["overLarge", ".it{height:2em}", '<p class="it">Fares</p>', ".it{min-height:2em}"],
    ["beyond", ".it{width:700px}", '<p class="it">Fares</p>', ".it{max-width:700px}"],
    ["beyond", "main{min-width:60rem}", '<main><p class="it">Fares</p></main>', "main{}"],
    ["beyond", ".it{color:#111}", '<img class="it" src="a.png" alt="">', "max-width:100%"],
    ["beyond", ".it{color:#111}", '<pre class="it">Fares</pre>', "overflow-x:auto"],
    ["beyond", ".it{width:300px}", '<p class="it">Fares</p>', "overflow-wrap:anywhere"],
  ])("%s, %s", (stress, rules, body, after) => {
    expect(stressed(stress, rules, body)).toContain(after);
  });
});

test("what has one cause is one finding, told where that stands, with all its places", () => {
  const link = "<link rel=stylesheet href=a.css>";
  const from = site({
    "a.html": `${link}<h2>One</h2><h2>Two</h2>`,
    "b.html": `${link}<h2>Three</h2>`,
    "a.css": "body{color:#000;background:#fff}\nh2{color:#aaa}",
  });
  const [finding, ...others] = analyse(from).findings.filter(({ check }) => check === "contrast");
  expect(others).toEqual([]);
  expect(finding).toMatchObject({ path: "a.css", line: 2, column: 4, causes: [{ text: "color: #aaa" }] });
  expect(finding!.places).toHaveLength(3);
  const [fix] = fixesFor(from, finding!);
  expect(fix).toMatchObject({
    label: "Write the ink `#949494`: 3.0 to 1 on all its grounds",
    reach: { pages: ["a.html", "b.html"] },
  });
});

test("a finding is told, and set right, where its cause stands by now, though nothing comes out differently", () => {
  const link = "<link rel=stylesheet href=a.css>";
  const from = site({ "a.html": `${link}<p>${running}</p>`, "a.css": "body{background:#fff}\np{color:#aaa}" });
  const pale = (of: Site) => analyse(of).findings.find(({ check }) => check === "contrast")!;
  expect(pale(from).line).toBe(2);
  const moved = changeSite(from, [{ path: "a.css", start: 0, end: 0, insert: "/* Ossel\n   Island */\n" }]);
  expect(pale(moved).line).toBe(4);
  const [fix] = fixesFor(moved, pale(moved));
  expect(textFile(changeSite(moved, fix!.changes), "a.css")!.text).toMatch(
    /^\/\* Ossel\n {3}Island \*\/\nbody\{background:#fff\}\np\{color:#7\w+\}$/,
  );
});

test("states are looked at on every page that is shaped otherwise, and count wherever it is shaped alike", () => {
  const page = (body: string) => `<link rel=stylesheet href=a.css>${body}`;
  const usual = page('<p><a href="#">Fares</a></p>');
  const files = Object.fromEntries(Array.from({ length: 30 }, (_, at) => [`page-${at}.html`, usual]));
  const from = site({
    ...files,
    "z.html": page('<nav><a class="dim" href="#">Winter</a></nav>'),
    "a.css": "body{color:#222;background:#fff} a{color:#006} a:hover{color:#9cf} .dim:hover{color:#ccc}",
  });
  const hovered = found(from, "contrast-states", /^Under the pointer/);
  expect(hovered.map(({ line, places, causes: [cause] }) => [line, places.length, cause!.text])).toEqual([
    [1, 30, "color: #9cf"],
    [1, 1, "color: #ccc"],
  ]);
  expect(hovered[1]!.places).toEqual([{ page: "z.html", index: 5 }]);
  const [fix] = fixesFor(from, hovered[0]!);
  expect(fix!.label).toMatch(/^Write the ink/);
});

test("a paragraph that holds more than bold words looks like no heading", () => {
  const inParagraph = (words: string) =>
    found(
      css("p{font:700 24px serif}.r{font:400 16px serif}", `<p>${words}</p>${`<p class=r>${running}</p>`.repeat(4)}`),
      "headings",
      /looks like a heading/,
    ).length;
  expect([inParagraph("Fares"), inParagraph("Fares <i>now</i>"), inParagraph("<i>Fares</i>")]).toEqual([1, 0, 0]);
});

test("pages with sheets of their own are looked at in every state, and count for nothing found on others", () => {
  const page = (sheet: string) => `<link rel=stylesheet href=${sheet}.css><p><a href="#">Fares</a></p>`;
  const rest = "body{color:#222;background:#fff} a{color:#006}";
  const from = site({
    "a1.html": page("a"),
    "a2.html": page("a"),
    "b.html": page("b"),
    "c.html": page("c"),
    "a.css": `${rest} a:hover{color:#9cf} a:active{color:#cf9}`,
    "b.css": `${rest} a:hover{color:#fc9}`,
    "c.css": `${rest} a:hover{color:#003}`,
  });
  const told = analyse(from).findings.filter(({ check }) => check === "contrast-states");
  expect(told.map(({ path, message, places }) => [path, message.split(",")[0], places.map((one) => one.page)])).toEqual(
    [
      ["a.css", "Under the pointer", ["a1.html", "a2.html"]],
      ["a.css", "While it is pressed", ["a1.html", "a2.html"]],
      ["b.css", "Under the pointer", ["b.html"]],
    ],
  );
});

test("styles that a size or a colour alone tells apart are told of as that", () => {
  const twins = (css: string) =>
    analyse(page("<h2>Fares</h2><h3>Piers</h3>", css))
      .findings.filter(({ check }) => /-twins$/.test(check))
      .map(({ check }) => check);
  expect(twins("h2{font-size:24px;color:#123} h3{font-size:23.5px;color:#123}")).toEqual(["size-twins"]);
  expect(twins("h2{font-size:24px;color:#123} h3{font-size:24px;color:#11233a}")).toEqual(["color-twins"]);
  expect(twins("h2{font-size:24px;color:#123} h3{font-size:23px;color:#123}")).toEqual(["style-twins"]);
});

test.each(["p:-moz-pier", "p::-moz-pier", "p:-MS-pier"])(
  "%s is for one browser, and skipped by others on purpose",
  (one) => {
    const told = (selectors: string) => analyse(css(`${selectors}{top:0}`)).findings.map(({ check }) => check);
    expect(told(one)).not.toContain("invalid-selector");
    expect(told(`${one}, p`)).toContain("invalid-selector");
    expect(told(one.replace(/-(?:moz|webkit|ms)-/i, ""))).toContain("invalid-selector");
  },
);

test("what tells twins apart is said in hundredths, and what is the same in them is no difference", () => {
  const told = (leading: string) =>
    analyse(
      page(
        "<h2>Fares</h2><h3>Piers</h3>",
        `h2,h3{font-size:24px;color:#123;font-weight:700}h3{line-height:${leading}}`,
      ),
    )
      .findings.filter(({ check }) => check === "style-twins")
      .map(({ message }) => /leading .*, not [\d.]+/.exec(message)?.[0]);
  expect(told("1.524")).toEqual(["leading 1.52, not 1.5"]);
  expect(told("1.504")).toEqual([]);
});

test("what decides something anywhere does not always lose, whichever sheets the pages have", () => {
  const link = (name: string) => `<link rel=stylesheet href=${name}.css>`;
  const sheets = { "a.css": "body{background:#fff} p{color:#123}", "b.css": ".boat{color:#321}" };
  const both = `${link("b")}${link("a")}<p class=boat>${running}</p>`;
  const losing = (from: Site) => found(from, "always-loses", /`color: #123` never counts/);
  const lost = site({ "a.html": both, "b.html": both, ...sheets });
  expect(losing(lost)).toMatchObject([
    { path: "a.css", line: 1, places: [{ page: "a.html" }, { page: "b.html" }], causes: [{ path: "b.css" }] },
  ]);
  expect(losing(site({ "a.html": both, "b.html": `${link("a")}<p class=boat>${running}</p>`, ...sheets }))).toEqual([]);
  const moved = changeSite(lost, [{ path: "a.css", start: 0, end: 0, insert: "/* Ossel */\n" }]);
  expect(losing(moved)).toMatchObject([{ path: "a.css", line: 2 }]);
});

test("rules are gathered only where no text comes out differently, in either scheme, at any width, in any state", () => {
  const labels = (between: string) => {
    const from = css(
      `.a{top:0;left:0;color:#111} ${between} .b{top:0;left:0;color:#111}`,
      '<a href="#" class="a x">x</a><a class="b x" href="#">x</a>',
    );
    return found(from, "same-declarations", /set just the same/).map((one) =>
      fixesFor(from, one).map(({ label }) => label.replace(/.* where the /, "")),
    );
  };
  expect(labels("")).toEqual([["first stands", "last stands"]]);
  expect(labels(".x{color:#222}")).toEqual([[]]);
  expect(labels("@media(prefers-color-scheme:dark){.x{color:#222}}")).toEqual([[]]);
  expect(labels("@media(max-width:400px){.x{color:#222}}")).toEqual([[]]);
  expect(labels(".x:hover{color:#222}")).toEqual([["first stands", "last stands"]]);
  expect(labels(":hover{color:#222}")).toEqual([[]]);
});

test("a fix is offered only for what is there", () => {
  const from = css("p{color:#999}");
  const [finding] = found(from, "contrast", /./);
  expect(fixesFor(from, { ...finding!, message: "Something else." })).toEqual([]);
  expect(fixesFor(from, { ...finding!, check: "no such check" })).toEqual([]);
});

test("states are looked at of what is followed or pressed alone", () => {
  const from = css(
    "body{color:#222;background:#fff} a:hover,p:hover,button:hover{color:#ccc}",
    '<p href="#">Fares</p><a>Piers</a><button>Book</button>',
  );
  const [hovered, ...more] = found(from, "contrast-states", /^Under the pointer/);
  expect([hovered!.places.length, more]).toEqual([1, []]);
});

test("a property that is one is not taken for the name of a custom property", () => {
  const from = css(
    "p{color:#222;border-color:var(--color,#222)} .x{ferry:#222;color:var(--ferry)}",
    "<p class=x>x</p>",
  );
  const told = analyse(from).findings.filter(({ message }) => /is not a property/.test(message));
  expect(told.map(({ message }) => message)).toEqual([
    "`ferry` is not a property, so this line sets nothing. Meant: `--ferry`, which `var()` asks for.",
  ]);
});

test("circles of custom properties are told once each, and nothing that leads to one or comes of one", () => {
  const told = (declarations: string) =>
    analyse(css(`p{${declarations}}`, "<p>x</p>"))
      .findings.filter(({ check }) => check === "circle")
      .map(({ message, causes }) => `${causes.map(({ text }) => text).join("; ")} # ${message}`);
  expect(told("--a: var(--b); --b: var(--c); --c: 1px")).toEqual([]);
  expect(told("--d: var(--a); --a: var(--b); --b: calc(var(--a) + var(--e)); --e: 1px")).toEqual([
    "--a: var(--b); --b: calc(var(--a) + var(--e)) # `--a`, `--b` ask for each other in a circle, so none of them has a value.",
  ]);
  expect(told("--a: var(--a); --b: var(--c); --c: var(--b)")).toHaveLength(2);
  expect(told("--a: var(--c); --b: var(--a); --c: var(--b)")).toEqual([
    "--a: var(--c); --b: var(--a); --c: var(--b) # `--a`, `--b`, `--c` ask for each other in a circle, so none of them has a value.",
  ]);
  // The last of a name counts, and a fallback only where it is needed.
  expect(told("--a: var(--b); --b: var(--a); --b: 2px")).toEqual([]);
  expect(told("--x: 1px; --a: var(--x, var(--a))")).toEqual([]);
});

test("what a value has taken in is a line of any name, and on the same line a property", () => {
  const told = (declarations: string) =>
    analyse(css(`p{${declarations}}`, "<p>x</p>"))
      .findings.filter(({ level }) => level === "error")
      .map(({ message }) => /after (`[^`]*`: `[^`]*`)/.exec(message)?.[1] ?? message);
  expect(told("color: #222\n  colr: blue;")).toEqual(["`color: #222`: `colr`"]);
  expect(told("color: #222 margin: 0;")).toEqual(["`color: #222`: `margin`"]);
  expect(told("--tern: #222\n  color: #333;")).toEqual(["`--tern: #222`: `color`"]);
  expect(told("--tern: #222 color: #333;")).toEqual([]);
});

test("a custom property without its dashes is meant in the letters in which it is asked for", () => {
  const told = analyse(css("p{color:var(--PierInk)} .x{pierink:#222}", "<p class=x>x</p>")).findings;
  const [finding] = told.filter(({ message }) => /is not a property/.test(message));
  expect(finding!.message).toContain("Meant: `--PierInk`, which `var()` asks for");
});

test.each([
  ["color: #222; color: bright(red)", ["warning"]],
  ["-webkit-hyphens: auto; hyphens: gently", ["warning"]],
  ["colour: #222; color: #333", ["warning"]],
  ["color: bright(red); color: very(blue)", ["error", "error"]],
  ["font-weight: bold; color: bright(red)", ["error"]],
])("what browsers ignore weighs less where they take another for it: %s", (declarations, levels) => {
  const told = analyse(css(`p{${declarations}}`, "<p>x</p>")).findings;
  expect(told.filter(({ check }) => check === "ignored-declaration").map(({ level }) => level)).toEqual(levels);
});

test("what pages read for paper alone may have sizes of its own, linked or imported", () => {
  const told = (attribute: string, imported = "") => {
    const link = `<link rel="stylesheet" href="a.css" ${attribute}>`;
    const files = {
      "index.html": `<!doctype html>${link}<p>x</p>`,
      "a.css": `@import "b.css"${imported};`,
      "b.css": "p{font-size:12pt}",
    };
    return analyse(site(files)).findings.filter(({ check }) => check === "fixed-size").length;
  };
  expect(told("")).toBe(1);
  expect(told('media="screen, print"')).toBe(1);
  expect(told('media="print and (orientation: portrait)"')).toBe(0);
  expect(told("", " print")).toBe(0);
  // Linked a second time, it is for screens.
  expect(told('media="print"><link rel="stylesheet" href="b.css"')).toBe(1);
});
