import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { computed, pageWith } from "../testing/site";
import { fluidSize, sizeIn, sizeUnits, unitOf } from "./lengths";
import { genericOn, memberOn, platformFaces, platforms } from "./platforms";
import { nearestStep, ratios, scaleSteps } from "./scale";
import { shadowLayers, writeShadow } from "./shadow";
import { nearestFamily, stackFaults, stackMembers, writeStack } from "./stack";

describe("sizes in units", () => {
  test("every unit comes back to the same px, as it is computed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 4000 }), fc.integer({ min: 8, max: 40 }), fc.integer({ min: 10, max: 24 }), fc.constantFrom(...sizeUnits), (hundredths, parent, root, unit) => {
        const px = hundredths / 20;
        const text = sizeIn(px, unit, { parent, root, width: 1280 });
        const page = pageWith(`html{font-size:${root}px}div{font-size:${parent}px}p{font-size:${text}}`, "<div><p id=t>x</p></div>");
        expect(Number.parseFloat(computed(page, "t", "font-size"))).toBeCloseTo(px, 1);
        expect(unitOf(text)).toBe(unit);
      }),
      { numRuns: 150 },
    );
  });

  test.each([["28px", "px"], ["1.75rem", "rem"], ["150%", "%"], ["medium", null], ["calc(1px + 1em)", null], ["12", null], [".5EM", "em"]])("%s is in %s", (text, unit) => expect(unitOf(text)).toBe(unit));

  test.each<[string, string]>([["px", "28px"], ["rem", "1.75rem"], ["em", "1.4em"], ["%", "140%"], ["pt", "21pt"], ["vw", "2.1875vw"]])("28 px in %s", (unit, text) => {
    expect(sizeIn(28, unit as "px", { parent: 20, root: 16, width: 1280 })).toBe(text);
  });

  test("a fluid size is what it says at both widths, between, and beyond", () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 60 }), fc.integer({ min: 12, max: 60 }), fc.integer({ min: 320, max: 700 }), fc.integer({ min: 720, max: 1920 }), (small, large, narrow, wide) => {
        const fluid = fluidSize({ size: small, width: narrow }, { size: large, width: wide }, 16)!;
        const at = (width: number) => Number.parseFloat(computed(pageWith(`p{font-size:${fluid.text}}`, "<p id=t>"), "t", "font-size", { width }));
        expect(at(narrow)).toBeCloseTo(small, 1);
        expect(at(wide)).toBeCloseTo(large, 1);
        expect(at(300)).toBeCloseTo(small, 1);
        expect(at(2000)).toBeCloseTo(large, 1);
        const middle = (narrow + wide) / 2;
        expect(at(middle)).toBeCloseTo(fluid.base + fluid.slope * middle, 1);
      }),
      { numRuns: 60 },
    );
  });

  test("a fluid size needs two widths", () => {
    expect(fluidSize({ size: 20, width: 400 }, { size: 30, width: 400 }, 16)).toBeNull();
    expect(fluidSize({ size: 20, width: 400 }, { size: 36, width: 1200 }, 16)!.text).toBe("clamp(1.25rem, 0.75rem + 2vw, 2.25rem)");
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
    const name = fc.string({ minLength: 1, maxLength: 12 }).filter((text) => text.trim() === text && !/[\u0000-\u001f\u007f]/.test(text) && text.trim() !== "");
    fc.assert(fc.property(fc.array(name, { minLength: 1, maxLength: 5 }), (names) => {
      const members = names.map((one) => ({ name: one, generic: false }));
      expect(stackMembers(writeStack(members))).toEqual(members);
    }));
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

  test("names are told from the site's own, too", () => {
    expect(nearestFamily("Biter", ["Bitter"])).toBe("Bitter");
    expect(nearestFamily("bitter", ["Bitter"])).toBeNull();
    expect(nearestFamily("Something Else", [])).toBeNull();
  });
});

describe("platforms", () => {
  const on = (text: string, own: string[] = []) => Object.fromEntries(platforms.map(({ platform }) => [platform, memberOn(platform, stackMembers(text)!, own).face]));

  test("who gets what", () => {
    expect(on('Georgia, "Times New Roman", serif')).toEqual({ windows: "Georgia", macos: "Georgia", ios: "Georgia", android: "Noto Serif", chromeos: "Tinos", linux: "DejaVu Serif" });
    expect(on("Bitter, Georgia", ["bitter"])).toMatchObject({ android: "Bitter", linux: "Bitter" });
    expect(on("Nothing")).toMatchObject({ windows: "Times New Roman" });
    expect(on("-apple-system, BlinkMacSystemFont, 'Segoe UI', Roboto, sans-serif")).toEqual({ windows: "Segoe UI", macos: "San Francisco", ios: "San Francisco", android: "Roboto", chromeos: "Roboto", linux: "DejaVu Sans" });
  });

  test("every face has a system, weights in order and a name of its own", () => {
    expect(new Set(platformFaces.map(({ family }) => family.toLowerCase())).size).toBe(platformFaces.length);
    for (const { platforms: list, weights } of platformFaces) {
      expect(list.length).toBeGreaterThan(0);
      expect([...weights].sort((a, b) => a - b)).toEqual(weights);
    }
    for (const faces of Object.values(genericOn)) expect(Object.keys(faces).sort()).toEqual(platforms.map(({ platform }) => platform).sort());
  });
});

describe("scales", () => {
  test("steps go by one ratio through the base", () => {
    expect(scaleSteps(16, 1.25, 12, 40)).toEqual([12.8, 16, 20, 25, 31.25, 39.06]);
    for (const { ratio } of ratios) {
      const steps = scaleSteps(16, ratio, 10, 60);
      expect(steps).toContain(16);
      steps.slice(1).forEach((step, at) => expect(step / steps[at]!).toBeCloseTo(ratio, 1));
    }
    expect(scaleSteps(16, 1, 10, 60)).toEqual([]);
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

  test.each(["1px", "red blue 1px 1px", "1px 1px 1px 1px", "", "inherit"])("%j is none that can be taken apart", (text) => expect(shadowLayers(text)).toBeNull());
});
