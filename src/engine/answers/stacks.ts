/** Font stacks and font files. */
import {
  definedProperties,
  FontError,
  fontFaceFor,
  matchFallback,
  nameStack,
  readFontFile,
  restack,
  stackTable,
  withFiles,
  type FileChange,
} from "@/core";
import { site } from "../open";
import { changesOf } from "../attempt";
import type { StacksAnswers } from "../protocol/stacks";

export const stacksAnswers = {
  stacks: async (conditions) => stackTable(site, conditions),

  matchFallback: async (stack, fallback, conditions) =>
    changesOf(() => matchFallback(site, stack, fallback, conditions)),

  checkFont: async (bytes) => {
    try {
      const { family, style } = readFontFile(bytes);
      return { family, style, problem: null };
    } catch (error) {
      if (error instanceof FontError) return { family: "", style: "", problem: error.message };
      throw error;
    }
  },

  declareFont: async (path, bytes, family) => {
    const added: FileChange = { path, before: null, after: { kind: "other", path, bytes } };
    return changesOf(() => fontFaceFor(withFiles(site, [added]), path, readFontFile(bytes), family));
  },

  restack: async (stack, instead) => changesOf(() => restack(site, stack, instead)),

  nameStack: async (stack, name) => changesOf(() => nameStack(site, stack, name, definedProperties(site))),
} satisfies StacksAnswers;
