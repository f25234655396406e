import { beforeEach, describe, expect, test } from "vitest";
import { bareLayout, defaultConditions, type Edit, type ElementRef, type StoredFile } from "@/core";
import { readFile } from "@/core/files";
import { engine } from "./engine";

const css = "h1 { color: #777; font-size: 30px }\np { color: teal }\n";
const file = (path: string, text: string): StoredFile => readFile({ path, text }) as StoredFile;
const html = (title: string) =>
  `<!doctype html><html><head><title>${title}</title><link rel=stylesheet href=a.css></head><body><h1>Pier</h1><p>Two boats</p></body></html>`;
const heading: ElementRef = { page: "index.html", index: 5 };

const view = () => engine.page("index.html", defaultConditions);
/** Sizes the heading by its rule. */
async function sized(value: string): Promise<Edit> {
  const slip = await engine.slip(heading, defaultConditions);
  const { target } = slip!.targets.find(({ label }) => label === "h1")!;
  return { kind: "declare", target, property: "font-size", value, place: heading };
}

beforeEach(() => engine.open([file("index.html", html("One")), file("more.html", html("Two")), file("a.css", css)]));

describe("the engine", () => {
  test("shows a page with its sheets and texts", async () => {
    const { document, sheets, places } = await view();
    expect(document.path).toBe("index.html");
    expect(sheets.map(({ text }) => text)).toEqual([css]);
    expect(places.map(({ index, sizePx, verdict }) => [index, sizePx, verdict])).toEqual([
      [5, 30, "passes"],
      [6, 16, "passes"],
    ]);
    await expect(engine.page("none.html", defaultConditions)).rejects.toThrow("There is no page none.html.");
  });

  test("a page is told of before its texts are known, as long as it was not styled as it is", async () => {
    const told: unknown[] = [];
    const asked = (conditions = defaultConditions) =>
      engine.page("index.html", conditions, (glance) => void told.push(glance));
    const { places, ...rest } = await asked();
    expect(places).toHaveLength(2);
    expect(told).toEqual([rest]);
    await asked();
    expect(told).toHaveLength(1);
    // What is put on elements is known from their styles alone.
    await asked({ ...defaultConditions, rootSize: 20 });
    expect(told).toHaveLength(1);
    await expect(engine.page("none.html", defaultConditions, () => undefined)).rejects.toThrow("There is no page");
  });

  test("a page that is laid out out of sight comes without rules that match nothing on it, and is known as it is shown", async () => {
    await engine.open([file("index.html", html("One")), file("a.css", `${css}.x { color: red }\n`)]);
    const { places: told, ...rest } = await engine.pageOutOfSight("index.html", defaultConditions);
    expect(told).toHaveLength(2);
    expect(await engine.glanceOutOfSight("index.html", defaultConditions)).toEqual(rest);
    const { sheets, structure, places } = await engine.pageOutOfSight("index.html", defaultConditions);
    expect(sheets.map(({ text }) => text.trim())).toEqual([css.trim()]);
    expect((await view()).sheets[0]!.text).toContain(".x");
    expect((await engine.unlaidPages(defaultConditions, null)).length).toBe(1);
    const painted = { points: [0, 0, 0, 119, 119, 119, 10], seen: 1, doubt: null };
    const bare = bareLayout({ left: 0, top: 0, width: 9, height: 9 });
    const layout = Object.fromEntries(places.map(({ index }) => [index, { ...bare, painted }]));
    await engine.layOut("index.html", structure, layout, false, defaultConditions, []);
    expect(await engine.unlaidPages(defaultConditions, null)).toEqual(["index.html"]);
    await engine.layOutOfSight("index.html", structure, layout, defaultConditions);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.69, 1);
    expect(await engine.unlaidPages(defaultConditions, null)).toEqual([]);
  });

  test("what a page wears in another window is told where browsers do not find it by themselves", async () => {
    const fluid = `${css}h1 { font-size: 10vw }\n@media (width < 500px) { p { color: red } }`;
    await engine.open([file("index.html", html("One")), file("a.css", fluid)]);
    const dress = (part: object, width: number) =>
      engine.dressOutOfSight("index.html", { ...defaultConditions, ...part }, width);
    expect(await dress({}, 320)).toBeNull();
    const large = await dress({ rootSize: 20 }, 400);
    expect(large!.overrides).toContainEqual([5, "font-size", "40px"]);
    const onPaper = { medium: "print" } as const;
    const media = async (width: number) => /@media ([^{]*)\{/.exec((await dress(onPaper, width))!.sheets[0]!.text)![1];
    expect([await media(400), await media(600)].map((text) => text!.trim())).toEqual(["all", "not all"]);
  });

  test("what is rehearsed is shown by the rules that differ, and is not written", async () => {
    const before = await view();
    const { plan } = await engine.plan(await sized("40px"), defaultConditions, "index.html");
    const patch = await engine.rehearse(plan!.changes, "index.html", before.structure, defaultConditions);
    expect(patch.document).toBeNull();
    expect(patch.sheets[0]).toMatchObject({
      text: css.replace("30px", "40px"),
      since: {
        edition: before.sheets[0]!.edition,
        exchange: {
          ahead: [""],
          out: ["h1 { color: #777; font-size: 30px }"],
          in: ["h1 { color: #777; font-size: 40px }"],
        },
      },
    });
    expect(patch.places[0]!.sizePx).toBe(40);
    expect((await view()).sheets[0]!.edition).toBe(before.sheets[0]!.edition);
    await engine.commit(plan!.changes, []);
    expect((await view()).sheets[0]!.edition).toBe(patch.sheets[0]!.edition);
  });

  test("ways to set the same right are told to each who asks", async () => {
    const { findings } = (await engine.summary(defaultConditions))!;
    const asked = await Promise.all(
      ["slip", "source"].map((asker) => engine.fixes(findings[0]!, defaultConditions, asker)),
    );
    for (const answer of asked) expect(answer?.fixes).toBeDefined();
  });

  test("sheets asked for at the same time are all told", async () => {
    const [sheet, page] = await Promise.all([engine.outline("a.css"), engine.outline("index.html")]);
    expect(sheet.flatMap(({ rules }) => rules.map(({ selector, places }) => [selector, places]))).toEqual([
      ["h1", 2],
      ["p", 2],
    ]);
    expect(page).toEqual([]);
  });

  test("an edit reaches its own page at once, and the site when it is counted", async () => {
    const edit = await sized("40px");
    const first = await engine.plan(edit, defaultConditions, "index.html");
    expect(first.plan!.reach).toMatchObject({ pages: ["index.html"], whole: false });
    const all = await engine.reach(edit, defaultConditions);
    expect(all!.plan!.reach).toMatchObject({ pages: ["index.html", "more.html"], whole: true });
  });

  test("an edit that cannot be made is refused in words", async () => {
    const edit: Edit = { kind: "toggle", path: "a.css", start: 3 };
    expect(await engine.plan(edit, defaultConditions, null)).toMatchObject({ plan: null, judged: null });
    expect((await engine.plan(edit, defaultConditions, null)).problem).toContain("no declaration");
    expect((await engine.reach(edit, defaultConditions))!.problem).toContain("no declaration");
  });

  test("what was painted counts while the page is as it was, through what is written elsewhere", async () => {
    const { structure } = await view();
    const painted = { points: [0, 0, 0, 119, 119, 119, 10], seen: 1, doubt: null };
    const layout = { 5: { ...bareLayout({ left: 0, top: 0, width: 10, height: 10 }), painted } };
    const places = await engine.layOut("index.html", structure, layout, true, defaultConditions, []);
    expect(places[0]).toMatchObject({ index: 5, verdict: "passes" });
    expect(places[0]!.ratio).toBeCloseTo(4.69, 1);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.69, 1);
    // With another element before it, that is of another text.
    const insert = {
      path: "index.html",
      start: html("One").indexOf("<h1>"),
      end: html("One").indexOf("<h1>"),
      insert: "<i>x</i>",
    };
    const patch = await engine.rehearse([insert], "index.html", structure, defaultConditions);
    expect(patch.places.map(({ index, ratio }) => [index, Math.round(ratio * 100) / 100])).toEqual([
      [5, 4.48],
      [6, 4.77],
    ]);
  });

  test("a picture that is replaced was not painted yet", async () => {
    const picture = (byte: number) => ({ kind: "other" as const, path: "a.png", bytes: new Uint8Array([byte]) });
    await engine.open([file("index.html", html("One")), file("a.css", css), picture(1)]);
    const { structure } = await view();
    const painted = { points: [0, 0, 0, 119, 119, 119, 10], seen: 1, doubt: null };
    const layout = { 5: { ...bareLayout({ left: 0, top: 0, width: 10, height: 10 }), painted } };
    await engine.layOut("index.html", structure, layout, true, defaultConditions, []);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.69, 1);
    await engine.commit([], [{ path: "a.png", before: picture(1), after: picture(2) }]);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.48, 1);
  });

  test("what was painted while it was only shown counts once it is written", async () => {
    const { plan } = await engine.plan(await sized("40px"), defaultConditions, "index.html");
    const { structure } = await engine.rehearse(plan!.changes, "index.html", "", defaultConditions);
    const painted = { points: [0, 0, 0, 119, 119, 119, 10], seen: 1, doubt: null };
    const layout = { 5: { ...bareLayout({ left: 0, top: 0, width: 10, height: 10 }), painted } };
    await engine.layOut("index.html", structure, layout, true, defaultConditions, plan!.changes);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.48, 2);
    await engine.commit(plan!.changes, []);
    expect((await view()).places[0]!.ratio).toBeCloseTo(4.69, 2);
  });

  test("pages that were not looked under are told, the shown one left out, those after it first", async () => {
    expect(await engine.unlaidPages(defaultConditions, "index.html")).toEqual(["more.html"]);
    expect(await engine.unlaidPages(defaultConditions, null)).toEqual(["index.html", "more.html"]);
  });

  test("a place is found again where a change put elements before it", async () => {
    const link = { path: "index.html", start: 0, end: 0, insert: "<link><link>" };
    const back = { path: "index.html", start: 0, end: link.insert.length, insert: "" };
    const place = { page: "index.html", index: 5 };
    const moved = await engine.commit([link], [], place);
    expect(moved).toEqual({ page: "index.html", index: 7 });
    expect(await engine.commit([back], [], moved)).toEqual(place);
    expect(await engine.commit([], [], { page: "none.html", index: 0 })).toBeNull();
  });

  test("what is written by hand is asked about as it is typed", async () => {
    const typed = { path: "a.css", text: css.replace("30px", "30") };
    expect(await engine.parses(typed)).toBe(false);
    expect(await engine.parses({ path: "a.css", text: css })).toBe(true);
    const at = typed.text.indexOf("30") + 2;
    const found = await engine.writing(typed, at, "index.html", defaultConditions);
    expect(found!.options.map(({ text }) => text)).toContain("30px");
    const { rule, help } = await engine.written(typed, at, "index.html", defaultConditions);
    expect([rule!.elements, help!.property]).toEqual([1, "font-size"]);
    expect((await engine.colorsIn(typed)).map(({ css: color }) => color)).toEqual([
      "rgb(119, 119, 119)",
      "rgb(0, 128, 128)",
    ]);
  });

  test("changes of files come with those of text", async () => {
    await engine.commit([], [{ path: "a.css", before: file("a.css", css), after: null }]);
    expect((await view()).sheets).toEqual([]);
  });

  test("colours of the site, those most used first", async () => {
    await engine.commit([{ path: "a.css", start: 0, end: 0, insert: "b { color: teal }\n" }], []);
    expect((await engine.siteColors()).map(({ value, uses }) => [value, uses])).toEqual([
      ["teal", 2],
      ["#777", 1],
    ]);
  });

  test("fonts of the site get an address in memory", async () => {
    await engine.commit(
      [{ path: "a.css", start: 0, end: 0, insert: '@font-face { font-family: "A"; src: url(a.woff2) }\n' }],
      [{ path: "a.woff2", before: null, after: { kind: "other", path: "a.woff2", bytes: new Uint8Array([1]) } }],
    );
    expect((await view()).sheets[0]!.text).toMatch(/url\("blob:/);
  });

  test("a picture of a page is an address that holds all of it", async () => {
    await engine.commit(
      [{ path: "a.css", start: 0, end: 0, insert: "body { background: url(a.png) }\n" }],
      [{ path: "a.png", before: null, after: { kind: "other", path: "a.png", bytes: new Uint8Array([1, 2, 3]) } }],
    );
    const stage = {
      width: 800, height: 600, room: 800, bars: false, window: { width: 800, height: 600 }, paper: "white", backed: false,
      canvas: null, root: "", spilling: [], moving: [], fixed: [], sticky: [], kept: [], cutOut: [], unknown: [], remote: false,
    }; // prettier-ignore
    const address = await engine.picture("index.html", [], defaultConditions, stage, { kind: "ground" }, null);
    const svg = atob(address.slice("data:image/svg+xml;base64,".length));
    expect(svg).toContain("data:image/png;base64,AQID");
    expect(svg).not.toContain("blob:");
  });

  test("a small site is worked through until one is opened", async () => {
    await engine.open([]);
    await engine.warm([file("index.html", html("Small")), file("a.css", css)]);
    expect(await engine.unlaidPages(defaultConditions, null)).toEqual([]);
  });
});
