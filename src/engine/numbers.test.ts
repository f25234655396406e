import { beforeEach, describe, expect, test } from "vitest";
import { bareLayout, defaultConditions, type SafeElement, type StoredFile } from "@/core";
import { readFile } from "@/core/files";
import { plainStage } from "@/core/testing/stage";
import { engine } from "./engine";

const file = (path: string, text: string): StoredFile => readFile({ path, text }) as StoredFile;
const css =
  "h1 { color: #777; font-size: 30px }\nmain { container-type: inline-size }\n@container (width > 300px) { p { color: teal } }\n";
const html =
  "<!doctype html><html><head><title>Fares</title><link rel=stylesheet href=a.css></head><body><h1>Pier</h1><main><p>Two <b>boats</b></p></main></body></html>";
/** The page gets a `style` element of its own, so that all that follows is counted one further. */
const added = [{ path: "index.html", start: html.indexOf("</head>"), end: html.indexOf("</head>"), insert: "" }];
const style = (rules: string) => added.map((change) => ({ ...change, insert: `<style>${rules}</style>` }));
const box = { left: 0, top: 0, width: 9, height: 9 };
function elementsOf(root: SafeElement | null): string[] {
  const walk = ({ tag, index, content }: SafeElement): string[] => [
    `${tag} ${index}`,
    ...content.flatMap((child) => (typeof child === "string" ? [] : walk(child))),
  ];
  return root ? walk(root) : [];
}

const rehearse = (changes: typeof added, conditions = defaultConditions) =>
  engine.rehearse(changes, "index.html", "", conditions);

beforeEach(() => engine.open([file("index.html", html), file("a.css", css)]));

describe("while changes are rehearsed that put elements in, the others keep their numbers", () => {
  test("in the document, sheets, texts and what is put on elements", async () => {
    const conditions = { ...defaultConditions, rootSize: 20, forced: { "index.html": { 5: ["hover"] } } };
    const patch = await rehearse(style("h1 { color: navy }"), conditions);
    expect(elementsOf(patch.document!.root)).toEqual([
      "html 0",
      "head 1",
      "title 2",
      "style 3",
      "style 9",
      "body 4",
      "h1 5",
      "main 6",
      "p 7",
      "b 8",
    ]);
    expect(patch.sheets.map(({ owner }) => owner)).toEqual([3, 9]);
    expect(patch.places.map(({ index, ink }) => [index, ink])).toEqual([
      [5, "rgb(0, 0, 128)"],
      [7, "rgb(0, 0, 0)"],
      [8, "rgb(0, 0, 0)"],
    ]);
    expect(patch.overrides).toContainEqual([5, "font-size", "30px"]);
    expect(patch.states.map(([index]) => index).sort()).toEqual([0, 4, 5]);
  });

  test("texts of new elements are not told, and what is gone leaves its number free", async () => {
    const at = html.indexOf("<h1>");
    const gone = { path: "index.html", start: at, end: at + "<h1>Pier</h1>".length, insert: "" };
    const end = html.indexOf("</main>");
    const { document, places } = await rehearse([gone, { ...gone, start: end, end, insert: "<i>Ferries</i>" }]);
    expect(elementsOf(document!.root).slice(-4)).toEqual(["main 6", "p 7", "b 8", "i 9"]);
    expect(places.map(({ index }) => index)).toEqual([7, 8]);
  });

  test("what containers measure counts for them", async () => {
    const conditions = { ...defaultConditions, containers: { "index.html": { 6: { width: 400, height: 20 } } } };
    const { places } = await rehearse(style("b { color: red }"), conditions);
    expect(places.find(({ index }) => index === 7)!.ink).toBe("rgb(0, 128, 128)");
  });

  test("what the shown page tells is taken in by them, and counts once it is written", async () => {
    const changes = style("h1 { font-size: 20px }");
    const { structure } = await rehearse(changes);
    const painted = { points: [0, 0, 0, 119, 119, 119, 10], seen: 1, doubt: null };
    const under = [{ index: 4, box, images: [], picture: null, opacity: 1, group: false, doubt: null }];
    const layout = { 5: { ...bareLayout(box), under, over: [6], painted } };
    const places = await engine.layOut("index.html", structure, layout, true, defaultConditions, changes);
    const ratios = (list: typeof places) => list.map(({ index, ratio }) => [index, Math.round(ratio * 100) / 100]);
    expect(ratios(places)).toContainEqual([5, 4.69]);
    await engine.commit(changes, []);
    const now = await engine.page("index.html", defaultConditions);
    expect(ratios(now.places)).toContainEqual([6, 4.69]);
  });

  test("what lies under a text is found by them", async () => {
    const changes = style("body { background: #777 }");
    const { structure } = await rehearse(changes);
    const under = [{ index: 4, box, images: [], picture: null, opacity: 1, group: false, doubt: null }];
    const layout = { 5: { ...bareLayout(box), under } };
    const places = await engine.layOut("index.html", structure, layout, true, defaultConditions, changes);
    expect(places[0]).toMatchObject({ index: 5, ratio: 1 });
  });

  test("in pages that are looked at apart", async () => {
    const changes = style("h1 { color: navy } b { color: red }");
    const conditions = { ...defaultConditions, containers: { "index.html": { 6: { width: 400, height: 20 } } } };
    const { document, places } = await engine.variant("index.html", changes, conditions);
    expect(elementsOf(document.root)).toContain("h1 5");
    expect(places.map(({ index, ink }) => [index, ink])).toEqual([
      [5, "rgb(0, 0, 128)"],
      [7, "rgb(0, 128, 128)"],
      [8, "rgb(255, 0, 0)"],
    ]);
  });

  test("in pictures", async () => {
    const changes = style("h1 { font-size: 20px }");
    const look = {
      kind: "struck" as const,
      strikes: [{ index: 5, pseudo: null, color: "lime", thickness: 8 }],
    };
    const told = {
      ...plainStage,
      canvas: { index: 4, declarations: "background-color:teal", box },
      sticky: [[6, "top:1px"]] as const,
      cutOut: [8],
      moving: [7],
    };
    const address = await engine.picture("index.html", changes, defaultConditions, told, look, null);
    const svg = Buffer.from(address.slice(address.indexOf(",") + 1), "base64").toString();
    const styleOf = (tag: string) => new RegExp(`<${tag}[^>]* style="([^"]*)"`).exec(svg)?.[1] ?? "";
    expect(styleOf("h1")).toContain("lime");
    expect(styleOf("body")).toContain("background:none!important");
    expect(styleOf("main")).toContain("top:1px");
    expect(styleOf("p")).toContain("animation:none");
    const ground = await engine.picture("index.html", changes, defaultConditions, told, { kind: "ground" }, null);
    const grounds = Buffer.from(ground.slice(ground.indexOf(",") + 1), "base64").toString();
    expect(/<b\s[^>]*style="([^"]*)"/.exec(grounds)?.[1]).toContain("background:none");
  });
});
