/** Looks at the texts of a page that is laid out: at what the browser paints, and at what styles and boxes tell. */
import { bareLayout, type PageLayout, type PlaceLayout } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "./frame";
import { layersOf } from "./grounds";
import { hiddenBy } from "./hidden";
import { Painting, type MakePicture, type Seen } from "./paint";
import { settle } from "./settle";
import { readStage } from "./stage";
import { textBox } from "./textBox";

/**
 * What is in the window is painted first, then the whole page is looked at.
 * @param tell takes in what is seen of some texts, and at last of all
 * @param stillThere false once the page has changed: the look is given up
 */
export async function lookAt(
  page: ShownPage,
  texts: readonly PlaceView[],
  make: MakePicture,
  tell: (layout: PageLayout, whole: boolean) => Promise<void>,
  stillThere: () => boolean,
): Promise<void> {
  if (!stillThere()) return;
  settle(page.document);
  const read = await readStage(page, stillThere);
  if (!read) return;
  const painting = new Painting(page, read, texts, make, stillThere);
  try {
    await lookWith(painting, page, texts, tell, stillThere);
  } finally {
    painting.end();
  }
}

async function lookWith(
  painting: Painting,
  page: ShownPage,
  texts: readonly PlaceView[],
  tell: (layout: PageLayout, whole: boolean) => Promise<void>,
  stillThere: () => boolean,
): Promise<void> {
  const [near, far] = byWindow(page, texts);
  const seen = await painting.look(near);
  if (!seen || !stillThere()) return;
  if (seen.size) await tell(glanced(page, seen), false);
  const own = texts.filter(({ pseudo }) => pseudo === null).map(({ index }) => index);
  const layers = stillThere() ? await layersOf(page, own, stillThere) : null;
  const others = layers && (await painting.look(far));
  if (!others || !stillThere()) return;
  const layout: Record<string, PlaceLayout> = { ...layers };
  for (const [id, { painted, line }] of [...seen, ...others])
    layout[id] = { ...(layout[id] ?? bareLayout(line)), painted };
  await tell(layout, true);
}

/** Texts whose elements are in the window, and those whose are not. */
function byWindow({ document, nodes }: ShownPage, texts: readonly PlaceView[]): [near: PlaceView[], far: PlaceView[]] {
  const { innerWidth, innerHeight } = document.defaultView!;
  const near: PlaceView[] = [];
  const far: PlaceView[] = [];
  for (const text of texts) {
    const box = nodes[text.index]?.getBoundingClientRect();
    const inWindow = box && box.bottom > 0 && box.top < innerHeight && box.right > 0 && box.left < innerWidth;
    (inWindow ? near : far).push(text);
  }
  return [near, far];
}

/** What was seen of texts without a look at what lies under them. */
function glanced(page: ShownPage, seen: ReadonlyMap<string, Seen>): PageLayout {
  const layout: Record<string, PlaceLayout> = {};
  for (const [id, { painted, line }] of seen) {
    const index = Number.parseInt(id, 10);
    const text = id === `${index}` ? textBox(page, index) : null;
    layout[id] = { ...bareLayout(text ?? line), ...(text && hiddenBy(page, page.nodes[index]!, text)), painted };
  }
  return layout;
}
