/** Media conditions as people write them (Media Queries 4). */
import { matchesMedia } from "../../cascade/media";
import { defaultConditions, type Conditions } from "../../cascade/conditions";
import { componentsOf, splitAt } from "../../source/css/components";
import { nearestWords } from "./near";

const trials: readonly Conditions[] = [200, 400, 640, 800, 1024, 1300, 2000].flatMap((width) =>
  (["light", "dark"] as const).flatMap((scheme) =>
    (["screen", "print"] as const).map((medium) => ({ ...defaultConditions, width, height: 800, scheme, medium })),
  ),
);

const canHoldOn = (medium: Conditions["medium"], text: string) =>
  trials.some((conditions) => conditions.medium === medium && matchesMedia(text, conditions));

/** Whether a condition holds on some screen or paper. */
export const canHold = (text: string) => canHoldOn("screen", text) || canHoldOn("print", text);

/** Whether a condition holds on some paper, and on no screen. */
export const isForPaper = (text: string) => canHoldOn("print", text) && !canHoldOn("screen", text);

/** Whether it is written as no condition is: what is only not known here says nothing wrong. */
export const isSlip = (text: string) =>
  splitAt(componentsOf(text), ",").some((query) => query.some((part) => part.type === "bad")) || widthsCross(text);

/** A least width over a largest one. */
export function widthsCross(text: string): boolean {
  const least = /min-width:\s*([\d.]+)px/i.exec(text)?.[1];
  const most = /max-width:\s*([\d.]+)px/i.exec(text)?.[1];
  return least !== undefined && most !== undefined && Number(least) > Number(most);
}

const features = [
  "width",
  "min-width",
  "max-width",
  "height",
  "min-height",
  "max-height",
  "orientation",
  "prefers-color-scheme",
  "prefers-reduced-motion",
  "prefers-contrast",
  "hover",
  "pointer",
  "resolution",
  "min-resolution",
  "aspect-ratio",
];

/** What a condition that never holds was most likely meant to be; null where nothing is near. */
export const meantQuery = (text: string): string | null =>
  meantQueries(text).find((one) => one !== text && canHold(one)) ?? null;

/** What a condition may have been meant to be, likeliest first. */
function meantQueries(text: string): string[] {
  const tidy = text.replace(/\s+/g, " ").trim();
  const feature =
    /(?<!\()\b((?:min|max)-(?:width|height|resolution)|orientation|prefers-[a-z-]+)\s*[:=]?\s*([\w.]+)(?!\))/gi;
  const steps: ((from: string) => string)[] = [
    (from) => from.replace(/\(\s*([a-z-]+)\s*=\s*/gi, "($1: "),
    (from) => from.replace(/\(\s*([a-z-]+)\s+(?=[\d.]+[a-z]|light|dark|portrait|landscape|reduce|more)/gi, "($1: "),
    (from) => from.replace(/([:<>=])\s*([\d.]+)\s*(?=\))/g, "$1 $2px").replace(/([\d.]+)\s+(px|em|rem)\b/gi, "$1$2"),
    (from) => from.replace(feature, "($1: $2)"),
    (from) => from.replace(/\b(screen|all|print)\s*(?=\()/gi, "$1 and "),
    (from) => from.replace(/\)\s*(?=\()/g, ") and "),
    (from) => from.replace(/\band\(/gi, "and ("),
    (from) => from.replace(/\b(?:adn|nad|und|an|&&|&)\b(?=\s*\()|&&?/gi, "and"),
    (from) =>
      from.replace(/\b([a-z-]+)(?=\s*:)/gi, (name) =>
        features.includes(name) ? name : (nearestWords(name, features, 3)[0] ?? name),
      ),
    (from) =>
      from.replace(
        /^([a-z]+)(?=\s|$)/i,
        (type) => nearestWords(type.toLowerCase(), ["screen", "print", "all"], 2)[0] ?? type,
      ),
    (from) =>
      from.replace(
        /\bprefers-color-scheme\s*:\s*(\w+)/gi,
        (whole, value: string) => `prefers-color-scheme: ${/^[dbn]/i.test(value) ? "dark" : "light"}`,
      ),
    (from) =>
      from.replace(
        /min-(width|height):\s*([\d.]+\w*)\)\s*and\s*\(\s*max-\1:\s*([\d.]+\w*)/i,
        "min-$1: $3) and (max-$1: $2",
      ),
    (from) => from.replace(/,\s*(?=\()/g, " and "),
  ];
  const all: string[] = [];
  let joined = tidy;
  for (const step of steps) {
    all.push(step(tidy));
    joined = step(joined);
    all.push(joined);
  }
  return all;
}
