import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { findingsFor } from "../findings";
import { changeSite, openSite, pagesOf, textFile, type SiteFile } from "../source/site";
import { fontFaceFor, matchFallback } from "./addFont";
import { readFontFile } from "../cascade/fonts/fontFile";
import { knownFace } from "../cascade/fonts/faces";
import { matchedFallback, stackInfo } from "../type/members";
import { isWeightFaked, weightTaken } from "../type/weights";

const bytes = new Uint8Array(
  readFileSync(new URL("../../../samples/ossel-ferries/fonts/bitter-bold.woff2", import.meta.url)),
);
const files = (css: string, body = "<h1>Fares</h1>"): SiteFile[] => [
  { path: "index.html", text: `<link rel=stylesheet href=css/a.css>${body}` },
  { path: "css/a.css", text: css },
  { path: "fonts/bitter.woff2", bytes },
];
const face = "@font-face { font-family: Bitter; src: url(../fonts/bitter.woff2); font-weight: 700 }\n";
const messages = (css: string, body?: string) => {
  const site = openSite(files(css, body));
  const pages = pagesOf(site).map((file) => styledPage(site, file, defaultConditions));
  return findingsFor({ site, pages, conditions: defaultConditions })
    .filter(({ check }) => check === "fonts")
    .map(({ message }) => message);
};

describe("a font file in a site", () => {
  test("is declared with what the file says, behind what must stand first", () => {
    const site = openSite(files('@import "b.css";\nh1 { color: red }\n'));
    const after = changeSite(site, fontFaceFor(site, "fonts/bitter.woff2", readFontFile(bytes), "Bitter"));
    expect(textFile(after, "css/a.css")!.text).toBe(
      '@import "b.css";\n\n@font-face {\n  font-family: "Bitter";\n  src: url("../fonts/bitter.woff2") format("woff2");\n  font-weight: 700;\n  font-display: swap;\n}\nh1 { color: red }\n',
    );
    const page = styledPage(after, textFile(after, "index.html")!, defaultConditions);
    expect(page.faces).toMatchObject([{ family: "Bitter", weight: [700, 700], path: "fonts/bitter.woff2" }]);
  });

  test("is declared in a minified sheet as the sheet is written", () => {
    const site = openSite(files("h1{color:red}"));
    const after = changeSite(site, fontFaceFor(site, "fonts/bitter.woff2", readFontFile(bytes), "Bitter"));
    expect(textFile(after, "css/a.css")!.text).toBe(
      '@font-face{font-family:"Bitter";src:url("../fonts/bitter.woff2") format("woff2");font-weight:700;font-display:swap}h1{color:red}',
    );
  });

  test("is declared beside other faces", () => {
    const site = openSite([
      ...files('@import "b.css";\n@font-face { font-family: X; src: local(X) }\n'),
      { path: "css/b.css", text: "p { color: red }\n" },
    ]);
    const changes = fontFaceFor(site, "fonts/bitter.woff2", readFontFile(bytes), "Bitter");
    expect(changes.map(({ path }) => path)).toEqual(["css/a.css"]);
  });
});

describe("what is wrong with fonts", () => {
  test.each<[string, string, RegExp | null]>([
    ["used and loaded", `${face}h1 { font-family: Bitter, serif }`, null],
    ["loaded for nothing", face, /is loaded, but no text/],
    [
      "not among the files",
      "@font-face { font-family: X; src: url(x.woff2) } h1 { font-family: X, serif }",
      /X cannot be loaded from `x.woff2`: It is not among the files/,
    ],
    ["no font", "@font-face { font-family: X; src: url(a.css) } h1 { font-family: X, serif }", /It is not a font file/],
    ["from nowhere", "h1 { font-family: Grotesk Nine, serif }", /no sheet loads it/],
    ["misspelt", `${face}h1 { font-family: Biter, Bitter, serif }`, /Did you mean `Bitter`/],
  ])("%s", (_, css, expected) => {
    if (expected) expect(messages(css).join("\n")).toMatch(expected);
    else expect(messages(css)).toEqual([]);
  });

  test("characters that a face lacks are listed, blanks are not", () => {
    expect(messages(`${face}h1 { font: 700 2em Bitter, serif }`, "<h1>Fares \u6c34\u00ad \u6c34\u2603</h1>")).toEqual([
      expect.stringMatching(/no glyph for \u6c34 \u2603:/),
    ]);
  });
});

describe("members", () => {
  const info = (css: string, stack: string) => {
    const site = openSite(files(css));
    return stackInfo(styledPage(site, textFile(site, "index.html")!, defaultConditions), stack)!;
  };

  test("come from the site, from systems, from nowhere", () => {
    const { members, readers } = info(face, "Bitter, Georgia, Nope, serif");
    expect(members.map(({ source }) => source)).toEqual(["site", "system", "unknown", "generic"]);
    expect(members[0]).toMatchObject({ weights: [[700, 700]], italic: false, metrics: { unitsPerEm: 1000 } });
    expect(readers.every(({ face: one }) => one === "Bitter")).toBe(true);
  });

  test.each<[readonly (readonly [number, number])[], number, number | null, boolean]>([
    [
      [
        [400, 400],
        [700, 700],
      ],
      400,
      400,
      false,
    ],
    [
      [
        [400, 400],
        [700, 700],
      ],
      600,
      700,
      false,
    ],
    [
      [
        [400, 400],
        [700, 700],
      ],
      300,
      400,
      false,
    ],
    [[[400, 400]], 700, 400, true],
    [
      [
        [300, 300],
        [500, 500],
      ],
      400,
      500,
      false,
    ],
    [[[100, 900]], 650, 650, false],
    [[], 700, null, false],
  ])("of %j, %d takes %s", (weights, asked, taken, faked) => {
    expect(weightTaken({ weights }, asked)).toBe(taken);
    expect(isWeightFaked({ weights }, asked)).toBe(faked);
  });
});

describe("a fallback to measure", () => {
  test("has the width and the line of the wanted face", () => {
    const wanted = readFontFile(bytes).metrics;
    const local = knownFace("Georgia")!;
    const matched = matchedFallback(wanted, local, "Bitter fallback");
    expect((local.averageWidth / local.unitsPerEm) * (matched.sizeAdjust / 100)).toBeCloseTo(
      wanted.averageWidth / wanted.unitsPerEm,
      3,
    );
    expect((matched.ascentOverride / 100) * (matched.sizeAdjust / 100)).toBeCloseTo(
      wanted.ascent / wanted.unitsPerEm,
      3,
    );
    expect((matched.descentOverride / 100) * (matched.sizeAdjust / 100)).toBeCloseTo(
      -wanted.descent / wanted.unitsPerEm,
      3,
    );
  });

  test("is written in a sheet and stands behind the first member", () => {
    const site = openSite(files(`${face}h1 { font-family: Bitter, Georgia, serif }`));
    const text = textFile(
      changeSite(site, matchFallback(site, "Bitter, Georgia, serif", "Georgia", defaultConditions)),
      "css/a.css",
    )!.text;
    expect(text).toContain(
      '@font-face {\n  font-family: "Bitter fallback";\n  src: local("Georgia");\n  size-adjust: ',
    );
    expect(text).toContain('h1 { font-family: Bitter, "Bitter fallback", Georgia, serif }');
    expect(() => matchFallback(site, "Bitter, Georgia, serif", "Nope", defaultConditions)).toThrow("not known");
  });
});
