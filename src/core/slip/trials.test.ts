import type { ElementRef } from "../text/refs";
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import type { Edit, Target } from "../edits/types";
import { bareLayout, textId } from "../ground/layout";
import { textFile } from "../source/site";
import { site, stylesOf } from "../testing/site";
import { editsOn } from "./copying";
import { settingOf } from "./setting";
import { candidateDeclarations, mayChangeContrast } from "./candidate";
import { trialContrasts } from "./trials";

const css =
  "* { margin: 0 }\nbody { font: 16px/24px serif; color: #777 }\nh1 { font-size: 2em }\n.lead { font-size: 20px }\n#own { color: red }";
const from = site({
  "index.html":
    '<link rel=stylesheet href=a.css><h1 id="h">Pier</h1><p id="p" class="lead">Boats</p><p id="own" style="font-weight: 700">Tern</p><i id="i">x</i><small id="s">y</small>',
  "a.css": css,
});
const ref = (id: string): ElementRef => ({
  page: "index.html",
  index: stylesOf(from).find(({ element }) => element.id === id)!.element.index,
});
const rule = (selector: string): Target => ({ kind: "rule", path: "a.css", start: css.indexOf(selector) });

const red = (target: Target) => ({ kind: "declare", target, property: "color", value: "red" }) satisfies Edit;

test("what contrast comes to with each value tried, and what is needed there", () => {
  const looks = (property: string, ...values: string[]) =>
    trialContrasts(
      from,
      ref("h"),
      values.map((value) =>
        candidateDeclarations(property, value).map(([name, one]) => ({
          kind: "declare",
          target: rule("h1"),
          property: name,
          value: one,
        })),
      ),
      defaultConditions,
      {},
    ).map((one) => one && [Math.floor(one.ratio * 10) / 10, one.needs, one.verdict]);
  expect(looks("opacity", "1", "0.5")).toEqual([
    [4.4, 3, "passes"],
    [1.9, 3, "fails"],
  ]);
  expect(looks("font-size", "12px", "nonsense")).toEqual([[4.4, 4.5, "fails"], null]);
  expect(looks("color", "#fff; background-color: #000", "#777; font-size: 12px")).toEqual([
    [21, 3, "passes"],
    [4.4, 4.5, "fails"],
  ]);
  expect(looks("color", "#000", "#fff")).toEqual([
    [21, 3, "passes"],
    [1, 3, "fails"],
  ]);
});

test("on a page that was laid out, with what a candidate itself paints", () => {
  const { page, index } = ref("h");
  const layouts = { [page]: { [textId(index, null)]: bareLayout({ left: 0, top: 0, width: 100, height: 20 }) } };
  const edits = candidateDeclarations("opacity", "0.5").map(([property, value]) => ({
    ...red(rule("h1")),
    property,
    value,
  }));
  const [tried] = trialContrasts(from, ref("h"), [edits], defaultConditions, layouts);
  expect(Math.floor(tried!.ratio * 10) / 10).toBe(1.9);
});

test("contrast is looked at where a candidate can change it", () => {
  const may = (property: string, text: string) =>
    mayChangeContrast(
      candidateDeclarations(property, text).map(([name, value]) => ({ ...red(rule("h1")), property: name, value })),
    );
  expect(["color", "opacity", "font-size", "font"].map((property) => may(property, "1px"))).not.toContain(false);
  expect(may("hyphens", "auto")).toBe(false);
  expect(may("hyphens", "auto; color: red")).toBe(true);
});

test("a candidate may set more than one property", () => {
  expect(candidateDeclarations("font-size", "32px")).toEqual([["font-size", "32px"]]);
  expect(candidateDeclarations("font-size", "32px; line-height: 1.2 ;")).toEqual([
    ["font-size", "32px"],
    ["line-height", "1.2"],
  ]);
  expect(candidateDeclarations("color", "red !important; background: url(a;b.png)")).toEqual([
    ["color", "red !important"],
    ["background", "url(a;b.png)"],
  ]);
  expect(candidateDeclarations("color", "")).toEqual([]);
});

test("nothing for a text or a rule that is not there", () => {
  expect(trialContrasts(from, { page: "index.html", index: 99 }, [[red(rule("h1"))]], defaultConditions, {})).toEqual([
    null,
  ]);
  expect(
    trialContrasts(from, ref("h"), [[red({ kind: "rule", path: "b.css", start: 0 })]], defaultConditions, {}),
  ).toEqual([null]);
});

test("settings given to a text go where it has them from", () => {
  const targets = (id: string, property: string) =>
    editsOn(from, ref(id), [[property, "inherit"]], defaultConditions).map(
      (edit) => edit.kind === "declare" && edit.target,
    );
  expect(targets("p", "font-size")).toEqual([rule(".lead")]);
  expect(targets("own", "font-weight")).toEqual([{ kind: "style-attribute", element: ref("own") }]);
  expect(targets("own", "color")).toEqual([rule("#own")]);
});

test("what it inherits goes into the strongest rule for it, never into one for the whole page", () => {
  const targets = (id: string, property: string) =>
    editsOn(from, ref(id), [[property, "inherit"]], defaultConditions).map(
      (edit) => edit.kind === "declare" && edit.target,
    );
  expect(targets("p", "color")).toEqual([rule(".lead")]);
  expect(targets("i", "color")).toEqual([{ kind: "new-rule", path: "a.css", selector: "i" }]);
  expect(() => editsOn(from, { page: "index.html", index: 99 }, [["color", "red"]], defaultConditions)).toThrow(
    "no element number 99",
  );
  const bare = site({ "index.html": "<p>x" });
  expect(() => editsOn(bare, { page: "index.html", index: 3 }, [["color", "red"]], defaultConditions)).toThrow(
    "no style sheet",
  );
});

test("a length as leading names the texts that get it whatever their size", () => {
  const places = ["h", "p", "own"].map(ref);
  const body: ElementRef = {
    page: "index.html",
    index: stylesOf(from).find(({ element }) => element.tag === "body")!.element.index,
  };
  const heirs = settingOf(from, body, places, "line-height", defaultConditions)!.heirs;
  expect(heirs.map(({ role, sizePx, leadingPx, places: there }) => [role, sizePx, leadingPx, there.length])).toEqual([
    ["Main heading", 32, 24, 1],
    ["Paragraph", 20, 24, 1],
    ["Paragraph", 16, 24, 1],
  ]);
  expect(settingOf(from, body, places, "font-size", defaultConditions)!.heirs).toEqual([]);
  expect([
    settingOf(from, ref("h"), places, "line-height", defaultConditions)!.declaredAt,
    settingOf(from, ref("h"), places, "font-size", defaultConditions)!.declaredAt,
  ]).toEqual([16, 32]);
  expect(textFile(from, "a.css")!.text).toBe(css);
});

test("on a page that gets a style element for what is tried", () => {
  const bare = site({
    "index.html":
      '<!doctype html><html><head></head><body style="background:#000"><h1>Pier</h1><p>Boats</p></body></html>',
  });
  const target: Target = { kind: "new-rule", path: "index.html", selector: "h1" };
  const picked = { page: "index.html", index: 3 };
  const tried = (property: string, value: string): Edit[] => [{ kind: "declare", target, property, value }];
  const layer = { index: 2, box, images: [], picture: null, opacity: 1, group: false, doubt: null };
  const layouts = { "index.html": { [textId(3, null)]: { ...bareLayout(box), under: [layer] } } };
  for (const known of [{}, layouts]) {
    const looks = trialContrasts(
      bare,
      picked,
      [tried("color", "#777"), tried("font-size", "9px")],
      defaultConditions,
      known,
    );
    expect(looks.map((one) => one && [Math.floor(one.ratio * 10) / 10, one.needs])).toEqual([
      [4.6, 3],
      [1, 4.5],
    ]);
  }
});

const box = { left: 0, top: 0, width: 9, height: 9 };
