/** The core in a worker of its own. */
import { expose } from "comlink";
import { engine } from "./engine";
import type { Engine } from "./protocol";

/** Held as long as the worker lives, so that its end is noticed. */
const alive = new Promise<void>((resolve) => {
  if (!navigator.locks) return resolve();
  const held = navigator.locks.request(self.name, () => {
    resolve();
    return new Promise(() => undefined);
  });
  held.catch(() => resolve());
});

const whole: Engine = { ...engine, started: () => alive };
expose(whole);
