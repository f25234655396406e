"use client";

import { Input, Select } from "antd";
import { useCallback, useMemo, useState } from "react";
import type { Target, TargetOption } from "@/core";
import { plural } from "../shared/numbers";
import { useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";

export interface Choice {
  options: readonly TargetOption[];
  option: TargetOption | undefined;
  target: Target | null;
  at: number;
  choose(at: number): void;
  /** The selector, class or id typed for a new one. */
  name: string | null;
  setName(name: string): void;
}

/** The place an edit is written to: the strongest rule at first. */
export function useTarget(options: readonly TargetOption[]): Choice {
  const [key, setKey] = useState<string | null>(null);
  const [name, setName] = useState<string | null>(null);
  const at = Math.max(
    0,
    options.findIndex((option) => keyOf(option) === key),
  );
  const option = options[at];
  const target = useMemo(() => (option ? named(option.target, name) : null), [option, name]);
  const choose = useCallback(
    (next: number) => {
      setKey(options[next] ? keyOf(options[next]) : null);
      setName(null);
    },
    [options],
  );
  return {
    options,
    option,
    at,
    name: name ?? (option ? nameIn(option.target) : null),
    target,
    choose,
    setName,
  };
}

/** Stays the same while the text around a rule changes. */
function keyOf({ group, label, path }: TargetOption): string {
  return `${group}|${group === "rule" ? label : group === "class" ? label.replace(/^\S+/, "") : ""}|${path}`;
}

function nameIn(target: Target): string | null {
  if (target.kind === "new-rule") return target.selector;
  return target.kind === "class" || target.kind === "id" ? target.name : null;
}

function named(target: Target, name: string | null): Target {
  if (name === null) return target;
  if (target.kind === "new-rule") return { ...target, selector: name };
  return target.kind === "class" || target.kind === "id" ? { ...target, name } : target;
}

const groupLabels: Record<TargetOption["group"], string> = {
  rule: "Rules that match",
  "new rule": "A new rule",
  class: "A class",
  id: "An id",
  "style attribute": "This element alone",
};

export function WriteTo({ choice }: { choice: Choice }) {
  const showReach = useWorkspace((state) => state.showReach);
  const { options, option, at, choose } = choice;
  const groups = [...new Set(options.map(({ group }) => group))];
  const newRule = options.findIndex(({ group }) => group === "new rule");
  const mark = (index: number | null) => showReach(index === null ? null : (options[index]?.reach.places ?? null));
  return (
    <div className={styles.writeTo}>
      <span id="write-to">Write to</span>
      <Select
        aria-labelledby="write-to"
        className={styles.target}
        value={at}
        onChange={choose}
        popupMatchSelectWidth={420}
        listHeight={360}
        onActive={(value) => mark(Number(value))}
        onOpenChange={(open) => mark(open ? at : null)}
        options={groups.map((group) => ({
          label: groupLabels[group],
          title: group,
          options: options
            .map((one, value) => ({ one, value }))
            .filter(({ one }) => one.group === group)
            .map(({ one, value }) => ({ value, label: <TargetLabel option={one} /> })),
        }))}
      />
      {newRule >= 0 && (
        <button
          type="button"
          className={`chip ${styles.newRule}`}
          aria-pressed={at === newRule}
          onClick={() => choose(newRule)}
        >
          New rule
        </button>
      )}
      {choice.name !== null && option && (
        <label className={styles.naming}>
          {option.group === "new rule" ? "Selectors" : option.group === "class" ? "Class" : "Id"}
          <Input
            className="mono"
            value={choice.name}
            onChange={(event) => choice.setName(event.target.value)}
            spellCheck={false}
          />
        </label>
      )}
    </div>
  );
}

function TargetLabel({ option }: { option: TargetOption }) {
  const { label, path, line, reach, condition } = option;
  return (
    <span className={styles.targetLabel}>
      <b className="mono">{label}</b>
      <span className="mono">
        {path}
        {line !== null && `:${line}`}
      </span>
      {condition && <span className="mono">{condition}</span>}
      <i>
        {plural(reach.places.length, "place")}
        {reach.whole ? "" : " so far"}
      </i>
    </span>
  );
}
