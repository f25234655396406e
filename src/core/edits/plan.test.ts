import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { computedValue, sameValues } from "../cascade/style";
import { applyChanges, invertChanges } from "../source/changes";
import { refAfter } from "../text/refAfter";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { documentOf } from "../source/html/document";
import { changeSite, openSite, pagesOf, textFile, type Site } from "../source/site";
import { slipFor } from "../testing/slip";
import { isPlace } from "../text/textStyles";
import { computed, sampleFiles, site, styleOf, stylesOf } from "../testing/site";
import { applyPlan, planEdit } from "./plan";
import { EditError, type Edit, type Target } from "./types";
import { runs } from "../testing/runs";

const sheet = (css: string) =>
  site({ "index.html": '<link rel=stylesheet href=a.css><body><p id="t" class="k">x</p><p>y</p>', "a.css": css });
const text = (from: Site, path = "a.css") => textFile(from, path)!.text;
const rule = (css: string, selector = "p"): Target => ({ kind: "rule", path: "a.css", start: css.indexOf(selector) });
const write = (css: string, property: string, value: string | null, selector = "p") => {
  const from = sheet(css);
  return text(applyPlan(from, planEdit(from, { kind: "declare", target: rule(css, selector), property, value })));
};

test("of changes to a text, those that change nothing are left out", () => {
  const from = sheet("p { color: red }");
  const change = (start: number, end: number, insert: string) => ({ path: "a.css", start, end, insert });
  const kept = [change(4, 9, ""), change(14, 14, ";")];
  const { changes } = planEdit(from, { kind: "text", changes: [kept[0]!, change(11, 11, ""), kept[1]!] });
  expect(changes).toEqual(kept);
});

describe("a rule is changed in its own way of writing", () => {
  test.each<[string, string, string, string | null, string]>([
    ["a value in place", "p { color : red ; }", "color", "blue", "p { color : blue ; }"],
    ["importance stays", "p{color:red!important}", "color", "blue", "p{color:blue!important}"],
    ["the last of two counts", "p{color:red;color:green}", "color", "blue", "p{color:red;color:blue}"],
    ["a comment beside the value stays", "p{color:/*a*/red/*b*/}", "color", "blue", "p{color:/*a*/blue/*b*/}"],
    [
      "a new line with the sheet's indentation",
      "p {\n\tcolor: red;\n}\n",
      "opacity",
      "0.5",
      "p {\n\tcolor: red;\n\topacity: 0.5;\n}\n",
    ],
    [
      "line ends as they are",
      "p {\r\n  color: red;\r\n}\r\n",
      "opacity",
      "0.5",
      "p {\r\n  color: red;\r\n  opacity: 0.5;\r\n}\r\n",
    ],
    [
      "a missing last semicolon is made good",
      "p {\n  color: red\n}",
      "opacity",
      "0.5",
      "p {\n  color: red;\n  opacity: 0.5\n}",
    ],
    ["minified", "p{color:red}a{top:0}", "opacity", "0.5", "p{color:red;opacity:0.5}a{top:0}"],
    ["one line", "p { color: red; }", "opacity", "0.5", "p { color: red; opacity: 0.5; }"],
    ["upper case", "p { COLOR: RED; }", "opacity", "0.5", "p { COLOR: RED; OPACITY: 0.5; }"],
    ["an empty rule", "p {}", "color", "blue", "p { color: blue; }"],
    ["an empty minified rule", "p{}a{top:0}", "color", "blue", "p{color:blue}a{top:0}"],
    [
      "inside a shorthand",
      "p{font:italic 16px/1.2 Georgia,serif}",
      "font-size",
      "2em",
      "p{font:italic 2em/1.2 Georgia,serif}",
    ],
    [
      "a stack inside a shorthand",
      "p{font:16px/1.2 Georgia,serif}",
      "font-family",
      "Arial, sans-serif",
      "p{font:16px/1.2 Arial, sans-serif}",
    ],
    [
      "after a shorthand that leaves it out",
      "p{font:16px Georgia}",
      "line-height",
      "1.5",
      "p{font:16px Georgia;line-height:1.5}",
    ],
    [
      "a colour inside background",
      "p{background:#fff url(a.png)}",
      "background-color",
      "#eee",
      "p{background:#eee url(a.png)}",
    ],
    ["an invalid value is mended in place", "p{letter-spacing:1}", "letter-spacing", "1px", "p{letter-spacing:1px}"],
    ["taken out with its line", "p {\n  color: red;\n  top: 0;\n}", "color", null, "p {\n  top: 0;\n}"],
    [
      "before nested rules",
      "p {\n  color: red;\n  & b { top: 0 }\n}",
      "opacity",
      "0.5",
      "p {\n  color: red;\n  opacity: 0.5;\n  & b { top: 0 }\n}",
    ],
    ["odd text elsewhere stays", "}} p{color:red} @x;a{b c;}/*", "color", "blue", "}} p{color:blue} @x;a{b c;}/*"],
  ])("%s", (_, css, property, value, expected) => {
    const start = css.includes("}} p") ? "}} p" : "p";
    expect(write(css, property, value, start)).toBe(expected);
  });
});

describe("other places to write to", () => {
  const css = "p {\n  color: red;\n}\n";
  const place = { page: "index.html", index: styleOf(sheet(css), "t").element.index };
  const after = (target: Target, property = "color", value = "blue") => {
    const from = sheet(css);
    return applyPlan(from, planEdit(from, { kind: "declare", target, property, value, place }));
  };

  test("a new rule for a group of selectors", () => {
    expect(text(after({ kind: "new-rule", path: "a.css", selector: "h1, p" }))).toBe(
      "p {\n  color: red;\n}\n\nh1, p {\n  color: blue;\n}\n",
    );
  });

  test("a class beside the one that is there", () => {
    const to = after({ kind: "class", name: "note", elements: [place], path: "a.css" });
    expect(text(to, "index.html")).toContain('<p id="t" class="k note">');
    expect(text(to)).toContain(".note {\n  color: blue;\n}");
    expect(computed(to, "t", "color")).toBe("rgb(0, 0, 255)");
  });

  test("an id, only where there is none", () => {
    expect(() => after({ kind: "id", name: "other", element: place, path: "a.css" })).toThrow(EditError);
    const second = after({
      kind: "id",
      name: "second",
      element: { page: "index.html", index: place.index + 1 },
      path: "a.css",
    });
    expect(text(second, "index.html")).toContain('<p id="second">y');
  });

  test("a style attribute, escaped as HTML wants it", () => {
    const to = after({ kind: "style-attribute", element: place }, "font-family", '"Times New Roman", serif');
    expect(text(to, "index.html")).toContain('<p style="font-family: &quot;Times New Roman&quot;, serif" id="t"');
    expect(computed(to, "t", "font-family")).toBe('"Times New Roman", serif');
  });

  test.each([
    ['<p id="t" style="font-family:&quot;A&quot;;color:red">', 'style="font-family:&quot;A&quot;;color:blue"'],
    ["<p id=t style='color:red'>", "style='color:blue'"],
    ["<p id=t style=color:red>", 'style="color:blue"'],
    ["<p id=t style>", 'style="color: blue"'],
    ["<p id=t style='top:0'>", "style='top:0;color:blue'"],
  ])("a style attribute that is there: %s", (html, expected) => {
    const from = site({ "index.html": html });
    const element = { page: "index.html", index: styleOf(from, "t").element.index };
    const to = applyPlan(
      from,
      planEdit(from, {
        kind: "declare",
        target: { kind: "style-attribute", element },
        property: "color",
        value: "blue",
      }),
    );
    expect(text(to, "index.html")).toBe(html.replace(/style(?:=(?:"[^"]*"|'[^']*'|[^>\s]*))?/, expected));
    expect(computed(to, "t", "color")).toBe("rgb(0, 0, 255)");
  });

  test("an embedded sheet", () => {
    const html = "<style>\n  p { color: red }\n</style><p id=t>";
    const from = site({ "index.html": html });
    const target: Target = { kind: "rule", path: "index.html", start: html.indexOf("p {") };
    expect(
      text(
        applyPlan(from, planEdit(from, { kind: "declare", target, property: "color", value: "blue" })),
        "index.html",
      ),
    ).toBe(html.replace("red", "blue"));
  });
});

describe("switching off and on", () => {
  test.each(["p { color: red; top: 0; }", "p{color:red}", "p {\n  color: red;\n}", "p{top:0;color:red}"])(
    "%s comes back as it was",
    (css) => {
      const from = sheet(css);
      const start = css.indexOf("color");
      const off = applyPlan(from, planEdit(from, { kind: "toggle", path: "a.css", start }));
      expect(text(off)).toMatch(/\/\* color: ?red;? \*\//);
      expect(computed(off, "t", "color")).toBe("rgb(0, 0, 0)");
      const on = applyPlan(off, planEdit(off, { kind: "toggle", path: "a.css", start }));
      expect(text(on)).toBe(css);
    },
  );

  test("a declaration with a comment inside is refused with the reason", () => {
    const from = sheet("p{color:/*x*/red}");
    expect(() => planEdit(from, { kind: "toggle", path: "a.css", start: 2 })).toThrow(/comment inside/);
  });
});

describe("what an edit reaches and warns of", () => {
  test("only places that come out differently are counted", () => {
    const css = "p{color:red}.k{color:red}";
    const from = sheet(css);
    const reach = (value: string) =>
      planEdit(from, { kind: "declare", target: rule(css, ".k"), property: "color", value }).reach;
    expect(reach("red").places).toHaveLength(0);
    expect(reach("blue")).toMatchObject({ places: [{ page: "index.html" }], pages: ["index.html"] });
    expect(
      planEdit(from, { kind: "declare", target: rule(css), property: "color", value: "blue" }).reach.places,
    ).toHaveLength(1);
  });

  test("a rule that another beats names the other", () => {
    const css = "p{color:red}.k{color:green}";
    const from = sheet(css);
    const place = { page: "index.html", index: styleOf(from, "t").element.index };
    const { warnings } = planEdit(from, {
      kind: "declare",
      target: rule(css),
      property: "color",
      value: "blue",
      place,
    });
    expect(warnings).toEqual([".k in a.css line 1 beats it, so the picked text does not change."]);
  });

  test.each<[string, string, string, string, string[]]>([
    [
      "changes with what it stands in",
      "*{} p{font-size:2em}",
      "font-size",
      "30px",
      ["p in a.css line 1 beats it, so the picked text changes only with what it stands in."],
    ],
    [
      "is beaten for some of it",
      "p{} .k{margin-top:9px;margin-left:8px} #t{margin-left:7px}",
      "margin",
      "1px",
      [".k in a.css line 1 beats it for margin-top.", "#t in a.css line 1 beats it for margin-left."],
    ],
    ["is beaten where it is set the same", "p{} .k{margin-top:1px}", "margin", "1px", []],
    [
      "is beaten for all of it",
      "p{} .k{margin:9px}",
      "margin",
      "1px",
      [".k in a.css line 1 beats it, so the picked text does not change."],
    ],
    [
      "has sides by the flow of its lines",
      "p{} .k{margin-left:9px}",
      "margin-inline",
      "1px",
      [".k in a.css line 1 beats it for margin-left."],
    ],
    [
      "takes it from elsewhere",
      "h1{} .k{margin:9px}",
      "margin",
      "1px",
      ["The picked text takes margin from .k in a.css line 1, so the picked text does not change."],
    ],
    [
      "is not what the rule is for",
      "h1{}",
      "color",
      "red",
      ["The picked text does not come out with it: color is rgb(0, 0, 0)."],
    ],
  ])("a text that %s", (_, css, property, value, expected) => {
    const from = sheet(css);
    const place = { page: "index.html", index: styleOf(from, "t").element.index };
    const { warnings } = planEdit(from, {
      kind: "declare",
      target: { kind: "rule", path: "a.css", start: 0 },
      property,
      value,
      place,
    });
    expect(warnings).toEqual(expected);
  });

  test("an important rule beats a style attribute", () => {
    const from = sheet(".k{color:green !important}");
    const element = { page: "index.html", index: styleOf(from, "t").element.index };
    const edit = {
      kind: "declare",
      target: { kind: "style-attribute", element },
      property: "color",
      value: "red",
    } as const;
    expect(planEdit(from, { ...edit, place: element }).warnings).toEqual([
      ".k in a.css line 1 (!important) beats it, so the picked text does not change.",
    ]);
    expect(planEdit(from, { ...edit, property: "margin", value: "1px", place: element }).warnings).toEqual([]);
  });

  test.each<[string, Edit]>([
    ["a value that is none", { kind: "declare", target: rule("p{}"), property: "color", value: "nope" }],
    ["a property that is none", { kind: "declare", target: rule("p{}"), property: "colour", value: "red" }],
    [
      "a rule that is not there",
      { kind: "declare", target: { kind: "rule", path: "a.css", start: 99 }, property: "color", value: "red" },
    ],
    [
      "a selector that is none",
      {
        kind: "declare",
        target: { kind: "new-rule", path: "a.css", selector: "p >" },
        property: "color",
        value: "red",
      },
    ],
    [
      "a class that is none",
      {
        kind: "declare",
        target: { kind: "class", name: "1 2", elements: [], path: "a.css" },
        property: "color",
        value: "red",
      },
    ],
    ["a file that is not there", { kind: "toggle", path: "b.css", start: 0 }],
  ])("%s is refused", (_, edit) => {
    expect(() => planEdit(sheet("p{}"), edit)).toThrow(EditError);
  });
});

test("random edits of the sample: computed as asked, all else the same, and back again", () => {
  const from = openSite(sampleFiles());
  const places = pagesOf(from).flatMap((file) =>
    stylesOf(from, file.path)
      .filter(isPlace)
      .map(({ element }) => ({ page: file.path, index: element.index })),
  );
  /** What is written, and what longhands come out with it. */
  const values: [string, string, Record<string, string>][] = [
    ...(
      [
        ["font-size", "23px"],
        ["color", "rgb(1, 2, 3)"],
        ["font-weight", "600"],
        ["line-height", "31px"],
        ["letter-spacing", "2px"],
        ["text-transform", "lowercase"],
        ["font-family", "Verdana, sans-serif"],
      ] as const
    ).map(([name, value]): [string, string, Record<string, string>] => [name, value, { [name]: value }]),
    ["margin", "3px 5px", { "margin-top": "3px", "margin-right": "5px", "margin-bottom": "3px", "margin-left": "5px" }],
    ["padding-block", "7px", { "padding-top": "7px", "padding-bottom": "7px" }],
    ["font", "italic 17px/25px Verdana", { "font-style": "italic", "font-size": "17px", "line-height": "25px" }],
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...places),
      fc.constantFrom(...values),
      fc.nat(30),
      (ref, [property, value, expected], at) => {
        const { targets } = slipFor(from, ref, defaultConditions);
        const { target } = targets[at % targets.length]!;
        const plan = planEdit(from, { kind: "declare", target, property, value, place: ref });
        const to = applyPlan(from, plan);
        const style = stylesOf(to, ref.page)[refAfter(from, to, ref, plan.changes)!.index]!;
        const said = plan.warnings.join(" ");
        const beaten = new Set(/beats it for ([-\w, ]+)\./.exec(said)?.[1]!.split(", ") ?? []);
        const isSame = sameValues(stylesOf(from, ref.page)[ref.index]!, style);
        if (said.includes("does not change")) expect(isSame).toBe(true);
        if (said.includes("changes only with")) expect(isSame).toBe(false);
        for (const [name, wanted] of Object.entries(expected)) {
          if (said === "") expect(computedValue(style, name)).toBe(wanted);
          if (beaten.has(name)) expect(computedValue(style, name)).not.toBe(wanted);
        }
        for (const [path, file] of from.files) {
          const own = plan.changes.filter((change) => change.path === path);
          if (own.length === 0) expect(to.files.get(path)).toBe(file);
          else expect(applyChanges(text(to, path), invertChanges(text(from, path), own))).toBe(text(from, path));
        }
        expect(text(changeSite(from, plan.changes), plan.changes[0]!.path)).toBe(text(to, plan.changes[0]!.path));
        const made = plan.changes.filter(({ insert }) => insert.includes("<style>")).length;
        expect(documentOf(textFile(to, ref.page)!).elements).toHaveLength(
          documentOf(textFile(from, ref.page)!).elements.length + made,
        );
      },
    ),
    runs(40),
  );
});

describe("a rule in a sheet that a page gets for it", () => {
  const files = (css: string) =>
    openSite([
      {
        path: "index.html",
        text: '<!doctype html><link rel=stylesheet href="a.css"><div><p>Pier</p></div><h2>Fares</h2>',
      },
      { path: "a.css", text: css },
    ]);
  const edit = (selector: string, property: string, value: string, index: number): Edit => ({
    kind: "declare",
    target: { kind: "new-rule", path: "index.html", selector },
    property,
    value,
    place: { page: "index.html", index },
  });

  test("is proved on the picked text, wherever that is counted then", () => {
    const plan = planEdit(files("h2 { color: navy }"), edit("h2", "font-size", "22px", 6));
    expect(plan.changes[0]!.insert).toContain("<style>");
    expect(plan.warnings).toEqual([]);
    expect(plan.reach.places).toEqual([{ page: "index.html", index: 6 }]);
  });

  test("a shorthand there still tells what it sets back", () => {
    const plan = planEdit(files("h2 { font-weight: 400 }"), edit("h2", "font", "italic 20px serif", 6));
    expect(plan.warnings).toEqual([]);
    const bold = planEdit(files("h2 { font-variant-caps: small-caps }"), edit("h2", "font", "20px serif", 6));
    expect(bold.warnings).toEqual([
      "font sets font-variant-caps back to normal; h2 in a.css line 1 had made it small-caps.",
    ]);
  });

  test("what is measured and forced stays with its element", () => {
    const css =
      "div { container-type: inline-size } @container (width > 300px) { div p { color: navy } } h2:hover { color: red }";
    const conditions = {
      ...defaultConditions,
      containers: { "index.html": { 4: { width: 400, height: 20 } } },
      forced: { "index.html": { 6: ["hover"] } },
    };
    const plan = planEdit(files(css), edit("h2", "font-size", "22px", 6), conditions);
    expect(plan.reach.places).toEqual([{ page: "index.html", index: 6 }]);
    expect(planEdit(files(css), edit("p", "color", "red", 5), conditions).warnings).toEqual([
      "div p in a.css line 1 beats it, so the picked text does not change.",
    ]);
    const later = conditionsAfter(conditions, files(css), applyPlan(files(css), plan), plan.changes);
    expect([later.containers, later.forced]).toEqual([
      { "index.html": { 5: { width: 400, height: 20 } } },
      { "index.html": { 7: ["hover"] } },
    ]);
  });
});
