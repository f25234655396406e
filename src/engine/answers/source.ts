/** The written text: what stands where, what can be written, what is found. */
import {
  colorSpotsIn,
  completions,
  faultsIn,
  findSteps,
  helpFor,
  ignoredMessage,
  positionAt,
  propertyAt,
  replaceFound,
  ruleAround,
  ruleHere,
  styledPage,
  textFile,
  withTyped,
  writingOptions,
} from "@/core";
import { site, turns, asLatest, knownLayouts } from "../open";
import type { SourceAnswers } from "../protocol/source";

export const sourceAnswers = {
  source: async (path, offset) => {
    const file = textFile(site, path);
    if (!file) return null;
    const found = ruleAround(site, path, offset);
    const { text } = file;
    const start = found ? found.sheet.offset + found.rule.start : 0;
    const end = found ? found.sheet.offset + found.rule.end : text.length;
    return { isRule: found !== null, firstLine: positionAt(text, start).line, lastLine: positionAt(text, end).line };
  },

  complete: async (property, typed) => completions(property, typed),

  find: async (search) => turns.inSlices(findSteps(site, search), asLatest("find")),

  replaceFound: async (search, by, paths) => replaceFound(site, search, by, paths),

  writing: async (typed, offset, page, conditions) => {
    const from = withTyped(site, typed);
    return writingOptions(
      { site: from, path: typed.path, page, conditions, layouts: knownLayouts(conditions) },
      offset,
    );
  },

  written: async (typed, offset, page, conditions) => {
    const from = withTyped(site, typed);
    const property = propertyAt(from, typed.path, offset);
    const file = page === null ? null : textFile(from, page);
    return {
      rule: file ? ruleHere(from, styledPage(from, file, conditions), typed.path, offset) : null,
      help: property === null ? null : helpFor(property),
    };
  },

  parses: async (typed) => faultsIn(withTyped(site, typed), typed.path) <= faultsIn(site, typed.path),

  colorsIn: async (typed) => {
    const spots = colorSpotsIn(withTyped(site, typed), typed.path);
    return spots.flatMap(({ start, end, css }) => (css === null ? [] : [{ start, end, css }]));
  },

  help: async (property) => helpFor(property),

  check: async (property, value) => (value.trim() === "" ? "A value is missing." : ignoredMessage(property, value)),
} satisfies SourceAnswers;
