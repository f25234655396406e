"use client";

import type { ElementRef } from "@/core";
import { Choice } from "../shared/Choice";
import { useWorkspace } from "../workspace/context";
import { unwaited } from "../shared/unwaited";

const states = [
  { value: "", label: "at rest" },
  { value: "hover", label: "hover" },
  { value: "focus", label: "focus" },
  { value: "focus-visible", label: "focus by key" },
  { value: "active", label: "active" },
  { value: "visited", label: "visited" },
  { value: "checked", label: "checked" },
];

/** The state the picked text is looked at in: rules for it are then in force, and can be written to. */
export function StateSelect({ picked }: { picked: ElementRef }) {
  const forced = useWorkspace((state) => state.conditions.forced[picked.page]?.[picked.index]);
  const setConditions = useWorkspace((state) => state.setConditions);
  const choose = (state: string) => {
    // A text that got the focus by key has the focus, too.
    const own = state ? [state] : null;
    const names = state === "focus-visible" ? ["focus", state] : own;
    unwaited(setConditions({ forced: names ? { [picked.page]: { [picked.index]: names } } : {} }));
  };
  return (
    <Choice variant="borderless" aria-label="State" value={forced?.at(-1) ?? ""} onChange={choose} options={states} />
  );
}
