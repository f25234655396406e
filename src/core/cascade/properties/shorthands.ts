/** Shorthands and what each resets. One entry a shorthand; values left out become initial. */
import { table } from "../../source/table";
import { colorFromComponent } from "../../color/value";
import { isDelim, soleKeyword, splitAt, componentsOf, type Component } from "../../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../../source/css/math";
import { isBackgroundSize } from "./backgrounds";
import { borderStyles, isBorderWidth } from "./box";
import { isImage } from "./color";
import { outlineStyles } from "./edges";
import { corners, sides } from "./sides";
import { eastAsianGroups, ligatureGroups, numericGroups } from "./features";
import { capsKeywords, isFontSize, isLineHeight, parseFamilies, stretchKeywords } from "./font";
import { isLength, wordOf } from "./kinds";
import { isMarker } from "./lists";
import { decorationStyles, isDecorationLine, isThickness } from "./text";
import type { Shorthand } from "./types";
import { isEmphasisStyle, isStrokeWidth } from "./typesetting";

type Expansion = Partial<Record<string, readonly Component[]>>;

/** One to four values for the four sides (CSS Box 4, 3.2). */
function fourSides(name: string, longhands: readonly string[]): Shorthand {
  return {
    name,
    longhands,
    expand: (value) => {
      if (value.length < 1 || value.length > 4) return null;
      const [top, right = top, bottom = top, left = right] = value;
      return Object.fromEntries([top, right, bottom, left].map((one, at) => [longhands[at]!, [one!]]));
    },
  };
}

/** One or two values for start and end. */
function twoSides(name: string, longhands: readonly [string, string]): Shorthand {
  return {
    name,
    longhands,
    expand: ([start, end = start, more]) =>
      !start || more ? null : { [longhands[0]]: [start], [longhands[1]]: [end!] },
  };
}

const lineStyles = new Set(["none", ...borderStyles.split(" ")]);

/** Width, style and colour in any order, for all the sides named. */
function border(name: string, edges: readonly string[], others: readonly string[] = []): Shorthand {
  const own = edges.flatMap((edge) => [`border-${edge}-width`, `border-${edge}-style`, `border-${edge}-color`]);
  const longhands = [...own, ...others];
  return {
    name,
    longhands,
    expand: (value) => {
      const found: { width?: Component; style?: Component; color?: Component } = {};
      if (value.length < 1 || value.length > 3) return null;
      for (const one of value) {
        if (!found.style && lineStyles.has(wordOf(one))) found.style = one;
        else if (!found.width && isBorderWidth(one)) found.width = one;
        else if (!found.color && colorFromComponent(one)) found.color = one;
        else return null;
      }
      const expansion: Expansion = {};
      for (const edge of edges) {
        if (found.width) expansion[`border-${edge}-width`] = [found.width];
        if (found.style) expansion[`border-${edge}-style`] = [found.style];
        if (found.color) expansion[`border-${edge}-color`] = [found.color];
      }
      return expansion;
    },
  };
}

function isAngle(component: Component | undefined): boolean {
  if (!component || (component.type !== "dimension" && !isMath(component))) return false;
  const quantity = evaluateMath(component, { unit: absoluteUnit, percentAs: null });
  return quantity !== null && measureOf(quantity) === "angle";
}

function isWeightInMath(component: Component): boolean {
  if (!isMath(component)) return false;
  const quantity = evaluateMath(component, { unit: absoluteUnit, percentAs: null });
  return quantity !== null && measureOf(quantity) === "number";
}

const variantLonghands = ["ligatures", "numeric", "east-asian", "alternates", "emoji"].map(
  (part) => `font-variant-${part}`,
);

const fontStyles = new Set(["italic", "oblique"]);
const systemFonts = new Set(["caption", "icon", "menu", "message-box", "small-caption", "status-bar"]);

/** CSS Fonts 4, 2.7: style, caps, weight and stretch in any order, then size, line height and family. */
const font: Shorthand = {
  name: "font",
  longhands: [
    "font-family",
    "font-size",
    "font-weight",
    "font-style",
    "font-stretch",
    "font-variant-caps",
    "font-size-adjust",
    "font-variation-settings",
    "line-height",
    "font-kerning",
    "font-optical-sizing",
    "font-variant-position",
    ...variantLonghands,
    "font-feature-settings",
    "font-language-override",
  ],
  expand: (value) => {
    const system = soleKeyword(value);
    if (system === "-webkit-control")
      return { "font-family": componentsOf("Arial"), "font-size": componentsOf("13.3333px") };
    if (system && systemFonts.has(system)) {
      return { "font-family": componentsOf("Arial"), "font-size": componentsOf("16px") };
    }
    const expansion: Expansion = {};
    let at = 0;
    for (let parts = 0; at < value.length && parts < 4; at += 1, parts += 1) {
      const part = value[at]!;
      const word = wordOf(part);
      if (word === "normal") continue;
      if (fontStyles.has(word) && !expansion["font-style"]) {
        const angle = word === "oblique" && isAngle(value[at + 1]);
        expansion["font-style"] = angle ? [part, value[++at]!] : [part];
      } else if (word === "small-caps" && !expansion["font-variant-caps"]) expansion["font-variant-caps"] = [part];
      else if (
        (["bold", "bolder", "lighter"].includes(word) ||
          (part.type === "number" && !expansion["font-weight"] && !isFontSize(part)) ||
          isWeightInMath(part)) &&
        !expansion["font-weight"]
      ) {
        expansion["font-weight"] = [part];
      } else if (word in stretchKeywords && !expansion["font-stretch"]) expansion["font-stretch"] = [part];
      else break;
    }
    const size = value[at];
    if (!size || !isFontSize(size)) return null;
    expansion["font-size"] = [size];
    at += 1;
    if (isDelim(value[at], "/")) {
      const leading = value[at + 1];
      if (!leading || !isLineHeight(leading)) return null;
      expansion["line-height"] = [leading];
      at += 2;
    }
    const families = value.slice(at);
    if (families.length === 0 || !parseFamilies(families)) return null;
    expansion["font-family"] = families;
    return expansion;
  },
};

const textDecoration: Shorthand = {
  name: "text-decoration",
  longhands: ["text-decoration-line", "text-decoration-style", "text-decoration-color", "text-decoration-thickness"],
  expand: (value) => {
    const lines: Component[] = [];
    const expansion: Expansion = {};
    for (const part of value) {
      if (isDecorationLine(part)) {
        lines.push(part);
      } else if (decorationStyles.includes(wordOf(part)) && !expansion["text-decoration-style"])
        expansion["text-decoration-style"] = [part];
      else if (isThickness(part) && !expansion["text-decoration-thickness"])
        expansion["text-decoration-thickness"] = [part];
      else if (colorFromComponent(part) && !expansion["text-decoration-color"])
        expansion["text-decoration-color"] = [part];
      else return null;
    }
    // Lines are one value of their longhand (CSS Text Decoration 4, 2.5).
    if (!standTogether(lines, value)) return null;
    if (lines.length) expansion["text-decoration-line"] = lines;
    return value.length ? expansion : null;
  },
};

const repeats = new Set(["repeat", "repeat-x", "repeat-y", "no-repeat", "space", "round"]);
const attachments = new Set(["scroll", "fixed", "local"]);
const boxes = new Set(["border-box", "padding-box", "content-box"]);
/** What alone is clipped to, wherever a layer begins. */
const clips = new Set(["text", "border-area"]);
const across = new Set(["left", "right", "x-start", "x-end"]);
const down = new Set(["top", "bottom", "y-start", "y-end"]);
const positionRules = { percent: true, negative: true };
const isPlace = (part: Component | undefined) => part !== undefined && isLength(part, positionRules, absoluteUnit);
const isPosition = (part: Component) =>
  across.has(wordOf(part)) || down.has(wordOf(part)) || wordOf(part) === "center" || isPlace(part);
const isSize = (part: Component) => isBackgroundSize([part]);
const center = componentsOf("center");

/** One to four parts as the place across and the place down (CSS Backgrounds 3, 3.6). */
function positionOf(parts: readonly Component[]): { x: readonly Component[]; y: readonly Component[] } | null {
  if (parts.length < 1 || parts.length > 4 || !parts.every(isPosition)) return null;
  const [first, second] = parts;
  if (parts.length === 1) return down.has(wordOf(first)) ? { x: center, y: parts } : { x: parts, y: center };
  if (parts.length === 2) {
    if (down.has(wordOf(first)) || across.has(wordOf(second))) {
      if (isPlace(first) || isPlace(second) || across.has(wordOf(first)) || down.has(wordOf(second))) return null;
      return { x: [second!], y: [first!] };
    }
    return across.has(wordOf(second)) || down.has(wordOf(first)) ? null : { x: [first!], y: [second!] };
  }
  const runs: Component[][] = [];
  for (const part of parts) {
    if (!isPlace(part)) runs.push([part]);
    else if (runs.length === 0 || runs.at(-1)!.length > 1 || wordOf(runs.at(-1)![0]) === "center") return null;
    else runs.at(-1)!.push(part);
  }
  if (runs.length !== 2) return null;
  const x = runs.find(([edge]) => across.has(wordOf(edge)));
  const y = runs.find(([edge]) => down.has(wordOf(edge)));
  const middle = runs.find(([edge]) => wordOf(edge) === "center");
  if (x && y) return { x, y };
  if (!middle) return null;
  if (x) return { x, y: middle };
  return y ? { x: middle, y } : null;
}

const comma = componentsOf(",")[0]!;

/** Layers one after the other, parted by commas. */
const layered = (layers: readonly (readonly Component[])[]): Component[] =>
  layers.flatMap((layer, at) => (at > 0 ? [comma, ...layer] : [...layer]));

const backgroundPosition: Shorthand = {
  name: "background-position",
  longhands: ["background-position-x", "background-position-y"],
  expand: (value) => {
    const places = splitAt(value, ",").map(positionOf);
    if (places.includes(null)) return null;
    return {
      "background-position-x": layered(places.map((place) => place!.x)),
      "background-position-y": layered(places.map((place) => place!.y)),
    };
  },
};

interface BackgroundLayer {
  image: Component[];
  position: Component[];
  size: Component[];
  repeat: Component[];
  attachment: Component[];
  boxes: Component[];
  clip: Component[];
  color: Component | null;
}

/** Null where a part cannot be one of a layer. */
function backgroundLayer(parts: readonly Component[], isLast: boolean): BackgroundLayer | null {
  const layer: BackgroundLayer = {
    image: [],
    position: [],
    size: [],
    repeat: [],
    attachment: [],
    boxes: [],
    clip: [],
    color: null,
  };
  for (let at = 0; at < parts.length; at += 1) {
    const part = parts[at]!;
    const word = wordOf(part);
    const before = parts[at - 1];
    const follows = (list: readonly Component[]) => list.length === 0 || list.at(-1) === before;
    if (layer.image.length === 0 && (isImage(part) || word === "none")) layer.image.push(part);
    else if (boxes.has(word) && layer.boxes.length + layer.clip.length < 2) layer.boxes.push(part);
    else if (clips.has(word) && layer.boxes.length + layer.clip.length < 2) layer.clip.push(part);
    else if (repeats.has(word) && layer.repeat.length < 2 && follows(layer.repeat)) layer.repeat.push(part);
    else if (attachments.has(word) && layer.attachment.length < 1) layer.attachment.push(part);
    else if (isPosition(part) && layer.position.length < 4 && follows(layer.position)) layer.position.push(part);
    else if (
      isDelim(part, "/") &&
      layer.position.length > 0 &&
      before === layer.position.at(-1) &&
      !layer.size.length
    ) {
      while (at + 1 < parts.length && layer.size.length < 2 && isSize(parts[at + 1]!))
        layer.size.push(parts[(at += 1)]!);
      if (!isBackgroundSize(layer.size)) return null;
    } else if (!layer.color && isLast && colorFromComponent(part)) layer.color = part;
    else return null;
  }
  return parts.length ? layer : null;
}

/** CSS Backgrounds 3, 3.10. */
const background: Shorthand = {
  name: "background",
  longhands: [
    "background-color",
    "background-image",
    "background-position-x",
    "background-position-y",
    "background-size",
    "background-repeat",
    "background-attachment",
    "background-origin",
    "background-clip",
  ],
  expand: (value) => {
    const groups = splitAt(value, ",");
    const layers = groups.map((parts, at) => backgroundLayer(parts, at === groups.length - 1));
    if (layers.includes(null)) return null;
    const known = layers as BackgroundLayer[];
    const places = known.map(({ position }) => positionOf(position.length ? position : componentsOf("0% 0%")));
    if (places.includes(null)) return null;
    const { color } = known.at(-1)!;
    const each = (part: (layer: BackgroundLayer) => readonly Component[], usual: string) =>
      layered(known.map((layer) => (part(layer).length ? part(layer) : componentsOf(usual))));
    return {
      "background-image": each(({ image }) => image, "none"),
      "background-position-x": layered(places.map((place) => place!.x)),
      "background-position-y": layered(places.map((place) => place!.y)),
      "background-size": each(({ size }) => size, "auto"),
      "background-repeat": each(({ repeat }) => repeat, "repeat"),
      "background-attachment": each(({ attachment }) => attachment, "scroll"),
      "background-origin": each(({ boxes: [own] }) => (own ? [own] : []), "padding-box"),
      "background-clip": each(({ boxes: own, clip }) => (clip.length ? clip : own.slice(-1)), "border-box"),
      ...(color ? { "background-color": [color] } : {}),
    };
  },
};

/** Parts in any order, each taken by the first longhand that is free and reads it. */
function anyOrder(
  name: string,
  takes: readonly (readonly [longhand: string, isOne: (part: Component) => boolean, most?: number])[],
): Shorthand {
  return {
    name,
    longhands: takes.map(([longhand]) => longhand),
    expand: (value) => {
      const found: Record<string, Component[]> = {};
      for (const [at, part] of value.entries()) {
        const isFree = (longhand: string, most = 1) => {
          const own = found[longhand] ?? [];
          return own.length === 0 || (own.length < most && own.at(-1) === value[at - 1]);
        };
        const take = takes.find(([longhand, isOne, most]) => isFree(longhand, most) && isOne(part));
        if (!take) return null;
        (found[take[0]] ??= []).push(part);
      }
      return value.length ? found : null;
    },
  };
}

const isColor = (part: Component) => colorFromComponent(part) !== null;
const isOneOf = (words: string) => {
  const known = new Set(words.split(" "));
  return (part: Component) => known.has(wordOf(part));
};

/** Up to four across and, behind a slash, up to four down (CSS Backgrounds 3, 5.1). */
const borderRadius: Shorthand = {
  name: "border-radius",
  longhands: corners.map((corner) => `border-${corner}-radius`),
  expand: (value) => {
    const groups = splitAt(value, "/");
    const [horizontal, vertical] = groups.map((group) => {
      const [first, second = first, third = first, fourth = second] = group;
      return group.length >= 1 && group.length <= 4 ? [first!, second!, third!, fourth!] : null;
    });
    if (groups.length > 2 || !horizontal || (groups.length === 2 && !vertical)) return null;
    return Object.fromEntries(
      corners.map((corner, at) => [
        `border-${corner}-radius`,
        vertical ? [horizontal[at]!, vertical[at]!] : [horizontal[at]!],
      ]),
    );
  },
};

const borderImageLonghands = ["source", "slice", "width", "outset", "repeat"].map((part) => `border-image-${part}`);

/** CSS Backgrounds 3, 6.7: slice, width and outset stand together, parted by slashes. */
const borderImage: Shorthand = {
  name: "border-image",
  longhands: borderImageLonghands,
  expand: (value) => {
    const source = value.filter((part) => isImage(part) || wordOf(part) === "none");
    const repeat = value.filter((part) => isOneOf("stretch repeat round space")(part));
    const rest = value.filter((part) => !source.includes(part) && !repeat.includes(part));
    const groups = rest.length ? splitAt(rest, "/") : [];
    const [slice, width, outset] = groups;
    if (value.length === 0 || source.length > 1 || repeat.length > 2 || groups.length > 3) return null;
    if (!standTogether(rest, value) || !standTogether(repeat, value)) return null;
    if (groups.length && (!slice?.length || (groups.length === 2 && !width?.length) || (outset && !outset.length)))
      return null;
    return {
      ...(source.length ? { "border-image-source": source } : {}),
      ...(slice?.length ? { "border-image-slice": slice } : {}),
      ...(width?.length ? { "border-image-width": width } : {}),
      ...(outset?.length ? { "border-image-outset": outset } : {}),
      ...(repeat.length ? { "border-image-repeat": repeat } : {}),
    };
  },
};

/** CSS Text 4, 3: the old keywords and the new parts. */
const whiteSpaceKeywords: Readonly<Record<string, [string, string]>> = table({
  normal: ["collapse", "wrap"],
  pre: ["preserve", "nowrap"],
  nowrap: ["collapse", "nowrap"],
  "pre-wrap": ["preserve", "wrap"],
  "pre-line": ["preserve-breaks", "wrap"],
  "break-spaces": ["break-spaces", "wrap"],
  "-webkit-nowrap": ["collapse", "nowrap"],
});
const collapseWords = new Set(["collapse", "preserve", "preserve-breaks", "break-spaces"]);

const whiteSpace: Shorthand = {
  name: "white-space",
  longhands: ["white-space-collapse", "text-wrap-mode"],
  expand: (value) => {
    const pair = whiteSpaceKeywords[soleKeyword(value) ?? ""];
    if (pair) return { "white-space-collapse": componentsOf(pair[0]), "text-wrap-mode": componentsOf(pair[1]) };
    const expansion: Expansion = {};
    for (const part of value) {
      const word = wordOf(part);
      if (collapseWords.has(word) && !expansion["white-space-collapse"]) expansion["white-space-collapse"] = [part];
      else if ((word === "wrap" || word === "nowrap") && !expansion["text-wrap-mode"])
        expansion["text-wrap-mode"] = [part];
      else return null;
    }
    return value.length ? expansion : null;
  },
};

const textWrap: Shorthand = {
  name: "text-wrap",
  longhands: ["text-wrap-mode", "text-wrap-style"],
  expand: (value) => {
    const words = value.map(wordOf);
    const mode = value.find((part) => ["wrap", "nowrap"].includes(wordOf(part)));
    const styles = value.filter((part) => ["auto", "balance", "pretty", "stable"].includes(wordOf(part)));
    if (words.length === 0 || styles.length + (mode ? 1 : 0) !== words.length || styles.length > 1) return null;
    return {
      ...(mode ? { "text-wrap-mode": [mode] } : {}),
      ...(styles.length ? { "text-wrap-style": styles } : {}),
    };
  },
};

/** CSS Fonts 4, 6.11: what each word is about is told by the longhand that reads it. */
const fontVariant: Shorthand = {
  name: "font-variant",
  longhands: ["font-variant-caps", "font-variant-position", ...variantLonghands],
  expand: (value) => {
    const only = soleKeyword(value);
    if (only === "normal") return {};
    if (only === "none") return { "font-variant-ligatures": value };
    const found: Record<string, Component[]> = {};
    for (const part of value) {
      const name = variantOf(part);
      if (!name) return null;
      // Browsers take it more than once.
      if (wordOf(part) === "historical-forms") found[name] = [part];
      else (found[name] ??= []).push(part);
    }
    return value.length ? found : null;
  },
};

function variantOf(part: Component): string | null {
  if (part.type === "function") return "font-variant-alternates";
  const word = wordOf(part);
  const has = (groups: readonly string[]) => groups.some((group) => group.split(" ").includes(word));
  if (has([capsKeywords])) return "font-variant-caps";
  if (has(ligatureGroups)) return "font-variant-ligatures";
  if (has(numericGroups)) return "font-variant-numeric";
  if (has(eastAsianGroups)) return "font-variant-east-asian";
  if (word === "historical-forms") return "font-variant-alternates";
  if (word === "sub" || word === "super") return "font-variant-position";
  return ["text", "emoji", "unicode"].includes(word) ? "font-variant-emoji" : null;
}

/** Whether parts follow each other among all. */
const standTogether = (parts: readonly Component[], all: readonly Component[]): boolean =>
  parts.every((part, at) => at === 0 || part === all[all.indexOf(parts[at - 1]!) + 1]);

/** CSS Inline 3, 5.1. */
const textBox: Shorthand = {
  name: "text-box",
  longhands: ["text-box-trim", "text-box-edge"],
  expand: (value) => {
    if (soleKeyword(value) === "normal") return {};
    const trim = value.filter((part) => /^(?:none|trim-)/.test(wordOf(part)));
    const edge = value.filter((part) => !trim.includes(part));
    if (trim.length > 1 || value.length === 0 || !standTogether(edge, value)) return null;
    return {
      "text-box-trim": trim.length ? trim : componentsOf("trim-both"),
      ...(edge.length ? { "text-box-edge": edge } : {}),
    };
  },
};

/** The longhand of `list-style` that a word is for: after a place for markers, a second is the name of a style. */
function listPart(part: Component, word: string, isPlaced: boolean): string | null {
  if (!isPlaced && (word === "inside" || word === "outside")) return "list-style-position";
  if (isImage(part)) return "list-style-image";
  return isMarker(part) ? "list-style-type" : null;
}

/** CSS Lists 3, 3.6: `none` stands for what else is not said of marker and picture. */
const listStyle: Shorthand = {
  name: "list-style",
  longhands: ["list-style-type", "list-style-position", "list-style-image"],
  expand: (value) => {
    const found: Record<string, Component[]> = {};
    let nones = 0;
    for (const part of value) {
      const word = wordOf(part);
      const name = listPart(part, word, found["list-style-position"] !== undefined);
      if (!name) return null;
      if (word === "none") nones += 1;
      else if (found[name]) return null;
      else found[name] = [part];
    }
    const free = (found["list-style-type"] ? 0 : 1) + (found["list-style-image"] ? 0 : 1);
    if (value.length === 0 || nones > free) return null;
    if (nones && !found["list-style-type"]) found["list-style-type"] = [...componentsOf("none")];
    return found;
  },
};

/** CSS Conditional 5, 3.3: name, then type behind a slash. */
const container: Shorthand = {
  name: "container",
  longhands: ["container-name", "container-type"],
  expand: (value) => {
    const [names, type, more] = splitAt(value, "/");
    if (!names?.length || more || (type && type.length !== 1)) return null;
    return { "container-name": names, ...(type ? { "container-type": type } : {}) };
  },
};

const edgesOf = { block: ["block-start", "block-end"], inline: ["inline-start", "inline-end"] } as const;

export const shorthands: ReadonlyMap<string, Shorthand> = new Map(
  [
    font,
    fontVariant,
    textDecoration,
    background,
    whiteSpace,
    textWrap,
    container,
    listStyle,
    fourSides(
      "margin",
      sides.map((side) => `margin-${side}`),
    ),
    fourSides(
      "padding",
      sides.map((side) => `padding-${side}`),
    ),
    ...(["width", "style", "color"] as const).map((part) =>
      fourSides(
        `border-${part}`,
        sides.map((side) => `border-${side}-${part}`),
      ),
    ),
    // A border all around takes its picture away, too (CSS Backgrounds 3, 4.4).
    border("border", sides, borderImageLonghands),
    borderImage,
    borderRadius,
    backgroundPosition,
    anyOrder("outline", [
      ["outline-style", isOneOf(`none ${outlineStyles}`)],
      ["outline-width", isBorderWidth],
      ["outline-color", isColor],
    ]),
    anyOrder("text-emphasis", [
      ["text-emphasis-style", isEmphasisStyle, 2],
      ["text-emphasis-color", isColor],
    ]),
    anyOrder("-webkit-text-stroke", [
      ["-webkit-text-stroke-width", isStrokeWidth],
      ["-webkit-text-stroke-color", isColor],
    ]),
    twoSides("overflow", ["overflow-x", "overflow-y"]),
    textBox,
    ...sides.map((side) => border(`border-${side}`, [side])),
    ...(["block", "inline"] as const).flatMap((axis) => [
      twoSides(`margin-${axis}`, [`margin-${axis}-start`, `margin-${axis}-end`]),
      twoSides(`padding-${axis}`, [`padding-${axis}-start`, `padding-${axis}-end`]),
      border(`border-${axis}`, edgesOf[axis]),
      ...edgesOf[axis].map((edge) => border(`border-${edge}`, [edge])),
      ...(["width", "style", "color"] as const).map((part) =>
        twoSides(`border-${axis}-${part}`, [`border-${axis}-start-${part}`, `border-${axis}-end-${part}`]),
      ),
    ]),
  ].map((shorthand) => [shorthand.name, shorthand]),
);
