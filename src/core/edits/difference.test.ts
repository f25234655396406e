import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { changeSite } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { differingSteps } from "./difference";

/** What comes of other text at the end of the sheet. */
function differences(page: string, more: string) {
  const from = site({ "index.html": page, "a.css": "p { color: red }" });
  const changes = [{ path: "a.css", start: 16, end: 16, insert: more }];
  const after = changeSite(from, changes);
  return finished(differingSteps(from, after, changes, defaultConditions)).told;
}
const page = '<!doctype html><link rel=stylesheet href=a.css><p>Two <a href="#">boats</a></p>';

test("which values are others", () => {
  expect(differences(page, "p { color: blue }")[0]).toMatchObject({
    text: "Two",
    under: "",
    values: [{ property: "color", before: "rgb(255, 0, 0)", after: "rgb(0, 0, 255)" }],
  });
});

test("under which circumstances", () => {
  expect(differences(page, "@media (prefers-color-scheme: dark) { p { color: blue } }")[0]!.under).toBe(
    "in the dark scheme",
  );
  expect(differences(page, "@media (max-width: 400px) { p { color: blue } }")[0]!.under).toBe("at 360px");
  expect(differences(page, "a:hover { color: blue }")).toMatchObject([{ text: "boats", under: "in the state hover" }]);
});

test("what is around it where that is what differs", () => {
  const [own, inside] = differences(page, "body { background-color: #eee }");
  expect(own).toMatchObject({ text: "Two", around: "body", values: [{ property: "background-color" }] });
  expect(inside).toMatchObject({ text: "boats", around: "body" });
  expect(differences(page, "p { color: blue }")[0]!.around).toBeNull();
});

test("what is measured of containers counts for the same elements in a page that gets a style element", () => {
  const css = "div { container-type: inline-size } @container (width > 300px) { p { color: navy } }";
  const html = '<!doctype html><link rel=stylesheet href="a.css"><div><p>Pier</p></div><h2>Fares</h2>';
  const from = site({ "index.html": html, "a.css": css });
  const changes = [{ path: "index.html", start: 49, end: 49, insert: "<style>h2, p { margin-left: 3px }</style>" }];
  const conditions = { ...defaultConditions, containers: { "index.html": { 4: { width: 400, height: 20 } } } };
  const { told } = finished(differingSteps(from, changeSite(from, changes), changes, conditions, [conditions]));
  expect(told.map(({ text, values }) => [text, values.map(({ property }) => property)])).toEqual([
    ["Pier", ["margin-left"]],
    ["Fares", ["margin-left"]],
  ]);
});
