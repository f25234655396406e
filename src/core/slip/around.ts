/** What a text stands in or beside, and what is set of that: a list with its markers, a table, a picture. */
import type { Explanation } from "../cascade/explain";
import { computedValue, type Style } from "../cascade/style";
import { pseudoStyler, type StyledPage } from "../cascade/styles";
import { cssColor } from "../color/format";
import type { Target } from "../edits/types";
import { plainSelector, type ElementNode } from "../source/html/document";
import type { Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import type { ElementRef } from "../text/refs";
import { legibilityOn, type Layouts } from "../text/textStyles";
import { ruleTargets, sheetForNew } from "./targets";

export type Around = "list" | "item" | "marker" | "table" | "cell" | "head" | "stripe" | "caption" | "picture";

/** Something that a text stands in or beside. */
export interface Subject {
  style: Style;
  /** Of a rule for it and all like it. */
  selector: string;
  /** The element that holds it together: what is inherited from there on is its own. */
  holder: ElementNode;
}

export type Arounds = ReadonlyMap<Around, Subject>;

/** What a text stands in or beside. */
export function aroundOf(page: StyledPage, style: Style): Arounds {
  const found = new Map<Around, Subject>();
  if (style.pseudo !== null) return found;
  addList(found, page, style.element);
  addTable(found, page, style.element);
  const picture = pictureBeside(style.element);
  if (picture) {
    const { element, selector } = picture;
    found.set("picture", { style: page.styles[element.index]!, selector, holder: element });
  }
  return found;
}

function above(element: ElementNode, tags: readonly string[]): ElementNode | null {
  for (let one: ElementNode | null = element; one; one = one.parent) if (tags.includes(one.tag)) return one;
  return null;
}

function addList(found: Map<Around, Subject>, page: StyledPage, element: ElementNode): void {
  const item = above(element, ["li"]);
  const list = item && above(item, ["ul", "ol", "menu"]);
  if (!item || !list) return;
  const plain = plainSelector(list);
  const own = page.styles[item.index]!;
  const put = (name: Around, style: Style, selector: string) => found.set(name, { style, selector, holder: list });
  put("list", page.styles[list.index]!, plain);
  put("item", own, `${plain} > li`);
  const marker = pseudoStyler(page)("marker", own);
  if (marker) put("marker", marker, `${plain} > li::marker`);
}

function addTable(found: Map<Around, Subject>, page: StyledPage, element: ElementNode): void {
  const table = above(element, ["table"]);
  if (!table) return;
  const plain = plainSelector(table);
  const put = (name: Around, one: ElementNode | undefined, selector: string) =>
    one && found.set(name, { style: page.styles[one.index]!, selector, holder: table });
  const inside = page.document.elements.filter((one) => one.parent && above(one.parent, ["table"]) === table);
  put("table", table, plain);
  put(
    "cell",
    inside.find(({ tag }) => tag === "td"),
    `${plain} td`,
  );
  put(
    "head",
    inside.find(({ tag }) => tag === "th"),
    `${plain} th`,
  );
  put(
    "caption",
    inside.find(({ tag }) => tag === "caption"),
    `${plain} caption`,
  );
  const even = bodyRows(inside).find(isEven);
  const striped = even && stripedIn(page, even);
  put("stripe", striped, `${plain} tr:nth-child(even)${striped?.tag === "td" ? " > td" : ""}`);
}

const bodyRows = (inside: readonly ElementNode[]) =>
  inside.filter(
    ({ tag, parent, children }) => tag === "tr" && parent?.tag !== "thead" && children.some((one) => one.tag === "td"),
  );

/** Whether a row is every other one of those beside it. */
const isEven = (row: ElementNode) => row.parent !== null && row.parent.children.indexOf(row) % 2 === 1;

/** What has the ground of a striped row: the row, or its cells where they have one of their own. */
function stripedIn({ styles }: StyledPage, row: ElementNode): ElementNode {
  const cell = row.children.find(({ tag }) => tag === "td");
  const isClear = cell === undefined || computedValue(styles[cell.index]!, "background-color") === "rgba(0, 0, 0, 0)";
  return isClear ? row : cell;
}

const pictures = ["img", "svg", "video", "picture"];

/** The picture in a text, in its figure, or right beside it. */
function pictureBeside(element: ElementNode): { element: ElementNode; selector: string } | null {
  const figure = above(element, ["figure"]);
  const holder = figure ?? element;
  const inside = pictureIn(holder);
  if (inside) return { element: inside, selector: `${plainSelector(holder)} ${inside.tag}` };
  const siblings = element.parent?.children ?? [];
  const at = siblings.indexOf(element);
  for (const beside of [siblings[at - 1], siblings[at + 1]]) {
    const inside = beside?.tag === "figure" ? pictureIn(beside) : null;
    const found = beside && pictures.includes(beside.tag) ? beside : inside;
    if (!found) continue;
    const plain = plainSelector(found);
    const around = found.parent && plain === found.tag ? `${plainSelector(found.parent)} > ` : "";
    return { element: found, selector: around + plain };
  }
  return null;
}

function pictureIn(element: ElementNode): ElementNode | null {
  for (const child of element.children) {
    if (child.tag === "picture") return pictureIn(child) ?? child;
    if (pictures.includes(child.tag)) return child;
    const found = pictureIn(child);
    if (found) return found;
  }
  return null;
}

/**
 * Where something of a subject is written: where its value stands, if that is a rule for it, or in the list or table
 * that it is inherited from; else a rule for it, a new one where there is none.
 */
export function targetAround(site: Site, page: StyledPage, subject: Subject, explanation: Explanation): Target {
  const { style, selector, holder } = subject;
  const winner = explanation.contenders.find(({ lost }) => lost === null);
  const isOwn =
    explanation.from === "declared" ||
    (explanation.inheritedFrom !== null && explanation.inheritedFrom >= holder.index);
  if (winner?.place?.rule != null && winner.origin === "author" && isOwn && isAbout(winner.selector))
    return { kind: "rule", path: winner.place.path, start: winner.place.rule };
  const rules = ruleTargets(site, page, style).filter(({ condition }) => condition === null);
  const known = rules.find(({ label }) => label === selector) ?? rules.find(({ label }) => isAlike(label, selector));
  return known?.target ?? { kind: "new-rule", path: sheetForNew(site, page, selector), selector };
}

/** Whether a selector names what it is for: one for all elements is no place for one of them. */
const isAbout = (selector: string) => !/(?:^|[\s>+~,(])\*[^\s,]*$/.test(selector.trim());

/** Whether a rule is for the same things: for lists or cells of all kinds rather than for pictures anywhere. */
const isAlike = (label: string, selector: string) =>
  isAbout(label) &&
  !label.includes(",") &&
  /:.*$/.exec(label)?.[0] === /:.*$/.exec(selector)?.[0] &&
  !/\b(?:img|svg|video)$/.test(label);

/** A pair of ink and ground that a table has, with the worst of its texts. */
export interface TablePair {
  of: "head" | "rows" | "stripes" | "caption";
  ink: string;
  ground: string;
  ratio: number;
  needs: number;
  passes: boolean;
  places: ElementRef[];
}

/** How head cells, rows, striped rows and the caption of the table around a text are read. */
export function tablePairs(page: StyledPage, style: Style, layouts: Layouts): TablePair[] {
  const table = above(style.element, ["table"]);
  if (!table) return [];
  const rows = new Set(
    bodyRows(page.document.elements.filter((one) => one.parent && above(one.parent, ["table"]) === table)),
  );
  const kindOf = (element: ElementNode): TablePair["of"] | null => {
    if (above(element, ["table"]) !== table) return null;
    if (above(element, ["caption"])) return "caption";
    if (above(element, ["th"])) return "head";
    const row = above(element, ["tr"]);
    if (!row || !rows.has(row)) return null;
    return isEven(row) ? "stripes" : "rows";
  };
  const pairs = new Map<TablePair["of"], TablePair>();
  for (const text of textsOf(page)) {
    const of = kindOf(text.element);
    const { ink, ground, ratio, needs, verdict } = legibilityOn(page, text, layouts);
    if (of === null || verdict === "unjudged") continue;
    const known = pairs.get(of);
    const places = known?.places ?? [];
    places.push(refOf(page.file.path, text));
    if (!known || known.ratio / known.needs > ratio / needs)
      pairs.set(of, {
        of,
        ink: cssColor(ink),
        ground: cssColor(ground.color),
        ratio,
        needs,
        passes: ratio >= needs,
        places,
      });
  }
  return (["caption", "head", "rows", "stripes"] as const).flatMap((of) => pairs.get(of) ?? []);
}
