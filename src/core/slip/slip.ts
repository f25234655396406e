/** Everything about the picked text, as plain data. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import type { Ground, Legibility, Verdict } from "../ground/types";
import { canvasColor } from "../ground/backgrounds";
import { explain, isSetBack, type Contender, type Explanation } from "../cascade/explain";
import { computedValue, fontSizeOf, leadingOf, valueOf, type Style } from "../cascade/style";
import { type StyledPage } from "../cascade/styles";
import { cssColor } from "../color/format";
import type { Target } from "../edits/types";
import { isPlainSpan } from "../edits/words";
import { EditError } from "../edits/types";
import { type Site } from "../source/site";
import { isLink } from "../cascade/selectors/states";
import { specimenOf, type Specimen } from "../text/look";
import { refOf, textAt, type TextOnPage } from "../text/pageTexts";
import { wordsOf } from "../text/pseudoTexts";
import {
  groundFrom,
  legibility as legibilityByStyles,
  legibilityOn,
  roleName,
  textStyleKey,
  type Layouts,
} from "../text/textStyles";
import { otherTags } from "../edits/retag";
import { aroundOf, tablePairs, targetAround, type Arounds, type TablePair } from "./around";
import { idleByRow, type IdleDeclaration } from "./idle";
import { slipRows, type SlipRow } from "./rows";
import { textId } from "../ground/layout";
import { computedSides, writtenSides } from "./sides";
import { targetsFor, targetSteps, type TargetOption } from "./targets";

export interface SlipRowValue extends SlipRow, Omit<Explanation, "property" | "reason"> {
  /** What it comes to, and why. */
  sentence: string;
  /** Declarations of this row's property that are switched off, or are not valid and so ignored. */
  idle: IdleDeclaration[];
  /** The rule to write to where it is not the slip's choice: the one a ground comes from. */
  ownTarget: Target | null;
  /** The element that has the value, where it is not the picked one: whose ground it is. */
  owner: ElementRef | null;
  note: string | null;
  /** The colour a ground has, whatever is seen of it through what lies over it; null where it is no ground. */
  own: string | null;
  /** What a translucent colour of it lies on, a colour of CSS; null where it is no ground. */
  beneath: string | null;
  /** The computed value as a number, CSS px where it is a length; null for a keyword, a percentage, or several. */
  amount: number | null;
  /** Whether somebody wrote something for it: more than the browser's own sheet, or a shorthand that only leaves it out. */
  set: boolean;
}

export interface Slip {
  ref: ElementRef;
  role: string;
  /** Tag, id and classes. */
  selector: string;
  text: string;
  key: string;
  ratio: number;
  needs: number;
  verdict: Verdict;
  /** Ratios of the darkest and lightest ground, where it varies. */
  ground: {
    css: string;
    range: [string, string] | null;
    certain: boolean;
    /** Whether it was seen in pixels. */
    painted: boolean;
    doubt: string | null;
    kind: string;
    from: number | null;
  };
  ink: string;
  sizePx: number;
  leadingPx: number | null;
  rows: SlipRowValue[];
  targets: TargetOption[];
  /** How the parts of the table around it are read; none where it stands in no table. */
  tablePairs: TablePair[];
  /** Whether it is a link, or stands in one: it has states. */
  link: boolean;
  /** Why it is not judged, in plain words; null where it is. */
  unjudged: string | null;
  /** Ratio at the worst single point of its lines. */
  least: number;
  /** Where that is, CSS px of the page; null where it is the same all along, or not painted. */
  worst: { x: number; y: number } | null;
  /** Whether it is a span that can be taken away again. */
  plainSpan: boolean;
  /** What the element can be made, by tags. */
  otherTags: string[];
  /** Declarations that set the specimen as the text is set. */
  specimen: Specimen;
}

/** The slip of a text, with what each way to write reaches on its own page alone. @throws EditError when there is no such text */
export function slipAtOnce(site: Site, ref: ElementRef, conditions: Conditions, layouts: Layouts = {}): Slip {
  const { page, style } = pickedText(site, ref, conditions);
  const targets = targetsFor(site, page, style, conditions, ref.page);
  return { ...slipWithout(site, page, style, ref, layouts), targets };
}

/** Where the text of a slip can be written to, in steps, a page each. @throws EditError */
export function slipTargets(site: Site, ref: ElementRef, conditions: Conditions): Generator<void, TargetOption[]> {
  const { page, style } = pickedText(site, ref, conditions);
  return targetSteps(site, page, style, conditions, null);
}

function pickedText(site: Site, ref: ElementRef, conditions: Conditions): TextOnPage {
  const found = textAt(site, ref, conditions);
  if (!found) throw new EditError(`${ref.page} has no element number ${ref.index}.`);
  return found;
}

function slipWithout(
  site: Site,
  page: StyledPage,
  style: Style,
  ref: ElementRef,
  layouts: Layouts,
): Omit<Slip, "targets"> {
  const { element } = style;
  const legibility = legibilityOn(page, style, layouts);
  const { ground, ink, ratio, least, needs, verdict, unjudged } = legibility;
  return {
    ref,
    role: roleName(style),
    selector:
      element.tag +
      (element.id ? `#${element.id}` : "") +
      element.classes.map((name) => `.${name}`).join("") +
      (style.pseudo === null ? "" : `::${style.pseudo}`),
    text: wordsOf(page, style) || element.tag,
    key: textStyleKey(style),
    ratio,
    needs,
    verdict,
    ground: {
      css: cssColor(ground.color),
      range: ground.range ? [cssColor(ground.range[0]), cssColor(ground.range[1])] : null,
      certain: ground.certain,
      painted: ground.painted,
      doubt: ground.doubt,
      kind: ground.kind,
      from: ground.from,
    },
    ink: cssColor(ink),
    sizePx: fontSizeOf(style),
    leadingPx: leadingOf(style),
    rows: rowValues(site, page, style, legibility),
    tablePairs: tablePairs(page, style, layouts),
    link: isInLink(style),
    unjudged,
    least,
    worst: layouts[ref.page]?.[textId(ref.index, ref.pseudo ?? null)]?.painted?.worst ?? null,
    otherTags: ref.pseudo === undefined ? otherTags(element) : [],
    plainSpan: ref.pseudo === undefined && isPlainSpan(site, ref.page, ref.index),
    specimen: specimenOf(style),
  };
}

function isInLink(style: Style): boolean {
  for (let current: Style | null = style; current; current = current.parent) if (isLink(current.element)) return true;
  return false;
}

/** Rows about axes are there for fonts that have them, and where they are set. */
function isOfUse({ axis, longhand }: SlipRow, { faces }: StyledPage, style: Style): boolean {
  const winner = style.shared.winners.get(longhand);
  if (!axis || (winner && !isSetBack(winner))) return true;
  const families = new Set(valueOf(style, "font-family").map(({ name }) => name.toLowerCase()));
  const axes = faces.flatMap(({ family, file }) => (file && families.has(family.toLowerCase()) ? file.axes : []));
  return axes.some(({ tag }) => (axis === "wdth" ? tag === "wdth" : tag !== "wght" && tag !== "wdth"));
}

/** What the rows are told from, worked out once for all of them. */
interface RowSources {
  site: Site;
  page: StyledPage;
  style: Style;
  legibility: Legibility;
  /** Whose ground the text stands on, as it was seen, and as the styles say where something else was seen. */
  seenOwner: Style;
  owner: Style;
  idle: ReturnType<typeof idleByRow>;
  arounds: Arounds;
  explained(style: Style, longhand: string): Explanation;
}

function rowValues(site: Site, page: StyledPage, style: Style, legibility: Legibility): SlipRowValue[] {
  const { ground } = legibility;
  const explanations = new Map<Style, Map<string, Explanation>>();
  const explained = (of: Style, longhand: string): Explanation => {
    const own = explanations.get(of) ?? new Map<string, Explanation>();
    explanations.set(of, own);
    const result = own.get(longhand) ?? explain(site, page, of, longhand);
    own.set(longhand, result);
    return result;
  };
  const arounds = aroundOf(page, style);
  const from = groundFrom(page, style, ground);
  const sources: RowSources = {
    site,
    page,
    style,
    legibility,
    seenOwner: ownerOf(page, style, ground.from),
    owner: ownerOf(page, style, from),
    idle: idleByRow(site, page, style),
    arounds,
    explained,
  };
  return slipRows
    .filter((row) => row.of === undefined || arounds.has(row.of))
    .filter((row) => isOfUse(row, page, style) && !(row.id === "own-ground" && from === style.element.index))
    .map((row) => rowValue(row, sources));
}

function rowValue(row: SlipRow, sources: RowSources): SlipRowValue {
  const { page, style, legibility, explained } = sources;
  const { ground } = legibility;
  const isGround = row.id === "ground";
  const subject = subjectOf(row, sources);
  const all = (row.sides ?? [[row.longhand]]).map(([first, style = first]) => explained(subject, style!));
  // Of several sides the first that somebody set is explained.
  const explanation = all.find(isSet) ?? all[0]!;
  const winner = explanation.contenders.find(({ lost }) => lost === null);
  const whole = row.property !== row.longhand && winner?.property === row.property ? winner.value : null;
  const idle = sources.idle.get(row.id) ?? [];
  const owner = subject === style ? null : refOf(page.file.path, subject);
  const around = row.of === undefined ? null : sources.arounds.get(row.of)!;
  const { written, computed } = shown(subject, row, all, whole);
  const comesTo = isGround ? cssColor(ground.color) : computed;
  const longhands = row.sides?.flat().map((name) => explained(subject, name)) ?? all;
  const { reason, ...why } = explanation;
  return {
    ...why,
    sentence: `${told(explanation, longhands, comesTo)}${reason}`,
    ...row,
    written,
    computed: comesTo,
    amount: amountOf(comesTo),
    idle,
    set: idle.length > 0 || longhands.some(isSet),
    ownTarget: around ? targetAround(sources.site, page, around, explanation) : owner && targetOf(winner, owner),
    owner,
    note: isGround ? groundNote(ground, style, subject) : null,
    own: isGround ? computed : null,
    beneath: beneathOf(row, subject, ground),
  };
}

/** What a ground lies on: what the text stands on now, as long as this very ground is no part of that. */
function beneathOf({ id }: SlipRow, subject: Style, { color, from }: Ground): string | null {
  if (id !== "ground" && id !== "own-ground") return null;
  const isPart = id === "ground" ? from === subject.element.index : !isClear(subject);
  if (!isPart) return cssColor(color);
  return cssColor(subject.parent ? legibilityByStyles(subject.parent).ground.color : canvasColor(subject));
}

const isClear = (style: Style): boolean => computedValue(style, "background-color") === "rgba(0, 0, 0, 0)";

/** Whose value a row is about: a gradient or picture is that of the ground, where it has one; else one of its own can be given. */
function subjectOf({ id, part, of }: SlipRow, { style, seenOwner, owner, arounds }: RowSources): Style {
  if (of !== undefined) return arounds.get(of)!.style;
  if (id === "ground") return seenOwner;
  const isOfLayers = id === "layers" || part === "layers";
  return isOfLayers && computedValue(owner, "background-image") !== "none" ? owner : style;
}

/** Where the value of another element is written: where it stands. */
function targetOf(winner: Contender | undefined, owner: ElementRef): Target | null {
  if (winner?.attached) return { kind: "style-attribute", element: owner };
  return winner?.place?.rule != null ? { kind: "rule", path: winner.place.path, start: winner.place.rule } : null;
}

/** Whose ground a text stands on; its own where nobody paints one. */
function ownerOf({ styles }: StyledPage, style: Style, from: number | null): Style {
  return from !== null || style.pseudo === null ? styles[from ?? style.element.index]! : style;
}

/** What a row is written and computed as. @param whole - the shorthand that it is written by, where it is one */
function shown(
  style: Style,
  { sides, property }: SlipRow,
  all: readonly Explanation[],
  whole: string | null,
): Pick<SlipRowValue, "written" | "computed"> {
  const [first] = all;
  if (!sides) return { written: whole ?? first!.written, computed: first!.computed };
  return { written: writtenSides(all, property), computed: computedSides(style, sides) };
}

/** The value that a reason is about: what the row comes to, or with its name what is only a part of that. */
function told(explanation: Explanation, longhands: readonly Explanation[], comesTo: string): string {
  const { property, computed } = explanation;
  const from = sourceOf(explanation);
  const isWhole = longhands.every((one) => sourceOf(one) === from) && (longhands.length > 1 || computed === comesTo);
  return isWhole ? comesTo : `${property} ${computed}`;
}

/** Where the declaration stands that wins, in a word. */
function sourceOf({ contenders, inheritedFrom }: Explanation): string {
  const winner = contenders.find(({ lost }) => lost === null);
  return JSON.stringify([inheritedFrom, winner?.origin, winner?.place?.path, winner?.place?.offset, winner?.selector]);
}

const amountOf = (computed: string) =>
  /^-?\d*\.?\d+(?:e[+-]?\d+)?(?:px)?$/.test(computed) ? Number.parseFloat(computed) : null;

/** What a shorthand leaves out counts where it beats something. */
function isSet({ contenders, setBack }: Explanation): boolean {
  const winner = contenders.find(({ lost }) => lost === null);
  if (!winner || winner.origin === "browser") return false;
  return !setBack || contenders.some(({ lost }) => lost !== null && lost.kind !== "condition");
}

function groundNote(ground: Ground, style: Style, subject: Style): string | null {
  if (ground.doubt) return ground.doubt;
  if (ground.kind === "painted")
    return "Seen as it is painted: a box, a filter, a blend or a shadow that is no background lies there.";
  if (ground.from === null) return "Nothing paints a ground here: this is the browser's own canvas.";
  return subject === style ? null : `It is the ground of ${subject.element.tag}.`;
}
