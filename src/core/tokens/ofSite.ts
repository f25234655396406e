/** The tokens of a site: its custom properties, and names for what it writes without one. */
import type { Conditions } from "../cascade/conditions";
import { genericFamilies } from "../cascade/properties/font";
import { schemesOf } from "../cascade/schemes";
import { rootOf } from "../cascade/style";
import { styledPage } from "../cascade/styledPages";
import { parseColor } from "../color";
import { paletteOf } from "../palette/palette";
import { freeName, inTaken, proposedNames } from "../palette/properties";
import { referenceSpots } from "../palette/references";
import { declarationsOfSite } from "../source/declarations";
import { groupBy, append } from "../source/groups";
import { pagesOf, type Site } from "../source/site";
import { stackTable } from "../tables/stackTable";
import { rhythmSteps } from "../tables/rhythm";
import { textStyleTable, type StyleRow } from "../tables/styleTable";
import type { Layouts } from "../text/textStyles";
import { stackMembers } from "../type/stack";
import type { TokenValue } from "./types";
import { colorsApart, tokenCss, weightName } from "./values";

/** A token as the site has it. */
export interface SiteToken {
  group: string;
  name: string;
  value: TokenValue;
  /** The token it refers to, as its custom property refers to another. */
  alias: { group: string; name: string } | null;
  /** What it is used for; null where its name says that. */
  words: string | null;
}

/** A text style by the names of its parts. */
export interface SiteTypography {
  name: string;
  fontFamily: SiteToken;
  fontSize: SiteToken;
  fontWeight: SiteToken;
  /** px */
  letterSpacing: number;
  /** Ratio to the size; null for `normal`. */
  lineHeight: number | null;
}

export interface SiteTokens {
  tokens: SiteToken[];
  typography: SiteTypography[];
}

/** Groups in the order of the file. Of a site with two schemes, those of the other one stand in a group of their own. */
const groupOf: Readonly<Record<TokenValue["type"], string>> = {
  color: "color",
  dimension: "dimension",
  fontFamily: "font-family",
  fontWeight: "font-weight",
};

/** In steps. Names are those of custom properties where there are some, without their hyphens. */
export function* siteTokenSteps(site: Site, conditions: Conditions, layouts: Layouts): Generator<void, SiteTokens> {
  const light: Conditions = { ...conditions, scheme: "light" };
  const named = new Named(site);
  const tokens = named.under(light, "");
  if (schemesOf(site, conditions).length === 2) append(tokens, named.inDark(tokens, { ...conditions, scheme: "dark" }));
  yield;
  append(tokens, unnamedColors(site, conditions, layouts, tokens));
  yield;
  // What the browser's own sheet alone sets is no choice of the site's.
  const rows = textStyleTable(site, light, layouts).filter(({ ownType }) => ownType);
  yield;
  const shown = new Set(rows.map(({ stack }) => stack));
  const stacks = stackTable(site, light).flatMap(({ stack }) => (shown.has(stack) ? [stack] : []));
  const steps = yield* rhythmSteps(site, light);
  const own = new Unnamed(tokens, named);
  for (const stack of stacks) own.family(stack);
  for (const { sizePx } of rows) own.dimension("font-size", sizePx);
  for (const { px } of steps) if (px > 0) own.dimension("space", px);
  for (const { weight } of rows) own.weight(weight);
  return { tokens: own.tokens, typography: typographyOf(rows, own) };
}

/** A name of the format: braces and full stops have a meaning in it, and a dollar sign at the start (5.1). */
const plainName = (name: string) => name.replace(/^-+/, "").replace(/[{}.]/g, "-").replace(/^\$+/, "") || "unnamed";

/** Groups of lengths without a name, and the properties that theirs come from. */
const lengthGroups = { "font-size": /^font(?:-size)?$/, space: /^(?:margin|padding)/ };
type LengthGroup = keyof typeof lengthGroups;

/** The custom properties of the root, as tokens. */
class Named {
  private readonly uses: ReadonlyMap<string, readonly { property: string }[]>;
  private readonly aliases: ReadonlyMap<string, string>;
  /** The custom property that a token is. */
  private readonly properties = new Map<SiteToken, string>();

  constructor(private readonly site: Site) {
    this.uses = groupBy(referenceSpots(site), ({ name }) => name);
    this.aliases = aliasesIn(site);
  }

  under(conditions: Conditions, suffix: string): SiteToken[] {
    const texts = new Map<string, string>();
    for (const file of pagesOf(this.site)) {
      const [first] = styledPage(this.site, file, conditions).styles;
      if (!first) continue;
      for (const [name, text] of rootOf(first).shared.custom) if (!texts.has(name)) texts.set(name, text);
    }
    const values = new Map<string, TokenValue>();
    for (const [name, text] of texts) {
      const value = this.valueOf(name, text.trim());
      if (value) values.set(name, value);
    }
    const idOf = (name: string) => ({ group: groupOf[values.get(name)!.type] + suffix, name: plainName(name) });
    return [...values].map(([name, value]): SiteToken => {
      const target = this.aliases.get(name);
      const isAlias = target !== undefined && target !== name && values.get(target)?.type === value.type;
      const token = { ...idOf(name), value, alias: isAlias ? idOf(target) : null, words: null };
      this.properties.set(token, name);
      return token;
    });
  }

  /** Whether a custom property is put where lengths of a group are: one of the same length may be for something else. */
  isFor(token: SiteToken, group: LengthGroup): boolean {
    const name = this.properties.get(token);
    return (
      name !== undefined && [...this.usedFor(name, new Set())].some((property) => lengthGroups[group].test(property))
    );
  }

  /** Those that are others in the dark. What follows from an alias is not told twice. */
  inDark(light: readonly SiteToken[], conditions: Conditions): SiteToken[] {
    const before = new Map(light.map((token) => [`${token.group} ${token.name}`, token]));
    return this.under(conditions, "")
      .filter(({ group, name, value, alias }) => {
        const own = before.get(`${group} ${name}`);
        return alias === null && own !== undefined && tokenCss(own.value) !== tokenCss(value);
      })
      .map((token) => ({ ...token, group: `${token.group}-dark` }));
  }

  private valueOf(name: string, text: string): TokenValue | null {
    const used = this.usedFor(name, new Set());
    if (used.has("font-family")) {
      const members = stackMembers(text);
      if (members) return { type: "fontFamily", families: members.map((member) => member.name) };
    }
    if (used.has("font-weight") && /^\d+$/.test(text)) return { type: "fontWeight", weight: Number(text) };
    const [, number, unit] = /^(-?[\d.]+)(px|rem)$/i.exec(text) ?? [];
    if (number !== undefined)
      return { type: "dimension", number: Number(number), unit: unit!.toLowerCase() as "px" | "rem" };
    const color = parseColor(text);
    return color && { type: "color", color };
  }

  /** Properties whose values refer to a custom property, by way of others too. */
  private usedFor(name: string, seen: Set<string>): ReadonlySet<string> {
    for (const { property } of this.uses.get(name) ?? []) {
      if (seen.has(property)) continue;
      seen.add(property);
      if (property.startsWith("--")) this.usedFor(property, seen);
    }
    return seen;
  }
}

/** Custom properties that are another one and nothing else, wherever they are set. */
function aliasesIn(site: Site): ReadonlyMap<string, string> {
  const targets = new Map<string, Set<string>>();
  for (const { declaration } of declarationsOfSite(site)) {
    const { property, valueText } = declaration;
    if (!property.startsWith("--")) continue;
    const target = /^\s*var\(\s*(--[^\s,)]+)\s*\)\s*$/.exec(valueText)?.[1] ?? "";
    targets.set(property, (targets.get(property) ?? new Set()).add(target));
  }
  return new Map(
    [...targets].flatMap(([name, all]): [string, string][] => {
      const [target] = all;
      return all.size === 1 && target ? [[name, target]] : [];
    }),
  );
}

/** Colours that no custom property of the root holds, by lightness and hue, those most used first. */
function unnamedColors(site: Site, conditions: Conditions, layouts: Layouts, named: readonly SiteToken[]): SiteToken[] {
  const colors = named.flatMap(({ value }) => (value.type === "color" ? [value.color] : []));
  const taken = new Set(named.map(({ name }) => `--${name}`));
  return paletteOf(site, conditions, layouts).values.flatMap(({ value, css, roles, words, uses }): SiteToken[] => {
    const color = css === null ? null : parseColor(value);
    if (!color || inTaken(site, uses).length === 0 || colors.some((other) => colorsApart(color, other) === 0))
      return [];
    colors.push(color);
    const [name] = proposedNames(value, roles, taken);
    taken.add(name!);
    return [{ group: "color", name: plainName(name!), value: { type: "color", color }, alias: null, words }];
  });
}

/** Tokens with those that are made for what has no name. */
class Unnamed {
  readonly tokens: SiteToken[];
  private readonly byValue = new Map<string, SiteToken>();

  constructor(
    private readonly tokensOfNames: readonly SiteToken[],
    private readonly named: Named,
  ) {
    this.tokens = [...tokensOfNames];
    for (const token of tokensOfNames) if (!token.group.endsWith("-dark")) this.remember(token);
  }

  family(stack: string): SiteToken {
    const families = (stackMembers(stack) ?? []).map(({ name }) => name);
    const first = families.find((name) => !genericFamilies.has(name.toLowerCase())) ?? families[0] ?? "unnamed";
    const name = first.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "-");
    return this.of("font-family", name, { type: "fontFamily", families });
  }

  /** @param px named by what they are */
  dimension(group: LengthGroup, px: number): SiteToken {
    const value = { type: "dimension", number: Number(px.toFixed(2)), unit: "px" } as const;
    const known = this.tokensOfNames.find(
      (token) =>
        token.group === groupOf.dimension && keyOf(token.value) === keyOf(value) && this.named.isFor(token, group),
    );
    return known ?? this.of(group, `px-${String(value.number).replace(".", "-")}`, value);
  }

  weight(weight: number): SiteToken {
    return this.of("font-weight", weightName(weight) ?? `weight-${weight}`, { type: "fontWeight", weight });
  }

  private of(group: string, wanted: string, value: TokenValue): SiteToken {
    const known = this.byValue.get(`${group} ${keyOf(value)}`);
    if (known) return known;
    const taken = new Set(this.tokens.flatMap((token) => (token.group === group ? [token.name] : [])));
    const token: SiteToken = { group, name: freeName(plainName(wanted), taken), value, alias: null, words: null };
    this.tokens.push(token);
    this.remember(token);
    return token;
  }

  private remember(token: SiteToken): void {
    const key = `${token.group} ${keyOf(token.value)}`;
    if (!this.byValue.has(key)) this.byValue.set(key, token);
  }
}

/** Equal for values that are equal; dimensions in px, at 16 px for one rem. */
const keyOf = (value: TokenValue): string => {
  if (value.type !== "dimension") return tokenCss(value).toLowerCase();
  return String(Number((value.number * (value.unit === "rem" ? 16 : 1)).toFixed(2)));
};

/** Text styles, those with most places of a role first; further ones of the role that are set otherwise are numbered. */
function typographyOf(rows: readonly StyleRow[], own: Unnamed): SiteTypography[] {
  const taken = new Set<string>();
  const seen = new Set<string>();
  return [...rows]
    .sort((a, b) => b.places.length - a.places.length)
    .flatMap(({ role, stack, sizePx, weight, leading, specimen }): SiteTypography[] => {
      const spacing = Number.parseFloat(specimen.find(([property]) => property === "letter-spacing")?.[1] ?? "");
      const parts = {
        fontFamily: own.family(stack),
        fontSize: own.dimension("font-size", sizePx),
        fontWeight: own.weight(weight),
        letterSpacing: Number.isFinite(spacing) ? spacing : 0,
        lineHeight: leading === null ? null : Number(leading.toFixed(3)),
      };
      // Those that differ in colour alone are one.
      const key = JSON.stringify([role, parts]);
      if (seen.has(key)) return [];
      seen.add(key);
      const name = freeName(role.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "-"), taken);
      taken.add(name);
      return [{ name, ...parts }];
    });
}
