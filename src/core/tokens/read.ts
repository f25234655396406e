/** Reads a tokens file (Design Tokens Format Module 2025.10): groups, types that groups give, aliases. */
import { append } from "../source/groups";
import { table } from "../source/table";
import { colorFrom, weightOf } from "./values";
import { tokenName, type Token, type TokenValue } from "./types";

/** Why a file is no tokens file, in plain words. */
export class TokensError extends Error {}

export interface ReadTokens {
  tokens: Token[];
  /** What could not be read, by the token's name. */
  problems: { name: string; problem: string }[];
  /** Tokens of kinds that type and colour are not made of: shadows, durations and the like. */
  others: number;
}

const most = { bytes: 5_000_000, depth: 60, tokens: 20_000 };

type Json = Record<string, unknown>;

interface Raw {
  path: readonly string[];
  type: string | null;
  value: unknown;
}

/** @throws TokensError when it is no JSON, no object, too large, or has no token */
export function readTokens(text: string): ReadTokens {
  if (text.length > most.bytes) throw new TokensError("The file is larger than 5 MB, which no tokens file is.");
  const raws = new Map<string, Raw>();
  gather(parsed(text), [], null, raws);
  if (raws.size === 0) throw new TokensError("No design token is in this file: none of its objects has a `$value`.");
  const result: ReadTokens = { tokens: [], problems: [], others: 0 };
  for (const raw of raws.values()) addTo(result, raw, raws);
  return result;
}

function parsed(text: string): Json {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new TokensError(`This is not JSON: ${(error as Error).message}.`);
  }
  if (!isObject(json)) throw new TokensError("A tokens file holds one object, with groups and tokens in it.");
  return json;
}

const isObject = (json: unknown): json is Json => typeof json === "object" && json !== null && !Array.isArray(json);

/** Tokens by name, with the type that they or a group around them give (6.2, 6.3). */
function gather(group: Json, path: readonly string[], type: string | null, into: Map<string, Raw>): void {
  if (path.length > most.depth) throw new TokensError(`Groups are nested more than ${most.depth} deep.`);
  const own = typeof group.$type === "string" ? group.$type : type;
  if ("$value" in group) {
    if (into.size >= most.tokens) throw new TokensError(`There are more than ${most.tokens} tokens in this file.`);
    into.set(tokenName({ path }), { path, type: own, value: group.$value });
    return;
  }
  for (const [name, child] of Object.entries(group)) {
    // A group's own token (6.2.1).
    if (name === "$root" && isObject(child)) gather(child, [...path, name], own, into);
    else if (!name.startsWith("$") && isObject(child)) gather(child, [...path, name], own, into);
  }
}

function addTo(result: ReadTokens, raw: Raw, raws: ReadonlyMap<string, Raw>): void {
  const name = tokenName(raw);
  try {
    const { type, value } = resolved(raw, raws, []);
    if (type === "typography") {
      if (!isObject(value)) throw new TokensError("its `$value` is no object");
      append(result.tokens, partsOf(raw, value, raws));
      return;
    }
    const read = type === null ? null : readers[type];
    if (type === null) throw new TokensError("neither it nor a group around it has a `$type`");
    if (!read) result.others += 1;
    else result.tokens.push({ path: raw.path, value: read(value) });
  } catch (error) {
    if (!(error instanceof TokensError)) throw error;
    result.problems.push({ name, problem: error.message });
  }
}

/** What an alias refers to (7.1): names in braces, or a JSON pointer. */
function referredTo(value: unknown): string | null {
  if (typeof value === "string") return /^\{([^{}]+)\}$/.exec(value.trim())?.[1] ?? null;
  if (!isObject(value) || typeof value.$ref !== "string") return null;
  const pointer = /^#\/(.+?)(?:\/\$value)?$/.exec(value.$ref)?.[1];
  return (
    pointer
      ?.split("/")
      .map((part) => part.replaceAll("~1", "/").replaceAll("~0", "~"))
      .join(".") ?? null
  );
}

function resolved(
  raw: Pick<Raw, "type" | "value">,
  raws: ReadonlyMap<string, Raw>,
  seen: readonly string[],
): Pick<Raw, "type" | "value"> {
  const name = referredTo(raw.value);
  if (name === null) return raw;
  if (seen.includes(name)) throw new TokensError(`it refers to itself, by way of \`${name}\``);
  const target = raws.get(name) ?? raws.get(`${name}.$root`);
  if (!target) throw new TokensError(`it refers to \`${name}\`, which is not there`);
  const { type, value } = resolved(target, raws, [...seen, name]);
  return { type: type ?? raw.type, value };
}

/** The parts of a composite of type that are tokens of their own, where they are no aliases of some. */
function partsOf({ path }: Raw, value: Json, raws: ReadonlyMap<string, Raw>): Token[] {
  const parts = { fontFamily: "fontFamily", fontSize: "dimension", fontWeight: "fontWeight" } as const;
  return Object.entries(parts).flatMap(([part, type]): Token[] => {
    const own = value[part];
    if (own === undefined) return [];
    const given = resolved({ type, value: own }, raws, []);
    if (referredTo(own) !== null) return [];
    return [{ path: [...path, part], value: readers[type]!(given.value) }];
  });
}

const readers: Readonly<Record<string, (value: unknown) => TokenValue>> = table({
  color: (value) => {
    const color = colorFrom(value);
    if (!color) throw new TokensError("its `$value` is no colour: it needs `colorSpace` and three `components`");
    return { type: "color", color };
  },
  dimension: (value) => {
    const [number, unit] = isObject(value)
      ? [value.value, value.unit]
      : [Number.parseFloat(String(value)), /^-?[\d.]+(px|rem)$/.exec(String(value))?.[1]];
    if (typeof number !== "number" || !Number.isFinite(number) || (unit !== "px" && unit !== "rem"))
      throw new TokensError("its `$value` is no dimension: it needs a `value` and the `unit` px or rem");
    return { type: "dimension", number, unit };
  },
  fontFamily: (value) => {
    const families = Array.isArray(value) ? (value as unknown[]) : [value];
    if (families.length === 0 || !families.every((one) => typeof one === "string" && one.trim() !== ""))
      throw new TokensError("its `$value` is no font family: it is a name, or a list of names");
    return { type: "fontFamily", families: families as string[] };
  },
  fontWeight: (value) => {
    const weight = typeof value === "string" ? weightOf(value) : value;
    if (typeof weight !== "number" || !(weight >= 1 && weight <= 1000))
      throw new TokensError("its `$value` is no weight: it is a number from 1 to 1000, or one of the names");
    return { type: "fontWeight", weight };
  },
});
