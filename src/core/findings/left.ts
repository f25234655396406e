/** By what a finding is known again when lines move: that it is left as it is stays said of it. */
import type { Finding } from "./types";

/** What it says, without the lines it names. */
const said = ({ check, path, message }: Finding) => `${check} ${path} ${message.replace(/ line \d+/g, "")}`;

/** A key for each finding, in their order; those that say the same of a file are counted. */
export function findingKeys(findings: readonly Finding[]): string[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const key = said(finding);
    const count = (seen.get(key) ?? 0) + 1;
    seen.set(key, count);
    return count === 1 ? key : `${key} (${count})`;
  });
}
