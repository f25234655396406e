/** Styles shared by elements of all pages whose rules, faces and schemes are the same. */
import { Numbers, PairMap } from "../source/memo";
import type { Block } from "./blocks";
import { isEqual, type SharedStyle } from "./style";
import type { FontFace } from "./fonts/pageFonts";
import type { FontFile } from "./fonts/fontFile";
import type { RuleSet } from "./ruleSet";

/** Ways in which fonts measure that styles are kept for. */
const mostMeasures = 4;

export class StyleBank {
  /** By what they come from. */
  readonly styles = new Map<string, SharedStyle>();
  private readonly measured = new Map<string, Map<string, SharedStyle>>();
  /** By the style of the parent now and their own before: those that nothing else is different for. */
  readonly under = new PairMap<SharedStyle, SharedStyle, SharedStyle>();
  /** Whether what is inside comes out the same in the first as in the second. */
  readonly alike = new PairMap<SharedStyle, SharedStyle, boolean>();
  private readonly blocks = new Map<string, readonly Block[]>();
  private readonly blockNumbers = new WeakMap<readonly Block[], number>();
  readonly numbers = new Numbers<SharedStyle>();
  private readonly texts = new Map<string, number>();
  private readonly lastValues: unknown[] = [];

  /** Those that go by how fonts measure, by what else they come from. @param fonts equal for fonts that measure alike */
  measuredWith(fonts: string): Map<string, SharedStyle> {
    let styles = this.measured.get(fonts);
    if (!styles) {
      this.measured.set(fonts, (styles = new Map()));
      if (this.measured.size > mostMeasures) this.measured.delete(this.measured.keys().next().value!);
    }
    return styles;
  }

  /** The same list for blocks of the same rules, by the same selectors, and of the same declarations of elements. */
  blocksLike(blocks: readonly Block[]): readonly Block[] {
    const key = blocks.map((block) => this.identify(block)).join();
    let like = this.blocks.get(key);
    if (!like) {
      this.blocks.set(key, (like = blocks));
      this.blockNumbers.set(like, this.blocks.size);
    }
    return like;
  }

  /** The very value that a longhand came to last, where it is equal: most lists and lengths are what nobody set. */
  valueLike(longhand: number, value: unknown): unknown {
    if (typeof value !== "object" || value === null) return value;
    const last = this.lastValues[longhand];
    if (last !== undefined && isEqual(last, value)) return last;
    return (this.lastValues[longhand] = value);
  }

  /** Of a list that was made one with those like it. */
  numberOfBlocks(blocks: readonly Block[]): number {
    return this.blockNumbers.get(blocks) ?? this.blockNumbers.get(this.blocksLike(blocks))!;
  }

  /** A block as a short text: its rule and selector, or the text of its declarations. */
  private identify({ match, normal, important, attached }: Block): string {
    if (match) return `${match.rule.id}.${match.rule.entry.selectors.indexOf(match.selector)}.${match.proximity}`;
    const text = [...normal, ...important]
      .map(({ declaration }) => `${declaration.property}:${declaration.valueText}!${declaration.important}`)
      .join(";");
    return `${attached ? "s" : "h"}${this.nameOf(text)}`;
  }

  /** A number for the text of declarations. */
  private nameOf(text: string): number {
    let number = this.texts.get(text);
    if (number === undefined) this.texts.set(text, (number = this.texts.size));
    return number;
  }
}

const fileNumbers = new Numbers<FontFile>();

/** Equal for faces that measure alike. */
export function facesKey(faces: readonly FontFace[]): string {
  return JSON.stringify(
    faces.map(({ family, weight, italic, file }) => [family, weight, italic, file && fileNumbers.of(file)]),
  );
}

/** @param scheme what the page says of the schemes it is made for, outside of its sheets */
export function bankOf({ banks }: RuleSet, faces: readonly FontFace[], scheme: string | null): StyleBank {
  const key = JSON.stringify([scheme, facesKey(faces)]);
  let bank = banks.get(key);
  if (!bank) banks.set(key, (bank = new StyleBank()));
  return bank;
}
