import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { changeSite, textFile, type Site } from "../source/site";
import { site } from "../testing/site";
import { ruleHere } from "./ruleHere";

const sheet = `h2 {
  color: red;
  margin: 0;
}
.late { color: blue }
nav { color: green }
`;
const page = `<!doctype html><link rel="stylesheet" href="ferry.css"><h2>Winter</h2><h2 class="late">Spring <em>now</em></h2>`;

const here = (from: Site, offset: number) =>
  ruleHere(from, styledPage(from, textFile(from, "index.html")!, defaultConditions), "ferry.css", offset);

test("a rule's texts, and where its declarations are in force", () => {
  const from = site({ "index.html": page, "ferry.css": sheet });
  expect(here(from, 4)).toMatchObject({
    elements: 2,
    declarations: [
      { property: "color", line: 2, wins: 1 },
      { property: "margin", line: 3, wins: 2 },
    ],
  });
  expect(here(from, 4)!.places).toHaveLength(3);
  expect(here(from, sheet.indexOf("nav"))).toMatchObject({ elements: 0, places: [], declarations: [{ wins: 0 }] });
  expect(here(from, sheet.length + 5)).toBeNull();
});

test("the same where the sheet was changed before the rule", () => {
  const from = site({ "index.html": page, "ferry.css": sheet });
  here(from, 4);
  const after = changeSite(from, [{ path: "ferry.css", start: 0, end: 0, insert: "/* Headings */\n" }]);
  const offset = textFile(after, "ferry.css")!.text.indexOf("margin");
  expect(here(after, offset)).toMatchObject({
    elements: 2,
    declarations: [
      { line: 3, wins: 1 },
      { line: 4, wins: 2 },
    ],
  });
});

test("a custom property is in force where no other sets it", () => {
  const from = site({ "index.html": page, "ferry.css": "h2 { --ink: red; color: var(--ink) }" });
  expect(here(from, 4)!.declarations.map(({ wins }) => wins)).toEqual([2, 2]);
});

test("a rule that a page embeds, beaten by a style attribute", () => {
  const embedded = "<style>p { color: red }</style><p>x</p><p style='color: blue'>y</p>";
  const from = site({ "index.html": embedded });
  const found = ruleHere(
    from,
    styledPage(from, textFile(from, "index.html")!, defaultConditions),
    "index.html",
    embedded.indexOf("color"),
  );
  expect(found).toMatchObject({ elements: 2, declarations: [{ property: "color", line: 1, wins: 1 }] });
});
