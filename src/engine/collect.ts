/**
 * What was laid out, painted and told is kept until it is collected, by the window and by the worker, and nothing can ask
 * them to: a browser collects when it is too much by its own count. Room that nobody writes into takes none, and counts.
 */

/** Bytes that are asked for at a time, and how often: at a gigabyte or two browsers collect all that they can, at once. */
const room = 512 * 2 ** 20;
const times = 6;

/** Has what nobody holds any more collected where it is called. */
export function collect(): void {
  const taken: ArrayBuffer[] = [];
  try {
    // A buffer that can be resized is given whole pages of memory, which are there once they are written to.
    while (taken.length < times) taken.push(new ArrayBuffer(room, { maxByteLength: room }));
  } catch {
    // Where there is no such room, it is collected when the browser sees fit.
  }
}
