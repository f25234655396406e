/** Which findings count, and whether they make a call fail. */
import { existsSync, readFileSync } from "node:fs";
import { array, object, string, ValidationError } from "yup";
import { findingKeys, type Analysis, type Finding } from "@/core";
import { UsageError, type FailOn, type Leaving, type Options } from "./options";

/** The findings of a site that count: neither left, nor known before. */
export interface Judged {
  counting: Finding[];
  /** Why findings are left, by their keys. */
  left: Record<string, string>;
  /** How many were there before; null where nothing is compared. */
  known: number | null;
}

const order = ["note", "warning", "error"] as const;

/** Whether there is a finding at this level, or a worse one. */
export const fails = ({ counting }: Judged, failOn: FailOn): boolean =>
  failOn !== "never" && counting.some(({ level }) => order.indexOf(level) >= order.indexOf(failOn));

export function judge(
  path: string,
  { findings }: Pick<Analysis, "findings">,
  { leave }: Pick<Options, "leave">,
  before: Before | null,
): Judged {
  const keys = findingKeys(findings);
  const left: Record<string, string> = {};
  const counting: Finding[] = [];
  let known = 0;
  for (const [at, finding] of findings.entries()) {
    const reason = reasonFor(finding, leave);
    if (reason !== null) left[keys[at]!] = reason;
    else if (before?.has(path, keys[at]!)) known += 1;
    else counting.push(finding);
  }
  return { counting, left, known: before && known };
}

const reasonFor = ({ check, path }: Finding, leave: readonly Leaving[]): string | null =>
  leave.find((one) => one.check === check && (one.path === undefined || one.path === path))?.reason ?? null;

/** What was found in an earlier run. */
export interface Before {
  has(path: string, key: string): boolean;
}

const findings = array().of(
  object({ check: string().required(), path: string().required(), message: string().required() }).required(),
);
const report = object({
  findings,
  sites: array().of(object({ path: string().required(), findings: findings.required() }).required()),
}).required();

/** Reads a report that was kept: JSON of one site, or of several. @throws UsageError */
export function readBefore(file: string): Before {
  if (!existsSync(file)) throw new UsageError(`There is no report at ${file}.`);
  try {
    const kept = report.validateSync(JSON.parse(readFileSync(file, "utf8")), { strict: true });
    const keys = (list: unknown) => new Set(findingKeys(list as Finding[]));
    if (kept.findings) {
      const all = keys(kept.findings);
      return { has: (_, key) => all.has(key) };
    }
    const bySite = new Map((kept.sites ?? []).map((site) => [site.path, keys(site.findings)]));
    return { has: (path, key) => bySite.get(path)?.has(key) ?? false };
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError)
      throw new UsageError(`${file} is no report of this command: ${error.message}.`);
    throw error;
  }
}
