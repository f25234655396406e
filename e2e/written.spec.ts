/** What the core writes for type, held against what the browser makes of it. */
import { expect, test } from "./support/window";
import fc from "fast-check";
import {
  applyPlan,
  decorationLonghands,
  fluidSize,
  keywordSizes,
  lineKinds,
  openSite,
  planEdit,
  sizeIn,
  sizeUnits,
  textFile,
  withAxis,
  writeDecoration,
  writeStack,
} from "../src/core";

const runs = Number(process.env.HEVRET_RUNS ?? 200);
const sampled = <Value>(arbitrary: fc.Arbitrary<Value>) => fc.sample(arbitrary, { numRuns: runs, seed: 20261123 });
const say = (what: string, count: number) =>
  console.log(`${what}: ${count.toLocaleString("en-GB")} of ${count.toLocaleString("en-GB")} come out as meant`);

test("sizes in every unit come out as the same px", async ({ page }) => {
  const cases = sampled(
    fc.record({
      px: fc.integer({ min: 40, max: 2000 }).map((tenths) => tenths / 10),
      parent: fc.integer({ min: 8, max: 40 }),
      root: fc.integer({ min: 10, max: 24 }),
      width: fc.integer({ min: 320, max: 1920 }),
    }),
  );
  let compared = 0;
  for (const { px, parent, root, width } of cases.slice(0, 40)) {
    await page.setViewportSize({ width, height: 600 });
    const texts = sizeUnits.map((unit) => sizeIn(px, unit, { parent, root, width }));
    const theirs = await page.evaluate(
      ([size, outer, list]) => {
        document.documentElement.style.fontSize = `${outer[1]}px`;
        document.body.style.fontSize = `${outer[0]}px`;
        return list.map((text) => {
          const probe = document.body.appendChild(document.createElement("p"));
          probe.style.fontSize = text;
          const found = Number.parseFloat(getComputedStyle(probe).fontSize);
          probe.remove();
          return { text, found, off: Math.abs(found - size) };
        });
      },
      [px, [parent, root], texts] as const,
    );
    for (const { text, off } of theirs) expect(off, `${px} px as ${text}`).toBeLessThan(0.06);
    compared += theirs.length;
  }
  say("sizes in units", compared);
});

test("a fluid size follows its line at any width", async ({ page }) => {
  await page.setContent("<p>x</p>");
  const cases = sampled(
    fc.record({
      a: fc.integer({ min: 10, max: 60 }),
      b: fc.integer({ min: 10, max: 60 }),
      narrow: fc.integer({ min: 300, max: 700 }),
      wide: fc.integer({ min: 720, max: 1800 }),
      at: fc.integer({ min: 300, max: 1900 }),
    }),
  );
  for (const { a, b, narrow, wide, at } of cases.slice(0, 40)) {
    const { text, base, slope } = fluidSize({ size: a, width: narrow }, { size: b, width: wide }, 16)!;
    await page.setViewportSize({ width: at, height: 600 });
    const found = await page.evaluate((size) => {
      document.querySelector("p")!.style.fontSize = size;
      return Number.parseFloat(getComputedStyle(document.querySelector("p")!).fontSize);
    }, text);
    const meant = Math.min(Math.max(base + slope * at, Math.min(a, b)), Math.max(a, b));
    expect(Math.abs(found - meant), `${text} at ${at}`).toBeLessThan(0.1);
  }
});

test("keywords come out as they are said to, for any reader", async ({ page }) => {
  await page.setContent("<!doctype html><div style='font-size:20px'><p>x</p></div>");
  for (const monospace of [false, true]) {
    for (const { keyword, px } of keywordSizes(20, 16, monospace)) {
      if (monospace && /er$/.test(keyword)) continue;
      const found = await page.evaluate(
        ([word, family]) => {
          const probe = document.querySelector("p")!;
          probe.style.cssText = `font-family: ${family}; font-size: ${word}`;
          return Number.parseFloat(getComputedStyle(probe).fontSize);
        },
        [keyword, monospace ? "monospace" : "serif"] as const,
      );
      expect(found, keyword).toBeCloseTo(px, 2);
    }
  }
});

const name = fc.oneof(
  fc.constantFrom(
    "Georgia",
    "Times New Roman",
    "Serif Gothic",
    "system-ui",
    "inherit",
    "Ünicode Sans",
    "3 Point",
    "A, B",
    'The "Pier"',
    "back\\slash",
    "-x",
    "--y",
    "default",
    "  spaced  out ",
  ),
  fc
    .string({ unit: fc.constantFrom(..."abc 1-_'\"\\é,.ß"), minLength: 1, maxLength: 8 })
    .filter((text) => text.trim() !== ""),
);
const member = fc.oneof(
  { weight: 4, arbitrary: name.map((text) => ({ name: text, generic: false })) },
  {
    weight: 1,
    arbitrary: fc.constantFrom("serif", "sans-serif", "monospace").map((text) => ({ name: text, generic: true })),
  },
);

test("stacks are written so that the browser reads the same members", async ({ page }) => {
  await page.setContent("<p>x</p>");
  const stacks = sampled(fc.array(member, { minLength: 1, maxLength: 5 }));
  const theirs = await page.evaluate(
    (list) =>
      list.map((text) => {
        const probe = document.querySelector("p")!;
        probe.style.cssText = "";
        probe.style.fontFamily = text;
        return getComputedStyle(probe).fontFamily;
      }),
    stacks.map(writeStack),
  );
  // The browser's own way of writing them is read again by the same browser: names are compared as it holds them.
  const names = await page.evaluate(
    (list) =>
      list.map((text) =>
        [...text.matchAll(/"((?:[^"\\]|\\.)*)"|([^",]+)/g)]
          .map(([, quoted, plain]) => (quoted ?? plain!).replace(/\\(.)/g, "$1").trim())
          .filter(Boolean),
      ),
    theirs,
  );
  stacks.forEach((stack, at) => expect(names[at], writeStack(stack)).toEqual(stack.map((one) => one.name.trim())));
  say("stacks", stacks.length);
});

test("the font shorthand and its longhands come out alike, folded and unfolded", async ({ page }) => {
  const cases = sampled(
    fc.record({
      "font-style": fc.constantFrom("normal", "italic", "oblique 10deg"),
      "font-variant-caps": fc.constantFrom("normal", "small-caps"),
      "font-weight": fc.constantFrom("normal", "bold", "350", "900"),
      "font-stretch": fc.constantFrom("normal", "condensed"),
      "font-size": fc.constantFrom("12px", "1.5em", "larger", "calc(1px + 1em)"),
      "line-height": fc.constantFrom("normal", "1.4", "20px", "120%"),
      "font-family": fc.array(member, { minLength: 1, maxLength: 3 }).map(writeStack),
    }),
  );
  const sheets = cases.flatMap((longhands) => {
    const css = `p { ${Object.entries(longhands)
      .map(([property, value]) => `${property}: ${value}`)
      .join("; ")} }`;
    const site = openSite([
      { path: "index.html", text: "<link rel=stylesheet href=a.css><p>x</p>" },
      { path: "a.css", text: css },
    ]);
    const folded = applyPlan(site, planEdit(site, { kind: "fold", path: "a.css", start: 0, shorthand: "font" }));
    const unfolded = applyPlan(
      folded,
      planEdit(folded, { kind: "unfold", path: "a.css", start: 0, shorthand: "font" }),
    );
    return [css, textFile(folded, "a.css")!.text, textFile(unfolded, "a.css")!.text];
  });
  await page.setContent("<style></style><p>x</p>");
  const styles = await page.evaluate(
    (list) =>
      list.map((css) => {
        document.querySelector("style")!.textContent = css;
        const style = getComputedStyle(document.querySelector("p")!);
        return [
          "font-style",
          "font-variant-caps",
          "font-weight",
          "font-stretch",
          "font-size",
          "line-height",
          "font-family",
          "font-variation-settings",
        ]
          .map((property) => style.getPropertyValue(property))
          .join("|");
      }),
    sheets,
  );
  for (let at = 0; at < sheets.length; at += 3) {
    expect(sheets[at + 1]).toMatch(/^p \{ font: /);
    expect(styles[at + 1], sheets[at + 1]).toBe(styles[at]);
    expect(styles[at + 2], sheets[at + 2]).toBe(styles[at]);
  }
  say("font shorthands, folded and unfolded", sheets.length - cases.length);
});

test("lines come out alike as a shorthand and as longhands; axes as they are set", async ({ page }) => {
  await page.setContent("<p>x</p>");
  const parts = sampled(
    fc.record({
      lines: fc.subarray([...lineKinds]),
      style: fc.constantFrom("", "double", "wavy"),
      color: fc.constantFrom("", "red", "rgb(1 2 3 / 50%)"),
      thickness: fc.constantFrom("", "2px", "0.1em", "from-font"),
    }),
  ).filter(({ lines }) => lines.length > 0);
  const axes = sampled(
    fc.uniqueArray(
      fc.record({ tag: fc.constantFrom("wght", "GRAD", "slnt", "YOPQ"), value: fc.integer({ min: -200, max: 900 }) }),
      { minLength: 1, selector: ({ tag }) => tag },
    ),
  );
  const looked = await page.evaluate(
    ([short, long, variations]) => {
      const probe = document.querySelector("p")!;
      const look = (css: string) => {
        probe.style.cssText = css;
        const style = getComputedStyle(probe);
        return [
          ...["line", "style", "color", "thickness"].map((part) => style.getPropertyValue(`text-decoration-${part}`)),
          style.fontVariationSettings,
        ].join("|");
      };
      return {
        short: short.map(look),
        long: long.map(look),
        variations: variations.map((text) => look(`font-variation-settings: ${text}`).split("|").at(-1)),
      };
    },
    [
      parts.map((one) => `text-decoration: ${writeDecoration(one)}`),
      parts.map((one) =>
        decorationLonghands(one)
          .map(([property, value]) => `${property}: ${value}`)
          .join("; "),
      ),
      axes.map((one) => one.reduce((text, { tag, value }, at) => withAxis(one.slice(0, at), tag, value), "")),
    ] as const,
  );
  expect(looked.long).toEqual(looked.short);
  axes.forEach((one, at) => {
    for (const { tag, value } of one) expect(looked.variations[at]).toContain(`"${tag}" ${value}`);
  });
  say("lines and axes", parts.length + axes.length);
});
