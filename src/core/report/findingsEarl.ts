import type { Finding } from "../findings";
import { criteria, criterionOf, foundIn, plainWords } from "./found";
import type { Report } from "./types";

/** Findings that rest on a criterion of WCAG 2.2, as EARL 1.0 (W3C) in JSON-LD. */
export const findingsEarl: Report = {
  id: "findings-earl",
  group: "found",
  label: "Findings with a criterion of WCAG (EARL 1.0)",
  hint: "Test results by criterion, for reports on accessibility",
  file: "findings.earl.jsonld",
  type: "application/ld+json",
  *make(context) {
    const found = yield* foundIn(context);
    const assertions = found.flatMap((finding) => {
      const criterion = criterionOf(finding);
      return criterion === null ? [] : subjectsOf(finding).map((page) => assertionOf(finding, criterion, page));
    });
    const earl = {
      "@context": {
        earl: "http://www.w3.org/ns/earl#",
        dct: "http://purl.org/dc/terms/",
        doap: "http://usefulinc.com/ns/doap#",
        ptr: "http://www.w3.org/2009/pointers#",
      },
      "@graph": [{ "@id": "#hevret", "@type": "earl:Software", "doap:name": "Hevret" }, ...assertions],
    };
    return `${JSON.stringify(earl, null, 2)}\n`;
  },
};

/** The pages that a finding is about; the file it stands in where it is about no text. */
const subjectsOf = ({ places, path }: Finding): string[] => {
  const pages = [...new Set(places.map(({ page }) => page))];
  return pages.length ? pages : [path];
};

function assertionOf({ level, message, path, line, column }: Finding, criterion: string, page: string) {
  return {
    "@type": "earl:Assertion",
    "earl:assertedBy": { "@id": "#hevret" },
    "earl:subject": { "@id": encodeURI(page), "@type": "earl:TestSubject" },
    "earl:test": {
      "@id": `https://www.w3.org/TR/WCAG22/#${criteria.get(criterion)!}`,
      "@type": "earl:TestCriterion",
      "dct:title": `WCAG 2.2, ${criterion}`,
    },
    "earl:mode": { "@id": "earl:automatic" },
    "earl:result": {
      "@type": "earl:TestResult",
      // Only what cannot be read, or done, is said to fail: of what is doubtful a person decides.
      "earl:outcome": { "@id": level === "error" ? "earl:failed" : "earl:cantTell" },
      "dct:description": plainWords(message),
      // Pointer Methods in RDF 1.0, 3.1.4.
      "earl:pointer": {
        "@type": "ptr:LineCharPointer",
        "ptr:reference": { "@id": encodeURI(path) },
        "ptr:lineNumber": line,
        "ptr:charNumber": column,
      },
    },
  };
}
