import { expect, test } from "vitest";
import { openSite } from "../source/site";
import { styledPage } from "../cascade/styledPages";
import { defaultConditions } from "../cascade/conditions";
import { textFile } from "../source/site";
import { meetingMargins, type MarginSide } from "./collapsing";

/** What meets with a margin of the element with the id `t`: "h2 bottom 10, p top 20 = 20". */
function met(body: string, side: MarginSide = "top", css = ""): string | null {
  const text = `<!doctype html><title>Margins</title><style>body { margin: 0 } ${css}</style><body>${body}`;
  const site = openSite([{ path: "page.html", text }]);
  const page = styledPage(site, textFile(site, "page.html")!, defaultConditions);
  const index = page.styles.findIndex(({ element }) => element.id === "t");
  const found = meetingMargins(page, index, side);
  return found && `${found.margins.map(({ tag, side: at, px }) => `${tag} ${at} ${px}`).join(", ")} = ${found.px}`;
}

const h2 = (style = "") => `<h2 style="margin: 8px 0 10px; ${style}">Fares</h2>`;
const p = (style = "", inside = "Sailings") => `<p id="t" style="margin: 20px 0 5px; ${style}">${inside}</p>`;

test.each([
  ["a larger one below swallows a smaller above", h2() + p(), "h2 bottom 10, p top 20 = 20"],
  ["those below nothing are taken off", h2() + p("margin-top: -4px"), "h2 bottom 10, p top -4 = 6"],
  ["a line of text keeps them apart", `${h2()}and${p()}`, "p top 20 = 20"],
  ["a float does not", `${h2()}<b style="float: left">x</b>${p()}`, "h2 bottom 10, p top 20 = 20"],
  ["the first in a box meets that box's own", `x<div style="margin: 30px 0">${p()}</div>`, "div top 30, p top 20 = 30"],
  ["an edge keeps them apart", `x<div style="margin: 30px 0; border: 1px solid">${p()}</div>`, "p top 20 = 20"],
  ["so does a padding", `x<div style="margin: 30px 0; padding-top: 1px">${p()}</div>`, "p top 20 = 20"],
  ["and a box that scrolls", `x<div style="margin: 30px 0; overflow: auto">${p()}</div>`, "p top 20 = 20"],
  ["items of a flex container meet nothing", `<div style="display: flex">${h2()}${p()}</div>`, null],
  [
    "an empty box is its margins",
    `${h2()}<div style="margin: 3px 0 40px"></div>${p()}`,
    "h2 bottom 10, div bottom 40, div top 3, p top 20 = 40",
  ],
  ["a float meets nothing", p("float: left"), null],
  ["clearance is for the layout to tell", h2() + p("clear: both"), null],
  ["so are percentages", h2() + p("margin-top: 5%"), null],
])("%s", (_, body, words) => {
  expect(met(body)).toBe(words);
});

test("what becomes of each is told: one counts, one is taken off, the others are swallowed", () => {
  const text = `<!doctype html><title>Margins</title>${h2()}<div style="margin: -3px 0 40px"></div>${p("margin-top: -8px")}`;
  const site = openSite([{ path: "page.html", text }]);
  const page = styledPage(site, textFile(site, "page.html")!, defaultConditions);
  const found = meetingMargins(
    page,
    page.styles.findIndex(({ element }) => element.id === "t"),
    "top",
  );
  expect(found!.margins.map(({ px, part }) => [px, part])).toEqual([
    [10, "swallowed"],
    [40, "counts"],
    [-3, "swallowed"],
    [-8, "taken off"],
  ]);
  expect(found!.px).toBe(32);
});

test("the last in a box meets the box's own below, unless the box has a height", () => {
  const inside = (style: string) => `<div style="margin: 30px 0; ${style}">${p()}</div>x`;
  expect(met(inside(""), "bottom")).toBe("div bottom 30, p bottom 5 = 30");
  expect(met(inside("height: 100px"), "bottom")).toBe("p bottom 5 = 5");
  expect(met(inside("min-height: 10px"), "bottom")).toBeNull();
});

test("what is generated in between counts", () => {
  expect(met(`${h2()}<div>${p()}</div>`, "top", 'div::before { content: "·" }')).toBe("p top 20 = 20");
  expect(met(`${h2()}<div>${p()}</div>`, "top", 'div::before { content: ""; position: absolute }')).toBe(
    "h2 bottom 10, div top 0, p top 20 = 20",
  );
});
