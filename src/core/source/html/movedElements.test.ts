import { expect, test } from "vitest";
import { applyChanges, changeBetween } from "../changes";
import { site } from "../../testing/site";
import { textFile } from "../site";
import { documentOf } from "./document";
import { indexesAfter } from "./movedElements";

const read = (text: string) => textFile(site({ "a.html": text }), "a.html")!;

/** The tags of the elements that an element of the page became, in its order. */
function becomes(before: string, after: string): (string | null)[] {
  const change = changeBetween("a.html", before, after)!;
  expect(applyChanges(before, [change])).toBe(after);
  const [old, now] = [read(before), read(after)];
  const found = indexesAfter(old, now, [change]);
  return documentOf(old).elements.map(({ index }) => {
    const is = found.get(index);
    return is === undefined ? null : documentOf(now).elements[is]!.tag;
  });
}

test("elements behind what is put in, or taken out", () => {
  expect(becomes("<h1>a</h1><p>b</p>", "<style>x{}</style><h1>a</h1><p>b</p>")).toEqual([
    "html",
    "head",
    "body",
    "h1",
    "p",
  ]);
  expect(becomes("<b>x</b><h1>a</h1><p>b</p>", "<h1>a</h1><p>b</p>")).toEqual([
    "html",
    "head",
    "body",
    null,
    "h1",
    "p",
  ]);
});

test("an element that gets another tag, or an attribute, is the same", () => {
  expect(becomes("<p>a</p><p>b</p>", "<h2>a</h2><p>b</p>")).toEqual(["html", "head", "body", "h2", "p"]);
  expect(becomes("<p>a</p><i>b</i>", "<p id=x>a</p><i>b</i>")).toEqual(["html", "head", "body", "p", "i"]);
});
