import { colorFromComponent } from "../../../color/value";
import { componentsOf, isDelim, splitAt, type Component } from "../../../source/css/components";
import { isBackgroundSize } from "../backgrounds";
import { isImage } from "../color";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import { isPosition, layered, positionOf } from "./backgroundPosition";

const repeats = new Set(["repeat", "repeat-x", "repeat-y", "no-repeat", "space", "round"]);
const attachments = new Set(["scroll", "fixed", "local"]);
const boxes = new Set(["border-box", "padding-box", "content-box"]);
/** What alone is clipped to, wherever a layer begins. */
const clips = new Set(["text", "border-area"]);
const isSize = (part: Component) => isBackgroundSize([part]);

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
export const background: Shorthand = {
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
