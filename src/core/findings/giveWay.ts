/** How boxes that hold their text in are made to give way. */
import type { KnownPage } from "../cascade/styledPages";
import { computedValue, fontSizeOf, rootOf, type Style } from "../cascade/style";
import type { Site } from "../source/site";
import type { TextChange } from "../source/changes";
import { declaredSpot, declareWay, ownTarget, spotFor, targetOf, type Spot } from "./cause";

/** Widths up to this one are there for every reader, CSS px (WCAG 2.2, 1.4.10). */
const narrow = 320;

/** Makes boxes grow with what is in them: what limits the height of each, or of what is around it, gives way. */
export function letGrow(site: Site, page: KnownPage, indexes: readonly number[]): TextChange[] {
  return gathered(page, indexes, (style) => heightReleased(site, page, style) ?? linesReleased(site, page, style));
}

/** Makes what reaches beyond a narrow window fit into it. */
export function letFit(site: Site, page: KnownPage, indexes: readonly number[]): TextChange[] {
  return gathered(page, indexes, (style) => widthReleased(site, page, style) ?? wordsReleased(site, page, style));
}

/** The changes for several elements, each once. */
function gathered(
  page: KnownPage,
  indexes: readonly number[],
  changesFor: (style: Style) => readonly TextChange[],
): TextChange[] {
  const all = indexes.flatMap((index) => (page.styles[index] ? changesFor(page.styles[index]) : []));
  return [...new Map(all.map((change) => [`${change.path} ${change.start} ${change.end}`, change])).values()];
}

/** Another name for a property where it is declared. */
const renamed = ({ path, offset, declaration: { name } }: Spot, to: string): TextChange[] => [
  { path, start: offset, end: offset + name.end - name.start, insert: to },
];

function declared(
  site: Site,
  page: KnownPage,
  style: Style,
  spot: Spot | null,
  property: string,
  value: string | null,
): TextChange[] {
  const target = spot ? targetOf(page.file.path, spot) : ownTarget(page, style);
  return declareWay(site, "", target, property, value).flatMap(({ changes }) => changes);
}

/** The first box from an element outwards, the page's own left out, of which something is found. */
function outwards<Result>(page: KnownPage, from: Style, look: (style: Style) => Result | null): Result | null {
  for (let style: Style | null = from; style?.parent; style = style.parent) {
    if (style.element === page.document.body) return null;
    const found = look(style);
    if (found !== null) return found;
  }
  return null;
}

function heightReleased(site: Site, page: KnownPage, from: Style): TextChange[] | null {
  return outwards(page, from, (style) => {
    const height = declaredSpot(page, style, "height");
    if (height && /\d/.test(height.declaration.valueText)) return renamed(height, "min-height");
    const most = declaredSpot(page, style, "max-height");
    return most && /\d/.test(most.declaration.valueText) ? declared(site, page, style, most, "max-height", null) : null;
  });
}

/** Lines that may not break break again; what is cut off for another reason is shown. */
function linesReleased(site: Site, page: KnownPage, style: Style): TextChange[] {
  const wrap = spotFor(page, style, "text-wrap-mode");
  if (wrap && computedValue(style, "text-wrap-mode") === "nowrap")
    return declared(site, page, style, wrap, "white-space", "normal");
  const overflow = spotFor(page, style, "overflow-x");
  return overflow ? declared(site, page, style, overflow, "overflow", "visible") : [];
}

function widthReleased(site: Site, page: KnownPage, from: Style): TextChange[] | null {
  return outwards(page, from, (style) => {
    const width = declaredSpot(page, style, "width");
    if (width && isTooWide(width)) return renamed(width, "max-width");
    const least = declaredSpot(page, style, "min-width");
    return least && isTooWide(least) ? declared(site, page, style, least, "min-width", null) : null;
  });
}

/** Whether a length is more than every window has; what depends on the window is not. */
function isTooWide({ declaration, holder }: Spot): boolean {
  const [, number, unit] = /^([\d.]+)(px|em|rem)$/i.exec(declaration.valueText.trim()) ?? [];
  if (!number) return false;
  const sizes: Readonly<Record<string, number>> = { em: fontSizeOf(holder), rem: fontSizeOf(rootOf(holder)) };
  return Number(number) * (sizes[unit!.toLowerCase()] ?? 1) > narrow;
}

function wordsReleased(site: Site, page: KnownPage, style: Style): TextChange[] {
  const own = (property: string, value: string) => declared(site, page, style, null, property, value);
  if (/^(?:img|video|iframe|object|embed|svg|canvas)$/.test(style.element.tag)) return own("max-width", "100%");
  if (style.element.tag === "pre") return own("overflow-x", "auto");
  const wrap = spotFor(page, style, "text-wrap-mode");
  if (wrap && computedValue(style, "text-wrap-mode") === "nowrap")
    return declared(site, page, style, wrap, "white-space", "normal");
  return own("overflow-wrap", "anywhere");
}
