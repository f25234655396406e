/** Opens a page in the browser, scripts off, and compares every element and longhand with the core's answer. */
import type { Browser, Page } from "@playwright/test";
import {
  computedValue,
  defaultConditions,
  fontKeyOf,
  openSite,
  pseudoTexts,
  reportedLonghands,
  stylePage,
  type SiteFile,
  type Style,
  type StyledPage,
} from "../../src/core";
import { measureFontUnits } from "../../src/preview/fontUnits";
import { sizeless } from "../../src/preview/sizeless";
import { isExcepted } from "./exceptions";

export interface Difference {
  page: string;
  conditions: string;
  element: string;
  property: string;
  ours: string;
  browser: string;
}

export interface Comparison {
  compared: number;
  differences: Difference[];
}

/** What the core says of a longhand or a custom property. */
const valueOf = (style: Style, property: string): string =>
  property.startsWith("--") ? (style.shared.custom.get(property) ?? "") : computedValue(style, property);

/** Addresses are compared without their base, which only the browser has; custom properties without spaces and comments. */
const comparable = (value: string, property: string) =>
  (property.startsWith("--") ? value.replaceAll(/\s|\/\*.*?\*\//g, "") : value).replaceAll(
    /url\("(?!data:)[^"]*"\)/g,
    "url()",
  );

export const origin = "http://site.example";

const types: Record<string, string> = { html: "text/html", css: "text/css", svg: "image/svg+xml", woff2: "font/woff2" };

/** How a text is set, as far as its font goes: CSS px. */
interface FontSeen {
  fontFamily: string;
  size: number;
  fontWeight: string;
  fontStyle: string;
  fontStretch: string;
}

/** What the browser makes of a page: the longhands of every element, sizes of containers by element, settings of fonts. */
interface Seen {
  styles: string[][];
  sizes: [index: number, size: { width: number; height: number }][];
  settings: FontSeen[];
}

/** Asked at once and as one text: many questions, and many small values, are slow on their way. */
async function seenBy(page: Page, names: readonly string[]): Promise<Seen> {
  const text = await page.evaluate(
    ({ names, without }) => {
      // Animations have come to their end, as the sheet says it.
      for (const animation of document.getAnimations()) {
        if (animation.effect?.getComputedTiming().endTime === Infinity) animation.cancel();
        else animation.finish();
      }
      const all = [...document.querySelectorAll("*")];
      const styles = all.map((element) => {
        const style = getComputedStyle(element);
        return names.map((name) => style.getPropertyValue(name));
      });
      const px = (...values: string[]) => values.reduce((sum, value) => sum + (parseFloat(value) || 0), 0);
      const sizes = all.flatMap((element, index) => {
        const style = getComputedStyle(element);
        if (style.containerType === "normal" || new RegExp(without).test(style.display)) return [];
        const around = style.boxSizing === "border-box";
        const size = {
          width:
            px(style.width) -
            (around ? px(style.paddingLeft, style.paddingRight, style.borderLeftWidth, style.borderRightWidth) : 0),
          height:
            px(style.height) -
            (around ? px(style.paddingTop, style.paddingBottom, style.borderTopWidth, style.borderBottomWidth) : 0),
        };
        return [[index, size]];
      });
      const bare = document.createElement("div");
      bare.style.all = "initial";
      document.documentElement.append(bare);
      const fonts = [bare, ...all].map((element) => {
        const { fontFamily, fontSize, fontWeight, fontStyle, fontStretch } = getComputedStyle(element);
        const zoom = (element as Element & { currentCSSZoom: number }).currentCSSZoom;
        return { fontFamily, size: parseFloat(fontSize) * zoom, fontWeight, fontStyle, fontStretch };
      });
      bare.remove();
      const settings = [...new Map(fonts.map((one) => [JSON.stringify(one), one])).values()];
      return JSON.stringify({ styles, sizes, settings });
    },
    { names, without: sizeless.source },
  );
  return JSON.parse(text) as Seen;
}

/** What a page asks of its window by, or has others ask: conditions, sheets, units, schemes. */
const ofWindow =
  /@(?:media|import|container)|<link|media=|scheme|light-dark|srcset|sizes|\d(?:[sld]?v(?:w|h|i|b|min|max)|cq(?:w|h|i|b|min|max))\b/i;

/** Pages that ask nothing of their window are compared in the widest one in light colours, and in the narrowest in dark ones. */
function widthsFor(text: string, scheme: "light" | "dark", widths: readonly number[]): readonly number[] {
  return ofWindow.test(text) ? widths : widths.slice(...(scheme === "dark" ? [0, 1] : [-1]));
}

/**
 * @param compared told of each page as it was styled, under conditions that were measured in the browser
 * @param variables custom properties that are compared, too
 */
export async function compareSite(
  browser: Browser,
  files: SiteFile[],
  widths: readonly number[],
  compared: (page: StyledPage) => void = () => undefined,
  variables: readonly string[] = [],
): Promise<Comparison> {
  const names = [...reportedLonghands, ...variables];
  const site = openSite(files);
  const result: Comparison = { compared: 0, differences: [] };
  for (const scheme of ["light", "dark"] as const) {
    const context = await browser.newContext({
      javaScriptEnabled: false,
      colorScheme: scheme,
      viewport: { width: 1280, height: 800 },
    });
    await context.route("**/*", (route) => {
      const path = decodeURIComponent(new URL(route.request().url()).pathname).slice(1);
      const file = files.find((one) => one.path === path);
      if (!file) return route.fulfill({ status: 404 });
      const body = "text" in file ? file.text : Buffer.from(file.bytes);
      return route.fulfill({ body, contentType: types[path.split(".").pop()!] ?? "application/octet-stream" });
    });
    const page = await context.newPage();
    for (const file of [...site.files.values()].filter((one) => one.kind === "html")) {
      if (file.kind !== "html") continue;
      await page.goto(`${origin}/${file.path}`);
      for (const width of widthsFor(file.text, scheme, widths)) {
        await page.setViewportSize({ width, height: 800 });
        const { styles: browserStyles, sizes, settings } = await seenBy(page, names);
        const measured = await page.evaluate(
          measureFontUnits,
          settings.map(
            ({ fontFamily, size, fontWeight, fontStyle, fontStretch }) =>
              [`${fontStyle} ${fontWeight} ${size}px ${fontFamily}; font-stretch: ${fontStretch}`, size] as const,
          ),
        );
        const fonts = Object.fromEntries(
          settings.map(({ fontFamily, size, fontWeight, fontStyle, fontStretch }, at) => {
            const [ex, ch, cap, ic, line] = measured[at]!;
            const key = fontKeyOf(fontFamily, size, Number(fontWeight), fontStyle !== "normal", fontStretch);
            return [key, { ex, ch, cap, ic, line }];
          }),
        );
        const containers = { [file.path]: Object.fromEntries(sizes) };
        const styled = stylePage(site, file, { ...defaultConditions, width, scheme, containers, fonts });
        compared(styled);
        const where = `${width} ${scheme}`;
        if (styled.styles.length !== browserStyles.length) {
          result.differences.push({
            page: file.path,
            conditions: where,
            element: "document",
            property: "elements",
            ours: String(styled.styles.length),
            browser: String(browserStyles.length),
          });
          continue;
        }
        const pseudos = pseudoTexts(styled);
        const pseudoStyles =
          pseudos.length === 0
            ? []
            : await page.evaluate(
                ([list, names]) => {
                  const all = document.querySelectorAll("*");
                  return list.map(([index, name]) =>
                    names.map((one) => getComputedStyle(all[index]!, `::${name}`).getPropertyValue(one)),
                  );
                },
                [pseudos.map(({ index, name }) => [index, name] as const), names] as const,
              );
        const texts = [
          ...styled.styles.map((style, index) => ({ style, part: "", values: browserStyles[index]! })),
          ...pseudos.map(({ style, name }, at) => ({ style, part: `::${name}`, values: pseudoStyles[at]! })),
        ];
        for (const { style, part, values } of texts) {
          const { index } = style.element;
          for (const [at, property] of names.entries()) {
            const theirs = comparable(values[at]!, property);
            const ours = comparable(valueOf(style, property), property);
            if (ours !== theirs && isExcepted(property, style, ours, theirs, part)) continue;
            result.compared += 1;
            if (ours === theirs) continue;
            const { element } = style;
            const name = `${element.tag}${element.id ? `#${element.id}` : ""}${element.classes.map((one) => `.${one}`).join("")}${part} [${index}]`;
            result.differences.push({
              page: file.path,
              conditions: where,
              element: name,
              property,
              ours,
              browser: theirs,
            });
          }
        }
      }
    }
    await context.close();
  }
  return result;
}
