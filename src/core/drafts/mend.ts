/** Counterparts moved so that texts get the contrast that is wanted of them. */
import { invisibleBelow } from "../color/contrast";
import type { Color } from "../color/types";
import { atLevel, darkest, levelOf, lightest, type Counterpart } from "./counterparts";
import type { DraftKind } from "./kinds";
import type { TonedText } from "./types";

/** A text as the draft has it. */
export interface Seen {
  ratio: number;
  ink: Color;
  ground: Color;
}

/** A ratio is kept where nobody who reads two digits would see that it is another. */
export const keeps = (was: number, is: number): boolean => is >= was - 0.005;

type Side = "lighter" | "darker";

/** Tones that texts have on both sides, lighter and darker: to move them for the one would be against the other. */
export function tornIn(texts: readonly TonedText[]): ReadonlySet<string> {
  const sides = new Map<string, Side>();
  const torn = new Set<string>();
  for (const { inkTones, groundTones, ink, ground } of texts)
    for (const id of [...inkTones, ...groundTones]) {
      const side = levelOf(ink) >= levelOf(ground) ? "lighter" : "darker";
      if ((sides.get(id) ?? side) !== side) torn.add(id);
      sides.set(id, side);
    }
  return torn;
}

/** Texts that have not the contrast that is wanted. What nobody sees as it is shall not be made to be seen. */
export const lackingIn = (
  kind: DraftKind,
  texts: readonly TonedText[],
  seen: ReadonlyMap<TonedText, Seen>,
): TonedText[] =>
  texts.filter((text) => {
    const now = seen.get(text);
    const isUnseen = text.ratio < invisibleBelow && !kind.inksGoLight;
    return now !== undefined && !isUnseen && !keeps(kind.wanted(text), now.ratio);
  });

/** Moves what texts are made of that lack contrast: their inks first, then their grounds. Whether anything moved. */
export function mend(
  kind: DraftKind,
  lacking: readonly TonedText[],
  seen: ReadonlyMap<TonedText, Seen>,
  parts: Map<string, Counterpart>,
  torn: ReadonlySet<string>,
): boolean {
  /** Where each is to go; of what several texts ask, the furthest. */
  const moves = new Map<string, Color>();
  const ask = (id: string, side: Side, by: number, isInk: boolean): boolean => {
    const color = moved(parts.get(id)!, side, by, isInk);
    if (color && isFurther(side, color, moves.get(id))) moves.set(id, color);
    return color !== null;
  };
  const isFree = (id: string) => parts.get(id)?.isFree === true && (kind.inksGoLight || !torn.has(id));
  for (const text of lacking) {
    const now = seen.get(text)!;
    const wanted = kind.wanted(text);
    const ground = levelOf(now.ground);
    const isLight = kind.inksGoLight || levelOf(text.ink) >= levelOf(text.ground);
    const [side, other]: [Side, Side] = isLight ? ["lighter", "darker"] : ["darker", "lighter"];
    const target = isLight ? wanted * ground * 1.002 : ground / wanted / 1.002;
    // What is translucent, itself or with all around it, has to go further than what it comes out as.
    const byInk = target / levelOf(now.ink);
    if (text.inkTones.filter(isFree).filter((id) => ask(id, side, byInk, true)).length > 0) continue;
    const less = Math.min(0.97, now.ratio / wanted);
    for (const id of text.groundTones.filter(isFree)) ask(id, other, isLight ? less : 1 / less, false);
  }
  for (const [id, color] of moves) parts.set(id, { ...parts.get(id)!, color });
  return moves.size > 0;
}

function isFurther(side: Side, color: Color, than: Color | undefined): boolean {
  if (!than || (color.alpha ?? 1) > (than.alpha ?? 1)) return true;
  return side === "lighter" ? levelOf(color) > levelOf(than) : levelOf(color) < levelOf(than);
}

/**
 * A counterpart at so many times its level; an ink that cannot go on becomes more opaque. Null where there is nowhere to
 * go.
 */
function moved({ color, from }: Counterpart, side: Side, by: number, isInk: boolean): Color | null {
  const alpha = color.alpha ?? 1;
  const level = Math.min(lightest, Math.max(darkest, levelOf(color) * by));
  const isUp = side === "lighter";
  const next = atLevel({ ...from, alpha }, level, isUp === isInk ? "above" : "below");
  const hasMoved = isUp ? levelOf(next) > levelOf(color) : levelOf(next) < levelOf(color);
  if (hasMoved) return next;
  return isInk && alpha < 1 ? { ...color, alpha: Math.min(1, alpha + 0.05) } : null;
}
