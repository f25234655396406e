import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { changeSite, textFile, type Site } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { attributeGroups, attributesIntoSheet } from "./attributesIntoSheet";
import { differenceSteps } from "./proof";

const text = (from: Site, path: string) => textFile(from, path)!.text;
const link = '<link rel="stylesheet" href="a.css">';
const differing = (from: Site, changes: ReturnType<typeof attributesIntoSheet>) =>
  finished(differenceSteps(from, changeSite(from, changes), changes, defaultConditions)).length;

const list = (first: string, second: string, third: string) =>
  `${link}<ul class="fares"><li${first}>1</li><li${second}>2</li><li class="late"${third}>3</li></ul>`;

describe("style attributes into a sheet", () => {
  const from = site({
    "index.html": list(' style="color: red"', " style='color: red '", ' style="color: blue"'),
    "a.css": "",
  });

  test("equal ones get a class, one that has a class of its own is told apart by it", () => {
    expect(attributeGroups(from, "index.html", "a.css")).toEqual([
      { declarations: "color: red", elements: 2, first: "li", selector: ".fares-item", how: "class" },
      { declarations: "color: blue", elements: 1, first: "li", selector: ".late", how: "apart" },
    ]);
    const changes = attributesIntoSheet(from, "index.html", "a.css");
    const now = changeSite(from, changes);
    expect(text(now, "index.html")).toBe(list(' class="fares-item"', ' class="fares-item"', ""));
    expect(text(now, "a.css")).toBe(".fares-item {\n  color: red;\n}\n\n.late {\n  color: blue;\n}\n");
    expect(differing(from, changes)).toBe(0);
    expect(() => attributesIntoSheet(now, "index.html", "a.css")).toThrow("no style attributes");
  });

  test("a name of one's own", () => {
    const now = changeSite(from, attributesIntoSheet(from, "index.html", "a.css", [".fare", ".last-boat"]));
    expect(text(now, "index.html")).toBe(list(' class="fare"', ' class="fare"', "").replace("late", "late last-boat"));
  });

  test("a selector that leaves some out is refused", () => {
    expect(() => attributesIntoSheet(from, "index.html", "a.css", ["ol li", ".late"])).toThrow("would be left out");
    expect(() => attributesIntoSheet(from, "index.html", "a.css", ["li {", ".late"])).toThrow("is not a selector");
  });

  test("a rule that reaches just these takes them", () => {
    const own = site({
      "index.html": list("", "", ' style="color: blue; top: 0"'),
      "a.css": ".late { color: red }\nul { margin: 0 }\n",
    });
    expect(attributeGroups(own, "index.html", "a.css")).toMatchObject([{ selector: ".late", how: "rule" }]);
    const changes = attributesIntoSheet(own, "index.html", "a.css");
    expect(text(changeSite(own, changes), "a.css")).toBe(".late { color: blue; top: 0 }\nul { margin: 0 }\n");
    expect(differing(own, changes)).toBe(0);
  });

  test("what would be beaten is not proposed", () => {
    const own = site({
      "index.html": list("", "", ' style="color: blue"'),
      "a.css": "ul li.late { color: red }\n.late { top: 0 }\n",
    });
    expect(attributeGroups(own, "index.html", "a.css")).toMatchObject([{ selector: "ul li.late", how: "rule" }]);
  });

  test("a rule that reaches just these is not proposed where another beats it", () => {
    const own = site({
      "index.html": list("", "", ' style="color: blue"'),
      "a.css": "ul.fares li { color: red }\n.late { top: 0 }\n",
    });
    expect(attributeGroups(own, "index.html", "a.css")).toMatchObject([{ how: "class" }]);
  });

  test("all of a kind in what they stand in", () => {
    const all = ' style="color: red"';
    const own = site({ "index.html": list(all, all, all).replace(' class="late"', ""), "a.css": "" });
    expect(attributeGroups(own, "index.html", "a.css")).toMatchObject([{ selector: ".fares li", how: "apart" }]);
  });

  test("a class that other pages have is not taken", () => {
    const own = site({
      "index.html": list("", "", ' style="color: red"'),
      "other.html": '<p class="late">x</p>',
      "a.css": "",
    });
    expect(attributeGroups(own, "index.html", "a.css")[0]).toMatchObject({ how: "class" });
  });
});
