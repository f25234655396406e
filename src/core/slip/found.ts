/** Which row of the slip a finding is about. */
import type { Finding } from "../findings/types";
import type { SlipRowValue } from "./slip";

type Placed = Pick<Finding, "path" | "line">;

/** The id of the row whose value, or whose declaration, a finding is about; null where it is about none of them. */
export function rowOfFinding(rows: readonly SlipRowValue[], finding: Finding): string | null {
  const own = rows.filter(({ of }) => of === undefined);
  const named = own.find(({ longhand }) => longhand === finding.property);
  return (named ?? own.find((row) => isAt(row, finding)))?.id ?? null;
}

/** Whether a finding stands where one of the declarations of a row does. */
function isAt({ contenders, idle }: SlipRowValue, { path, line }: Placed): boolean {
  const stands = (one: Placed | null) => one?.path === path && one.line === line;
  return contenders.some(({ place }) => stands(place)) || idle.some(stands);
}
