import { expect, test } from "vitest";
import { site } from "../testing/site";
import { textFile } from "../source/site";
import { linksTo, sheetLinks } from "./links";

test("links of a page that ask for a sheet, whatever else is linked, wherever it stands", () => {
  const page = textFile(
    site({
      "pier/index.html": `<!doctype html><base href="../"><link rel="icon" href="a.css"><link href="a.css">
<link rel="preload stylesheet" href="css/ferry.css"><LINK REL="STYLESHEET" HREF="a.css">
<link rel="stylesheet" href="https://ferries.example/b.css"><a rel="stylesheet" href="a.css">Fares</a>`,
    }),
    "pier/index.html",
  )!;
  expect(sheetLinks(page).map(({ sheet }) => sheet)).toEqual(["css/ferry.css", "a.css"]);
  expect(linksTo(page, "a.css").map(({ attributes }) => attributes.get("rel"))).toEqual(["STYLESHEET"]);
  expect(linksTo(page, "b.css")).toEqual([]);
});
