import { showRatio } from "../../color";
import type { PalettePair, PaletteValue } from "../../palette/palette";
import { html, type Markup } from "./markup";
import { behind } from "./specimen";
import type { Section } from "./types";
import { counted } from "../words";
import { placesIn } from "./words";

/** Inks on the grounds they really stand on. */
export const pairs: Section = {
  id: "pairs",
  title: "Inks on grounds",
  lead: "Every ink on every ground it stands on, with its contrast ratio (WCAG 2.2); what cannot be read first.",
  *make({ palette }) {
    if (palette.pairs.length === 0) return null;
    return html`<table>
      <thead>
        <tr>
          <th>Looks</th>
          <th>Ink</th>
          <th>Ground</th>
          <th>Ratio</th>
          <th>Needs</th>
          <th class="wide">Where</th>
        </tr>
      </thead>
      <tbody>
        ${palette.pairs.map(rowOf)}
      </tbody>
    </table>`;
  },
};

function rowOf(pair: PalettePair): Markup {
  const { ink, inkName, groundName, ratio, needs, passes, certain, schemes, places } = pair;
  const fault = certain ? "▲ " : "◆ ";
  const only = schemes?.length === 1 ? `${schemes[0] === "dark" ? "in the dark" : "in light"}; ` : "";
  return html`<tr>
    <td><span class="chip" style="color: ${ink}; background: ${behind(pair)}">Aa</span></td>
    <td><code>${inkName}</code></td>
    <td><code>${groundName}</code></td>
    <td class="figure">${passes ? "" : fault}${showRatio(ratio)}</td>
    <td class="figure">${needs}</td>
    <td>${only}${placesIn(places)}</td>
  </tr>`;
}

/** Colour values as they are written. */
export const values: Section = {
  id: "values",
  title: "Colour values",
  lead: "Every colour as it is written, with what it is used for.",
  *make({ palette }) {
    const shown = palette.values.filter(({ css }) => css !== null);
    if (shown.length === 0) return null;
    const named = shown.some((value) => namesOf(value).length > 0);
    const rows = shown.map(
      (value) =>
        html`<tr>
          <td><span class="chip" style="background: ${value.css}"></span></td>
          <td><code>${value.value}</code></td>
          ${named ? html`<td>${namesOf(value).map((name) => html`<code>${name}</code> `)}</td>` : null}
          <td>${value.words}</td>
          <td class="figure">${counted(value.places, "place")}</td>
        </tr>`,
    );
    return html`<table>
      <thead>
        <tr>
          <th>Looks</th>
          <th>Value</th>
          ${named ? html`<th>Named</th>` : null}
          <th class="wide">Used for</th>
          <th>Places</th>
        </tr>
      </thead>
      <tbody>
        ${rows}
      </tbody>
    </table>`;
  },
};

const namesOf = ({ uses }: PaletteValue) => [
  ...new Set(uses.flatMap(({ role, property }) => (role === "named" ? [property] : []))),
];
