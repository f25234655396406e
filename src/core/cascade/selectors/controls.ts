/** What a control of a form is as its page is opened: of which type, whose, out of use, chosen (HTML, 4.10). */
import { groupBy } from "../../source/groups";
import { descendantsOf, textIn, type ElementNode } from "../../source/html/document";
import { made } from "../../source/memo";

export const isHtml = (element: ElementNode, tag: string) => element.tag === tag && element.namespace === "html";
export const has = (element: ElementNode, name: string) => element.attributes.has(name);

const inputTypes = new Set(
  (
    "hidden text search tel url email password date month week time datetime-local number range color checkbox radio " +
    "file submit image reset button"
  ).split(" "),
);
const buttonTypes = new Set(["submit", "reset", "button"]);

/** The type of an input or a button; of another that it is not known by, that of a field or of what submits. */
export function typeOf(element: ElementNode): string {
  const [known, otherwise] = element.tag === "button" ? [buttonTypes, "submit"] : [inputTypes, "text"];
  const type = element.attributes.get("type")?.toLowerCase() ?? "";
  return known.has(type) ? type : otherwise;
}

const canDisable = new Set(["button", "input", "select", "textarea", "optgroup", "option", "fieldset"]);

/** Whether it says something that an element is out of use. */
export const canBeDisabled = (element: ElementNode) => canDisable.has(element.tag) && element.namespace === "html";

/** HTML, 4.10.19.5; an option is out of use with the select it is in, too (Chromium). */
export function isDisabled(element: ElementNode): boolean {
  if (!canBeDisabled(element)) return false;
  if (has(element, "disabled")) return true;
  if (element.tag === "option" || element.tag === "optgroup") {
    const { parent } = element;
    if (element.tag === "option" && parent && isHtml(parent, "optgroup")) return isDisabled(parent);
    const select = selectOf(element);
    return select !== null && isDisabled(select);
  }
  for (let child = element, above = element.parent; above; child = above, above = above.parent) {
    if (!isHtml(above, "fieldset") || !has(above, "disabled")) continue;
    if (child !== above.children.find((one) => isHtml(one, "legend"))) return true;
  }
  return false;
}

const writable = new Set("text search tel url email password date month week time datetime-local number".split(" "));

/** Whether a control can be told that nothing is written into it (HTML, 4.10.5.1). */
export const canBeReadOnly = (element: ElementNode): boolean =>
  isHtml(element, "textarea") || (isHtml(element, "input") && writable.has(typeOf(element)));

/** The select that an option or a group of them is in. */
export function selectOf({ parent }: ElementNode): ElementNode | null {
  for (let above = parent; above; above = above.parent) if (isHtml(above, "select")) return above;
  return null;
}

/** How many options a select is told to show at once; 0 where nothing, or no number that browsers hold, is said. */
export function rowsOf(select: ElementNode): number {
  const rows = Number(/^[\t\n\f\r ]*\+?(\d+)/.exec(select.attributes.get("size") ?? "")?.[1] ?? 0);
  return rows < 2 ** 31 ? rows : 0;
}

/** Whether an element is a select that shows its options as a list, not the one that is chosen (HTML, 15.5.16). */
export function isListBox(element: ElementNode): boolean {
  if (!isHtml(element, "select")) return false;
  const rows = rowsOf(element);
  return has(element, "multiple") ? rows !== 1 : rows > 1;
}

const listsOfOptions = new WeakMap<ElementNode, readonly ElementNode[]>();

/** The options of a select, in order. */
export function optionsOf(select: ElementNode): readonly ElementNode[] {
  return made(listsOfOptions, select, () => descendantsOf(select).filter((one) => isHtml(one, "option")));
}

interface Chosen {
  option: ElementNode | null;
}

const chosenIn = new WeakMap<ElementNode, Chosen>();

/** HTML, 4.10.7: of several that are said to be where one can be, the last; where none is, the first that can be. */
export function isSelected(option: ElementNode): boolean {
  const select = selectOf(option);
  if (!select || has(select, "multiple")) return has(option, "selected");
  return made(chosenIn, select, () => ({ option: onlyChosen(select) })).option === option;
}

function onlyChosen(select: ElementNode): ElementNode | null {
  const options = optionsOf(select);
  const told = options.findLast((one) => has(one, "selected"));
  if (told || rowsOf(select) > 1) return told ?? null;
  return options.find((one) => !isDisabledAmongOthers(one)) ?? null;
}

/** Whether an option cannot be chosen where others can. */
const isDisabledAmongOthers = (option: ElementNode): boolean =>
  has(option, "disabled") ||
  (option.parent !== null && isHtml(option.parent, "optgroup") && has(option.parent, "disabled"));

export const valueOfOption = (option: ElementNode): string =>
  option.attributes.get("value") ??
  textIn(option)
    .replace(/[\t\n\f\r ]+/g, " ")
    .trim();

export const isRadio = (element: ElementNode) => isHtml(element, "input") && typeOf(element) === "radio";

/** Radio buttons of which one can be chosen. */
interface RadioGroup {
  /** Of several that are said to be, the last one. */
  checked: ElementNode | undefined;
  isRequired: boolean;
}

const groupFrom = (radios: readonly ElementNode[]): RadioGroup => ({
  checked: radios.findLast((one) => has(one, "checked")),
  isRequired: radios.some((one) => has(one, "required")),
});

/** What is asked of a page with forms more than once. */
interface Forms {
  /** The first element of each id, in document order. */
  byId: ReadonlyMap<string, ElementNode>;
  /** Controls that belong to a form, in document order. */
  owned: ReadonlyMap<ElementNode | null, readonly ElementNode[]>;
  /** By form and name. */
  groups: ReadonlyMap<string | null, RadioGroup>;
}

const known = new WeakMap<ElementNode, Forms>();

function formsAround(element: ElementNode): Forms {
  let root = element;
  while (root.parent) root = root.parent;
  return made(known, root, () => formsBelow(root));
}

const listed = new Set(["button", "fieldset", "input", "object", "output", "select", "textarea"]);

/** Whether an element is one of the controls of a form (HTML, 4.10.2). */
export const isListed = (element: ElementNode) => listed.has(element.tag) && element.namespace === "html";

function formsBelow(root: ElementNode): Forms {
  const all = [root, ...descendantsOf(root)];
  const byId = new Map<string, ElementNode>();
  for (const element of all) if (element.id && !byId.has(element.id)) byId.set(element.id, element);
  const controls = all.filter(isListed);
  const owned = groupBy(controls, (element) => ownerOf(element, byId));
  const radios = groupBy(controls.filter(isRadio), (radio) => groupKey(radio, ownerOf(radio, byId)));
  const groups = new Map([...radios].map(([key, group]) => [key, groupFrom(group)]));
  return { byId, owned, groups };
}

/** HTML, 4.10.17.3. */
function ownerOf(element: ElementNode, byId: ReadonlyMap<string, ElementNode>): ElementNode | null {
  const asked = element.attributes.get("form");
  if (asked !== undefined) {
    const form = byId.get(asked);
    return form && isHtml(form, "form") ? form : null;
  }
  for (let above = element.parent; above; above = above.parent) if (isHtml(above, "form")) return above;
  return null;
}

/** The form that a control belongs to. */
export const formOf = (element: ElementNode): ElementNode | null => ownerOf(element, formsAround(element).byId);

/** The controls that belong to a form, in document order. */
export const controlsOf = (form: ElementNode): readonly ElementNode[] => formsAround(form).owned.get(form) ?? [];

/** Equal for radio buttons of which one can be chosen; null for one that stands alone (HTML, 4.10.5.1.16). */
function groupKey(radio: ElementNode, form: ElementNode | null): string | null {
  const name = radio.attributes.get("name");
  return name ? JSON.stringify([name, form?.index ?? null]) : null;
}

/** The group that a radio button is one of; it alone where it has no name. */
export function groupOf(radio: ElementNode): RadioGroup {
  const key = groupKey(radio, formOf(radio));
  return key === null ? groupFrom([radio]) : formsAround(radio).groups.get(key)!;
}
