import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { combine } from "../edits/combine";
import { planEdit } from "../edits/plan";
import { changeSite, openSite, textFile } from "../source/site";
import { pageWith, sampleFiles, site } from "../testing/site";
import { nameStack, restack, stackTable } from "./stackTable";
import { contradictions, resize, sizesAt, snapped, textStyleTable, twinStyles, type StyleRow } from "./styleTable";

const css =
  "body{font:16px/1.5 serif}\nh1{font-size:39px;line-height:1.2}\nh2{font-size:1.9rem;line-height:1.2}\nh3{font-size:18px;line-height:1.2}\nh4{font-size:17.6px;line-height:1.2}\n.big{font-size:1.5em}\nsmall{color:#999}\n";
const body =
  "<h1>One</h1><h2>Two</h2><h3>Three</h3><h4>Four</h4><p>Text <small>fine</small></p><div><p class=big>Big</p></div>";
const from = site({
  "index.html": `<link rel=stylesheet href=a.css>${body}`,
  "other.html": "<link rel=stylesheet href=a.css><h3>Again</h3>",
  "a.css": css,
});
const rows = textStyleTable(from, defaultConditions);
const row = (selector: string): StyleRow => rows.find((one) => one.selector === selector)!;

describe("the table of text styles", () => {
  test("is largest first, with places over all pages", () => {
    expect(rows.map(({ sizePx }) => sizePx)).toEqual([...rows.map(({ sizePx }) => sizePx)].sort((a, b) => b - a));
    expect(row("h3")).toMatchObject({
      sizePx: 18,
      leading: 1.2,
      level: 3,
      pages: ["index.html", "other.html"],
      verdict: "passes",
    });
    expect(row("h3").places).toHaveLength(2);
    expect(row("small")).toMatchObject({ verdict: "fails", needs: 4.5, text: "fine" });
  });

  test("knows what sets a size, as it is written", () => {
    expect(row("h2").sizeFrom).toMatchObject({
      written: "1.9rem",
      inherited: false,
      target: { kind: "rule", path: "a.css", start: css.indexOf("h2") },
    });
    expect(row("p").sizeFrom).toMatchObject({ written: "16px", inherited: true, target: { start: 0 } });
    expect(row(".big")).toMatchObject({ parentPx: 16, rootPx: 16 });
  });

  test("marks the later of two styles that are hard to tell apart", () => {
    expect(row("h4").twin).toBe(row("h3").key);
    expect(rows.filter(({ twin }) => twin !== null)).toHaveLength(1);
  });

  test("tells sizes that contradict the order of headings", () => {
    expect(contradictions(rows)).toEqual([]);
    const odd = textStyleTable(
      site({ "a.html": "<style>h2{font-size:20px}h3{font-size:24px}</style><h2>a</h2><h3>b</h3>" }),
      defaultConditions,
    );
    expect(contradictions(odd)).toEqual([{ level: 3, px: 24, above: 2, abovePx: 20 }]);
  });

  test("the sample's styles all have words and a size", () => {
    for (const one of textStyleTable(openSite(sampleFiles()), defaultConditions)) {
      expect(one.text).not.toBe("");
      expect(one.sizePx).toBeGreaterThan(0);
      expect(one.places.length).toBeGreaterThan(0);
    }
  });
});

describe("edits of several styles at once", () => {
  test("a size is written in the unit it had", () => {
    const value = (selector: string, px: number) => {
      const edit = resize(row(selector), px, 1280);
      return edit?.kind === "declare" ? edit.value : null;
    };
    expect(value("h2", 32)).toBe("2rem");
    expect(value("h1", 40)).toBe("40px");
    expect(value(".big", 20)).toBe("1.25em");
    expect(resize(textStyleTable(site({ "a.html": "<h1>x</h1>" }), defaultConditions)[0]!, 30, 1280)).toBeNull();
  });

  test("all of them are made, whatever order they come in, and everything else stays", () => {
    const edits = [
      ["h2", 32],
      ["h1", 40],
      ["h3", 20],
    ].map(([selector, px]) => resize(row(selector as string), px as number, 1280)!);
    for (const list of [edits, [...edits].reverse()]) {
      const changes = combine(from, list);
      const after = changeSite(from, changes);
      expect(textFile(after, "a.css")!.text).toBe(
        css.replace("39px", "40px").replace("1.9rem", "2rem").replace("18px", "20px"),
      );
      expect(planEdit(from, { kind: "text", changes }).reach.places).toHaveLength(4);
    }
  });

  test("sizes over widths follow the window", () => {
    const fluid = site({ "a.html": "<style>p{font-size:clamp(10px,2vw,30px)}</style><p>x</p>" });
    expect(sizesAt(fluid, { page: "a.html", index: 4 }, [320, 1000, 1920], defaultConditions)).toEqual([10, 20, 30]);
    expect(sizesAt(fluid, { page: "no.html", index: 0 }, [320], defaultConditions)).toEqual([]);
  });
});

describe("the table of stacks", () => {
  const stacks = site({
    "index.html": "<link rel=stylesheet href=a.css><h1>Title</h1><p>Text <code>code</code></p>",
    "a.css":
      "body{font-family:Georgia,serif}\nh1{font:700 20px/1 Georgia , serif}\ncode{font-family:Menlo,monospace}\n",
  });
  const table = stackTable(stacks, defaultConditions);

  test("has every distinct stack with what uses it", () => {
    expect(table.map(({ stack, places, declarations }) => [stack, places.length, declarations.length])).toEqual([
      ["Georgia, serif", 2, 2],
      ["Menlo, monospace", 1, 1],
    ]);
    expect(table[0]).toMatchObject({
      sample: "Title",
      info: { faults: [], members: [{ name: "Georgia", source: "system" }, { generic: true }] },
    });
  });

  test("a stack is written everywhere it stands, inside shorthands as well", () => {
    const after = changeSite(stacks, restack(stacks, "Georgia, serif", "Charter, serif"));
    expect(textFile(after, "a.css")!.text).toBe(
      "body{font-family:Charter, serif}\nh1{font:700 20px/1 Charter, serif}\ncode{font-family:Menlo,monospace}\n",
    );
    expect(() => restack(stacks, "Nope", "x")).toThrow("No style sheet");
  });

  test("a stack is named, and computes to the same", () => {
    const changes = nameStack(stacks, "Georgia, serif", "--text", new Set());
    expect(planEdit(stacks, { kind: "text", changes }).reach.places).toEqual([]);
    expect(textFile(changeSite(stacks, changes), "a.css")!.text).toContain("h1{font:700 20px/1 var(--text)}");
    expect(() => nameStack(stacks, "Georgia, serif", "--text", new Set(["--text"]))).toThrow("already");
  });
});

describe("styles moved onto steps and a grid", () => {
  const sizeFrom = { target: { kind: "rule", path: "a.css", start: 0 }, written: "33px", inherited: false } as const;
  test.each<[string, number, number | null, number[], number | null, ReturnType<typeof snapped>]>([
    ["the nearest step, its leading kept", 33, 1.2, [16, 32, 40], null, { sizePx: 32, leading: 1.2 }],
    ["a size on a step stays", 32, 1.2, [16, 32, 40], null, null],
    ["leading to the grid at the new size", 33, 1.2, [32], 8, { sizePx: 32, leading: 1.25 }],
    ["leading alone", 16, 1.4, [16], 8, { sizePx: 16, leading: 1.5 }],
    ["leading on the grid already", 16, 1.5, [16], 8, null],
    ["normal leading is left to the font", 33, null, [32], 8, { sizePx: 32, leading: null }],
    ["no steps", 33, 1.2, [], null, null],
  ])("%s", (_, sizePx, leading, steps, grid, expected) =>
    expect(snapped({ sizePx, leading, sizeFrom }, steps, grid)).toEqual(expected),
  );

  test("a size that no rule of the site sets stays, its leading may move", () => {
    expect(snapped({ sizePx: 33, leading: 1.2, sizeFrom: null }, [32], null)).toBeNull();
    expect(snapped({ sizePx: 30, leading: 1.2, sizeFrom: null }, [32], 10)).toEqual({ sizePx: 30, leading: 40 / 30 });
  });
});

test("a style that cannot be read in the other scheme says so", () => {
  const dark = "@media (prefers-color-scheme: dark) { body { background: #111 } }";
  const [row] = textStyleTable(
    pageWith(`body { background: #fff; color: #333 } ${dark}`, "<p>One</p>"),
    defaultConditions,
  );
  expect(row).toMatchObject({ verdict: "passes", inOther: { scheme: "dark", verdict: "fails" } });
  const [alone] = textStyleTable(pageWith("body { color: #333 }", "<p>One</p>"), defaultConditions);
  expect(alone!.inOther).toBeNull();
});

test("the twin of a style is the first before it that is alike, whatever stands between", () => {
  const style = (key: string, sizePx: number, weight: number) =>
    ({
      key,
      stack: "serif",
      weight,
      ground: "#fff",
      specimen: [],
      sizePx,
      leading: 1.2,
      ink: "#222",
    }) as unknown as StyleRow;
  const all = [style("a", 18, 700), style("b", 18, 400), style("c", 17.9, 400), style("d", 17.8, 700)];
  expect(twinStyles(all).map(([one, twin]) => one.key + twin.key)).toEqual(["cb", "da"]);
});

test("rows of pseudo-elements show the words that those show", () => {
  const table = textStyleTable(pageWith("", '<p>Sea</p><input placeholder="As on your ticket">'), defaultConditions);
  expect(table.map(({ text }) => text).sort()).toEqual(["As on your ticket", "Sea"]);
});
