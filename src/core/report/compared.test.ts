import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { finished } from "../source/steps";
import { openSite, type Site } from "../source/site";
import { sampleFiles, site } from "../testing/site";
import { comparedSteps, type Side } from "./compared";

const whole = (from: Site): Side => ({ site: from, page: null });
const compared = (before: Side, after: Side) => finished(comparedSteps(before, after, defaultConditions));

const page = (body: string) => `<!doctype html><title>x</title><link rel=stylesheet href=a.css>${body}`;
const before = site({
  "a.css": "h1 { color: #333; font-size: 30px } p { color: #bbb } i { color: #004 }",
  "index.html": page("<h1>Fares</h1><p>Return</p><i>Adult</i>"),
  "old.html": page("<h1>Old</h1>"),
});

describe("two versions of a site", () => {
  const after = site({
    "a.css": "h1 { color: #333; font-size: 32px } p { color: #444 } b { colour: red }",
    "index.html": page("<h1>Fares</h1><p>Return</p><b>Adult</b>"),
    "new.html": page("<h1>New</h1>"),
  });
  const { files, styles, colors, findings } = compared(whole(before), whole(after));

  test("files that are others, new and gone", () => {
    expect(files).toEqual([
      { path: "a.css", kind: "changed" },
      { path: "index.html", kind: "changed" },
      { path: "new.html", kind: "new" },
      { path: "old.html", kind: "gone" },
    ]);
  });

  test("text styles: those of the same text together", () => {
    expect(
      styles.changed.map(({ before: was, after: is }) => [was.text, was.sizePx, was.ink, is.sizePx, is.ink]),
    ).toEqual([
      ["Fares", 30, "rgb(51, 51, 51)", 32, "rgb(51, 51, 51)"],
      ["Return", 16, "rgb(187, 187, 187)", 16, "rgb(68, 68, 68)"],
    ]);
    expect([styles.gone, styles.come].map((rows) => rows.map(({ role }) => role))).toEqual([
      ["Words set apart"],
      ["Bold words"],
    ]);
  });

  test("colours and findings, gone and come", () => {
    expect(colors.gone.map(({ value }) => value)).toEqual(["#bbb", "#004"]);
    expect(colors.come.map(({ value }) => value)).toEqual(["#444", "red"]);
    expect(colors.kept).toBe(1);
    expect(findings.gone.map(({ check }) => check)).toContain("contrast");
    expect(findings.come.map(({ message }) => message).join()).toContain("`colour` is not a property");
  });

  test("of what is the same, nothing is told", () => {
    const same = compared(
      whole(before),
      whole(openSite([...before.files.values()] as { path: string; text: string }[])),
    );
    expect(same.files).toEqual([]);
    expect([same.styles.changed, same.styles.gone, same.styles.come]).toEqual([[], [], []]);
    expect([same.colors.gone, same.colors.come, same.findings.gone, same.findings.come].flat()).toEqual([]);
  });
});

describe("two pages of a site", () => {
  test("the styles that only one of them has", () => {
    const sample = openSite(sampleFiles());
    const { files, styles } = compared({ site: sample, page: "index.html" }, { site: sample, page: "fares.html" });
    expect(files).toEqual([]);
    expect(styles.kept).toBeGreaterThan(2);
    expect(styles.gone.length).toBeGreaterThan(0);
    expect(styles.come.length).toBeGreaterThan(0);
    for (const row of styles.gone) expect(row.places.every((place) => place.page === "index.html")).toBe(true);
    for (const row of styles.come) expect(row.places.every((place) => place.page === "fares.html")).toBe(true);
  });
});
