import { linkLooks, type LinkLook, type LinkState } from "../../slip/linkStates";
import { showRatio } from "../../color";
import { textFile } from "../../source/site";
import { styledPage } from "../../cascade/styledPages";
import type { StyleRow } from "../../tables/styleTable";
import { html, type Markup } from "./markup";
import { strip } from "./specimen";
import type { Section, Source } from "./types";
import { placesIn, verdictWords } from "./words";

/** So many are shown in all their states: those with most places. */
const most = 12;

const stateNames: Readonly<Record<LinkState, string>> = {
  rest: "at rest",
  visited: "visited",
  hover: "under the pointer",
  focus: "with the focus",
  active: "pressed",
};

/** Links in their states. */
export const links: Section = {
  id: "links",
  title: "Links",
  lead: "Every setting of links in its states; those that look alike stand together.",
  *make(source) {
    const rows = source.rows
      .filter((row) => isLink(source, row))
      .sort((a, b) => b.places.length - a.places.length)
      .slice(0, most);
    const items: Markup[] = [];
    for (const row of rows) {
      items.push(linkOf(source, row));
      yield;
    }
    return items.length === 0 ? null : html`${items}`;
  },
};

function isLink({ site, conditions }: Source, { places: [first] }: StyleRow): boolean {
  const file = first && textFile(site, first.page);
  if (file?.kind !== "html") return false;
  const element = styledPage(site, file, conditions).styles[first!.index]?.element;
  return element?.tag === "a" && element.attributes.has("href");
}

function linkOf({ site, conditions, layouts }: Source, row: StyleRow): Markup {
  const looks = linkLooks(site, row.places[0]!, conditions, layouts);
  if (!looks) return html``;
  const { tellsApart } = looks;
  return html`<div class="whole">
    <div class="states">${alike(looks.states).map(([look, names]) => stateOf(row, look, names))}</div>
    <p class="figures">
      ${placesIn(row.places)}.
      ${
        tellsApart === null
          ? null
          : `Without a line it is told from the words around it by ${showRatio(tellsApart)} to 1${tellsApart < 3 ? ", needs 3" : ""} (WCAG 2.2, 1.4.1).`
      }
    </p>
  </div>`;
}

/** States that look the same, together. */
function alike(states: readonly LinkLook[]): [LinkLook, string[]][] {
  const looks = new Map<string, [LinkLook, string[]]>();
  for (const look of states) {
    const key = JSON.stringify([look.ink, look.ground, look.lines]);
    const known = looks.get(key);
    if (known) known[1].push(stateNames[look.state]);
    else looks.set(key, [look, [stateNames[look.state]]]);
  }
  return [...looks.values()];
}

function stateOf(row: StyleRow, look: LinkLook, names: readonly string[]): Markup {
  const specimen = [
    ...row.specimen.filter(([name]) => !name.startsWith("text-decoration-")),
    ["text-decoration", look.lines] as const,
  ];
  return strip(
    { text: row.text, specimen, color: look.ink, ground: look.ground, range: null },
    `${names.join(", ")}: ${verdictWords(look.ratio, look.needs, look.verdict)}`,
  );
}
