export { ignoredMessage } from "./declarations";
export { firstWay, fixesFor, fixSteps, type Fix } from "./fixes";
export { findingsFor, findingSteps } from "./run";
export { groups, type Cause, type Finding, type Group, type Level, type Way } from "./types";
