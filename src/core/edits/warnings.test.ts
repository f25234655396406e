import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { openSite } from "../source/site";
import { planEdit } from "./plan";

const page = (css: string) =>
  openSite([
    { path: "index.html", text: '<!doctype html><link rel=stylesheet href="a.css"><h1>Pier</h1><p>By day</p>' },
    { path: "a.css", text: css },
  ]);
const head = { page: "index.html", index: 4 };

function warningsFor(css: string, property: string, value: string): readonly string[] {
  const site = page(css);
  return planEdit(
    site,
    {
      kind: "declare",
      target: { kind: "rule", path: "a.css", start: css.indexOf("h1 {") },
      property,
      value,
      place: head,
    },
    defaultConditions,
  ).warnings;
}

test("an animation that sets what is written is named, with its place", () => {
  const frames = "@keyframes tide { to { color: navy; font: 20px serif } }\n";
  const moving = `${frames}h1 { color: red; animation: 2s tide }`;
  expect(warningsFor(moving, "color", "blue")).toEqual([
    "While the animation tide runs (a.css line 1), it sets color, too, and is stronger.",
  ]);
  expect(warningsFor(moving, "font-size", "30px")[0]).toContain("it sets font-size, too");
  expect(warningsFor(moving, "margin-top", "3px")).toEqual([]);
  expect(warningsFor(`${frames}h1 { color: red; animation-name: ebb }`, "color", "blue")).toEqual([]);
});

test("a transition that holds the change back for long is told", () => {
  const held = (transition: string, property = "color") =>
    warningsFor(`h1 { color: red; transition: ${transition} }`, property, property === "color" ? "blue" : "30px");
  expect(held("1s 9999s")).toEqual(["A transition of the picked text holds it back for 9999 s."]);
  expect(held("opacity 1s, color .2s ease 3000ms")[0]).toContain("for 3 s");
  expect(held("all 1s 2s")[0]).toContain("for 2 s");
  expect(held("color .2s")).toEqual([]);
  expect(held("color 1s 5s", "font-size")).toEqual([]);
});

test("where nothing moves, nothing is said of it", () => {
  expect(warningsFor("@keyframes tide { to { color: navy } }\nh1 { color: red }", "color", "blue")).toEqual([]);
});
