/** What properties do, in plain words. One entry a property; what one starts as and whether it is inherited is computed. */
import { corners, sides } from "../cascade/properties/sides";
import { table } from "../source/table";

export interface PropertyWords {
  /** What it does, in two sentences at most. */
  what: string;
  /** What is usual for headings; missing where nothing is. */
  headings?: string;
  /** What is usual for running text; missing where nothing is. */
  text?: string;
  /** The standard that defines it: the short name of its document at the W3C. */
  standard: string;
}

const fonts = "css-fonts-4";
const text = "css-text-4";
const decoration = "css-text-decor-4";
const backgrounds = "css-backgrounds-4";
const borders = "css-borders-4";
const box = "css-box-4";
const sizing = "css-sizing-3";
const color = "css-color-4";
const lists = "css-lists-3";
const tables = "css-tables-3";

const sideWords = { top: "upper", right: "right", bottom: "lower", left: "left" } as const;

const side = (words: string) => ({
  margin: `The room ${words} a box, outside its edge. It shows the ground of what is around.`,
  padding: `The room inside a box, ${words} what is in it. It shows the box's own ground.`,
});

export const propertyWords: Readonly<Record<string, PropertyWords>> = table({
  "font-family": {
    what: "The font stack: faces in the order in which they are wished for. A reader gets the first that their machine has, letter by letter.",
    headings: "One face for all headings, ending in a generic family.",
    text: "A face made for reading, two fallbacks of like width, and a generic family at the end.",
    standard: fonts,
  },
  "font-size": {
    what: "How large the letters are set. `em` and `%` go by the size around, `rem` by the size of the root.",
    headings: "1.2 to 2.5 times the size of running text, each level larger than the next.",
    text: "16px or more, best as `1rem`, so that it follows the reader's own size.",
    standard: fonts,
  },
  "font-size-adjust": {
    what: "Keeps small letters as high in a fallback as in the face that is wished for. Another face then shifts the page less.",
    standard: "css-fonts-5",
  },
  "font-weight": {
    what: "How heavy the strokes are, from 1 to 1000; 400 is normal and 700 bold. A weight that the face lacks is taken from the nearest, or faked.",
    headings: "600 to 800.",
    text: "400, and 600 or more for what is important.",
    standard: fonts,
  },
  "font-style": {
    what: "Upright, italic, or slanted. Where the face has no italic, browsers slant the upright.",
    text: "`normal`; italic for words, not for whole pages.",
    standard: fonts,
  },
  "font-stretch": {
    what: "How wide the letters are, from condensed to expanded. It needs a face that has other widths.",
    headings: "75% to 100% where a heading has to fit.",
    text: "`normal`.",
    standard: "css-fonts-3",
  },
  "font-variation-settings": {
    what: "Sets axes of a variable font by their tags. Whatever has a property of its own (weight, width, slant) is better set there.",
    standard: fonts,
  },
  "font-feature-settings": {
    what: "Switches features of a font by their tags. Whatever has a property of its own is better set there, since a second setting takes the first away.",
    standard: fonts,
  },
  "font-kerning": {
    what: "Whether pairs of letters are set nearer or further as the face says. `auto` leaves it to the browser.",
    standard: fonts,
  },
  "font-variant": {
    what: "Small caps, figures, ligatures and other forms of the face at once. What it does not name is set back.",
    standard: fonts,
  },
  "font-variant-caps": {
    what: "Small letters as small capitals. Where the face has none, capitals are made smaller.",
    headings: "For short labels, with some space between letters.",
    text: "For abbreviations at most.",
    standard: fonts,
  },
  "font-variant-position": {
    what: "Letters and figures raised or lowered, in the face's own forms for them. Where it has none, they stay as they are.",
    text: "For the figures of notes.",
    standard: fonts,
  },
  "font-variant-numeric": {
    what: "Forms of figures: old style or lining, of one width for tables, with a slashed nought, as fractions.",
    text: "`tabular-nums` in tables.",
    standard: fonts,
  },
  "font-variant-ligatures": {
    what: "Whether letters such as f and i are joined where the face says so.",
    standard: fonts,
  },
  "font-synthesis": {
    what: "Which weights, slants and small caps the browser may fake where the face has none.",
    standard: fonts,
  },
  font: {
    what: "Style, weight, size, leading and stack at once; size and stack have to be there. What it does not name is set back, the leading too.",
    standard: fonts,
  },
  "line-height": {
    what: "The distance from one line to the next. A plain number goes by the size of each text, and is what children should inherit.",
    headings: "1.1 to 1.3.",
    text: "1.4 to 1.7, more where lines are long.",
    standard: "css-inline-3",
  },
  "letter-spacing": {
    what: "Space added after each letter. In `em` it follows the size.",
    headings: "0 to -0.02em where large; 0.05em and more for capitals.",
    text: "`normal`.",
    standard: text,
  },
  "word-spacing": {
    what: "Space added to each blank between words.",
    text: "`normal`.",
    standard: text,
  },
  "text-transform": {
    what: "Shows letters in capitals or small, without changing what is written. Copied text stays as it was written.",
    headings: "`none`, or `uppercase` for short labels.",
    text: "`none`: capitals are slow to read.",
    standard: text,
  },
  "text-indent": {
    what: "How far the first line of a block is set in. It is inherited, so a block in a block sets in again.",
    text: "0, or about 1.5em where paragraphs follow without room between them.",
    standard: text,
  },
  "text-align": {
    what: "To which side lines are set, or to both. It goes by the lines in a block, not by where the block stands.",
    headings: "`start`, or `center` where they are short.",
    text: "`start`; `justify` only with hyphens.",
    standard: text,
  },
  "text-align-last": {
    what: "How the last line of a block is set, where its lines are set to both sides.",
    standard: text,
  },
  "text-wrap-style": {
    what: "How the ends of lines are chosen: `balance` makes them alike in length, `pretty` avoids a last line of one word.",
    headings: "`balance`.",
    text: "`pretty`.",
    standard: text,
  },
  "text-wrap": {
    what: "Whether and how lines break: `balance` makes them alike in length, `pretty` avoids a last line of one word.",
    headings: "`balance`.",
    text: "`pretty`.",
    standard: text,
  },
  hyphens: {
    what: "Whether words are parted at line ends. `auto` needs the page's language in its `lang`.",
    headings: "`manual`.",
    text: "`auto` where lines are short or set to both sides.",
    standard: text,
  },
  "white-space": {
    what: "What becomes of blanks and line ends in the source, and whether lines may break.",
    text: "`normal`.",
    standard: text,
  },
  "overflow-wrap": {
    what: "Whether a word that is too long for its line may be parted anywhere.",
    text: "`break-word` where addresses stand in the text.",
    standard: text,
  },
  "word-break": {
    what: "Where lines may break within words. For long words `overflow-wrap` is the gentler way.",
    standard: text,
  },
  "tab-size": { what: "How wide a tab is where blanks are kept, in blanks or as a length.", standard: text },
  "text-overflow": {
    what: "What stands where a line is cut off at its box's edge. It needs `overflow` other than visible, and a line that does not break.",
    standard: "css-overflow-4",
  },
  color: {
    what: "The ink: the colour of the letters, and of lines and edges that name none. It is inherited by all that is inside.",
    headings: "4.5 to 1 against the ground; 3 to 1 is enough from 24px, or bold from 18.66px.",
    text: "4.5 to 1 against the ground at least.",
    standard: color,
  },
  opacity: {
    what: "How much of a box and all that is in it is seen, from 0 to 1. Text in it gets lighter or darker with it, which no child can take back.",
    text: "1: for a lighter ink set the ink.",
    standard: color,
  },
  "background-color": {
    what: "The colour behind a box, out to its edge. Where nothing sets one, what lies behind shows through.",
    text: "One that the ink stands 4.5 to 1 against; it is set together with the ink.",
    standard: backgrounds,
  },
  background: {
    what: "Colour, pictures, their place, size and repeat at once. What it does not name is set back.",
    standard: backgrounds,
  },
  "background-image": {
    what: "Pictures or gradients behind a box, the first on top, over its background colour.",
    standard: backgrounds,
  },
  "background-repeat": { what: "Whether a background picture is set again beside itself.", standard: backgrounds },
  "background-position": { what: "Where a background picture stands in its box.", standard: backgrounds },
  "background-size": {
    what: "How large a background picture is: its own size, a length, or so that it covers or fits the box.",
    standard: backgrounds,
  },
  "background-attachment": {
    what: "Whether a background picture moves with the page, or stays in the window.",
    standard: backgrounds,
  },
  "background-position-x": { what: "Where a background picture stands across its box.", standard: "css-backgrounds-4" },
  "background-origin": {
    what: "From which box a background picture is placed and measured: that within the edge, the padding or the content.",
    standard: "css-backgrounds-4",
  },
  "background-clip": {
    what: "How far a ground is painted: under the edge, under the padding, under the content, or in the letters alone.",
    standard: "css-backgrounds-4",
  },
  "background-blend-mode": {
    what: "How a layer of a ground is mixed with what lies under it in the same ground.",
    standard: "compositing-2",
  },
  "text-decoration": {
    what: "Lines under, over or through text, with their style, colour and thickness at once. It is not inherited: it is drawn through all that is inside.",
    headings: "`none`.",
    text: "`underline` for links, and for nothing else.",
    standard: decoration,
  },
  "text-decoration-line": {
    what: "Which lines a text has: under, over, through, or several.",
    text: "`underline` for links.",
    standard: decoration,
  },
  "text-decoration-color": { what: "The colour of the lines; the ink where none is set.", standard: decoration },
  "text-decoration-style": {
    what: "Solid, double, dotted, dashed or wavy lines.",
    standard: decoration,
  },
  "text-decoration-thickness": {
    what: "How thick the lines are. `from-font` takes what the face says.",
    text: "`auto`, or about 0.08em.",
    standard: decoration,
  },
  "text-underline-offset": {
    what: "How far an underline stands under the letters. It moves no other line.",
    text: "`auto`, or 0.1em to 0.25em.",
    standard: decoration,
  },
  "text-underline-position": {
    what: "Whether an underline stands at the letters or under all that hangs down.",
    standard: decoration,
  },
  "text-decoration-skip-ink": {
    what: "Whether lines leave out the letters that they would cross.",
    text: "`auto`.",
    standard: decoration,
  },
  "-webkit-text-stroke": {
    what: "A line along the edges of the letters, half of it inside them. It makes thin strokes thinner to read.",
    headings: "At large sizes only.",
    standard: "compat.spec.whatwg.org",
  },
  "-webkit-text-stroke-width": {
    what: "How thick the line along the edges of the letters is.",
    standard: "compat.spec.whatwg.org",
  },
  "text-shadow": {
    what: "Shadows of letters: how far to the side and down, how soft, and in which colour.",
    headings: "`none`, or one soft shadow where a picture lies behind.",
    text: "`none`.",
    standard: decoration,
  },
  margin: {
    what: "The room around a box on all four sides at once, outside its edge. Rooms above and below that meet are one, the larger.",
    headings: "More above than below: a heading belongs to what follows.",
    text: "Half a line to a line between paragraphs.",
    standard: box,
  },
  "margin-top": { what: side("above").margin, headings: "1.5 to 2 lines.", text: "0 to one line.", standard: box },
  "margin-bottom": {
    what: side("below").margin,
    headings: "0.3 to 0.8 lines.",
    text: "Half a line to a line.",
    standard: box,
  },
  "margin-inline": {
    what: "The room before and behind a box, in the direction of its lines. `auto` on both sides centres a box that has a width.",
    standard: "css-logical-1",
  },
  "margin-left": { what: side("left of").margin, standard: box },
  "margin-right": { what: side("right of").margin, standard: box },
  padding: {
    what: "The room inside a box on all four sides at once, between its edge and what is in it. It shows the box's own ground.",
    text: "Half a line and more where a box has a ground of its own.",
    standard: box,
  },
  "padding-top": { what: side("above").padding, standard: box },
  "padding-bottom": { what: side("below").padding, standard: box },
  "padding-left": { what: side("left of").padding, standard: box },
  "padding-right": { what: side("right of").padding, standard: box },
  border: {
    what: "Width, style and colour of a box's edge on all sides at once. Without a style there is no edge.",
    standard: borders,
  },
  "border-top": {
    what: "Width, style and colour of the upper edge. Without a style there is none.",
    standard: borders,
  },
  "border-bottom": {
    what: "Width, style and colour of the lower edge. Without a style there is none.",
    standard: borders,
  },
  "border-left": {
    what: "Width, style and colour of the left edge. Without a style there is none.",
    standard: borders,
  },
  "border-right": {
    what: "Width, style and colour of the right edge. Without a style there is none.",
    standard: borders,
  },
  "border-color": { what: "The colour of a box's edges; the ink where none is set.", standard: borders },
  "border-style": {
    what: "How a box's edges are drawn. Without a style there is no edge, whatever its width.",
    standard: borders,
  },
  "border-width": { what: "How thick a box's edges are. Nothing is seen without a style.", standard: borders },
  ...Object.fromEntries(
    sides.map((side) => [
      `border-${side}-style`,
      { what: `How the ${sideWords[side]} edge of a box is drawn. Without a style there is none.`, standard: borders },
    ]),
  ),
  ...Object.fromEntries(
    corners.map((corner) => [
      `border-${corner}-radius`,
      { what: `How far the ${corner.replace("-", " ")} corner of a box is rounded.`, standard: borders },
    ]),
  ),
  "border-radius": { what: "How far a box's corners are rounded.", standard: borders },
  "box-shadow": {
    what: "Shadows of a box: how far to the side and down, how soft, how large, and in which colour.",
    standard: borders,
  },
  "outline-style": { what: "How the line around a box is drawn; without a style there is none.", standard: "css-ui-4" },
  outline: {
    what: "A line around a box that takes no room. Browsers show with it what has the focus, so it is not taken away.",
    standard: "css-ui-4",
  },
  width: {
    what: "How wide a box is, without its padding and edge unless `box-sizing` says otherwise. Words in a line have none.",
    text: "`auto`; `max-width` keeps lines short.",
    standard: sizing,
  },
  "max-width": {
    what: "How wide a box may get. It gives way where there is less room.",
    text: "60ch to 75ch.",
    standard: sizing,
  },
  "min-width": { what: "How narrow a box may get.", standard: sizing },
  height: {
    what: "How high a box is. Text that gets larger does not fit any more: `min-height` gives way.",
    text: "`auto`.",
    standard: sizing,
  },
  "min-height": { what: "How low a box may get. It grows with what is in it.", standard: sizing },
  "max-height": { what: "How high a box may get. What does not fit flows over.", standard: sizing },
  "box-sizing": {
    what: "Whether width and height are those of the content alone, or with padding and edge.",
    standard: sizing,
  },
  display: {
    what: "Whether an element is a block, words in a line, a table, a row or grid of boxes, or nothing at all.",
    standard: "css-display-4",
  },
  visibility: { what: "Whether a box is seen. A hidden one keeps its room.", standard: "css-display-4" },
  position: {
    what: "Whether a box stands where the flow puts it, is moved from there, or stands by itself.",
    standard: "css-position-3",
  },
  top: {
    what: "How far a box that is moved or stands by itself is from the top. It needs `position`.",
    standard: "css-position-3",
  },
  bottom: {
    what: "How far a box that is moved or stands by itself is from the bottom. It needs `position`.",
    standard: "css-position-3",
  },
  left: {
    what: "How far a box that is moved or stands by itself is from the left. It needs `position`.",
    standard: "css-position-3",
  },
  right: {
    what: "How far a box that is moved or stands by itself is from the right. It needs `position`.",
    standard: "css-position-3",
  },
  "z-index": { what: "Which of several boxes over each other lies on top. It needs `position`.", standard: "css2" },
  float: {
    what: "Puts a box to one side, with the text flowing round it. What follows keeps clear with `clear`.",
    standard: "css-page-floats-3",
  },
  clear: { what: "Puts a box under those that were set to a side before it.", standard: "css-page-floats-3" },
  overflow: {
    what: "What becomes of content that does not fit its box: seen, cut off, or scrolled.",
    text: "`visible`: text that is cut off is lost.",
    standard: "css-overflow-3",
  },
  "vertical-align": {
    what: "How high words stand in their line, or content in a table cell. It does not set a block in the middle of another.",
    text: "`baseline`.",
    standard: "css-inline-3",
  },
  "list-style": { what: "Kind, picture and place of the markers of a list at once.", standard: lists },
  "list-style-type": {
    what: "The markers of a list: discs, figures, letters, or words of your own.",
    text: "`disc`, or `decimal` where order matters.",
    standard: lists,
  },
  "list-style-position": { what: "Whether markers hang outside the text or stand in its first line.", standard: lists },
  "border-collapse": { what: "Whether the cells of a table share their edges.", standard: tables },
  "border-spacing": { what: "The room between the cells of a table whose edges are apart.", standard: tables },
  "caption-side": { what: "Whether the caption of a table stands over or under it.", standard: tables },
  content: {
    what: "Words or a picture that a pseudo-element shows. It does nothing on elements, and is no place for text that matters.",
    standard: "css-content-3",
  },
  quotes: { what: "The marks that `open-quote` and `close-quote` stand for, by level.", standard: "css-content-3" },
  cursor: { what: "The pointer over a box.", standard: "css-ui-4" },
  "accent-color": { what: "The colour that checkboxes, radio buttons and sliders are shown in.", standard: "css-ui-4" },
  "color-scheme": {
    what: "For which schemes a page is made. With `dark` among them, browsers give it a dark canvas and light ink where readers wish for it.",
    standard: "css-color-adjust-1",
  },
  direction: {
    what: "Whether text runs from left to right or from right to left. In HTML, `dir` says it better.",
    standard: "css-writing-modes-4",
  },
  flex: {
    what: "How much a box in a flexible row grows and shrinks, and what it starts from.",
    standard: "css-flexbox-2",
  },
  gap: { what: "The room between the boxes of a flexible row, a grid, or columns.", standard: "css-gaps-1" },
  "justify-content": { what: "How boxes of a row or grid are spread along it.", standard: "css-align-3" },
  "align-items": { what: "How the boxes of a row stand across it.", standard: "css-align-3" },
  "grid-template-columns": { what: "The columns of a grid, each with its width.", standard: "css-grid-2" },
  columns: { what: "Into how many columns, or columns how wide, a text is set.", standard: "css-multicol-2" },
  "column-count": { what: "Into how many columns a text is set.", standard: "css-multicol-2" },
  transition: {
    what: "Which properties pass gradually into another value, how long, and how.",
    standard: "css-transitions-1",
  },
  transform: {
    what: "Moves, turns or stretches a box where it is painted; nothing else makes room.",
    standard: "css-transforms-1",
  },
  filter: {
    what: "Changes all that a box paints: brightness, contrast, hue, softness. Contrast of text in it changes too.",
    standard: "filter-effects-1",
  },
  all: {
    what: "Sets back every property at once, except custom properties, direction, and how bidirectional text is ordered.",
    standard: "css-cascade-5",
  },
  zoom: { what: "Shows an element larger or smaller, with the room it takes.", standard: "css-viewport" },
});
