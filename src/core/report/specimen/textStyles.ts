import { schemesOf } from "../../cascade/schemes";
import { positionAt } from "../../source/lines";
import { textFile, type Site } from "../../source/site";
import type { StyleRow } from "../../tables/styleTable";
import { lookOf, type TextLook } from "../../text/look";
import { stackMembers } from "../../type/stack";
import { html, type Markup } from "./markup";
import { strip } from "./specimen";
import type { Section, Source } from "./types";
import { placesIn, showNumber, verdictWords } from "./words";

/** Every text style at its true size, in every scheme the site has. */
export const textStyles: Section = {
  id: "text-styles",
  title: "Text styles",
  lead: "Every text style of the site at its true size on its ground, largest first.",
  *make(source) {
    if (source.rows.length === 0) return null;
    const items: Markup[] = [];
    for (const row of source.rows) {
      items.push(styleOf(source, row));
      yield;
    }
    return html`<ol class="plain">
      ${items}
    </ol>`;
  },
};

function styleOf({ site, conditions }: Source, row: StyleRow): Markup {
  const [own, other] = schemesOf(site, conditions);
  const then = other ? lookOf(site, row.places[0]!, { ...conditions, scheme: other }, {}) : null;
  const isOther = then !== null && differs(row, then);
  const inOwn = verdictWords(row.ratio, row.needs, row.verdict);
  return html`<li class="whole">
    ${strip(row, isOther ? `${inScheme(own!)}: ${inOwn}` : null)}
    ${isOther ? strip(then, `${inScheme(other!)}: ${verdictWords(then.ratio, then.needs, then.verdict)}`) : null}
    <p class="figures">
      <b>${row.role}</b> <span>${setting(row)}</span>
      <span>${face(row)}</span
      >${isOther ? null : html` <span>${inOwn}</span>`}<br />${placesIn(row.places)}.${from(site, row)}
    </p>
  </li>`;
}

const inScheme = (scheme: "light" | "dark") => (scheme === "dark" ? "in the dark" : "in light");

const differs = (row: StyleRow, then: TextLook) =>
  row.color !== then.color ||
  row.ground !== then.ground ||
  String(row.range) !== String(then.range) ||
  JSON.stringify(row.specimen) !== JSON.stringify(then.specimen);

const setting = ({ sizePx, leading, weight }: StyleRow) =>
  `${showNumber(sizePx)} px, leading ${leading === null ? "normal" : showNumber(leading)}, weight ${weight}`;

const face = ({ stack }: StyleRow) => stackMembers(stack)?.[0]?.name ?? stack;

function from(site: Site, { sizeFrom }: StyleRow): string {
  if (!sizeFrom) return "";
  const { target, written } = sizeFrom;
  if (target.kind !== "rule") return ` Its size is written as ${written}.`;
  const file = textFile(site, target.path);
  if (!file) return "";
  return ` Its size is written as ${written} in ${target.path}, line ${positionAt(file.text, target.start).line}.`;
}
