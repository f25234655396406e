import { readdirSync, readFileSync } from "node:fs";
import sarifSchema from "@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json";
import Ajv from "ajv";
import draft04 from "ajv/lib/refs/json-schema-draft-04.json";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { finished } from "../source/steps";
import { openSite } from "../source/site";
import { colorSpots } from "../palette/values";
import { pageWith, sampleFiles, site } from "../testing/site";
import { reports } from ".";
import { analyse } from "./analysis";
import { criteria } from "./found";
import { csv } from "./types";

const make = (
  id: string,
  from = pageWith(
    ":root{--sea:#17445c}body{color:#333}h1{color:#8a9aa6;background:var(--sea)}b{color:color(display-p3 0 1 0/50%)}",
    "<h1>x</h1><p>y <b>z</b></p>",
  ),
  left: Record<string, string> = {},
) =>
  finished(
    reports
      .find((report) => report.id === id)!
      .make({ name: "Ossel", left, site: from, conditions: defaultConditions, layouts: {} }),
  );

test("text styles are told from the largest down, of one size the heaviest first", () => {
  const from = pageWith(
    "p{font:400 16px serif}b{font:700 16px serif}i{font:400 40px serif}s{font:900 9px serif}",
    "<p>Tern <b>sails</b> <i>at</i> <s>noon</s></p>",
  );
  const told = analyse(from).textStyles.map(({ sizePx, weight }) => [sizePx, weight]);
  expect(told).toEqual([
    [40, 400],
    [16, 700],
    [16, 400],
    [9, 900],
  ]);
});

describe("reports", () => {
  test("custom properties can be read again, with the names the site has", () => {
    const css = make("color-properties");
    expect(css).toContain("--sea: #17445c; /* ");
    expect(
      colorSpots(site({ "a.css": css }))
        .map(({ value }) => value)
        .sort(),
    ).toEqual(["#17445c", "#333", "#8a9aa6", "color(display-p3 0 1 0/50%)"]);
  });

  test("contrast, what fails first", () => {
    const rows = make("contrast-table").split("\r\n");
    expect(rows[0]).toBe("ink,ground,ratio,needs,passes,certain,schemes,places,pages");
    expect(rows[1]!.split(",").slice(-5)).toEqual(["no", "yes", "", "1", "index.html"]);
  });

  test.each(reports.map(({ id }) => id))("%s is made of the sample and of nothing at all", (id) => {
    expect(make(id, openSite(sampleFiles())).length).toBeGreaterThan(100);
    expect(make(id, site({}))).toBeTypeOf("string");
  });

  test("every criterion that a check names is known with its id in the standard", () => {
    const checks = new URL("../findings/", import.meta.url);
    const named = readdirSync(checks)
      .filter((file) => file.endsWith(".ts"))
      .flatMap((file) => [...readFileSync(new URL(file, checks), "utf8").matchAll(/WCAG 2\.2, (\d\.\d\.\d+)/g)])
      .map(([, number]) => number!);
    expect(named.length).toBeGreaterThan(10);
    expect([...new Set(named)].filter((number) => !criteria.has(number))).toEqual([]);
  });

  test("cells of a table are quoted, and no formula is left alive", () => {
    expect(
      csv(
        ["a", "b"],
        [
          ['say "x", y', "=1+1"],
          [-2, "-x"],
        ],
      ),
    ).toBe('a,b\r\n"say ""x"", y",\'=1+1\r\n-2,\'-x\r\n');
  });
});

describe("findings", () => {
  const of = site({
    "css/a b.css": "p{color:#bbb}\nh1{colour:red}\n",
    "index.html": '<!doctype html><title>x</title><link rel=stylesheet href="css/a b.css"><h1>One</h1><p>Two</p>',
  });
  const made = (id: string) => make(id, of);
  const allLeft: Record<string, string> = new Proxy({}, { get: () => "It is meant so." });

  test("as a table, with the criterion they rest on", () => {
    const rows = made("findings-table").split("\r\n");
    expect(rows[0]).toBe("level,group,check,file,line,column,what,why,criterion,places,left as it is");
    expect(rows.find((row) => row.includes(",contrast,"))).toMatch(
      /^error,Cannot be read,contrast,css\/a b\.css,1,3,.*,1\.4\.3,1,$/,
    );
  });

  test("as SARIF, with rules, places and causes", () => {
    const { version, runs } = JSON.parse(made("findings-sarif")) as {
      version: string;
      runs: [{ tool: { driver: { rules: { id: string }[] } }; columnKind: string; results: Record<string, unknown>[] }];
    };
    const [{ tool, columnKind, results }] = runs;
    expect([version, columnKind]).toEqual(["2.1.0", "utf16CodeUnits"]);
    for (const result of results) {
      expect(tool.driver.rules[result.ruleIndex as number]!.id).toBe(result.ruleId);
      expect(["error", "warning", "note"]).toContain(result.level);
    }
    expect(results.find(({ ruleId }) => ruleId === "contrast")).toMatchObject({
      locations: [
        {
          physicalLocation: {
            artifactLocation: { uri: "css/a%20b.css" },
            region: { startLine: 1, startColumn: 3 },
          },
        },
      ],
      properties: { criterion: "WCAG 2.2, 1.4.3" },
    });
  });

  test.each([
    ["a few", () => of],
    ["the sample", () => openSite(sampleFiles())],
    ["none", () => site({})],
  ])("SARIF is valid by the schema that OASIS published: %s", (_, from) => {
    const ajv = new Ajv({ schemaId: "id", meta: false, validateSchema: false });
    ajv.addMetaSchema(draft04);
    const valid = ajv.compile(sarifSchema);
    const log = JSON.parse(make("findings-sarif", from(), allLeft)) as unknown;
    valid(log);
    expect(valid.errors).toBeNull();
  });

  test("what is left as it is goes out as suppressed, with its reason", () => {
    const { runs } = JSON.parse(make("findings-sarif", of, allLeft)) as {
      runs: [{ results: { suppressions?: unknown[] }[] }];
    };
    expect(runs[0].results.map(({ suppressions }) => suppressions)).toContainEqual([
      { kind: "external", justification: "It is meant so." },
    ]);
    expect(make("findings-table", of, allLeft)).toContain(",It is meant so.\r\n");
  });

  test("EARL uses the terms of its vocabularies, and a pointer where it wants one", () => {
    const terms = new Set([
      // Evaluation and Report Language 1.0 Schema, 2.
      ...["Assertion", "Software", "TestSubject", "TestCriterion", "TestResult"].map((name) => `earl:${name}`),
      ...["assertedBy", "subject", "test", "mode", "automatic", "result", "outcome", "pointer"].map(
        (name) => `earl:${name}`,
      ),
      ...["failed", "cantTell"].map((name) => `earl:${name}`),
      ...["LineCharPointer", "reference", "lineNumber", "charNumber"].map((name) => `ptr:${name}`),
      ...["dct:title", "dct:description", "doap:name"],
    ]);
    const used = [...made("findings-earl").matchAll(/"((?:earl|ptr|dct|doap):\w+)"/g)].map(([, term]) => term!);
    expect(used.length).toBeGreaterThan(10);
    expect([...new Set(used)].filter((term) => !terms.has(term))).toEqual([]);
    expect(made("findings-earl")).toContain('"@type": "ptr:LineCharPointer"');
  });

  test("as EARL, those with a criterion, page by page", () => {
    const { "@graph": graph } = JSON.parse(made("findings-earl")) as { "@graph": Record<string, unknown>[] };
    const assertions = graph.filter((one) => one["@type"] === "earl:Assertion");
    expect(assertions.length).toBeGreaterThan(0);
    expect(assertions).toContainEqual(
      expect.objectContaining({
        "earl:subject": { "@id": "index.html", "@type": "earl:TestSubject" },
        "earl:test": expect.objectContaining({ "@id": "https://www.w3.org/TR/WCAG22/#contrast-minimum" }),
        "earl:result": expect.objectContaining({ "earl:outcome": { "@id": "earl:failed" } }),
      }),
    );
  });
});
