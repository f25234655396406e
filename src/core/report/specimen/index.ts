/** The specimen sheet: what a site uses, as one page that needs nothing beside it. */
import { schemesOf } from "../../cascade/schemes";
import { paletteOf } from "../../palette/palette";
import { pagesOf, sheetsOf } from "../../source/site";
import { textStyleTable } from "../../tables/styleTable";
import type { Report } from "../types";
import { pairs, values } from "./colors";
import { findings } from "./findings";
import { fontsFor } from "./fonts";
import { links } from "./links";
import { html, Markup } from "./markup";
import { scale } from "./scale";
import { stacks } from "./stacks";
import { sheetStyle } from "./style";
import { textStyles } from "./textStyles";
import type { Section, Source } from "./types";
import { counted } from "../words";
import { showNumber } from "./words";

/** In the order of the sheet. A new one is a file and a line here. */
const sections: readonly Section[] = [textStyles, scale, stacks, pairs, links, values, findings];

/** Nothing runs in it, and it fetches nothing (CSP 3, 6.1). */
const policy = "default-src 'none'; style-src 'unsafe-inline'; font-src data:";

export const specimenSheet: Report = {
  id: "specimen-sheet",
  group: "uses",
  label: "Specimen sheet (HTML, prints on A4)",
  hint: "What the site uses, to be looked at by a colleague",
  file: "specimen.html",
  type: "text/html",
  *make(context) {
    const { site, conditions, layouts } = context;
    const rows = textStyleTable(site, conditions, layouts);
    yield;
    const source: Source = { ...context, rows, palette: paletteOf(site, conditions, layouts) };
    yield;
    const made: { section: Section; body: Markup }[] = [];
    for (const section of sections) {
      const body = yield* section.make(source);
      if (body) made.push({ section, body });
    }
    return page(source, made);
  },
};

function page(source: Source, made: readonly { section: Section; body: Markup }[]): string {
  const { name, site, conditions } = source;
  const fonts = fontsFor(site, conditions);
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta http-equiv="Content-Security-Policy" content="${policy}" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>${name}: specimen sheet</title>
        <style>
          ${new Markup(fonts.css + sheetStyle)}
        </style>
      </head>
      <body>
        <header>
          <h1>${name}</h1>
          <p>${summary(source)}</p>
          ${fonts.left.length ? html`<p>${fonts.left.join(", ")} would make this sheet too large, and is shown only where it is installed.</p>` : null}
          <nav aria-label="Parts">${made.map(({ section: { id, title } }) => html`<a href="#${id}">${title}</a>`)}</nav>
        </header>
        <main>
          ${made.map(
            ({ section: { id, title, lead }, body }) =>
              html`<section aria-labelledby="${id}">
                <h2 id="${id}">${title}</h2>
                <p class="lead">${lead}</p>
                ${body}
              </section> `,
          )}
        </main>
      </body>
    </html> `.text;
}

function summary({ site, conditions, rows, palette }: Source): string {
  const schemes = schemesOf(site, conditions);
  const counts = [
    counted(pagesOf(site).length, "page"),
    counted(sheetsOf(site).length, "sheet"),
    counted(rows.length, "text style"),
    counted(palette.values.filter(({ css }) => css !== null).length, "colour value"),
  ].join(", ");
  const scheme = schemes.length === 2 ? "in light and in the dark" : "in one scheme for all readers";
  return `${counts}; ${scheme}. Sizes are those in a window ${showNumber(conditions.width)} px wide.`;
}
