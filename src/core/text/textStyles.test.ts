import { gatherTexts } from "./pageTexts";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { bareLayout } from "../ground/layout";
import { groundName } from "../ground/name";
import { ownWords, plainSelector, shortSelector } from "../source/html/document";
import { pagesOf } from "../source/site";
import { pageWith, site, styleOf, stylesOf } from "../testing/site";
import { pseudoTexts } from "./pseudoTexts";
import { isPlace, legibility, legibilityOn, roleName, textStyleKey, textStyleOf } from "./textStyles";

describe("what counts as a place", () => {
  const places = (css: string, body: string) =>
    stylesOf(pageWith(css, body))
      .filter(isPlace)
      .map(({ element }) => element.id ?? element.tag);
  test.each<[string, string, string, string[]]>([
    ["elements with words of their own", "", "<div id=a><p id=b>x</p> </div><p id=c> </p>", ["b"]],
    [
      "not what is not rendered, nor anything in it",
      "#a{display:none}",
      "<div id=a><p id=b>x</p></div><p id=c>y</p>",
      ["c"],
    ],
    [
      "not what cannot be seen, but what is made visible in it",
      "#a{visibility:hidden}#b{visibility:visible}",
      "<div id=a>x<p id=b>y</p></div>",
      ["b"],
    ],
    [
      "what is written or chosen in a control, but not scripts and templates",
      "",
      "<script>x</script><template><p>x</p></template><textarea id=a>x</textarea><select id=c><option>x</option></select><input id=d value=x><input id=e><input id=f type=submit><input type=radio value=x><p id=b>y</p>",
      ["a", "c", "d", "f", "b"],
    ],
    ["what a box of its own does not need", "#a{display:contents}", "<p id=a>x</p>", ["a"]],
  ])("%s", (_, css, body, expected) => expect(places(css, body)).toEqual(expected));
});

test.each([
  ["content", "p::before{content:inherit}"],
  ["everything", "p::before{all:inherit}"],
])("a box before a text that takes over %s from it shows what it says", (_, css) => {
  const from = pageWith(`p{content:"Pier"}${css}`, "<p>x</p>");
  const page = styledPage(from, pagesOf(from)[0]!, defaultConditions);
  expect(pseudoTexts(page).map(({ name, text }) => [name, text])).toEqual([["before", "Pier"]]);
});

test.each(["p::before", ".deck::before", "#pier::before", "::before", "[title]::before"])(
  "what is generated is a text, however its rule asks for the element: %s",
  (selector) => {
    const from = pageWith(`${selector} { content: "Pier" }`, "<p class=deck id=pier title=x>y</p>");
    const page = styledPage(from, pagesOf(from)[0]!, defaultConditions);
    const own = pseudoTexts(page).filter(({ style }) => style.element.tag === "p" || style.element.id === "pier");
    expect(own.map(({ name, text }) => [name, text])).toEqual([["before", "Pier"]]);
  },
);

test("an element is named by its class where it has one", () => {
  const { element } = styleOf(pageWith("", '<p id="t" class="lead big">\n From  the <b>first</b> boat </p>'), "t");
  expect([ownWords(element), plainSelector(element), shortSelector(element)]).toEqual(["From the boat", ".lead", "#t"]);
  const bare = stylesOf(pageWith("", "<em>x</em>")).at(-1)!.element;
  expect([plainSelector(bare), shortSelector(bare)]).toEqual(["em", "em"]);
});

test("what an element is to the reader is said in words", () => {
  const role = (body: string) => roleName(styleOf(pageWith("", body), "t"));
  expect([
    role("<h3 id=t>x</h3>"),
    role("<table><tr><th id=t>x"),
    role("<p><x-y id=t>x</x-y></p>"),
    role("<x-y id=t>x</x-y>"),
  ]).toEqual(["Heading, level 3", "Table head", "Words in a paragraph", "Text"]);
});

test("places that come out alike are one text style, over pages and whatever sets them", () => {
  const from = site({
    "a.html":
      "<style>p{color:#333}.n{color:rgb(51,51,51)}i{color:red}</style><p>one</p><p class=n>two</p><p><i>three</i></p>",
    "b.html": "<style>p{color:#333}</style><p>four</p><p style='opacity:.5'>five</p>",
  });
  const pages = pagesOf(from).map((file) => styledPage(from, file, defaultConditions));
  const groups = gatherTexts(pages, textStyleKey, (style, page) => textStyleOf(page, style, {}));
  expect(groups.map(({ places }) => places.length)).toEqual([3, 1, 1]);
  expect(groups[0]).toMatchObject({
    role: "Paragraph",
    sizePx: 16,
    leading: null,
    weight: 400,
    ink: "rgb(51, 51, 51)",
    ground: "rgb(255, 255, 255)",
    needs: 4.5,
  });
  const seen: string[] = [];
  gatherTexts(
    pages,
    () => "all",
    () => ({ places: [] }),
    (_, { element }, { file }) => void seen.push(`${file.path} ${element.tag}`),
  );
  expect(seen).toEqual(["a.html p", "a.html p", "a.html i", "b.html p", "b.html p"]);
});

test("a text that is set otherwise than what it stands in is of another style, one that is set alike is not", () => {
  const styles = stylesOf(
    pageWith(
      "span{color:inherit} .s{font-size:12px} .u{letter-spacing:1px}",
      "<p>x<span>x</span><i class=s>x</i><b class=u>x</b></p>",
    ),
  );
  const [own, alike, small, wide] = styles.filter(isPlace).map(textStyleKey);
  expect(alike).toBe(own);
  expect(new Set([own, small, wide]).size).toBe(3);
});

test("texts that come out alike on a page that is laid out have one verdict", () => {
  const own = pageWith("b{color:#777}", "<p>x</p><p>x</p><b>x</b>");
  const page = styledPage(own, pagesOf(own)[0]!, defaultConditions);
  const layout = bareLayout({ left: 0, top: 0, width: 9, height: 9 });
  const texts = page.styles.filter(isPlace);
  const placed = texts.map(({ element }) => [`${element.index}`, { ...layout }]);
  const layouts = { [page.file.path]: Object.fromEntries(placed) };
  const [one, alike, pale] = texts.map((style) => legibilityOn(page, style, layouts));
  expect(alike).toBe(one);
  expect(pale!.ratio).toBeLessThan(one!.ratio);
});

test("grounds are named by what gives them", () => {
  const named = (css: string, body: string) => {
    const styles = stylesOf(pageWith(css, body));
    return groundName(legibility(styles.find(({ element }) => element.id === "t")!).ground, styles);
  };
  expect(named("", "<p id=t>x</p>")).toBe("the canvas");
  expect(named("section{background:#eee}", "<section class=band><p id=t>x</p></section>")).toBe(".band");
  expect(named("section{background:linear-gradient(#000,#fff)}", "<section><p id=t>x</p></section>")).toBe(
    "gradient of section",
  );
  expect(named("section{background:url(a.png)}", "<section><p id=t>x</p></section>")).toBe("picture of section");
});
