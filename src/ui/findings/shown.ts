/** Which findings are shown, and in which groups. */
import { findingGroups, type Finding, type Group } from "@/core";
import { isAboutPage, type KnownFinding } from "../workspace/troubles";

export interface Filter {
  page: string;
  sheet: string;
  group: Group | "";
  search: string;
}

export const everything: Filter = { page: "", sheet: "", group: "", search: "" };

export interface ShownGroup {
  id: Group | "left";
  title: string;
  findings: KnownFinding[];
  places: number;
}

function fits({ finding }: KnownFinding, { page, sheet, group, search }: Filter): boolean {
  if (page && !isAboutPage(finding, page)) return false;
  if (sheet && finding.path !== sheet) return false;
  if (group && finding.group !== group) return false;
  const words = search.trim().toLowerCase();
  return words === "" || `${finding.message} ${finding.path} ${finding.check}`.toLowerCase().includes(words);
}

/** The findings by what they cost, those that are left as they are at the end; groups without any are left out. */
export function shownGroups(all: readonly KnownFinding[], filter: Filter): ShownGroup[] {
  const shown = all.filter((one) => fits(one, filter));
  const group = (id: ShownGroup["id"], title: string, findings: KnownFinding[]): ShownGroup => ({
    id,
    title,
    findings,
    places: findings.reduce((sum, { finding }) => sum + finding.places.length, 0),
  });
  const open = findingGroups.map(({ id, title }) =>
    group(
      id,
      title,
      shown.filter(({ finding, left }) => left === null && finding.group === id),
    ),
  );
  const left = group(
    "left",
    "Left as they are",
    shown.filter((one) => one.left !== null),
  );
  return [...open, left].filter(({ findings }) => findings.length > 0);
}

/** Where a finding shows: in how many places, or where it stands. */
export function whereWords({ places, path, line }: Finding): string {
  if (places.length > 1) return `${places.length.toLocaleString("en-GB")} places`;
  return `${path.slice(path.lastIndexOf("/") + 1)}:${line}`;
}
