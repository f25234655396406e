import { componentsOf, soleKeyword } from "../../../source/css/components";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";
import { standTogether } from "./parts";

/** CSS Inline 3, 5.1. */
export const textBox: Shorthand = {
  name: "text-box",
  longhands: ["text-box-trim", "text-box-edge"],
  expand: (value) => {
    if (soleKeyword(value) === "normal") return {};
    const trim = value.filter((part) => /^(?:none|trim-)/.test(wordOf(part)));
    const edge = value.filter((part) => !trim.includes(part));
    if (trim.length > 1 || value.length === 0 || !standTogether(edge, value)) return null;
    return {
      "text-box-trim": trim.length ? trim : componentsOf("trim-both"),
      ...(edge.length ? { "text-box-edge": edge } : {}),
    };
  },
};
