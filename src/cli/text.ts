import { showRatio, type Analysis } from "@/core";

const count = (number: number, word: string) => `${number} ${word}${number === 1 ? "" : "s"}`;

/** The analysis for people. */
export function asText({ conditions, pages, textStyles, pairs, stacks, findings }: Analysis): string {
  const lines = [
    `At ${conditions.width} by ${conditions.height} px, ${conditions.scheme} scheme, ${conditions.rootSize} px by default.`,
    "",
    ...pages.map(
      ({ path, sheets }) =>
        `${path}: ${sheets.map((sheet) => `${sheet.path}${sheet.missing ? " (missing)" : ""}`).join(", ") || "no style sheet"}`,
    ),
    "",
    `${count(textStyles.length, "text style")}, largest first:`,
    ...textStyles.map(
      ({ role, sizePx, weight, stack, ratio, needs, places }) =>
        `  ${Number(sizePx.toFixed(2))} px ${weight}  ${role}  ${stack}  ${showRatio(ratio)} of ${needs}  ${count(places.length, "place")}`,
    ),
    "",
    `${count(pairs.filter(({ passes }) => !passes).length, "pair")} of ink and ground out of ${pairs.length} cannot be read well enough.`,
    `${count(stacks.length, "stack")}: ${stacks.map(({ stack }) => stack).join(" | ")}`,
    "",
    findings.length ? `${count(findings.length, "finding")}:` : "Nothing was found wrong.",
    ...findings.map(
      ({ level, check, path, line, column, message }) => `  ${level}  ${path}:${line}:${column}  ${message} (${check})`,
    ),
    "",
  ];
  return lines.join("\n");
}
