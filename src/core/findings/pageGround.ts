import { declaredText } from "../cascade/declared";
import { computedValue } from "../cascade/style";
import { declareWay, spotFor, targetOf } from "./cause";
import { at, type Check, type Found } from "./types";

/** A ground of the page that does not do what it seems to: that stops short, tiles, or hides another. */
export const pageGround: Check = {
  name: "page-ground",
  group: "page",
  onPage: (page) => {
    const { root, body } = page.document;
    if (!root || !body) return [];
    const [html, own] = [page.styles[root.index]!, page.styles[body.index]!];
    const has = (style: typeof own, longhand: string, none: string) =>
      computedValue(style, longhand) !== none ? spotFor(page, style, longhand) : null;
    const onRoot = has(html, "background-color", "rgba(0, 0, 0, 0)") ?? has(html, "background-image", "none");
    const color = has(own, "background-color", "rgba(0, 0, 0, 0)");
    const image = has(own, "background-image", "none");
    const places = [{ page: page.file.path, index: body.index }];
    const all: Found[] = [];
    const where = at(page.file, body.source?.startTag.start ?? 0);
    if (onRoot && (color || image)) {
      const spot = (color ?? image)!;
      all.push({
        level: "note",
        message: `\`html\` and \`body\` both have a ground: that of \`html\` fills the window, that of \`body\` ends with its box.`,
        because:
          "The ground of `body` is that of the whole window only as long as `html` has none (CSS Backgrounds 3, 2.11.2).",
        ...where,
        spot,
        kind: "both",
        places,
        ways: ({ site }) =>
          declareWay(
            site,
            "Let the one of `body` reach down the window",
            targetOf(page.file.path, spot),
            "min-height",
            "100vh",
          ),
      });
    }
    const gradient = image && /gradient\(/.test(computedValue(own, "background-image"));
    const fixed = computedValue(own, "background-attachment").includes("fixed");
    const repeats = !computedValue(own, "background-repeat").includes("no-repeat");
    const isTall = (style: typeof own) =>
      ["min-height", "height"].some((name) => /[1-9]/.test(declaredText(style, name) ?? ""));
    const tall = isTall(html) || isTall(own);
    if (gradient && !onRoot && !fixed && repeats && !tall) {
      all.push({
        level: "warning",
        message: "The gradient of `body` is as tall as its text and starts again below it: on a short page it repeats.",
        because:
          "The ground of `body` is laid on the window in tiles of the size of `html` (CSS Backgrounds 3, 2.11.2).",
        ...where,
        spot: image,
        kind: "tiles",
        places,
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
      });
    }
    return all;
  },
};
