/** Styles shared by elements of all pages whose rules, faces and schemes are the same. */
import type { SharedStyle } from "./style";
import type { FontFace } from "../type/pageFonts";
import type { FontFile } from "../type/fontFile";
import type { RuleSet } from "./ruleSet";

export class StyleBank {
  /** By what they come from. */
  readonly styles = new Map<string, SharedStyle>();
  private readonly numbers = new WeakMap<SharedStyle, number>();
  private last = 0;
  private readonly texts = new Map<string, number>();

  numberOf(style: SharedStyle): number {
    let number = this.numbers.get(style);
    if (number === undefined) this.numbers.set(style, (number = this.last += 1));
    return number;
  }

  /** A short text for the text of declarations. */
  nameOf(text: string): number {
    let number = this.texts.get(text);
    if (number === undefined) this.texts.set(text, (number = this.texts.size));
    return number;
  }
}

const fileNumbers = new WeakMap<FontFile, number>();
let lastFile = 0;

function numberOf(file: FontFile | null): number {
  if (!file) return 0;
  let number = fileNumbers.get(file);
  if (number === undefined) fileNumbers.set(file, (number = lastFile += 1));
  return number;
}

/** Equal for faces that measure alike. */
export function facesKey(faces: readonly FontFace[]): string {
  return JSON.stringify(faces.map(({ family, weight, italic, file }) => [family, weight, italic, numberOf(file)]));
}

/** @param scheme what the page says of the schemes it is made for, outside of its sheets */
export function bankOf({ banks }: RuleSet, faces: readonly FontFace[], scheme: string | null): StyleBank {
  const key = JSON.stringify([scheme, facesKey(faces)]);
  let bank = banks.get(key);
  if (!bank) banks.set(key, (bank = new StyleBank()));
  return bank;
}
