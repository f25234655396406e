"use client";

import { useRef, useState, type ReactNode } from "react";
import {
  candidateDeclarations,
  mayChangeContrast,
  type Slip,
  type SlipRowValue,
  type Target,
  type TrialContrast,
} from "@/core";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { VerdictOf } from "../shared/VerdictOf";
import { useAnswered } from "../workspace/answers";
import { useBench, type Seen, type TrialSet } from "../workspace/bench";
import { useWorkspace } from "../workspace/context";
import styles from "./Trials.module.css";
import { editsOfCandidate, type Draft } from "./useDraft";
import { usePutOnPage, walkedTo } from "./usePutOnPage";

interface Props {
  row: SlipRowValue;
  slip: Slip;
  draft: Draft;
  /** Where a candidate would be written. */
  target: Target | null;
  /** Values to begin with, the one in force among them or not. */
  proposed: readonly string[];
  /** Other values to begin with, each set under a name. */
  sets?: readonly { label: string; values: readonly string[] }[];
  /** What matters about a value, in few words. */
  figures?(value: string): ReactNode;
  /** Where the text beside the picked one is shown from. */
  side?: "before" | "after";
}

/** More than this cannot be compared at a glance. */
const most = 6;

/**
 * Candidates as rows; once one is chosen they stand on the page, one under another at the text's own width. Nothing is
 * written until Enter.
 */
export function Trials(props: Props) {
  const { row, slip, draft, target, sets = [], figures, side = "after" } = props;
  const { texts, isKept, keep } = useTexts(props);
  const written = row.written ?? row.computed;
  const { seen } = useBench();
  const [onPage, setOnPage] = useState(false);
  const candidates = texts.map((text) => ({ text, edits: editsOfCandidate(row, slip, target, text) ?? [] }));
  const contrasts = useContrasts(slip, candidates);
  const tried: Tried = {
    choose: (text) => {
      setOnPage(true);
      draft.attempt(text, "candidate");
    },
    write: (text) => {
      setOnPage(false);
      unwaited(draft.write(text, "candidate"));
    },
    leave: () => {
      setOnPage(false);
      draft.putBack();
    },
    drop: (at) => keep(texts.filter((_, index) => index !== at)),
  };
  const onKey = (event: React.KeyboardEvent, at: number) => onTrialKey(event, at, texts, tried);
  const add = (text: string) => {
    if (!texts.includes(text)) keep([...texts.slice(0, most - 1), text]);
    tried.choose(text);
  };

  const stands = usePutOnPage(
    onPage,
    {
      label: row.label.toLowerCase(),
      heading: `${plural(texts.length, "candidate")} of ${row.label.toLowerCase()} on trial for`,
      subject: slip.ref,
      selector: slip.selector,
      candidates,
      chosen: draft.value,
      written,
      side,
      contrasts,
      figures: (text) => figures?.(text),
      choose: tried.choose,
      onKey,
      leave: tried.leave,
    },
    () => setOnPage(false),
  );

  return (
    <div className={styles.trials}>
      <TrialRows
        label={`Trials of ${row.label.toLowerCase()}`}
        texts={texts}
        chosen={draft.value}
        tried={tried}
        onKey={onKey}
        figures={(text, at) => (
          <>
            <span>{figures?.(text)}</span>
            <span>{stands && seen.has(text) && <SeenFigures {...seen.get(text)!} />}</span>
            <span>
              {text === written && "now "}
              {contrasts?.[at] && <VerdictOf {...contrasts[at]} />}
            </span>
          </>
        )}
      />
      <div className={styles.add}>
        <AddTrial row={row} slip={slip} onAdd={add} />
        <OtherTrials sets={sets} isKept={isKept} onKeep={keep} />
        <button type="button" className="text-button" onClick={onPage ? tried.leave : () => setOnPage(true)}>
          {onPage ? "Back to the page" : "Show on the page"}
        </button>
      </div>
    </div>
  );
}

interface OtherTrialsProps {
  sets: NonNullable<Props["sets"]>;
  isKept: boolean;
  onKeep(texts: readonly string[]): void;
}

/** Other values to try instead: sets of them, and those proposed. */
function OtherTrials({ sets, isKept, onKeep }: OtherTrialsProps) {
  return (
    <>
      {sets.map(({ label, values }) => (
        <button key={label} type="button" className="text-button" onClick={() => onKeep(values)}>
          {label}
        </button>
      ))}
      {isKept && (
        <button type="button" className="text-button" onClick={() => onKeep([])}>
          Propose anew
        </button>
      )}
    </>
  );
}

/** The values on trial: those kept with the site for one kind of text and one row, else those proposed. */
function useTexts({ row, slip, proposed }: Props) {
  const keptAs = `${slip.selector} ${row.id}`;
  const kept = useWorkspace((state) => state.record?.trials?.[keptAs]);
  const keepTrials = useWorkspace((state) => state.keepTrials);
  const isKept = kept !== undefined && kept.length > 0;
  const keep = (texts: readonly string[]) => unwaited(keepTrials(keptAs, texts.slice(0, most)));
  return { texts: isKept ? kept : proposed.slice(0, most), isKept, keep };
}

/** What is done with a value on trial. */
interface Tried {
  choose(text: string): void;
  write(text: string): void;
  leave(): void;
  /** Takes one off the list. */
  drop(at: number): void;
}

/** Walks the list, writes, leaves, and takes off. @returns which has the focus then; null for a key that is not for it */
function onTrialKey(event: React.KeyboardEvent, at: number, texts: readonly string[], tried: Tried): number | null {
  const walked = walkedTo(event.key, at, texts.length);
  let next: number | null = walked ?? at;
  if (walked !== null) tried.choose(texts[walked]!);
  else if (event.key === "Enter") tried.write(texts[at]!);
  else if (event.key === "Escape") tried.leave();
  else if (event.key === "Delete" || event.key === "Backspace") {
    tried.drop(at);
    // The one after it, else before it, is chosen in its place.
    next = at + 1 < texts.length ? at + 1 : at - 1;
    if (texts[next] === undefined) next = null;
    else tried.choose(texts[next]!);
  } else return null;
  event.preventDefault();
  event.stopPropagation();
  return next;
}

interface TrialRowsProps {
  label: string;
  texts: readonly string[];
  chosen: string;
  tried: Tried;
  onKey(event: React.KeyboardEvent, at: number): number | null;
  figures(text: string, at: number): ReactNode;
}

function TrialRows({ label, texts, chosen, tried, onKey, figures }: TrialRowsProps) {
  const list = useRef<HTMLDivElement>(null);
  return (
    <div className={styles.list} ref={list} role="radiogroup" aria-label={label}>
      {texts.map((text, at) => (
        <button
          key={text}
          type="button"
          role="radio"
          aria-checked={text === chosen}
          aria-label={text}
          className={text === chosen ? `${styles.trial} ${styles.chosen}` : styles.trial}
          tabIndex={text === chosen || (at === 0 && !texts.includes(chosen)) ? 0 : -1}
          onClick={() => tried.choose(text)}
          onDoubleClick={() => tried.write(text)}
          onKeyDown={(event) => {
            const next = onKey(event, at);
            if (next !== null) list.current?.querySelectorAll("button")[next]?.focus();
          }}
        >
          <code>{text}</code>
          {figures(text, at)}
        </button>
      ))}
    </div>
  );
}

/** Another value, alone or with one of another row beside it. */
function AddTrial({ row, slip, onAdd }: { row: SlipRowValue; slip: Slip; onAdd(text: string): void }) {
  const [typed, setTyped] = useState("");
  const [beside, setBeside] = useState<{ property: string; value: string } | null>(null);
  const others = slip.rows.filter(({ id, part }) => id !== row.id && part === undefined);
  const text = [typed.trim(), beside?.value.trim() && `${beside.property}: ${beside.value.trim()}`]
    .filter(Boolean)
    .join("; ");
  const isWhole = typed.trim() !== "" && candidateDeclarations(row.property, text).length > 0;
  const add = () => {
    if (!isWhole) return;
    onAdd(text);
    setTyped("");
    if (beside) setBeside({ ...beside, value: "" });
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === "Enter") add();
    event.stopPropagation();
  };
  return (
    <>
      <input
        aria-label={`Add a trial of ${row.label.toLowerCase()}`}
        className="mono"
        value={typed}
        placeholder="add a value"
        spellCheck={false}
        onChange={({ target: { value } }) => setTyped(value)}
        onKeyDown={onKeyDown}
      />
      {beside ? (
        <>
          <select
            aria-label="Tried with it"
            value={beside.property}
            onChange={({ target: { value } }) => setBeside({ ...beside, property: value })}
          >
            {others.map(({ id, label, property }) => (
              <option key={id} value={property}>
                with {label.toLowerCase()}
              </option>
            ))}
          </select>
          <input
            aria-label="Its value"
            className="mono"
            value={beside.value}
            spellCheck={false}
            onChange={({ target: { value } }) => setBeside({ ...beside, value })}
            onKeyDown={onKeyDown}
          />
        </>
      ) : (
        <button
          type="button"
          className="text-button"
          onClick={() => setBeside({ property: usualBeside[row.id] ?? others[0]!.property, value: "" })}
        >
          with another setting
        </button>
      )}
      <button type="button" className="text-button" onClick={add} disabled={!isWhole}>
        Add
      </button>
    </>
  );
}

/** What is most often chosen together. */
const usualBeside: Readonly<Record<string, string>> = {
  size: "line-height",
  leading: "font-size",
  stack: "font-weight",
  weight: "font-family",
  ink: "background-color",
  ground: "color",
};

/** What contrast each candidate comes to. */
function useContrasts(
  { ref: picked }: Slip,
  candidates: TrialSet["candidates"],
): readonly (TrialContrast | null)[] | null {
  const conditions = useWorkspace((state) => state.conditions);
  const all = candidates.map(({ edits }) => edits);
  const isJudged = all.every(({ length }) => length > 0) && all.some(mayChangeContrast);
  return useAnswered("trialContrasts", isJudged ? [picked, all, conditions] : null)?.answer ?? null;
}

function SeenFigures({ lines, longest, width }: Seen) {
  return (
    <>
      {plural(lines, "line")}, {longest} ch, {Math.round(width)} px
    </>
  );
}
