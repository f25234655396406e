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
