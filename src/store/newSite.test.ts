import { describe, expect, test } from "vitest";
import { newSite, type NewSite } from "./newSite";

const asked: NewSite = { name: "Ossel & Piers", page: "index.html", sheet: "css/style.css", language: "en" };
const texts = (more: Partial<NewSite>) =>
  Object.fromEntries(
    newSite({ ...asked, ...more }).files.map((file) => [file.path, file.kind === "other" ? "" : file.text]),
  );

describe("a site from scratch", () => {
  test("is a page and the sheet it links to", () => {
    const files = texts({});
    expect(Object.keys(files)).toEqual(["index.html", "css/style.css"]);
    expect(files["index.html"]).toContain('  <link rel="stylesheet" href="css/style.css">\n</head>');
    expect(files["index.html"]).toContain("<h1>Ossel &amp; Piers</h1>");
    expect(files["css/style.css"]).toBe("");
  });

  test("has the right address from a folder, and no link without a sheet", () => {
    expect(texts({ page: "guide/a.html" })["guide/a.html"]).toContain('href="../css/style.css"');
    expect(Object.keys(texts({ sheet: "" }))).toEqual(["index.html"]);
    expect(texts({ sheet: "" })["index.html"]).not.toContain("<link");
  });

  test.each<[Partial<NewSite>, string]>([
    [{ name: " " }, "needs a name"],
    [{ page: "index" }, "ends in .html"],
    [{ page: "../index.html" }, "inside the site"],
    [{ sheet: "style" }, "ends in .css"],
    [{ sheet: 'a"b.css' }, "none of these"],
    [{ language: "English" }, "a tag such as en"],
    [{ language: 'en"><script>' }, "a tag such as en"],
  ])("%j is refused", (more, why) => expect(() => newSite({ ...asked, ...more })).toThrow(why));
});
