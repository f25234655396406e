/** The findings of the open site, with those that are left as they are apart. */
import { findingKeys, type ElementRef, type Finding } from "@/core";
import type { Workspace } from "./state";

export interface KnownFinding {
  key: string;
  finding: Finding;
  /** Why it is left as it is; null where it is not. */
  left: string | null;
}

const known = new WeakMap<readonly Finding[], readonly string[]>();

/** All findings with their keys, in their order. */
export function knownFindings({ summary, record }: Pick<Workspace, "summary" | "record">): KnownFinding[] {
  const findings = summary?.findings ?? [];
  let keys = known.get(findings);
  if (!keys) known.set(findings, (keys = findingKeys(findings)));
  return findings.map((finding, at) => ({ key: keys[at]!, finding, left: record?.left?.[keys[at]!] ?? null }));
}

/** What was found about a text and is not left as it is. */
export function findingsAbout(
  { page, index, pseudo }: ElementRef,
  state: Pick<Workspace, "summary" | "record">,
): KnownFinding[] {
  return knownFindings(state).filter(
    ({ finding, left }) =>
      left === null &&
      finding.places.some((place) => place.page === page && place.index === index && place.pseudo === pseudo),
  );
}

/** Whether a finding is about a page: it stands there, or shows there. */
export const isAboutPage = ({ path, places }: Finding, page: string): boolean =>
  path === page || places.some((place) => place.page === page);

/** What was found in a file and is not left as it is. */
export function findingsIn(path: string, state: Pick<Workspace, "summary" | "record">): KnownFinding[] {
  return knownFindings(state).filter(({ finding, left }) => left === null && finding.path === path);
}

/** What somebody cannot read, or may not: errors and warnings that are not left. */
export function troubles(state: Pick<Workspace, "summary" | "record">): KnownFinding[] {
  return knownFindings(state).filter(({ finding, left }) => left === null && finding.level !== "note");
}
