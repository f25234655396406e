import css from "@webref/css/css.json";
import { describe, expect, test } from "vitest";
import { helpFor } from ".";
import { slipRows } from "../slip/rows";
import { parseSheet, type Item } from "../source/css/syntax";
import { sheetMistakes } from "../testing/mistakes";
import { propertyWords } from "./properties";

const listed = new Map(
  (css.properties as unknown as { name: string; href?: string }[]).map(({ name, href }) => [name, href ?? ""]),
);

const declaredIn = (items: readonly Item[]): string[] =>
  items.flatMap((item) =>
    item.kind === "declaration" ? [item.property] : item.kind === "style" ? declaredIn(item.items) : [],
  );

describe("help", () => {
  test.each(slipRows.flatMap(({ longhand, property }) => [longhand, property]))("says what %s does", (property) => {
    expect(helpFor(property)?.what).toMatch(/\.$/);
  });

  test("says what is done by every property that a mistake may have meant", () => {
    const meant = new Set(sheetMistakes.flatMap(([, , sheet]) => declaredIn(parseSheet(sheet))));
    expect([...meant].filter((property) => !property.startsWith("--") && helpFor(property) === null)).toEqual([]);
  });

  test("names the standard that defines a property", () => {
    const wrong = Object.entries(propertyWords).filter(
      ([name, { standard }]) => name !== "font-stretch" && !listed.get(name)?.includes(`/${standard}/`),
    );
    expect(wrong.map(([name, { standard }]) => `${name}: ${standard}, ${listed.get(name)}`)).toEqual([]);
  });

  test("keeps to two sentences", () => {
    const long = Object.entries(propertyWords).filter(([, { what }]) => what.split(/[.?](?:\s|$)/).length > 3);
    expect(long.map(([name]) => name)).toEqual([]);
  });

  test("tells what a property starts as and whether it is inherited", () => {
    expect(helpFor("color")).toMatchObject({ inherited: true, standard: "CSS Color 4" });
    expect(helpFor("margin-top")).toMatchObject({ initial: "0", inherited: false, sets: [] });
    expect(helpFor("margin")?.sets).toEqual(["margin-top", "margin-right", "margin-bottom", "margin-left"]);
  });

  test("knows nothing of what is no property", () => {
    expect(helpFor("constructor")).toBeNull();
    expect(helpFor("colour")).toBeNull();
  });
});
