/**
 * How often a property is tried: as often as a run of all tests has time for, and `HEVRET_TIMES` times as often on demand.
 * The same values come again, unless `HEVRET_SEED` asks for others.
 */
const times = Number(process.env.HEVRET_TIMES ?? 1);
const seed = Number(process.env.HEVRET_SEED ?? 20261123);

/** @param count how often in a run of all tests */
export const runs = (count: number) => ({ numRuns: Math.ceil(count * times), seed });
