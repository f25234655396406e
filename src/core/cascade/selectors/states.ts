/**
 * Pseudo-classes without arguments, as a static page has them: nothing hovered, focused or visited unless
 * the caller forces it (HTML, 4.16.3; Selectors 4, sections 7 to 14).
 */
import type { ElementNode } from "../../source/html/document";
import { table } from "../../source/table";
import {
  canBeDisabled,
  canBeReadOnly,
  controlsOf,
  formOf,
  groupOf,
  has,
  isDisabled,
  isHtml,
  isListBox,
  isRadio,
  isSelected,
  typeOf,
} from "./controls";
import { canBeValid, isInRange, isRequired, isValid, showsPlaceholder } from "./validity";

/** Whether an element is a link (HTML, 4.6.1). */
export const isLink = (element: ElementNode) =>
  (element.tag === "a" || element.tag === "area") &&
  (has(element, "href") || (element.namespace === "svg" && has(element, "xlink:href")));

function isChecked(element: ElementNode): boolean {
  if (isRadio(element)) return groupOf(element).checked === element;
  if (isHtml(element, "input")) return typeOf(element) === "checkbox" && has(element, "checked");
  return isHtml(element, "option") && isSelected(element);
}

function isReadWrite(element: ElementNode): boolean {
  if (canBeReadOnly(element)) return !has(element, "readonly") && !isDisabled(element);
  if (isHtml(element, "input")) return false;
  return isEdited(element);
}

const editing: Readonly<Record<string, boolean>> = table({
  "": true,
  true: true,
  "plaintext-only": true,
  false: false,
});

/** Whether an element is one that readers edit, or in one (HTML, 6.8.1). */
function isEdited(element: ElementNode): boolean {
  for (let around: ElementNode | null = element; around; around = around.parent) {
    const told = editing[around.attributes.get("contenteditable")?.toLowerCase() ?? "inherit"];
    if (told !== undefined) return told;
  }
  return false;
}

function isDefault(element: ElementNode): boolean {
  if (isHtml(element, "input") && ["checkbox", "radio"].includes(typeOf(element))) return has(element, "checked");
  if (isHtml(element, "option")) return has(element, "selected");
  if (!submits(element)) return false;
  const form = formOf(element);
  return form !== null && controlsOf(form).find(submits) === element;
}

const submits = (element: ElementNode) =>
  (isHtml(element, "button") && typeOf(element) === "submit") ||
  (isHtml(element, "input") && ["submit", "image"].includes(typeOf(element)));

const takesAnswers = new Set(["input", "select", "textarea", "button"]);

type Test = (element: ElementNode) => boolean;

/** What a static page can answer for itself. */
export const states: ReadonlyMap<string, Test> = new Map<string, Test>([
  ["root", (element) => element.parent === null],
  ["scope", (element) => element.parent === null],
  ["empty", (element) => element.content.every((node) => "text" in node && node.text === "")],
  ["link", isLink],
  ["any-link", isLink],
  ["-webkit-any-link", isLink],
  ["enabled", (element) => canBeDisabled(element) && !isDisabled(element)],
  ["disabled", isDisabled],
  ["checked", isChecked],
  ["default", isDefault],
  [
    "indeterminate",
    (element) => (isRadio(element) ? !groupOf(element).checked : isHtml(element, "progress") && !has(element, "value")),
  ],
  ["required", isRequired],
  ["optional", (element) => takesAnswers.has(element.tag) && element.namespace === "html" && !isRequired(element)],
  ["valid", (element) => canBeValid(element) && isValid(element)],
  ["invalid", (element) => canBeValid(element) && !isValid(element)],
  ["in-range", (element) => isInRange(element) === true],
  ["out-of-range", (element) => isInRange(element) === false],
  ["read-write", isReadWrite],
  ["read-only", (element) => !isReadWrite(element)],
  ["placeholder-shown", showsPlaceholder],
  ["open", (element) => (isHtml(element, "details") || isHtml(element, "dialog")) && has(element, "open")],
  ["defined", (element) => element.namespace !== "html" || !element.tag.includes("-")],
]);

/** What only the browser's own sheet asks for, as our words for it. */
export const ownStates: ReadonlyMap<string, Test> = new Map<string, Test>([["-hevret-list-box", isListBox]]);

/** States a reader brings about; they match only where the caller forces them. */
export const forcedStates: ReadonlySet<string> = new Set([
  "hover",
  "focus",
  "focus-visible",
  "focus-within",
  "active",
  "visited",
  "target",
]);

/** Known to the browser; on a page at rest nothing is in them. */
export const neverStates: ReadonlySet<string> = new Set([
  "fullscreen",
  "-webkit-full-screen",
  "modal",
  "popover-open",
  "autofill",
  "-webkit-autofill",
  "user-valid",
  "user-invalid",
  "picture-in-picture",
  "playing",
  "paused",
  "seeking",
  "buffering",
  "stalled",
  "volume-locked",
  "host",
  "has-slotted",
  "current",
  "past",
  "future",
  "active-view-transition",
  "target-current",
  "xr-overlay",
  "interest-source",
  "-webkit-drag",
  "-webkit-full-page-media",
  "horizontal",
  "vertical",
  "start",
  "end",
  "increment",
  "decrement",
  "single-button",
  "double-button",
  "no-button",
  "corner-present",
  "window-inactive",
  "left",
  "right",
  "first",
]);
