/**
 * What the browser paints under and over the texts of a page: pictures of the page, made out of sight, and the pixels
 * read along the lines of every text. One picture has the texts taken away, one has a line through each in its ink.
 */
import {
  heldBy,
  textId,
  type PageLayout,
  type Painted,
  type PictureLook,
  type PictureStage,
  type PictureUnknown,
} from "@/core";
import type { PlaceView } from "@/engine/protocol";
import { bandsOf, type Band } from "./bands";
import type { ShownPage } from "./frame";
import { inSlices } from "./slices";
import { readStage, type Zone } from "./stage";

/** Makes a picture of the page as it is shown; its address. */
export type MakePicture = (look: PictureLook, stage: PictureStage, unknown: PictureUnknown | null) => Promise<string>;

/** Rows of a picture that are read at once. */
const stripHeight = 512;
/** No page is painted further down than this, CSS px. */
const deepest = 30_000;
/** Bytes of a colour this near are equal. */
const near = 2;

/** What is known of the texts of a page before it is painted. */
export interface PaintedTexts {
  layouts: PageLayout;
  texts: readonly PlaceView[];
}

/** The layouts with what was painted; null when the page changed meanwhile. */
export async function paintedLayouts(
  page: ShownPage,
  { layouts, texts }: PaintedTexts,
  make: MakePicture,
  stillThere: () => boolean,
): Promise<PageLayout | null> {
  const { stage, doubts, zones } = readStage(page);
  const held = heldIn(page, stage);
  const own = texts.filter(({ pseudo, index }) => pseudo === null || page.nodes[index]);
  const bands = new Map<string, Band[]>();
  const measure = (text: PlaceView) => void bands.set(idOf(text), bandsOf(page, text));
  if (!(await inSlices(own, measure, stillThere))) return null;
  const found = new Map<string, Painted>();
  const painter = new Painter(page, stage, make, stillThere);
  const loose = own.filter(({ index }) => !held.has(index));
  const afloat = own.filter(({ index }) => held.has(index));
  const unknowns: (PictureUnknown | null)[] = stage.unknown.length || stage.remote ? [dark, light] : [null];
  if (!(await painter.look(loose, bands, unknowns, found))) return null;
  if (afloat.length) {
    const over = [dark, light].map((unknown) => ({ ...unknown, afloat: true }));
    if (!(await painter.look(afloat, bands, over, found))) return null;
  }
  const result: Record<string, PageLayout[string]> = { ...layouts };
  for (const [id, painted] of found) {
    const known = result[id] ?? emptyLayout(bands.get(id) ?? []);
    const zone = zones.find((one) => bands.get(id)!.some((band) => meets(one, band)));
    const doubt = doubts.get(Number.parseInt(id, 10)) ?? zone?.words ?? painted.doubt;
    if (known) result[id] = { ...known, painted: { ...painted, doubt } };
  }
  return result;
}

const meets = (a: Omit<Zone, "words">, b: Band) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const dark: PictureUnknown = { color: "black", afloat: false };
const light: PictureUnknown = { color: "white", afloat: false };

const idOf = ({ index, pseudo }: PlaceView) => textId(index, pseudo);

/** Of a text that no element holds: where it was seen. */
function emptyLayout(bands: readonly Band[]): PageLayout[string] | null {
  const [first] = bands;
  if (!first) return null;
  const text = { left: first.left, top: first.top, width: first.right - first.left, height: first.bottom - first.top };
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

/** The texts of elements that stay in the window while the page scrolls. */
function heldIn({ nodes }: ShownPage, stage: PictureStage): Set<number> {
  const around = new Set(heldBy(stage).map((index) => nodes[index]!));
  const held = new Set<number>();
  if (around.size === 0) return held;
  nodes.forEach((node, index) => {
    for (let above: Element | null = node; above; above = above.parentElement) {
      if (!around.has(above)) continue;
      held.add(index);
      return;
    }
  });
  return held;
}

type Pixels = Uint8ClampedArray;

/** Pixels of one strip of a picture. */
interface Strip {
  top: number;
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

class Painter {
  private readonly canvas: OffscreenCanvas;
  private readonly context: OffscreenCanvasRenderingContext2D;

  constructor(
    private readonly page: ShownPage,
    private readonly stage: PictureStage,
    private readonly make: MakePicture,
    private readonly stillThere: () => boolean,
  ) {
    this.canvas = new OffscreenCanvas(Math.max(1, Math.ceil(stage.width)), stripHeight);
    this.context = this.canvas.getContext("2d", { willReadFrequently: true })!;
  }

  /** Looks at texts under each assumption of what is not known. False when it was given up. */
  async look(
    texts: readonly PlaceView[],
    bands: Map<string, Band[]>,
    unknowns: readonly (PictureUnknown | null)[],
    found: Map<string, Painted>,
  ): Promise<boolean> {
    if (texts.length === 0) return true;
    const looks: Map<string, Tally>[] = [];
    for (const unknown of unknowns) {
      const tallies = new Map<string, Tally>(texts.map((text) => [idOf(text), new Tally()]));
      looks.push(tallies);
      const ground = await this.picture({ kind: "ground" }, unknown);
      if (!ground) return false;
      if (!(await this.locate(texts, bands, ground, unknown))) return false;
      for (const level of levelsOf(texts)) {
        const strikes = level.map((text) => strikeOf(text, text.ink));
        const ink = await this.picture({ kind: "struck", strikes }, unknown);
        const add = (text: PlaceView, [under, over]: readonly Pixels[], at: number) =>
          tallies.get(idOf(text))!.add(under!, over!, at);
        if (!ink || !(await this.read(level, bands, [ground, ink], add))) return false;
        // Where ink is as the ground is, the text may be covered, or cannot be told from it: a line that stands out tells.
        const doubtful = level.filter((text) => tallies.get(idOf(text))!.isDoubtful());
        if (doubtful.length === 0) continue;
        const strong = doubtful.map((text) => strikeOf(text, tallies.get(idOf(text))!.standsOut()));
        const probe = await this.picture({ kind: "struck", strikes: strong }, unknown);
        for (const text of doubtful) tallies.set(idOf(text), new Tally());
        const addSeen = (text: PlaceView, [under, over, out]: readonly Pixels[], at: number) => {
          const tally = tallies.get(idOf(text))!;
          if (isNear(under!, out!, at)) tally.hidden += 1;
          else tally.add(under!, over!, at);
        };
        if (!probe || !(await this.read(doubtful, bands, [ground, ink, probe], addSeen))) return false;
      }
    }
    const doubt = unknowns[0]?.afloat ? "It stays in its place while the page scrolls under it." : unknownWords;
    for (const text of texts) {
      const own = looks.map((tallies) => tallies.get(idOf(text))!);
      if (own.some((tally) => tally.all > 0)) found.set(idOf(text), paintedOf(own, doubt));
    }
    return this.stillThere();
  }

  private async picture(look: PictureLook, unknown: PictureUnknown | null): Promise<HTMLImageElement | null> {
    const address = await this.make(look, this.stage, unknown);
    if (!this.stillThere()) return null;
    const image = new Image();
    image.src = address;
    try {
      await image.decode();
    } catch {
      return null;
    }
    return this.stillThere() ? image : null;
  }

  private strip(image: HTMLImageElement, top: number): Strip {
    const { width } = this.canvas;
    const height = Math.min(stripHeight, Math.ceil(this.stage.height) - top);
    this.context.fillStyle = this.stage.paper;
    this.context.fillRect(0, 0, width, stripHeight);
    this.context.drawImage(image, 0, top, width, height, 0, 0, width, height);
    return { top, width, height, data: this.context.getImageData(0, 0, width, height).data };
  }

  /** Goes down the page strip by strip, over those strips that hold something to look at. */
  private async overStrips(wanted: (top: number) => boolean, work: (top: number) => void): Promise<boolean> {
    const tops: number[] = [];
    for (let top = 0; top < Math.min(deepest, this.stage.height); top += stripHeight) if (wanted(top)) tops.push(top);
    return inSlices(tops, work, this.stillThere);
  }

  /** Reads pixels of several pictures along the lines of texts. */
  private async read(
    texts: readonly PlaceView[],
    bands: ReadonlyMap<string, readonly Band[]>,
    images: readonly HTMLImageElement[],
    work: (text: PlaceView, pixels: readonly Pixels[], at: number) => void,
  ): Promise<boolean> {
    const rows = rowsByStrip(texts, bands);
    return this.overStrips(
      (top) => rows.has(top / stripHeight),
      (top) => {
        const strips = images.map((image) => this.strip(image, top));
        const pixels = strips.map(({ data }) => data);
        for (const { text, band } of rows.get(top / stripHeight)!)
          forEachPoint(band, strips[0]!, (at) => work(text, pixels, at));
      },
    );
  }

  /** Finds the texts that no element holds by lines of a colour each. */
  private async locate(
    texts: readonly PlaceView[],
    bands: Map<string, Band[]>,
    ground: HTMLImageElement,
    unknown: PictureUnknown | null,
  ): Promise<boolean> {
    const hidden = texts.filter((text) => bands.get(idOf(text))!.length === 0 && text.pseudo !== null);
    if (hidden.length === 0) return true;
    const strikes = hidden.map((text, at) => strikeOf(text, colorNumber(at)));
    const image = await this.picture({ kind: "struck", strikes }, unknown);
    if (!image) return false;
    const boxes = new Map<number, Band>();
    const done = await this.overStrips(
      () => true,
      (top) => {
        const [under, over] = [this.strip(ground, top), this.strip(image, top)];
        const { data, width } = over;
        for (let at = 0; at < data.length; at += 4) {
          if (data[at + 2] !== numberBlue || isNear(under.data, data, at)) continue;
          const number = numberOf(data, at);
          if (number === null || number >= hidden.length) continue;
          const x = (at / 4) % width;
          const y = top + Math.floor(at / 4 / width);
          const box = boxes.get(number);
          if (!box) boxes.set(number, { left: x, top: y, right: x + 1, bottom: y + 1 });
          else {
            box.left = Math.min(box.left, x);
            box.right = Math.max(box.right, x + 1);
            box.bottom = Math.max(box.bottom, y + 1);
          }
        }
      },
    );
    for (const [number, box] of boxes) bands.set(idOf(hidden[number]!), [box]);
    return done;
  }
}

const numberBlue = 213;

/** A colour that says a number, below 256. */
function colorNumber(number: number): string {
  return `rgb(${10 + (number % 16) * 15}, ${10 + (Math.floor(number / 16) % 16) * 15}, ${numberBlue})`;
}

function numberOf(data: Uint8ClampedArray, at: number): number | null {
  const [low, high] = [(data[at]! - 10) / 15, (data[at + 1]! - 10) / 15];
  return Number.isInteger(low) && Number.isInteger(high) && low >= 0 && high >= 0 ? low + high * 16 : null;
}

function strikeOf({ index, pseudo, sizePx }: PlaceView, color: string) {
  return { index, pseudo, color, thickness: Math.max(2, Math.round(sizePx * 50) / 100) };
}

/** The line of what is around a text runs through it, too: translucent inks are looked at without it. */
function levelsOf(texts: readonly PlaceView[]): PlaceView[][] {
  const levels: PlaceView[][] = [];
  for (const text of texts) (levels[text.level] ??= []).push(text);
  return levels.filter(Boolean);
}

function isNear(a: Uint8ClampedArray, b: Uint8ClampedArray, at: number): boolean {
  return (
    Math.abs(a[at]! - b[at]!) <= near &&
    Math.abs(a[at + 1]! - b[at + 1]!) <= near &&
    Math.abs(a[at + 2]! - b[at + 2]!) <= near
  );
}

interface Row {
  text: PlaceView;
  band: Band;
}

/** The bands that reach into each strip. */
function rowsByStrip(texts: readonly PlaceView[], bands: ReadonlyMap<string, readonly Band[]>): Map<number, Row[]> {
  const rows = new Map<number, Row[]>();
  for (const text of texts) {
    for (const band of bands.get(idOf(text)) ?? []) {
      if (band.bottom <= 0) continue;
      const last = Math.floor((band.bottom - 0.01) / stripHeight);
      for (let strip = Math.max(0, Math.floor(band.top / stripHeight)); strip <= last; strip += 1) {
        const list = rows.get(strip);
        if (list) list.push({ text, band });
        else rows.set(strip, [{ text, band }]);
      }
    }
  }
  return rows;
}

/** At most this many columns and rows of pixels are looked at in a band. */
const mostColumns = 1200;
const mostRows = 16;

/** Whole pixels inside a band, evenly. */
function forEachPoint(band: Band, strip: Strip, look: (at: number) => void): void {
  const left = Math.max(0, Math.ceil(band.left));
  const right = Math.min(strip.width, Math.max(Math.floor(band.right), left + 1));
  const top = Math.max(0, Math.ceil(band.top));
  const bottom = Math.max(Math.floor(band.bottom), top + 1);
  const [columns, rows] = [right - left, bottom - top];
  for (const y of evenly(top, rows, mostRows)) {
    if (y < strip.top || y >= strip.top + strip.height) continue;
    for (const x of evenly(left, columns, mostColumns)) look(((y - strip.top) * strip.width + x) * 4);
  }
}

function evenly(from: number, count: number, most: number): number[] {
  if (count <= 0) return [];
  if (count <= most) return Array.from({ length: count }, (_, at) => from + at);
  return Array.from({ length: most }, (_, at) => from + Math.round((at * (count - 1)) / (most - 1)));
}

/** More different pairs of ground and ink than this are thinned. */
const mostPairs = 400;

const unknownWords = "Something that is not among the files, or cannot be painted here, lies there.";

const outstanding = [0x000000, 0xffffff, 0xff00ff, 0x00ff00, 0x0000ff, 0xffff00, 0xff0000, 0x00ffff, 0x808080];

/** Points more than this part of all may look like the ground before it is asked whether they are seen. */
const doubtfulPart = 0.02;

/** Counts the pairs of ground and ink along a text. */
class Tally {
  /** Points where the text is not seen. */
  hidden = 0;
  readonly pairs = new Map<number, number>();
  /** Differs, most likely, where anything that was added did. */
  signature = 0;
  private count = 0;
  /** Points where the ink is as the ground is. */
  private same = 0;
  /** The pair met last, and how often since it was not another. */
  private last = -1;
  private run = 0;

  add(ground: Pixels, ink: Pixels, at: number): void {
    this.count += 1;
    if (isNear(ground, ink, at)) this.same += 1;
    const under = (ground[at]! << 16) | (ground[at + 1]! << 8) | ground[at + 2]!;
    const over = (ink[at]! << 16) | (ink[at + 1]! << 8) | ink[at + 2]!;
    const key = under * 0x1000000 + over;
    this.signature = (Math.imul(this.signature, 31) + under * 7 + over) | 0;
    if (key !== this.last) this.settle();
    this.last = key;
    this.run += 1;
  }

  /** Puts what was met last to the rest. */
  settle(): void {
    if (this.run > 0) this.pairs.set(this.last, (this.pairs.get(this.last) ?? 0) + this.run);
    this.run = 0;
  }

  get all(): number {
    return this.count + this.hidden;
  }

  get seen(): number {
    return this.all ? this.count / this.all : 0;
  }

  isDoubtful(): boolean {
    return this.same > this.count * doubtfulPart;
  }

  /** Of some colours the one that is furthest from any of the ground. */
  standsOut(): string {
    this.settle();
    const grounds = [...this.pairs.keys()].slice(0, mostPairs).map((key) => Math.floor(key / 0x1000000));
    const distance = (color: number) =>
      Math.min(
        ...grounds.map((ground) =>
          Math.max(...[16, 8, 0].map((by) => Math.abs(((color >> by) & 255) - ((ground >> by) & 255)))),
        ),
      );
    const [furthest] = outstanding.map((color) => [color, distance(color)] as const).sort((a, b) => b[1] - a[1]);
    return `#${furthest![0].toString(16).padStart(6, "0")}`;
  }
}

/** One text under several assumptions. @param doubt the words for it when they make a difference */
function paintedOf(tallies: readonly Tally[], doubt: string): Painted {
  const pairs = new Map<number, number>();
  for (const tally of tallies) {
    tally.settle();
    for (const [key, count] of tally.pairs) pairs.set(key, (pairs.get(key) ?? 0) + count);
  }
  const points: number[] = [];
  const entries = [...pairs];
  const step = Math.max(1, entries.length / mostPairs);
  for (let at = 0; at < entries.length; at += step) {
    const [key, count] = entries[Math.floor(at)]!;
    const [under, over] = [Math.floor(key / 0x1000000), key % 0x1000000];
    points.push(under >> 16, (under >> 8) & 255, under & 255, over >> 16, (over >> 8) & 255, over & 255, count);
  }
  const differs = tallies.some(({ signature }) => signature !== tallies[0]!.signature);
  return { points, seen: Math.min(...tallies.map(({ seen }) => seen)), doubt: differs ? doubt : null };
}
