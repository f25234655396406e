import { expect, test } from "vitest";
import { addressesIn, readdressed } from "./addresses";

const written = (text: string) => addressesIn(text).map(({ address }) => address);

test("addresses are told from words, comments and strings", () => {
  expect(
    written(
      `/* url(no.png) */ @import "a.css"; @import url( b.css ) print; @namespace "no"; p { background: url("c d.png"), URL(e.png); content: "url(no.png)"; mask: image-set("f.png" 1x, url(g.png) 2x) "no" } i { background: url(h.png`,
    ),
  ).toEqual(["a.css", "b.css", "c d.png", "e.png", "f.png", "g.png", "h.png"]);
  expect(written("url(a\\29.png) url() format('no')")).toEqual([]);
});

test.each([
  ["url(quay.png)", "index.html", "css/a.css", "url(../quay.png)"],
  ["url('../pics/quay (1).png?2#x')", "guide/x.html", "css/a.css", "url('../pics/quay%20%281%29.png?2#x')"],
  ["url(a.png)", "css/a.css", "css/b.css", "url(a.png)"],
  [
    "url(/a.png) url(#x) url(data:,x) url(https://x.test/a.png)",
    "a.css",
    "x/b.css",
    "url(/a.png) url(#x) url(data:,x) url(https://x.test/a.png)",
  ],
])("%s of %s is in %s %s", (text, from, to, after) => {
  expect(readdressed(text, from, to)).toBe(after);
});
