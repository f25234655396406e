/**
 * What a browser has laid out and painted it keeps until it sees fit to collect it, and nothing can ask it to. Work on
 * many pages waits for that now and then: browsers collect when little is going on.
 */

/** A browser that collects later than this is not waited for, ms. */
const longest = 16_000;

/** What is told once something was collected. */
const watched = new FinalizationRegistry<() => void>((tell) => tell());

/** What has been held since the last wait: what is young goes at once, long before pictures of pages do. */
let held: object = {};

/** Waits until the browser has collected what nobody holds any more. */
export function collected(): Promise<void> {
  return new Promise((resolve) => {
    watched.register(held, resolve);
    held = {};
    setTimeout(resolve, longest);
  });
}
