/** Whether rules are in force under given conditions (CSS Conditional 5, CSS Cascade 5, 6.1). */
import type { SheetSource } from "../source/html/sheets";
import type { Conditions } from "./conditions";
import { asksForSize } from "./containers";
import { matchesMedia } from "./media";
import type { RuleConditions } from "./rules";
import { matchesSupports } from "./supports";

export interface UnmetCondition {
  kind: "media" | "supports" | "container";
  text: string;
}

/** Why a rule is not in force; null when it is. */
export function unmetCondition(
  conditions: RuleConditions,
  sheet: SheetSource | null,
  at: Conditions,
): UnmetCondition | null {
  for (const text of [...(sheet?.media ?? []), ...conditions.media])
    if (!matchesMedia(text, at)) return { kind: "media", text };
  for (const text of sheet?.supports ?? []) if (!matchesSupports(text)) return { kind: "supports", text };
  if (!conditions.supported)
    return { kind: "supports", text: conditions.supports.find((text) => !matchesSupports(text))! };
  const unknown = Object.keys(at.containers).length === 0 && conditions.containers.find(asksForSize);
  if (unknown) return { kind: "container", text: unknown };
  return null;
}
