import { sheetTexts } from "../source/declarations";
import { array, assert, constantFrom, oneof, property, string } from "fast-check";
import { describe, expect, test } from "vitest";
import { applyPlan, planEdit } from "./plan";
import { EditError, type Edit } from "./types";
import { openSite, textFile, type Site } from "../source/site";
import { runs } from "../testing/runs";

const page =
  '<!doctype html><link rel="stylesheet" href="a.css"><style>b{color:red}</style><p id="p" style="color:tan">x</p>';
const sheet = "h1{color:red}\np{color:blue;margin:0}\n.last{opacity:1}\n";
const siteWith = (css: string, html = page): Site =>
  openSite([
    { path: "index.html", text: html },
    { path: "a.css", text: css },
  ]);
const rule = (property: string, value: string, start: number): Edit => ({
  kind: "declare",
  target: { kind: "rule", path: "a.css", start },
  property,
  value,
});
const newRule = (value: string, path = "a.css"): Edit => ({
  kind: "declare",
  target: { kind: "new-rule", path, selector: ".added" },
  property: "color",
  value,
});
const written = (site: Site, edit: Edit, path = "a.css") => textFile(applyPlan(site, planEdit(site, edit)), path)!.text;
const rulesIn = (site: Site, path: string) =>
  sheetTexts(site, textFile(site, path)!).flatMap(({ items, text }) =>
    items.flatMap((item) =>
      item.kind === "style" ? [`${item.preludeText}|${text.slice(item.block.start, item.block.end)}`] : [],
    ),
  );

describe("values that would reach beyond their declaration", () => {
  test.each([
    ["color", "rgb(1 2 3"],
    ["margin", "calc(1em + 2px"],
    ["font-family", '"Georgia'],
    ["color", "red /* note"],
    ["color", "var(--x"],
    ["--x", "{a"],
    ["--x", "a } b"],
    ["--x", "a; b: c"],
    ["--x", '"a\nb"'],
    ["--x", "url(a b"],
    ["--x", "a\\"],
  ])("%s: %s is refused with the reason", (name, value) => {
    expect(() => planEdit(siteWith(sheet), rule(name, value, sheet.indexOf("p{")))).toThrow(EditError);
  });

  test("what would end a sheet in a page is refused there", () => {
    const edit: Edit = {
      ...(newRule("x", "index.html") as Edit & { kind: "declare" }),
      property: "--x",
      value: '"</style>"',
    };
    expect(() => planEdit(siteWith(sheet), edit)).toThrow("cannot stand in a page's own styles");
  });

  test("whatever is asked, every other rule stays as it is, or the edit is refused", () => {
    const pieces = constantFrom(
      "{",
      "}",
      "(",
      ")",
      ";",
      '"',
      "'",
      "/*",
      "*/",
      "\\",
      "\n",
      "red",
      "url(",
      "</style>",
      "!important",
      " ",
      "@a",
      "--x",
      "é",
    );
    const values = oneof(
      array(pieces, { maxLength: 6 }).map((parts) => parts.join("")),
      string({ maxLength: 8 }),
    );
    const targets = constantFrom<Edit & { kind: "declare" }>(
      rule("--x", "", sheet.indexOf("p{")) as Edit & { kind: "declare" },
      rule("color", "", sheet.indexOf("p{")) as Edit & { kind: "declare" },
      { ...(newRule("", "index.html") as Edit & { kind: "declare" }), property: "--x" },
      {
        kind: "declare",
        target: { kind: "style-attribute", element: { page: "index.html", index: 6 } },
        property: "--x",
        value: "",
      },
    );
    const site = siteWith(sheet);
    const kept = (one: Site) =>
      [...rulesIn(one, "a.css"), ...rulesIn(one, "index.html")].filter(
        (text) => !text.startsWith("p|") && !text.startsWith(".added|"),
      );
    const before = kept(site);
    assert(
      property(targets, values, (edit, value) => {
        let after: Site;
        try {
          after = applyPlan(site, planEdit(site, { ...edit, value }));
        } catch (error) {
          expect(error).toBeInstanceOf(EditError);
          return;
        }
        expect(kept(after)).toEqual(before);
        expect(textFile(after, "index.html")!.text.match(/<\/?(?:style|p)\b/g)).toHaveLength(4);
      }),
      runs(800),
    );
  });
});

describe("sheets that end open", () => {
  test.each([
    "p{color:red} /* note",
    "p{content:'x",
    "p{width:calc(1px",
    "@media print{p{color:red}",
    "p{color:red",
    "p{color:red}\\",
    ".unfinished",
    "@import 'x.css'",
  ])("%s is closed first, and it is said", (css) => {
    const site = siteWith(css);
    const plan = planEdit(site, newRule("lime"));
    expect(plan.warnings.join()).toContain("closed first");
    const items = sheetTexts(applyPlan(site, plan), textFile(applyPlan(site, plan), "a.css")!)[0]!.items;
    const last = items.at(-1);
    expect(last?.kind === "style" && last.preludeText).toBe(".added");
  });

  test("a declaration goes behind what is open in its rule", () => {
    const css = "p{color:rgb(1 2 3";
    expect(written(siteWith(css), rule("margin", "0", 0))).toBe("p{color:rgb(1 2 3);margin:0");
    expect(planEdit(siteWith(css), rule("margin", "0", 0)).warnings.join()).toContain("inside a parenthesis");
  });

  test("and in a style attribute", () => {
    const site = siteWith("", '<p style="color: rgb(1 2 3">x</p>');
    const edit: Edit = {
      kind: "declare",
      target: { kind: "style-attribute", element: { page: "index.html", index: 3 } },
      property: "margin",
      value: "0",
    };
    expect(written(site, edit, "index.html")).toBe('<p style="color: rgb(1 2 3);margin: 0">x</p>');
  });
});

describe("an edit that does not come out says so beforehand", () => {
  const warn = (css: string, edit: Partial<Edit & { kind: "declare" }>) => {
    const site = siteWith(css, '<link rel="stylesheet" href="a.css"><div><p>x</p></div>');
    const start = css.indexOf("p{");
    const place = { page: "index.html", index: 5 };
    const all = { kind: "declare", target: { kind: "rule", path: "a.css", start }, place, ...edit } as Edit;
    return planEdit(site, all).warnings.join(" ");
  };
  test.each([
    ["a logical twin after it", "p{margin-left:1px;margin-inline-start:3px}", "margin-left", "7px"],
    ["all after it", "p{color:red;all:unset}", "color", "blue"],
    ["a nested rule", "p{color:red;&{color:lime}}", "color", "blue"],
    ["an important twin", "p{color:red !important}\np{color:blue}", "margin-left", "3px"],
    ["one longhand of a shorthand", "p{margin:0}\ndiv p{margin-top:4px}", "margin", "9px"],
    ["a stronger rule that inherits", "p{color:red}\ndiv p{color:inherit}", "color", "blue"],
  ])("%s", (name, css, property, value) => {
    const text = warn(css, { property, value });
    if (name === "an important twin") expect(text).toBe("");
    else expect(text).not.toBe("");
  });
});

describe("letters that a file's encoding does not say", () => {
  test("are written as escapes where nothing declares it", () => {
    const site = siteWith(sheet, "<p>x</p>");
    expect(written(site, rule("font-family", '"Ærø"', sheet.indexOf("p{")))).toContain('font-family:"\\c6 r\\f8 "');
  });
  test("and as they are where it is declared", () => {
    const css = `@charset "utf-8";\n${sheet}`;
    expect(written(siteWith(css), rule("font-family", '"Ærø"', css.indexOf("p{")))).toContain('font-family:"Ærø"');
  });
});

test("a new rule goes into no sheet for another medium", () => {
  const html = (media: string) =>
    `<!doctype html><style>p{color:red}</style><style media="${media}">p{color:black}</style><p>x</p>`;
  const into = (media: string) => written(siteWith("", html(media)), newRule("lime", "index.html"), "index.html");
  expect(into("print")).toContain("p{color:red}.added{color:lime}</style>");
  expect(into("screen")).toContain("p{color:black}.added{color:lime}</style>");
});
