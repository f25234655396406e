/** Random tests repeat themselves, unless HEVRET_RUNS asks for a longer run on other values. */
import fc from "fast-check";

const runs = Number(process.env.HEVRET_RUNS ?? 0);
fc.configureGlobal(runs > 0 ? { numRuns: runs } : { seed: 20261123 });
