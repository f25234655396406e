/**
 * What the browser paints under and over the texts of a page: pictures of the page, made out of sight, and the pixels
 * read along the lines of every text. One picture has the texts taken away, one has a line through each in its ink.
 */
import { heldBy, type Box, type Painted, type PictureLook, type PictureStage, type PictureUnknown } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import { bandsOf, idOf, meets, type Band } from "./bands";
import type { ShownPage } from "./frame";
import { lendImage, type LentImage } from "./images";
import { forEachPoint, rowsByStrip, stripHeight, type AtPoint, type Strip } from "./points";
import { inSlices } from "./slices";
import type { ReadStage } from "./stage";
import { strikeOf, Numbers } from "./strikes";
import { isNear, paintedOf, Tally, type Pixels } from "./tally";

/** Makes a picture of the page as it is shown; its address. */
export type MakePicture = (look: PictureLook, stage: PictureStage, unknown: PictureUnknown | null) => Promise<string>;

/** No page is painted further down than this, CSS px. */
const deepest = 30_000;

/** A text in the pictures of its page. */
export interface Seen {
  painted: Painted;
  /** The middle of its first line. */
  line: Box;
}

const dark: PictureUnknown = { color: "black", shows: "flow" };
const light: PictureUnknown = { color: "white", shows: "flow" };

/** One page as it is now: its pictures, asked for once, and read for one lot of texts after the other. */
export class Painting {
  private readonly held: ReadonlySet<number>;
  private readonly own: readonly PlaceView[];
  private readonly unknowns: readonly (PictureUnknown | null)[];
  private readonly bands = new Map<string, Band[]>();
  private readonly pictures = new Map<string, Promise<HTMLImageElement | null>>();
  /** All that were made, those that are asked for once, too. */
  private readonly images: LentImage[] = [];
  private readonly width: number;

  /** @param texts all of the page @param stillThere false once the page has changed: it is given up */
  constructor(
    private readonly page: ShownPage,
    private readonly read: ReadStage,
    texts: readonly PlaceView[],
    private readonly make: MakePicture,
    private readonly stillThere: () => boolean,
  ) {
    const { stage } = read;
    this.held = heldIn(page, stage);
    this.own = this.thatCanBeSeen(texts);
    this.unknowns = stage.unknown.length || stage.remote ? [dark, light] : [null];
    this.width = Math.max(1, Math.ceil(stage.width));
  }

  /** What is painted of some texts, by their ids; null when the page changed meanwhile. */
  async look(texts: readonly PlaceView[]): Promise<ReadonlyMap<string, Seen> | null> {
    const own = this.thatCanBeSeen(texts);
    // They are made while the lines are measured.
    const loose = own.filter((text) => !this.isAfloat(text));
    if (loose.length) for (const unknown of this.unknowns) this.prepare(loose, unknown);
    const measure = (text: PlaceView) => void this.bands.set(idOf(text), bandsOf(this.page, text));
    if (!(await inSlices(own, measure, this.stillThere))) return null;
    const found = new Map<string, Painted>();
    await this.lookUnder(loose, this.unknowns, found);
    await this.lookUnder(
      own.filter((text) => this.isAfloat(text)),
      [
        { ...dark, shows: "held" },
        { ...light, shows: "held" },
        { ...dark, shows: "all" },
      ],
      found,
    );
    if (!this.stillThere()) return null;
    const seen = new Map<string, Seen>();
    for (const [id, painted] of found) {
      const bands = this.bands.get(id)!;
      const zone = this.read.zones.find((one) => bands.some((band) => meets(one, band)));
      const doubt = this.read.doubts.get(Number.parseInt(id, 10)) ?? zone?.words ?? painted.doubt;
      const { apart } = this.read;
      seen.set(id, { painted: { ...painted, doubt, ...(apart && { apart }) }, line: boxAround(bands[0]!) });
    }
    return seen;
  }

  /** Gives back what the pictures take; nothing can be looked at any more. */
  end(): void {
    for (const { giveBack } of this.images) giveBack();
    this.images.length = 0;
    this.pictures.clear();
  }

  private thatCanBeSeen(texts: readonly PlaceView[]): PlaceView[] {
    const { unlined } = this.read;
    return texts.filter(({ pseudo, index }) => (pseudo === null ? !unlined.has(index) : this.page.nodes[index]));
  }

  private isAfloat({ index }: PlaceView): boolean {
    return this.held.has(index);
  }

  /** Looks at texts under each assumption of what is not known; nothing is found where no picture can be made. */
  private async lookUnder(
    texts: readonly PlaceView[],
    unknowns: readonly (PictureUnknown | null)[],
    found: Map<string, Painted>,
  ): Promise<void> {
    if (texts.length === 0) return;
    const looks: Map<string, Tally>[] = [];
    for (const unknown of unknowns) {
      const tallies = await this.tally(texts, unknown);
      if (!tallies) return;
      looks.push(tallies);
    }
    const doubt = isHeld(unknowns[0]!) ? heldWords : unknownWords;
    for (const text of texts) {
      const own = looks.map((tallies) => tallies.get(idOf(text))!);
      if (own.some((tally) => tally.all > 0)) found.set(idOf(text), paintedOf(own, doubt));
    }
  }

  private async tally(texts: readonly PlaceView[], unknown: PictureUnknown | null): Promise<Map<string, Tally> | null> {
    const tallies = new Map<string, Tally>(texts.map((text) => [idOf(text), new Tally()]));
    const ground = await this.ground(unknown);
    if (!ground || !(await this.locate(texts, ground, unknown))) return null;
    for (const [number, level] of levelsOf(texts)) {
      const ink = await this.inked(number, unknown);
      const add: AlongText = (text, [under, over]) => {
        const tally = tallies.get(idOf(text))!;
        return (at, x, y) => tally.add(under!, over!, at, x, y);
      };
      if (!ink || !(await this.along(level, [ground, ink], add))) return null;
      // Where ink is as the ground is, the text may be covered, or cannot be told from it: a line that stands out tells.
      const doubtful = level.filter((text) => tallies.get(idOf(text))!.isDoubtful());
      if (doubtful.length === 0) continue;
      const strong = doubtful.map((text) => strikeOf(text, tallies.get(idOf(text))!.standsOut()));
      const probe = await this.picture({ kind: "struck", strikes: strong }, unknown);
      for (const text of doubtful) tallies.set(idOf(text), new Tally());
      const addSeen: AlongText = (text, [under, over, out]) => {
        const tally = tallies.get(idOf(text))!;
        return (at, x, y) => {
          if (isNear(under!, out!, at)) tally.hidden += 1;
          else tally.add(under!, over!, at, x, y);
        };
      };
      if (!probe || !(await this.along(doubtful, [ground, ink, probe], addSeen))) return null;
    }
    return tallies;
  }

  /** Asks for the pictures that some texts need; what goes wrong is told to who looks at them. */
  private prepare(texts: readonly PlaceView[], unknown: PictureUnknown | null): void {
    const pictures = [this.ground(unknown), ...levelsOf(texts).map(([level]) => this.inked(level, unknown))];
    for (const picture of pictures) picture.catch(() => undefined);
  }

  private ground(unknown: PictureUnknown | null): Promise<HTMLImageElement | null> {
    return this.kept("ground", { kind: "ground" }, unknown);
  }

  /** All texts of a level with a line in their ink, whichever lot they are looked at in. */
  private inked(level: number, unknown: PictureUnknown | null): Promise<HTMLImageElement | null> {
    const texts = this.own.filter((text) => text.level === level && this.isAfloat(text) === isHeld(unknown));
    const strikes = texts.filter(({ lined }) => !lined).map((text) => strikeOf(text, text.ink));
    return this.kept(`ink ${level}`, { kind: "struck", strikes }, unknown);
  }

  private kept(name: string, look: PictureLook, unknown: PictureUnknown | null): Promise<HTMLImageElement | null> {
    const key = `${name} ${unknown?.color} ${unknown?.shows}`;
    const known = this.pictures.get(key) ?? this.picture(look, unknown);
    this.pictures.set(key, known);
    return known;
  }

  /** Null where it cannot be made, and where the page changed meanwhile. */
  private async picture(look: PictureLook, unknown: PictureUnknown | null): Promise<HTMLImageElement | null> {
    try {
      const address = await this.make(look, this.read.stage, unknown);
      if (!this.stillThere()) return null;
      const lent = lendImage();
      this.images.push(lent);
      const { image } = lent;
      image.src = address;
      await image.decode();
      return this.stillThere() ? image : null;
    } catch {
      return null;
    }
  }

  private strip(image: HTMLImageElement, top: number): Strip {
    const { width } = this;
    const { height: whole, paper } = this.read.stage;
    const height = Math.min(stripHeight, Math.ceil(whole) - top);
    const context = canvasOf(width);
    context.fillStyle = paper;
    context.fillRect(0, 0, width, stripHeight);
    context.drawImage(image, 0, top, width, height, 0, 0, width, height);
    return { top, width, height, data: context.getImageData(0, 0, width, height).data };
  }

  /** Goes down the page strip by strip, over those strips that hold something to look at. */
  private async overStrips(wanted: (top: number) => boolean, work: (top: number) => void): Promise<boolean> {
    const tops: number[] = [];
    const end = Math.min(deepest, this.read.stage.height);
    for (let top = 0; top < end; top += stripHeight) if (wanted(top)) tops.push(top);
    return inSlices(tops, work, this.stillThere);
  }

  /** Reads pixels of several pictures along the lines of texts. */
  private async along(
    texts: readonly PlaceView[],
    images: readonly HTMLImageElement[],
    work: AlongText,
  ): Promise<boolean> {
    const rows = rowsByStrip(texts, this.bands);
    return this.overStrips(
      (top) => rows.has(top / stripHeight),
      (top) => {
        const strips = images.map((image) => this.strip(image, top));
        const pixels = strips.map(({ data }) => data);
        for (const { text, band } of rows.get(top / stripHeight)!) forEachPoint(band, strips[0]!, work(text, pixels));
        letGo(strips);
      },
    );
  }

  /** Finds the texts that no element holds by lines of a colour each. */
  private async locate(
    texts: readonly PlaceView[],
    ground: HTMLImageElement,
    unknown: PictureUnknown | null,
  ): Promise<boolean> {
    const hidden = texts.filter((text) => text.pseudo !== null && this.bands.get(idOf(text))!.length === 0);
    for (let from = 0; from < hidden.length; from += Numbers.most) {
      const some = hidden.slice(from, from + Numbers.most);
      const strikes = some.map((text, at) => strikeOf(text, Numbers.colorOf(at)));
      const image = await this.picture({ kind: "struck", strikes }, unknown);
      const numbers = new Numbers(some.length);
      const read = (top: number) => {
        const strips = [this.strip(ground, top), this.strip(image!, top)] as const;
        numbers.read(...strips);
        letGo(strips);
      };
      if (!image || !(await this.overStrips(() => true, read))) return false;
      for (const [number, band] of numbers.found) this.bands.set(idOf(some[number]!), [band]);
    }
    return true;
  }
}

let drawing: OffscreenCanvasRenderingContext2D | null = null;

/** The one canvas that strips of all pages are drawn on. @param width CSS px */
function canvasOf(width: number): OffscreenCanvasRenderingContext2D {
  drawing ??= new OffscreenCanvas(width, stripHeight).getContext("2d", { willReadFrequently: true })!;
  if (drawing.canvas.width !== width) drawing.canvas.width = width;
  return drawing;
}

/**
 * Gives the memory of pixels back at once, by handing it over to nobody: there is far more of it than of what makes a
 * browser collect what is not used.
 */
function letGo(strips: readonly Strip[]): void {
  const { port1, port2 } = new MessageChannel();
  port1.postMessage(
    null,
    strips.map(({ data }) => data.buffer),
  );
  port1.close();
  port2.close();
}

/** What is done with each pixel along a text in several pictures. */
type AlongText = (text: PlaceView, pixels: readonly Pixels[]) => AtPoint;

/** Whether it is about texts that stay in the window while the page scrolls. */
const isHeld = (unknown: PictureUnknown | null) => unknown !== null && unknown.shows !== "flow";

const heldWords = "It stays in its place while the page scrolls under it.";
const unknownWords = "Something that is not among the files, or cannot be painted here, lies there.";

const boxAround = ({ left, top, right, bottom }: Band): Box => ({
  left,
  top,
  width: right - left,
  height: bottom - top,
});

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

/** The line of what is around a text runs through it, too: translucent inks are looked at without it. */
function levelsOf(texts: readonly PlaceView[]): [level: number, texts: PlaceView[]][] {
  const levels = new Map<number, PlaceView[]>();
  for (const text of texts) {
    const known = levels.get(text.level);
    if (known) known.push(text);
    else levels.set(text.level, [text]);
  }
  return [...levels].sort(([a], [b]) => a - b);
}
