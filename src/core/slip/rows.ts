/** The sections of the slip and their rows, in the order in which people decide. One entry a row. */

import { corners, sides } from "../cascade/properties/sides";
import type { Around } from "./around";
import { sideWords, type SideNames } from "./sides";

export type SlipSection = "face" | "colour" | "lines" | "spacing" | "room" | "list" | "table" | "picture";

export const slipSections: readonly { id: SlipSection; label: string }[] = [
  { id: "face", label: "Face" },
  { id: "colour", label: "Colour" },
  { id: "lines", label: "Lines" },
  { id: "spacing", label: "Spacing" },
  { id: "room", label: "Room" },
  { id: "list", label: "List" },
  { id: "table", label: "Table" },
  { id: "picture", label: "Picture" },
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
  /** What it is about where that is not the text itself: it is there for texts in or beside such. */
  of?: Around;
  /** The row it belongs to: it stands in its chapter. */
  part?: string;
  /** What makes each side, where the row is about several longhands at once: four sides or corners, or one. */
  sides?: readonly SideNames[];
}

/** The three longhands of a line. */
const lineOf = (name: string): SideNames => [`${name}-width`, `${name}-style`, `${name}-color`];

/** A row about all sides, and a row for each in its chapter. */
function fourRows(
  row: Pick<SlipRow, "id" | "label" | "property">,
  names: readonly (readonly [id: string, label: string, property: string, longhands: SideNames])[],
): SlipRow[] {
  const explained = (longhands: SideNames) => longhands.find((name) => name.endsWith("-style")) ?? longhands[0]!;
  const all = names.map(([, , , longhands]) => longhands);
  return [
    { ...row, section: "room", longhand: explained(all[0]!), sides: all },
    ...names.map(([id, label, property, longhands]): SlipRow => ({
      id: `${row.id}-${id}`,
      section: "room",
      label: `${row.label} ${label}`,
      longhand: explained(longhands),
      property,
      part: row.id,
      ...(longhands.length > 1 ? { sides: [longhands] } : {}),
    })),
  ];
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
    ["own-ground", "Own ground", "background-color"],
    ["layers", "Gradient or picture", "background-image"],
  ]),
  ...(
    [
      ["position", "Layer place", ["background-position-x", "background-position-y"]],
      ["size", "Layer size", ["background-size"]],
      ["repeat", "Layer repeat", ["background-repeat"]],
      ["attachment", "Layer hold", ["background-attachment"]],
      ["origin", "Layer origin", ["background-origin"]],
      ["clip", "Layer clip", ["background-clip"]],
      ["blend-mode", "Layer blend", ["background-blend-mode"]],
    ] as const
  ).map(([name, label, longhands]): SlipRow => ({
    id: `layers-${name}`,
    section: "colour",
    label,
    longhand: longhands[0],
    property: `background-${name}`,
    part: "layers",
    ...(longhands.length > 1 ? { sides: [longhands] } : {}),
  })),
  ...rows("colour", [
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
  {
    id: "beside",
    section: "room",
    label: "Room beside",
    longhand: "margin-left",
    property: "margin-inline",
    sides: [["margin-left"], ["margin-right"]],
  },
  ...rows("room", [
    ["left", "Room left", "margin-left"],
    ["right", "Room right", "margin-right"],
  ]).map((row) => ({ ...row, part: "beside" })),
  ...fourRows(
    { id: "padding", label: "Padding", property: "padding" },
    sides.map((side) => [side, sideWords[side], `padding-${side}`, [`padding-${side}`]]),
  ),
  ...fourRows(
    { id: "edge", label: "Edge", property: "border" },
    sides.map((side) => [side, sideWords[side], `border-${side}`, lineOf(`border-${side}`)]),
  ),
  ...fourRows(
    { id: "corners", label: "Corners", property: "border-radius" },
    corners.map((corner) => [corner, corner.replace("-", " "), `border-${corner}-radius`, [`border-${corner}-radius`]]),
  ),
  ...rows("room", [["box-shadow", "Box shadow", "box-shadow"]]),
  {
    id: "outline",
    section: "room",
    label: "Outline",
    longhand: "outline-style",
    property: "outline",
    sides: [lineOf("outline")],
  },
  ...rows("room", [
    ["box-width", "Box width", "width"],
    ["box-widest", "Widest", "max-width"],
    ["box-narrowest", "Narrowest", "min-width"],
    ["box-height", "Box height", "height"],
    ["box-lowest", "Lowest", "min-height"],
    ["float", "Float", "float"],
    ["clear", "Clear", "clear"],
  ]),
  ...around("list", [
    ["marker", "Marker", "list-style-type", "item"],
    ["marker-place", "Marker place", "list-style-position", "item"],
    ["marker-ink", "Marker ink", "color", "marker"],
    ["marker-size", "Marker size", "font-size", "marker"],
    ["list-inset", "Room for markers", "padding-left", "list"],
    ["list-gap", "Room between items", "margin-bottom", "item"],
  ]),
  ...around("table", [
    ["cell-padding", "Cell padding", "padding", "cell", sides.map((side) => [`padding-${side}`])],
    ["cell-edge", "Cell edge", "border", "cell", sides.map((side) => lineOf(`border-${side}`))],
    ["cell-place", "Cell text", "vertical-align", "cell"],
    ["collapse", "Cells' edges", "border-collapse", "table"],
    ["cell-gap", "Room between cells", "border-spacing", "table"],
    ["table-edge", "Table edge", "border", "table", sides.map((side) => lineOf(`border-${side}`))],
    ["head-ink", "Head ink", "color", "head"],
    ["head-ground", "Head ground", "background-color", "head"],
    ["stripe-ground", "Stripe ground", "background-color", "stripe"],
    ["caption-side", "Caption place", "caption-side", "caption"],
    ["caption-ink", "Caption ink", "color", "caption"],
    ["caption-size", "Caption size", "font-size", "caption"],
  ]),
  ...around("picture", [
    ["picture-width", "Picture width", "width", "picture"],
    ["picture-widest", "Picture widest", "max-width", "picture"],
    ["picture-float", "Picture float", "float", "picture"],
    ["picture-room", "Picture room", "margin", "picture", sides.map((side) => [`margin-${side}`])],
    ["picture-edge", "Picture edge", "border", "picture", sides.map((side) => lineOf(`border-${side}`))],
    ["picture-corners", "Picture corners", "border-radius", "picture", corners.map((one) => [`border-${one}-radius`])],
    ["picture-shadow", "Picture shadow", "box-shadow", "picture"],
  ]),
];

/** Rows about what a text stands in or beside. */
function around(
  section: SlipSection,
  list: readonly (readonly [id: string, label: string, property: string, of: Around, all?: readonly SideNames[]])[],
): SlipRow[] {
  return list.map(([id, label, property, of, all]): SlipRow => {
    const longhand = all ? (all[0]!.find((name) => name.endsWith("-style")) ?? all[0]![0]!) : property;
    return { id, section, label, longhand, property, of, ...(all ? { sides: all } : {}) };
  });
}
