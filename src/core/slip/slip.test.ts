import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { EditError } from "../edits/types";
import { bareLayout, textId } from "../ground/layout";
import { openSite } from "../source/site";
import { pageWith, sampleFiles, site, styleOf, stylesOf } from "../testing/site";
import { slipFor } from "../testing/slip";
import { slipAtOnce } from "./slip";

const sample = openSite(sampleFiles());
const pick = (words: string, page = "index.html") => {
  const style = stylesOf(sample, page).find(({ element }) =>
    element.content.some((node) => "text" in node && node.text.includes(words)),
  )!;
  return slipFor(sample, { page, index: style.element.index }, defaultConditions);
};
const row = (slip: ReturnType<typeof slipFor>, id: string) => slip.rows.find((one) => one.id === id)!;

test("the picked heading says what it is and how it can be read", () => {
  const slip = pick("Winter sailings");
  expect(slip).toMatchObject({
    role: "Section heading",
    selector: "h2",
    text: "Winter sailings",
    needs: 3,
    verdict: "fails",
    sizePx: 28,
    leadingPx: 32,
    ink: "rgb(138, 154, 166)",
  });
  expect(slip.ratio).toBeCloseTo(2.895, 2);
});

test("a ground of its own is told of as the ground, whatever was seen there", () => {
  const from = pageWith("#t { background: #fff; color: #000 }", '<p id="t">Two boats</p>');
  const { index } = styleOf(from, "t").element;
  const box = { left: 0, top: 0, width: 90, height: 20 };
  const idsWhere = (ground: readonly number[]) => {
    const painted = { points: [...ground, 0, 0, 0, 50], seen: 1, doubt: null };
    const own = { index, box, images: [], picture: null, opacity: 1, group: false, doubt: null };
    const layouts = { "index.html": { [textId(index, null)]: { ...bareLayout(box), under: [own], painted } } };
    return slipAtOnce(from, { page: "index.html", index }, defaultConditions, layouts).rows.map(({ id }) => id);
  };
  for (const ground of [
    [255, 255, 255],
    [40, 90, 40],
  ]) {
    expect(idsWhere(ground)).toContain("ground");
    expect(idsWhere(ground)).not.toContain("own-ground");
  }
});

test("a ground tells what it lies on, which a translucent colour of it lets through", () => {
  const from = pageWith(
    "body { background: #eee } div { background: #abc } #own { background: #fff8 } #a, #own { color: #000 }",
    '<p id="a">Two boats<div><p id="b">Tern<p id="own">Turnstone</div>',
  );
  const beneath = (id: string) =>
    slipAtOnce(from, { page: "index.html", index: styleOf(from, id).element.index }, defaultConditions).rows.flatMap(
      (one) => (one.beneath === null ? [] : [[one.id, one.beneath]]),
    );
  const canvas = "rgb(255, 255, 255)";
  const [body, box] = ["rgb(238, 238, 238)", "rgb(170, 187, 204)"];
  expect(beneath("a")).toEqual([
    ["ground", canvas],
    ["own-ground", body],
  ]);
  expect(beneath("b")).toEqual([
    ["ground", body],
    ["own-ground", box],
  ]);
  expect(beneath("own")).toEqual([
    ["ground", body],
    ["own-ground", box],
  ]);
});

describe("rows", () => {
  test("come as written, computed, and with their place", () => {
    expect(row(pick("Winter sailings"), "size")).toMatchObject({
      written: "28px",
      computed: "28px",
      from: "declared",
      contenders: [{ property: "font", place: { path: "css/ferry.css", line: 43 } }, {}, {}],
    });
    expect(row(pick("Two boats"), "alignment")).toMatchObject({ written: null, computed: "start", from: "initial" });
    expect(row(pick("14:20"), "size")).toMatchObject({ from: "inherited", written: "16px" });
  });

  test("say of several sides what they come to where one declaration sets them all, else of the one that is explained", () => {
    const said = (css: string, id: string) => {
      const files = pageWith(css, '<div class="a"><p id="t">x</p></div>');
      return row(
        slipFor(files, { page: "index.html", index: styleOf(files, "t").element.index }, defaultConditions),
        id,
      ).sentence;
    };
    const from = "from `p` in index.html line 1.";
    expect(said("p{padding:6px 34px}", "padding")).toBe(`6px 34px, ${from}`);
    expect(said("p{padding:6px 34px} #t{padding-left:2px}", "padding")).toBe(`padding-top 6px, ${from}`);
    expect(said("p{border:2px solid red}", "edge")).toBe(`2px solid rgb(255, 0, 0), ${from}`);
    expect(said("p{border:2px solid red} #t{border-color:lime}", "edge")).toBe(`border-top-style solid, ${from}`);
    expect(said("p{background:linear-gradient(red,blue)}", "layers-position")).toBe(`0% 0%, ${from}`);
    // The ground is what all of them paint together.
    expect(said("p{background:linear-gradient(red,blue)}", "ground")).toBe(
      `background-color rgba(0, 0, 0, 0), ${from}`,
    );
    expect(said("p{background:#eee}", "ground")).toBe(`rgb(238, 238, 238), ${from}`);
  });

  test("tell whether somebody set them: not the browser alone, nor a shorthand that leaves out what nothing else sets", () => {
    const heading = pick("Winter sailings");
    const set = (one: ReturnType<typeof slipFor>) => one.rows.filter((each) => each.set).map(({ id }) => id);
    expect(set(heading)).toEqual([
      "stack",
      "size",
      "leading",
      "weight",
      "ink",
      "ground",
      "above",
      "below",
      "beside",
      "left",
      "right",
    ]);
    const own = (css: string, tag = "h3") => {
      const from = pageWith(css, `<${tag} id="t">x`);
      return set(slipFor(from, { page: "index.html", index: styleOf(from, "t").element.index }, defaultConditions));
    };
    expect(own("")).toEqual([]);
    expect(own("h3 { font: 20px serif }")).toEqual(["stack", "size", "weight"]);
    expect(own("p { font: 20px serif }", "p")).toEqual(["stack", "size"]);
    expect(own("body { letter-spacing: 1px }", "p")).toEqual(["letter-spacing"]);
    expect(own("p { /* opacity: .5; */ hyphens: yes }", "p")).toEqual(["opacity", "hyphens"]);
    expect(own("@media print { p { opacity: .5 } }", "p")).toEqual([]);
  });

  const rowOf = (css: string, id: string) => {
    const from = pageWith(css, '<p id="t">x');
    const { rows } = slipFor(from, { page: "index.html", index: styleOf(from, "t").element.index }, defaultConditions);
    return rows.find((one) => one.id === id)!;
  };
  const boxOf = (css: string, id: string) => {
    const { written, computed, set } = rowOf(css, id);
    return { written, computed, set };
  };

  test.each([
    ["padding: 1em 2em", "padding", "1em 2em", "16px 32px"],
    ["padding: 1em; padding-left: 0", "padding", "1em 1em 1em 0", "16px 16px 16px 0px"],
    ["padding-block: 4px", "padding", null, "4px 0px"],
    ["margin: 0 auto", "beside", "auto", "auto"],
    ["border: 1px solid red", "edge", "1px solid red", "1px solid rgb(255, 0, 0)"],
    ["border-bottom: 2px dotted blue", "edge", null, "below 2px dotted rgb(0, 0, 255)"],
    ["border-bottom: 2px dotted blue", "edge-bottom", "2px dotted blue", "2px dotted rgb(0, 0, 255)"],
    ["border-width: 3px", "edge", null, "none"],
    ["border-radius: 4px 8px", "corners", "4px 8px", "4px 8px"],
    ["outline: thin solid", "outline", "thin solid", "1px solid rgb(0, 0, 0)"],
    ["max-width: 30em", "box-widest", "30em", "480px"],
    [
      "background: url(a.png) no-repeat, linear-gradient(red, blue)",
      "layers-repeat",
      "no-repeat, repeat",
      "no-repeat, repeat",
    ],
  ])("a box with %s has %s %s", (declarations, id, written, computed) => {
    expect(boxOf(`p { ${declarations} }`, id)).toEqual({ written, computed, set: true });
  });

  test("layers are taken out of their shorthand, and what it makes up is not written", () => {
    const layers = "background: url(a.png) no-repeat, linear-gradient(red, blue)";
    expect(boxOf(`p { ${layers} }`, "layers").written).toBe("url(a.png), linear-gradient(red, blue)");
    expect(boxOf("p { background: #fff }", "layers")).toMatchObject({ written: null, set: false });
    expect(boxOf("p { background: linear-gradient(red, blue) }", "layers-size").written).toBeNull();
  });

  test.each([
    ["p { letter-spacing: 0.5em; font-size: 20px }", "letter-spacing", 10],
    ["p { letter-spacing: -1px }", "letter-spacing", -1],
    ["", "letter-spacing", null],
    ["p { font-weight: bold }", "weight", 700],
    ["p { max-width: 50% }", "box-widest", null],
    ["p { opacity: 0.5 }", "opacity", 0.5],
    ["p { margin-top: 1e-3px }", "above", 0.001],
  ])("%j: the %s as a number is %s", (css, id, amount) => expect(rowOf(css, id).amount).toBe(amount));

  test("sides that nobody set are not set", () => {
    for (const id of ["padding", "edge", "corners", "outline", "box-width", "float"])
      expect({ id, set: boxOf("", id).set }).toEqual({ id, set: false });
  });

  test("a shorthand that people write stands as a whole", () => {
    expect(row(pick("foot passengers"), "lines")).toMatchObject({ property: "text-decoration", written: "none" });
  });

  test("what another element has in its style attribute is written there", () => {
    const from = openSite([
      { path: "index.html", text: '<body style="background: linear-gradient(red, blue)"><p id="t">x' },
      { path: "a.css", text: "" },
    ]);
    const index = styleOf(from, "t").element.index;
    const { rows } = slipFor(from, { page: "index.html", index }, defaultConditions);
    const layers = rows.find(({ id }) => id === "layers")!;
    const body = { page: "index.html", index: index - 1 };
    expect(layers).toMatchObject({ owner: body, ownTarget: { kind: "style-attribute", element: body } });
    expect(layers.written).toBe("linear-gradient(red, blue)");
  });

  test("the ground names what it comes from and writes there", () => {
    const ground = row(pick("Winter sailings"), "ground");
    expect(ground).toMatchObject({
      computed: "rgb(255, 255, 255)",
      note: "It is the ground of body.",
      ownTarget: { kind: "rule", path: "css/ferry.css" },
    });
    expect(row(pick("Two boats"), "ground").note).toContain("gradient");
    expect(
      row(
        slipFor(
          pageWith("", '<p id="t">x'),
          { page: "index.html", index: styleOf(pageWith("", '<p id="t">x'), "t").element.index },
          defaultConditions,
        ),
        "ground",
      ).note,
    ).toContain("canvas");
  });

  test("what is switched off or ignored is told, with the reason", () => {
    const from = site({
      "index.html": '<link rel=stylesheet href=a.css><p id="t" style="/* color: blue; */ top: 0">x',
      "a.css": "p {\n  /* color: red; */\n  letter-spacing: 1;\n}",
    });
    const slip = slipFor(from, { page: "index.html", index: styleOf(from, "t").element.index }, defaultConditions);
    expect(row(slip, "ink").idle).toMatchObject([
      { state: "off", value: "red", path: "a.css", line: 2, element: null },
      { state: "off", value: "blue", path: "index.html", line: 1, start: 0, element: { page: "index.html" } },
    ]);
    expect(row(slip, "letter-spacing").idle).toMatchObject([
      { state: "ignored", reason: "`letter-spacing: 1` sets nothing: it lacks its unit. Meant: `1px`." },
    ]);
  });
});

describe("where an edit can be written", () => {
  test("matching rules come first, strongest first, each with its reach over the site", () => {
    const { targets } = pick("Winter sailings");
    expect(targets.map(({ group, label, reach }) => [group, label, reach.places.length, reach.pages.length])).toEqual([
      ["rule", "h2", 8, 3],
      ["rule", "h1, h2, h3", 15, 3],
      ["rule", "*", 133, 3],
      ["new rule", "main h2", 8, 3],
      ["new rule", "main h2", 12, 4],
      ["new rule", "main h2", 3, 1],
      ["class", ".main-heading, given to this one", 1, 1],
      ["class", ".main-heading, given to all like it", 8, 3],
      ["id", "#main-heading", 1, 1],
      ["style attribute", "style attribute", 1, 1],
    ]);
  });

  test("a rule under a condition says so", () => {
    const from = pageWith("@media (min-width: 1px) { p { color: red } }", '<p id="t">x');
    const { targets } = slipFor(
      from,
      { page: "index.html", index: styleOf(from, "t").element.index },
      defaultConditions,
    );
    expect(targets[0]).toMatchObject({ label: "p", condition: "@media (min-width: 1px)" });
  });

  test("a page without a sheet has its head, and last the element itself", () => {
    const from = site({ "index.html": '<p id="t">x' });
    const { targets } = slipFor(
      from,
      { page: "index.html", index: styleOf(from, "t").element.index },
      defaultConditions,
    );
    expect(targets.map(({ group }) => group)).toEqual(["new rule", "class", "id", "style attribute"]);
    expect(targets[0]!.path).toBe("index.html");
  });

  test("an element that the parser made up cannot be written into", () => {
    const from = site({ "index.html": "<style>p{}</style><table><tr><td>x</table>" });
    const body = stylesOf(from).find(({ element }) => element.tag === "tbody")!;
    const { targets } = slipFor(from, { page: "index.html", index: body.element.index }, defaultConditions);
    expect(targets.some(({ group }) => group === "style attribute")).toBe(false);
  });
});

test("an element that is not there is refused", () => {
  expect(() => slipFor(sample, { page: "index.html", index: 9999 }, defaultConditions)).toThrow(EditError);
  expect(() => slipFor(sample, { page: "nope.html", index: 0 }, defaultConditions)).toThrow(EditError);
});
