import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { computedValue } from "../cascade/style";
import { stylePage } from "../cascade/styles";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { applyPlan, planEdit } from "./plan";
import { shorthandOf } from "./foldable";

const made = (css: string, kind: "fold" | "unfold", shorthand: string) => {
  const from = site({ "index.html": "<link rel=stylesheet href=a.css><p>x</p>", "a.css": css });
  const plan = planEdit(from, { kind, path: "a.css", start: css.indexOf("p"), shorthand });
  return { text: textFile(applyPlan(from, plan), "a.css")!.text, plan };
};

describe("folding", () => {
  test.each<[string, string, string]>([
    ["p{font-size:16px;line-height:1.5;font-family:Georgia,serif}", "font", "p{font:16px/1.5 Georgia,serif}"],
    [
      "p {\n  font-style: italic;\n  color: red; /* keep */\n  font-size: 1em;\n  font-weight: 700;\n  font-family: x;\n}",
      "font",
      "p {\n  color: red; /* keep */\n  font: italic 700 1em x;\n}",
    ],
    [
      "p{text-decoration-line:underline;text-decoration-color:red}",
      "text-decoration",
      "p{text-decoration:underline red}",
    ],
    ["p{margin-top:1px;margin-right:2px;margin-bottom:1px;margin-left:2px}", "margin", "p{margin:1px 2px}"],
    ["p{padding-top:0;padding-right:0;padding-bottom:0;padding-left:0}", "padding", "p{padding:0}"],
    [
      "p{margin-top:1px!important;margin-right:2px!important;margin-bottom:3px!important;margin-left:4px!important}",
      "margin",
      "p{margin:1px 2px 3px 4px !important}",
    ],
  ])("%j", (css, shorthand, expected) => expect(made(css, "fold", shorthand).text).toBe(expected));

  test.each<[string, string, string]>([
    ["p{font-size:16px}", "font", "font-family as well"],
    ["p{font-size:16px;font-family:x;font-weight:1}", "colour", "not a shorthand"],
    ["p{margin-top:1px;margin-right:2px!important;margin-bottom:1px;margin-left:2px}", "margin", "!important"],
    ["p{font-size:var(--x);font-family:x}", "font", "cannot stand together"],
    ["p{font:12px x;font-size:16px;font-family:y}", "font", "already"],
  ])("%j cannot be folded into %s", (css, shorthand, reason) =>
    expect(() => made(css, "fold", shorthand)).toThrow(reason),
  );

  test("what is set back is said", () => {
    expect(made("p{font-size:16px;font-family:x}", "fold", "font").plan.warnings[0]).toContain(
      "sets back what it does not name: font-weight, font-style",
    );
    expect(shorthandOf("line-height")).toBe("font");
    expect(shorthandOf("opacity")).toBeNull();
  });
});

describe("unfolding", () => {
  test.each<[string, string, string]>([
    ["p{margin:1px 2px}", "margin", "p{margin-top:1px;margin-right:2px;margin-bottom:1px;margin-left:2px}"],
    [
      "p{text-decoration:underline red}",
      "text-decoration",
      "p{text-decoration-line:underline;text-decoration-style:solid;text-decoration-color:red;text-decoration-thickness:auto}",
    ],
    [
      "p {\n  color: red;\n  margin: 3px;\n}",
      "margin",
      "p {\n  color: red;\n  margin-top: 3px;\n  margin-right: 3px;\n  margin-bottom: 3px;\n  margin-left: 3px;\n}",
    ],
  ])("%j", (css, shorthand, expected) => expect(made(css, "unfold", shorthand).text).toBe(expected));

  test.each([
    "p{font:italic bold 20px/1.4 'A B',serif;color:red}",
    "p{font:12px x}",
    "p{text-decoration:none}",
    "p{text-decoration:underline overline wavy rgb(1 2 3) 2px}",
    "p{margin:1em auto!important}",
    "p{padding:1px 2px 3px}",
    "p{font:inherit}",
    "p{background:#abc}",
  ])("%s computes to the same", (css) => {
    const shorthand = /\{([-a-z]+)/.exec(css)![1]!;
    const { text, plan } = made(css, "unfold", shorthand);
    expect(plan.reach.places).toEqual([]);
    const styles = (sheet: string) => {
      const from = site({ "index.html": `<style>${sheet}</style><p>x</p>` });
      const page = stylePage(from, textFile(from, "index.html")!, defaultConditions);
      const style = page.styles.find(({ element }) => element.tag === "p")!;
      return [
        "font-family",
        "font-size",
        "font-weight",
        "font-style",
        "line-height",
        "margin-top",
        "padding-left",
        "text-decoration-line",
        "text-decoration-color",
        "background-color",
      ].map((name) => computedValue(style, name));
    };
    expect(styles(text)).toEqual(styles(css));
    expect(text).not.toContain(`{${shorthand}:`);
  });

  test.each(["p{font:var(--f)}", "p{color:red}", "p{background:url(a.png) no-repeat}"])(
    "%s cannot be unfolded",
    (css) => {
      expect(() => made(css, "unfold", css.includes("background") ? "background" : "font")).toThrow();
    },
  );
});

describe("a shorthand that takes something away", () => {
  const plan = (css: string, property: string, value: string) => {
    const from = site({ "index.html": "<link rel=stylesheet href=a.css><p class=x>x</p>", "a.css": css });
    return planEdit(from, {
      kind: "declare",
      target: { kind: "rule", path: "a.css", start: css.indexOf("p.x") },
      property,
      value,
      place: { page: "index.html", index: 4 },
    });
  };

  test("says what another rule had given", () => {
    expect(
      plan("p{text-decoration-color:red;font-weight:700}\np.x{color:blue}", "text-decoration", "underline").warnings,
    ).toEqual([
      "text-decoration sets text-decoration-color back to rgb(0, 0, 255); p in a.css line 1 had made it rgb(255, 0, 0).",
    ]);
    expect(plan("p{font-weight:700}\np.x{color:blue}", "font", "20px serif").warnings.join()).toContain(
      "font sets font-weight back to 400; p in a.css line 1 had made it 700.",
    );
  });

  test("says nothing where it takes nothing", () => {
    expect(plan("p{color:red}\np.x{color:blue}", "text-decoration", "underline").warnings).toEqual([]);
    expect(plan("p{text-decoration-color:red}\np.x{color:blue}", "text-decoration", "underline red").warnings).toEqual(
      [],
    );
  });
});
