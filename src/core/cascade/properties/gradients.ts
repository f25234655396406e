/** Gradients as they are read and written back (CSS Images 3, section 3, and Images 4, 3.1). */
import { table } from "../../source/table";
import { colorFromComponent } from "../../color/value";
import { isDelim, splitAt, type Component, type ComponentOf } from "../../source/css/components";
import { absoluteUnit, isMath } from "../../source/css/math";
import { isLength, wordOf } from "./kinds";

type Gradient = ComponentOf<"function">;
const gradient = /^(?:repeating-)?(linear|radial|conic)-gradient$/;

/** Whether a component is a gradient's function, valid or not (CSS Images 4, 3). */
export function isGradient(component: Component): component is Gradient {
  return component.type === "function" && gradient.test(component.name);
}

const lengthRules = { percent: true, negative: true };
const isLengthPart = (part: Component) => isLength(part, lengthRules, absoluteUnit);
const isAngle = (part: Component | undefined) =>
  part !== undefined &&
  (isMath(part) ||
    (part.type === "number" && part.value === 0) ||
    (part.type === "dimension" && absoluteUnit(part.value, part.unit)?.measure === "angle"));

/** Whether a gradient is one that browsers take; anything that is no gradient is left to others. */
export function isGradientValid(component: Component): boolean {
  if (!isGradient(component)) return true;
  const kind = gradient.exec(component.name)![1] as "linear" | "radial" | "conic";
  const groups = splitAt(component.args, ",");
  const [first] = groups;
  if (!first?.length) return false;
  const hasLine = !isStop(first, kind);
  if (hasLine && !isLine(first, kind)) return false;
  const stops = hasLine ? groups.slice(1) : groups;
  let hints = 0;
  for (const [at, stop] of stops.entries()) {
    if (isStop(stop, kind)) continue;
    // A hint stands alone between two stops.
    if (stop.length !== 1 || !isPlaceOn(stop[0]!, kind)) return false;
    const [before, after] = [stops[at - 1], stops[at + 1]];
    if (!before || !after || !isStop(before, kind) || !isStop(after, kind)) return false;
    hints += 1;
  }
  return stops.length - hints >= 1;
}

const isPlaceOn = (part: Component, kind: string) =>
  kind === "conic" ? isAngle(part) || part.type === "percentage" : isLengthPart(part);

function isStop(parts: readonly Component[], kind: string): boolean {
  const [color, ...places] = parts;
  return (
    color !== undefined &&
    colorFromComponent(color) !== null &&
    places.length <= 2 &&
    places.every((one) => isPlaceOn(one, kind))
  );
}

const sides = new Set(["left", "right", "top", "bottom"]);
const shapes = new Set(["circle", "ellipse"]);
const extents = new Set(["closest-side", "closest-corner", "farthest-side", "farthest-corner"]);
const positions = new Set([...sides, "center"]);

/** The line, shape or start of a gradient, with the space it is mixed in. */
function isLine(parts: readonly Component[], kind: string): boolean {
  const mixed = parts.findIndex((part) => wordOf(part) === "in");
  const ahead = mixed < 0 ? parts : parts.slice(0, mixed);
  const own = mixed === 0 ? parts.slice(spaceEnd(parts)) : ahead;
  if (mixed >= 0 && !/^[a-z]/.test(wordOf(parts[mixed + 1]))) return false;
  if (own.length === 0) return mixed >= 0;
  if (kind === "linear") {
    if (wordOf(own[0]) !== "to") return own.length === 1 && isAngle(own[0]);
    const words = own.slice(1).map(wordOf);
    const across = words.filter((word) => word === "left" || word === "right").length;
    return (
      words.length > 0 &&
      words.length <= 2 &&
      words.every((word) => sides.has(word)) &&
      across <= 1 &&
      words.length - across <= 1
    );
  }
  const at = own.findIndex((part) => wordOf(part) === "at");
  const before = at < 0 ? own : own.slice(0, at);
  if (at >= 0) {
    const place = own.slice(at + 1);
    if (
      place.length === 0 ||
      place.length > 4 ||
      !place.every((part) => positions.has(wordOf(part)) || isLengthPart(part))
    )
      return false;
  }
  if (kind === "conic")
    return before.length === 0 || (before.length === 2 && wordOf(before[0]) === "from" && isAngle(before[1]));
  return (
    before.every((part) => shapes.has(wordOf(part)) || extents.has(wordOf(part)) || isLengthPart(part)) &&
    before.length <= 3
  );
}

/** How many words say the space that colours are mixed in. */
function spaceEnd(parts: readonly Component[]): number {
  return ["shorter", "longer", "increasing", "decreasing"].includes(wordOf(parts[2])) ? 4 : 2;
}

/** As browsers write it: what is usual is left out, and stops with two places are two stops. @param write one part */
export function serialiseGradient(component: Gradient, write: (part: Component) => string): string {
  const kind = gradient.exec(component.name)![1]!;
  const groups = splitAt(component.args, ",");
  const texts = groups.flatMap((parts, at) => {
    if (at === 0 && !isStop(parts, kind)) return lineText(parts, kind, write);
    const [color, first, second] = parts.map((part) => placeText(part, write));
    return second === undefined
      ? [parts.map((part) => placeText(part, write)).join(" ")]
      : [`${color} ${first}`, `${color} ${second}`];
  });
  return `${component.name}(${texts.join(", ")})`;
}

/** A zero without a unit is a length, or an angle. */
function placeText(part: Component, write: (part: Component) => string): string {
  return part.type === "number" && part.value === 0 ? "0px" : write(part);
}

const places: Readonly<Record<string, string>> = table({
  left: "0%",
  top: "0%",
  center: "50%",
  right: "100%",
  bottom: "100%",
});

/** From the top to the bottom. */
const usualLine = "180deg";

function lineText(parts: readonly Component[], kind: string, write: (part: Component) => string): string[] {
  const words = parts.map(wordOf);
  if (kind === "linear" && words.join(" ") === "to bottom") return [];
  const at = words.indexOf("at");
  const shape = at < 0 ? parts : parts.slice(0, at);
  const place = at < 0 ? [] : parts.slice(at + 1);
  const own = shape
    // A circle is what one length says, an ellipse what anything else does; the farthest corner is usual.
    .filter(
      (part) =>
        kind !== "radial" ||
        !(
          wordOf(part) === "ellipse" ||
          wordOf(part) === "farthest-corner" ||
          (wordOf(part) === "circle" && shape.some(isLengthPart))
        ),
    )
    .map((part) => (isDelim(part, "/") ? "/" : placeText(part, write)));
  const simple = place.length <= 2;
  const where = place.map((part) =>
    simple ? (places[wordOf(part)] ?? placeText(part, write)) : placeText(part, write),
  );
  if (
    simple &&
    place.length === 2 &&
    (["top", "bottom"].includes(wordOf(place[0])) || ["left", "right"].includes(wordOf(place[1])))
  )
    where.reverse();
  if (place.length === 1) where[["top", "bottom"].includes(wordOf(place[0])) ? "unshift" : "push"]("50%");
  const text = [...own, ...(where.length ? ["at", ...where] : [])].join(" ");
  return text && text !== usualLine ? [text] : [];
}
