import { wordOf } from "../kinds";
import type { Shorthand } from "../types";

/** CSS Text 4, 5. */
export const textWrap: Shorthand = {
  name: "text-wrap",
  longhands: ["text-wrap-mode", "text-wrap-style"],
  expand: (value) => {
    const words = value.map(wordOf);
    const mode = value.find((part) => ["wrap", "nowrap"].includes(wordOf(part)));
    const styles = value.filter((part) => ["auto", "balance", "pretty", "stable"].includes(wordOf(part)));
    if (words.length === 0 || styles.length + (mode ? 1 : 0) !== words.length || styles.length > 1) return null;
    return {
      ...(mode ? { "text-wrap-mode": [mode] } : {}),
      ...(styles.length ? { "text-wrap-style": styles } : {}),
    };
  },
};
