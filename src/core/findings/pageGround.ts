import { declaredText } from "../cascade/declared";
import { computedValue, type Style } from "../cascade/style";
import type { KnownPage } from "../cascade/styledPages";
import { declareWay, spotFor, targetOf, type Spot } from "./cause";
import { at, type Check, type Found } from "./types";

/** A ground of the page that does not do what it seems to: that stops short, tiles, or hides another. */
export const pageGround: Check = {
  name: "page-ground",
  group: "page",
  onPage: (page) => {
    const { root, body } = page.document;
    if (!root || !body) return [];
    const grounds = groundsOf(page, page.styles[root.index]!, page.styles[body.index]!);
    return [bothHaveOne(page, grounds), tiles(page, grounds)].filter((found) => found !== null);
  },
};

/** What sets the grounds of the root and of the body. */
interface Grounds {
  html: Style;
  body: Style;
  onRoot: Spot | null;
  color: Spot | null;
  image: Spot | null;
}

function groundsOf(page: KnownPage, html: Style, body: Style): Grounds {
  const has = (style: Style, longhand: string, none: string) =>
    computedValue(style, longhand) !== none ? spotFor(page, style, longhand) : null;
  const color = (style: Style) => has(style, "background-color", "rgba(0, 0, 0, 0)");
  const image = (style: Style) => has(style, "background-image", "none");
  return { html, body, onRoot: color(html) ?? image(html), color: color(body), image: image(body) };
}

const wherever = (page: KnownPage, { element }: Style) => ({
  ...at(page.file, element.source?.startTag.start ?? 0),
  places: [{ page: page.file.path, index: element.index }],
});

function bothHaveOne(page: KnownPage, { body, onRoot, color, image }: Grounds): Found | null {
  const spot = color ?? image;
  if (!onRoot || !spot) return null;
  return {
    level: "note",
    message: "`html` and `body` both have a ground: that of `html` fills the window, that of `body` ends with its box.",
    because:
      "The ground of `body` is that of the whole window only as long as `html` has none (CSS Backgrounds 3, 2.11.2).",
    ...wherever(page, body),
    spot,
    kind: "both",
    ways: ({ site }) =>
      declareWay(
        site,
        "Let the one of `body` reach down the window",
        targetOf(page.file.path, spot),
        "min-height",
        "100vh",
      ),
  };
}

/** A gradient that is laid in tiles as tall as the text. */
function tiles(page: KnownPage, { html, body, onRoot, image }: Grounds): Found | null {
  if (!image || onRoot || !/gradient\(/.test(computedValue(body, "background-image"))) return null;
  if (computedValue(body, "background-attachment").includes("fixed")) return null;
  if (computedValue(body, "background-repeat").includes("no-repeat") || isTall(html) || isTall(body)) return null;
  return {
    level: "warning",
    message: "The gradient of `body` is as tall as its text and starts again below it: on a short page it repeats.",
    because: "The ground of `body` is laid on the window in tiles of the size of `html` (CSS Backgrounds 3, 2.11.2).",
    ...wherever(page, body),
    spot: image,
    kind: "tiles",
    ways: ({ site }) => [
      ...declareWay(
        site,
        "Make the page at least as tall as the window",
        { kind: "new-rule", path: image.path, selector: "html" },
        "min-height",
        "100%",
      ),
      ...declareWay(
        site,
        "Hold it still in the window",
        targetOf(page.file.path, image),
        "background-attachment",
        "fixed",
      ),
    ],
  };
}

const isTall = (style: Style) => ["min-height", "height"].some((name) => /[1-9]/.test(declaredText(style, name) ?? ""));
