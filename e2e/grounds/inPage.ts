/** Run inside a test page: what the product says lies under each place, for the pixels to confirm. */
import { defaultConditions, isPlace, legibilityOn, openSite, pagesOf, stylePage, type Color } from "../../src/core";
import { layoutOf } from "../../src/preview/grounds";
import type { ShownPage } from "../../src/preview/frame";

export interface SaidGround {
  id: string;
  text: { left: number; top: number; width: number; height: number };
  certain: boolean;
  doubt: string | null;
  /** 0 to 255. */
  darkest: number[];
  lightest: number[];
}

const bytes = ({ channels }: Color) => channels.map((value) => Math.round(Math.min(1, Math.max(0, value ?? 0)) * 255));

declare global {
  interface Window {
    saidGrounds(html: string, scheme: "light" | "dark"): Promise<SaidGround[]>;
  }
}

window.saidGrounds = async (html, scheme) => {
  const site = openSite([{ path: "index.html", text: html }]);
  const page = stylePage(site, pagesOf(site)[0]!, {
    ...defaultConditions,
    width: window.innerWidth,
    height: window.innerHeight,
    scheme,
  });
  const shown: ShownPage = { document, nodes: [...document.querySelectorAll("*")], dress: () => undefined };
  const places = page.styles.filter(isPlace);
  const layout = await layoutOf(
    shown,
    places.map(({ element }) => element.index),
    () => true,
  );
  return places.flatMap((style) => {
    const place = layout![style.element.index];
    if (!place) return [];
    const { ground } = legibilityOn(page, style, { "index.html": layout! });
    const [darkest, lightest] = ground.range ?? [ground.color, ground.color];
    return [
      {
        id: style.element.id ?? style.element.tag,
        text: place.text,
        certain: ground.certain,
        doubt: ground.doubt,
        darkest: bytes(darkest),
        lightest: bytes(lightest),
      },
    ];
  });
};
