import { beforeEach, expect, test, vi } from "vitest";
import { Collecting } from "./collecting";

const nothing = { here: 0, there: 0, allHere: 0, allThere: 0 };
const collected = vi.hoisted(() => ({ here: 0, there: 0, allHere: 0, allThere: 0 }));
const people = vi.hoisted(() => ({ areThere: true }));
vi.mock("@/engine/collect", () => ({
  collect: () => (collected.here += 1),
  collectAll: () => (collected.allHere += 1),
}));
vi.mock("./calm", () => ({ whenCalm: async () => {}, isNobodyThere: () => !people.areThere }));

const engine = {
  collect: async (all: boolean) => {
    collected[all ? "allThere" : "there"] += 1;
  },
};

beforeEach(() => {
  Object.assign(collected, nothing);
  people.areThere = true;
});

test("small pages are collected together, and rarely where nothing is laid out", async () => {
  const collecting = new Collecting(engine, () => true);
  await collecting.after(60);
  expect(collected).toEqual(nothing);
  await collecting.after(60);
  expect(collected).toEqual({ ...nothing, here: 1 });
  for (let page = 0; page < 8; page += 1) await collecting.after(110);
  expect(collected).toEqual({ ...nothing, here: 9, there: 1 });
  await collecting.after(110);
  expect(collected).toEqual({ ...nothing, here: 10, there: 1 });
});

test("all is collected where nobody is there, and not often", async () => {
  const collecting = new Collecting(engine, () => true);
  await collecting.now(true);
  expect(collected).toEqual({ ...nothing, here: 1, there: 1 });
  people.areThere = false;
  await collecting.now(true);
  expect(collected).toEqual({ here: 1, there: 1, allHere: 1, allThere: 1 });
  for (let page = 0; page < 6; page += 1) await collecting.after(1_000);
  expect(collected).toEqual({ here: 7, there: 7, allHere: 1, allThere: 1 });
  await collecting.after(1_000);
  expect(collected).toEqual({ here: 7, there: 7, allHere: 2, allThere: 2 });
});

test("nothing is collected for what was given up", async () => {
  await new Collecting(engine, () => false).after(5_000);
  expect(collected).toEqual(nothing);
});
