import { expect, test } from "vitest";
import { site } from "../../testing/site";
import { documentOf } from "../../source/html/document";
import { textFile } from "../../source/site";
import { canBeValid, isInRange, isValid, showsPlaceholder, valueIn } from "./validity";

const control = (html: string) =>
  documentOf(textFile(site({ "index.html": `<!doctype html><body>${html}` }), "index.html")!).elements.find(({ id }) =>
    Boolean(id),
  )!;

test.each([
  ["type=number value=1e1", "1e1"],
  ["type=number value=5.", ""],
  ["type=number value=+4", ""],
  ["type=date value=2024-02-29", "2024-02-29"],
  ["type=date value=2026-02-29", ""],
  ["type=date value=2026-12-31", "2026-12-31"],
  ["type=month value=2026-13", ""],
  ["type=week value=2026-W53", "2026-W53"],
  ["type=week value=2025-W53", ""],
  ["type=time value=24:00", ""],
  ["type=datetime-local value='2026-05-01 12:30'", "2026-05-01 12:30"],
  ["type=url value=' https://a.example '", "https://a.example"],
  ["type=email multiple value=' a@b.example , c@d.example'", "a@b.example,c@d.example"],
  ["value=' a '", " a "],
])("in an input with %s stands '%s'", (written, expected) => {
  expect(valueIn(control(`<input id=a ${written}>`))).toBe(expected);
});

test.each([
  ["type=number min=1 max=5 value=3", true],
  ["type=number min=1 max=5 value=7", false],
  ["type=number value=7", null],
  ["type=number", true],
  ["type=date min=2026-01-01 value=2025-12-31", false],
  ["type=week max=2026-W07 value=2026-W08", false],
  ["type=time min=22:00 max=06:00 value=23:30", true],
  ["type=time min=22:00 max=06:00 value=12:00", false],
  ["type=range min=5 max=1 value=9", true],
  ["type=number min=1 value=0 disabled", null],
  ["type=text min=1 value=0", null],
])("an input with %s is in range: %s", (written, expected) => {
  expect(isInRange(control(`<input id=a ${written}>`))).toBe(expected);
});

test.each([
  ["type=number step=2 min=1 value=4", false],
  ["type=number step=any value=4.2", true],
  ["type=number value=4.2", true],
  ["type=number min=0 value=4.2", false],
  ["type=time value=12:30:15 min=00:00", false],
  ["type=date step=7 min=2026-01-05 value=2026-01-12", true],
  ["type=date step=7 min=2026-01-05 value=2026-01-13", false],
  ["type=email value=nope", false],
  ["type=url value=a:b", true],
  ["type=url value=nope", false],
  ["pattern=a+ value=aa", true],
  ["pattern=a+ value=b", false],
  ["pattern=[ value=b", true],
  ["type=file required", false],
  ["type=color required", true],
  ["type=radio required", true],
  ["type=radio name=r required", false],
])("an input with %s is as it is asked to be: %s", (written, expected) => {
  expect(isValid(control(`<input id=a ${written}>`))).toBe(expected);
});

test.each([
  ["<input id=a type=image>", false],
  ["<input id=a type=checkbox readonly>", false],
  ["<input id=a disabled>", false],
  ["<datalist><input id=a></datalist>", false],
  ["<button id=a type=button>", false],
  ["<button id=a>", true],
  ["<fieldset id=a>", true],
  ["<output id=a>", false],
])("whether something is asked of %s: %s", (html, expected) => {
  expect(canBeValid(control(html))).toBe(expected);
});

test.each([
  ["<input id=a placeholder=x>", true],
  ["<input id=a placeholder=x value=y>", false],
  ["<input id=a placeholder=x type=number value=y>", true],
  ["<input id=a placeholder=x type=date>", false],
  ["<textarea id=a placeholder=x></textarea>", true],
  ["<textarea id=a placeholder=x>y</textarea>", false],
])("whether %s shows its placeholder: %s", (html, expected) => {
  expect(showsPlaceholder(control(html))).toBe(expected);
});
