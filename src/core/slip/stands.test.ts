import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { nearestPassingInk, ratioOn, parseColor } from "../color";
import { changeSite } from "../source/site";
import { pageWith, stylesOf } from "../testing/site";
import { isPlace } from "../text/textStyles";
import { settingOf } from "./setting";
import { groundsUnder, inksOn, judgeChange } from "./stands";

const css =
  "body{background:#fff;color:#8a9aa6}section{background:#204060}aside{opacity:.5}.g{background:linear-gradient(#000,#fff)}b{color:#111}";
const site = pageWith(
  css,
  "<p id=a>one</p><section><p id=b>two</p></section><aside><p id=c>three</p></aside><div class=g><p id=d>four</p></div><p><b id=e>five</b></p>",
);
const places = stylesOf(site)
  .filter(isPlace)
  .map(({ element }) => ({ page: "index.html", index: element.index }));
const ref = (id: string) => ({
  page: "index.html",
  index: stylesOf(site).find(({ element }) => element.id === id)!.element.index,
});
const grounds = groundsUnder(site, ref("a"), places, defaultConditions, {});

describe("grounds under an ink", () => {
  test("are each named, with their places; texts of another ink are left out", () => {
    expect(grounds.map(({ name, places: there }) => [name, there.length])).toEqual([
      ["body", 2],
      ["section", 1],
      ["gradient of .g", 1],
    ]);
    expect(grounds.flatMap(({ places: there }) => there)).not.toContainEqual(ref("e"));
  });

  test("say the ratio as it comes out, groups of opacity included", () => {
    for (const { needs, ratio, range } of grounds) {
      if (range) continue;
      expect(Math.min(...needs.map((need) => ratioOn(parseColor("#8a9aa6")!, need)))).toBeGreaterThanOrEqual(
        ratio - 1e-6,
      );
    }
    const faded = groundsUnder(site, ref("c"), [], defaultConditions, {})[0]!;
    expect(ratioOn(parseColor("#8a9aa6")!, faded.needs[0]!)).toBeCloseTo(faded.ratio, 3);
    expect(faded.needs[0]!.opacity).toBeCloseTo(0.5, 3);
  });

  test("a faded text is brought to pass through its group", () => {
    const faded = groundsUnder(site, ref("c"), [], defaultConditions, {})[0]!;
    const { color, passes } = nearestPassingInk(parseColor("#8a9aa6")!, faded.needs);
    expect(passes).toBe(false);
    expect(ratioOn(color, faded.needs[0]!)).toBeLessThan(4.5);
  });

  test("a gradient has two ends", () =>
    expect(grounds.find(({ name }) => name.startsWith("gradient"))!.needs).toHaveLength(2));

  test("on a gradient, groups between it and the text fade the ink, and what it fades with itself does not", () => {
    const from = pageWith(
      "div{background:linear-gradient(#000,#fff);opacity:.9}section{opacity:.8}p{opacity:.5}",
      "<div><section><p id=t>one</p></section></div>",
    );
    const index = stylesOf(from).find(({ element }) => element.id === "t")!.element.index;
    const [under] = groundsUnder(from, { page: "index.html", index }, [], defaultConditions, {});
    expect(under!.needs.map(({ opacity }) => opacity)).toEqual([0.4, 0.4]);
  });

  test("nothing for an element that is not there", () =>
    expect(groundsUnder(site, { page: "index.html", index: 999 }, [], defaultConditions, {})).toEqual([]));
});

describe("inks on a ground", () => {
  test("are those of all texts that stand on what the same rule gives, worst first", () => {
    const inks = inksOn(site, ref("a"), defaultConditions, {});
    expect(inks.map(({ css: ink, passes }) => [ink, passes])).toEqual([
      ["rgb(138, 154, 166)", false],
      ["rgb(138, 154, 166)", false],
      ["rgb(17, 17, 17)", true],
    ]);
    // The faded one apart: on another ground it would come out otherwise.
    expect(inks.map(({ over }) => over[0]!.ink.alpha)).toEqual([0.5, 1, 1].map((alpha) => expect.closeTo(alpha, 6)));
    expect(inksOn(site, ref("b"), defaultConditions, {}).map(({ places: there }) => there.length)).toEqual([1]);
  });
});

describe("what a change does to contrast", () => {
  const change = (from: string, to: string) => {
    const start = css.indexOf(from);
    const at = "<!doctype html><html><head><style>".length + start;
    const changes = [{ path: "index.html", start: at, end: at + from.length, insert: to }];
    return [changeSite(site, changes), changes] as const;
  };

  test("falls and rises are told apart, with ratios before and after", () => {
    const darker = judgeChange(site, ...change("#fff", "#111"), places, defaultConditions, {});
    expect(darker.falls).toMatchObject([{ role: "Bold words", needs: 4.5, places: [ref("e")] }]);
    expect(darker.falls[0]!.before).toBeGreaterThan(15);
    expect(darker.falls[0]!.after).toBeCloseTo(1, 3);
    expect(darker.rises.flatMap(({ places: there }) => there)).toContainEqual(ref("a"));
  });

  test("a page that gets an element is judged by what its texts are, as they are counted before", () => {
    const at = "<!doctype html><html><head>".length;
    const insert =
      "<style>b{color:#aaa!important}@container(width>300px){p{color:#111!important}}body{container-type:inline-size}</style>";
    const changes = [{ path: "index.html", start: at, end: at, insert }];
    const after = changeSite(site, changes);
    const { falls, rises } = judgeChange(site, after, changes, places, defaultConditions, {});
    expect(falls).toMatchObject([{ role: "Bold words", places: [ref("e")] }]);
    expect(rises).toEqual([]);
    const [body] = stylesOf(site).filter(({ element }) => element.tag === "body");
    const containers = { "index.html": { [body!.element.index]: { width: 400, height: 9 } } };
    const wide = judgeChange(site, after, changes, places, { ...defaultConditions, containers }, {});
    expect(wide.rises.flatMap(({ places: there }) => there)).toContainEqual(ref("a"));
  });

  test("nothing changes, nothing is said", () =>
    expect(judgeChange(site, ...change("#fff", "#fefefe"), places, defaultConditions, {})).toEqual({
      falls: [],
      rises: [],
    }));
});

describe("how a value comes out", () => {
  test("outcomes with their counts, most first, and what units refer to", () => {
    const from = pageWith("div{font-size:20px}p{font-size:1.5em}", "<p id=a>x</p><p>y</p><div><p>z</p></div>");
    const all = stylesOf(from)
      .filter(isPlace)
      .map(({ element }) => ({ page: "index.html", index: element.index }));
    const setting = settingOf(from, all[2]!, all, "font-size", defaultConditions)!;
    expect(setting).toMatchObject({ size: 30, parent: 20, root: 16, leading: null });
    expect(setting.outcomes.map(({ value, places: there }) => [value, there.length])).toEqual([
      ["24px", 2],
      ["30px", 1],
    ]);
    expect(settingOf(from, { page: "index.html", index: 99 }, [], "font-size", defaultConditions)).toBeNull();
  });
});

test("the setting of a text that a pseudo-element shows is its own", () => {
  const from = pageWith("p{font-size:20px}p::before{content:'Fog';font-size:30px}", "<p id=t>horn</p>");
  const { index } = stylesOf(from).find(({ element }) => element.id === "t")!.element;
  const sizeOf = (pseudo?: string) =>
    settingOf(from, { page: "index.html", index, ...(pseudo ? { pseudo } : {}) }, [], "font-size", defaultConditions)
      ?.size;
  expect([sizeOf(), sizeOf("before"), sizeOf("after")]).toEqual([20, 30, undefined]);
});
