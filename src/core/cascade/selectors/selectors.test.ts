import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cssSoup, site } from "../../testing/site";
import { documentOf } from "../../source/html/document";
import { textFile } from "../../source/site";
import { matches } from "./match";
import { parseSelectorList, SelectorError, tryParseSelectorList } from "./parse";
import { runs } from "../../testing/runs";

const html = `<!doctype html><html lang="en-GB"><body>
<main id="m" class="x y"><h2 id="a">A</h2><p id="b" title="One two" data-k="pre-fix">B <em id="c">C</em></p><p id="d" lang="fr">D</p><ul id="u"><li id="l1">1</li><li id="l2" class="x">2</li><li id="l3">3</li><li id="l4">4</li></ul></main>
<form><input id="i" required disabled type="CheckBox" checked><a id="n">n</a><a id="h" href="#">h</a></form><div id="e"></div><div id="f"> </div></body></html>`;
const from = site({ "index.html": html });
const { elements } = documentOf(textFile(from, "index.html")!);
const context = { quirks: false, scope: null, forced: null };
const found = (selector: string) => {
  const list = parseSelectorList(selector);
  return elements
    .filter((element) => list.some((one) => matches(one, element, context)))
    .map(({ id, tag }) => id ?? tag)
    .join(" ");
};

describe("matching", () => {
  test.each([
    ["p", "b d"],
    ["main > p", "b d"],
    ["h2 + p", "b"],
    ["h2 ~ p", "b d"],
    ["#m.x.y em", "c"],
    [".X", ""],
    ["P", "b d"],
    ["[title~=two]", "b"],
    ["[data-k|=pre]", "b"],
    ["[title='one two' i]", "b"],
    ["[type=checkbox]", "i"],
    ["[*|title]", "b"],
    ["[|title='One two']", "b"],
    ["[*|data-k|=pre]", "b"],
    ["[data-k=PRE-FIX]", ""],
    ["li:nth-child(2n+1)", "l1 l3"],
    ["li:nth-last-child(-n+2)", "l3 l4"],
    ["li:nth-child(1 of .x)", "l2"],
    ["li:first-child, li:last-of-type", "l1 l4"],
    [":is(h2, em, ::before)", "a c"],
    ["p:not(:has(em))", "d"],
    ["main:has(> h2 + p)", "m"],
    ["ul:has(+ p)", ""],
    [":has(li)", "html body m u"],
    ["p:has(em), h2:has(em)", "b"],
    [":has(~ #l3)", "l1 l2"],
    [":has(+ p + p)", "a"],
    [":has(~ p em)", "a"],
    ["form:has(> a[href] + a)", ""],
    ["form:has(> a + a[href])", "form"],
    ["li:nth-last-child(1 of .x)", "l2"],
    ["li:nth-child(2 of .x)", ""],
    ["li:nth-last-of-type(2)", "l3"],
    ["div:empty", "e"],
    [":lang(fr)", "d"],
    ["li:lang(en)", "l1 l2 l3 l4"],
    ["a:link", "h"],
    ["a:not(:any-link)", "n"],
    ["input:disabled:required:checked", "i"],
    ["em:only-child", "c"],
    [":root", "html"],
    ["li:hover", ""],
    ["*|li.x", "l2"],
  ])("%s", (selector, expected) => {
    expect(found(selector)).toBe(expected);
  });

  test("forced states match where they are forced", () => {
    const link = elements.find(({ id }) => id === "h")!;
    const forced = new Map([[link.index, new Set(["hover"])]]);
    expect(matches(parseSelectorList("a:hover")[0]!, link, { ...context, forced })).toBe(true);
  });

  test("in quirks mode classes and ids match in any letter case", () => {
    const main = elements.find(({ id }) => id === "m")!;
    expect(matches(parseSelectorList("#M.X")[0]!, main, { ...context, quirks: true })).toBe(true);
  });
});

describe("specificity (Selectors 4, 17)", () => {
  test.each([
    ["*", [0, 0, 0]],
    ["li", [0, 0, 1]],
    ["ul li", [0, 0, 2]],
    ["ul ol+li", [0, 0, 3]],
    ["h1 + *[rel=up]", [0, 1, 1]],
    ["ul ol li.red", [0, 1, 3]],
    ["li.red.level", [0, 2, 1]],
    ["#x34y", [1, 0, 0]],
    ["#s12:not(FOO)", [1, 0, 1]],
    [".foo :is(.bar, #baz)", [1, 1, 0]],
    [":where(#a)", [0, 0, 0]],
    ["a::before", [0, 0, 2]],
    [":nth-child(2n of li, .item)", [0, 2, 0]],
    ["a:hover", [0, 1, 1]],
  ])("%s", (selector, expected) => {
    expect(parseSelectorList(selector)[0]!.specificity).toEqual(expected);
  });

  test("& takes the parent's", () => {
    const parent = parseSelectorList("#a, .b");
    expect(parseSelectorList("& > p", { parent, nested: true })[0]!.specificity).toEqual([1, 0, 1]);
    expect(parseSelectorList("p", { parent, nested: true })[0]!.specificity).toEqual([1, 0, 1]);
  });
});

test.each([
  "",
  "p,",
  "..a",
  "p >",
  "> p",
  ":nope",
  "::nope",
  ":not(",
  "#1a",
  "p[",
  "a:nth-child(x)",
  "a::before b",
  "ns|a",
  "a b | c",
])("%j is refused with a reason", (selector) => {
  expect(() => parseSelectorList(selector)).toThrow(SelectorError);
});

test("nothing but a reason comes of bad text", () => {
  fc.assert(
    fc.property(cssSoup, (text) => void tryParseSelectorList(text)),
    runs(500),
  );
});

test("a namespace prefix of an attribute must be declared", () => {
  expect(tryParseSelectorList("[x|title]")).toBeNull();
  expect(parseSelectorList("[x|title]", { namespaces: new Map([["x", "urn:x"]]) } as never)).toHaveLength(1);
});

describe("radio buttons of one name", () => {
  const among = (markup: string, selector: string) => {
    const page = site({ "index.html": markup });
    const list = parseSelectorList(selector);
    return documentOf(textFile(page, "index.html")!)
      .elements.filter((element) => matches(list[0]!, element, context))
      .map(({ id }) => id)
      .join(" ");
  };
  const radio = (id: string, more = "") => `<input type=radio id=${id} ${more}>`;

  test("the last that is said to be checked is, in each form", () => {
    const two = `${radio("a", "name=n checked")}${radio("b", "name=n checked")}`;
    expect(among(two, ":checked")).toBe("b");
    expect(among(`<form>${two}</form><form>${radio("c", "name=n checked")}</form>`, ":checked")).toBe("b c");
    expect(among(`<form id=f>${two}</form>${radio("c", "name=n checked form=f")}`, ":checked")).toBe("c");
    expect(among(`${two}${radio("c", "name=m checked")}${radio("d", "checked")}`, ":checked")).toBe("b c d");
  });

  test("none is decided where none is checked; one without a name is alone", () => {
    expect(among(radio("a", "name=n") + radio("b", "name=n checked"), ":indeterminate")).toBe("");
    expect(among(radio("a", "name=n") + radio("b", "name=n"), ":indeterminate")).toBe("a b");
    expect(among(radio("a") + radio("b", "checked"), ":indeterminate")).toBe("a");
    expect(among("<progress id=p></progress><progress id=q value=1></progress>", ":indeterminate")).toBe("p");
  });

  test("one that is required asks all of them", () => {
    expect(among(radio("a", "name=n required") + radio("b", "name=n"), ":invalid")).toBe("a b");
    expect(among(radio("a", "name=n required") + radio("b", "name=n checked"), ":invalid")).toBe("");
  });
});

test("a form is invalid by what is in it, however deep", () => {
  const page = site({ "index.html": "<form><div><p><input required></p></div></form><form><p><input></p></form>" });
  const list = parseSelectorList("form:invalid");
  const { elements: all } = documentOf(textFile(page, "index.html")!);
  expect(all.map((element) => matches(list[0]!, element, context)).filter(Boolean)).toHaveLength(1);
});

describe("required selects", () => {
  const valid = (select: string) => {
    const page = site({ "index.html": `<form>${select}</form>` });
    const list = parseSelectorList(":valid");
    return documentOf(textFile(page, "index.html")!).elements.some(
      (element) => element.tag === "select" && matches(list[0]!, element, context),
    );
  };

  test.each([
    ["<select required><option value=''>x<option value=a>y</select>", false],
    ["<select required><option value=a>x</select>", true],
    ["<select required><optgroup label=g><option value=a>x</optgroup></select>", true],
    ["<select required><optgroup label=g><option value=''>x</optgroup></select>", true],
    ["<select required size=2><option value='' selected>x</select>", true],
    ["<select required multiple><option value='' selected>x</select>", true],
    ["<select required><option value=a>y<option value='' selected>x</select>", true],
    ["<select required></select>", false],
    ["<select required><option value=''>x<option value=a selected>y</select>", true],
    ["<select><option value=''>x</select>", true],
  ])("%s", (select, expected) => {
    expect(valid(select)).toBe(expected);
  });
});
