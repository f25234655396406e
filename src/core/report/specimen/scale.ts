import type { StyleRow } from "../../tables/styleTable";
import { html } from "./markup";
import type { Section } from "./types";
import { counted } from "../words";
import { showNumber } from "./words";

/** The sizes of the site, each as a bar as long as it is high. */
export const scale: Section = {
  id: "scale",
  title: "Sizes",
  lead: "Every size that occurs; a bar is as long as the size, and × says how much larger it is than the next.",
  *make({ rows }) {
    const sizes = sizesOf(rows);
    if (sizes.length === 0) return null;
    return html`<table>
      <thead>
        <tr>
          <th>px</th>
          <th>rem</th>
          <th>×</th>
          <th class="wide">Bar</th>
          <th>Used by</th>
        </tr>
      </thead>
      <tbody>
        ${sizes.map(({ px, rootPx, roles, places }, at) => {
          const next = sizes[at + 1]?.px;
          return html`<tr>
            <td class="figure">${showNumber(px)}</td>
            <td class="figure">${showNumber(px / rootPx)}</td>
            <td class="figure">${next === undefined ? "" : (px / next).toFixed(2)}</td>
            <td><span class="bar" style="width: ${showNumber(Math.min(px, longestBar))}px"></span></td>
            <td>${[...roles].join(", ")}: ${counted(places, "place")}</td>
          </tr>`;
        })}
      </tbody>
    </table>`;
  },
};

/** px; longer bars would leave the paper. */
const longestBar = 240;

function sizesOf(rows: readonly StyleRow[]) {
  const sizes = new Map<number, { px: number; rootPx: number; roles: Set<string>; places: number }>();
  for (const { sizePx, rootPx, role, places } of rows) {
    const px = Number(sizePx.toFixed(2));
    const known = sizes.get(px) ?? { px, rootPx, roles: new Set(), places: 0 };
    sizes.set(px, known);
    known.roles.add(role);
    known.places += places.length;
  }
  return [...sizes.values()].sort((a, b) => b.px - a.px);
}
