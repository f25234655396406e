import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { applyChanges } from "../source/changes";
import { parseSheet } from "../source/css/syntax";
import { styleRules } from "../source/declarations";
import { changeSite } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { differenceSteps } from "./proof";
import { planRuleEdit, selectorsOf, type RuleEdit } from "./ruleEdits";
import { runs } from "../testing/runs";

const text = `/* Headings */
h1,
h2 {
  color: navy;
  margin: 0
}

h3 { color: navy; margin: 0; top: 0 }
@media print {
  p { color: black }
}
`;
const start = (selector: string, of = text) => of.indexOf(selector);
type Given = RuleEdit extends infer One ? (One extends RuleEdit ? Omit<One, "path"> : never) : never;
const after = (edit: Given, of = text) =>
  applyChanges(of, planRuleEdit(site({ "a.css": of }), { ...edit, path: "a.css" } as RuleEdit));

describe("by hand", () => {
  test("some selectors of a list get a rule of their own", () => {
    expect(after({ kind: "split-selectors", start: start("h1"), selectors: [1] })).toBe(
      text
        .replace("h1,\nh2 {", "h1 {")
        .replace("margin: 0\n}\n", "margin: 0\n}\nh2 {\n  color: navy;\n  margin: 0\n}\n"),
    );
    expect(() => after({ kind: "split-selectors", start: start("h1"), selectors: [0, 1] })).toThrow("have to stay");
  });

  test("some properties get a rule of their own", () => {
    expect(after({ kind: "split-properties", start: start("h1"), properties: ["margin"] })).toContain(
      "h1,\nh2 {\n  color: navy;\n}\nh1,\nh2 {\n  margin: 0\n}\n",
    );
    expect(after({ kind: "split-properties", start: start("h3"), properties: ["color", "top"] })).toContain(
      "h3 { margin: 0; }\n\nh3 { color: navy; top: 0 }\n",
    );
    expect(() => after({ kind: "split-properties", start: start("h3"), properties: ["left"] })).toThrow("have to stay");
  });

  test("the same for another selector", () => {
    expect(after({ kind: "copy-rule", start: start("h3"), selectors: "h4" })).toContain(
      "h3 { color: navy; margin: 0; top: 0 }\n\nh4 { color: navy; margin: 0; top: 0 }\n@media",
    );
    expect(() => after({ kind: "copy-rule", start: start("h3"), selectors: "h4 {" })).toThrow("is not a selector");
  });

  test("a rule changes places with its neighbour", () => {
    const moved = after({ kind: "move-rule", start: start("h3"), by: -1 });
    expect(moved.indexOf("h3")).toBeLessThan(moved.indexOf("h1"));
    expect(after({ kind: "move-rule", start: moved.indexOf("h3"), by: 1 }, moved)).toBe(text);
    expect(() => after({ kind: "move-rule", start: start("h1"), by: -1 })).toThrow("no rule before it");
    expect(() => after({ kind: "move-rule", start: start("p {"), by: 1 })).toThrow("no rule behind it");
  });

  test("nothing comes before what has to stand first", () => {
    const sheet = '@import "b.css";\nh1 { top: 0 }\n';
    expect(() => after({ kind: "move-rule", start: sheet.indexOf("h1"), by: -1 }, sheet)).toThrow("no rule before it");
  });

  test("what several rules have alike is declared once", () => {
    expect(after({ kind: "gather-rules", starts: [start("h1"), start("h3")] })).toBe(
      text.replace("h1,\nh2 {", "h1,\nh2,\nh3 {").replace("h3 { color: navy; margin: 0; top: 0 }", "h3 { top: 0 }"),
    );
    expect(() => after({ kind: "gather-rules", starts: [start("h1"), start("p {")] })).toThrow("same conditions");
    expect(() => after({ kind: "gather-rules", starts: [start("h1")] })).toThrow("two rules");
  });

  test("a brace that is not closed is told", () => {
    expect(() => after({ kind: "copy-rule", start: 0, selectors: "i" }, "b { top: 0")).toThrow("not closed");
  });

  test("a list is taken apart at its own commas alone", () => {
    expect(selectorsOf({ preludeText: 'a:is(b, c), [x="1,2"],\nd' })).toEqual(["a:is(b, c)", '[x="1,2"]', "d"]);
  });
});

test("whatever is done, the sheet has the rules it should, and splitting leaves every text as it was", () => {
  const rule = fc.tuple(
    fc.constantFrom("h1", "h1, p", "p", ".a,\n.b", "p, .a, h1"),
    fc.subarray(["color: red", "margin: 0", "top: 1px", "letter-spacing: 2px"], { minLength: 1 }),
    fc.constantFrom("\n", "\n\n", "\r\n", " "),
    fc.boolean(),
  );
  const page = '<link rel=stylesheet href=a.css><h1 class=a>x</h1><p>y</p><p class="a b">z</p>';
  fc.assert(
    fc.property(fc.array(rule, { minLength: 1, maxLength: 5 }), fc.nat(), fc.nat(), (parts, which, what) => {
      const sheet = parts
        .map(([selectors, list, gap, ended]) => `${selectors} { ${list.join("; ")}${ended ? ";" : ""} }${gap}`)
        .join("");
      const from = site({ "index.html": page, "a.css": sheet });
      const rules = [...styleRules(parseSheet(sheet))];
      const own = rules[which % rules.length]!;
      const names = own.items.flatMap((item) => (item.kind === "declaration" ? [item.property] : []));
      const edit: RuleEdit =
        selectorsOf(own).length > 1 && what % 2
          ? { kind: "split-selectors", path: "a.css", start: own.start, selectors: [0] }
          : names.length > 1
            ? { kind: "split-properties", path: "a.css", start: own.start, properties: names.slice(0, 1) }
            : { kind: "copy-rule", path: "a.css", start: own.start, selectors: "i" };
      const changes = planRuleEdit(from, edit);
      const now = [...styleRules(parseSheet(applyChanges(sheet, changes)))];
      expect(now).toHaveLength(rules.length + 1);
      const differing = finished(differenceSteps(from, changeSite(from, changes), changes, defaultConditions, true));
      expect(differing).toEqual([]);
    }),
    runs(60),
  );
});
