/** What only the laid-out page can tell of what lies behind its texts. Plain data, made in `preview/`. Lengths in CSS px of the page. */
import { Alike } from "../source/memo";

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
  /** Why nobody sees the text, in plain words; null where it may be seen. */
  unseen: string | null;
  /** What cuts it off or masks it, if nothing of it is seen, in plain words; null where nothing does. */
  hides: string | null;
  /** Why nothing of it may be seen as the page opens, though it can be brought into view; null where nothing is known. */
  away: string | null;
  /** Null until the page was painted. */
  painted: Painted | null;
}

/** What was seen of a text in pictures that the browser painted of its page. */
export interface Painted {
  /** Ground and ink at points along its lines, as seven numbers each: r g b of the ground, r g b of the ink, how many. */
  points: readonly number[];
  /** Part of its lines that is seen, 0 to 1. */
  seen: number;
  /** Where ink and ground are least apart, CSS px of the page; left out where they are the same all along. */
  worst?: { x: number; y: number };
  /** Why it may come out otherwise, in plain words. */
  doubt: string | null;
  /** Why it may come out otherwise unless layers tell the same; left out where it may not. */
  apart?: string;
}

/** By the id of a text: `textId`. */
export type PageLayout = Readonly<Record<string, PlaceLayout>>;

/** Names a text on its page: an element's own, or that of one of its pseudo-elements. */
export function textId(index: number, pseudo: string | null): string {
  return pseudo === null ? `${index}` : `${index}::${pseudo}`;
}

/** The same where elements are counted otherwise; null where one that lies under the text has no number there. */
export function movedLayout(layout: PlaceLayout, numberOf: (index: number) => number | undefined): PlaceLayout | null {
  const under = layout.under.flatMap((layer) => {
    const index = numberOf(layer.index);
    return index === undefined ? [] : [{ ...layer, index }];
  });
  if (under.length < layout.under.length) return null;
  return { ...layout, under, over: layout.over.flatMap((index) => numberOf(index) ?? []) };
}

/** A text of which only its place is known. */
export function bareLayout(text: Box): PlaceLayout {
  return {
    text,
    longest: null,
    afloat: null,
    under: [],
    over: [],
    unseen: null,
    hides: null,
    away: null,
    painted: null,
  };
}

const layers = new Alike<PlaceLayout["under"]>(500);
const covers = new Alike<PlaceLayout["over"]>(100);
const paints = new Alike<Painted>(500);
/** Numbers of ten pairs of ground and ink. */
const mostAlike = 70;

/** The same to be kept for long: what lies under and over its texts, and was seen of them, is one for all that are alike. */
export function keptLayout(layout: PageLayout): PageLayout {
  return Object.fromEntries(Object.entries(layout).map(([id, place]) => [id, keptPlace(place)]));
}

function keptPlace(place: PlaceLayout): PlaceLayout {
  // What is told of pictures and what many colours were seen of is long, and hardly ever alike.
  const isPlain = place.under.every(({ images, picture }) => images.length === 0 && !picture);
  const under = isPlain ? layers.of(place.under) : place.under;
  const over = covers.of(place.over);
  const seen = place.painted;
  const painted = seen && seen.points.length <= mostAlike ? paints.of(seen) : seen;
  const isKept = under === place.under && over === place.over && painted === seen;
  return isKept ? place : { ...place, under, over, painted };
}

/** Points of a text's box that its ground is taken at: a grid with the edges in it. */
export const gridColumns = 33;
/** Rows of points that a text is looked at by. */
export const gridRows = 9;

/** The points of a box that are looked at, edges included, in CSS px of the page. */
export function gridPoints({ left, top, width, height }: Box): [x: number, y: number][] {
  const points: [number, number][] = [];
  for (let row = 0; row < gridRows; row += 1) {
    for (let column = 0; column < gridColumns; column += 1) {
      points.push([left + (width * column) / (gridColumns - 1), top + (height * row) / (gridRows - 1)]);
    }
  }
  return points;
}
