import { describe, expect, test } from "vitest";
import { formatColor } from "../color";
import { pageWith, stylesOf } from "../testing/site";
import { legibilityOf, notPainted } from "./ground";
import { layoutAfter } from "./under";
import {
  bareLayout,
  gridColumns,
  gridPoints,
  gridRows,
  type ImageLayout,
  type PlaceLayout,
  type UnderLayer,
} from "./layout";

const text = { left: 100, top: 100, width: 200, height: 20 };
const page = { left: 0, top: 0, width: 800, height: 600 };
const layer = (index: number, more: Partial<UnderLayer> = {}): UnderLayer => ({
  index,
  box: page,
  images: [],
  picture: null,
  opacity: 1,
  group: false,
  doubt: null,
  ...more,
});
const image = (more: Partial<ImageLayout> = {}): ImageLayout => ({
  tile: page,
  repeatX: false,
  repeatY: false,
  clip: page,
  pixels: null,
  ...more,
});

function look(css: string, body: string, layout: (index: (id: string) => number) => Partial<PlaceLayout>) {
  const styles = stylesOf(pageWith(css, body));
  const index = (id: string) => styles.find(({ element }) => element.id === id)!.element.index;
  return legibilityOf(
    styles[index("t")]!,
    {
      ...bareLayout(text),
      ...layout(index),
    },
    styles,
  );
}
const hex = (color: Parameters<typeof formatColor>[0]) => formatColor(color, "hex");

describe("what lies under a text on the laid-out page", () => {
  test("nothing but the canvas", () => {
    const { ground } = look("", "<p id=t>x</p>", () => ({}));
    expect([hex(ground.color), ground.doubt, ground.kind]).toEqual(["#ffffff", notPainted, "canvas"]);
  });

  test("another element's colour, placed between", () => {
    const { ground } = look("#x{background:#204060}p{color:#fff}", "<i id=x></i><p id=t>x</p>", (index) => ({
      under: [layer(index("x"))],
    }));
    expect([hex(ground.color), ground.range, ground.doubt]).toEqual(["#204060", null, notPainted]);
  });

  test("one that lies under a part gives a range", () => {
    const { ground } = look("#x{background:#204060}", "<i id=x></i><p id=t>x</p>", (index) => ({
      under: [layer(index("x"), { box: { left: 0, top: 0, width: 180, height: 600 } })],
    }));
    expect(ground.range!.map(hex)).toEqual(["#204060", "#ffffff"]);
    expect(ground.doubt).toBe(notPainted);
  });

  test("layers with alpha, and groups, in their order", () => {
    const { ground, ink } = look(
      "#g{opacity:.5;background:#000}p{color:#fff}",
      "<div id=g><p id=t>x</p></div>",
      (index) => ({ under: [layer(index("g"), { group: true })] }),
    );
    expect([hex(ground.color), hex(ink)]).toEqual(["#808080", "#ffffff"]);
    const veiled = look("#x{background:rgb(0 0 0/40%)}", "<i id=x></i><p id=t>x</p>", (index) => ({
      under: [layer(index("x"), { opacity: 0.5 })],
    }));
    expect(hex(veiled.ground.color)).toBe("#cccccc");
  });

  test("only the part of a gradient that lies there", () => {
    const { ground } = look(
      "#x{background:linear-gradient(90deg,#000,#fff)}",
      "<div id=x><p id=t>x</p></div>",
      (index) => ({ under: [layer(index("x"), { images: [image()] })] }),
    );
    const greys = ground.range!.map((color) => Math.round((color.channels[0] ?? 0) * 255));
    expect(greys[0]).toBeCloseTo((100 / 800) * 255, -1);
    expect(greys[1]).toBeCloseTo((300 / 800) * 255, -1);
    expect(ground).toMatchObject({ doubt: notPainted, kind: "gradient" });
  });

  test.each([
    ["beside the text", { left: 0, top: 0, width: 50, height: 600 }, "#ffffff"],
    ["above the text", { left: 0, top: 0, width: 800, height: 50 }, "#ffffff"],
    ["under the text", { left: 0, top: 90, width: 800, height: 50 }, "#000000"],
  ])("a single tile %s", (_, tile, color) => {
    const { ground } = look(
      "#x{background-image:linear-gradient(#000,#000)}",
      "<i id=x></i><p id=t>x</p>",
      (index) => ({ under: [layer(index("x"), { images: [image({ tile })] })] }),
    );
    expect([hex(ground.color), ground.range]).toEqual([color, null]);
  });

  test("tiles are repeated and clipped", () => {
    const look8 = (more: Partial<ImageLayout>) =>
      look("#x{background:linear-gradient(#000,#000)}", "<div id=x><p id=t>x</p></div>", (index) => ({
        under: [layer(index("x"), { images: [image({ tile: { left: 0, top: 0, width: 10, height: 10 }, ...more })] })],
      })).ground;
    expect(hex(look8({ repeatX: true, repeatY: true }).color)).toBe("#000000");
    expect(hex(look8({}).color)).toBe("#ffffff");
    expect(hex(look8({ repeatX: true, repeatY: true, clip: { left: 0, top: 0, width: 50, height: 50 } }).color)).toBe(
      "#ffffff",
    );
  });

  test("the darkest and lightest pixels of a picture", () => {
    const points = gridColumns * gridRows;
    const pixels = Array.from({ length: points }, (_, at) => [
      at,
      at,
      at,
      255,
      255 - at / 2,
      255 - at / 2,
      255 - at / 2,
      255,
    ]).flat();
    const { ground } = look("#x{background:url(a.png)}", "<div id=x><p id=t>x</p></div>", (index) => ({
      under: [layer(index("x"), { images: [image({ pixels })] })],
    }));
    expect(hex(ground.range![0])).toBe("#000000");
    expect(hex(ground.range![1])).toBe("#ffffff");
    expect(ground).toMatchObject({ doubt: notPainted, kind: "picture" });
  });

  test.each<[string, string, Partial<UnderLayer>, Partial<PlaceLayout>, RegExp]>([
    ["a picture that cannot be read", "#x{background:url(a.png)}", { images: [image()] }, {}, /cannot be read/],
    ["a blend mode", "#x{background:#fcc;mix-blend-mode:multiply}", {}, {}, /blended/],
    ["a filter", "#x{background:#fcc}", { doubt: "A filter changes what it looks like." }, {}, /filter/],
    ["something over it", "#x{background:#fcc}", {}, { over: [3] }, /lies over it/],
    [
      "a bar that floats",
      "#x{background:rgb(0 0 0/50%)}",
      {},
      { afloat: "It stays in its place while the page scrolls under it." },
      /scrolls under/,
    ],
  ])("%s makes it doubtful, and says so", (_, css, own, place, doubt) => {
    const { ground } = look(css, "<div id=x><p id=t>x</p></div>", (index) => ({
      under: [layer(index("x"), own)],
      ...place,
    }));
    expect(ground.certain).toBe(false);
    expect(ground.doubt).toMatch(doubt);
  });

  test("an opaque ground of its own ends all doubt below", () => {
    const { ground } = look(
      "#x{background:url(a.png)}p{background:#222}",
      "<div id=x><p id=t>x</p></div>",
      (index) => ({ afloat: "It floats.", under: [layer(index("x"), { images: [image()] }), layer(index("t"))] }),
    );
    expect([hex(ground.color), ground.doubt]).toEqual(["#222222", notPainted]);
  });

  test("text cut out of its background is filled with it", () => {
    const { ink, ground } = look(
      "p{background:#c00;background-clip:text;color:transparent}",
      "<p id=t>x</p>",
      (index) => ({ under: [layer(index("t"))] }),
    );
    expect([hex(ink), hex(ground.color)]).toEqual(["#cc0000", "#ffffff"]);
  });

  test("verdicts: what fails on all of it fails, what passes on some is doubtful only without certainty", () => {
    const verdict = (color: string, afloat: string | null) =>
      look(`p{color:${color}}#x{background:rgb(255 255 255/60%)}`, "<div id=x><p id=t>x</p></div>", (index) => ({
        afloat,
        under: [layer(index("x"))],
      })).verdict;
    expect(verdict("#333", "It floats.")).toBe("doubtful");
    expect(verdict("#ccc", "It floats.")).toBe("fails");
    expect(verdict("#000", null)).toBe("passes");
  });

  test("the grid has the edges in it", () => {
    const points = gridPoints(text);
    expect(points).toHaveLength(gridColumns * gridRows);
    expect(points[0]).toEqual([100, 100]);
    expect(points.at(-1)).toEqual([300, 120]);
  });
});

describe("a layout after a change", () => {
  /** The text as it is judged when the page was laid out with one sheet and gets another. */
  const after = (
    was: string,
    is: string,
    body: string,
    under: (index: (id: string) => number) => UnderLayer[] = () => [],
  ) => {
    const [old, now] = [stylesOf(pageWith(was, body)), stylesOf(pageWith(is, body))];
    const index = (id: string) => now.find(({ element }) => element.id === id)!.element.index;
    const layout = layoutAfter(
      {
        ...bareLayout(text),
        under: under(index),
      },
      old[index("t")]!,
      now[index("t")]!,
    );
    return legibilityOf(now[index("t")]!, layout, now);
  };

  test("opacity that was not there fades the ink, whether its element paints or not", () => {
    expect(hex(after("", "p{opacity:.5}", "<p id=t>x</p>").ink)).toBe("#808080");
    expect(hex(after("", "#g{opacity:.5}", "<div id=g><p id=t>x</p></div>").ink)).toBe("#808080");
    const painted = after(
      "#g{background:#f00}",
      "#g{background:#f00;opacity:.5}",
      "<div id=g><p id=t>x</p></div>",
      (index) => [layer(index("g"))],
    );
    expect([hex(painted.ground.color), hex(painted.ink)]).toEqual(["#ff8080", "#808080"]);
  });

  test("a ground that was not there comes under what stands inside", () => {
    const { ground } = after("", "#g{background:#204060}", "<div id=g><p id=t>x</p></div>");
    expect([hex(ground.color), ground.doubt]).toEqual(["#204060", notPainted]);
    const between = after(
      "#i{background:#ffff0080}",
      "#g{background:#000}#i{background:#ffff0080}",
      "<div id=g><div id=i><p id=t>x</p></div></div>",
      (index) => [layer(index("i"))],
    );
    expect(hex(between.ground.color)).toBe("#808000");
  });

  test("what was painted elsewhere stays elsewhere", () => {
    expect(
      hex(after("#g{background:#204060}", "#g{background:#000}", "<div id=g><p id=t>x</p></div>").ground.color),
    ).toBe("#ffffff");
  });

  test("a picture that is only tried is not known", () => {
    expect(after("", "#g{background:linear-gradient(#000,#fff)}", "<div id=g><p id=t>x</p></div>").ground.certain).toBe(
      false,
    );
  });
});
