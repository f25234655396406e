import { expect, test } from "vitest";
import { site } from "../testing/site";
import { sheetColumns } from "./sheetColumns";
import { sheetTable } from "./sheetTable";

const link = "<link rel=stylesheet href=/a.css>";
const pages = (count: number, folder: string, text: string) =>
  Object.fromEntries(Array.from({ length: count }, (_, at) => [`${folder}p${String(at).padStart(2, "0")}.html`, text]));

test("a column for each page while they fit", () => {
  const table = sheetTable(site({ ...pages(12, "", link), "a.css": "" }));
  expect(sheetColumns(table)).toHaveLength(12);
  expect(sheetColumns(table, "P01")).toMatchObject([{ pages: ["p01.html"], name: "p01.html" }]);
});

test("many that are dressed alike are one, a folder each, with what they hold themselves summed up", () => {
  const table = sheetTable(
    site({
      ...pages(20, "guide/", `${link}<p style="top:0">x`),
      ...pages(3, "", link),
      "odd.html": "<p>x",
      "a.css": "",
    }),
  );
  const columns = sheetColumns(table);
  expect(columns.map(({ name, pages: own }) => [name, own.length])).toEqual([
    ["guide/ 20 pages", 20],
    ["odd.html", 1],
    ["p00.html and 2 more", 3],
  ]);
  const elements = table.rows.findIndex(({ kind }) => kind === "elements");
  expect(columns[0]!.cells[elements]).toMatchObject({ count: 20 });
});
