/** What reports say of the sample is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { changesInWords } from "./changesInWords";
import { defaultConditions } from "../cascade/conditions";
import { changeSite, textFile } from "../source/site";
import { sampleSite, toldParts } from "../testing/told";
import { convertedTable, givenColors } from "./convertedColors";

const site = sampleSite();

test("changes in words", async () => {
  const { text } = textFile(site, "css/ferry.css")!;
  const change = (before: string, after: string) => {
    const start = text.indexOf(before);
    return { path: "css/ferry.css", start, end: start + before.length, insert: after };
  };
  const after = changeSite(site, [
    change("font-size: 38px", "font-size: 2.5rem"),
    change("color: #dfeaf0cc", "color: #fff"),
  ]);
  const steps = changesInWords(site, after, defaultConditions);
  let step = steps.next();
  while (!step.done) step = steps.next();
  await expect(toldParts([["in words", step.value]])).toMatchFileSnapshot("told/words.txt");
});

test("colours in all notations", async () => {
  const colors = givenColors(
    "#1b4b66\nrgb(12 200 33 / 40%)\nhsl(200 60% 40%)\nhwb(40 10% 20%)\nlab(50 40 -20)\nlch(60 30 120)\noklab(0.6 0.1 -0.1)\noklch(0.7 0.3 150)\ncolor(display-p3 1 0.2 0)\ncolor(xyz-d50 0.2 0.3 0.4)\nrebeccapurple\n#abcd",
  );
  await expect(toldParts([["converted", convertedTable(colors)]])).toMatchFileSnapshot("told/converted.txt");
});
