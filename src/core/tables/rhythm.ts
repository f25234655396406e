/** The rhythm of a site: the steps of its margins and paddings, and which are nearly alike. */
import type { Conditions } from "../cascade/conditions";
import { spotOf } from "../cascade/explain";
import { sides } from "../cascade/properties/sides";
import { computedValue, fontSizeOf, rootOf, type Style } from "../cascade/style";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { pagesOf, type Site } from "../source/site";
import { isRendered } from "../text/textStyles";
import type { RhythmStep, StepUse } from "./roomSteps";

const roomLonghands: readonly string[] = ["margin", "padding"].flatMap((name) =>
  sides.map((side) => `${name}-${side}`),
);

/** Steps no further apart than this, px or by proportion, do one thing. */
const near = { px: 1, proportion: 0.08 };

/** The steps of a site's margins and paddings that it sets itself, smallest first; in steps, a page each. */
export function* rhythmSteps(site: Site, conditions: Conditions): Generator<void, RhythmStep[]> {
  const found = new Map<number, Map<string, StepUse>>();
  for (const file of pagesOf(site)) {
    const page = styledPage(site, file, conditions);
    for (const style of page.styles) if (isRendered(style)) addRooms(found, page, style);
    yield;
  }
  const steps = [...found]
    .map(([px, uses]): RhythmStep => ({
      px,
      elements: [...uses.values()].reduce((sum, { elements }) => sum + elements, 0),
      uses: [...uses.values()].sort((a, b) => b.elements - a.elements),
      twin: null,
    }))
    .sort((a, b) => a.px - b.px);
  for (const step of steps) step.twin = twinOf(step, steps);
  return steps;
}

function addRooms(found: Map<number, Map<string, StepUse>>, page: KnownPage, style: Style): void {
  for (const property of roomLonghands) {
    const winner = style.shared.winners.get(property);
    if (!winner || winner.block.origin !== "author") continue;
    const px = /^-?[\d.]+px$/.test(computedValue(style, property))
      ? Number.parseFloat(computedValue(style, property))
      : 0;
    const spot = px === 0 ? null : spotOf(page, style.element, winner.block, winner.declaration);
    if (!spot) continue;
    const rounded = Math.round(px * 100) / 100;
    const uses = found.get(rounded) ?? new Map<string, StepUse>();
    found.set(rounded, uses);
    const key = `${spot.path} ${spot.offset} ${property}`;
    const known = uses.get(key);
    if (known) known.elements += 1;
    else uses.set(key, { ...readUse(page, style, property, spot), elements: 1 });
  }
}

function readUse(
  page: KnownPage,
  style: Style,
  property: string,
  spot: { path: string; rule: number | null },
): StepUse {
  const winner = style.shared.winners.get(property)!;
  const written = winner.declaration.valueText;
  const units = new Set([...written.matchAll(/[\d.](px|em|rem)\b/gi)].map(([, unit]) => unit!.toLowerCase()));
  const [unit] = units;
  return {
    target:
      spot.rule === null
        ? { kind: "style-attribute", element: { page: page.file.path, index: style.element.index } }
        : { kind: "rule", path: spot.path, start: spot.rule },
    property,
    selector:
      spot.rule === null ? `style of ${style.element.tag}` : (winner.block.match?.rule.entry.rule.preludeText ?? ""),
    elements: 0,
    em: fontSizeOf(style),
    rem: fontSizeOf(rootOf(style)),
    unit: units.size === 1 && (unit === "em" || unit === "rem") ? unit : "px",
  };
}

function twinOf(step: RhythmStep, steps: readonly RhythmStep[]): number | null {
  const alike = steps.filter(
    (other) =>
      other !== step &&
      Math.sign(other.px) === Math.sign(step.px) &&
      Math.abs(other.px - step.px) <= Math.max(near.px, near.proportion * Math.abs(step.px)) &&
      (other.elements > step.elements || (other.elements === step.elements && other.px < step.px)),
  );
  const [nearest] = alike.sort((a, b) => Math.abs(a.px - step.px) - Math.abs(b.px - step.px));
  return nearest?.px ?? null;
}
