/**
 * Elements of a page with changes that are not made yet, by the numbers that they have without them: what is picked,
 * measured and marked while something is rehearsed goes by those.
 */
import {
  documentOf,
  movedLayout,
  refsAfter,
  textFile,
  textId,
  type PageLayout,
  type PictureLook,
  type PictureStage,
  type SafeDocument,
  type SafeElement,
  type Site,
  type TextChange,
} from "@/core";
import type { PagePatch, PageView, PlaceView } from "./protocol";

/** What is told of a page and by it, between both ways to count its elements. */
export class ElementNumbers {
  /** By the number with the changes; what is new has numbers beyond those of all others. */
  private readonly own = new Map<number, number>();
  private readonly changed = new Map<number, number>();
  private news = 0;

  /** @param count of elements without the changes */
  private constructor(
    moves: readonly (readonly [was: number, is: number])[],
    private readonly count: number,
  ) {
    for (const [was, is] of moves) this.remember(was, is);
  }

  /** Null where all elements keep their numbers, or there is no such page. @param after the site with the changes */
  static between(before: Site, after: Site, page: string, changes: readonly TextChange[]): ElementNumbers | null {
    const file = textFile(before, page);
    if (file?.kind !== "html" || file === textFile(after, page)) return null;
    const { length } = documentOf(file).elements;
    const placeAfter = refsAfter(before, after, changes);
    const moves = Array.from({ length }, (_, was) => [was, placeAfter({ page, index: was })?.index] as const);
    if (moves.every(([was, is]) => was === is)) return null;
    return new ElementNumbers(
      moves.flatMap(([was, is]) => (is === undefined ? [] : [[was, is] as const])),
      length,
    );
  }

  private remember(was: number, is: number): void {
    this.own.set(is, was);
    this.changed.set(was, is);
  }

  private readonly toOwn = (is: number): number => {
    if (!this.own.has(is)) this.remember(this.count + this.news++, is);
    return this.own.get(is)!;
  };

  /** As it is shown. Texts of new elements are not told of: nothing can be asked of them yet. */
  patch(patch: PagePatch): PagePatch {
    return { ...this.told(patch), document: patch.document && this.document(patch.document) };
  }

  view(view: PageView): PageView {
    return { ...this.told(view), document: this.document(view.document) };
  }

  private told(patch: Omit<PageView, "document">): Omit<PageView, "document"> {
    const { toOwn } = this;
    return {
      ...patch,
      sheets: patch.sheets.map((sheet) => ({ ...sheet, owner: toOwn(sheet.owner) })),
      places: this.places(patch.places),
      overrides: patch.overrides.map(([index, ...rest]) => [toOwn(index), ...rest]),
      states: patch.states.map(([index, states]) => [toOwn(index), states]),
    };
  }

  places(places: readonly PlaceView[]): PlaceView[] {
    return places
      .map((place) => ({ ...place, index: this.toOwn(place.index) }))
      .filter(({ index }) => index < this.count);
  }

  private document(document: SafeDocument): SafeDocument {
    if (!document.root) return document;
    const copy = (element: SafeElement): SafeElement => ({
      ...element,
      index: this.toOwn(element.index),
      content: [...element.content],
    });
    const root = copy(document.root);
    // Without recursion: pages nest as deeply as they like.
    const pending = [root];
    for (let element = pending.pop(); element; element = pending.pop()) {
      element.content = element.content.map((child) => (typeof child === "string" ? child : copy(child)));
      for (const child of element.content) if (typeof child !== "string") pending.push(child);
    }
    return { ...document, root };
  }

  /** What the shown page tells of its texts, for the page with the changes. */
  layout(layout: PageLayout): PageLayout {
    const numberOf = (index: number) => this.changed.get(index);
    return Object.fromEntries(
      Object.entries(layout).flatMap(([id, place]) => {
        const index = numberOf(Number.parseInt(id, 10));
        const moved = index === undefined ? null : movedLayout(place, numberOf);
        return moved ? [[textId(index!, id.split("::")[1] ?? null), moved]] : [];
      }),
    );
  }

  /** What the shown page tells of itself, for a picture of the page with the changes. */
  stage(stage: PictureStage): PictureStage {
    const { canvas } = stage;
    const index = canvas && this.changed.get(canvas.index);
    return {
      ...stage,
      canvas: canvas && index != null ? { ...canvas, index } : null,
      spilling: this.all(stage.spilling),
      moving: this.all(stage.moving),
      fixed: this.all(stage.fixed),
      sticky: this.allWith(stage.sticky),
      kept: this.allWith(stage.kept),
      cutOut: this.all(stage.cutOut),
      unknown: this.all(stage.unknown),
    };
  }

  look(look: PictureLook): PictureLook {
    if (look.kind === "ground") return look;
    return {
      ...look,
      strikes: look.strikes.flatMap((strike) => {
        const index = this.changed.get(strike.index);
        return index === undefined ? [] : [{ ...strike, index }];
      }),
    };
  }

  private all(indexes: readonly number[]): number[] {
    return indexes.flatMap((index) => this.changed.get(index) ?? []);
  }

  private allWith(list: readonly (readonly [index: number, declarations: string])[]): (readonly [number, string])[] {
    return list.flatMap(([was, declarations]) => {
      const index = this.changed.get(was);
      return index === undefined ? [] : [[index, declarations] as const];
    });
  }
}
