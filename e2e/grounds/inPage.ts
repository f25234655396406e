/** Run inside a page of its own: what the product says lies under each text, for the pixels to confirm. */
import {
  defaultConditions,
  legibilityOn,
  openSite,
  pagesOf,
  styledPage,
  textId,
  textsOf,
  type Color,
  type PageLayout,
} from "../../src/core";
import { documentAt, lookOf, pageAsPicture } from "../../src/engine/views";
import { bandsOf } from "../../src/preview/bands";
import { frameSandbox, showPage } from "../../src/preview/frame";
import { lookAt } from "../../src/preview/look";

export interface SaidGround {
  /** The element's `id`, or its tag, with the pseudo-element. */
  id: string;
  /** Whether the page says, by its class, that nobody sees it. */
  hidden: boolean;
  /** Bands along its lines, in CSS px of the page. */
  bands: { left: number; top: number; right: number; bottom: number }[];
  certain: boolean;
  doubt: string | null;
  unjudged: string | null;
  verdict: string;
  ratio: number;
  needs: number;
  /** 0 to 255. */
  darkest: number[];
  lightest: number[];
  ink: number[];
  painted: boolean;
  /** Part of it that was seen. */
  seen: number;
  kind: string;
}

const bytes = ({ channels }: Color) => channels.map((value) => Math.round(Math.min(1, Math.max(0, value ?? 0)) * 255));

declare global {
  interface Window {
    saidGrounds(html: string, scheme: "light" | "dark", width: number, height: number): Promise<SaidGround[]>;
  }
}

const base64 = (text: string) => {
  let binary = "";
  for (const byte of new TextEncoder().encode(text)) binary += String.fromCharCode(byte);
  return btoa(binary);
};

window.saidGrounds = async (html, scheme, width, height) => {
  const path = "index.html";
  const site = openSite([{ path, text: html }]);
  const conditions = { ...defaultConditions, width, height, scheme };
  const page = styledPage(site, pagesOf(site)[0]!, conditions);
  const addressOf = () => null;
  const view = {
    ...lookOf(site, path, conditions, addressOf, () => ({})),
    document: documentAt(site, path, conditions, addressOf),
  };
  const frame = document.createElement("iframe");
  frame.setAttribute("sandbox", frameSandbox);
  frame.style.cssText = `position:absolute;left:0;top:0;border:0;width:${width}px;height:${height}px;color-scheme:${scheme}`;
  document.body.append(frame);
  const shown = await showPage(frame, view);
  await shown.document.fonts.ready;
  await Promise.all([...shown.document.images].map((image) => image.decode().catch(() => undefined)));
  const layouts: Record<string, PageLayout> = {};
  await lookAt(
    shown,
    view.places,
    async (look, stage, unknown) =>
      `data:image/svg+xml;base64,${base64(pageAsPicture(site, path, conditions, addressOf, stage, look, unknown))}`,
    async (layout) => void (layouts[path] = layout),
    () => true,
  );
  const said = textsOf(page).map((style) => {
    const { pseudo } = style;
    const { ground, ink, ratio, needs, verdict, unjudged } = legibilityOn(page, style, layouts);
    const [darkest, lightest] = ground.range ?? [ground.color, ground.color];
    const place = view.places.find((one) => one.index === style.element.index && one.pseudo === pseudo)!;
    let bands = bandsOf(shown, place);
    const text = layouts[path]![textId(place.index, pseudo)]?.text;
    if (bands.length === 0 && text)
      bands = [
        {
          left: text.left,
          top: text.top,
          right: text.left + text.width,
          bottom: text.top + text.height,
        },
      ];
    return {
      id: (style.element.id ?? style.element.tag) + (pseudo ? `::${pseudo}` : ""),
      hidden: style.element.classes.includes("hidden"),
      bands,
      certain: ground.certain,
      doubt: ground.doubt,
      unjudged,
      verdict,
      ratio,
      needs,
      darkest: bytes(darkest),
      lightest: bytes(lightest),
      ink: bytes(ink),
      painted: ground.painted,
      seen: layouts[path]![textId(place.index, pseudo)]?.painted?.seen ?? 1,
      kind: ground.kind,
    };
  });
  frame.remove();
  return said;
};
