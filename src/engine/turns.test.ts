import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Turns } from "./turns";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

/** Steps that take so many milliseconds each, on the clock of the test. */
function* steps(count: number, milliseconds: number, done: number[] = []): Generator<number, string> {
  for (let step = 1; step <= count; step += 1) {
    vi.setSystemTime(Date.now() + milliseconds);
    done.push(step);
    yield step;
  }
  return "all";
}

const turns = () => new Turns(() => Date.now());
const always = () => true;

test("what somebody waits for is done in slices between which others are let in", async () => {
  const done: number[] = [];
  const seen: number[] = [];
  setTimeout(() => seen.push(done.length));
  const result = turns().inSlices(steps(12, 10, done), always);
  await vi.runAllTimersAsync();
  expect(await result).toBe("all");
  // Two steps of ten milliseconds fill a slice.
  expect(seen).toEqual([2]);
});

test("it is left where it is not wanted any more", async () => {
  const done: number[] = [];
  let wanted = true;
  const result = turns().inSlices(steps(100, 10, done), () => wanted);
  setTimeout(() => {
    wanted = false;
  });
  await vi.runAllTimersAsync();
  expect(await result).toBeNull();
  expect(done.length).toBeLessThan(10);
});

test("counting waits while a question is answered, and a while after it, but not for ever", async () => {
  const own = turns();
  let answer: () => void = () => undefined;
  const asked = own.asking(() => new Promise<void>((resolve) => (answer = resolve)));
  const done: number[] = [];
  const counted = own.whileQuiet(steps(3, 1, done), always);
  await vi.advanceTimersByTimeAsync(2000);
  expect(done).toEqual([]);
  answer();
  await asked;
  await vi.advanceTimersByTimeAsync(1100);
  expect(done).toEqual([1, 2, 3]);
  expect(await counted).toBe("all");
});

test("a question between two slices is answered before the next", async () => {
  const own = turns();
  const order: string[] = [];
  function* count(): Generator<void, null> {
    for (let step = 0; step < 3; step += 1) {
      vi.setSystemTime(Date.now() + 30);
      order.push("counted");
      yield;
    }
    return null;
  }
  const counted = own.whileQuiet(count(), always);
  await vi.advanceTimersByTimeAsync(400);
  const from = order.length;
  expect(from).toBe(3);
  await counted;
  const again = own.whileQuiet(count(), always);
  setTimeout(() => {
    own.asking(() => order.push("asked")).catch(() => undefined);
  }, 401);
  await vi.runAllTimersAsync();
  await again;
  expect(order.slice(from)).toContain("asked");
});

test("how far it is is told once for each slice, and not again while it is the same", async () => {
  const told: number[] = [];
  const result = turns().whileQuiet(steps(10, 5), always, (step) => told.push(step));
  await vi.runAllTimersAsync();
  await result;
  expect(told).toEqual([4, 8]);
  const same: string[] = [];
  function* waiting(): Generator<string, null> {
    const inner = steps(10, 20);
    while (!inner.next().done) yield "counting";
    return null;
  }
  const again = turns().inSlices(waiting(), always, (step) => same.push(step));
  await vi.runAllTimersAsync();
  await again;
  expect(same).toEqual(["counting"]);
});
