/** The list of reports. A new one is a file and a line here. */
import { colorProperties } from "./colorProperties";
import { colorTable } from "./colorTable";
import { designTokens } from "./designTokens";
import { contrastTable } from "./contrastTable";
import { findingsEarl } from "./findingsEarl";
import { findingsSarif } from "./findingsSarif";
import { findingsTable } from "./findingsTable";
import { specimenSheet } from "./specimen";
import type { Report } from "./types";

export const reports: readonly Report[] = [
  specimenSheet,
  findingsTable,
  findingsSarif,
  findingsEarl,
  designTokens,
  colorProperties,
  colorTable,
  contrastTable,
];

export { reportGroups, type Report, type ReportAbout, type ReportContext } from "./types";
