import { expect, test } from "vitest";
import { defaultConditions } from "../conditions";
import { computedValue } from "../style";
import { styledPage } from "../styledPages";
import { openSite, textFile } from "../../source/site";
import { computed, pageWith } from "../../testing/site";

/** What a size of the element with the id `t` comes to. */
function sizeOf(body: string, name: string): string {
  const text = `<!doctype html><title>Sizes</title><body>${body}`;
  const site = openSite([{ path: "page.html", text }]);
  const { styles } = styledPage(site, textFile(site, "page.html")!, defaultConditions);
  return computedValue(
    styles.find(({ element }) => element.id === "t")!,
    name,
  );
}

test.each([
  ["width: -webkit-fit-content", "width", "fit-content"],
  ["width: -webkit-fill-available", "width", "stretch"],
  ["width: 10em; font-size: 20px", "width", "200px"],
  ["width: -1px", "width", "auto"],
  ["max-width: none", "max-width", "none"],
  ["max-width: auto", "max-width", "none"],
  ["inline-size: 30px", "width", "30px"],
  ["inline-size: 30px; writing-mode: vertical-rl", "height", "30px"],
  ["min-block-size: calc(50% - 2px)", "min-height", "calc(50% - 2px)"],
])("%s makes %s %s", (declarations, name, size) => {
  expect(sizeOf(`<p id="t" style="${declarations}">x`, name)).toBe(size);
});

test.each([
  ['<img id="t" width="40" height="50%">', "width", "40px"],
  ['<img id="t" width="40" height="50%">', "height", "50%"],
  ['<table id="t" width="0">', "width", "auto"],
  ['<table id="t" height="0">', "height", "0px"],
  ['<table><td id="t" height="0">x', "height", "auto"],
  ['<p id="t" width="40">x', "width", "auto"],
  ['<hr id="t" size="5">', "height", "3px"],
  ['<progress id="t">', "width", "160px"],
])("%s has %s %s", (body, name, size) => {
  expect(sizeOf(body, name)).toBe(size);
});

test("size keywords come to the steps that browsers have for text, for monospace alone, and for that in quirks mode", () => {
  const keywords = ["xx-small", "x-small", "small", "medium", "large", "x-large", "xx-large", "xxx-large"];
  const css = keywords.map((keyword, at) => `#a${at} { font-size: ${keyword} }`).join("\n");
  const sizesIn = (family: string, doctype?: string) => {
    const body = keywords.map((_, at) => `<p id="a${at}">Tern</p>`).join("");
    const from = pageWith(`p { font-family: ${family} }\n${css}`, body, doctype);
    return keywords.map((_, at) => computed(from, `a${at}`, "font-size"));
  };
  const px = (...sizes: number[]) => sizes.map((size) => `${size}px`);
  expect(sizesIn("serif")).toEqual(px(9, 10, 13, 16, 18, 24, 32, 48));
  expect(sizesIn("monospace")).toEqual(px(9, 10, 12, 13, 16, 20, 26, 39));
  expect(sizesIn("monospace", "")).toEqual(px(9, 9, 10, 13, 16, 20, 26, 40));
});
