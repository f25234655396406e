import { stackTable, type StackUse } from "../../tables/stackTable";
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
              ${facesOf(use).map(
                ([face, on]) =>
                  html`<tr>
                    <th scope="row">${face}</th>
                    <td>${on.join(", ")}</td>
                  </tr>`,
              )}
            </tbody>
          </table>
        </div>`,
    )}`;
  },
};

function facesOf({ info }: StackUse): [face: string, on: string[]][] {
  const faces = new Map<string, string[]>();
  for (const { face, label } of info.readers) faces.set(face, [...(faces.get(face) ?? []), label]);
  return [...faces];
}
