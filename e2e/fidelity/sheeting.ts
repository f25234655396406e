/** Pages whose sheets come in many ways: linked, embedded and imported, with conditions, layers, titles and addresses. */
import type { SiteFile } from "../../src/core";
import { chanceOf, type Chance } from "../support/random";

const layers = ["a", "b", "a.c", "d"];
const media = [
  "screen",
  "print",
  "all",
  "(width > 500px)",
  "(width > 1500px)",
  "not print",
  "screen, print",
  "nope",
  "",
];
const supports = ["display: grid", "colour: red", "(display: grid) and (color: red)", "not (display: grid)"];
const selectors = ["p", "b", "div", "*", ".x", "div p", "b, p", ".x b", "#i"];
const properties = ["letter-spacing", "word-spacing", "margin-left", "text-indent"];

/** A rule with a number of its own, so that what wins is seen. */
function rule(chance: Chance, next: () => number): string {
  const one = () => `${chance.among(properties)}: ${next()}px${chance.is(0.1) ? " !important" : ""}`;
  const text = `${chance.among(selectors)} { ${one()}; ${one()} }`;
  return chance.is(0.3) ? `@layer ${chance.among([...layers, ""])} { ${text} }` : text;
}

/** @param names of the sheets, those in the same folder @param folder of this sheet, which ends in a slash or is empty */
function address(chance: Chance, names: readonly string[], folder: string): string {
  const name = chance.among(names);
  const from = folder
    ? chance.among([`../${name}`, `./../${name}`])
    : chance.among([name, `./${name}`, `css/../${name}`]);
  // A query would make another sheet of it where it is imported in a circle.
  return chance.is(0.15) ? `${from}#x` : from;
}

function importRule(chance: Chance, names: readonly string[], folder: string): string {
  const at = address(chance, names, folder);
  const written = chance.among([`"${at}"`, `url(${at})`, `url("${at}")`, `url( ${at} )`]);
  const layer = chance.among(["", "", " layer", ` layer(${chance.among(layers)})`, " LAYER(d)"]);
  const condition = chance.is(0.2) ? ` supports(${chance.among(supports)})` : "";
  const asked = chance.is(0.4) ? ` ${chance.among(media)}` : "";
  return `@${chance.among(["import", "IMPORT"])} ${written}${layer}${condition}${asked};`;
}

function sheet(chance: Chance, next: () => number, names: readonly string[], folder: string): string {
  const lines: string[] = [];
  if (chance.is(0.15)) lines.push('@charset "utf-8";');
  if (chance.is(0.25)) lines.push(`@layer ${chance.among(layers)}, ${chance.among(layers)};`);
  while (chance.is(0.35)) lines.push(importRule(chance, names, folder));
  const count = 1 + chance.upTo(4);
  for (let at = 0; at < count; at += 1) lines.push(rule(chance, next));
  // Behind rules it counts no more (CSS Cascade 5, 2).
  if (chance.is(0.1)) lines.push(importRule(chance, names, folder));
  return lines.join("\n");
}

function owner(chance: Chance, next: () => number, names: readonly string[]): string {
  const attributes = [
    chance.is(0.3) ? ` media="${chance.among(media)}"` : "",
    chance.is(0.2) ? ` title="${chance.among(["one", "two", ""])}"` : "",
    chance.is(0.08) ? ` type="${chance.among(["text/css", "TEXT/CSS", "text/plain", ""])}"` : "",
  ].join("");
  if (chance.is(0.35)) return `<style${attributes}>\n${sheet(chance, next, names, "")}\n</style>`;
  const rel = chance.among([
    "stylesheet",
    "stylesheet",
    "stylesheet",
    "StyleSheet",
    "icon stylesheet",
    "alternate stylesheet",
    "preload",
  ]);
  const disabled = chance.is(0.06) ? " disabled" : "";
  return `<link rel="${rel}" href="${address(chance, names, "")}"${attributes}${disabled}>`;
}

/** A page and its sheets, in a folder of its own. */
export function sheetingSite(seed: number): SiteFile[] {
  const chance = chanceOf(seed);
  let number = 0;
  const next = () => (number += 1);
  const names = ["one.css", "two.css", "css/three.css", "css/four.css"];
  const owners = (count: number) => Array.from({ length: count }, () => owner(chance, next, names)).join("\n");
  const head = owners(1 + chance.upTo(4));
  const late = chance.is(0.3) ? owners(1) : "";
  const body = '<div class="x"><p>sea <b>buoy</b></p></div><p id="i">fog <b class="x">horn</b></p>';
  const text = `<!doctype html><html><head><title>t</title>\n${head}\n</head><body>${body}${late}</body></html>`;
  const sheets = names.map((name) => ({
    path: `${seed}/${name}`,
    text: sheet(chance, next, names, name.includes("/") ? "css/" : ""),
  }));
  return [{ path: `${seed}/page.html`, text }, ...sheets];
}
