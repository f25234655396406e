/** What a declaration that does nothing was most likely meant to be. */
import { invalidReason, isKnownProperty } from "../../cascade/declarations";
import { meantByName, meantProperties } from "./properties";
import { calledOtherwise, valueSlips } from "./values";

/** A declaration as it was meant, with what was wrong in it, in plain words. */
export interface Meant {
  property: string;
  value: string;
  /** About its value; null where that was in order. */
  why: string | null;
}

/** A value with its `!important`, as one has to be told from the other. */
const bare = (value: string) => value.replace(/\s*!\s*important\s*$/i, "");
const fits = (property: string, value: string) =>
  value.trim() !== "" && !/[;{}]/.test(value) && invalidReason(property, bare(value)) === null;

/** Properties that people confuse, with words of one as values of another. */
const confused = [
  "font-weight",
  "font-style",
  "text-decoration",
  "text-transform",
  "font-variant",
  "text-align",
  "font-size",
  "color",
  "background-color",
  "background-image",
  "line-height",
  "letter-spacing",
  "vertical-align",
  "display",
  "visibility",
  "white-space",
  "float",
  "position",
  "cursor",
];

const longest = 120;
const mostSecond = 400;
const known = new Map<string, Meant | null>();

/** What was meant by a property and a value that browsers skip; null where nothing is near. */
export function meantBy(property: string, value: string): Meant | null {
  const key = `${property}:${value}`;
  let meant = known.get(key);
  if (meant === undefined) {
    if (known.size > 5000) known.clear();
    known.set(key, (meant = find(property, value)));
  }
  return meant;
}

function find(property: string, value: string): Meant | null {
  if (value.length > longest) return null;
  const parts = value.trim().split(/\s+/);
  if (property === "font" && parts.length === 1 && !/,/.test(value)) {
    const other = ["font-size", "font-weight", "font-style"].find((one) => fits(one, value));
    if (other) return { property: other, value, why: null };
  }
  if (isKnownProperty(property))
    return meantValue(property, value) ?? (generic.test(value) ? null : elsewhere(property, value));
  const named = meantByName(property, value);
  const candidates = meantProperties(property, (one) => fits(one, value));
  for (const one of candidates) if (fits(one, value)) return { property: one, value, why: null };
  if (named) return { property: named[0], value: named[1], why: null };
  for (const one of candidates) {
    const meant = meantValue(one, value) ?? elsewhere(one, value);
    if (meant) return meant;
  }
  return candidates[0] ? { property: candidates[0], value, why: null } : null;
}

/** The value as it was meant for this property. */
function meantValue(property: string, value: string): Meant | null {
  if (value.trim() === "") return null;
  // A word that is a value of another property is told as such, not as a misspelt one of this.
  if (/^[a-z-]+$/i.test(value)) {
    const called = [...calledOtherwise.meant(value, property)].find((one) => one !== value && fits(property, one));
    if (called) return { property, value: called, why: calledOtherwise.why };
    if (!generic.test(value) && elsewhere(property, value)) return null;
  }
  const first: { value: string; why: string }[] = [];
  for (const { why, meant } of valueSlips) {
    for (const one of meant(value, property)) {
      if (one === value) continue;
      if (fits(property, one)) return { property, value: one, why };
      if (first.length < 40) first.push({ value: one, why });
    }
  }
  let tried = 0;
  for (const step of first) {
    for (const { why, meant } of valueSlips) {
      for (const one of meant(step.value, property)) {
        if (tried > mostSecond) return null;
        tried += 1;
        if (one !== value && fits(property, one))
          return { property, value: one, why: step.why === why ? why : `${step.why}, and ${why}` };
      }
    }
  }
  return null;
}

/** Words that so many properties take that they tell none. */
const generic = /^(?:none|auto|normal|off|no)$/i;

/** The property that takes just this value. */
function elsewhere(property: string, value: string): Meant | null {
  const other = confused.find((one) => one !== property && fits(one, value));
  return other ? { property: other, value, why: null } : null;
}
