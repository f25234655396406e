import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { siteOf } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { changesInWords } from "./changesInWords";

const page = "<link rel=stylesheet href=a.css><h2>Fares</h2><p>One</p><p>Two</p>";
const before = site({ "a.css": "h2 { color: red; margin: 0 } p { color: #777 } i { top: 0 }", "index.html": page });
const words = (files: Record<string, string>) =>
  finished(changesInWords(before, siteOf(site(files).files.values()), defaultConditions));

test("what was changed is told by file and selector, with how many texts come out differently", () => {
  const after = {
    "a.css": "h2 { color: #a00; font-weight: 400 } p { color: #555 } b { left: 0; top: 1px }",
    "index.html": page,
  };
  expect(words(after)).toBe(
    [
      "1 file changed; 3 texts on 1 page come out differently.",
      "",
      "a.css",
      "  h2: color was red, is #a00",
      "  h2: font-weight is 400, and was not set",
      "  h2: margin was 0, is gone",
      "  p: color was #777, is #555",
      "  b is new: left: 0; top: 1px",
      "  i is gone",
      "",
    ].join("\n"),
  );
});

test("new and gone files, words of a page, and nothing at all", () => {
  expect(words({ "index.html": page.replace("Fares", "Tickets"), "b.css": "" })).toMatch(
    /^3 files changed; .*\n\na\.css is gone\n\nb\.css is new\n\nindex\.html\n {2}something else than declarations\n$/,
  );
  expect(finished(changesInWords(before, before, defaultConditions))).toBe("Nothing is changed.\n");
});
