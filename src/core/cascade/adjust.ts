/**
 * What browsers change about a computed style because of what the element is: form controls with a native look,
 * elements that cannot lack a box, SVG text (CSS Display 3, appendix B; CSS UI 4, 7.2; as Chromium does it).
 */
import { corners } from "./properties/sides";
import type { ElementNode } from "../source/html/document";
import { isListBox, typeOf } from "./selectors/controls";

/** The style being adjusted, by property name. */
export interface Adjustable {
  element: ElementNode;
  get(name: string): unknown;
  set(name: string, value: unknown): void;
  /** Whether a rule or attribute of the page sets one of these. */
  isAuthored(names: readonly string[]): boolean;
}

const boxless = new Set([
  "br",
  "wbr",
  "meter",
  "progress",
  "canvas",
  "embed",
  "object",
  "audio",
  "iframe",
  "img",
  "video",
  "frame",
  "frameset",
  "input",
  "textarea",
  "select",
]);
const controls = new Set(["input", "textarea", "select", "button", "progress", "meter"]);
const withoutNativeLook = new Set(["image", "file", "hidden"]);
const pushButtons = new Set(["submit", "reset", "button"]);
const temporal = new Set(["date", "month", "week", "time", "datetime-local"]);
const edges = ["top", "right", "bottom", "left"] as const;
const looks = [
  "background-color",
  "background-image",
  ...edges.flatMap((edge) => ["width", "style", "color"].map((part) => `border-${edge}-${part}`)),
];

const isHtml = (element: ElementNode) => element.namespace === "html";

/** Whether more than an element's name decides how its style is adjusted. */
export function isAdjustedByAttributes({ tag, namespace }: ElementNode): boolean {
  return namespace === "html" && controls.has(tag);
}

/** What browsers set right after the cascade, by the element (HTML, 15). */
export function adjustStyle(style: Adjustable): void {
  const { element } = style;
  if (!isHtml(element)) {
    if (element.namespace === "svg") adjustSvg(style);
    return;
  }
  if (element.tag === "table" && String(style.get("text-align")).startsWith("-webkit-"))
    style.set("text-align", "start");
  // Who edits plain text is to see every space of it.
  if (
    style.get("-webkit-user-modify") === "read-write-plaintext-only" &&
    style.get("white-space-collapse") === "collapse"
  )
    style.set("white-space-collapse", "preserve");
  const display = style.get("display");
  if (display === "contents" && boxless.has(element.tag)) style.set("display", "none");
  if (element.tag === "legend" && ["inline", "inline-block"].includes(String(display))) style.set("display", "block");
  if (controls.has(element.tag)) adjustControl(style);
  else if (style.get("appearance") === "button" && style.get("display") === "inline")
    style.set("display", "inline-block");
}

function adjustControl(style: Adjustable): void {
  const { element } = style;
  const type = typeOf(element);
  // The parts of a date stand as its language has them.
  if (element.tag === "input" && temporal.has(type)) style.set("direction", "ltr");
  if (element.tag === "select" && !isListBox(element) && style.get("appearance") !== "base-select")
    for (const axis of ["x", "y"]) style.set(`overflow-${axis}`, "clip");
  if (style.get("appearance") === "none" || (element.tag === "input" && withoutNativeLook.has(type))) return;
  const display = String(style.get("display"));
  if (display === "inline" || display === "inline-table" || display.startsWith("table-"))
    style.set("display", "inline-block");
  else if (display === "list-item" || display === "table") style.set("display", "block");
  if (element.tag === "input" && (type === "checkbox" || type === "radio")) {
    for (const edge of edges) {
      style.set(`padding-${edge}`, { px: 0, percent: 0 });
      style.set(`border-${edge}-width`, 0);
      style.set(`border-${edge}-style`, "none");
      style.set(`border-${edge}-color`, { kind: "current" });
    }
    const percent = type === "radio" ? 50 : 0;
    for (const corner of corners) style.set(`border-${corner}-radius`, [{ px: 0, percent }]);
  }
  const isPushButton =
    element.tag === "input" && pushButtons.has(type) && style.get("appearance") === "auto" && !style.isAuthored(looks);
  const isDropDown = element.tag === "select" && !element.attributes.has("multiple") && !isListBox(element);
  if (isPushButton || isDropDown) style.set("line-height", { kind: "normal" });
}

function adjustSvg(style: Adjustable): void {
  style.set("text-decoration-skip-ink", "auto");
  style.set("text-decoration-style", "solid");
  style.set("text-decoration-thickness", "auto");
  style.set("text-underline-offset", "auto");
  style.set("text-underline-position", "auto");
}
