/** Grounds of pages of ours under real sheets against pixels: never wrong while certain. */
import { expect, test } from "./support/window";
import { frameworkPages } from "./fidelity/frameworks";
import { GroundCounts } from "./grounds/count";
import { look } from "./grounds/look";

/** A few in every run; `HEVRET_GROUNDS=all` takes them all. */
const some = ["bootstrap.html", "pico.html", "quirks.html"];

/** What lies over the rest of the page, or is loaded from elsewhere. */
const unlike = /<dialog open>.*?<\/dialog>|<(video|object|iframe)[^>]*><\/\1>/gs;

test("grounds of pages under real sheets", async ({ browser }) => {
  test.setTimeout(600_000);
  const texts = new Map(frameworkPages().map((file) => [file.path, "text" in file ? file.text : ""]));
  const names = [...texts.keys()].filter((path) => path.endsWith(".html"));
  const counts = new GroundCounts();
  for (const name of process.env.HEVRET_GROUNDS === "all" ? names : some) {
    const html = texts
      .get(name)!
      .replace(/<link[^>]*href="([^"]+\.css)"[^>]*>/g, (link, path: string) =>
        texts.has(path) ? `<style>${texts.get(path)}</style>` : link,
      )
      .replace(unlike, "");
    for (const width of [1280, 390])
      counts.add(await look(browser, html, { scheme: "light", width, height: 900 }), `${name} at ${width}`);
  }
  console.log(counts.words("pages under real sheets"));
  expect(counts.wrong).toEqual([]);
});
