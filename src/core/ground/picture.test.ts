import { parse } from "parse5";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { safeDocument, safeSheets } from "../source/html/safe";
import { styledPage } from "../cascade/styledPages";
import { pageWith } from "../testing/site";
import { textFile } from "../source/site";
import {
  heldBy,
  pictureOf,
  pictureRewriting,
  withoutWindowUnits,
  type PictureLook,
  type PictureStage,
  type PictureUnknown,
} from "./picture";
import { plainStage } from "../testing/stage";

const stage: PictureStage = { ...plainStage, height: 2000, backed: false, root: "font-size:16px" };

function picture(
  css: string,
  body: string,
  more: Partial<PictureStage> = {},
  look: PictureLook = { kind: "ground" },
  unknown: PictureUnknown | null = null,
) {
  const site = pageWith(css, body);
  const file = textFile(site, "index.html")!;
  const page = styledPage(site, file, { ...defaultConditions, width: 800, height: 600 });
  return pictureOf(
    {
      document: safeDocument(site, file, () => null),
      sheets: safeSheets(site, file, pictureRewriting(page), () => null),
      overrides: [],
      states: [],
      scheme: "light",
    },
    { ...stage, ...more },
    look,
    unknown,
  );
}

describe("a page as a picture", () => {
  test("the root and names of elements are those of the page", () => {
    const text = picture(":root{color:red} P.Big:first-child{color:lime}", "<p class=Big>x</p>");
    expect(text).toContain("[data-hevret-root]{color:red}");
    expect(text).toContain("p.Big:first-child{color:lime}");
    // Of a pseudo-element of that name nothing is made, whatever stands around.
    const others = picture(
      ":root :hover{color:red} p::Root:hover{color:red} .ROOT > :Root P{color:lime}",
      "<p class=ROOT>x</p>",
    );
    expect(others).toContain("[data-hevret-root] :hover{color:red}");
    expect(others).not.toContain("p[data-hevret-root]");
    expect(others).toContain(".ROOT &gt; [data-hevret-root] p{color:lime}");
  });

  test("units of the window are px, names that look like them stay", () => {
    expect(withoutWindowUnits("a{height:50vh;width:calc(10VW + 1px)} .x10vw{top:5dvmin}", stage.window)).toBe(
      "a{height:300px;width:calc(80px + 1px)} .x10vw{top:30px}",
    );
  });

  test("conditions of media are answered", () => {
    const text = picture("@media (min-width: 900px){p{color:red}} @media (max-height: 700px){p{color:lime}}", "<p>x");
    expect(text).toContain("@media all{p{color:lime}}");
    expect(text).not.toContain("color:red");
  });

  test("rules that ask for names the page has not are left out", () => {
    const css = ".gone p, #gone{color:red} .gone, p.here{color:lime} .gone{:not(&){color:blue}} :not(.gone){color:tan}";
    const text = picture(css, "<p class=here>x");
    expect(text).not.toContain("color:red");
    for (const kept of ["color:lime", "color:blue", "color:tan"]) expect(text).toContain(kept);
  });

  test("texts are struck by the colours they are given, those of pseudo-elements by a rule", () => {
    const index = 4;
    const strikes = [
      { index, pseudo: null, color: "red", thickness: 8 },
      { index, pseudo: "before", color: "lime", thickness: 9 },
    ];
    const text = picture("", "<p>x</p>", {}, { kind: "struck", strikes });
    expect(text).toContain("line-through solid red 8px");
    expect(text).toMatch(/\[data-hevret-place="4"\]::before \{ text-decoration:line-through solid lime 9px/);
  });

  test("what stays in the window alone is shown over a canvas of one colour", () => {
    const box = { left: 0, top: 0, width: 800, height: 600 };
    const held = { fixed: [4], canvas: { index: 0, declarations: "background-color:teal", box } };
    const text = picture("", "<p>x</p>", held, { kind: "ground" }, { color: "black", shows: "held" });
    expect(text).toContain("[data-hevret-root], [data-hevret-root] * { visibility: hidden !important }");
    expect(text).toContain(':is([data-hevret-place="4"]), :is([data-hevret-place="4"]) * { visibility: visible');
    const all = picture("", "<p>x</p>", held, { kind: "ground" }, { color: "black", shows: "all" });
    expect(all).not.toContain("* { visibility: hidden !important }");
    // The canvas of the page would hide that of one colour.
    expect([text, all].map((one) => one.includes("background-color:teal"))).toEqual([false, true]);
  });

  test("anything at all comes out as one drawing that is well formed", () => {
    const body =
      '<p @click="x" a:b="c" title="&quot;&lt;\u0001">a \u0000 &amp; <o:p>x</o:p><br><svg viewBox="0 0 1 1"><a xlink:href="#x"/></svg>';
    const text = picture("p::before{content:'<&'}", body);
    expect(text).not.toMatch(/[\u0000-\u0008]/);
    expect(text).not.toContain("@click");
    expect(parse(text)).toBeTruthy();
    const opened = [...text.matchAll(/<([a-z][\w.-]*)[\s>]/gi)].map(([, name]) => name);
    const closed = [...text.matchAll(/<\/([a-z][\w.-]*)>/gi)].map(([, name]) => name);
    expect(opened.sort()).toEqual(closed.sort());
  });

  test("only on a page that scrolls does anything lie over all of it", () => {
    const held = { fixed: [3], sticky: [[5, ""]] as const };
    expect(heldBy({ ...stage, ...held })).toEqual([3, 5]);
    expect(heldBy({ ...stage, ...held, height: 600 })).toEqual([]);
  });
});
