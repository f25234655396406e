/** Why a declaration loses to another (CSS Cascade 6, 2.1), as data, and in words. */
import type { UnmetCondition } from "./inForce";

export type Loss =
  /** The other is `!important`. */
  | { kind: "importance" }
  /** It is the browser's own, or an attribute's. */
  | { kind: "origin"; origin: "browser" | "hint" }
  /** The other stands in a style attribute. */
  | { kind: "attachment" }
  /** Its layer, null where it has none, counts less. */
  | { kind: "layer"; layer: string | null }
  | { kind: "specificity" }
  /** The root of its scope is farther away. */
  | { kind: "proximity" }
  /** A shorthand after it leaves it out. */
  | { kind: "set back"; shorthand: string }
  /** It comes earlier, all else being equal. */
  | { kind: "order" }
  /** The condition it stands under does not hold, or is not known to. */
  | { kind: "condition"; unmet: UnmetCondition };

/** What is said of the one that loses. */
export function lossWords(loss: Loss): string {
  switch (loss.kind) {
    case "importance":
      return "the other is !important";
    case "origin":
      return loss.origin === "browser" ? "it is the browser's own" : "attributes count less than any rule";
    case "attachment":
      return "a style attribute comes before rules";
    case "layer":
      return loss.layer === null ? "its layer comes earlier" : `it is in the layer ${loss.layer}, which counts less`;
    case "specificity":
      return "it is less specific";
    case "proximity":
      return "its scope is farther away";
    case "set back":
      return `\`${loss.shorthand}\` after it sets it back, because it leaves it out`;
    case "order":
      return "it comes earlier, equally specific";
    case "condition":
      return loss.unmet.kind === "container"
        ? `what \`@container ${loss.unmet.text}\` asks for is not known`
        : `\`@${loss.unmet.kind} ${loss.unmet.text}\` does not hold`;
  }
}

/** What the winner is said to do to the other. @param other the one that loses, in words */
export function winWords(loss: Loss, other: string): string {
  switch (loss.kind) {
    case "importance":
      return `is !important and beats ${other}`;
    case "attachment":
      return `comes before ${other}`;
    case "specificity":
      return `is more specific than ${other}`;
    case "proximity":
      return `has the nearer scope than ${other}`;
    case "set back":
      return `sets it back after ${other}`;
    case "order":
      return `comes after ${other}, equally specific`;
    case "origin":
    case "layer":
    case "condition":
      return `beats ${other}`;
  }
}
