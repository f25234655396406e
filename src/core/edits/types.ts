import type { TextChange } from "../source/changes";
import type { ElementRef } from "../text/refs";

/** Where a declaration is written. */
export type Target =
  /** The rule that starts at an offset of a sheet, or of a page for an embedded sheet. */
  | { kind: "rule"; path: string; start: number }
  /** A rule of its own in a sheet, or in a page's head. */
  | (NewRule & { kind: "new-rule"; selector: string })
  /** A class given to elements, with a rule in a sheet. */
  | (NewRule & { kind: "class"; name: string; elements: readonly ElementRef[] })
  | (NewRule & { kind: "id"; name: string; element: ElementRef })
  | { kind: "style-attribute"; element: ElementRef };

/** Where a rule of its own goes. */
interface NewRule {
  /** A sheet, or a page for the last it embeds for screens, or one that it gets. */
  path: string;
  /** The start of what it comes behind at the top of the sheet, an offset of the file; missing for the sheet's end. */
  behind?: number;
}

/** What words are put into. */
export type WordsElement =
  | { tag: "span"; attribute: "class" | "style"; value: string }
  | { tag: "em" | "strong" | "mark" | "small" | "cite" | "code" };

export type Edit =
  /** Sets a property, or takes it away with a null value. `place` is the element it is done for. */
  | { kind: "declare"; target: Target; property: string; value: string | null; place?: ElementRef }
  /** Switches a declaration off (into a comment) or on again; offsets of the file. */
  | { kind: "toggle"; path: string; start: number; element?: ElementRef }
  /**
   * Puts a span with a class or a style, or an element that says what they are, around words of a text. `node` counts the element's own text nodes,
   * `start` and `end` are offsets into its text.
   */
  | {
      kind: "wrap";
      element: ElementRef;
      node: number;
      start: number;
      end: number;
      around: WordsElement;
    }
  /** Takes a span with nothing but a class or a style away; its words stay. */
  | { kind: "unwrap"; element: ElementRef }
  /** Longhands of the rule that starts at an offset of a file folded into a shorthand, or a shorthand unfolded. */
  | { kind: "fold" | "unfold"; path: string; start: number; shorthand: string }
  /** Other selectors for the rule that starts at an offset of a file. */
  | { kind: "selectors"; path: string; start: number; selectors: string }
  /** Changes to the source as typed. */
  | { kind: "text"; changes: readonly TextChange[] };

/** The places an edit touches: elements that show text of their own and come out differently, as they are counted before it. */
export interface Reach {
  places: ElementRef[];
  pages: string[];
  /** Whether all pages were looked at; those that were not are not counted yet. */
  whole: boolean;
}

export interface Plan {
  changes: TextChange[];
  reach: Reach;
  /** In plain words: what the edit will not do, or does besides. */
  warnings: string[];
}

/** An edit that cannot be made, in plain words. */
export class EditError extends Error {}
