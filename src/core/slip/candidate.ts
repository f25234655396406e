/**
 * A candidate is what is tried of a property, and of others beside it: a value, or a value and more declarations, as
 * they stand in a rule: "32px; line-height: 1.2".
 */
import type { Edit } from "../edits/types";
import { parseBlock } from "../source/css/syntax";

/** @param property of the row it is tried in @returns nothing where it cannot be read as declarations */
export function candidateDeclarations(property: string, text: string): (readonly [property: string, value: string])[] {
  return parseBlock(`${property}: ${text}`).flatMap((item) =>
    item.kind === "declaration" && item.valueText !== ""
      ? [[item.property, item.important ? `${item.valueText} !important` : item.valueText] as const]
      : [],
  );
}

/** What a ratio, or what is needed, can follow. */
const judgedBy = new Set(["color", "background-color", "background", "opacity", "font-size", "font-weight", "font"]);

/** Whether a candidate can change how well the text is read; the others are not looked at for it. */
export const mayChangeContrast = (edits: readonly Edit[]): boolean =>
  edits.some((edit) => edit.kind === "declare" && judgedBy.has(edit.property));
