import { expect, test } from "vitest";
import { site } from "../../testing/site";
import { documentOf } from "../../source/html/document";
import { textFile } from "../../source/site";
import { isListBox, typeOf } from "./controls";
import { matches } from "./match";
import { parseSelectorList } from "./parse";

const elementsOf = (html: string) =>
  documentOf(textFile(site({ "index.html": `<!doctype html><body>${html}` }), "index.html")!).elements;
const among = (html: string, selector: string) => {
  const list = parseSelectorList(selector);
  return elementsOf(html)
    .filter((element) => list.some((one) => matches(one, element, { quirks: false, scope: null, forced: null })))
    .map(({ id, tag }) => id ?? tag)
    .join(" ");
};

test.each([
  ["size=3", true],
  ["size=' 2x'", true],
  ["size=+2", true],
  ["size=1", false],
  ["size=-3", false],
  ["size=many", false],
  ["size=99999999999", false],
  ["", false],
  ["multiple", true],
  ["multiple size=0", true],
  ["multiple size=01", false],
])("whether a select with %s is a list: %s", (written, expected) => {
  expect(isListBox(elementsOf(`<select ${written}></select>`).at(-1)!)).toBe(expected);
});

test.each([
  ["<input>", "text"],
  ["<input type=DATE>", "date"],
  ["<input type=' date'>", "text"],
  ["<input type=constructor>", "text"],
  ["<button>", "submit"],
  ["<button type=date>", "submit"],
  ["<button type=Reset>", "reset"],
])("the type of %s is %s", (html, type) => {
  expect(typeOf(elementsOf(html).at(-1)!)).toBe(type);
});

test("of several options that are said to be chosen the last is; where none is, the first that can be", () => {
  expect(among("<select><option id=a selected><option id=b selected></select>", ":checked")).toBe("b");
  expect(among("<select><option id=a disabled><option id=b></select>", ":checked")).toBe("b");
  expect(among("<select><optgroup disabled><option id=a></optgroup><option id=b></select>", ":checked")).toBe("b");
  expect(among("<select size=2><option id=a><option id=b></select>", ":checked")).toBe("");
  expect(among("<select multiple><option id=a selected><option id=b selected></select>", ":checked")).toBe("a b");
});

test("what is in something out of use is, too, but for a first legend", () => {
  const fields = "<fieldset disabled id=f><legend><input id=a></legend><input id=b><legend><input id=c></legend>";
  expect(among(fields, ":disabled")).toBe("f b c");
  expect(among("<select disabled id=s><option id=a><optgroup id=g><option id=b></select>", ":disabled")).toBe(
    "s a g b",
  );
});

test("a form owns what refers to it, and not what is in it and refers elsewhere", () => {
  const html = "<form id=f><button id=a form=g></button><button id=b></button></form><form id=g></form>";
  expect(among(html, "button:default")).toBe("a b");
  expect(among(`<button id=c form=f></button>${html}`, "button:default")).toBe("c a");
  expect(among("<button id=a form=none></button>", ":default")).toBe("");
});

test("readers write into what is edited, by a word that says so", () => {
  const html = ["", "TRUE", "plaintext-only", "false", "inherit", "constructor"]
    .map((word, at) => `<p id=p${at} contenteditable="${word}">x</p>`)
    .join("");
  expect(among(html, ":read-write")).toBe("p0 p1 p2");
  expect(among("<div contenteditable><input type=color id=a><b id=b></b></div>", ":read-write")).toBe("div b");
});

test("however deep a form is, it is gone through", () => {
  const depth = 20_000;
  const html = `<form id=f>${"<div>".repeat(depth)}<input required id=a>`;
  expect(among(html, ":invalid")).toBe("f a");
});
