import { tokenize, tokenTypes } from "css-tree/tokenizer";

/** Token types of CSS Syntax 3, section 4, as css-tree's tokenizer numbers them. */
export const T = tokenTypes;

/** The tokens of a text: parallel arrays, offsets in UTF-16 units. Token i ends where token i + 1 starts. */
export interface Tokens {
  types: Uint8Array;
  starts: Uint32Array;
  count: number;
}

/** The tokens of a text (CSS Syntax 3, 4). Never throws. */
export function tokensOf(text: string): Tokens {
  let types = new Uint8Array(Math.max(16, text.length >> 1));
  let starts = new Uint32Array(types.length + 1);
  let count = 0;
  tokenize(text, (type, start) => {
    if (count === types.length) {
      const more = new Uint8Array(types.length * 2);
      more.set(types);
      types = more;
      const moreStarts = new Uint32Array(types.length + 1);
      moreStarts.set(starts);
      starts = moreStarts;
    }
    types[count] = type;
    starts[count] = start;
    count += 1;
  });
  starts[count] = text.length;
  return { types, starts, count };
}

/** The token type that closes what this one opens; 0 when it opens nothing. */
export function closerOf(type: number): number {
  switch (type) {
    case T.LeftCurlyBracket:
      return T.RightCurlyBracket;
    case T.LeftSquareBracket:
      return T.RightSquareBracket;
    case T.LeftParenthesis:
    case T.Function:
      return T.RightParenthesis;
    default:
      return 0;
  }
}
