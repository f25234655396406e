import { expect, test } from "vitest";
import { invalidReason } from "../declarations";

/** As Chromium 156 has it. */
test.each([
  ["'x' 'y'", true],
  ["url(a.png) 'x'", true],
  ["url(a.png) / 'alt' counter(a)", true],
  ["'x' / attr(data-a)", true],
  ["'x' /", false],
  ["/ 'x'", false],
  ["close-quote no-open-quote", true],
  ["'x' none", false],
  ["none / 'x'", false],
  ["none", true],
  ["counter(a, upper-roman)", true],
  ["counter(a, symbols('x'))", true],
  ["counter(a, 'x')", false],
  ["counter(a, b, c)", false],
  ["counter(1)", false],
  ["counter()", false],
  ["counters(a, '.', decimal)", true],
  ["counters(a)", false],
  ["counters(a, b)", false],
  ["linear-gradient(red, blue) / ''", true],
  ["linear-gradient(to up, red, blue)", false],
  ["leader('.')", false],
  ["'x', 'y'", false],
  ["red", false],
  ["5", false],
])("%s: %s", (value, isValid) => {
  expect(invalidReason("content", value)).toBe(isValid ? null : "invalid value");
});
