"use client";

import { Input } from "antd";
import { useCallback, useMemo, useState, type ReactNode } from "react";
import type { RulePlace, Target, TargetOption } from "@/core";
import { Choice } from "../shared/Choice";
import { plural, showReach as showReachWords } from "../shared/numbers";
import { useAnswered } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { MakeSheet } from "../workspace/MakeSheet";
import { SelectorList } from "./SelectorList";
import styles from "./Slip.module.css";

export interface Choice {
  options: readonly TargetOption[];
  option: TargetOption | undefined;
  target: Target | null;
  at: number;
  choose(at: number): void;
  /** Chooses the new rule in a sheet, once there is one. */
  chooseSheet(path: string): void;
  /** The selector, class or id typed for a new one. */
  name: string | null;
  setName(name: string): void;
  /** Where in the sheet a new rule can go, and which of these it is. */
  places: readonly RulePlace[];
  place: number;
  setPlace(at: number): void;
}

/** The place an edit is written to: the strongest rule at first. */
export function useTarget(options: readonly TargetOption[]): Choice {
  const [key, setKey] = useState<string | null>(null);
  const [name, setName] = useState<string | null>(null);
  const [place, setPlace] = useState(0);
  const at = Math.max(
    0,
    options.findIndex((option) => keyOf(option) === key),
  );
  const option = options[at];
  const isTyped = option?.target.kind === "new-rule" && name !== null;
  const asked = useAnswered("rulePlaces", isTyped ? [option.path, name] : null);
  const places = (isTyped && asked?.args[1] === name ? asked.answer : option?.places) ?? none;
  const behind = places[place]?.behind ?? null;
  const target = useMemo(() => (option ? placed(named(option.target, name), behind) : null), [option, name, behind]);
  const chooseKey = useCallback((next: string | null) => {
    setKey(next);
    setName(null);
    setPlace(0);
  }, []);
  const choose = useCallback(
    (next: number) => chooseKey(options[next] ? keyOf(options[next]) : null),
    [options, chooseKey],
  );
  return {
    options,
    option,
    at,
    name: name ?? (option ? nameIn(option.target) : null),
    target,
    choose,
    chooseSheet: useCallback((path: string) => chooseKey(`new rule||${path}`), [chooseKey]),
    setName,
    places,
    place,
    setPlace,
  };
}

const none: readonly RulePlace[] = [];

/** A new rule at a place of its sheet. */
function placed(target: Target, behind: number | null): Target {
  if (behind === null || target.kind === "rule" || target.kind === "style-attribute") return target;
  return { ...target, behind };
}

/** Stays the same while the text around a rule changes. */
function keyOf({ group, label, path }: TargetOption): string {
  // A class is told by whom it is given to: its name is typed.
  const given = group === "class" ? label.replace(/^\S+/, "") : "";
  return `${group}|${group === "rule" ? label : given}|${path}`;
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

/** Stands for a sheet that is yet to be made, among the options. */
const newSheet = -1;

export function WriteTo({ choice }: { choice: Choice }) {
  const showReach = useWorkspace((state) => state.showReach);
  const [isMaking, setMaking] = useState(false);
  const [isListing, setListing] = useState(false);
  const { options, option, at, choose } = choice;
  const newRule = options.findIndex(({ group }) => group === "new rule");
  const mark = (index: number | null) => showReach(index === null ? null : (options[index]?.reach.places ?? null));
  return (
    <div className={styles.writeTo}>
      <span id="write-to">Write to</span>
      <Choice
        size="middle"
        aria-labelledby="write-to"
        className={styles.target}
        value={at}
        onChange={(chosen: number) => (chosen === newSheet ? setMaking(true) : choose(chosen))}
        popupMatchSelectWidth={420}
        listHeight={360}
        onActive={(value) => mark(Number(value))}
        onOpenChange={(open) => mark(open ? at : null)}
        options={grouped(options)}
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
      {choice.name !== null && option && <Naming choice={choice} option={option} />}
      {choice.places.length > 1 && <PlaceSelect choice={choice} />}
      {option?.target.kind === "rule" && (
        <SelectorList key={`${option.path} ${option.label}`} option={option} open={isListing} onOpen={setListing} />
      )}
      {isMaking && (
        <MakeSheet
          onClose={(made) => {
            setMaking(false);
            if (made) choice.chooseSheet(made);
          }}
        />
      )}
    </div>
  );
}

/** The options by their groups, with a new sheet behind the new rules; before all where there is none to write to. */
function grouped(options: readonly TargetOption[]) {
  const groups = [...new Set(options.map(({ group }) => group))];
  const all = groups.map((group) => ({
    label: groupLabels[group],
    title: group as string,
    options: options.flatMap((one, value) =>
      one.group === group ? [{ value, label: (<TargetLabel option={one} />) as ReactNode }] : [],
    ),
  }));
  const hasSheet = options.some(({ path }) => /\.css$/i.test(path));
  const at = hasSheet ? groups.indexOf("new rule") + 1 : 0;
  const made = {
    label: "A sheet of its own",
    title: "new sheet",
    options: [{ value: newSheet, label: "A new style sheet…" }],
  };
  return [...all.slice(0, at), made, ...all.slice(at)];
}

const namings: Partial<Record<TargetOption["group"], string>> = { "new rule": "Selectors", class: "Class", id: "Id" };

/** The selectors, class or id of a new rule; of selectors, what they reach at once. */
function Naming({ choice, option }: { choice: Choice; option: TargetOption }) {
  const conditions = useWorkspace((state) => state.conditions);
  const isRule = option.group === "new rule";
  const asked = useAnswered("selectorReach", isRule ? [option.path, choice.name ?? "", conditions] : null);
  const reach = asked?.args[1] === choice.name ? asked.answer : null;
  return (
    <label className={styles.naming}>
      {namings[option.group]}
      <Input
        className="mono"
        value={choice.name ?? ""}
        onChange={(event) => choice.setName(event.target.value)}
        spellCheck={false}
        suffix={reach && <span className={styles.suffix}>{showReachWords(reach)}</span>}
      />
    </label>
  );
}

/** Where in its sheet the new rule goes. */
function PlaceSelect({ choice }: { choice: Choice }) {
  return (
    <div className={styles.naming}>
      <span id="rule-place">Place</span>
      <Choice
        aria-labelledby="rule-place"
        value={choice.place}
        onChange={choice.setPlace}
        options={choice.places.map((place, value) => ({ value, label: placeWords(place) }))}
      />
    </div>
  );
}

function placeWords({ kind, name, line }: RulePlace): string {
  if (kind === "at the end") return "at the end of the sheet";
  return kind === "under a comment" ? `under “${name}”, behind line ${line}` : `behind ${name}, line ${line}`;
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
