import { describe, expect, test } from "vitest";
import { formatColor, showRatio } from "../color";
import { pageWith, styleOf } from "../testing/site";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { textFile } from "../source/site";
import { legibilityOf } from "./ground";
import { mayBeOverlapped } from "./moved";

const of = (css: string, body: string, scheme: "light" | "dark" = "light") =>
  legibilityOf(styleOf(pageWith(css, body), "t", { scheme }));
const hex = (color: Parameters<typeof formatColor>[0]) => formatColor(color, "hex");

test("texts in one ink on the same are doubted each for its own reason", () => {
  const page = pageWith(
    "div{float:left} p{color:#333} #b{background-clip:text}",
    '<div><p id="a">x</p><p id="b">x</p></div>',
  );
  const [plain, filled] = ["a", "b"].map((id) => legibilityOf(styleOf(page, id)).ground.doubt);
  expect(plain).toMatch(/It floats/);
  expect(filled).toMatch(/filled with its background/);
});

describe("what is behind a text", () => {
  test.each<[string, string, string, string]>([
    ["the canvas, when nothing paints", "", '<p id="t">', "#ffffff"],
    ["an ancestor's colour", "div{background:#123456}", '<div><section><p id="t">', "#123456"],
    ["the body's ground, carried to the canvas", "body{background:#eee}", '<p id="t">', "#eeeeee"],
    [
      "translucent layers, composited",
      "body{background:#fff}div{background:rgb(0 0 0/50%)}",
      '<div><p id="t">',
      "#808080",
    ],
    [
      "two translucent layers",
      "div{background:rgb(0 0 0/50%)}p{background:rgb(255 255 255/50%)}",
      '<div><p id="t">',
      "#bfbfbf",
    ],
    [
      "a faded group over what is behind it",
      "body{background:#fff}div{background:#000;opacity:.5}",
      '<div><p id="t">',
      "#808080",
    ],
    ["nothing from an element without a box", "div{display:contents;background:#000}", '<div><p id="t">', "#ffffff"],
  ])("%s", (_, css, body, expected) => {
    const { ground } = of(css, body);
    expect(hex(ground.color)).toBe(expected);
    expect(ground.certain).toBe(true);
    expect(ground.range).toBeNull();
  });

  test.each(["linear-gradient(#000,#fff)", "url(quay.png)"])(
    "an ink that is enough on both ends of %s and lost between them does not pass",
    (image) => {
      const { ratio, best, verdict } = of(`div{background:${image}}p{color:#767676}`, '<div><p id="t">');
      expect(ratio).toBeLessThan(1.5);
      expect(best).toBeGreaterThan(4.5);
      expect(verdict).toBe("doubtful");
    },
  );

  test("the dark canvas, where the page asks for it", () => {
    expect(hex(of(":root{color-scheme:dark light}", '<p id="t">', "dark").ground.color)).toBe("#121212");
    expect(hex(of(":root{color-scheme:dark light}", '<p id="t">', "light").ground.color)).toBe("#ffffff");
  });

  test("a gradient gives a range, the worst of it counts, and it is said not to be certain", () => {
    const { ground, ratio } = of("div{background:linear-gradient(#fff, #777);color:#fff}", '<div><p id="t">');
    expect(ground).toMatchObject({ certain: false, kind: "gradient" });
    expect(ground.range!.map(hex)).toEqual(["#777777", "#ffffff"]);
    expect(showRatio(ratio)).toBe("1.0");
  });

  test("an opaque ground over a picture is certain again", () => {
    const { ground } = of("div{background:url(a.png)}p{background:#fff}", '<div><p id="t">');
    expect(ground).toMatchObject({ certain: true, kind: "color" });
  });

  test.each([
    ["its colour", "p{background:#c00;background-clip:text}"],
    ["a gradient", "p{background-image:linear-gradient(red,blue),none;background-clip:text,border-box}"],
  ])("a text that is filled with %s stands on nothing that is known", (_, css) => {
    const { ground, verdict } = of(css, '<p id="t">');
    expect(ground).toMatchObject({ certain: false, doubt: "The text is filled with its background." });
    expect(verdict).toBe("doubtful");
  });

  test("a picture may be anything", () => {
    const { ground } = of("div{background:url(a.png)}", '<div><p id="t">');
    expect(ground).toMatchObject({ certain: false, kind: "picture" });
    expect(ground.range!.map(hex)).toEqual(["#000000", "#ffffff"]);
  });
});

test("texts that come out the same on boxes that look the same each tell their own box", () => {
  const from = pageWith(
    "div{background:#123456}p{color:#fff}",
    "<div><p id=t>x</div><p id=c>x</p><div><p id=u>x</div>",
  );
  const [t, u, c] = ["t", "u", "c"].map((id) => styleOf(from, id));
  const [first, second] = [legibilityOf(t!), legibilityOf(u!)];
  expect(first.ground.from).toBe(t!.parent!.element.index);
  expect(second.ground.from).toBe(u!.parent!.element.index);
  expect(second).toEqual({ ...first, ground: { ...first.ground, from: second.ground.from } });
  expect(legibilityOf(c!).ground).toMatchObject({ from: null, kind: "canvas" });
});

test("a ground that only shines through is that of what lies below it", () => {
  const from = pageWith("section{background:#123456}div{background:#fff8}", "<section><div><p id=t>x");
  const section = styleOf(from, "t").parent!.parent!;
  expect(legibilityOf(styleOf(from, "t")).ground).toMatchObject({ from: section.element.index, kind: "color" });
});

describe("what the ink comes out as", () => {
  test.each<[string, string, string]>([
    ["alpha", "p{color:rgb(0 0 0/50%)}", "#808080"],
    ["opacity", "p{color:#000;opacity:.5}", "#808080"],
    ["opacity of an ancestor", "div{opacity:.5}p{color:#000}", "#808080"],
    ["a fill of its own", "p{color:#000;-webkit-text-fill-color:#abcdef}", "#abcdef"],
  ])("%s", (_, css, expected) => {
    expect(hex(of(css, '<div><p id="t">').ink)).toBe(expected);
  });

  test("fading text with its ground fades the contrast as well", () => {
    const full = of("p{color:#000;background:#fff}body{background:#888}", '<p id="t">').ratio;
    const faded = of("p{color:#000;background:#fff;opacity:.4}body{background:#888}", '<p id="t">').ratio;
    expect(faded).toBeLessThan(full);
  });

  test("large and bold text needs less", () => {
    expect(of("p{font-size:24px;color:#888}", '<p id="t">')).toMatchObject({ needs: 3, passes: true });
    expect(of("p{font-size:16px;color:#888}", '<p id="t">')).toMatchObject({ needs: 4.5, passes: false });
  });
});

test.each([
  ["placed on the page", "p{position:absolute}", "It is placed over or under other parts of the page."],
  ["in the window", "p{position:fixed}", "It is placed over or under other parts of the page."],
  ["moved", "p{translate:1px}", "It is moved from where it would stand."],
  ["afloat", "p{float:left}", "It floats, and may hang out of what is around it."],
])("what is %s may stand on anything", (_, css, doubt) => {
  const { ground, verdict } = of(css, '<div><p id="t">');
  expect(ground).toMatchObject({ certain: false, doubt });
  expect(verdict).toBe("doubtful");
  // Its own ground goes with it.
  expect(of(`${css}p{background:#fff}`, '<div><p id="t">').ground.certain).toBe(true);
});

const isOverlapped = (css: string, body: string, id: string) => {
  const from = pageWith(css, body);
  const page = styledPage(from, textFile(from, "index.html")!, defaultConditions);
  return mayBeOverlapped(page, styleOf(from, id));
};

test.each<[string, string, string[]]>([
  ["none is placed", "", []],
  ["one is placed", "#a{position:absolute;background:red}", ["c"]],
  ["one is placed and paints nothing", "#a{position:absolute}", []],
  ["one is placed in another", "#a,#b{position:absolute;background:red}", ["a", "c"]],
  ["two are placed side by side", "#b,#c{position:absolute;background:red}", ["a", "b", "c"]],
])("where %s, others may lie over what is not in it", (_, css, expected) => {
  const body = "<div id=a>x<p id=b>x</p></div><p id=c>x</p>";
  expect(["a", "b", "c"].filter((id) => isOverlapped(css, body, id))).toEqual(expected);
});

describe("generated boxes", () => {
  const overlapped = (css: string) => isOverlapped(css, '<div id="d">x</div><p id="t">x</p>', "t");

  test.each([
    ["in the flow", "div::before{content:'';background:red}", false],
    ["placed and painted", "div::before{content:'';background:red;position:absolute}", true],
    ["placed, after", "div::after{content:'';box-shadow:0 0 1px;position:absolute}", true],
    ["placed, without content", "div::before{background:red;position:absolute}", false],
    ["placed, painting nothing", "div::before{content:'x';position:absolute}", false],
    ["of what is not shown", "div{display:none}div::before{content:'';background:red;position:absolute}", false],
  ])("%s", (_, css, expected) => {
    expect(overlapped(css)).toBe(expected);
  });
});

test.each([
  ["18px", 1, 4.5],
  ["18px", 1.5, 3],
  ["30px", 0.5, 4.5],
])("text of %s, shown %f times as large, needs %f", (size, zoom, needs) => {
  expect(of(`div{zoom:${zoom}}p{font-size:${size}}`, '<div><p id="t">').needs).toBe(needs);
});
