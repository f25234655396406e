import { checks } from "./checks";

export { ignoredMessage } from "./declarations";
export { allRight, allRightSteps, conditionsUnder, fixesFor, fixSteps, type AllRight, type Fix } from "./fixes";
export { findingKeys } from "./left";
export { findingsFor, findingSteps } from "./run";
export type { PageStress, Stresses } from "./stress";
export { groups, type Cause, type Circumstances, type Finding, type Group, type Level, type Way } from "./types";

/** The names of all checks. */
export const checkNames: readonly string[] = checks.map(({ name }) => name);
