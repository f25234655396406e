import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { openSite, textFile } from "../source/site";
import { testFont } from "../testing/font";
import { FontError, readFontFile } from "../cascade/fonts/fontFile";
import { matchedFallback, stackInfo } from "./members";
import { isWeightFaked, weightTaken } from "./weights";
import { faceFor } from "../cascade/fonts/pageFonts";
import { weightCost } from "../cascade/fonts/weightCost";

const axes = [
  { tag: "wght", name: "Weight", min: 200, default: 400, max: 800 },
  { tag: "slnt", name: "Slant", min: -12, default: 0, max: 0 },
];
const css = `@font-face{font-family:Flex;src:url(none.woff2),url(flex.ttf);font-weight:100 900}
@font-face{font-family:Pier;src:local(Pier),url(pier.ttf)}
@font-face{font-family:Pier;src:url(pier-bold.ttf);font-weight:bold}
@font-face{font-family:Broken;src:url(broken.ttf)}
@font-face{font-family:Gone;src:url(gone.woff2)}
@font-face{font-family:Far;src:url(https://fonts.invalid/far.woff2)}
@font-face{src:url(flex.ttf)}`;
const site = openSite([
  { path: "index.html", text: `<style>${css}</style><p>x</p>` },
  { path: "flex.ttf", bytes: testFont("Flex", axes) },
  { path: "pier.ttf", bytes: testFont("Pier") },
  { path: "pier-bold.ttf", bytes: testFont("Pier", [], 700) },
  { path: "broken.ttf", bytes: testFont("Broken").slice(0, 300) },
]);
const page = styledPage(site, textFile(site, "index.html")!, defaultConditions);
const member = (stack: string, at = 0) => stackInfo(page, stack)!.members[at]!;

describe("font files", () => {
  test("are read with their weights, axes, metrics and characters", () => {
    const font = readFontFile(testFont("Flex", axes));
    expect(font).toMatchObject({
      format: "truetype",
      family: "Flex",
      weight: [200, 800],
      italic: false,
      stretch: 100,
      metrics: { unitsPerEm: 1000, ascent: 800, descent: -200, xHeight: 500, capHeight: 700, averageWidth: 600 },
    });
    expect(font.axes).toEqual(axes);
    expect([font.has(65), font.has(122), font.has(123), font.has(0x20ac)]).toEqual([true, true, false, false]);
  });

  test.each([
    [1, 50],
    [2, 62.5],
    [3, 75],
    [4, 87.5],
    [5, 100],
    [6, 112.5],
    [7, 125],
    [8, 150],
    [9, 200],
    [77, 100],
  ])("width class %i is %f%%", (widthClass, stretch) => {
    expect(readFontFile(testFont("Pier", [], 400, widthClass)).stretch).toBe(stretch);
  });

  test("cut off anywhere, or filled with something else, are refused with a reason and nothing else", () => {
    const whole = testFont("Flex", axes);
    for (let length = 0; length < whole.length; length += 37) {
      try {
        readFontFile(whole.slice(0, length));
      } catch (error) {
        expect(error).toBeInstanceOf(FontError);
        expect((error as Error).message).toMatch(/\.$/);
      }
    }
    for (let at = 12; at < 600; at += 23) {
      const harmed = whole.slice();
      harmed.fill(255, at, at + 8);
      try {
        readFontFile(harmed);
      } catch (error) {
        expect(error).toBeInstanceOf(FontError);
      }
    }
    expect(() => readFontFile(new Uint8Array())).toThrow("empty");
    expect(() => readFontFile(new TextEncoder().encode("<html>not found</html>"))).toThrow("not a font file");
  });
});

describe("faces that a page's sheets bring", () => {
  test("take the first source that can be read, and say what is wrong with the others", () => {
    const flex = page.faces.find(({ family }) => family === "Flex")!;
    expect([flex.path, flex.weight]).toEqual(["flex.ttf", [100, 900]]);
    expect(flex.sources.map(({ problem }) => problem)).toEqual(["It is not among the files.", null]);
    expect(page.faces.find(({ family }) => family === "Pier")!.sources[0]).toMatchObject({
      local: true,
      address: "Pier",
      path: null,
    });
    expect(page.faces.find(({ family }) => family === "Far")!.sources[0]!.problem).toContain("another server");
    expect(page.faces).toHaveLength(6);
  });

  test("are chosen by weight as the standard says", () => {
    const chosen = (weight: number) => faceFor(page.faces, "pier", weight, false)!.path;
    expect([100, 400, 500, 600, 900].map(chosen)).toEqual([
      "pier.ttf",
      "pier.ttf",
      "pier.ttf",
      "pier-bold.ttf",
      "pier-bold.ttf",
    ]);
    expect(faceFor(page.faces, "Gone", 400, false)).toBeNull();
  });

  test.each<[number, (readonly [number, number])[], number]>([
    [
      400,
      [
        [300, 300],
        [500, 500],
      ],
      1,
    ],
    [
      500,
      [
        [400, 400],
        [600, 600],
      ],
      0,
    ],
    [
      450,
      [
        [300, 300],
        [500, 500],
      ],
      1,
    ],
    [
      300,
      [
        [200, 200],
        [400, 400],
      ],
      0,
    ],
    [
      300,
      [
        [400, 400],
        [900, 900],
      ],
      0,
    ],
    [
      600,
      [
        [500, 500],
        [900, 900],
      ],
      1,
    ],
    [
      600,
      [
        [300, 300],
        [500, 500],
      ],
      1,
    ],
    [
      650,
      [
        [100, 700],
        [600, 600],
      ],
      0,
    ],
  ])("for %i of %j number %i is taken", (weight, ranges, taken) => {
    const costs = ranges.map((range) => weightCost(range, weight));
    expect(costs.indexOf(Math.min(...costs))).toBe(taken);
  });
});

describe("members of a stack", () => {
  test("say where each comes from", () => {
    expect(stackInfo(page, "Flex, Georgia, Nowhere, serif")!.members.map(({ source }) => source)).toEqual([
      "site",
      "system",
      "unknown",
      "generic",
    ]);
    expect(stackInfo(page, "12px")).toBeNull();
  });

  test("of the site: weights as declared and in the file, slant, small capitals, and what is wrong", () => {
    expect(member("Flex")).toMatchObject({ weights: [[200, 800]], italic: true, smallCaps: false, problem: null });
    expect(member("Pier")).toMatchObject({
      weights: [
        [400, 400],
        [700, 700],
      ],
      italic: false,
    });
    expect(member("Gone").problem).toBe("It is not among the files.");
    expect(member("Broken").problem).toMatch(/broken|read/);
  });

  test("what is made up, and what is taken instead", () => {
    expect([
      isWeightFaked(member("Pier"), 700),
      isWeightFaked({ weights: [[400, 400]] }, 700),
      isWeightFaked({ weights: [[400, 400]] }, 500),
      isWeightFaked({ weights: [] }, 900),
    ]).toEqual([false, true, false, false]);
    expect([
      weightTaken(member("Flex"), 900),
      weightTaken(member("Pier"), 550),
      weightTaken({ weights: [] }, 400),
    ]).toEqual([800, 700, null]);
  });

  test("who gets what: a font of the site comes first everywhere, one that cannot be loaded nowhere", () => {
    expect(new Set(stackInfo(page, "Flex, serif")!.readers.map(({ at }) => at))).toEqual(new Set([0]));
    expect(
      stackInfo(page, "Gone, Georgia, serif")!.readers.find(({ platform }) => platform === "windows"),
    ).toMatchObject({ at: 1, face: "Georgia" });
  });
});

test("a fallback is made as wide and as high as the face it stands in for", () => {
  const wanted = {
    ...readFontFile(testFont("Flex")).metrics,
    averageWidth: 500,
    ascent: 900,
    descent: -300,
    lineGap: 100,
  };
  const local = { ...wanted, family: "Local Face", unitsPerEm: 2000, averageWidth: 1250 };
  const { sizeAdjust, ascentOverride, descentOverride, lineGapOverride, declarations } = matchedFallback(
    wanted,
    local,
    "Flex fallback",
  );
  expect([sizeAdjust, ascentOverride, descentOverride, lineGapOverride]).toEqual([80, 112.5, 37.5, 12.5]);
  expect(declarations.slice(1, 3)).toEqual([
    ["src", 'local("Local Face")'],
    ["size-adjust", "80%"],
  ]);
  expect((ascentOverride / 100) * (sizeAdjust / 100)).toBeCloseTo(0.9, 10);
});
