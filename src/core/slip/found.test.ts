import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { analyse } from "../report/analysis";
import { pageWith } from "../testing/site";
import { rowOfFinding } from "./found";
import { slipAtOnce } from "./slip";

test("a finding stands beside the row whose value, or whose declaration, it is about", () => {
  const from = pageWith(
    "body{background:#fff}\np{color:#aaa;font:8px/1.1 Georgia,serif}\np{letter-spacing:1;letter-spacing:1}",
    "<p>The late boat leaves the outer island at half past six, and waits for nobody on the quay at all.</p>",
  );
  const { findings } = analyse(from);
  const rowsOf = (check: string) => {
    const index = findings.find(({ check: own }) => own === "contrast")!.places[0]!.index;
    const { rows } = slipAtOnce(from, { page: "index.html", index }, defaultConditions);
    return findings.filter((one) => one.check === check).map((finding) => rowOfFinding(rows, finding));
  };
  expect(rowsOf("contrast")).toEqual(["ink"]);
  expect(rowsOf("small-text")).toEqual(["size"]);
  expect(rowsOf("running-text")).toEqual(["leading"]);
  expect(new Set(rowsOf("ignored-declaration"))).toEqual(new Set(["letter-spacing"]));
  expect(rowsOf("pair-alone")).toEqual([]);
  const { rows } = slipAtOnce(from, { page: "index.html", index: 4 }, defaultConditions);
  const nameless = { ...findings[0]!, property: undefined };
  expect(rowOfFinding(rows, { ...nameless, line: 2 })).toBe("stack");
  expect(rowOfFinding(rows, { ...nameless, line: 99 })).toBeNull();
});
