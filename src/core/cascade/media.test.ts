import { expect, test } from "vitest";
import { defaultConditions } from "./conditions";
import { matchesMedia } from "./media";
import { matchesSupports } from "./supports";

test.each<[string, boolean]>([
  ["", true],
  ["all", true],
  ["print", false],
  ["screen and (min-width: 600px)", true],
  ["(max-width: 1279px)", false],
  ["(width >= 80em)", true],
  ["(600px < width <= 1280px)", true],
  ["(600px < width < 1280px)", false],
  ["not print", true],
  ["not (color)", false],
  ["only screen", true],
  ["print, (orientation: landscape)", true],
  ["(min-width: 600px) and (max-width: 900px)", false],
  ["(max-width: 100px) or (hover)", true],
  ["(unknown-thing)", false],
  ["not (unknown-thing)", false],
  ["(prefers-color-scheme: dark)", false],
  ["(prefers-reduced-motion)", false],
  ["(aspect-ratio: 16/10)", true],
  ["(min-resolution: 96dpi)", true],
  ["(min-width: calc(40em + 10px))", true],
  ["screen or (color)", false],
  ["(width: 1280px)", true],
  ["((min-width: 1px) and (not (max-width: 10px)))", true],
  ["(min-width: 600)", false],
  ["$%&", false],
])("media %j is %s at 1280 by 800", (query, expected) => {
  expect(matchesMedia(query, defaultConditions)).toBe(expected);
});

test.each<[string, boolean]>([
  ["(display: grid)", true],
  ["(colour: red)", false],
  ["(color: rebeccapurple) and (not (color: nope))", true],
  ["selector(:has(> a))", true],
  ["selector(:nope)", false],
  ["not (font-size: 12)", true],
  ["(--x: anything)", true],
  ["display: grid", true],
  ["(color: red !important)", true],
])("supports %j is %s", (condition, expected) => {
  expect(matchesSupports(condition)).toBe(expected);
});

/** As Chromium 156 answers. */
test.each([
  ["(scan)", false],
  ["not (scan: interlace)", true],
  ["(inverted-colors: none)", false],
  ["not (inverted-colors)", false],
  ["not (prefers-reduced-data)", false],
  ["(video-dynamic-range: standard)", false],
  ["(dynamic-range: standard)", true],
  ["(-1x <= resolution)", false],
  ["not (min-resolution: -1x)", false],
  ["(min-aspect-ratio: -1/2)", false],
  ["(min-aspect-ratio: 0/1)", true],
  ["(min-width: -1px)", true],
])("%s: %s", (query, holds) => {
  expect(matchesMedia(query, defaultConditions)).toBe(holds);
});

/** As Chromium 156 answers. */
test.each([
  ["at-rule(@media)", true],
  ["at-rule(@CONTAINER)", true],
  ["not at-rule(@media)", false],
  ["at-rule(@charset)", false],
  ["at-rule(@nope)", false],
  ["at-rule(media)", false],
  ["at-rule(@media screen)", false],
  ["selector(:is(a, b))", true],
  ["selector(:is(a, :nope))", false],
  ["selector(:where(:nope))", false],
  ["selector(:is())", false],
  ["selector(:is(a:is(:nope)))", false],
  ["selector(a, b)", false],
  ["(content: red)", false],
  ["not (gap: -1px)", true],
])("supports %s: %s", (condition, holds) => {
  expect(matchesSupports(condition)).toBe(holds);
});
