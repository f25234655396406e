import { expect, test } from "vitest";
import { attributesIntoSheet } from "../../edits/attributesIntoSheet";
import { site } from "../../testing/site";
import { declarationsOfFile } from "../declarations";
import { changeSite, textFile } from "../site";
import { documentOf, writtenElements } from "./document";

test("a tag that the parser makes several elements of is written once", () => {
  const from = site({ "index.html": '<p><b style="color: red">x</p><p>y</p>', "a.css": "" });
  const file = textFile(from, "index.html")!;
  const document = documentOf(file);
  expect(document.elements.filter(({ tag }) => tag === "b").length).toBeGreaterThan(1);
  expect(writtenElements(document).map(({ tag }) => tag)).toEqual(["p", "b", "p"]);
  expect(declarationsOfFile(from, file)).toHaveLength(1);
  const after = changeSite(from, attributesIntoSheet(from, "index.html", "a.css"));
  expect(textFile(after, "index.html")!.text).toBe('<p><b class="p-b">x</p><p>y</p>');
});
