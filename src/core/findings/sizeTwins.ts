import { fontSizeOf } from "../cascade/style";
import { refOf, textsOf } from "../text/pageTexts";
import { declareWay, spotFor, targetOf, type Spot } from "./cause";
import { at, type Check, type Found } from "./types";

/** Sizes nearer to each other than this are told apart by nobody, CSS px. */
const alike = 0.75;

interface Sized {
  size: number;
  spot: Spot;
  page: string;
  places: NonNullable<Found["places"]>;
}

/** Sizes of text so near to each other that one would do. */
export const sizeTwins: Check = {
  name: "size-twins",
  group: "tidy",
  *onSite({ pages }) {
    const bySize = new Map<number, Map<string, Sized>>();
    for (const page of pages) {
      yield;
      for (const style of textsOf(page)) {
        const spot = spotFor(page, style, "font-size");
        if (!spot || style.pseudo) continue;
        const size = Math.round(fontSizeOf(style) * 100) / 100;
        const byspot = bySize.get(size) ?? new Map<string, Sized>();
        bySize.set(size, byspot);
        const key = `${spot.path}:${spot.offset}`;
        const known = byspot.get(key) ?? { size, spot, page: page.file.path, places: [] };
        known.places.push(refOf(page.file.path, style));
        byspot.set(key, known);
      }
    }
    const used = (size: number) => [...bySize.get(size)!.values()].reduce((sum, { places }) => sum + places.length, 0);
    const sizes = [...bySize.keys()].sort((a, b) => a - b);
    return sizes.flatMap((size, index): Found[] => {
      const next = sizes[index + 1];
      if (next === undefined || next - size >= alike) return [];
      const [rare, usual] = used(size) < used(next) ? [size, next] : [next, size];
      return [...bySize.get(rare)!.values()].map(({ spot, page, places }) => twin(rare, usual, spot, page, places));
    });
  },
};

function twin(rare: number, usual: number, spot: Spot, page: string, places: Sized["places"]): Found {
  return {
    level: "note",
    message: `${rare}px is nearly ${usual}px, which other texts are set in: one size would do.`,
    because: "Sizes that look like one make a page restless and have to be changed twice.",
    ...at({ path: spot.path, text: "" }, 0),
    spot,
    kind: "twin",
    places,
    ways: ({ site }) => declareWay(site, `Write \`${usual}px\``, targetOf(page, spot), "font-size", `${usual}px`),
  };
}
