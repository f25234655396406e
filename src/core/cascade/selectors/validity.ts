/** Whether what stands in the controls of a page as it is opened is as they ask for (HTML, 4.10.21). */
import { descendantsOf, textIn, type ElementNode } from "../../source/html/document";
import {
  controlsOf,
  groupOf,
  has,
  isDisabled,
  isHtml,
  isListed,
  isRadio,
  isSelected,
  optionsOf,
  rowsOf,
  typeOf,
  valueOfOption,
} from "./controls";

const inputTypesWithoutText = new Set("hidden range color submit image reset button".split(" "));

/** Whether a control can be told that something has to be in it, and is. */
export function isRequired(element: ElementNode): boolean {
  if (!has(element, "required") || element.namespace !== "html") return false;
  if (element.tag === "input") return !inputTypesWithoutText.has(typeOf(element));
  return element.tag === "select" || element.tag === "textarea";
}

/** What stands in a field: what is no value of its type does not (HTML, 4.10.5.1, "value sanitization algorithm"). */
export function valueIn(element: ElementNode): string {
  if (element.tag === "textarea") return textIn(element);
  const value = element.attributes.get("value") ?? "";
  const type = typeOf(element);
  const inOneLine = value.replace(/[\n\r]/g, "");
  if (type === "url" || (type === "email" && !has(element, "multiple"))) return trimmed(inOneLine);
  if (type === "email") return inOneLine.split(",").map(trimmed).join(",");
  if (["text", "search", "tel", "password"].includes(type)) return inOneLine;
  const counted = quantities[type];
  return !counted || counted.read(value) !== null ? value : "";
}

const trimmed = (text: string) => text.replace(/^[\t\n\f\r ]+|[\t\n\f\r ]+$/g, "");

/** A kind of value that can be compared and counted. */
interface Quantity {
  /** As a number; null for what is none of the kind. */
  read(text: string): number | null;
  /** Of what the number counts, what one step is. */
  step: number;
  /** How many of it one of the attribute is. */
  scale: number;
  /** Whether only whole steps can be asked for. */
  isWhole: boolean;
  base: number;
}

const day = 86_400_000;
const clock = /^([01]\d|2[0-3]):([0-5]\d)(?::([0-5]\d)(?:\.(\d{1,3}))?)?$/;

/** HTML, 2.3.4.3. */
function readNumber(text: string): number | null {
  return /^-?(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][-+]?\d+)?$/.test(text) && Number.isFinite(Number(text))
    ? Number(text)
    : null;
}

/** Milliseconds since midnight (HTML, 2.3.5.4). */
function readTime(text: string): number | null {
  const [, hours, minutes, seconds = "0", parts = "0"] = clock.exec(text) ?? [];
  if (hours === undefined) return null;
  return ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(parts.padEnd(3, "0"));
}

/** Days from 1970 to a day of the Gregorian calendar; months count from 0. */
function daysTo(year: number, month: number, ofMonth: number): number {
  // Years that begin in March end with the day that is put in.
  const from = month < 2 ? year - 1 : year;
  const leaps = Math.floor(from / 4) - Math.floor(from / 100) + Math.floor(from / 400);
  return from * 365 + leaps + Math.floor((((month + 10) % 12) * 306 + 5) / 10) + ofMonth - 719_469;
}

/** Milliseconds since 1970 (HTML, 2.3.5.2). */
function readDate(text: string): number | null {
  const [, ...parts] = /^(\d{4,6})-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.exec(text) ?? [];
  const [year = 0, month = 0, ofMonth = 0] = parts.map(Number);
  const days = daysTo(year, month - 1, ofMonth);
  return year > 0 && days < daysTo(year + Number(month === 12), month % 12, 1) ? days * day : null;
}

/** Months since 1970 (HTML, 2.3.5.1). */
function readMonth(text: string): number | null {
  const [, year, month] = /^(\d{4,6})-(0[1-9]|1[0-2])$/.exec(text) ?? [];
  return year === undefined || Number(year) === 0 ? null : (Number(year) - 1970) * 12 + Number(month) - 1;
}

/** Milliseconds since 1970 of the Monday of a week (HTML, 2.3.5.8). */
function readWeek(text: string): number | null {
  const [, year, week] = /^(\d{4,6})-W(0[1-9]|[1-4]\d|5[0-3])$/.exec(text) ?? [];
  if (year === undefined || Number(year) === 0) return null;
  const first = mondayOfFirstWeek(Number(year));
  const monday = first + (Number(week) - 1) * 7 * day;
  return monday < mondayOfFirstWeek(Number(year) + 1) ? monday : null;
}

/** The first week of a year is that of the fourth of January (ISO 8601). */
function mondayOfFirstWeek(year: number): number {
  const fourth = daysTo(year, 0, 4);
  // 1970 began on a Thursday.
  return (fourth - ((((fourth + 3) % 7) + 7) % 7)) * day;
}

function readDateTime(text: string): number | null {
  const [date, time, ...more] = text.split(/[T ]/);
  const [days, within] = [readDate(date!), readTime(time ?? "")];
  return days === null || within === null || more.length ? null : days + within;
}

/** By type of input. */
const quantities: Readonly<Record<string, Quantity>> = {
  number: { read: readNumber, step: 1, scale: 1, isWhole: false, base: 0 },
  date: { read: readDate, step: 1, scale: day, isWhole: true, base: 0 },
  month: { read: readMonth, step: 1, scale: 1, isWhole: true, base: 0 },
  // Weeks begin on Mondays.
  week: { read: readWeek, step: 1, scale: 7 * day, isWhole: true, base: -3 * day },
  time: { read: readTime, step: 60, scale: 1000, isWhole: false, base: 0 },
  "datetime-local": { read: readDateTime, step: 60, scale: 1000, isWhole: false, base: 0 },
};

/** Whether something is asked of a control: nothing is of those out of use, and those nobody can write into. */
export function isAsked(element: ElementNode): boolean {
  const { tag } = element;
  if (!isListed(element) || ["fieldset", "object", "output"].includes(tag)) return false;
  if (isDisabled(element) || (has(element, "readonly") && (tag === "input" || tag === "textarea"))) return false;
  if (isInDataList(element)) return false;
  if (tag === "button") return typeOf(element) === "submit";
  return tag !== "input" || !["hidden", "image", "reset", "button"].includes(typeOf(element));
}

function isInDataList({ parent }: ElementNode): boolean {
  for (let above = parent; above; above = above.parent) if (isHtml(above, "datalist")) return true;
  return false;
}

const isHolder = (element: ElementNode) => isHtml(element, "form") || isHtml(element, "fieldset");

/** Whether an element is either as it asks to be, or not. */
export const canBeValid = (element: ElementNode): boolean => isHolder(element) || isAsked(element);

/** A form is as those are that belong to it, a set of fields as those in it. */
export function isValid(element: ElementNode): boolean {
  if (!isHolder(element)) return isFilled(element) && isWellFormed(element);
  const held = element.tag === "form" ? controlsOf(element) : descendantsOf(element).filter(isListed);
  return held.every((one) => !isAsked(one) || isValid(one));
}

/** Whether there is something where something has to be (HTML, 4.10.21.1, "suffering from being missing"). */
function isFilled(element: ElementNode): boolean {
  if (isRadio(element)) {
    const { checked, isRequired } = groupOf(element);
    return !element.attributes.get("name") || checked !== undefined || !isRequired;
  }
  if (!isRequired(element)) return true;
  if (element.tag === "select") return isChosen(element);
  const type = element.tag === "input" ? typeOf(element) : "";
  if (type === "checkbox") return has(element, "checked");
  return type !== "file" && valueIn(element) !== "";
}

/** Of a select that shows one option, the first does not count as chosen where it only says what to do (HTML, 4.10.7). */
function isChosen(select: ElementNode): boolean {
  const options = optionsOf(select);
  const chosen = options.findIndex(isSelected);
  if (chosen !== 0) return chosen > 0;
  const [first] = options;
  return has(select, "multiple") || rowsOf(select) > 1 || valueOfOption(first!) !== "" || first!.parent !== select;
}

/** HTML, 4.10.5.1.5, "valid e-mail address". */
const email =
  /^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$/;
const canHavePattern = new Set("text search url tel email password".split(" "));

/** Whether what is written in a field is of its type, like its pattern and within its bounds (HTML, 4.10.5). */
function isWellFormed(element: ElementNode): boolean {
  const value = valueIn(element);
  if (!isHtml(element, "input") || value === "") return true;
  const type = typeOf(element);
  const several = type === "email" && has(element, "multiple") ? value.split(",") : [value];
  if (type === "email" && !several.every((one) => email.test(one))) return false;
  if (type === "url" && !URL.canParse(value)) return false;
  const pattern = element.attributes.get("pattern");
  if (pattern !== undefined && canHavePattern.has(type) && !several.every((one) => matchesPattern(one, pattern)))
    return false;
  return isInRange(element) !== false && isOnStep(element);
}

function matchesPattern(value: string, pattern: string): boolean {
  try {
    // By itself first: brackets that do not match each other would with those around it.
    new RegExp(pattern, "v");
    return new RegExp(`^(?:${pattern})$`, "v").test(value);
  } catch {
    return true;
  }
}

/** Whether a value is within the bounds of its field; null where there are none (HTML, 4.10.5.3.7). */
export function isInRange(element: ElementNode): boolean | null {
  if (!isHtml(element, "input") || !isAsked(element)) return null;
  const type = typeOf(element);
  // What is slid is always brought between its ends.
  if (type === "range") return true;
  const counted = quantities[type];
  if (!counted) return null;
  const bound = (name: string) => counted.read(element.attributes.get(name) ?? "");
  const [low, high] = [bound("min"), bound("max")];
  const value = counted.read(valueIn(element));
  // Without a value it is within all bounds, and within none where none is set (Chromium).
  if (value === null) return true;
  if (low === null && high === null) return null;
  const [above, below] = [value >= (low ?? -Infinity), value <= (high ?? Infinity)];
  // A time may go over midnight.
  return type === "time" && low !== null && high !== null && high < low ? above || below : above && below;
}

function isOnStep(input: ElementNode): boolean {
  const counted = quantities[typeOf(input)];
  const value = counted?.read(valueIn(input)) ?? null;
  const asked = input.attributes.get("step");
  if (!counted || value === null || asked?.toLowerCase() === "any") return true;
  const { read, scale, isWhole } = counted;
  const given = readNumber(asked ?? "");
  const steps = given !== null && given > 0 ? given : counted.step;
  const step = (isWhole ? Math.max(1, Math.round(steps)) : steps) * scale;
  const base = read(input.attributes.get("min") ?? "") ?? read(input.attributes.get("value") ?? "") ?? counted.base;
  const times = (value - base) / step;
  return Math.abs(times - Math.round(times)) < 1e-9;
}

const canHoldPlaceholder = new Set("text search url tel email password number".split(" "));

/** HTML, 4.16.3, ":placeholder-shown". */
export const showsPlaceholder = (element: ElementNode): boolean =>
  has(element, "placeholder") &&
  (isHtml(element, "textarea") || (isHtml(element, "input") && canHoldPlaceholder.has(typeOf(element)))) &&
  valueIn(element) === "";
