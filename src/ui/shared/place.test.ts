import { assert, property, string } from "fast-check";
import { expect, test } from "vitest";
import { addressOf, placeAt } from "./place";

test("what is asked for stands behind the #, and comes out as it was put in", () => {
  assert(
    property(string({ unit: "grapheme" }), (name) => {
      const address = addressOf("/site/1/page", { file: name });
      expect(address.split("#")[0]).toBe("/site/1/page");
      const { path, asked } = placeAt(address);
      expect([path, asked.get("file")]).toEqual(["/site/1/page", name]);
    }),
  );
});

test("an address that asks for nothing has no #", () => {
  expect(addressOf("/")).toBe("/");
  expect([...placeAt("/site/1/page").asked]).toEqual([]);
});
