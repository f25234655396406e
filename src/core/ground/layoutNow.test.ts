import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { textFile } from "../source/site";
import { pageWith } from "../testing/site";
import { bareLayout, type Painted } from "./layout";
import { layoutNow, layoutWith } from "./layoutNow";

const painted: Painted = { points: [255, 255, 255, 0, 0, 0, 1], seen: 1, doubt: null };
const text = { left: 0, top: 0, width: 10, height: 10 };
const seen = { ...bareLayout(text), painted };
const body = '<section><p id="a">a</p></section><p id="b">b</p>';

function pageOf(css: string) {
  const site = pageWith(css, body);
  const file = textFile(site, "index.html")!;
  const page = styledPage(site, file, defaultConditions);
  return { page, index: (id: string) => page.document.elements.find((one) => one.id === id)!.index };
}

describe("a layout that was read of an earlier version", () => {
  test("what was painted stands where a text and all around it come out alike, and nowhere else", () => {
    const then = pageOf("p{color:red}");
    const layout = { [then.index("a")]: seen, [then.index("b")]: seen };
    const left = (css: string) => {
      const now = layoutNow(layout, then.page, pageOf(css).page);
      return ["a", "b"].filter((id) => now[then.index(id)]!.painted !== null).join("");
    };
    expect(left("p{color:#f00}")).toBe("ab");
    expect(left("p{color:blue}")).toBe("");
    expect(left("p{color:red} section{background:tan}")).toBe("b");
    expect(left("p{color:red} #b{opacity:.5}")).toBe("a");
    expect(layoutNow(layout, undefined, then.page)[then.index("a")]!.painted).toBeNull();
  });

  test("what is told of some leaves the rest, and what lies under them, as it was", () => {
    const under = [{ index: 1, box: text, images: [], picture: null, opacity: 1, group: false, doubt: null }];
    const before = { 3: { ...bareLayout(text), under }, 4: seen };
    const merged = layoutWith(before, { 3: { ...bareLayout({ ...text, top: 5 }), painted } }, false);
    expect([merged[3]!.under, merged[3]!.text.top, merged[3]!.painted, merged[4]]).toEqual([under, 5, painted, seen]);
  });

  test("what is told of all takes away what is not there, but for what was painted", () => {
    const merged = layoutWith({ 3: bareLayout(text), 4: seen, 5: seen }, { 5: bareLayout(text) }, true);
    expect([merged[3], merged[4]?.painted, merged[5]?.painted]).toEqual([undefined, painted, painted]);
  });
});
