import { describe, expect, test } from "vitest";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { applyPlan, planEdit } from "../edits/plan";
import { textFile } from "../source/site";
import { computed, site, stylesOf } from "../testing/site";
import { targetsFor } from "./targets";

const css =
  "body{color:#333}\np{margin:0}\n.lead{font-size:20px}\n@media (max-width:600px){p{margin:1px}}\n#own,h1{color:red}\na:hover{color:blue}";
const from = site({
  "index.html":
    '<link rel=stylesheet href=a.css><p class="lead" id="t">one</p><p id="u">two <b id="b">three</b></p><p id="own">four</p><a id="a" href="x">link</a>',
  "more.html": "<link rel=stylesheet href=a.css><p>five</p><p>six</p>",
  "a.css": css,
});
const options = (id: string, conditions: Partial<Conditions> = {}, of = from) => {
  const all = { ...defaultConditions, ...conditions };
  const page = styledPage(of, textFile(of, "index.html")!, all);
  return targetsFor(
    of,
    page,
    page.styles.find(({ element }) => element.id === id)!,
    all,
  );
};
const shown = (list: ReturnType<typeof options>) =>
  list.map(({ group, label, reach }) => [group, label, reach.places.length, reach.pages.length]);

describe("where an edit can be written", () => {
  test("the rules for the text, strongest first, with the places each reaches; then ways to write a new one", () => {
    expect(shown(options("t"))).toEqual([
      ["rule", ".lead", 1, 1],
      ["rule", "p", 6, 2],
      ["new rule", "body .lead", 1, 1],
      ["new rule", "body .lead", 1, 1],
      ["class", ".text, given to this one", 1, 1],
      ["id", "#t", 1, 1],
      ["style attribute", "style attribute", 1, 1],
    ]);
  });

  test("all that look like it can be given a class together", () => {
    expect(shown(options("u")).filter(([group]) => group === "class")).toEqual([
      ["class", ".text, given to this one", 2, 1],
      ["class", ".text, given to all like it", 3, 2],
    ]);
  });

  test("a new rule can go into every sheet of the page, and reaches the pages that read it", () => {
    const link = (path: string) => `<link rel=stylesheet href=${path}>`;
    const three = site({
      "a.html": `${link("one.css")}${link("two.css")}<link rel=stylesheet href=three.css media=print><style>i{top:0}</style><p>One</p>`,
      "b.html": `${link("one.css")}<p>Two</p>`,
      "one.css": "",
      "two.css": "",
      "three.css": "",
    });
    const page = styledPage(three, textFile(three, "a.html")!, defaultConditions);
    const found = targetsFor(
      three,
      page,
      page.styles.find(({ element }) => element.tag === "p")!,
      defaultConditions,
    );
    expect(
      found.filter(({ group }) => group === "new rule").map(({ label, path, reach }) => [label, path, reach.pages]),
    ).toEqual([
      ["p", "two.css", ["a.html"]],
      ["p", "one.css", ["a.html", "b.html"]],
      ["p", "a.html", ["a.html"]],
    ]);
  });

  test("a rule under a condition is there only when that holds, and says so", () => {
    expect(options("t", { width: 500 }).find(({ condition }) => condition)).toMatchObject({
      label: "p",
      condition: "@media (max-width:600px)",
      line: 4,
    });
    expect(options("t").some(({ condition }) => condition)).toBe(false);
  });

  test("what only a rule under a condition is for can still get one that always holds", () => {
    const of = site({
      "index.html": '<link rel=stylesheet href=a.css><p class="note" id="t">one</p>',
      "a.css": "@media (max-width:600px){.note{margin:1px}}",
    });
    const labels = (width: number) =>
      options("t", { width }, of).flatMap(({ group, label }) => (group === "new rule" ? label : []));
    expect([labels(500)[0], labels(900)[0]]).toEqual([".note", ".note"]);
  });

  test("a rule for a state is there while the state is forced, and reaches all that can be in it", () => {
    expect(options("a").some(({ label }) => label === "a:hover")).toBe(false);
    const { index } = stylesOf(from).find(({ element }) => element.id === "a")!.element;
    expect(shown(options("a", { forced: { "index.html": { [index]: ["hover"] } } }))[0]).toEqual([
      "rule",
      "a:hover",
      1,
      1,
    ]);
  });

  test("a list of selectors is one rule", () => expect(options("own")[0]).toMatchObject({ label: "#own,h1", line: 5 }));

  test("without a sheet of its own a page's head takes new rules", () => {
    const bare = site({ "index.html": '<p id="t">x</p>' });
    expect(shown(options("t", {}, bare))).toEqual([
      ["new rule", "p", 1, 1],
      ["class", ".text, given to this one", 1, 1],
      ["id", "#t", 1, 1],
      ["style attribute", "style attribute", 1, 1],
    ]);
  });

  test("the sheet that has rules of the kind is proposed before the last one", () => {
    const two = site({
      "index.html": '<link rel=stylesheet href=one.css><link rel=stylesheet href=two.css><h2 id="t">x</h2>',
      "one.css": "h2 { color: red }",
      "two.css": "p { color: red }",
    });
    const rules = options("t", {}, two).filter(({ group }) => group === "new rule");
    expect(rules.map(({ path }) => path)).toEqual(["one.css", "two.css", "index.html"]);
  });

  test("whatever is chosen, what is written there takes effect", () => {
    for (const { target, group } of options("u")) {
      const plan = planEdit(from, { kind: "declare", target, property: "letter-spacing", value: "3px" });
      expect(computed(applyPlan(from, plan), "u", "letter-spacing"), group).toBe("3px");
    }
  });
});

test("texts of pseudo-elements count where they have what a rule sets, and not where they have their own", () => {
  const pseudos = site({
    "index.html": '<link rel=stylesheet href=a.css><p id="t">one</p>',
    "a.css": 'p { color: red }\np::before { content: "Pier: " }\n',
  });
  const rule = options("t", {}, pseudos).find(({ label }) => label === "p")!;
  expect(rule.reach.places.map(({ pseudo }) => pseudo ?? null)).toEqual([null, "before"]);
});
