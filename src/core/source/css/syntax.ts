/**
 * A style sheet's structure, as CSS Syntax 3 (section 5) reads it, nesting and error recovery included.
 * css-tree supplies the tokens; the structure is read here because every edit and every message rests on
 * recovering from mistakes exactly as browsers do, and on knowing where each part stands.
 * Offsets are UTF-16 units into the text that was read.
 */
import { ident } from "css-tree/utils";
import { closerOf, T, tokensOf, type Tokens } from "./tokens";

export interface Span {
  start: number;
  end: number;
}

export interface Declaration extends Span {
  kind: "declaration";
  /** Lower case, escapes resolved; custom properties as written. */
  property: string;
  name: Span;
  /** Without surrounding white space and comments and without `!important`. */
  value: Span;
  valueText: string;
  important: boolean;
  /** Whether a semicolon follows; it stands at `end`, or behind white space after it. */
  semicolon: number | null;
}

export interface StyleRule extends Span {
  kind: "style";
  prelude: Span;
  preludeText: string;
  /** From after the opening brace to before the closing one. */
  block: Span;
  closed: boolean;
  items: Item[];
}

export interface AtRule extends Span {
  kind: "at";
  /** Lower case, without the @. */
  name: string;
  prelude: Span;
  preludeText: string;
  /** Null when the rule ends in a semicolon. */
  block: Span | null;
  closed: boolean;
  items: Item[];
}

/** Text that no grammar fits and that is skipped. */
export interface Skipped extends Span {
  kind: "skipped";
  reason: "declaration" | "rule" | "brace";
}

/** A comment that holds one declaration and nothing else: a declaration switched off. */
export interface DisabledDeclaration extends Span {
  kind: "disabled";
  declaration: Declaration;
}

export type Rule = StyleRule | AtRule;
export type Item = Rule | Declaration | Skipped | DisabledDeclaration;

/** At deeper nesting than this a block is skipped as a whole, as Chromium does. */
const deepest = 256;

/** At-rules whose block holds declarations (and rules nested in a style rule) rather than only rules. */
const declarationBlocks = new Set([
  "font-face",
  "page",
  "property",
  "counter-style",
  "font-feature-values",
  "font-palette-values",
  "scope",
  "view-transition",
  "position-try",
]);

/** Reads a style sheet. Never throws. */
export function parseSheet(text: string): Item[] {
  return new Reader(text).sheet();
}

/** Reads the contents of a block or of a style attribute. Never throws. */
export function parseBlock(text: string): Item[] {
  return new Reader(text).blockContents(0, true, true);
}

class Reader {
  private readonly tokens: Tokens;
  private at = 0;

  constructor(private readonly text: string) {
    this.tokens = tokensOf(text);
  }

  sheet(): Item[] {
    const items: Item[] = [];
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.WhiteSpace || type === T.Comment || type === T.CDO || type === T.CDC) this.at += 1;
      else if (type === T.AtKeyword) items.push(this.atRule(0, false));
      else items.push(this.styleRule(0, false, false)!);
    }
    return items;
  }

  /** @param top whether this is a whole text, where a closing brace ends nothing */
  blockContents(depth: number, withDeclarations: boolean, top = false): Item[] {
    const items: Item[] = [];
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.RightCurlyBracket && !top) return items;
      if (type === T.RightCurlyBracket) {
        const start = this.start();
        while (this.at < this.tokens.count && this.type() !== T.Semicolon) this.skipComponent();
        items.push({ kind: "skipped", reason: "brace", start, end: this.start() });
      } else if (type === T.Comment) {
        const disabled = withDeclarations ? this.disabled() : null;
        if (disabled) items.push(disabled);
        this.at += 1;
      } else if (type === T.WhiteSpace || type === T.Semicolon) {
        this.at += 1;
      } else if (type === T.AtKeyword) {
        items.push(this.atRule(depth, !top));
      } else {
        const mark = this.at;
        const declaration = withDeclarations ? this.declaration() : null;
        if (declaration) {
          items.push(declaration);
          continue;
        }
        this.at = mark;
        const rule = this.styleRule(depth, !top, withDeclarations);
        if (rule) items.push(rule);
      }
    }
    return items;
  }

  private atRule(depth: number, nested: boolean): AtRule {
    const start = this.start();
    const name = ident.decode(this.text.slice(start + 1, this.start(1))).toLowerCase();
    this.at += 1;
    const preludeStart = this.at;
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.Semicolon || type === T.LeftCurlyBracket || (nested && type === T.RightCurlyBracket)) break;
      this.skipComponent();
    }
    const prelude = this.trimmed(preludeStart, this.at);
    const rule: AtRule = {
      kind: "at",
      name,
      start,
      end: this.start(),
      prelude,
      preludeText: this.slice(prelude),
      block: null,
      closed: true,
      items: [],
    };
    if (this.at >= this.tokens.count) rule.closed = false;
    else if (this.type() === T.Semicolon) this.at += 1;
    else if (this.type() === T.LeftCurlyBracket) this.block(rule, depth, nested || declarationBlocks.has(name));
    rule.end = this.start();
    return rule;
  }

  private styleRule(depth: number, nested: boolean, stopAtSemicolon: boolean): StyleRule | Skipped | null {
    const start = this.start();
    const first = this.at;
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.LeftCurlyBracket) break;
      if (stopAtSemicolon && type === T.Semicolon) break;
      if (nested && type === T.RightCurlyBracket) break;
      this.skipComponent();
    }
    if (this.at >= this.tokens.count || this.type() !== T.LeftCurlyBracket) {
      const span = this.trimmed(first, this.at);
      if (this.at < this.tokens.count && this.type() === T.Semicolon) this.at += 1;
      return { kind: "skipped", reason: stopAtSemicolon ? "declaration" : "rule", start, end: span.end };
    }
    if (this.looksLikeCustomProperty(first)) {
      if (nested) this.skipBadDeclaration();
      else this.skipComponent();
      return { kind: "skipped", reason: "rule", start, end: this.start() };
    }
    const prelude = this.trimmed(first, this.at);
    const rule: StyleRule = {
      kind: "style",
      start,
      end: start,
      prelude,
      preludeText: this.slice(prelude),
      block: prelude,
      closed: true,
      items: [],
    };
    this.block(rule, depth, true);
    rule.end = this.start();
    return rule;
  }

  private block(rule: StyleRule | AtRule, depth: number, withDeclarations: boolean): void {
    if (depth >= deepest) {
      const open = this.start(1);
      this.skipComponent();
      rule.block = { start: open, end: this.start() };
      return;
    }
    this.at += 1;
    const start = this.start();
    rule.items = this.blockContents(depth + 1, withDeclarations);
    rule.block = { start, end: this.start() };
    rule.closed = this.at < this.tokens.count;
    if (rule.closed) this.at += 1;
  }

  /** Null, with `at` anywhere, when there is no declaration here (CSS Syntax 3, 5.5.6). */
  private declaration(): Declaration | null {
    if (this.type() !== T.Ident) return null;
    const name = { start: this.start(), end: this.start(1) };
    this.at += 1;
    this.skipBlank();
    if (this.at >= this.tokens.count || this.type() !== T.Colon) return null;
    this.at += 1;
    this.skipBlank();
    const first = this.at;
    let braces = 0;
    let others = 0;
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.Semicolon || type === T.RightCurlyBracket) break;
      if (type === T.LeftCurlyBracket) braces += 1;
      else if (type !== T.WhiteSpace && type !== T.Comment) others += 1;
      this.skipComponent();
    }
    const written = ident.decode(this.text.slice(name.start, name.end));
    const custom = written.startsWith("--");
    if (!custom && braces > 0 && braces + others > 1) return null;
    const last = this.at;
    const whole = this.trimmed(first, last);
    const valueEnd = this.valueEnd(first, last);
    const value = this.trimmed(first, valueEnd);
    const semicolon = this.at < this.tokens.count && this.type() === T.Semicolon ? this.start() : null;
    if (semicolon !== null) this.at += 1;
    return {
      kind: "declaration",
      property: custom ? written : written.toLowerCase(),
      name,
      value,
      valueText: this.slice(value),
      important: valueEnd !== last,
      start: name.start,
      end: Math.max(whole.end, name.end),
      semicolon,
    };
  }

  /** The token index at which `!important` starts, or `to` when there is none. */
  private valueEnd(from: number, to: number): number {
    const word = this.lastSolid(from, to);
    if (word < from || this.tokens.types[word] !== T.Ident) return to;
    if (
      ident.decode(this.text.slice(this.tokens.starts[word], this.tokens.starts[word + 1])).toLowerCase() !==
      "important"
    )
      return to;
    const bang = this.lastSolid(from, word);
    if (bang < from || this.text[this.tokens.starts[bang]!] !== "!") return to;
    return bang;
  }

  /** The last token in [from, to) that is neither white space nor a comment; from - 1 when there is none. */
  private lastSolid(from: number, to: number): number {
    let at = to - 1;
    while (at >= from && (this.tokens.types[at] === T.WhiteSpace || this.tokens.types[at] === T.Comment)) at -= 1;
    return at;
  }

  private looksLikeCustomProperty(first: number): boolean {
    let at = first;
    const next = () => {
      while (this.tokens.types[at] === T.WhiteSpace || this.tokens.types[at] === T.Comment) at += 1;
      return at++;
    };
    const name = next();
    const colon = next();
    return (
      this.tokens.types[name] === T.Ident &&
      this.text.startsWith("--", this.tokens.starts[name]) &&
      this.tokens.types[colon] === T.Colon
    );
  }

  /** CSS Syntax 3, 5.5.7, for a nested declaration. */
  private skipBadDeclaration(): void {
    while (this.at < this.tokens.count) {
      const type = this.type();
      if (type === T.RightCurlyBracket) return;
      this.skipComponent();
      if (type === T.Semicolon) return;
    }
  }

  private disabled(): DisabledDeclaration | null {
    const start = this.start();
    const end = this.start(1);
    if (!this.text.endsWith("*/", end)) return null;
    const inner = this.text.slice(start + 2, end - 2);
    if (!/^\s*[-_a-z\\][-\w\\]*\s*:/i.test(inner)) return null;
    const items = parseBlock(inner);
    const only = items[0];
    if (items.length !== 1 || only?.kind !== "declaration" || only.valueText === "") return null;
    const shift = start + 2;
    const moved = (span: Span) => ({ start: span.start + shift, end: span.end + shift });
    return {
      kind: "disabled",
      start,
      end,
      declaration: {
        ...only,
        ...moved(only),
        name: moved(only.name),
        value: moved(only.value),
        semicolon: only.semicolon === null ? null : only.semicolon + shift,
      },
    };
  }

  private type(): number {
    return this.tokens.types[this.at]!;
  }

  private start(ahead = 0): number {
    return this.tokens.starts[Math.min(this.at + ahead, this.tokens.count)]!;
  }

  private slice(span: Span): string {
    return this.text.slice(span.start, span.end);
  }

  private skipBlank(): void {
    while (this.at < this.tokens.count && (this.type() === T.WhiteSpace || this.type() === T.Comment)) this.at += 1;
  }

  /** One component value: a token, or a block or function with all that is in it. */
  private skipComponent(): void {
    const closers: number[] = [];
    do {
      const type = this.type();
      const closer = closerOf(type);
      if (closer) closers.push(closer);
      else if (type === closers[closers.length - 1]) closers.pop();
      this.at += 1;
    } while (closers.length > 0 && this.at < this.tokens.count);
  }

  /** The span of the tokens [from, to) without white space and comments at either end. */
  private trimmed(from: number, to: number): Span {
    let first = from;
    while (first < to && (this.tokens.types[first] === T.WhiteSpace || this.tokens.types[first] === T.Comment))
      first += 1;
    const last = this.lastSolid(first, to);
    if (last < first) return { start: this.tokens.starts[to]!, end: this.tokens.starts[to]! };
    return { start: this.tokens.starts[first]!, end: this.tokens.starts[last + 1]! };
  }
}
