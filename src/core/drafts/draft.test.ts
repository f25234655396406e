import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { differenceSteps, provenUnder } from "../edits/proof";
import { EditError } from "../edits/types";
import { definedProperties } from "../palette/references";
import { changeSite, pagesOf, textFile, withFiles, type Site } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { textsOf } from "../text/pageTexts";
import { legibilityOn } from "../text/textStyles";
import { draftSteps } from "./draft";
import { draftKinds } from "./kinds";
import { randomSite } from "../testing/randomSite";
import { runs } from "../testing/runs";
import type { Draft, DraftAsked } from "./types";
import { writeDraft, type DraftWriting } from "./write";

const draftOf = (of: Site, asked: Partial<DraftAsked> = {}): Draft =>
  finished(draftSteps(of, defaultConditions, { kind: "dark", lift: 0.5, chosen: {}, ...asked }));

const writings: DraftWriting[] = [
  { way: "media", sheet: null },
  { way: "light-dark", sheet: null },
  { way: "media", sheet: "dark.css" },
  { way: "light-dark", sheet: "dark.css" },
];

/** The site with a draft; null where it cannot be written so, in plain words. */
function written(of: Site, draft: Draft, writing: DraftWriting): { after: Site; differing: unknown[] } | null {
  try {
    const { changes, files } = writeDraft(of, draft, definedProperties(of), writing);
    const after = changeSite(withFiles(of, files), changes);
    const others = provenUnder(defaultConditions, draft.kind);
    return { after, differing: finished(differenceSteps(of, after, changes, defaultConditions, false, others)) };
  } catch (error) {
    if (error instanceof EditError) return null;
    throw error;
  }
}

/** How all texts are read, page by page. */
const readIn = (of: Site, under: Partial<Conditions>) =>
  pagesOf(of).flatMap((file) => {
    const page = styledPage(of, file, { ...defaultConditions, ...under });
    return textsOf(page).map((style) => legibilityOn(page, style, {}));
  });

/** Texts that could be read and cannot be read any more. */
function lostIn(before: Site, after: Site): number {
  const now = readIn(after, { scheme: "dark" });
  return readIn(before, { scheme: "light" }).filter((was, at) => was.ratio >= was.needs && now[at]!.ratio < was.needs)
    .length;
}

describe("a dark draft", () => {
  test("of random sites: what passed passes, in every state and at several widths; written, nothing changes in light", () => {
    fc.assert(
      fc.property(randomSite, fc.constantFrom(0, 0.5, 1), fc.constantFrom(...writings), (of, lift, writing) => {
        const draft = draftOf(of, { lift });
        expect(draft.pairs.filter(({ passed, passes }) => passed && !passes)).toEqual([]);
        const made = written(of, draft, writing);
        if (!made) return;
        expect(made.differing).toEqual([]);
        expect(lostIn(of, made.after)).toBe(0);
      }),
      runs(15),
    );
  });

  const ferry = site({
    "css/a.css":
      ":root {\n  --sea: #06364f;\n}\n\nbody { background: #fff; color: #222 }\na { color: var(--sea) }\nheader { background: var(--sea); color: #fff }\n",
    "index.html":
      '<link rel="stylesheet" href="css/a.css"><header>Ossel</header><p>Boats <a href="b.html">and fares</a></p>',
  });
  const toneOf = (draft: Draft, id: string) => draft.tones.find((tone) => tone.id === id)!;

  test("a dark ground under light text stays, and the same colour as an ink goes light under a name of its own", () => {
    const draft = draftOf(ferry);
    expect(toneOf(draft, "--sea")).toMatchObject({ part: "ground", stays: true });
    expect(toneOf(draft, "ink --sea")).toMatchObject({ part: "ink", stays: false });
    const { after } = written(ferry, draft, writings[0]!)!;
    expect(textFile(after, "css/a.css")!.text).toMatch(
      /a \{ color: var\(--sea-ink\) \}\nheader \{ background: var\(--sea\); color: #fff \}/,
    );
  });

  test("is written behind the rule that names colours, in its way of writing", () => {
    const draft = draftOf(ferry, { chosen: { "ground rgb(255, 255, 255)": "#101418" } });
    const { after } = written(ferry, draft, writings[0]!)!;
    const text = textFile(after, "css/a.css")!.text;
    expect(text).toContain("\n}\n\n:root {\n  --ground: #fff;\n");
    expect(text).toContain(
      "@media (prefers-color-scheme: dark) {\n  :root {\n    color-scheme: dark;\n    --ground: #101418;\n",
    );
  });

  test("a chosen counterpart is kept, and what it costs is told", () => {
    const draft = draftOf(ferry, { chosen: { "ink rgb(34, 34, 34)": "#333" } });
    expect(toneOf(draft, "ink rgb(34, 34, 34)")).toMatchObject({ counterpart: "#333", chosen: true });
    expect(draft.pairs[0]).toMatchObject({ passed: true, passes: false, keeps: false });
  });

  test("grounds become lighter with the lift, and no ratio falls", () => {
    const [dark, light] = [0, 1].map((lift) => draftOf(ferry, { lift }));
    const ground = (draft: Draft) => toneOf(draft, "ground rgb(255, 255, 255)").counterpartCss;
    expect([ground(dark!), ground(light!)]).toEqual(["rgb(0, 0, 0)", "rgb(34, 34, 34)"]);
    expect(light!.pairs.every(({ keeps }) => keeps)).toBe(true);
  });

  test("the lightest ground becomes black without lift, though it is not white", () => {
    const grey = site({ "a.html": "<style>body{background:#ccc;color:#111}p{background:#bbb}</style><p>Fog" });
    const draft = draftOf(grey, { lift: 0 });
    expect(toneOf(draft, "ground rgb(204, 204, 204)").counterpartCss).toBe("rgb(0, 0, 0)");
    expect(toneOf(draft, "ground rgb(187, 187, 187)").counterpartCss).not.toBe("rgb(0, 0, 0)");
  });

  test("what has a dark scheme already is told", () => {
    expect(draftKinds.dark.isAsked(ferry)).toBe(false);
    expect(draftKinds.dark.isAsked(site({ "a.css": "a{color:light-dark(red,blue)}" }))).toBe(true);
  });

  test("where pages share no sheet it needs one of its own", () => {
    const apart = site({
      "a.html": "<style>body{background:#fff;color:#333}</style><p>One",
      "b.html": "<style>body{background:#fff;color:#333}</style><p>Two",
    });
    const draft = draftOf(apart);
    expect(() => writeDraft(apart, draft, new Set(), writings[0]!)).toThrow(/No style sheet is shared/);
    expect(written(apart, draft, writings[2]!)).toMatchObject({ differing: [] });
  });
});

describe("a draft of more contrast", () => {
  test("of random sites: no text is read worse, and what can reaches 7, large text 4.5", () => {
    fc.assert(
      fc.property(randomSite, (of) => {
        const draft = draftOf(of, { kind: "contrast" });
        expect(draft.pairs.filter(({ passed, passes }) => passed && !passes)).toEqual([]);
      }),
      runs(15),
    );
  });

  test("is written under its condition", () => {
    const of = site({
      "a.css": "body{color:#777;background:#fff}",
      "a.html": "<link rel=stylesheet href=a.css><p>One",
    });
    const draft = draftOf(of, { kind: "contrast" });
    expect(draft.pairs).toMatchObject([{ keeps: true, needs: 4.5 }]);
    const { after, differing } = written(of, draft, writings[0]!)!;
    expect(differing).toEqual([]);
    expect(textFile(after, "a.css")!.text).toMatch(
      /^:root\{--ink:#777\}@media \(prefers-contrast: more\)\{:root\{--ink:#5[0-9a-f]{5}\}\}/,
    );
  });
});
