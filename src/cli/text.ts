import { counted, showRatio, type Analysis, type Level } from "@/core";
import type { Judged } from "./judge";

/** How many findings count, by level; and what does not. */
export function summaryOf({ counting, left, known }: Judged): string {
  const of = (level: Level) => counting.filter((finding) => finding.level === level).length;
  const leaves = Object.keys(left).length;
  return [
    `${counted(of("error"), "error")}, ${counted(of("warning"), "warning")}, ${counted(of("note"), "note")}`,
    ...(known === null ? [] : [`more than before; ${known} as before`]),
    ...(leaves ? [`${leaves} left as they are`] : []),
  ]
    .join("; ")
    .replace("; more", " more")
    .concat(".");
}

/** The analysis for people: what counts stands at the end, where a log is read first. */
export function asText({ conditions, pages, textStyles, pairs, stacks }: Analysis, judged: Judged): string {
  const { counting: findings } = judged;
  const lines = [
    `At ${conditions.width} by ${conditions.height} px, ${conditions.scheme} scheme, ${conditions.rootSize} px by default.`,
    "",
    ...pages.map(
      ({ path, sheets }) =>
        `${path}: ${sheets.map((sheet) => `${sheet.path}${sheet.missing ? " (missing)" : ""}`).join(", ") || "no style sheet"}`,
    ),
    "",
    `${counted(textStyles.length, "text style")}, largest first:`,
    ...textStyles.map(
      ({ role, sizePx, weight, stack, ratio, needs, places }) =>
        `  ${Number(sizePx.toFixed(2))} px ${weight}  ${role}  ${stack}  ${showRatio(ratio)} of ${needs}  ${counted(places.length, "place")}`,
    ),
    "",
    `${counted(pairs.filter(({ passes }) => !passes).length, "pair")} of ink and ground out of ${pairs.length} cannot be read well enough.`,
    `${counted(stacks.length, "stack")}: ${stacks.map(({ stack }) => stack).join(" | ")}`,
    "",
    ...(findings.length ? [`${counted(findings.length, "finding")}:`] : []),
    ...findings.map(
      ({ level, check, path, line, column, message }) => `  ${level}  ${path}:${line}:${column}  ${message} (${check})`,
    ),
    findings.length ? summaryOf(judged) : `Nothing was found wrong${judged.known ? " that was not so before" : ""}.`,
    "",
  ];
  return lines.join("\n");
}
