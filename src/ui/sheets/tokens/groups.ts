/** What a site writes against tokens, in the groups in which it is told. */
import type { Held, TokenKind } from "@/core";

export interface HeldGroup {
  id: string;
  title: string;
  held: Held[];
}

/** Distances up to which a value is taken for a slip of its token: ΔE OK, px, weights, families. */
const slips: Readonly<Record<TokenKind, number>> = { color: 0.02, dimension: 1, fontWeight: 0, fontFamily: 0 };

export const isEqual = ({ nearest }: Held): boolean => nearest?.distance === 0;
export const isSlip = (one: Held): boolean =>
  one.nearest !== null && !isEqual(one) && one.nearest.distance <= slips[one.kind];

/** Nearly a token, far from all of them, and equal to one but written without its name. Empty groups are left out. */
export function heldGroups(held: readonly Held[]): HeldGroup[] {
  const groups: HeldGroup[] = [
    { id: "slips", title: "Nearly a token", held: held.filter(isSlip) },
    { id: "strays", title: "No token", held: held.filter((one) => !isSlip(one) && !isEqual(one)) },
    { id: "equal", title: "A token, without its name", held: held.filter(isEqual) },
  ];
  return groups.filter((group) => group.held.length > 0);
}

export const keyOf = ({ kind, value }: Pick<Held, "kind" | "value">): string => `${kind} ${value}`;
