import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { defaultConditions } from "../conditions";
import { computedValue } from "../style";
import { stylePage } from "../styles";
import { openSite, type SiteFile } from "../../source/site";
import { FontError, readFontFile } from "./fontFile";
import { knownFace } from "./faces";
import { fontKeyOf } from "./fontKey";
import { measureAt, normalLine } from "./metrics";

const bitter = new Uint8Array(
  readFileSync(new URL("../../../../samples/ossel-ferries/fonts/bitter-bold.woff2", import.meta.url)),
);

function value(css: string, property: string, conditions = {}, more: SiteFile[] = []): string {
  const site = openSite([{ path: "index.html", text: `<style>${css}</style><p id=p>words</p>` }, ...more]);
  const file = site.files.get("index.html")!;
  if (file.kind === "other") throw new Error("no page");
  const page = stylePage(site, file, { ...defaultConditions, ...conditions });
  return computedValue(
    page.styles.find(({ element }) => element.id === "p")!,
    property,
  );
}

describe("font files", () => {
  it("reads names, weight and metrics", () => {
    const font = readFontFile(bitter);
    expect(font).toMatchObject({ format: "woff2", weight: [700, 700], italic: false, axes: [] });
    expect(font.metrics).toMatchObject({ unitsPerEm: 1000, ascent: 935, descent: -265, xHeight: 534, capHeight: 704 });
    expect(font.has(0x41)).toBe(true);
    expect(font.has(0x4e2d)).toBe(false);
  });

  it.each([
    ["nothing", new Uint8Array(), "empty"],
    ["a picture", new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]), "not a font file"],
    ["a cut-off font", bitter.slice(0, 200), "broken"],
  ])("refuses %s and says why", (_, bytes, reason) => {
    expect(() => readFontFile(bytes)).toThrow(FontError);
    expect(() => readFontFile(bytes)).toThrow(reason);
  });

  it("never throws anything else on damaged files", () => {
    for (let at = 0; at < bitter.length; at += Math.ceil(bitter.length / 40)) {
      const damaged = bitter.slice();
      damaged[at] = damaged[at]! ^ 0xff;
      try {
        readFontFile(damaged);
      } catch (error) {
        expect(error).toBeInstanceOf(FontError);
      }
    }
  });
});

describe("font-relative units", () => {
  it("follow the file of the site's own font", () => {
    const files: SiteFile[] = [{ path: "b.woff2", bytes: bitter }];
    const face = "@font-face{font-family:Bitter;src:url(b.woff2);font-weight:700}";
    expect(value(`${face} p{font:700 100px Bitter;margin-top:1ex;padding-top:1cap}`, "margin-top", {}, files)).toBe(
      "53.4px",
    );
    expect(value(`${face} p{font:700 100px Bitter;margin-top:1cap}`, "margin-top", {}, files)).toBe("70.4px");
  });

  it("follow the metrics of a known face, and pass over those the machine lacks", () => {
    expect(value("p{font:100px Georgia;margin-top:1ex}", "margin-top")).toBe(
      `${Number(((986 / 2048) * 100).toFixed(4))}px`,
    );
    expect(value("p{font:100px Georgia,Arial;margin-top:1ch}", "margin-top", { installed: ["Arial"] })).toBe(
      `${Number(((1139 / 2048) * 100).toFixed(4))}px`,
    );
  });

  it("prefer what was measured on the page", () => {
    const fonts = { [fontKeyOf("Georgia", 20, 400, false, "100%")]: { ex: 11, ch: 12, cap: 13, ic: 14, line: 15 } };
    expect(value("p{font:20px Georgia;margin-top:1ex}", "margin-top", { fonts })).toBe("11px");
    expect(value("p{font:20px Georgia;margin-top:1lh}", "margin-top", { fonts })).toBe("15px");
  });

  it("give a normal line the rounded ascent and descent", () => {
    const face = knownFace("dejavu sans")!;
    expect(normalLine(face, 16)).toBe(19);
    expect(normalLine(face, 17.3)).toBe(20);
    expect(measureAt(face, 16).ch).toBeCloseTo(10.18, 2);
  });

  it("take container units from measured containers, by axis", () => {
    const css = "body{container-type:inline-size} p{margin-left:10cqw;margin-top:10cqh}";
    const containers = { "index.html": { 3: { width: 200, height: 50 } } };
    expect(value(css, "margin-left", { containers })).toBe("20px");
    expect(value(css, "margin-top", { containers, height: 700 })).toBe("70px");
  });
});

describe("registered custom properties", () => {
  it.each([
    ["<length>", "2em", "margin-left:var(--x);font-size:10px", "margin-left", "40px"],
    ["<color>", "hsl(0 100% 50%)", "color:var(--x)", "color", "rgb(255, 0, 0)"],
    ["<integer>", "calc(7 / 2)", "letter-spacing:calc(var(--x) * 1px)", "letter-spacing", "4px"],
    ["<length>", "nope", "margin-left:var(--x)", "margin-left", "1px"],
    ["a | b", "b", "margin-left:calc(1px)", "margin-left", "1px"],
  ])("%s: %s is computed where it is declared", (syntax, declared, use, property, expected) => {
    const initial = { "<color>": "blue", "<integer>": "1", "a | b": "a" }[syntax] ?? "1px";
    const css = `@property --x{syntax:'${syntax}';inherits:true;initial-value:${initial}} body{font-size:20px;--x:${declared}} p{${use}}`;
    expect(value(css, property)).toBe(expected);
  });
});
