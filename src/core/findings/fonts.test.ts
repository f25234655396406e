import { describe, expect, test } from "vitest";
import { analyse } from "../report/analysis";
import { changeSite, openSite, textFile, type Site } from "../source/site";
import { testFont } from "../testing/font";
import { fixesFor } from ".";

const told = (css: string, body: string, fonts: Record<string, Uint8Array> = {}) =>
  analyse(
    openSite([
      { path: "index.html", text: `<style>${css}</style>${body}` },
      ...Object.entries(fonts).map(([path, bytes]) => ({ path, bytes })),
    ]),
  )
    .findings.filter(({ check }) => check === "fonts" || check === "faked-face")
    .map(({ level, message, places }) => [level, message, places.length]);
const flex = "@font-face{font-family:Flex;src:url(flex.ttf)}";

describe("fonts of a site", () => {
  test("loaded, used, and with every character: nothing is said", () => {
    expect(told(`${flex}p{font-family:Flex,serif}`, "<p>Boats</p>", { "flex.ttf": testFont("Flex") })).toEqual([]);
  });

  test("weights and italics that it has not are made up by the browser", () => {
    const light = "@font-face{font-family:Flex;src:url(flex.ttf);font-weight:400}";
    const rules = "p{font-family:Flex,serif} b{font-weight:700} i{font-style:italic}";
    expect(told(light + rules, "<p>Boats <b>sail</b> <i>late</i></p>", { "flex.ttf": testFont("Flex") })).toEqual([
      ["note", "Flex has no letters of weight 700 here: its heaviest are 400, and the browser thickens them.", 1],
      ["note", "Flex has no italic letters here: the browser slants the upright ones.", 1],
    ]);
  });

  test("one that no text is set in", () => {
    expect(told(`${flex}p{font-family:serif}`, "<p>Boats</p>", { "flex.ttf": testFont("Flex") })).toEqual([
      ["note", "Flex is loaded, but no text is set in it.", 0],
    ]);
  });

  test("one that cannot be loaded, with the reason", () => {
    expect(told(`${flex}p{font-family:Flex,serif}`, "<p>x</p>")).toEqual([
      ["error", "Flex cannot be loaded from `flex.ttf`: It is not among the files.", 0],
    ]);
    expect(
      told(`${flex}p{font-family:Flex,serif}`, "<p>x</p>", { "flex.ttf": new TextEncoder().encode("no font") })[0]![1],
    ).toContain("It is not a font file");
  });

  test("named, but from nowhere; a near miss is asked about", () => {
    expect(told("p{font-family:Nowhere Grotesk,serif}", "<p>x</p><p>y</p>")).toEqual([
      ["note", '"Nowhere Grotesk" is named in a stack, but no sheet loads it and no system has it.', 2],
    ]);
    expect(told(`${flex}p{font-family:Flexx,Flex,serif}`, "<p>x</p>", { "flex.ttf": testFont("Flex") })).toEqual([
      ["warning", "Flexx is named in a stack, but no sheet loads it and no system has it. Did you mean `Flex`?", 1],
    ]);
    // Told as a slip of the stack, with what is meant.
    expect(told("p{font-family:Georga,serif}", "<p>x</p>")).toEqual([]);
    expect(told("p{font-family:-apple-system,BlinkMacSystemFont,Georgia,serif}", "<p>x</p>")).toEqual([]);
  });

  test("characters of the pages that a face lacks, each once, and only of texts set in it", () => {
    const body = "<p>Fare: £18, €20 — £9</p><p>Zoë</p><i>→</i>";
    const [[level, message, places]] = told(`${flex}p{font-family:Flex,serif}`, body, {
      "flex.ttf": testFont("Flex"),
    }) as [[string, string, number]];
    expect([level, places]).toEqual(["note", 2]);
    for (const character of ["£", "€", "—", "ë", "1", "8"]) expect(message).toContain(character);
    expect(message).not.toContain("→");
    expect(message.split("£")).toHaveLength(2);
  });

  test("blanks, joiners and soft hyphens are no characters to miss", () => {
    expect(
      told(`${flex}p{font-family:Flex,serif}`, "<p>Os\u00adsel\u200b \u00a0ferry\ufe0f</p>", {
        "flex.ttf": testFont("Flex"),
      }).map(([, message]) => message),
    ).toEqual(["Flex has no glyph for \u00a0: these come from the next font of the stack."]);
  });

  test("what was looked up is looked up anew when the words change", () => {
    const site = openSite([
      { path: "index.html", text: `<style>${flex}p{font-family:Flex,serif}</style><p>Boats</p>` },
      { path: "flex.ttf", bytes: testFont("Flex") },
    ]);
    const messages = (from: typeof site) => analyse(from).findings.filter(({ check }) => check === "fonts").length;
    expect(messages(site)).toBe(0);
    const at = `<style>${flex}p{font-family:Flex,serif}</style><p>`.length;
    expect(messages(changeSite(site, [{ path: "index.html", start: at, end: at + 5, insert: "£5" }]))).toBe(1);
  });
});

test("a font that is near is written in its place, and one that is for nothing is taken out", () => {
  const first = (css: string, fonts: Record<string, Uint8Array>) => {
    const from = openSite([
      { path: "index.html", text: `<style>${css}</style><p>Boats</p>` },
      ...Object.entries(fonts).map(([path, bytes]) => ({ path, bytes })),
    ]);
    const finding = analyse(from).findings.find(({ check }) => check === "fonts")!;
    const [fix] = fixesFor(from, finding);
    return fix && textFile(changeSite(from, fix.changes), "index.html")!.text.slice(7).split("</style>")[0];
  };
  const own = { "flex.ttf": testFont("Flex") };
  expect(first(`${flex}p{font-family:Flexx,serif}i{font-family:Flex}`, own)).toBe(
    `${flex}p{font-family:Flex, serif}i{font-family:Flex}`,
  );
  expect(first(`${flex}p{font-family:serif}`, own)).toBe("p{font-family:serif}");
});

test("a font that comes late and is of another width is told, and its fallback gets its measures", () => {
  const from = (css: string) =>
    openSite([
      { path: "index.html", text: `<link rel=stylesheet href=a.css><p>Boats</p>` },
      { path: "a.css", text: css },
      { path: "flex.ttf", bytes: testFont("Flex") },
    ]);
  const shifts = (of: Site) => analyse(of).findings.filter(({ check }) => check === "fallback-shift");
  const late = from(`${flex}p{font-family:Flex,Georgia,serif}`);
  const [finding, ...others] = shifts(late);
  expect(others).toEqual([]);
  expect(finding!.message).toMatch(/^Until `Flex` has come, text is set in `Georgia`, whose letters run \d+% narrower/);
  const [fix] = fixesFor(late, finding!);
  const after = changeSite(late, fix!.changes);
  expect(textFile(after, "a.css")!.text).toMatch(/local\("Georgia"\);\s*size-adjust: ?\d/);
  expect(shifts(after)).toEqual([]);
  expect(shifts(from(`${flex.replace("}", ";font-display:optional}")}p{font-family:Flex,Georgia,serif}`))).toEqual([]);
  expect(shifts(from(`${flex}p{font-family:Georgia,Flex,serif}`))).toEqual([]);
});
