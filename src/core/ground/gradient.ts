/** Gradients as functions of a point (CSS Images 4, section 3). */
import { interpolateColors, type HueWay } from "../color/mix";
import { convertColor } from "../color/conversion";
import { hueOf, mixSpaces } from "../color/spaces";
import type { Color, Space } from "../color/types";
import { colorFromComponent, resolveColor, type ColorContext } from "../color/value";
import { isKeyword, splitAt, type Component } from "../source/css/components";
import { absoluteUnit, evaluateMath, measureOf, UnresolvedPercentage, type MathEnvironment } from "../source/css/math";

/** The colour at a point of the box, px from its top left corner; not clipped to sRGB. */
export type ColorAt = (x: number, y: number) => Color;

export interface GradientBox {
  width: number;
  height: number;
}

type Units = MathEnvironment["unit"];

/** What a gradient paints in a box of a size; null for anything that is not a gradient that can be read. */
export function gradientIn(image: Component, box: GradientBox, colors: ColorContext, unit: Units): ColorAt | null {
  if (image.type !== "function") return null;
  const match = /^(-webkit-)?(repeating-)?(linear|radial|conic)-gradient$/.exec(image.name);
  if (!match) return null;
  const parts = splitAt(image.args, ",");
  const { space, way, rest } = interpolation(parts[0] ?? []);
  const hasPrelude = rest.length === 0 ? parts[0]!.length > 0 : !isStop(rest);
  const prelude = hasPrelude ? rest : [];
  const stops = parts.slice(hasPrelude ? 1 : 0).map((part, at) => (at === 0 && !hasPrelude ? rest : part));
  const old = match[1] !== undefined;
  const length = lengthIn(unit);
  const round = match[3] === "radial" ? radial : conic;
  const geometry = match[3] === "linear" ? linear(prelude, box, old) : round(prelude, box, length);
  if (!geometry) return null;
  const read = readStops(stops, geometry.length, colors, unit);
  if (!read || read.length === 0) return null;
  const legacy = read.every((stop) => stop.legacy);
  const ramp = rampOf(read, space ?? (legacy ? "srgb" : "oklab"), way, match[2] !== undefined);
  return (x, y) => ramp(geometry.at(x, y));
}

/** All the colours that are named in a gradient, or in pictures made of some. */
export function stopColors(image: Component, colors: ColorContext): Color[] | null {
  if (image.type !== "function" || !image.name.includes("gradient")) return null;
  const found: Color[] = [];
  const visit = (parts: readonly Component[]) => {
    for (const part of parts) {
      const value = colorFromComponent(part);
      if (value) found.push(convertColor(resolveColor(value, colors).color, "srgb"));
      else if (part.type === "function") visit(part.args);
    }
  };
  visit(image.args);
  return found.length ? found : null;
}

/** `in <space> [<way> hue]`, wherever it stands in the first part. */
function interpolation(part: readonly Component[]): { space: Space | null; way: HueWay; rest: readonly Component[] } {
  const at = part.findIndex((one) => isKeyword(one, "in"));
  const name = part[at + 1];
  if (at < 0 || name?.type !== "ident") return { space: null, way: "shorter", rest: part };
  const space = mixSpaces.get(name.name.toLowerCase());
  const isPolar = space !== undefined && hueOf(space) >= 0;
  if (!space) return { space: null, way: "shorter", rest: part };
  const way = part[at + 2];
  const hasWay = isPolar && way?.type === "ident" && isKeyword(part[at + 3], "hue");
  return {
    space,
    way: hasWay ? (way.name.toLowerCase() as HueWay) : "shorter",
    rest: [...part.slice(0, at), ...part.slice(at + (hasWay ? 4 : 2))],
  };
}

const isStop = (part: readonly Component[]) => part.some((one) => colorFromComponent(one) !== null);

/** Lengths and percentages of a base, in px. */
type LengthOf = (component: Component | undefined, base: number) => number | null;

function lengthIn(unit: Units): LengthOf {
  return (component, base) => {
    if (!component) return null;
    if (component.type === "percentage") return (component.value * base) / 100;
    if (component.type === "number") return component.value === 0 ? 0 : null;
    if (component.type !== "dimension" && component.type !== "function") return null;
    const quantity = quantityOf(component, unit, "length");
    return quantity && measureOf(quantity) === "length" ? quantity.value + (quantity.percent * base) / 100 : null;
  };
}

function quantityOf(component: Component, unit: Units, percentAs: "length" | "angle") {
  try {
    return evaluateMath(component, { unit, percentAs });
  } catch (error) {
    if (error instanceof UnresolvedPercentage) return null;
    throw error;
  }
}

/** In degrees. */
function angleOf(component: Component | undefined, unit: Units): number | null {
  if (component?.type === "number" && component.value === 0) return 0;
  if (component?.type === "percentage") return component.value * 3.6;
  if (!component || (component.type !== "dimension" && component.type !== "function")) return null;
  const quantity = quantityOf(component, unit, "angle");
  return quantity && measureOf(quantity) === "angle" ? quantity.value + quantity.percent * 3.6 : null;
}

interface Geometry {
  /** Share of the way along the gradient at a point. */
  at(x: number, y: number): number;
  /** Px along which lengths of stops count; null where stops are angles. */
  length: number | null;
}

/** 3.1.1 */
function linear(prelude: readonly Component[], { width, height }: GradientBox, old: boolean): Geometry | null {
  let angle = 180;
  const words = prelude.flatMap((part) => (part.type === "ident" ? [part.name.toLowerCase()] : []));
  if (words.length === 0 && prelude.length > 0) {
    const given = angleOf(prelude[0], absoluteUnit);
    if (given === null) return null;
    angle = old ? 90 - given : given;
  } else if (words.length > 0) {
    const sides = words.filter((word) => word !== "to");
    const has = (side: string) => sides.includes(side);
    const [x, y] = [Number(has("right")) - Number(has("left")), Number(has("bottom")) - Number(has("top"))];
    const turned = old ? -1 : 1;
    // To a corner, the line of the half-way colour goes through the other two.
    const [dx, dy] = x !== 0 && y !== 0 ? [x * height, y * width] : [x, y];
    angle = (Math.atan2(dx * turned, -dy * turned) * 180) / Math.PI;
  }
  const radians = (angle * Math.PI) / 180;
  const [sin, cos] = [Math.sin(radians), Math.cos(radians)];
  const length = Math.abs(width * sin) + Math.abs(height * cos);
  return { length, at: (x, y) => (length === 0 ? 0 : ((x - width / 2) * sin - (y - height / 2) * cos) / length + 0.5) };
}

/** A position as px from the top left (CSS Values 4, 9.1). */
function position(
  parts: readonly Component[],
  { width, height }: GradientBox,
  length: LengthOf,
): [number, number] | null {
  if (parts.length === 0) return [width / 2, height / 2];
  const edges: Readonly<Record<string, [axis: "x" | "y", from: number]>> = {
    left: ["x", 0],
    right: ["x", 1],
    top: ["y", 0],
    bottom: ["y", 1],
  };
  const result: { x: number | null; y: number | null } = { x: null, y: null };
  for (let at = 0; at < parts.length; at += 1) {
    const part = parts[at]!;
    const edge = part.type === "ident" ? edges[part.name.toLowerCase()] : undefined;
    if (edge) {
      const [axis, from] = edge;
      const base = axis === "x" ? width : height;
      const offset = parts.length > 2 ? length(parts[at + 1], base) : null;
      if (offset !== null) at += 1;
      result[axis] = from === 0 ? (offset ?? 0) : base - (offset ?? 0);
    } else if (!isKeyword(part, "center")) {
      const axis = at === 0 ? "x" : "y";
      const value = length(part, axis === "x" ? width : height);
      if (value === null) return null;
      result[axis] = value;
    }
  }
  return [result.x ?? width / 2, result.y ?? height / 2];
}

const afterAt = (prelude: readonly Component[]) => {
  const at = prelude.findIndex((part) => isKeyword(part, "at"));
  return at < 0 ? { before: prelude, after: [] } : { before: prelude.slice(0, at), after: prelude.slice(at + 1) };
};

/** 3.2 */
function radial(prelude: readonly Component[], box: GradientBox, length: LengthOf): Geometry | null {
  const { before, after } = afterAt(prelude);
  const centre = position(after, box, length);
  if (!centre) return null;
  const [cx, cy] = centre;
  const words = before.flatMap((part) => (part.type === "ident" ? [part.name.toLowerCase()] : []));
  const sizes = before.filter((part) => part.type !== "ident");
  const circle = words.includes("circle") || (!words.includes("ellipse") && sizes.length === 1);
  const extent = words.find((word) => /-(?:side|corner)$/.test(word)) ?? "farthest-corner";
  const [left, right, top, bottom] = [Math.abs(cx), Math.abs(box.width - cx), Math.abs(cy), Math.abs(box.height - cy)];
  const pick = extent.startsWith("closest") ? Math.min : Math.max;
  let rx: number | null;
  let ry: number | null;
  if (sizes.length > 0) {
    rx = length(sizes[0], box.width);
    ry = sizes.length > 1 ? length(sizes[1], box.height) : rx;
    if (rx === null || ry === null) return null;
  } else if (circle) {
    rx = ry = extent.endsWith("side")
      ? pick(left, right, top, bottom)
      : pick(...[left, right].flatMap((x) => [top, bottom].map((y) => Math.hypot(x, y))));
  } else {
    [rx, ry] = [pick(left, right), pick(top, bottom)];
    // An ellipse through the corner keeps the proportions of the one to the sides.
    if (extent.endsWith("corner")) [rx, ry] = [rx * Math.SQRT2, ry * Math.SQRT2];
  }
  return { length: rx, at: (x, y) => (rx === 0 || ry === 0 ? Infinity : Math.hypot((x - cx) / rx!, (y - cy) / ry!)) };
}

/** 3.3 */
function conic(prelude: readonly Component[], box: GradientBox, length: LengthOf): Geometry | null {
  const { before, after } = afterAt(prelude);
  const centre = position(after, box, length);
  const from = isKeyword(before[0], "from") ? angleOf(before[1], absoluteUnit) : 0;
  if (!centre || from === null) return null;
  const [cx, cy] = centre;
  return {
    length: null,
    at: (x, y) => {
      const turn = ((Math.atan2(x - cx, -(y - cy)) * 180) / Math.PI - from) / 360;
      return turn - Math.floor(turn);
    },
  };
}

interface Stop {
  color: Color;
  legacy: boolean;
  at: number;
  /** Where, on the way from the stop before, half of the change is done. */
  hint: number | null;
}

/** 3.5 */
function readStops(
  parts: readonly (readonly Component[])[],
  length: number | null,
  colors: ColorContext,
  unit: Units,
): Stop[] | null {
  const stops: { color: Color; legacy: boolean; at: number | null; hint: number | null }[] = [];
  let hint: number | null = null;
  const measure = lengthIn(unit);
  const place = (component: Component): number | null => {
    if (length === null) {
      const angle = angleOf(component, absoluteUnit);
      return angle === null ? null : angle / 360;
    }
    if (component.type === "percentage") return component.value / 100;
    const px = measure(component, length);
    return px === null || length === 0 ? null : px / length;
  };
  for (const part of parts) {
    const at = part.findIndex((one) => colorFromComponent(one) !== null);
    if (at < 0) {
      hint = part.length === 1 ? place(part[0]!) : null;
      if (hint === null) return null;
      continue;
    }
    const { color, legacy } = resolveColor(colorFromComponent(part[at]!)!, colors);
    const places = part.filter((_, index) => index !== at).map(place);
    if (places.includes(null)) return null;
    for (const one of places.length ? places : [null]) {
      stops.push({ color, legacy, at: one, hint });
      hint = null;
    }
  }
  return fixed(stops);
}

/** 3.5.3: the ends, no going back, and stops without a place spread evenly. */
function fixed(stops: { color: Color; legacy: boolean; at: number | null; hint: number | null }[]): Stop[] {
  if (stops.length === 0) return [];
  stops[0]!.at ??= 0;
  stops[stops.length - 1]!.at ??= 1;
  let furthest = -Infinity;
  for (const stop of stops) {
    if (stop.hint !== null) furthest = stop.hint = Math.max(furthest, stop.hint);
    if (stop.at !== null) furthest = stop.at = Math.max(furthest, stop.at);
  }
  for (let at = 1; at < stops.length; at += 1) {
    if (stops[at]!.at !== null) continue;
    const next = stops.findIndex((stop, index) => index > at && stop.at !== null);
    const from = stops[at - 1]!.at!;
    stops[at]!.at = from + (stops[next]!.at! - from) / (next - at + 1);
  }
  return stops as Stop[];
}

function rampOf(stops: readonly Stop[], space: Space, way: HueWay, repeating: boolean): (share: number) => Color {
  const first = stops[0]!;
  const last = stops[stops.length - 1]!;
  const span = last.at - first.at;
  return (share) => {
    let at = share;
    if (repeating) {
      if (span <= 0) return last.color;
      at = first.at + ((((share - first.at) % span) + span) % span);
    }
    if (at < first.at || stops.length === 1) return first.color;
    if (at >= last.at) return last.color;
    const next = stops.findIndex((stop) => stop.at > at);
    const before = stops[next - 1]!;
    const after = stops[next]!;
    let way01 = (at - before.at) / (after.at - before.at);
    if (after.hint !== null) way01 = hinted(way01, (after.hint - before.at) / (after.at - before.at));
    return interpolateColors(before.color, after.color, way01, space, way);
  };
}

function hinted(share: number, hint: number): number {
  if (hint <= 0) return 1;
  if (hint >= 1) return 0;
  return share ** (Math.log(0.5) / Math.log(hint));
}
