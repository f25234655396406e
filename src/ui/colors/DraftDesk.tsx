"use client";

import { proxy } from "comlink";
import { useCallback, useEffect, useMemo, useState } from "react";
import { draftKinds, parseColor, type Draft, type DraftAsked, type DraftKindName, type DraftTone } from "@/core";
import { Swatch } from "../color/Swatch";
import { Problem } from "../shared/Problem";
import { plural } from "../shared/numbers";
import { unwaited, unwaitedWhile } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { DraftPairs } from "./DraftPairs";
import { DraftWritingForm } from "./DraftWritingForm";
import styles from "./Schemes.module.css";
import { SideBySide, useConditionsOf } from "./SideBySide";

interface KindWords {
  about: string;
  as: string;
  /** What the draft's column and page are called. */
  column: string;
  hasLift: boolean;
}

const words: Readonly<Record<DraftKindName, KindWords>> = {
  dark: {
    about:
      "The site has no dark scheme. This is a draft of one: each colour has a counterpart of the same hue, and every pair of ink and ground keeps at least its ratio.",
    as: "In light, as it is",
    column: "In the dark",
    hasLift: true,
  },
  contrast: {
    about:
      "The site does not ask who wishes for more contrast. This is a draft for them: inks and grounds go as far apart as 7 to 1 takes, large text 4.5.",
    as: "As it is",
    column: "With more contrast",
    hasLift: false,
  },
};

/** A draft: every colour with its counterpart, the pairs that they make, and the page with both. */
export function DraftDesk({ kind }: { kind: DraftKindName }) {
  const [lift, setLift] = useState(0.5);
  const [chosen, setChosen] = useState<DraftAsked["chosen"]>({});
  const { draft, looks, stop } = useDraftOf(kind, lift, chosen);
  const choose = useCallback(
    (id: string, value: string | null) =>
      setChosen((all) =>
        Object.fromEntries(Object.entries({ ...all, [id]: value ?? "" }).filter(([, one]) => one !== "")),
      ),
    [],
  );
  const { about, column, hasLift } = words[kind];
  const progress = looks !== null && (
    <p role="status" className="quiet">
      Looking for a counterpart of every colour, in all states; {plural(looks, "page")} looked at.{" "}
      <button type="button" className="text-button" onClick={stop}>
        Stop
      </button>
    </p>
  );
  if (!draft)
    return <div className={styles.waiting}>{progress || "Stopped. Choose what readers wish for once more."}</div>;
  return (
    <div className={styles.desk}>
      <div className={styles.list}>
        <p>{about}</p>
        {hasLift && (
          <label className={styles.lift}>
            <span>Grounds as dark as can be</span>
            <input
              type="range"
              min={0}
              max={1}
              step={0.1}
              value={lift}
              aria-label="How light grounds are"
              onChange={({ target }) => setLift(Number(target.value))}
            />
            <span>as light as the ratios allow</span>
          </label>
        )}
        {progress}
        <DraftPairs draft={draft} />
        <DraftWritingForm draft={draft} />
        <Tones draft={draft} column={column} onChoose={choose} />
      </div>
      <Pages draft={draft} />
    </div>
  );
}

interface Drafting {
  draft: Draft | null;
  /** How often a page was looked at; null while nothing is. */
  looks: number | null;
  stop(): void;
}

function useDraftOf(kind: DraftKindName, lift: number, chosen: DraftAsked["chosen"]): Drafting {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const files = useWorkspace((state) => state.files);
  const [draft, setDraft] = useState<Draft | null>(null);
  const [looks, setLooks] = useState<number | null>(0);
  useEffect(() => {
    let current = true;
    const told = proxy((count: number) => {
      if (current) setLooks(count);
    });
    unwaitedWhile(
      () => current,
      engine.draft({ kind, lift, chosen }, conditions, told).then((found) => {
        if (!current) return;
        setLooks(null);
        if (found) setDraft(found);
      }),
    );
    return () => {
      current = false;
    };
    // Another version of the files is another site.
  }, [engine, conditions, files, kind, lift, chosen]);
  const stop = useCallback(() => {
    setLooks(null);
    unwaited(engine.stopDraft());
  }, [engine]);
  return { draft, looks, stop };
}

function Pages({ draft }: { draft: Draft }) {
  const engine = useEngine();
  const { as, column } = words[draft.kind];
  const { without, within } = draftKinds[draft.kind];
  const before = useConditionsOf(without);
  const after = useConditionsOf(within);
  const sides = useMemo(
    () => [
      { title: as, conditions: before, view: (path: string) => engine.variant(path, [], before) },
      { title: column, conditions: after, view: (path: string) => engine.draftView(draft, path, after) },
    ],
    [engine, draft, before, after, as, column],
  );
  return <SideBySide sides={sides} />;
}

interface TonesProps {
  draft: Draft;
  column: string;
  onChoose(id: string, value: string | null): void;
}

function Tones({ draft, column, onChoose }: TonesProps) {
  const rows = [...draft.tones].sort((a, b) => Number(a.stays) - Number(b.stays) || b.texts - a.texts);
  return (
    <table className={styles.tones}>
      <caption className="visually-hidden">Colours and their counterparts</caption>
      <thead>
        <tr>
          <th scope="col">As it is</th>
          <th scope="col">{column}</th>
          <th scope="col">What it is</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((tone) => (
          <ToneRow key={tone.id} tone={tone} onChoose={onChoose} />
        ))}
      </tbody>
    </table>
  );
}

function ToneRow({ tone, onChoose }: { tone: DraftTone; onChoose: TonesProps["onChoose"] }) {
  const { id, name, css, value, counterpart, counterpartCss, stays, chosen, words: what } = tone;
  const [typed, setTyped] = useState<string | null>(null);
  const problem = typed !== null && !parseColor(typed) ? `\`${typed}\` is no colour by itself.` : null;
  const write = () => {
    if (typed === null || problem) return;
    onChoose(id, typed);
    setTyped(null);
  };
  return (
    <tr>
      <th scope="row">
        <span className={styles.colour}>
          <Swatch css={css} size={1.5} /> <code>{name ?? value}</code>
        </span>
      </th>
      <td>
        <span className={styles.counterpart}>
          <Swatch css={counterpartCss} size={1.5} />
          <input
            type="text"
            className="mono"
            aria-label={`Counterpart of ${value}, ${what}`}
            value={typed ?? counterpart}
            spellCheck={false}
            aria-invalid={problem !== null}
            onChange={({ target }) => setTyped(target.value)}
            onBlur={write}
            onKeyDown={(event) => {
              if (event.key === "Enter") write();
              if (event.key === "Escape") setTyped(null);
            }}
          />
          {chosen && (
            <button type="button" className="text-button" onClick={() => onChoose(id, null)}>
              Put back
            </button>
          )}
        </span>
        <Problem>{problem}</Problem>
      </td>
      <td className={styles.what}>
        {what}
        {stays && <span className="quiet">, stays as it is</span>}
      </td>
    </tr>
  );
}
