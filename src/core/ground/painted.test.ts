import { describe, expect, test } from "vitest";
import { legibilityOf } from "./ground";
import { groundFromPaint } from "./painted";
import { bareLayout, type PlaceLayout } from "./layout";
import { pageWith, stylesOf } from "../testing/site";

const point = (ground: number, ink: number, count: number) => [ground, ground, ground, ink, ink, ink, count];

describe("what was painted", () => {
  test("the worst twentieth gives the ratio, and the least is told", () => {
    const seen = groundFromPaint({ points: [...point(255, 0, 96), ...point(60, 0, 4)], seen: 1, doubt: null })!;
    expect(seen.ratio).toBeCloseTo(21, 5);
    expect(seen.least).toBeLessThan(3);
    expect(seen.range).not.toBeNull();
  });

  test("more than a twentieth is not left out", () => {
    const seen = groundFromPaint({ points: [...point(255, 0, 90), ...point(60, 0, 10)], seen: 1, doubt: null })!;
    expect(seen.ratio).toBe(seen.least);
  });

  test("columns that the line through a text covers in part are no worst point", () => {
    const least = (...points: number[][]) => groundFromPaint({ points: points.flat(), seen: 1, doubt: null })!.least;
    const [text, edge] = [point(255, 0, 990), point(255, 90, 10)];
    expect(least(text, edge)).toBeCloseTo(21, 5);
    // Too many, on a ground of their own, or in an ink that is no mix: they are the text's.
    expect(least(text, point(255, 90, 30))).toBeLessThan(7);
    expect(least(text, point(200, 90, 10))).toBeLessThan(5);
    expect(least(text, [255, 255, 255, 0, 0, 255, 10])).toBeLessThan(9);
    expect(least(text, edge, [255, 255, 255, 0, 0, 255, 5])).toBeLessThan(9);
  });

  test("one ground has no range, and nothing seen is no ground", () => {
    expect(groundFromPaint({ points: point(10, 200, 5), seen: 1, doubt: null })!.range).toBeNull();
    expect(groundFromPaint({ points: [], seen: 0, doubt: null })).toBeNull();
  });
});

const layout = (more: Partial<PlaceLayout>): PlaceLayout => ({
  ...bareLayout({ left: 0, top: 0, width: 10, height: 10 }),
  ...more,
});

const judge = (css: string, more: Partial<PlaceLayout>, body = '<p id="t">x</p>') => {
  const styles = stylesOf(pageWith(css, body));
  return legibilityOf(
    styles.find(({ element }) => element.id === "t")!,
    layout(more),
    styles,
  );
};

describe("the verdict", () => {
  test("pixels count where layers tell otherwise, and it is said", () => {
    const { verdict, ground } = judge("", { painted: { points: point(0, 0, 9), seen: 1, doubt: null } });
    expect([verdict, ground.certain, ground.painted, ground.kind]).toEqual(["fails", true, true, "painted"]);
  });

  test("layers that tell the same explain it", () => {
    const { ground } = judge("#t{background:#fff}", { painted: { points: point(255, 0, 9), seen: 1, doubt: null } });
    expect([ground.kind, ground.from === null]).toEqual(["canvas", true]);
    const own = { index: 4, box: layout({}).text, images: [], picture: null, opacity: 1, group: false, doubt: null };
    const from = (ink: number) => {
      const painted = { points: point(ink, 0, 9), seen: 1, doubt: null };
      return judge("#t{background:#808080}", { painted, under: [own] }).ground.from;
    };
    expect([from(128), from(140)]).toEqual([4, null]);
  });

  test("part of a gradient is explained by the gradient", () => {
    const css = "#t{background:linear-gradient(#000, #fff)}";
    const painted = { points: [...point(100, 0, 5), ...point(180, 0, 5)], seen: 1, doubt: null };
    const under = [
      { index: 4, box: layout({}).text, images: [], picture: null, opacity: 1, group: false, doubt: null },
    ];
    expect(judge(css, { painted, under }).ground.kind).toBe("painted");
    const gradient = { tile: layout({}).text, repeatX: false, repeatY: false, clip: layout({}).text, pixels: null };
    const styles = stylesOf(pageWith(css, '<p id="t">x</p>'));
    const { index } = styles.find(({ element }) => element.id === "t")!.element;
    expect(judge(css, { painted, under: [{ ...under[0]!, index, images: [gradient] }] }).ground.kind).toBe("gradient");
  });

  test("where a picture may be laid out otherwise, only what layers tell, too, is certain", () => {
    const apart = "The page is in quirks mode.";
    const certain = (ground: number) =>
      judge("", { painted: { points: point(ground, 0, 9), seen: 1, doubt: null, apart } }).ground.certain;
    expect([certain(255), certain(100)]).toEqual([true, false]);
  });

  test("a text of which nothing is seen is doubtful, or not judged where a clip hides it", () => {
    const nothing = { points: [], seen: 0, doubt: null };
    expect(judge("", { painted: nothing })).toMatchObject({ verdict: "doubtful", passes: false });
    expect(judge("", { painted: nothing, hides: "It is clipped to nothing." })).toMatchObject({
      verdict: "unjudged",
      unjudged: "It is clipped to nothing.",
    });
  });

  test("doubt never says that a partly covered text passes", () => {
    const painted = { points: point(255, 0, 9), seen: 0.5, doubt: null };
    expect(judge("", { painted }).verdict).toBe("doubtful");
    expect(judge("", { painted, hides: "It is cut off by the box around it." }).verdict).toBe("passes");
  });

  test.each([
    ["#t{opacity:0}", "Its opacity is 0."],
    ["body{opacity:0}", "The opacity around it is 0."],
    ["#t{font-size:0}", "Its size is 0."],
    ["#t{position:absolute;left:-9999px}", "It is clipped to nothing."],
    ["#t{position:absolute;clip:rect(0 0 0 0)}", "It is clipped to nothing."],
    ["#t{text-indent:-9999px}", "Its first line is moved out of the page."],
  ])("nobody sees %s", (css, words) => expect(judge(css, {}).unjudged).toBe(words));

  test("what is in closed details, and what is out of use", () => {
    expect(judge("", {}, '<details><summary>s</summary><p id="t">x</p></details>').unjudged).toContain("closed");
    expect(judge("", {}, '<details><summary id="t">s</summary></details>').unjudged).toBeNull();
    expect(judge("", {}, '<button id="t" disabled>x</button>').verdict).toBe("unjudged");
    expect(judge("", {}, '<fieldset disabled><legend id="t">x</legend></fieldset>').unjudged).toBeNull();
  });
});
