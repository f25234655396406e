import { groupBy } from "../../source/groups";
import { stackTable } from "../../tables/stackTable";
import { html } from "./markup";
import type { Section } from "./types";
import { placesIn } from "./words";

/** Font stacks, with who gets which face. */
export const stacks: Section = {
  id: "stacks",
  title: "Font stacks",
  lead: "Every font stack, and the face that readers get of it on each system.",
  *make({ site, conditions }) {
    const table = stackTable(site, conditions);
    yield;
    if (table.length === 0) return null;
    return html`${table.map(
      (use) =>
        html`<div class="whole">
          <p class="stack" style="font-family: ${use.stack}">${use.sample}</p>
          <p><code>${use.stack}</code><br />${placesIn(use.places)}.</p>
          <table class="faces">
            <tbody>
              ${[...groupBy(use.info.readers, ({ face }) => face)].map(
                ([face, on]) =>
                  html`<tr>
                    <th scope="row">${face}</th>
                    <td>${on.map(({ label }) => label).join(", ")}</td>
                  </tr>`,
              )}
            </tbody>
          </table>
        </div>`,
    )}`;
  },
};
