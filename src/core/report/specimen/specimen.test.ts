import { parse, type DefaultTreeAdapterMap } from "parse5";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../../cascade/conditions";
import { findingKeys, findingsFor } from "../../findings";
import { styledPage } from "../../cascade/styledPages";
import { finished } from "../../source/steps";
import { openSite, pagesOf, type Site } from "../../source/site";
import { pageWith, sampleFiles, site } from "../../testing/site";
import { textStyleTable } from "../../tables/styleTable";
import { specimenSheet } from ".";
import { fontsFor } from "./fonts";
import { html } from "./markup";

type Element = DefaultTreeAdapterMap["element"];

const make = (of: Site, left: Record<string, string> = {}) =>
  finished(specimenSheet.make({ name: "Ossel <i>", site: of, conditions: defaultConditions, layouts: {}, left }));

function elementsOf(text: string): Element[] {
  const all: Element[] = [];
  const walk = (node: DefaultTreeAdapterMap["parentNode"]) => {
    for (const child of node.childNodes) {
      if (!("tagName" in child)) continue;
      all.push(child);
      walk(child);
    }
  };
  walk(parse(text));
  return all;
}

const attribute = (element: Element, name: string) => element.attrs.find((one) => one.name === name)?.value;
const textIn = (node: DefaultTreeAdapterMap["childNode"]): string =>
  "value" in node ? node.value : "childNodes" in node ? node.childNodes.map(textIn).join("") : "";

describe("the specimen sheet", () => {
  test("has every text style of the sample in every scheme, set as it is", () => {
    const sample = openSite(sampleFiles());
    const all = elementsOf(make(sample));
    const set = all.filter((one) => attribute(one, "dir") === "auto").map((one) => attribute(one, "style")!);
    const rows = textStyleTable(sample, defaultConditions);
    for (const { specimen, color } of rows)
      expect(set).toContain(
        [...specimen, ["color", color]].map(([property, value]) => `${property}: ${value}`).join("; "),
      );
    expect(all.some((one) => textIn(one).startsWith("in the dark: "))).toBe(true);
    const parts = all.filter(({ tagName }) => tagName === "h2").map(textIn);
    expect(parts).toEqual([
      "Text styles",
      "Sizes",
      "Font stacks",
      "Inks on grounds",
      "Links",
      "Colour values",
      "Findings",
    ]);
  });

  test("fetches nothing and runs nothing, whatever the site says", () => {
    const hostile = site({
      "a.css": `
        @font-face { font-family: "</style><script>alert(1)</script>"; src: url(a.woff2), url(http://x.invalid/a.woff2) }
        p { font-family: "\\"><img src=x onerror=alert(1)>", "</style>"; background: url(http://x.invalid/a.png) }
        a:hover { color: red; --a: "</style>" }`,
      "index.html": `<!doctype html><link rel="stylesheet" href="a.css"><title></title>
        <p onclick="alert(1)">&lt;script&gt;alert(1)&lt;/script&gt; <a href="javascript:alert(1)">x</a></p>`,
    });
    const all = elementsOf(make(hostile));
    expect(all.filter(({ tagName }) => ["script", "img", "iframe", "link", "object"].includes(tagName))).toEqual([]);
    const addresses = all.flatMap(({ attrs }) => attrs.filter(({ name }) => /^(?:href|src|on)/.test(name)));
    expect(addresses.filter(({ value }) => !value.startsWith("#"))).toEqual([]);
    const styled = all.flatMap((one) => attribute(one, "style") ?? (one.tagName === "style" ? textIn(one) : []));
    expect(styled.filter((text) => /url\((?!data:)/.test(text))).toEqual([]);
    expect(all.find(({ tagName }) => tagName === "h1")!.childNodes.map(textIn)).toEqual(["Ossel <i>"]);
  });

  test("has the fonts of the site in it", () => {
    const styles = elementsOf(make(openSite(sampleFiles()))).filter(({ tagName }) => tagName === "style");
    expect(textIn(styles[0]!)).toMatch(
      /@font-face \{ font-family: Bitter; .*src: url\(data:application\/octet-stream;base64,/,
    );
  });

  test("a font whose name would end the style element does not, and one that is too large is named", () => {
    const sample = openSite(sampleFiles());
    const font = [...sample.files.values()].find(({ path }) => path.endsWith(".woff2"))!;
    const named = openSite([
      { path: "f.woff2", bytes: font.kind === "other" ? font.bytes : new Uint8Array() },
      {
        path: "a.css",
        text: '@font-face { font-family: "a</style><script>"; src: url(f.woff2) } p { font-family: "a</style><script>" }',
      },
      { path: "index.html", text: '<!doctype html><link rel="stylesheet" href="a.css"><p>x</p>' },
    ]);
    const { css, left } = fontsFor(named, defaultConditions);
    expect([css.slice(0, 60), left]).toEqual([expect.stringContaining('font-family: "a\\3c /style>\\3c script>"'), []]);
    expect(elementsOf(make(named)).filter(({ tagName }) => tagName === "script")).toEqual([]);
    expect(fontsFor(named, defaultConditions, 100)).toEqual({ css: "", left: ["a</style><script>"] });
  });

  test("says why findings stay, and which are open", () => {
    const from = pageWith("h1 { color: #ccc } p { colour: red }", "<h1>x</h1><p>y</p>");
    const pages = pagesOf(from).map((file) => styledPage(from, file, defaultConditions));
    const found = findingsFor({ site: from, conditions: defaultConditions, layouts: {}, pages });
    const key = findingKeys(found)[found.findIndex(({ check }) => check === "contrast")]!;
    const text = make(from, { [key]: "It is the name of a boat." });
    expect(text).toContain("<b>Why it stays:</b> It is the name of a boat.");
    expect(text.indexOf("Stays as it is")).toBeLessThan(text.indexOf("colour is not a property"));
    expect(make(site({}))).toContain("Nothing was found.");
  });
});

test("parts of markup are text unless they are markup themselves", () => {
  expect(html`<b title="${'"&'}">${["<", html`<i>${1}</i>`, null]}</b>`.text).toBe(
    '<b title="&quot;&amp;">&lt;<i>1</i></b>',
  );
});
