import { expect, test } from "vitest";
import { addressFrom, resolveAddress } from "./path";

test.each([
  ["css/a.css", "fonts/b.woff2", "../fonts/b.woff2"],
  ["a.css", "fonts/b c.woff2", "fonts/b%20c.woff2"],
  ["x/y/a.css", "x/f.ttf", "../f.ttf"],
  ["index.html", "css/no#1 (what?) 50%.css", "css/no%231%20%28what%3F%29%2050%25.css"],
  ["index.html", "a:b.css", "./a:b.css"],
  ["x/index.html", "a'b.css", "../a%27b.css"],
])("from %s, %s is %s, which leads there", (from, path, address) => {
  expect(addressFrom(from, path)).toBe(address);
  expect(resolveAddress(address, from)).toEqual({ kind: "file", path });
});
