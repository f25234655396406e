import { wrap, type Remote } from "comlink";
import type { Engine } from "./protocol";

/** A worker with the core in it, and the way to end it. */
export function startEngine(): { engine: Remote<Engine>; stop(): void } {
  const worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module", name: "hevret-core" });
  return { engine: wrap<Engine>(worker), stop: () => worker.terminate() };
}
