/**
 * Pseudo-classes without arguments, as a static page has them: nothing hovered, focused or visited unless
 * the caller forces it (HTML, 4.16.3; Selectors 4, sections 7 to 14).
 */
import { groupBy } from "../../source/groups";
import type { ElementNode } from "../../source/html/document";
import { made } from "../../source/memo";

const inputTypesWithoutText = new Set([
  "hidden",
  "range",
  "color",
  "checkbox",
  "radio",
  "file",
  "submit",
  "image",
  "reset",
  "button",
]);
const canRequire = new Set(["input", "select", "textarea"]);
const canDisable = new Set(["button", "input", "select", "textarea", "optgroup", "option", "fieldset"]);
const canHoldPlaceholder = new Set(["text", "search", "url", "tel", "email", "password", "number"]);

const isHtml = (element: ElementNode, tag: string) => element.tag === tag && element.namespace === "html";
const has = (element: ElementNode, name: string) => element.attributes.has(name);
const typeOf = (element: ElementNode) =>
  (element.attributes.get("type") ?? (element.tag === "button" ? "submit" : "text")).toLowerCase();
/** Whether an element is a link (HTML, 4.6.1). */
export const isLink = (element: ElementNode) =>
  (element.tag === "a" || element.tag === "area") &&
  (has(element, "href") || (element.namespace === "svg" && has(element, "xlink:href")));

function isDisabled(element: ElementNode): boolean {
  if (!canDisable.has(element.tag) || element.namespace !== "html") return false;
  if (has(element, "disabled")) return true;
  if (element.tag === "option") return element.parent?.tag === "optgroup" && has(element.parent, "disabled");
  if (element.tag === "optgroup") return false;
  for (let child = element, above = element.parent; above; child = above, above = above.parent) {
    if (!isHtml(above, "fieldset") || !has(above, "disabled")) continue;
    const legend = above.children.find((one) => one.tag === "legend");
    if (legend !== child) return true;
  }
  return false;
}

const isEnabled = (element: ElementNode) =>
  canDisable.has(element.tag) && element.namespace === "html" && !isDisabled(element);

function isSelected(option: ElementNode): boolean {
  if (has(option, "selected")) return true;
  let select = option.parent;
  while (select && select.tag !== "select") select = select.parent;
  if (!select || has(select, "multiple") || Number(select.attributes.get("size") ?? 1) > 1) return false;
  const options: ElementNode[] = [];
  const collect = (node: ElementNode) =>
    node.children.forEach((child) => (child.tag === "option" ? options.push(child) : collect(child)));
  collect(select);
  if (options.some((one) => has(one, "selected"))) return false;
  return options.find((one) => !isDisabled(one)) === option;
}

function isChecked(element: ElementNode): boolean {
  if (isRadio(element)) return checkedIn(groupOf(element)) === element;
  if (isHtml(element, "input")) return typeOf(element) === "checkbox" && has(element, "checked");
  return isHtml(element, "option") && isSelected(element);
}

const isRadio = (element: ElementNode) => isHtml(element, "input") && typeOf(element) === "radio";

/** Of several that are said to be, the last one is. */
const checkedIn = (group: readonly ElementNode[]) => group.findLast((one) => has(one, "checked"));

const groups = new WeakMap<ElementNode, Map<string, ElementNode[]>>();

/** The radio buttons of which one can be chosen, in document order: by their form and name (HTML, 4.10.5.1.16). */
function groupOf(radio: ElementNode): readonly ElementNode[] {
  if (!radio.attributes.get("name")) return [radio];
  let root = radio;
  while (root.parent) root = root.parent;
  const known = made(groups, root, () => groupBy(radiosIn(root), groupKey));
  return known.get(groupKey(radio))!;
}

const radiosIn = (element: ElementNode): ElementNode[] =>
  element.children.flatMap((child) => (isRadio(child) ? [child] : radiosIn(child)));

function groupKey(radio: ElementNode): string {
  const asked = radio.attributes.get("form");
  let form = asked === undefined ? radio.parent : null;
  while (form && !isHtml(form, "form")) form = form.parent;
  const owner = form ? form.id || form.index : asked;
  return JSON.stringify([radio.attributes.get("name"), owner ?? null]);
}

function isReadWrite(element: ElementNode): boolean {
  const editable = element.attributes.get("contenteditable");
  if (editable !== undefined && editable.toLowerCase() !== "false") return true;
  if (has(element, "readonly") || isDisabled(element)) return false;
  if (isHtml(element, "textarea")) return true;
  if (isHtml(element, "input")) return !inputTypesWithoutText.has(typeOf(element));
  return element.parent ? inheritsEditing(element.parent) : false;
}

function inheritsEditing(element: ElementNode): boolean {
  const editable = element.attributes.get("contenteditable")?.toLowerCase();
  if (editable !== undefined) return editable !== "false";
  return element.parent ? inheritsEditing(element.parent) : false;
}

function valueOf(element: ElementNode): string {
  if (element.tag === "textarea") return element.content.map((node) => ("text" in node ? node.text : "")).join("");
  return element.attributes.get("value") ?? "";
}

function isInvalid(element: ElementNode): boolean {
  // A form is as what is in it, however deep.
  if (!canRequire.has(element.tag)) return element.children.some(isInvalid);
  if (isDisabled(element) || has(element, "readonly")) return false;
  if (isHtml(element, "input") && !isWellFormed(element)) return true;
  if (isRadio(element)) {
    const group = groupOf(element);
    return group.some((one) => has(one, "required")) && !checkedIn(group);
  }
  if (has(element, "required")) {
    if (element.tag === "select") return chosenValue(element) === "";
    const type = typeOf(element);
    if (element.tag === "input" && type === "checkbox") return !has(element, "checked");
    if (valueOf(element) === "") return true;
  }
  return false;
}

/** The value of the option that is chosen; null where there is none. */
function chosenValue(select: ElementNode): string | null {
  const options = select.children.flatMap((child) => (child.tag === "optgroup" ? child.children : [child]));
  const chosen = options.find((one) => one.tag === "option" && isSelected(one));
  if (!chosen) return "";
  return (
    chosen.attributes.get("value") ??
    chosen.content
      .map((node) => ("text" in node ? node.text : ""))
      .join("")
      .trim()
  );
}

/** HTML, 4.10.5.1.5, "valid e-mail address". */
const email =
  /^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$/;

/** Whether what is written in a field is of its type, like its pattern and within its bounds (HTML, 4.10.5). */
function isWellFormed(input: ElementNode): boolean {
  const value = valueOf(input);
  if (value === "") return true;
  const type = typeOf(input);
  if (type === "email") {
    const list = has(input, "multiple") ? value.split(",") : [value];
    if (!list.every((one) => email.test(one.trim()))) return false;
  }
  if (type === "url" && !/^[a-z][a-z0-9+.-]*:\/?\/?[^\s/]/i.test(value.trim())) return false;
  const pattern = input.attributes.get("pattern");
  if (pattern !== undefined && canHoldPlaceholder.has(type) && type !== "number" && !matchesPattern(value, pattern))
    return false;
  if (isInRange(input) === false) return false;
  return type !== "number" || isOnStep(input, Number(value));
}

function matchesPattern(value: string, pattern: string): boolean {
  try {
    return new RegExp(`^(?:${pattern})$`, "v").test(value);
  } catch {
    return true;
  }
}

function isOnStep(input: ElementNode, value: number): boolean {
  const step = input.attributes.get("step")?.trim().toLowerCase();
  if (step === "any" || Number.isNaN(value)) return true;
  const size = Number(step ?? 1) > 0 ? Number(step ?? 1) : 1;
  const base = Number(input.attributes.get("min") ?? input.attributes.get("value") ?? 0) || 0;
  const steps = (value - base) / size;
  return Math.abs(steps - Math.round(steps)) < 1e-9;
}

const dated = /^\d{4,}-\d{2}-\d{2}$/;

const canValidate = (element: ElementNode) =>
  element.namespace === "html" &&
  (["form", "fieldset"].includes(element.tag) ||
    (canRequire.has(element.tag) &&
      !isDisabled(element) &&
      !has(element, "readonly") &&
      !["hidden", "reset", "button"].includes(typeOf(element))) ||
    (element.tag === "button" && typeOf(element) === "submit" && !isDisabled(element)));

function isInRange(element: ElementNode): boolean | null {
  if (
    !isHtml(element, "input") ||
    !["number", "range", "date", "month", "week", "time", "datetime-local"].includes(typeOf(element))
  )
    return null;
  const bound = (name: string) => element.attributes.get(name);
  const low = bound("min");
  const high = bound("max");
  if (low === undefined && high === undefined && typeOf(element) !== "range") return null;
  const value = valueOf(element);
  if (value === "") return true;
  if (typeOf(element) === "date" && dated.test(value)) {
    const within = (bound: string | undefined, holds: (bound: string) => boolean) =>
      bound === undefined || !dated.test(bound) || holds(bound);
    return within(low, (bound) => value >= bound) && within(high, (bound) => value <= bound);
  }
  if (typeOf(element) !== "number") return true;
  return !(Number(value) < Number(low ?? -Infinity) || Number(value) > Number(high ?? Infinity));
}

function isDefault(element: ElementNode): boolean {
  if (isHtml(element, "input") && ["checkbox", "radio"].includes(typeOf(element))) return has(element, "checked");
  if (isHtml(element, "option")) return has(element, "selected");
  const submits = (one: ElementNode) =>
    (one.tag === "button" && typeOf(one) === "submit") ||
    (one.tag === "input" && ["submit", "image"].includes(typeOf(one)));
  if (!submits(element)) return false;
  let form = element.parent;
  while (form && form.tag !== "form") form = form.parent;
  if (!form) return false;
  const first = (node: ElementNode): ElementNode | null => {
    for (const child of node.children) {
      const found = submits(child) ? child : first(child);
      if (found) return found;
    }
    return null;
  };
  return first(form) === element;
}

type Test = (element: ElementNode) => boolean;

/** What a static page can answer for itself. */
export const states: ReadonlyMap<string, Test> = new Map<string, Test>([
  ["root", (element) => element.parent === null],
  ["scope", (element) => element.parent === null],
  ["empty", (element) => element.content.every((node) => "text" in node && node.text === "")],
  ["link", isLink],
  ["any-link", isLink],
  ["-webkit-any-link", isLink],
  ["enabled", isEnabled],
  ["disabled", isDisabled],
  ["checked", isChecked],
  ["default", isDefault],
  [
    "indeterminate",
    (element) =>
      isRadio(element) ? !checkedIn(groupOf(element)) : isHtml(element, "progress") && !has(element, "value"),
  ],
  ["required", (element) => canRequire.has(element.tag) && has(element, "required")],
  [
    "optional",
    (element) =>
      (canRequire.has(element.tag) || element.tag === "button") &&
      element.namespace === "html" &&
      !has(element, "required"),
  ],
  ["valid", (element) => canValidate(element) && !isInvalid(element)],
  ["invalid", (element) => canValidate(element) && isInvalid(element)],
  ["in-range", (element) => isInRange(element) === true],
  ["out-of-range", (element) => isInRange(element) === false],
  ["read-write", isReadWrite],
  ["read-only", (element) => !isReadWrite(element)],
  [
    "placeholder-shown",
    (element) =>
      has(element, "placeholder") &&
      valueOf(element) === "" &&
      (isHtml(element, "textarea") || (isHtml(element, "input") && canHoldPlaceholder.has(typeOf(element)))),
  ],
  ["open", (element) => (isHtml(element, "details") || isHtml(element, "dialog")) && has(element, "open")],
  ["defined", (element) => element.namespace !== "html" || !element.tag.includes("-")],
]);

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
