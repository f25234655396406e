/** Long work in short pieces, so that what is typed meanwhile is shown at once. */

/** Milliseconds after which others are let in. */
const longest = 10;

/** Works on one item after the other. False when it was given up because the page changed meanwhile. */
export async function inSlices<Item>(
  items: Iterable<Item>,
  work: (item: Item) => void,
  stillThere: () => boolean,
): Promise<boolean> {
  let started = performance.now();
  for (const item of items) {
    if (performance.now() - started > longest) {
      await new Promise((resolve) => setTimeout(resolve));
      if (!stillThere()) return false;
      started = performance.now();
    }
    work(item);
  }
  return stillThere();
}
