/** What only the laid-out page can tell of what lies behind its texts. Plain data, made in `preview/`. Lengths in CSS px of the page. */
export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** Where one layer of a background is laid, and, for a picture, what of it lies under the points of the text. */
export interface ImageLayout {
  /** One tile; the pattern goes on from it where it is repeated. */
  tile: Box;
  repeatX: boolean;
  repeatY: boolean;
  /** Nothing is painted outside. */
  clip: Box;
  /** Darkest and lightest pixel around each point, as eight bytes r g b a r g b a; null where it is no picture or cannot be read. */
  pixels: readonly number[] | null;
}

/** An element whose background, or picture, is painted under a text. */
export interface UnderLayer {
  index: number;
  /** What its background colour fills. */
  box: Box;
  /** In the order of `background-image`. */
  images: readonly ImageLayout[];
  /** For a replaced element, its picture. */
  picture: ImageLayout | null;
  /** Opacity of groups it is in and the text is not. */
  opacity: number;
  /** Whether it opens a group, by its opacity, that the text is in. */
  group: boolean;
  /** Why what it paints cannot be told, in plain words. */
  doubt: string | null;
}

export interface PlaceLayout {
  /** Around the lines of the text's own. */
  text: Box;
  /** Characters of its longest line; null where it cannot be told. */
  longest: number | null;
  /** Why anything may lie beneath the lowest of the layers, in plain words; null where that is the canvas. */
  afloat: string | null;
  /** Lowest first. */
  under: readonly UnderLayer[];
  /** Elements that are painted over the text, at least in part. */
  over: readonly number[];
}

/** By element index. */
export type PageLayout = Readonly<Record<number, PlaceLayout>>;

/** Points of a text's box that its ground is taken at: a grid with the edges in it. */
export const gridColumns = 33;
export const gridRows = 9;

export function gridPoints({ left, top, width, height }: Box): [x: number, y: number][] {
  const points: [number, number][] = [];
  for (let row = 0; row < gridRows; row += 1) {
    for (let column = 0; column < gridColumns; column += 1) {
      points.push([left + (width * column) / (gridColumns - 1), top + (height * row) / (gridRows - 1)]);
    }
  }
  return points;
}
