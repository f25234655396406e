import { expect, test } from "vitest";
import { defaultConditions } from "../conditions";
import { computedValue } from "../style";
import { styledPage } from "../styledPages";
import { openSite, textFile } from "../../source/site";

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
