import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { finished } from "../source/steps";
import { openSite, type Site } from "../source/site";
import { pageWith, sampleFiles, site } from "../testing/site";
import { readTokens } from "../tokens/read";
import { colorJson } from "../tokens/values";
import { designTokens } from "./designTokens";

type Groups = Record<string, Record<string, { $value?: unknown; $description?: string }>>;

const textOf = (from: Site) =>
  finished(designTokens.make({ name: "Ossel", left: {}, site: from, conditions: defaultConditions, layouts: {} }));
const make = (from: Site) => JSON.parse(textOf(from)) as Groups;

const themed = pageWith(
  `:root { --sea: #17445c; --link: var(--sea); --gap: 20px; --sans: Arial, sans-serif; --body: var(--sans); --strong: 650 }
   body { font-family: var(--body); color: #333; background: #fff; padding: var(--gap) }
   a { color: var(--link) } h1 { color: var(--sea); font-weight: var(--strong); letter-spacing: 1px; line-height: 1.1 }
   b { color: color(display-p3 0 1 0/50%) }
   @media (prefers-color-scheme: dark) { :root { --sea: #9cc4d6 } body { color: #ddd; background: #111 } }`,
  "<h1>x</h1><p>y <b>z</b> <a href=x>l</a></p>",
);

describe("design tokens of a site", () => {
  test("colours: a space, components, hex where there is one; aliases, and the other scheme", () => {
    const { color, "color-dark": dark } = make(themed);
    expect(color!.$type).toBe("color");
    expect(color!.sea!.$value).toEqual({
      colorSpace: "srgb",
      components: [0.090196, 0.266667, 0.360784],
      alpha: 1,
      hex: "#17445c",
    });
    expect(color!.link!.$value).toBe("{color.sea}");
    const wide = Object.values(color!).find(
      ({ $value }) => ($value as { colorSpace?: string } | undefined)?.colorSpace === "display-p3",
    );
    expect(wide).toMatchObject({ $value: { components: [0, 1, 0], alpha: 0.5 }, $description: "ink of b" });
    expect(wide!.$value).not.toHaveProperty("hex");
    // What the link is in the dark follows from what it refers to.
    expect(dark).toEqual({ $type: "color", sea: { $value: expect.objectContaining({ hex: "#9cc4d6" }) as unknown } });
  });

  test("dimensions, families, weights, and text styles made of them", () => {
    const tokens = make(themed);
    expect(tokens.dimension).toEqual({ $type: "dimension", gap: { $value: { value: 20, unit: "px" } } });
    expect(tokens["font-family"]).toEqual({
      $type: "fontFamily",
      sans: { $value: ["Arial", "sans-serif"] },
      body: { $value: "{font-family.sans}" },
    });
    expect(tokens["font-weight"]!.strong).toEqual({ $value: 650 });
    expect(tokens.typography!["main-heading"]).toEqual({
      $value: {
        fontFamily: "{font-family.sans}",
        fontSize: "{font-size.px-32}",
        fontWeight: "{font-weight.strong}",
        letterSpacing: { value: 1, unit: "px" },
        lineHeight: 1.1,
      },
    });
    expect(tokens.typography!.paragraph!.$description).toBe("Its line height is normal: the face decides.");
  });

  test.each([
    ["of ours", () => themed],
    ["of the sample", () => openSite(sampleFiles())],
  ])("those %s are read again as they were written", (_, from) => {
    const groups = make(from());
    const { tokens, problems, others } = readTokens(textOf(from()));
    expect([problems, others]).toEqual([[], 0]);
    const count = Object.entries(groups)
      .filter(([name]) => name !== "typography")
      .reduce((sum, [, group]) => sum + Object.keys(group).length - 1, 0);
    expect(tokens).toHaveLength(count);
    for (const { path, value } of tokens) {
      const written = groups[path[0]!]![path[1]!]!.$value;
      if (typeof written === "string" && written.startsWith("{")) continue;
      if (value.type === "color") expect(colorJson(value.color)).toEqual(written);
    }
    for (const { $value } of Object.values(groups.typography!).filter((one) => typeof one === "object"))
      for (const part of Object.values($value as Record<string, unknown>)) {
        const [, group, name] = /^\{([^.]+)\.(.+)\}$/.exec(String(part)) ?? [];
        if (group !== undefined) expect(groups[group]).toHaveProperty([name!]);
      }
  });

  test("a site of nothing has none", () => {
    expect(make(site({}))).toEqual({});
  });
});
