import { componentsOf, soleKeyword } from "../../../source/css/components";
import { table } from "../../../source/table";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import type { Expansion } from "./parts";

/** CSS Text 4, 3: the old keywords and the new parts. */
const whiteSpaceKeywords: Readonly<Record<string, [string, string]>> = table({
  normal: ["collapse", "wrap"],
  pre: ["preserve", "nowrap"],
  nowrap: ["collapse", "nowrap"],
  "pre-wrap": ["preserve", "wrap"],
  "pre-line": ["preserve-breaks", "wrap"],
  "break-spaces": ["break-spaces", "wrap"],
  "-webkit-nowrap": ["collapse", "nowrap"],
});
const collapseWords = new Set(["collapse", "preserve", "preserve-breaks", "break-spaces"]);

export const whiteSpace: Shorthand = {
  name: "white-space",
  longhands: ["white-space-collapse", "text-wrap-mode"],
  expand: (value) => {
    const pair = whiteSpaceKeywords[soleKeyword(value) ?? ""];
    if (pair) return { "white-space-collapse": componentsOf(pair[0]), "text-wrap-mode": componentsOf(pair[1]) };
    const expansion: Expansion = {};
    for (const part of value) {
      const word = wordOf(part);
      if (collapseWords.has(word) && !expansion["white-space-collapse"]) expansion["white-space-collapse"] = [part];
      else if ((word === "wrap" || word === "nowrap") && !expansion["text-wrap-mode"])
        expansion["text-wrap-mode"] = [part];
      else return null;
    }
    return value.length ? expansion : null;
  },
};
