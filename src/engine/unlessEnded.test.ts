import { expect, test } from "vitest";
import { UnlessEnded } from "./unlessEnded";

test("answers come as they are, and nothing is kept of them", async () => {
  const answers = new UnlessEnded();
  const asked = [
    answers.of("ferry"),
    answers.of(Promise.resolve({ pier: 2 })),
    answers.of(Promise.reject(new Error("fog"))),
  ];
  expect(answers.size).toBe(3);
  expect(await Promise.allSettled(asked)).toMatchObject([
    { value: "ferry" },
    { value: { pier: 2 } },
    { reason: { message: "fog" } },
  ]);
  expect(answers.size).toBe(0);
});

test("what is waited for when the end comes is told of it, and so is what is asked later", async () => {
  const answers = new UnlessEnded();
  const never = answers.of(new Promise(() => undefined));
  answers.end(new Error("sunk"));
  answers.end(new Error("sunk again"));
  await expect(never).rejects.toThrow("sunk");
  await expect(answers.of("late")).rejects.toThrow(/^sunk$/);
  expect(answers.size).toBe(0);
});
