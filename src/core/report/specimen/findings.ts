import { foundIn, plainWords, type FoundOrLeft } from "../found";
import { html, type Markup } from "./markup";
import type { Section } from "./types";

/** So many that are open are named. */
const most = 60;

const marks = { error: "▲", warning: "◆", note: "" } as const;

/** What was found: first what stays as it is, and why; then what is open. */
export const findings: Section = {
  id: "findings",
  title: "Findings",
  lead: "What stays as it is, and why; and what is open.",
  *make(source) {
    const found = yield* foundIn(source);
    if (found.length === 0) return html`<p>Nothing was found.</p>`;
    const left = found.filter((one) => one.left !== null);
    const open = found.filter((one) => one.left === null);
    return html`
      ${
        left.length === 0
          ? null
          : html`<h3>Stays as it is</h3>
              ${listOf(left)}`
      }
      ${
        open.length === 0
          ? null
          : html`<h3>Open</h3>
              ${listOf(open.slice(0, most))}`
      }
      ${open.length > most ? html`<p>And ${open.length - most} more.</p>` : null}
    `;
  },
};

const listOf = (found: readonly FoundOrLeft[]): Markup =>
  html`<ul class="plain">
    ${found.map(
      ({ level, message, path, line, left }) =>
        html`<li class="whole">
          ${marks[level]} ${plainWords(message)} <span class="where">${path}, line ${line}</span>${
            left === null ? null : html`<br /><b>Why it stays:</b> ${left}`
          }
        </li>`,
    )}
  </ul>`;
