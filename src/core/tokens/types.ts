/** Design tokens: values under names (Design Tokens Format Module 2025.10, W3C Design Tokens Community Group). */
import type { Color } from "../color/types";

/** A value of the kinds that type and colour are made of (chapter 8). */
export type TokenValue =
  | { type: "color"; color: Color }
  | { type: "dimension"; number: number; unit: "px" | "rem" }
  | { type: "fontFamily"; families: readonly string[] }
  | { type: "fontWeight"; weight: number };

export type TokenKind = TokenValue["type"];

/** A value with the groups it stands in and its name, outermost first. */
export interface Token {
  path: readonly string[];
  value: TokenValue;
}

/** As the format refers to it, without braces. */
export const tokenName = ({ path }: Pick<Token, "path">): string => path.join(".");

/** The custom property that holds a token. */
export const propertyOf = (token: string): string =>
  `--${token.replace(/\.\$root$/, "").replace(/[^-\w\u0080-\uffff]+/g, "-")}`;
