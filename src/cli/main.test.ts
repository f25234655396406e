import { readFileSync } from "node:fs";
import { join } from "node:path";
import { strToU8, zipSync } from "fflate";
import { describe, expect, test } from "vitest";
import { run } from "./main";
import { inFolder } from "./testing/call";

const call = inFolder();

const good = {
  "index.html": "<!doctype html><link rel=stylesheet href=css/a.css><h1>x</h1>",
  "css/a.css": "h1 { color: #333; } @media (max-width: 500px) { h1 { color: #222 } }",
};

test("a folder without errors ends with 0 and prints JSON, version 2", async () => {
  call.put(good);
  expect(await run([call.folder, "--elements", "--width", "400"])).toBe(0);
  const result = JSON.parse(call.out);
  expect(result).toMatchObject({ version: 2, conditions: { width: 400, height: 800, scheme: "light", rootSize: 16 } });
  expect(result.pages[0].sheets).toEqual([{ path: "css/a.css", kind: "linked", rules: 2 }]);
  const heading = result.pages[0].elements.find(({ tag }: { tag: string }) => tag === "h1");
  expect(heading).toMatchObject({
    text: true,
    style: { color: "rgb(34, 34, 34)", "font-size": "32px" },
    ground: { color: "rgb(255, 255, 255)", certain: true },
    contrast: { needs: 3, passes: true },
  });
});

test("without --elements the elements are left out, and errors end with 1", async () => {
  call.put({ ...good, "css/a.css": "h1 { color: #eee }" });
  expect(await run([call.folder, "--format=json"])).toBe(1);
  const result = JSON.parse(call.out);
  expect(result.pages[0]).not.toHaveProperty("elements");
  expect(result.findings[0]).toMatchObject({ check: "contrast", level: "error", path: "css/a.css", line: 1 });
  expect(result.pairs[0]).toMatchObject({ ink: "rgb(238, 238, 238)", passes: false });
});

test("a zip, and a page with sheets above and beside it", async () => {
  call.put({
    "site.zip": zipSync(Object.fromEntries(Object.entries(good).map(([path, text]) => [path, strToU8(text)]))),
  });
  expect(await run([join(call.folder, "site.zip")])).toBe(0);
  call.out = "";
  call.put({
    "deep/er/page.html": '<link rel=stylesheet href="../../up.css"><h1>x</h1>',
    "up.css": '@import "deep/in.css"; h1 { top: 0 }',
    "deep/in.css": "h1 { color: #123 }",
  });
  expect(await run([join(call.folder, "deep/er/page.html"), "--elements"])).toBe(0);
  expect(
    JSON.parse(call.out).pages[0].sheets.map(({ path, missing }: { path: string; missing?: boolean }) => [
      path,
      missing,
    ]),
  ).toEqual([
    ["deep/in.css", undefined],
    ["up.css", undefined],
  ]);
});

test("text is for people", async () => {
  call.put(good);
  expect(await run([call.folder, "--format", "text"])).toBe(0);
  expect(call.out).toContain("1 text style, largest first:");
  expect(call.out).toContain("Nothing was found wrong.");
});

test("findings of a check are set right, shown, and written where that is asked for", async () => {
  const pale = "h1 { color: #eee; }\r\nh2 { colour: red; }\r\n";
  call.put({ ...good, "css/a.css": pale });
  expect(await run([call.folder, "--fix", "ignored-declaration"])).toBe(1);
  expect(call.out).toContain("-h2 { colour: red; }");
  expect(call.out).toContain("+h2 { color: red; }");
  expect(call.err).toContain("1 of 1 set right; nothing is written without --write.");
  expect(readFileSync(join(call.folder, "css/a.css"), "utf8")).toBe(pale);
  expect(await run([call.folder, "--fix", "ignored-declaration", "--write"])).toBe(1);
  expect(readFileSync(join(call.folder, "css/a.css"), "utf8")).toBe(pale.replace("colour", "color"));
  expect(await run([call.folder, "--fix=contrast", "--write"])).toBe(0);
});

describe("what cannot be read ends with 2 and one line", () => {
  test.each<[string, (at: string) => string[], RegExp]>([
    ["a path that is not there", (at) => [join(at, "nope")], /^There is nothing at/],
    ["an empty folder", (at) => [at], /no page and no style sheet/],
    ["a broken zip", (at) => [join(at, "x.zip")], /could not be unpacked/],
    ["another kind of file", (at) => [join(at, "x.txt")], /neither a folder nor a .zip/],
    ["no path", () => [], /A path is missing/],
    ["an unknown option", (at) => [at, "--wide"], /--wide is not an option/],
    ["a check that is none", (at) => [at, "--fix", "spelling"], /--fix takes contrast or/],
    ["writing without a check", (at) => [at, "--write"], /--write goes with --fix/],
    ["a width that is none", (at) => [at, "--width", "wide"], /--width takes a number/],
    ["a scheme that is none", (at) => [at, "--scheme", "blue"], /light or dark/],
    ["a page that is not there", (at) => [join(at, "y"), "--page", "z.html"], /There is no page z.html/],
  ])("%s", async (_, words, reason) => {
    if (/zip|kind/.test(_)) call.put({ "x.zip": "nonsense", "x.txt": "text" });
    if (/a page that/.test(_)) call.put({ "y/index.html": "<p>" });
    expect(await run(words(call.folder))).toBe(2);
    expect(call.err).toMatch(reason);
    expect(call.err.trim().split("\n")).toHaveLength(1);
    expect(call.out).toBe("");
  });
});
