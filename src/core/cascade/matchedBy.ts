/** The elements of pages that a rule matches. */
import type { StyleRule } from "../source/css/syntax";
import type { Match } from "./pageRules";
import type { Style } from "./style";
import type { StyledPage } from "./styles";

/**
 * The match of a rule with an element of a page; null where it matches it not. A style that was kept from an earlier version
 * knows the rule as it was read then.
 */
export function matchedBy(rule: StyleRule): (page: StyledPage) => (style: Style) => Match | null {
  const idsIn = new Map<StyledPage["rules"]["set"], ReadonlySet<number>>();
  return ({ rules: { set } }) => {
    const ids = idsIn.get(set) ?? new Set(set.rules.filter(({ entry }) => entry.rule === rule).map(({ id }) => id));
    idsIn.set(set, ids);
    if (ids.size === 0) return () => null;
    return (style) => style.blocks.find(({ match }) => match !== null && ids.has(match.rule.id))?.match ?? null;
  };
}
