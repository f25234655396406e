/** Container queries (CSS Conditional 5, section 5), answered from measured sizes. */
import { componentsOf, isKeyword, type Component } from "../source/css/components";
import { evaluateCondition, evaluateFeature, type Truth } from "./media";
import type { Conditions } from "./conditions";
import { styleQuery, type StyleAsked } from "./styleQuery";

/** What is asked of the elements above the one a rule is for, nearest first. */
export interface ContainerAncestor extends StyleAsked {
  index: number;
  names: readonly string[];
  type: string;
}

const blockFeatures = /height|block-size|aspect-ratio|orientation/;

/** Whether a container condition holds for an element with these ancestors on a page. */
export function matchesContainer(
  text: string,
  ancestors: Iterable<ContainerAncestor>,
  page: string,
  conditions: Conditions,
): boolean {
  const parts = componentsOf(text);
  const named = parts[0]?.type === "ident" && !isKeyword(parts[0], "not") ? parts[0].name : null;
  const query = named === null ? parts : parts.slice(1);
  const needsSize = query.some((part) => part.type === "block");
  const needsBlock = blockFeatures.test(text);
  for (const ancestor of ancestors) {
    if (named !== null && !ancestor.names.includes(named)) continue;
    if (needsSize && (ancestor.type === "normal" || (needsBlock && ancestor.type !== "size"))) continue;
    if (query.length === 0) return true;
    const size = conditions.containers[page]?.[ancestor.index];
    // One feature nobody knows, and no container fits the query at all.
    let known = true;
    const holds = evaluateCondition(query, (part) => {
      const one = answer(part, text, ancestor, size, conditions);
      known &&= one !== "unknown";
      return one;
    });
    return known && holds === true;
  }
  return false;
}

/** Whether a condition asks for a size, which only the laid-out page has. */
export function asksForSize(text: string): boolean {
  return componentsOf(text).some((part) => part.type === "block");
}

function answer(
  part: Component,
  text: string,
  ancestor: ContainerAncestor,
  size: { width: number; height: number } | undefined,
  conditions: Conditions,
): Truth {
  if (part.type === "function") return part.name === "style" ? styleQuery(part.args, text, ancestor) : "unknown";
  if (part.type !== "block" || part.open !== "(") return "unknown";
  if (part.args.some((arg) => arg.type === "block") || isKeyword(part.args[0], "not")) {
    return evaluateCondition(part.args, (inner) => answer(inner, text, ancestor, size, conditions)) ?? "unknown";
  }
  if (!size) return "unknown";
  const asMedia = part.args.map((arg) => (arg.type === "ident" ? { ...arg, name: physical(arg.name) } : arg));
  return evaluateFeature(asMedia, { ...conditions, ...size });
}

/** Features of a container by the names that media features have for them. */
function physical(name: string): string {
  return name.toLowerCase().replace("inline-size", "width").replace("block-size", "height");
}
