import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { openSite } from "../source/site";
import { colorSpots } from "../palette/values";
import { pageWith, sampleFiles, site } from "../testing/site";
import { reports } from ".";
import { csv } from "./types";

const make = (
  id: string,
  from = pageWith(
    ":root{--sea:#17445c}body{color:#333}h1{color:#8a9aa6;background:var(--sea)}b{color:color(display-p3 0 1 0/50%)}",
    "<h1>x</h1><p>y <b>z</b></p>",
  ),
) => reports.find((report) => report.id === id)!.make({ site: from, conditions: defaultConditions, layouts: {} });

describe("reports", () => {
  test("design tokens: a type, a space, components, hex where there is one", () => {
    const { color } = JSON.parse(make("color-tokens"));
    expect(color.$type).toBe("color");
    expect(color.sea.$value).toEqual({
      colorSpace: "srgb",
      components: [0.090196, 0.266667, 0.360784],
      alpha: 1,
      hex: "#17445c",
    });
    const wide = Object.values<{ $value?: { colorSpace: string } }>(color).find(
      (token) => token.$value?.colorSpace === "display-p3",
    );
    expect(wide).toMatchObject({ $value: { components: [0, 1, 0], alpha: 0.5 } });
    expect(wide!.$value).not.toHaveProperty("hex");
  });

  test("custom properties can be read again, with the names the site has", () => {
    const css = make("color-properties");
    expect(css).toContain("--sea: #17445c; /* ");
    expect(
      colorSpots(site({ "a.css": css }))
        .map(({ value }) => value)
        .sort(),
    ).toEqual(["#17445c", "#333", "#8a9aa6", "color(display-p3 0 1 0/50%)"]);
  });

  test("contrast, what fails first", () => {
    const rows = make("contrast-table").split("\r\n");
    expect(rows[0]).toBe("ink,ground,ratio,needs,passes,certain,schemes,places,pages");
    expect(rows[1]!.split(",").slice(-5)).toEqual(["no", "yes", "", "1", "index.html"]);
  });

  test.each(reports.map(({ id }) => id))("%s is made of the sample and of nothing at all", (id) => {
    expect(make(id, openSite(sampleFiles())).length).toBeGreaterThan(100);
    expect(make(id, site({}))).toBeTypeOf("string");
  });

  test("cells of a table are quoted, and no formula is left alive", () => {
    expect(
      csv(
        ["a", "b"],
        [
          ['say "x", y', "=1+1"],
          [-2, "-x"],
        ],
      ),
    ).toBe('a,b\r\n"say ""x"", y",\'=1+1\r\n-2,\'-x\r\n');
  });
});
