import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { pageWith, stylesOf } from "../testing/site";
import { linkLooks } from "./linkStates";

const looks = (css: string, body: string) => {
  const site = pageWith(css, body);
  const { index } = stylesOf(site).find(({ element }) => element.tag === "a")!.element;
  return linkLooks(site, { page: "index.html", index }, defaultConditions, {})!;
};

describe("a link in its states", () => {
  test("has each state's own ink, ground and lines", () => {
    const { states } = looks(
      "a{color:#00f;text-decoration:none}a:visited{color:#808}a:hover{text-decoration:underline dotted red}a:focus{background:#ff0}a:active{color:#f00}",
      '<p>Take <a href="x">the boat</a></p>',
    );
    const by = Object.fromEntries(states.map((one) => [one.state, one]));
    expect(Object.keys(by)).toEqual(["rest", "visited", "hover", "focus", "active"]);
    expect(by.rest).toMatchObject({ ink: "rgb(0, 0, 255)", ground: "rgb(255, 255, 255)" });
    expect(by.visited!.ink).toBe("rgb(136, 0, 136)");
    expect(by.hover!.lines).toBe("underline dotted rgb(255, 0, 0) auto");
    expect(by.focus!.ground).toBe("rgb(255, 255, 0)");
    expect(by.active!.ink).toBe("rgb(255, 0, 0)");
    expect(by.rest!.ratio).toBeCloseTo(8.59, 1);
    expect(by.rest).toMatchObject({ needs: 4.5, verdict: "passes" });
    expect(by.focus).toMatchObject({ needs: 4.5, verdict: "passes" });
    expect(by.active).toMatchObject({ verdict: "fails" });
  });

  test("a rule for one state leaves the others", () => {
    const { states } = looks("a:hover{color:#fff}", '<a href="x">x</a>');
    expect(
      new Set(
        states
          .filter(({ state }) => state !== "hover" && state !== "visited" && state !== "active")
          .map(({ ink }) => ink),
      ).size,
    ).toBe(1);
  });
});

describe("how a link is told from the words around it", () => {
  test.each<[string, string, string, number | null]>([
    ["by a line", "a{color:#333}", '<p>Take <a href="x">it</a></p>', null],
    [
      "by its colour alone",
      "p{color:#000}a{color:#767676;text-decoration:none}",
      '<p>Take <a href="x">it</a></p>',
      4.6,
    ],
    ["hardly", "p{color:#333}a{color:#1a6fa0;text-decoration:none}", '<p>Take <a href="x">it</a></p>', 2.3],
    ["not at all", "p,a{color:#333;text-decoration:none}", '<p>Take <a href="x">it</a></p>', 1],
    ["nothing stands around it", "a{color:#1a6fa0;text-decoration:none}", '<nav> <a href="x">it</a> </nav>', null],
  ])("%s", (_, css, body, apart) => {
    const { tellsApart } = looks(css, body);
    if (apart === null) expect(tellsApart).toBeNull();
    else expect(Math.floor(tellsApart! * 10 + 1e-9) / 10).toBe(apart);
  });

  test("nothing for a page or an element that is not there", () => {
    const site = pageWith("", "<p>x</p>");
    expect(linkLooks(site, { page: "no.html", index: 1 }, defaultConditions, {})).toBeNull();
    expect(linkLooks(site, { page: "index.html", index: 99 }, defaultConditions, {})).toBeNull();
  });
});
