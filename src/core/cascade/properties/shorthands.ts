/** Shorthands and what each resets. One entry a shorthand; values left out become initial. */
import { colorFromComponent } from "../../color/value";
import { isDelim, soleKeyword, splitAt, componentsOf, type Component } from "../../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../../source/css/math";
import { borderStyles, isBorderWidth, sides } from "./box";
import { isImage } from "./color";
import { capsKeywords, isFontSize, isLineHeight, parseFamilies, stretchKeywords } from "./font";
import { isLength } from "./kinds";
import { decorationStyles, isDecorationLine, isThickness } from "./text";
import type { Shorthand } from "./types";

type Expansion = Partial<Record<string, readonly Component[]>>;

const wordOf = (component: Component | undefined) => (component?.type === "ident" ? component.name.toLowerCase() : "");

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
function border(name: string, edges: readonly string[]): Shorthand {
  const longhands = edges.flatMap((edge) => [`border-${edge}-width`, `border-${edge}-style`, `border-${edge}-color`]);
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
    for (; at < value.length; at += 1) {
      const part = value[at]!;
      const word = wordOf(part);
      if (word === "normal" && at < 4) continue;
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
        // Lines stand together (CSS Text Decoration 4, 2.5: one value of text-decoration-line).
        if (lines.length && value[value.indexOf(part) - 1] !== lines[lines.length - 1]) return null;
        lines.push(part);
      } else if (decorationStyles.includes(wordOf(part)) && !expansion["text-decoration-style"])
        expansion["text-decoration-style"] = [part];
      else if (isThickness(part) && !expansion["text-decoration-thickness"])
        expansion["text-decoration-thickness"] = [part];
      else if (colorFromComponent(part) && !expansion["text-decoration-color"])
        expansion["text-decoration-color"] = [part];
      else return null;
    }
    if (lines.length) expansion["text-decoration-line"] = lines;
    return value.length ? expansion : null;
  },
};

const repeats = new Set(["repeat", "repeat-x", "repeat-y", "no-repeat", "space", "round"]);
const attachments = new Set(["scroll", "fixed", "local"]);
const boxes = new Set(["border-box", "padding-box", "content-box", "text", "border-area"]);
const positions = new Set(["left", "right", "top", "bottom", "center", "x-start", "x-end", "y-start", "y-end"]);
const positionRules = { percent: true, negative: true };
const isPosition = (part: Component) => positions.has(wordOf(part)) || isLength(part, positionRules, absoluteUnit);

/** CSS Backgrounds 3, 3.10. Only the parts that are reported are kept; the rest is checked. */
const background: Shorthand = {
  name: "background",
  longhands: ["background-color", "background-image", "background-clip"],
  expand: (value) => {
    const layers = splitAt(value, ",");
    const images: Component[] = [];
    const clips: Component[] = [];
    const comma = componentsOf(",")[0]!;
    const none = componentsOf("none")[0]!;
    const borderBox = componentsOf("border-box")[0]!;
    let color: Component | undefined;
    for (const [at, layer] of layers.entries()) {
      if (layer.length === 0) return null;
      let image: Component | undefined;
      const found = { boxes: [] as Component[], repeats: 0, attachments: 0, positions: 0, sizes: 0 };
      let sized = false;
      for (let index = 0; index < layer.length; index += 1) {
        const part = layer[index]!;
        const word = wordOf(part);
        if (!image && (isImage(part) || word === "none")) image = part;
        else if (boxes.has(word) && found.boxes.length < 2) found.boxes.push(part);
        else if (repeats.has(word) && found.repeats < 2) found.repeats += 1;
        else if (attachments.has(word) && found.attachments < 1) found.attachments += 1;
        else if (isPosition(part) && found.positions < 4) found.positions += 1;
        else if (isDelim(part, "/") && found.positions > 0 && !sized) {
          sized = true;
          while (index + 1 < layer.length && found.sizes < 2 && isSize(layer[index + 1]!)) {
            index += 1;
            found.sizes += 1;
          }
          if (found.sizes === 0) return null;
        } else if (!color && at === layers.length - 1 && colorFromComponent(part)) color = part;
        else return null;
      }
      if (at > 0) {
        images.push(comma);
        clips.push(comma);
      }
      images.push(image ?? none);
      clips.push(found.boxes[1] ?? found.boxes[0] ?? borderBox);
    }
    return { "background-image": images, "background-clip": clips, ...(color ? { "background-color": [color] } : {}) };
  },
};

function isSize(part: Component): boolean {
  return (
    ["auto", "cover", "contain"].includes(wordOf(part)) ||
    isLength(part, { percent: true, negative: false }, absoluteUnit)
  );
}

/** CSS Text 4, 3: the old keywords and the new parts. */
const whiteSpaceKeywords: Readonly<Record<string, [string, string]>> = {
  normal: ["collapse", "wrap"],
  pre: ["preserve", "nowrap"],
  nowrap: ["collapse", "nowrap"],
  "pre-wrap": ["preserve", "wrap"],
  "pre-line": ["preserve-breaks", "wrap"],
  "break-spaces": ["break-spaces", "wrap"],
  "-webkit-nowrap": ["collapse", "nowrap"],
};
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

const variantWords = new Set(
  (
    "common-ligatures no-common-ligatures discretionary-ligatures no-discretionary-ligatures historical-ligatures no-historical-ligatures " +
    "contextual no-contextual lining-nums oldstyle-nums proportional-nums tabular-nums diagonal-fractions stacked-fractions ordinal " +
    "slashed-zero historical-forms jis78 jis83 jis90 jis04 simplified traditional full-width proportional-width ruby sub super text emoji unicode"
  ).split(" "),
);

const fontVariant: Shorthand = {
  name: "font-variant",
  longhands: ["font-variant-caps"],
  expand: (value) => {
    const only = soleKeyword(value);
    if (only === "normal" || only === "none") return {};
    const caps = value.filter((part) => capsKeywords.split(" ").includes(wordOf(part)));
    const others = value.filter((part) => variantWords.has(wordOf(part)) || part.type === "function");
    if (caps.length > 1 || caps.length + others.length !== value.length || value.length === 0) return null;
    return caps.length ? { "font-variant-caps": caps } : {};
  },
};

/** CSS Lists 3, 3.6; only the kind of marker is kept. */
const listStyle: Shorthand = {
  name: "list-style",
  longhands: ["list-style-type", "list-style-position"],
  expand: (value) => {
    const position = value.filter((part) => ["inside", "outside"].includes(wordOf(part)));
    const others = value.filter((part) => !["inside", "outside"].includes(wordOf(part)) && !isImage(part));
    if (value.length === 0 || value.length > 3 || others.length > 2) return null;
    const named = others.find((part) => wordOf(part) !== "none") ?? others[0];
    if (position.length > 1) return null;
    return {
      ...(named ? { "list-style-type": [named] } : {}),
      ...(position.length ? { "list-style-position": position } : {}),
    };
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
    border("border", sides),
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
