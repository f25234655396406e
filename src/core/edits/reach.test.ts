import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { planWithFiles } from "./plan";
import { planSheetEdit, type SheetEdit } from "./sheetLinks";

const link = (href: string) => `<!doctype html><link rel=stylesheet href="${href}"><p>x</p>`;

/** The pages on which a text comes out differently once it is done. */
function reached(files: Record<string, string>, edit: SheetEdit): string[] {
  const from = site(files);
  const { changes, files: put } = planSheetEdit(from, edit);
  return finished(planWithFiles(from, changes, put, defaultConditions)).reach.pages;
}

describe("files put in and taken out", () => {
  test("reach the pages that read them by an import alone", () => {
    const files = { "x.html": link("a.css"), "a.css": '@import "b.css";', "b.css": "p { color: red }" };
    expect(reached(files, { kind: "delete", sheet: "b.css" })).toEqual(["x.html"]);
    expect(reached(files, { kind: "rename", sheet: "b.css", to: "c.css" })).toEqual([]);
  });

  test("reach the pages that asked for them before they were there", () => {
    const files = { "x.html": link("late.css"), "a.css": "p { color: red }" };
    expect(reached(files, { kind: "rename", sheet: "a.css", to: "late.css" })).toEqual(["x.html"]);
  });
});
