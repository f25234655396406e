/** Colours that the browser gives, where texts have them: they are drafted in rules of their own. */
import type { Tone, TonedText } from "./types";

/** The ids of what the browser gives. */
export const canvasTone = "canvas";
export const linkTone = "link";
export const visitedTone = "visited";
export const activeTone = "active";
/** Black, where a root takes its ink from nothing: it is so in each scheme. */
export const rootTone = "root";

type Given = Pick<Tone, "id" | "part" | "value" | "css" | "words"> & { rule: NonNullable<Tone["rule"]> };

/** As Chromium's own sheet has them. The rules weigh nothing, so that any of the site's own beats them. */
const all: readonly Given[] = [
  {
    id: canvasTone,
    part: "ground",
    value: "#ffffff",
    css: "rgb(255, 255, 255)",
    words: "ground of the window, where the site gives none",
    rule: { selector: ":root", property: "background-color" },
  },
  {
    id: linkTone,
    part: "ink",
    value: "#0000ee",
    css: "rgb(0, 0, 238)",
    words: "ink of links, as browsers have it",
    rule: { selector: ":where(:link)", property: "color" },
  },
  {
    id: visitedTone,
    part: "ink",
    value: "#551a8b",
    css: "rgb(85, 26, 139)",
    words: "ink of visited links, as browsers have it",
    rule: { selector: ":where(:any-link:visited)", property: "color" },
  },
  {
    id: activeTone,
    part: "ink",
    value: "#ff0000",
    css: "rgb(255, 0, 0)",
    words: "ink of links while pressed, as browsers have it",
    rule: { selector: ":where(:link:active)", property: "color" },
  },
  {
    id: rootTone,
    part: "ink",
    value: "#000000",
    css: "rgb(0, 0, 0)",
    words: "ink of the root, which takes it from nothing",
    rule: { selector: ":root", property: "color" },
  },
];

/** @param isBare whether no page gives its window a ground, so that all may be given one */
export function givenTones(texts: readonly TonedText[], isBare: boolean): Tone[] {
  const ids = new Set(texts.flatMap(({ inkTones, groundTones }) => [...inkTones, ...groundTones]));
  return all
    .filter(({ id }) => ids.has(id) && (isBare || id !== canvasTone))
    .map((one) => ({ ...one, name: null, definition: null, spots: [], references: [] }));
}
