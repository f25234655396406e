/** Words as they are set on the site, on their true ground. */
import { html, type Markup } from "./markup";

export interface Set {
  text: string;
  specimen: readonly (readonly [property: string, value: string])[];
  color: string;
  ground: string;
  /** Darkest and lightest, where there is more than one. */
  range: readonly [string, string] | null;
}

const most = 120;

/** At most so many characters, whole words where that is possible. */
export function shortened(text: string): string {
  const plain = text.replace(/\s+/g, " ").trim();
  if (plain.length <= most) return plain;
  const cut = plain.slice(0, most);
  return `${cut.slice(0, cut.lastIndexOf(" ") > most / 2 ? cut.lastIndexOf(" ") : most)} …`;
}

/** What is behind words, as a background. */
export const behind = ({ ground, range }: Pick<Set, "ground" | "range">) =>
  range ? `linear-gradient(90deg, ${range[0]}, ${range[1]})` : ground;

/** A strip of the ground with the words on it. @param label what it shows, where there are several */
export function strip(set: Set, label: string | null = null): Markup {
  const declarations = [...set.specimen, ["color", set.color] as const].map(([name, value]) => `${name}: ${value}`);
  return html`<figure class="strip">
    ${label === null ? null : html`<figcaption>${label}</figcaption>`}
    <div class="ground" style="background: ${behind(set)}">
      <p dir="auto" style="${declarations.join("; ")}">${shortened(set.text)}</p>
    </div>
  </figure>`;
}
