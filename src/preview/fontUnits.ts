/**
 * What one of each font-relative unit comes to, in px: x-height, "0", capital, ideograph, line (CSS Values 4, 6.1.1).
 * Measured as the width of very many of them, since computed lengths are written with six digits only; those have to do
 * where the page is not laid out. It stands by itself, so that it can be run inside any page.
 * @param fonts each as the `font` shorthand takes it, with its size in CSS px
 */
export function measureFontUnits(
  fonts: readonly (readonly [font: string, size: number])[],
  of: Document = document,
): [ex: number, ch: number, cap: number, ic: number, line: number][] {
  const units = ["ex", "ch", "cap", "ic", "lh"];
  const holder = of.createElement("div");
  // Taken out of the zoom of the root (CSS Viewport 1, 3).
  const zoom = (of.documentElement as Element & { currentCSSZoom?: number }).currentCSSZoom ?? 1;
  holder.style.cssText = `all: initial !important; position: absolute !important; visibility: hidden !important; overflow: hidden !important; zoom: ${1 / zoom} !important`;
  const probes = fonts.map(([font, size]) => {
    // The longest length that layout knows is some 33 million px.
    const many = size < 200 ? 100_000 : 5_000;
    return {
      many,
      boxes: units.map((unit) => {
        const box = of.createElement("div");
        box.style.cssText = `all: initial; display: block; font: ${font}; width: ${many}${unit}; height: 0`.replace(
          /(?=;|$)/g,
          " !important",
        );
        holder.append(box);
        return box;
      }),
    };
  });
  of.documentElement.append(holder);
  const widthOf = (box: Element) =>
    box.getBoundingClientRect().width || Number.parseFloat(of.defaultView!.getComputedStyle(box).width) || 0;
  try {
    return probes.map(
      ({ many, boxes }) => boxes.map((box) => widthOf(box) / many) as [number, number, number, number, number],
    );
  } finally {
    holder.remove();
  }
}
