import { checkNames, type Cause } from "../findings";
import { criterionOf, foundIn, plainWords, type FoundOrLeft } from "./found";
import type { Report } from "./types";

/** Findings as SARIF 2.1.0 (OASIS), as builds and editors read it. */
export const findingsSarif: Report = {
  id: "findings-sarif",
  group: "found",
  label: "Findings for builds and editors (SARIF 2.1.0)",
  hint: "A log that build servers and code editors read",
  file: "findings.sarif",
  type: "application/sarif+json",
  *make(context) {
    const findings = yield* foundIn(context);
    const rules = checkNames.filter((name) => findings.some(({ check }) => check === name));
    const run = {
      tool: { driver: { name: "Hevret", rules: rules.map((id) => ({ id })) } },
      // Columns count UTF-16 units from 1 (3.14.17).
      columnKind: "utf16CodeUnits",
      results: findings.map((finding) => resultOf(finding, rules.indexOf(finding.check))),
    };
    const sarif = {
      $schema: "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json",
      version: "2.1.0",
      runs: [run],
    };
    return `${JSON.stringify(sarif, null, 2)}\n`;
  },
};

function resultOf(finding: FoundOrLeft, ruleIndex: number) {
  const { check, level, message, because, causes, places, left } = finding;
  const criterion = criterionOf(finding);
  const related = causes.map((cause, id) => ({ ...locationOf(cause), id, message: { text: cause.text } }));
  return {
    ruleId: check,
    ruleIndex,
    level,
    message: { text: `${plainWords(message)} ${plainWords(because)}` },
    locations: [locationOf(finding)],
    ...(related.length ? { relatedLocations: related } : {}),
    // What is left as it is counts as taken note of (3.27.23).
    ...(left === null ? {} : { suppressions: [{ kind: "external", justification: left }] }),
    properties: { places: places.length, ...(criterion ? { criterion: `WCAG 2.2, ${criterion}` } : {}) },
  };
}

const locationOf = ({ path, line, column }: Omit<Cause, "text">) => ({
  physicalLocation: {
    artifactLocation: { uri: encodeURI(path).replace(/[?#]/g, encodeURIComponent) },
    region: { startLine: line, startColumn: column },
  },
});
