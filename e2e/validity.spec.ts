/** Which values properties take, against what the browser says of each with each of many values. */
import { expect, test } from "./support/window";
import { values } from "./fidelity/random";
import { invalidReason } from "../src/core/cascade/declarations";
import { longhandIndex } from "../src/core/cascade/properties";
import { shorthands } from "../src/core/cascade/properties/shorthands";

/** Besides those of random pages. */
const more = [
  "1",
  "0.5",
  "-1",
  "2.5",
  "1s",
  "200ms",
  "ease-in",
  "cubic-bezier(0, 0, 1, 1)",
  "1fr",
  "repeat(2, 1fr)",
  "span 2",
  "a / b",
  "1 / 2",
  "auto auto",
  "none none",
  "fade-in 1s",
  "opacity 1s ease",
  "10px 20px",
  "1px solid",
  "1px solid red",
  "url(a.png)",
  "url(a.png) no-repeat center / cover",
  "attr(data-x)",
  "counter(a)",
  "open-quote",
  "'x'",
  "'x' / 'y'",
  '"x" counter(a)',
  "a 1",
  "a 1 b 2",
  "rotate(10deg)",
  "translate(10px, 20%)",
  "scale(2)",
  "blur(2px)",
  "drop-shadow(1px 1px red)",
  "invert(1)",
  "circle(10px)",
  "inset(1px 2px)",
  "polygon(0 0, 1px 1px, 2px 0)",
  "min-content",
  "max-content",
  "fit-content",
  "fit-content(10px)",
  "stretch",
  "env(safe-area-inset-top, 1px)",
  "var(--a)",
  "thin",
  "thick dotted",
  "inset 1px 1px red",
  "1px 1px 1px 1px red",
  "both",
  "left",
  "top left",
  "center",
  "bottom 10px right 20px",
  "25% 75%",
  "infinite",
  "3",
  "alternate",
  "forwards",
  "paused",
  "linear(0, 1)",
  "steps(2)",
  "x mandatory",
  "manual",
  "pan-x",
  "pointer",
  "grab",
  "url(a.cur), auto",
  "smooth",
  "isolate",
  "subgrid",
  "[a] 1fr [b]",
  '"a b" "c d"',
  "dense",
  "row wrap",
  "1 1 0",
  "1 0 auto",
  "space-between",
  "first baseline",
  "safe center",
  "minmax(1px, 1fr)",
  "repeat(auto-fill, minmax(10px, 1fr))",
  "size",
  "layout paint",
  "allow-discrete",
  "normal normal",
  "under left",
  "filled dot red",
  "over right",
  "spell-out",
  "hanging-punctuation",
  "from-image",
  "90deg",
  "crisp-edges",
  "pixelated",
  "evenodd",
  "butt",
  "round",
  "1 2 3",
  "0 0",
  "100%",
  "",
  "red;",
  "!important",
  "10",
  "10px!",
  "#12",
  "1px,",
  ", 1px",
  "calc(1px + )",
  "calc(1px+2px)",
  "calc(2 * 3)",
  "calc(1px * 2px)",
  "rgb()",
  "rgb(1 2)",
  "RED",
  "10PX",
  "1E2px",
  "+1",
  "+.5em",
  ".5.5em",
  "1 px",
  "1px 2px 3px",
];

/** Where the browser goes ways of its own. */
const known = new Set([
  // A reckoned number is raised to the least there is.
  "initial-letter: calc(1 / 3)",
  "background: text",
  // A comma behind a border is passed over.
  "border: 1px,",
  "border-block: 1px,",
  "border-inline: 1px,",
  "column-rule-width: 1px,",
  // What is too little is taken, and what is not is none.
  ...["-2px", "-3px", "-5px", "-1px", "-1em"].map((value) => `overflow-clip-margin: ${value}`),
  // A colour of systems that is no colour of the standard any more.
  ...["column-rule-color", "fill", "flood-color", "lighting-color", "stop-color", "stroke"].map(
    (property) => `${property}: menu`,
  ),
]);

test("values are valid where they are for the browser", async ({ page }) => {
  test.setTimeout(180_000);
  const pool = [...new Set([...Object.values(values).flat(), ...more])];
  const named = await page.evaluate(() => [...getComputedStyle(document.documentElement)]);
  const properties = [...new Set([...named, ...shorthands.keys(), ...longhandIndex.keys()])].filter(
    (name) => !name.startsWith("--"),
  );
  const isComputed = (name: string) => longhandIndex.has(name) || shorthands.has(name);
  // The grammars of those that are not computed take their time: each is asked of some of the values.
  const asked = properties.flatMap((name, row) =>
    pool
      .filter((_, column) => isComputed(name) || (row + column) % 6 === 0)
      .map((value): [string, string] => [name, value]),
  );
  const theirs = await page.evaluate((pairs) => pairs.map(([name, value]) => CSS.supports(name, value)), asked);
  const differing = asked.filter(([name, value], at) => (invalidReason(name, value) === null) !== theirs[at]);
  // Of properties that are not computed, some values are let pass that the browser does not take.
  const passed = differing.filter(([name, value]) => !isComputed(name) && invalidReason(name, value) === null);
  const wrong = differing
    .filter((pair) => !passed.includes(pair))
    .map(([name, value]) => `${name}: ${value}`)
    .filter((told) => !known.has(told));
  const figure = (count: number) => count.toLocaleString("en-GB");
  console.log(`validity: ${figure(asked.length)} asked, ${figure(passed.length)} of what is not computed let pass`);
  expect(wrong).toEqual([]);
});
