/**
 * What was laid out, painted and told is kept until it is collected, by the window and by the worker, and nothing can ask
 * them to: browsers collect when it is too much by their own count. Room that nobody writes into takes none, and counts.
 */

/** A browser that collects later than this is not waited for, ms. */
const longest = 16_000;

/** Bytes that are asked for at a time, and how often at most. */
const room = 64 * 2 ** 20;
const times = 32;

/** What is told once something was collected. */
const watched = new FinalizationRegistry<() => void>((tell) => tell());

/** What has been held since the last time: what is young goes at once, long before pictures of pages do. */
let held: object = {};

/** Has what nobody holds any more collected where it is called, and waits for it. */
export async function collected(): Promise<void> {
  let isOver = false;
  const over = new Promise<void>((resolve) => {
    const end = () => {
      isOver = true;
      resolve();
    };
    watched.register(held, end);
    held = {};
    setTimeout(end, longest);
  });
  // It is held meanwhile: what is let go at once is taken back at once, and nothing else with it.
  const taken: ArrayBuffer[] = [];
  while (!isOver && taken.length < times && take(taken)) await new Promise((resolve) => setTimeout(resolve));
  await over;
  for (const buffer of taken) buffer.transferToFixedLength(0);
}

/** False where there is no more room to be had. */
function take(taken: ArrayBuffer[]): boolean {
  try {
    // What may grow is given whole pages of memory, which are there once they are written to (ECMAScript 2024, 25.1.4.1).
    return taken.push(new ArrayBuffer(room, { maxByteLength: room })) > 0;
  } catch {
    return false;
  }
}
