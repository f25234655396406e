import { strToU8, zipSync } from "fflate";
import { expect, test } from "vitest";
import { limits, OpenError } from "./limits";
import { readFiles, readPasted, readZip } from "./read";
import { checkOpened } from "./schemas";
import { fillerText, specimenParts, specimenSite } from "./specimen";
import { zipOf } from "./write";

const file = (path: string, text: string | Uint8Array<ArrayBuffer>) => {
  const made = new File([text], path.split("/").pop()!);
  Object.defineProperty(made, "webkitRelativePath", { value: path.includes("/") ? path : "" });
  return made;
};

test("a folder's own name is not part of the paths, and clutter stays out", async () => {
  const opened = await readFiles([
    file("site/index.html", "<p>"),
    file("site/css/a.css", ""),
    file("site/.git/config", "x"),
    file("site/.DS_Store", "x"),
  ]);
  expect(opened.name).toBe("site");
  expect(opened.files.map(({ path }) => path)).toEqual(["index.html", "css/a.css"]);
});

test("a zip comes back as it went in", async () => {
  const bytes = zipSync({ "a/index.html": strToU8("<p>é"), "a/x.png": Uint8Array.of(1, 2, 3) });
  const opened = await readZip("a.zip", bytes);
  expect(opened.files.map(({ path }) => path)).toEqual(["index.html", "x.png"]);
  const again = await readZip("b.zip", zipOf(opened.files, new Date(2026, 0, 1)));
  expect(again.files).toEqual(opened.files);
});

test.each<[string, Uint8Array, RegExp]>([
  ["no zip", strToU8("hello"), /not a zip/],
  [
    "a zip cut off",
    zipSync({ "index.html": strToU8("<p>".repeat(500)) }).slice(0, 60),
    /no page and no style sheet|damaged/,
  ],
  ["a zip without pages", zipSync({ "a.png": Uint8Array.of(1) }), /no page and no style sheet/],
  ["paths that lead out", zipSync({ "../../up.html": strToU8("<p>") }), /^$/],
])("%s", async (_, bytes, reason) => {
  try {
    const opened = checkOpened(await readZip("x.zip", bytes));
    expect(opened.files.every(({ path }) => !path.includes(".."))).toBe(true);
  } catch (error) {
    expect(error).toBeInstanceOf(OpenError);
    expect((error as Error).message).toMatch(reason);
  }
});

test("what a zip unpacks to is bounded, whatever it claims", async () => {
  const big = zipSync(
    { "index.html": strToU8("<p>"), "bomb.css": new Uint8Array(limits.textBytes + 1), "ok.css": strToU8("p{}") },
    { level: 9 },
  );
  const opened = await readZip("x.zip", big);
  expect(opened.files.map(({ path }) => path)).toEqual(["index.html", "ok.css"]);
  expect(opened.refused).toEqual([{ path: "bomb.css", reason: expect.stringContaining("10 MB") }]);
});

test("too many files are refused with the number", async () => {
  const many = Array.from({ length: limits.files + 1 }, (_, at) => file(`s/${at}.html`, ""));
  await expect(readFiles(many)).rejects.toThrow("2,000 files");
});

test("a file that cannot be read is listed and the rest opens", async () => {
  const opened = await readFiles([file("index.html", "<p>"), file("old.css", Uint8Array.of(0xff, 0xfe, 0x61))]);
  expect(opened.files).toHaveLength(1);
  expect(opened.refused[0]).toMatchObject({ path: "old.css" });
});

test("pasted HTML is linked to the pasted sheet, once", () => {
  const text = (html: string, css: string) =>
    readPasted(html, css).files.map((one) => (one.kind === "other" ? "" : one.text));
  expect(text("<head><title>x</title></head>", "p{}")[0]).toMatch(/<head>\n<link rel="stylesheet" href="style.css">/);
  expect(text("<p>x", "p{}")[0]).toMatch(/^<link/);
  expect(text("<style>a{}</style>", "p{}")[0]).toBe("<style>a{}</style>");
  expect(text("<p>x", "")).toEqual(["<p>x"]);
});

test("filler has the number of words asked for", () => {
  for (const count of [1, 20, 333]) expect(fillerText(count).split(" ")).toHaveLength(count);
  expect(
    specimenSite({ words: 100, parts: specimenParts, levels: [1, 2], sheet: true }).files.map(({ path }) => path),
  ).toEqual(["specimen.html", "style.css"]);
});

test("reading reports how far it is, and can be stopped", async () => {
  const bytes = zipSync(
    Object.fromEntries(
      Array.from({ length: 20 }, (_, at) => [`${at}.html`, crypto.getRandomValues(new Uint8Array(30_000))]),
    ),
    { level: 0 },
  );
  const stop = new AbortController();
  const counts: number[] = [];
  const reading = readZip("x.zip", bytes, {
    signal: stop.signal,
    report: (files) => {
      counts.push(files);
      if (files === 3) stop.abort();
    },
  });
  await expect(reading).rejects.toMatchObject({ name: "AbortError" });
  expect(counts.slice(0, 3)).toEqual([1, 2, 3]);
  expect(counts.length).toBeLessThan(20);
});
