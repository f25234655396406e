import fc from "fast-check";
import { expect, test } from "vitest";
import { parseColor, ratioOver } from "../color";
import { legibility } from "../text/textStyles";
import { pageWith, stylesOf } from "../testing/site";
import { overGround } from "./layers";

const byte = fc.integer({ min: 0, max: 255 });
const opaque = fc.tuple(byte, byte, byte).map((channels) => `rgb(${channels.join(" ")})`);
const translucent = fc
  .tuple(byte, byte, byte, fc.integer({ min: 0, max: 90 }))
  .map(([red, green, blue, alpha]) => `rgb(${red} ${green} ${blue} / ${alpha}%)`);
const box = fc.record({ color: translucent, opacity: fc.constantFrom(1, 1, 1, 0.8, 0.5) });

const asRule = (name: string, { color, opacity }: { color: string; opacity: number }) =>
  `.${name}{background-color:${color};opacity:${opacity}}`;

/** A text in a box in the ground in a box, all of colours of their own. */
function textOn(ground: string, rules: string) {
  const html = "<div class=out><div id=ground><div class=in><p id=t class=text>one</p></div></div></div>";
  const styles = stylesOf(pageWith(`#ground{background-color:${ground}}${rules}`, html));
  const of = (id: string) => styles.find(({ element }) => element.id === id)!;
  return { text: of("t"), holder: of("ground") };
}

test("what lies over a ground tells how a text would be read on any other", () =>
  fc.assert(
    fc.property(opaque, opaque, translucent, box, box, box, (ground, other, ink, out, inside, text) => {
      const rules = `${asRule("out", out)}${asRule("in", inside)}${asRule("text", text)}p{color:${ink}}`;
      const now = textOn(ground, rules);
      const [over, ...more] = overGround(now.text, now.holder);
      expect(more).toEqual([]);
      for (const color of [ground, other]) {
        const { ratio } = legibility(textOn(color, rules).text);
        expect(ratioOver(parseColor(color)!, over!)).toBeCloseTo(ratio, 6);
      }
    }),
  ));

test("on a ground that a text does not have yet, and on the canvas", () => {
  const { text } = textOn("#234", ".in{background-color:rgb(255 255 255/50%)}p{color:#111;opacity:.5}");
  const [own] = overGround(text, text);
  const read = textOn("#234", ".in{background-color:rgb(255 255 255/50%)}p{color:#111;opacity:.5;background:#fe8}");
  expect(ratioOver(parseColor("#fe8")!, own!)).toBeCloseTo(legibility(read.text).ratio, 6);
  const onCanvas = stylesOf(pageWith("p{color:#111}", "<p id=t>one")).at(-1)!;
  expect(overGround(onCanvas, null)).toEqual([
    { veil: { space: "srgb", channels: [0, 0, 0], alpha: 0 }, ink: parseColor("#111") },
  ]);
});

test("a gradient between gives one for each of its colours", () => {
  const { text, holder } = textOn("#fff", ".in{background:linear-gradient(#0008,#fff8)}p{color:#111}");
  expect(overGround(text, holder).map(({ veil }) => veil.channels)).toEqual([
    [0, 0, 0],
    [1, 1, 1].map((value) => expect.closeTo(value, 6)),
  ]);
});
