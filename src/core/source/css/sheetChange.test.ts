import { describe, expect, test } from "vitest";
import { sheetVersions } from "../../../../e2e/support/sheetVersions";
import { readSheet, sheetChange, type RuleExchange } from "./sheetChange";
import { parseSheet } from "./syntax";

const textsOf = (text: string) => parseSheet(text).map(({ start, end }) => text.slice(start, end));

/** The texts of a sheet's rules after an exchange, groups put together anew. */
function exchanged(text: string, { ahead, out, in: come }: RuleExchange): string[] {
  const rules = textsOf(text);
  const [before = "", ...deeper] = ahead;
  const at = parseSheet(before).length;
  if (deeper.length > 0) {
    const rule = rules[at]!;
    const group = parseSheet(rule)[0]!;
    if (group.kind !== "at" || !group.block) throw new Error(`${rule} is no group.`);
    const inside = exchanged(rule.slice(group.block.start, group.block.end), { ahead: deeper, out, in: come });
    return rules.with(at, [rule.slice(0, group.block.start), ...inside, rule.slice(group.block.end)].join(""));
  }
  expect(rules.slice(at, at + out.length)).toEqual(out);
  return rules.toSpliced(at, out.length, ...come);
}

const squeezed = (rules: readonly string[]) => rules.map((rule) => rule.replace(/\s+|\/\*.*?\*\//g, ""));

describe("changes of sheets as rules to exchange", () => {
  test.each([
    ["a declaration", "a{b:c}d{e:f}g{h:i}", "a{b:c}d{e:fine}g{h:i}", { ahead: ["a{b:c}"], out: ["d{e:f}"], in: ["d{e:fine}"] }], // prettier-ignore
    ["as long as before", "a{b:c}d{e:f}g{h:i}", "a{b:c}d{e:f}g{h:j}", { ahead: ["a{b:c}d{e:f}"], out: ["g{h:i}"], in: ["g{h:j}"] }], // prettier-ignore
    ["a rule put in", "a{b:c}g{h:i}", "a{b:c} d{e:f}g{h:i}", { ahead: ["a{b:c} "], out: [], in: ["d{e:f}"] }],
    ["a rule taken out", "a{b:c}d{e:f}g{h:i}", "a{b:c}g{h:i}", { ahead: ["a{b:c}"], out: ["d{e:f}"], in: [] }],
    ["inside a group", "x{}@media print{a{b:c}d{e:f}}", "x{}@media print{a{b:c}d{e:fine}}", { ahead: ["x{}", "a{b:c}"], out: ["d{e:f}"], in: ["d{e:fine}"] }], // prettier-ignore
    ["a group's condition", "@media print{a{b:c}}", "@media all{a{b:c}}", { ahead: [""], out: ["@media print{a{b:c}}"], in: ["@media all{a{b:c}}"] }], // prettier-ignore
    ["nothing but a comment", "a{b:c}/*x*/d{e:f}", "a{b:c}/*yz*/d{e:f}", { ahead: [], out: [], in: [] }],
  ] as const)("%s", (_, before, text, exchange) => {
    expect(sheetChange(readSheet(before), text).exchange).toEqual(exchange);
  });

  test("a sheet is read as a whole where a change reaches further", () => {
    expect(sheetChange(readSheet("@namespace a url(b);c{d:e}"), "@namespace a url(b);c{d:f}").exchange).toBeNull();
    const many = (color: string) => Array.from({ length: 30 }, (_, at) => `a${at}{color:${color}}`).join("");
    expect(sheetChange(readSheet(many("red")), many("blue")).exchange).toBeNull();
  });

  test("random versions come out with the same rules", () => {
    let exchanges = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      const [first, ...versions] = sheetVersions(seed, 20);
      let before = readSheet(first!);
      for (const text of versions) {
        const { after, exchange } = sheetChange(before, text);
        expect(after.items).toEqual(parseSheet(text));
        if (exchange) {
          exchanges += 1;
          expect(squeezed(exchanged(before.text, exchange)), text).toEqual(squeezed(textsOf(text)));
        }
        before = after;
      }
    }
    expect(exchanges).toBeGreaterThan(300);
  });
});
