import { describe, expect, test } from "vitest";
import { safeSheets } from "../source/html/safe";
import { pageWith } from "../testing/site";
import { textFile } from "../source/site";
import { defaultConditions, withStatesEverywhere, type Conditions } from "./conditions";
import { forcedStatesOf } from "./forced";
import { overridesFor, rewritingFor } from "./rehearse";
import { computedValue } from "./style";
import { stylePage } from "./styles";

const css =
  "a:link:hover{color:red} @media print{p{color:blue}} @media (max-width:20em){p{color:lime}} p{font-size:1.5rem} b{font:medium x,Georgia}";
const site = pageWith(css, "<p>one <a href='#' id=a>two <i>three</i></a> <b>four</b></p>");
const file = textFile(site, "index.html")!;
const sheetText = (conditions: Partial<Conditions>) => {
  const all = { ...defaultConditions, ...conditions };
  return safeSheets(site, file, rewritingFor(all, "index.html"), () => null)[0]!.text;
};
const styled = (conditions: Partial<Conditions>) => stylePage(site, file, { ...defaultConditions, ...conditions });

describe("sheets for the frame", () => {
  test("stay as they are while nothing is rehearsed", () => expect(sheetText({})).toBe(css));

  test("have their media answered on paper and for larger text", () => {
    expect(sheetText({ medium: "print" })).toContain("@media all{p{color:blue}}");
    expect(sheetText({ rootSize: 20, width: 390 })).toContain("@media all{p{color:lime}}");
    expect(sheetText({ rootSize: 20, width: 410 })).toContain("@media not all{p{color:lime}}");
  });

  test("let forced states match by an attribute at the same specificity", () => {
    const index = styled({}).styles.find(({ element }) => element.id === "a")!.element.index;
    expect(sheetText({ forced: { "index.html": { [index]: ["hover"] } } })).toContain(
      'a:link:is(:hover, [data-hevret-state~="hover"]){color:red}',
    );
    expect(sheetText({ forced: { "index.html": { [index]: ["visited"] } } })).toContain(
      'a:link:where(:not([data-hevret-state~="visited"])):hover',
    );
  });
});

describe("forced states", () => {
  const page = styled({});
  const link = page.styles.find(({ element }) => element.id === "a")!.element;

  test("hover reaches up, not down", () => {
    const states = forcedStatesOf(page.document, {
      ...defaultConditions,
      forced: { "index.html": { [link.index]: ["hover", "focus"] } },
    });
    expect([...states.get(link.index)!]).toEqual(["hover", "focus"]);
    expect([...states.get(link.parent!.index)!]).toEqual(["hover"]);
    expect(states.has(link.children[0]!.index)).toBe(false);
  });

  test("for the reach of a rule they hold everywhere", () => {
    const everywhere = withStatesEverywhere({
      ...defaultConditions,
      forced: { "index.html": { [link.index]: ["hover"] } },
    });
    expect(everywhere).toMatchObject({ forced: {}, forcedEverywhere: ["hover"] });
    expect(withStatesEverywhere(defaultConditions)).toBe(defaultConditions);
  });
});

describe("what no sheet can bring about", () => {
  test("sizes under another default size", () => {
    const page = styled({ rootSize: 24 });
    const sizes = Object.fromEntries(
      overridesFor(page).map(([index, property, value]) => [`${page.styles[index]!.element.tag} ${property}`, value]),
    );
    expect(sizes).toEqual({ "html font-size": "24px", "p font-size": "36px", "b font-size": "24px" });
    expect(
      computedValue(
        page.styles.find(({ element }) => element.tag === "i")!,
        "font-size",
      ),
    ).toBe("36px");
  });

  test("stacks without the families that are absent", () => {
    const page = styled({ absent: ["georgia"] });
    expect(overridesFor(page).map(([, property, value]) => [property, value])).toEqual([["font-family", "x"]]);
  });

  test("nothing while nothing is rehearsed", () => expect(overridesFor(styled({}))).toEqual([]));
});
