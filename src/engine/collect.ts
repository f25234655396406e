/**
 * What was laid out, painted and told is kept until it is collected, by the window and by the worker, and nothing can ask
 * them to: a browser collects when it is too much by its own count. Room that nobody writes into takes none, and counts.
 */

/** Bytes, which are too much for a browser that held less. */
const room = 512 * 2 ** 20;

/** Has what nobody holds any more collected where it is called, beside what is done next. */
export function collect(): void {
  try {
    // A buffer that can be resized is given whole pages of memory, which are there once they are written to. It is given
    // back at once: what is held while a browser collects is what it takes for little from then on.
    new ArrayBuffer(room, { maxByteLength: room }).transferToFixedLength(0);
  } catch {
    // Where there is no such room, it is collected when the browser sees fit.
  }
}

/** More than browsers have room for. */
const tooMuch = 2 ** 34;

/**
 * Has all collected at once, and what is then free given back. It takes up to a second, in which nothing else is done where
 * it is called: before a browser refuses room it looks for it everywhere.
 */
export function collectAll(): void {
  try {
    new ArrayBuffer(tooMuch);
  } catch {
    // As it is meant.
  }
}
