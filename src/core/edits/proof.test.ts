import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { changeSite, textFile } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { differenceSteps, provenUnder } from "./proof";

const from = site({
  "index.html": '<link rel=stylesheet href=a.css><p>One</p><a href="#">Two</a>',
  "a.css": "@media (prefers-color-scheme: dark) { p { color: #eee } } a:hover { color: #900 }",
});
const differing = (old: string, now: string) => {
  const start = textFile(from, "a.css")!.text.indexOf(old);
  const changes = [{ path: "a.css", start, end: start + old.length, insert: now }];
  return finished(differenceSteps(from, changeSite(from, changes), changes, defaultConditions)).map(
    ({ index }) => index,
  );
};

test("texts that come out differently in another scheme, or in a state, are told", () => {
  expect(differing("#eee", "#eed")).toEqual([4]);
  expect(differing("#900", "#901")).toEqual([5]);
  expect(differing("#eee", "#eeeeee")).toEqual([]);
});

test("the page as it is shown is kept, however many conditions are looked at", () => {
  const page = () => styledPage(from, textFile(from, "index.html")!, defaultConditions);
  const before = page();
  expect(provenUnder(defaultConditions).length).toBeGreaterThan(10);
  differing("#eee", "#ddd");
  expect(page()).toBe(before);
});
