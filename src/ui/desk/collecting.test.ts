import { beforeEach, expect, test, vi } from "vitest";
import { Collecting } from "./collecting";

const collected = vi.hoisted(() => ({ here: 0, there: 0 }));
vi.mock("@/engine/collect", () => ({ collect: () => (collected.here += 1) }));

const engine = {
  collect: async () => {
    collected.there += 1;
  },
};

beforeEach(() => Object.assign(collected, { here: 0, there: 0 }));

test("small pages are collected together, and rarely where nothing is laid out", async () => {
  const collecting = new Collecting(engine, () => true);
  await collecting.after(60);
  expect(collected).toEqual({ here: 0, there: 0 });
  await collecting.after(60);
  expect(collected).toEqual({ here: 1, there: 0 });
  for (let page = 0; page < 8; page += 1) await collecting.after(110);
  expect(collected).toEqual({ here: 9, there: 1 });
  await collecting.after(110);
  expect(collected).toEqual({ here: 10, there: 1 });
});

test("nothing is collected for what was given up", async () => {
  await new Collecting(engine, () => false).after(5_000);
  expect(collected).toEqual({ here: 0, there: 0 });
});
