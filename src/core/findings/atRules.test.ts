import { expect, test } from "vitest";
import { analyse } from "../report/analysis";
import { site as siteOf } from "../testing/site";

const said = (sheet: string) =>
  analyse(
    siteOf({
      "index.html": '<!doctype html><html lang="en"><title>t</title><link rel="stylesheet" href="ferry.css"><p>Tern',
      "ferry.css": sheet,
    }),
  )
    .findings.map(({ message }) => message)
    .filter((message) => message.includes("@property"));

test.each([
  ['syntax: "<length>"; inherits: true; initial-value: 2em', "`2em` goes by an element's font or container"],
  ['syntax: "<color>"; inherits: true; initial-value: 1px', "`1px` is no `<color>`"],
  ['syntax: "<color>"; inherits: true', "with `<color>` it needs an `initial-value`"],
  ['syntax: "<colour>"; inherits: true; initial-value: red', "`syntax` is to be one"],
  ['syntax: "<color>"; inherits: yes; initial-value: red', "`inherits` is to be `true` or `false`"],
  ['syntax: "*"; inherits: true; initial-value: var(--b)', "`var(--b)` stands for other text"],
])("a registration with %s is told of", (descriptors, words) => {
  const [message, ...more] = said(`@property --a { ${descriptors}; } p { color: var(--a); }`);
  expect(message).toContain(`\`@property --a\` registers nothing: `);
  expect(message).toContain(words);
  expect(more).toEqual([]);
});

test.each([
  'syntax: "*"; inherits: false',
  'syntax: "<length> | auto"; inherits: false; initial-value: 1vw',
  'syntax: "<color>#"; inherits: true; initial-value: red, blue',
])("one with %s is not", (descriptors) => {
  expect(said(`@property --a { ${descriptors}; } p { color: var(--a); }`)).toEqual([]);
});
