import { expect, test } from "vitest";
import { site } from "../testing/site";
import { placeNames } from "./placeNames";

test("a place is named by its words and line, a gone one by its page", () => {
  const from = site({
    "fares.html": `<!doctype html>\n<h1>Fares</h1>\n<table>\n<tr><td>${"Foot passengers and cars ".repeat(3)}</table>\n<hr>\n<input value="Book">`,
  });
  const at = (index: number, pseudo?: string) => placeNames(from, [{ page: "fares.html", index, pseudo }])[0];
  // html, head, body, h1, table, tbody, tr, td, hr, input
  expect(at(3)).toBe("Fares, fares.html line 2");
  expect(at(3, "before")).toBe("before Fares, fares.html line 2");
  expect(at(5)).toBe("tbody, fares.html");
  expect(at(7)).toBe("Foot passengers and cars Foot passengers…, fares.html line 4");
  expect(at(8)).toBe("hr, fares.html line 5");
  expect(at(9)).toBe("Book, fares.html line 6");
  expect(at(99)).toBe("fares.html");
});
