/** The sections of the slip and their rows, in the order in which people decide. One entry a row. */

export type SlipSection = "face" | "colour" | "lines" | "spacing" | "room";

export const slipSections: readonly { id: SlipSection; label: string }[] = [
  { id: "face", label: "Face" },
  { id: "colour", label: "Colour" },
  { id: "lines", label: "Lines" },
  { id: "spacing", label: "Spacing" },
  { id: "room", label: "Room" },
];

export interface SlipRow {
  id: string;
  section: SlipSection;
  label: string;
  /** The longhand that is explained. */
  longhand: string;
  /** What is written when the row is edited: the longhand, or the shorthand people use for it. */
  property: string;
  /** The axis a font of the stack has to have for the row to be of use; "other" for any but weight and width. */
  axis?: "wdth" | "other";
  /** What it is called where nobody set it, when that is not its label. */
  unset?: string;
  /** The row it belongs to: it stands in its chapter. */
  part?: string;
}

/** Rows that are written as they are explained. */
const rows = (
  section: SlipSection,
  list: readonly (readonly [id: string, label: string, longhand: string])[],
): SlipRow[] => list.map(([id, label, longhand]) => ({ id, section, label, longhand, property: longhand }));

export const slipRows: readonly SlipRow[] = [
  ...rows("face", [
    ["stack", "Stack", "font-family"],
    ["size", "Size", "font-size"],
    ["leading", "Leading", "line-height"],
    ["weight", "Weight", "font-weight"],
    ["style", "Style", "font-style"],
    ["caps", "Small caps", "font-variant-caps"],
  ]),
  { id: "width", section: "face", label: "Width", longhand: "font-stretch", property: "font-stretch", axis: "wdth" },
  {
    id: "axes",
    section: "face",
    label: "Axes",
    longhand: "font-variation-settings",
    property: "font-variation-settings",
    axis: "other",
  },
  ...rows("face", [
    ["numerals", "Numerals", "font-variant-numeric"],
    ["ligatures", "Ligatures", "font-variant-ligatures"],
    ["kerning", "Kerning", "font-kerning"],
    ["raised", "Raised or lowered", "font-variant-position"],
  ]),
  ...rows("colour", [
    ["ink", "Ink", "color"],
    ["ground", "Ground", "background-color"],
    ["opacity", "Opacity", "opacity"],
    ["shadow", "Shadow", "text-shadow"],
  ]),
  {
    id: "stroke",
    section: "colour",
    label: "Stroke",
    longhand: "-webkit-text-stroke-width",
    property: "-webkit-text-stroke",
  },
  {
    id: "lines",
    section: "lines",
    label: "Lines",
    unset: "under, over, through",
    longhand: "text-decoration-line",
    property: "text-decoration",
  },
  ...rows("lines", [
    ["offset", "Line offset", "text-underline-offset"],
    ["position", "Line place", "text-underline-position"],
    ["skip", "Skip ink", "text-decoration-skip-ink"],
  ]).map((row) => ({ ...row, part: "lines" })),
  ...rows("spacing", [
    ["letter-spacing", "Letter spacing", "letter-spacing"],
    ["word-spacing", "Word spacing", "word-spacing"],
    ["case", "Case", "text-transform"],
    ["indent", "Indent", "text-indent"],
    ["alignment", "Alignment", "text-align"],
    ["hyphens", "Hyphens", "hyphens"],
  ]),
  { id: "breaks", section: "spacing", label: "Line breaks", longhand: "text-wrap-style", property: "text-wrap" },
  ...rows("spacing", [
    ["wrapping", "Long words", "overflow-wrap"],
    ["overflow", "Cut-off end", "text-overflow"],
  ]),
  ...rows("room", [
    ["above", "Room above", "margin-top"],
    ["below", "Room below", "margin-bottom"],
  ]),
];
