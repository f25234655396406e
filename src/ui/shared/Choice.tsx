"use client";

import { Select, type SelectProps } from "antd";

/** What is chosen, in words; null where the options do not say it in words. */
function wordsFor(options: SelectProps["options"], value: unknown): string | null {
  for (const option of options ?? []) {
    if (Array.isArray(option.options)) {
      const words = wordsFor(option.options, value);
      if (words !== null) return words;
    } else if (option.value === value) return typeof option.label === "string" ? option.label : String(value);
  }
  return null;
}

/**
 * A small select, whose list is as wide as its words. It tells what is chosen to those who do not see it: its field holds
 * only what is typed to search.
 */
export function Choice<Value>(props: SelectProps<Value>) {
  const said = wordsFor(props.options as SelectProps["options"], props.value);
  return <Select<Value> size="small" popupMatchSelectWidth={false} aria-description={said ?? undefined} {...props} />;
}
