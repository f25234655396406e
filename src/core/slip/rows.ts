/** The rows of the slip, in order. One entry a row; the interface shows them as they come. */

export interface SlipRow {
  id: string;
  label: string;
  /** The longhand that is explained. */
  longhand: string;
  /** What is written when the row is edited: the longhand, or the shorthand people use for it. */
  property: string;
  /** The axis a font of the stack has to have for the row to be of use; "other" for any but weight and width. */
  axis?: "wdth" | "other";
}

export const slipRows: readonly SlipRow[] = [
  { id: "stack", label: "Stack", longhand: "font-family", property: "font-family" },
  { id: "size", label: "Size", longhand: "font-size", property: "font-size" },
  { id: "leading", label: "Leading", longhand: "line-height", property: "line-height" },
  { id: "weight", label: "Weight", longhand: "font-weight", property: "font-weight" },
  { id: "style", label: "Style", longhand: "font-style", property: "font-style" },
  { id: "width", label: "Width", longhand: "font-stretch", property: "font-stretch", axis: "wdth" },
  {
    id: "axes",
    label: "Axes",
    longhand: "font-variation-settings",
    property: "font-variation-settings",
    axis: "other",
  },
  { id: "caps", label: "Small caps", longhand: "font-variant-caps", property: "font-variant-caps" },
  { id: "letter-spacing", label: "Letters", longhand: "letter-spacing", property: "letter-spacing" },
  { id: "word-spacing", label: "Words", longhand: "word-spacing", property: "word-spacing" },
  { id: "case", label: "Case", longhand: "text-transform", property: "text-transform" },
  { id: "indent", label: "Indent", longhand: "text-indent", property: "text-indent" },
  { id: "alignment", label: "Alignment", longhand: "text-align", property: "text-align" },
  { id: "hyphens", label: "Hyphens", longhand: "hyphens", property: "hyphens" },
  { id: "above", label: "Above", longhand: "margin-top", property: "margin-top" },
  { id: "below", label: "Below", longhand: "margin-bottom", property: "margin-bottom" },
  { id: "lines", label: "Lines", longhand: "text-decoration-line", property: "text-decoration" },
  { id: "offset", label: "Line offset", longhand: "text-underline-offset", property: "text-underline-offset" },
  { id: "position", label: "Line place", longhand: "text-underline-position", property: "text-underline-position" },
  { id: "skip", label: "Skip ink", longhand: "text-decoration-skip-ink", property: "text-decoration-skip-ink" },
  { id: "shadow", label: "Shadow", longhand: "text-shadow", property: "text-shadow" },
  { id: "opacity", label: "Opacity", longhand: "opacity", property: "opacity" },
  { id: "ink", label: "Ink", longhand: "color", property: "color" },
  { id: "ground", label: "Ground", longhand: "background-color", property: "background-color" },
];
