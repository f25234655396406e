/** Which of the weights that a face really has is taken. */
import { weightCost } from "../cascade/fonts/weightCost";
import type { MemberInfo } from "./members";

/** Whether a weight would be made up by the browser: bolder than 600 asked for, and nothing from 600 up to take (CSS Fonts 4, 2.4 and 5.2). */
export function isWeightFaked({ weights }: Pick<MemberInfo, "weights">, weight: number): boolean {
  return weights.length > 0 && weight >= 600 && weights.every(([, to]) => to < 600);
}

/** The weight that is taken where a weight is asked for; null where weights are not known. */
export function weightTaken({ weights }: Pick<MemberInfo, "weights">, weight: number): number | null {
  const taken = weights.reduce<readonly [number, number] | null>(
    (best, range) => (best && weightCost(best, weight) <= weightCost(range, weight) ? best : range),
    null,
  );
  return taken && Math.min(taken[1], Math.max(taken[0], weight));
}
