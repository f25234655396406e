import { expect, test } from "vitest";
import { site } from "../../testing/site";
import { documentOf } from "./document";
import { textFile } from "../site";
import { defaultConditions } from "../../cascade/conditions";
import { rewritingFor } from "../../cascade/rehearse";
import { safeDocument, safeSheets, type SafeElement } from "./safe";

const hostile = `<!doctype html><html onload="x()"><head>
<base href="https://far.example/"><meta http-equiv="refresh" content="0;url=https://far.example/">
<script src="https://far.example/x.js">alert(1)</script><link rel="preload" href="https://far.example/p"><link rel=stylesheet href=a.css>
<style>@import "https://far.example/i.css"; b{background:url(https://far.example/b.png)}</style></head>
<body background="https://far.example/bg.png" onclick="x()">
<img src="https://far.example/a.png" srcset="https://far.example/b.png 2x" onerror="x()"><img src="data:text/html,<script>"><img src="in/boat.png">
<iframe src="https://far.example" srcdoc="<script>x()</script>"></iframe><object data="https://far.example/o"></object><embed src="https://far.example/e">
<a href=" java&#10;script:x()">a</a><a href="https://far.example/page">b</a><form action="https://far.example/f"><button formaction="https://far.example/g">c</button></form>
<svg><script>x()</script><image href="https://far.example/s.png"/><use href="#ok"/><use href="https://far.example/u#a"/><a><animate attributeName="href" to="javascript:x()"/></a></svg>
<video src="https://far.example/v" poster="https://far.example/q" autoplay></video><p style="background:url('https://far.example/p.png')">d</p>
<template><script>x()</script></template><math><mtext href="https://far.example/m"></mtext></math></body></html>`;

const from = site({ "index.html": hostile, "in/boat.png": "png" });
const page = textFile(from, "index.html")!;
const addressOf = (path: string) => (from.files.has(path) ? `memory:${path}` : null);

function everything(element: SafeElement): SafeElement[] {
  return [element, ...element.content.flatMap((child) => (typeof child === "string" ? [] : everything(child)))];
}

test("nothing that runs, refreshes or could be asked for is left", () => {
  const all = everything(safeDocument(from, page, addressOf).root!);
  for (const { tag, attributes, content } of all) {
    if (tag === "script") expect(content).toEqual([]);
    for (const [name, value] of attributes) {
      expect(name).not.toMatch(/^on|^srcset$|^srcdoc$|^action$|^formaction$|^http-equiv$/i);
      if (name === "href" && tag === "a") expect(value).not.toMatch(/script:/i);
      else expect(value, `${tag} ${name}`).not.toMatch(/far\.example/);
    }
  }
});

test("only pictures are given an address, whatever lies there", () => {
  const drawing = "data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg'/>";
  const given = (markup: string) => {
    const local = site({ "index.html": `<p>${markup}`, "in/boat.png": "png" });
    const all = everything(safeDocument(local, textFile(local, "index.html")!, addressOf).root!);
    return all.flatMap(({ tag, attributes }) => attributes.map(([name]) => `${tag} ${name}`));
  };
  for (const address of ["in/boat.png", drawing]) {
    for (const tag of ["iframe", "frame", "embed", "video", "audio", "source", "track", "script"])
      expect(given(`<${tag} src="${address}"></${tag}>`), tag).toEqual([]);
    for (const name of ["srcset", "longdesc", "href", "data", "action"])
      expect(given(`<img ${name}="${address}"><input ${name}="${address}">`), name).toEqual([]);
    expect(given(`<img src="${address}"><input type=image src="${address}"><video poster="${address}">`)).toEqual([
      "img src",
      "input type",
      "input src",
      "video poster",
    ]);
  }
});

test("every element stays in its place, so that selectors match as before", () => {
  const all = everything(safeDocument(from, page, addressOf).root!);
  expect(all.map(({ index }) => index).sort((a, b) => a - b)).toEqual(
    documentOf(page).elements.map(({ index }) => index),
  );
});

test("sheets lose what lies elsewhere and keep what is in the site", () => {
  const local = site({
    "index.html":
      "<style>@import 'p.css' screen; a{background:url( in/boat.png )} b{src:url(\"//far.example/x\")}</style>",
    "p.css": "p{top:0",
    "in/boat.png": "png",
  });
  const [sheet] = safeSheets(
    local,
    textFile(local, "index.html")!,
    rewritingFor(defaultConditions, "index.html"),
    (path) => (local.files.has(path) ? `memory:${path}` : null),
  );
  expect(sheet!.text).toContain('url("memory:in/boat.png")');
  expect(sheet!.text).not.toContain("far.example");
  expect(sheet!.text).not.toContain("@import");
  expect(sheet!.text).toMatch(/@media screen \{\s*p\{top:0\s*\}\s*\}/);
});

test("the scheme is answered in the sheet", () => {
  const local = site({ "index.html": "<style>@media (prefers-color-scheme: dark) { a { top: 0 } }</style>" });
  const text = (scheme: "light" | "dark") =>
    safeSheets(
      local,
      textFile(local, "index.html")!,
      rewritingFor({ ...defaultConditions, scheme }, "index.html"),
      () => null,
    )[0]!.text;
  expect(text("dark")).toContain("(min-width: 0px)");
  expect(text("light")).toContain("(max-width: 0px)");
});
