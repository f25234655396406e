import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { computed, pageWith } from "../testing/site";
import { axisSettings, withAxis } from "./axes";
import { decorationLonghands, decorationParts, lineKinds, writeDecoration } from "./decoration";
import { fluidSize, keywordSizes, pxOf, sizeIn, sizeUnits, unitOf } from "./lengths";
import { facesOf, genericOn, memberOn, platformFaces, platforms } from "./platforms";
import { nearestStep, onGrid, ratios, scaleSteps, stepsBy } from "./scale";
import { shadowLayers, writeShadow } from "./shadow";
import { likelyGeneric, nearestFamily, stackFaults, stackMembers, writeStack } from "./stack";
import { runs } from "../testing/runs";

describe("sizes in units", () => {
  test("every unit comes back to the same px, as it is computed", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 4000 }),
        fc.integer({ min: 8, max: 40 }),
        fc.integer({ min: 10, max: 24 }),
        fc.constantFrom(...sizeUnits),
        (hundredths, parent, root, unit) => {
          const px = hundredths / 20;
          const text = sizeIn(px, unit, { parent, root, width: 1280 });
          const page = pageWith(
            `html{font-size:${root}px}div{font-size:${parent}px}p{font-size:${text}}`,
            "<div><p id=t>x</p></div>",
          );
          expect(Number.parseFloat(computed(page, "t", "font-size"))).toBeCloseTo(px, 1);
          expect(unitOf(text)).toBe(unit);
          expect(pxOf(text, { parent, root, width: 1280 })).toBeCloseTo(px, 1);
        },
      ),
      runs(150),
    );
  });

  test.each([
    ["28px", "px"],
    ["1.75rem", "rem"],
    ["150%", "%"],
    ["medium", null],
    ["calc(1px + 1em)", null],
    ["12", null],
    [".5EM", "em"],
  ])("%s is in %s", (text, unit) => {
    expect(unitOf(text)).toBe(unit);
    expect(pxOf(text, { parent: 20, root: 16, width: 1280 }) === null).toBe(unit === null);
  });

  test.each<[string, string]>([
    ["px", "28px"],
    ["rem", "1.75rem"],
    ["em", "1.4em"],
    ["%", "140%"],
    ["pt", "21pt"],
    ["vw", "2.1875vw"],
  ])("28 px in %s", (unit, text) => {
    expect(sizeIn(28, unit as "px", { parent: 20, root: 16, width: 1280 })).toBe(text);
  });

  test("a fluid size is what it says at both widths, between, and beyond", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 60 }),
        fc.integer({ min: 12, max: 60 }),
        fc.integer({ min: 320, max: 700 }),
        fc.integer({ min: 720, max: 1920 }),
        (small, large, narrow, wide) => {
          const fluid = fluidSize({ size: small, width: narrow }, { size: large, width: wide }, 16)!;
          const at = (width: number) =>
            Number.parseFloat(
              computed(pageWith(`p{font-size:${fluid.text}}`, "<p id=t>"), "t", "font-size", { width }),
            );
          expect(at(narrow)).toBeCloseTo(small, 1);
          expect(at(wide)).toBeCloseTo(large, 1);
          expect(at(300)).toBeCloseTo(small, 1);
          expect(at(2000)).toBeCloseTo(large, 1);
          const middle = (narrow + wide) / 2;
          expect(at(middle)).toBeCloseTo(fluid.base + fluid.slope * middle, 1);
        },
      ),
      runs(60),
    );
  });

  test("a fluid size needs two widths", () => {
    expect(fluidSize({ size: 20, width: 400 }, { size: 30, width: 400 }, 16)).toBeNull();
    expect(fluidSize({ size: 20, width: 400 }, { size: 36, width: 1200 }, 16)!.text).toBe(
      "clamp(1.25rem, 0.75rem + 2vw, 2.25rem)",
    );
    expect(fluidSize({ size: 36, width: 400 }, { size: 20, width: 1200 }, 16)!.text).toBe(
      "clamp(1.25rem, 2.75rem - 2vw, 2.25rem)",
    );
    expect(fluidSize({ size: 20, width: 400 }, { size: 20, width: 1200 }, 16)!.text).toBe("1.25rem");
  });
});

describe("stacks", () => {
  test.each<[string, string]>([
    ["Georgia,serif", "Georgia, serif"],
    ["'Times New Roman' , Times", '"Times New Roman", Times'],
    ["Helvetica Neue, 'sans-serif'", '"Helvetica Neue", "sans-serif"'],
    ['"2nd", \'a"b\'', '"2nd", "a\\"b"'],
  ])("%s is written %s", (text, written) => expect(writeStack(stackMembers(text)!)).toBe(written));

  test("what is written is read again as the same members", () => {
    const name = fc
      .string({ minLength: 1, maxLength: 12 })
      .filter((text) => text.trim() === text && !/[\u0000-\u001f\u007f]/.test(text) && text.trim() !== "");
    fc.assert(
      fc.property(fc.array(name, { minLength: 1, maxLength: 5 }), (names) => {
        const members = names.map((one) => ({ name: one, generic: false }));
        expect(stackMembers(writeStack(members))).toEqual(members);
      }),
    );
  });

  const kinds = (text: string, own: string[] = []) => stackFaults(stackMembers(text)!, own).map(({ kind }) => kind);
  test.each<[string, string[]]>([
    ["Georgia, serif", []],
    ["Georgia", ["no generic"]],
    ["serif, Georgia", ["generic not last"]],
    ["Arial, Arial, sans-serif", ["twice"]],
    ["Georga, serif", ["misspelt"]],
    ["TimesNewRoman, serif", ["misspelt"]],
    ['"serif"', ["quoted generic", "no generic"]],
    ["system-ui, sans-serif", []],
    ["Own Face, serif", []],
  ])("%s: %j", (text, expected) => expect(kinds(text)).toEqual(expected));

  test("faults are mended", () => {
    const mended = (text: string) => writeStack(stackFaults(stackMembers(text)!, [])[0]!.mended!);
    expect(mended("Georgia")).toBe("Georgia, serif");
    expect(mended("Menlo")).toBe("Menlo, monospace");
    expect(mended("Georga, serif")).toBe("Georgia, serif");
    expect(mended("serif, Georgia, Times")).toBe("Georgia, Times, serif");
  });

  test.each([
    ["Ossel Slab", "serif"],
    ["Ossel Sans Text", "sans-serif"],
    ["Ossel Mono Text", "monospace"],
    ["Ossel", "sans-serif"],
    ["Ossel, Georgia, Arial", "serif"],
    ["Ossel Slab, Arial", "sans-serif"],
  ])("the generic family that goes with %s is %s", (text, generic) =>
    expect(likelyGeneric(stackMembers(text)!)).toBe(generic),
  );

  test("names are told from the site's own, too", () => {
    expect(nearestFamily("Biter", ["Bitter"])).toBe("Bitter");
    expect(nearestFamily("bitter", ["Bitter"])).toBeNull();
    expect(nearestFamily("Something Else", [])).toBeNull();
  });
});

describe("platforms", () => {
  const on = (text: string, own: string[] = []) =>
    Object.fromEntries(platforms.map(({ platform }) => [platform, memberOn(platform, stackMembers(text)!, own).face]));

  test("who gets what", () => {
    expect(on('Georgia, "Times New Roman", serif')).toEqual({
      windows: "Georgia",
      macos: "Georgia",
      ios: "Georgia",
      android: "Noto Serif",
      chromeos: "Tinos",
      linux: "DejaVu Serif",
    });
    expect(on("Bitter, Georgia", ["bitter"])).toMatchObject({ android: "Bitter", linux: "Bitter" });
    expect(on("Nothing")).toMatchObject({ windows: "Times New Roman" });
    expect(on("-apple-system, BlinkMacSystemFont, 'Segoe UI', Roboto, sans-serif")).toEqual({
      windows: "Segoe UI",
      macos: "San Francisco",
      ios: "San Francisco",
      android: "Roboto",
      chromeos: "Roboto",
      linux: "DejaVu Sans",
    });
  });

  test("every face has a system, weights in order and a name of its own", () => {
    expect(new Set(platformFaces.map(({ family }) => family.toLowerCase())).size).toBe(platformFaces.length);
    for (const { platforms: list, weights } of platformFaces) {
      expect(list.length).toBeGreaterThan(0);
      expect([...weights].sort((a, b) => a - b)).toEqual(weights);
      // Weights of faces are hundreds (CSS Fonts 4, 2.2), but for a few that stand between.
      expect(weights.every((weight) => weight % 50 === 0 && weight >= 100 && weight <= 950)).toBe(true);
    }
    for (const faces of Object.values(genericOn))
      expect(Object.keys(faces).sort()).toEqual(platforms.map(({ platform }) => platform).sort());
  });
});

describe("scales", () => {
  test("steps go by one ratio through the base", () => {
    expect(scaleSteps(16, 1.25, 12, 40)).toEqual([12.8, 16, 20, 25, 31.25, 39.06]);
    // Steps that hardly rise come to an end.
    expect(scaleSteps(16, 1.002, 1, 1000)).toHaveLength(60);
    for (const { ratio } of ratios) {
      const steps = scaleSteps(16, ratio, 10, 60);
      expect(steps).toContain(16);
      steps.slice(1).forEach((step, at) => expect(step / steps[at]!).toBeCloseTo(ratio, 1));
    }
    expect(scaleSteps(16, 1, 10, 60)).toEqual([]);
  });

  test("steps are those of a ratio around all sizes, those written down, or those of a grid", () => {
    const how = { by: 1.25, base: 16, own: "20, 12;16 x 0 2000", grid: 4 } as const;
    expect(stepsBy(how, 14, 30)).toEqual([12.8, 16, 20, 25, 31.25]);
    // The base is among them, however far it is from the sizes.
    expect(stepsBy({ ...how, base: 64 }, 40, 42)).toEqual(expect.arrayContaining([40.96, 64]));
    expect(stepsBy({ ...how, by: "own" }, 14, 30)).toEqual([12, 16, 20]);
    expect(stepsBy({ ...how, by: "grid" }, 14, 13)).toEqual([4, 8, 12, 16, 20]);
    expect(stepsBy({ ...how, by: "grid", grid: 0.001 }, 14, 30)).toHaveLength(200);
  });

  test("the nearest step is nearest by proportion", () => {
    expect(nearestStep(28, [16, 25, 31.25])).toBe(25 * 31.25 > 28 * 28 ? 25 : 31.25);
    expect(nearestStep(28, [])).toBeNull();
  });
});

describe("shadows", () => {
  test.each<[string, number, string]>([
    ["none", 0, "none"],
    ["1px 2px red,3px 4px 5px", 2, "1px 2px red, 3px 4px 5px"],
    ["rgb(1 2 3 / 50%) 0 1px 0", 1, "0 1px rgb(1 2 3 / 50%)"],
    ["calc(1px + 2px) 0 .1em currentcolor", 1, "calc(1px + 2px) 0 .1em currentcolor"],
  ])("%s has %d layers", (text, count, written) => {
    const layers = shadowLayers(text)!;
    expect(layers).toHaveLength(count);
    expect(writeShadow(layers)).toBe(written);
    const shown = (value: string) => computed(pageWith(`p{text-shadow:${value}}`, "<p id=t>"), "t", "text-shadow");
    expect(shown(written)).toBe(shown(text));
  });

  test.each(["1px", "red blue 1px 1px", "1px 1px 1px 1px", "", "inherit"])(
    "%j is none that can be taken apart",
    (text) => expect(shadowLayers(text)).toBeNull(),
  );
});

describe("lines of text", () => {
  test.each<[string, Partial<ReturnType<typeof decorationParts>>, string]>([
    ["underline", { lines: ["underline"] }, "underline"],
    [
      "UNDERLINE overline wavy rgb(1 2 3 / 50%) 2px",
      { lines: ["underline", "overline"], style: "wavy", color: "rgb(1 2 3 / 50%)", thickness: "2px" },
      "underline overline wavy rgb(1 2 3 / 50%) 2px",
    ],
    [
      "dotted line-through from-font currentcolor",
      { lines: ["line-through"], style: "dotted", thickness: "from-font", color: "currentcolor" },
      "line-through dotted currentcolor from-font",
    ],
    [
      "solid underline #abc calc(1px + 0.1em)",
      { lines: ["underline"], style: "solid", color: "#abc", thickness: "calc(1px + 0.1em)" },
      "underline #abc calc(1px + 0.1em)",
    ],
    ["none", { lines: [] }, "none"],
    ["red 2px", { lines: [], color: "red", thickness: "2px" }, "none"],
    ["none wavy red", { lines: [], style: "wavy", color: "red" }, "none"],
  ])("%s", (value, parts, written) => {
    expect(decorationParts(value)).toEqual({ style: "", thickness: "", color: "", ...parts });
    expect(writeDecoration(decorationParts(value))).toBe(written);
  });

  test("as longhands only what is said is set", () => {
    expect(decorationLonghands(decorationParts("underline red"))).toEqual([
      ["text-decoration-line", "underline"],
      ["text-decoration-color", "red"],
    ]);
    expect(decorationLonghands(decorationParts("none"))).toEqual([["text-decoration-line", "none"]]);
  });

  test("any lines, style, colour and thickness survive being taken apart and written", () => {
    const value = fc.record({
      lines: fc.subarray([...lineKinds], { minLength: 1 }),
      style: fc.constantFrom("", "double", "dotted", "dashed", "wavy"),
      color: fc.constantFrom("", "red", "#0b6b4e", "rgb(1 2 3 / 50%)", "color-mix(in oklab, red, blue 20%)"),
      thickness: fc.constantFrom("", "2px", "0.1em", "10%", "from-font", "auto"),
    });
    fc.assert(
      fc.property(value, (parts) => {
        expect(decorationParts(writeDecoration(parts))).toEqual(parts);
      }),
    );
  });
});

describe("axes of a variable font", () => {
  test("are taken apart and set one by one", () => {
    expect(axisSettings("normal")).toEqual([]);
    expect(axisSettings(`"GRAD" 50, 'slnt' -10.5`)).toEqual([
      { tag: "GRAD", value: 50 },
      { tag: "slnt", value: -10.5 },
    ]);
    for (const value of ["", "inherit", '"GRAD" calc(1)', '"GRAD"', "GRAD 5"]) expect(axisSettings(value)).toBeNull();
    const settings = axisSettings('"GRAD" 50, "YOPQ" 80')!;
    expect(withAxis(settings, "YOPQ", 60.123)).toBe('"GRAD" 50, "YOPQ" 60.12');
    expect(withAxis(settings, "slnt", -5)).toBe('"GRAD" 50, "YOPQ" 80, "slnt" -5');
    expect(withAxis(settings, "GRAD", null)).toBe('"YOPQ" 80');
    expect(withAxis([{ tag: "GRAD", value: 1 }], "GRAD", null)).toBe("normal");
  });
});

test("keywords of a size come to what browsers make of them", () => {
  const at = (parent: number, reader: number, monospace = false) =>
    Object.fromEntries(keywordSizes(parent, reader, monospace).map(({ keyword, px }) => [keyword, px]));
  expect(at(20, 16)).toMatchObject({ "xx-small": 9, medium: 16, "xxx-large": 48, larger: 24 });
  expect(at(16, 20)).toMatchObject({ medium: 20, "x-large": 30 });
  expect(at(16, 16, true)).toMatchObject({ medium: 13, small: 12 });
});

test("a height goes to the nearest line of a grid, never to none", () => {
  expect([23, 26, 1, 30].map((height) => onGrid(height, 8))).toEqual([24, 24, 8, 32]);
  expect(onGrid(22.4, 2.5)).toBe(22.5);
});

test("the faces of a stack come with the systems they are got on, each system once", () => {
  const faces = facesOf(stackMembers("Georgia, sans-serif")!, []);
  expect(faces.find(({ face }) => face === "Georgia")?.on).toEqual(expect.arrayContaining(["Windows", "macOS"]));
  expect(faces.flatMap(({ on }) => on).toSorted()).toEqual(platforms.map(({ label }) => label).toSorted());
  expect(facesOf(stackMembers("Bitter, serif")!, ["Bitter"])).toEqual([
    { face: "Bitter", on: platforms.map(({ label }) => label) },
  ]);
});
