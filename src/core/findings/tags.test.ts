import { describe, expect, test } from "vitest";
import { analyse } from "../report/analysis";
import { changeSite, textFile } from "../source/site";
import { site } from "../testing/site";
import { fixesFor } from "./index";
import { byText, type Tag } from "./tags";

const told = (body: string) =>
  analyse(
    site({
      "index.html": `<!doctype html><html lang="en"><head><link rel="stylesheet" href="a.css"></head><body><p>x</p>${body}</body></html>`,
      "a.css": "p { color: #222 }",
    }),
  )
    .findings.filter(({ group, path }) => group === "idle" && path === "index.html")
    .map(({ message }) => message);

describe("what is written well is not told of", () => {
  test.each([
    ["tags in a value", `<div data-content="<p class='x'>Fares</p>" title="a < b">x</div>`],
    ["words and quotation marks in a value", `<p title="the class 'A', style &quot;B&quot; and id 'c'">x</p>`],
    ["typographic quotation marks in words", `<p title="He said \u201cnow\u201d" data-a=x>He said \u201cnow\u201d</p>`],
    ["values without quotation marks", "<p class=lead id=top hidden>x</p><input type=text name=n disabled required>"],
    ["signs that names may hold", `<p class="sm:w-1/2 lg:[top:3px] a.b @x">x</p>`],
    [
      "attributes of one's own",
      `<p data-style="x" aria-label="y" x-on:click="z" :class="{a: b}" @click="c" v-if="d">x</p>`,
    ],
    ["elements of one's own", "<ferry-card color='red' size='3'>x</ferry-card>"],
    ["drawings", `<svg width="10" height="10"><path d="M0 0" fill="red" stroke-width="2" font-size="3"/></svg>`],
    ["scripts", `<script type="module">const a = "<p class=x"; // style="</script>`],
    ["a comment", `<!-- <p class="lead> -->`],
    [
      "a style attribute",
      `<p style="color:#222;font-family:'A B',serif;background:url(data:image/png;base64,AA==)">x</p>`,
    ],
    ["old tables", `<table width="100%" border="1" cellpadding="2"><tr><td height="20">x</td></tr></table>`],
  ])("%s", (_, body) => {
    expect(told(body).filter((message) => !/is an attribute of old/.test(message))).toEqual([]);
  });
});

test.each([
  [
    "an address with quotation marks",
    `<meta href='a.css?x="1"&amp;y'>`,
    `<link rel="stylesheet" href="a.css?x=&quot;1&quot;&amp;y">`,
  ],
  [
    "a background with quotation marks in a style attribute that has none",
    `<table background='a"b.png' style=color:red></table>`,
    `<table style="color:red; background-image: url('a&quot;b.png')"></table>`,
  ],
  ["a class with a reference", `<p class=".a&amp;b">x</p>`, `<p class="a&amp;b">x</p>`],
])("what a fix writes into a tag is kept a value: %s", (_, body, mended) => {
  const from = site({ "index.html": `<!doctype html><html lang=en><body>${body}</body></html>` });
  const written = analyse(from)
    .findings.filter(({ path }) => path === "index.html")
    .flatMap((finding) => fixesFor(from, finding))
    .map(({ changes }) => textFile(changeSite(from, changes), "index.html")!.text);
  expect(written).toContain(`<!doctype html><html lang=en><body>${mended}</body></html>`);
});

test("tags that read the same are told of wherever something is wrong with them, and looked at once where nothing is", () => {
  const slips = (body: string) => told(body).filter((message) => /is no attribute that browsers know/.test(message));
  expect(slips('<svg><a clas="deck">x</a></svg>')).toEqual([]);
  expect(slips('<a clas="deck">x</a><a clas="deck">y</a>')).toHaveLength(2);
  const page = (head: string) =>
    analyse(site({ "index.html": `<!doctype html>${head}<p>x</p>` })).findings.filter(
      ({ check }) => check === "attribute",
    );
  // The second tag brings what the first one lacks.
  expect(page('<html clas="deck"><html class="pier">')).toEqual([]);
  expect(page('<html clas="deck">')).toHaveLength(1);
  let looks = 0;
  const look = byText(() => ((looks += 1), []));
  const tag = (written: string, namespace: "html" | "svg" = "html") =>
    ({ written, element: { tag: "a", namespace } }) as Tag;
  for (const one of [tag("<a>"), tag("<a>"), tag("<a>", "svg"), tag("<a id=x>")]) look(one);
  expect(looks).toBe(3);
});
