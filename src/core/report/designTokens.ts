import { siteTokenSteps, type SiteToken, type SiteTypography } from "../tokens/ofSite";
import type { TokenValue } from "../tokens/types";
import { colorJson } from "../tokens/values";
import type { Report } from "./types";

/** Design Tokens Format Module 2025.10 (W3C Design Tokens Community Group), with its colour module. */
export const designTokens: Report = {
  id: "design-tokens",
  group: "uses",
  label: "Design tokens (JSON)",
  hint: "Colours, sizes, stacks and text styles under names, for design tools and builds",
  file: "site.tokens.json",
  type: "application/design-tokens+json",
  *make({ site, conditions, layouts }) {
    const { tokens, typography } = yield* siteTokenSteps(site, conditions, layouts);
    const groups = new Map<string, Record<string, unknown>>();
    for (const token of tokens) {
      const group = groups.get(token.group) ?? { $type: token.value.type };
      groups.set(token.group, group);
      group[token.name] = tokenJson(token);
    }
    if (typography.length > 0)
      groups.set("typography", {
        $type: "typography",
        ...Object.fromEntries(typography.map((one) => [one.name, typographyJson(one)])),
      });
    return `${JSON.stringify(Object.fromEntries(groups), null, 2)}\n`;
  },
};

const reference = ({ group, name }: { group: string; name: string }) => `{${group}.${name}}`;

function tokenJson({ value, alias, words }: SiteToken) {
  return {
    $value: alias ? reference(alias) : valueJson(value),
    ...(words === null ? {} : { $description: words }),
  };
}

function valueJson(value: TokenValue): unknown {
  switch (value.type) {
    case "color":
      return colorJson(value.color);
    case "dimension":
      return { value: value.number, unit: value.unit };
    case "fontFamily":
      return value.families.length === 1 ? value.families[0] : value.families;
    case "fontWeight":
      return value.weight;
  }
}

/** Ratio that stands for `normal`, which the format cannot say (9.7). */
const usualLeading = 1.2;

function typographyJson({ fontFamily, fontSize, fontWeight, letterSpacing, lineHeight }: SiteTypography) {
  return {
    $value: {
      fontFamily: reference(fontFamily),
      fontSize: reference(fontSize),
      fontWeight: reference(fontWeight),
      letterSpacing: { value: letterSpacing, unit: "px" },
      lineHeight: lineHeight ?? usualLeading,
    },
    ...(lineHeight === null ? { $description: "Its line height is normal: the face decides." } : {}),
  };
}
