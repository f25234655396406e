"use client";

import { memo, useEffect, useLayoutEffect, useRef, useState, type RefObject } from "react";
import {
  lossWords,
  shorthandOf,
  type Contender,
  type ElementRef,
  type Slip,
  type SlipRowValue,
  type Target,
} from "@/core";
import { colorName } from "../color/names";
import { Swatch } from "../color/Swatch";
import type { Shown } from "@/preview/frame";
import { Prose } from "../shared/Prose";
import { FindingLine } from "../workspace/FindingLine";
import type { KnownFinding } from "../workspace/troubles";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { useEngine, useWorkspace } from "../workspace/context";
import { chapters } from "./chapters";
import { CopyTo } from "./CopyTo";
import { RowHelp } from "./RowHelp";
import styles from "./Slip.module.css";
import { useDraft } from "./useDraft";
import { ValueField } from "./ValueField";
import { unwaited } from "../shared/unwaited";

export interface RowProps {
  row: SlipRowValue;
  /** Rows that stand in its chapter. */
  parts?: readonly SlipRowValue[];
  /** What was found about values, by row. */
  found: ReadonlyMap<string | null, readonly KnownFinding[]>;
  slip: Slip;
  target: Target | null;
  places: readonly ElementRef[];
  shown: Shown | null;
  open: boolean;
  /** Whether it was asked for just now: it is where one goes on. */
  isNext?: boolean;
  onEntered?(): void;
  /** Opens the row with this id, or closes it. */
  onOpen(id: string, opens: boolean): void;
  /** Chooses the style attribute to write to. */
  onAttribute(): void;
}

/** Names what was found about a row, for steps to it. */
export const foundId = (row: string): string => `found-${row}`;

/** One property: as written, as computed, where it comes from; opened, everything that competed for it. */
export const Row = memo(function Row(props: RowProps) {
  const { row, parts = [], slip, target, places, shown, open, isNext = false, onEntered, onOpen, onAttribute } = props;
  const found = props.found.get(row.id) ?? nothingFound;
  const draft = useDraft(row, slip, target);
  const Chapter = open ? chapters[row.id] : undefined;
  const group = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!isNext) return;
    onOpen(row.id, true);
    group.current!.querySelector("input")?.focus({ preventScroll: true });
    // Its chapter opens below it.
    group.current!.scrollIntoView({ block: "center" });
    onEntered?.();
  }, [isNext, onOpen, onEntered, row.id]);
  useFocusLeft(group);
  const off = row.idle.some(({ state }) => state === "off");
  // What the style attribute sets beats every rule that is not important.
  const isAttached = row.from === "declared" && row.contenders.some(({ lost, attached }) => lost === null && attached);
  const ignored = row.idle.some(({ state }) => state === "ignored");
  return (
    <div ref={group} className={open ? `${styles.row} ${styles.open}` : styles.row} role="group" aria-label={row.label}>
      <span className={styles.name}>
        {row.label}
        {ignored && (
          <span className={styles.flag}>
            {" "}
            ◆<span className="visually-hidden"> a declaration here is ignored</span>
          </span>
        )}
      </span>
      <ValueField
        row={row}
        target={target}
        draft={draft}
        onAttribute={isAttached && target?.kind !== "style-attribute" ? onAttribute : null}
      />
      <span className={styles.computed} title={row.computed}>
        {isColorRow(row) ? (
          <>
            <Swatch css={row.computed} /> {colorName(row.computed)}
          </>
        ) : (
          row.computed
        )}
      </span>
      <button type="button" className={styles.origin} aria-expanded={open} onClick={() => onOpen(row.id, !open)}>
        <span className="visually-hidden">{row.label}: </span>
        <Origin row={row} />
        <span className="visually-hidden">. Why</span>
        {off && " · off"}
      </button>
      {found.length > 0 && (
        <ul id={foundId(row.id)} tabIndex={-1} className={styles.rowFound} aria-label={`Found about ${row.label}`}>
          {found.map((known) => (
            <li key={known.key}>
              <FindingLine known={known} />
            </li>
          ))}
        </ul>
      )}
      {Chapter && <Chapter row={row} slip={slip} target={target} draft={draft} places={places} shown={shown} />}
      {open && parts.length > 0 && <Parts {...props} rows={parts} />}
      {open && <CopyTo row={row} value={draft.value || row.computed} ownKey={slip.key} />}
      {open && <Why row={row} page={slip.ref.page} />}
      {open && <RowHelp property={row.property} />}
    </div>
  );
});

const nothingFound: readonly KnownFinding[] = [];

/** Leaves the focus to the row before it where a row goes that holds it: a ground of its own is "Ground" once it is written. */
function useFocusLeft(group: RefObject<HTMLDivElement | null>): void {
  useLayoutEffect(() => {
    const own = group.current!;
    return () => {
      if (!own.contains(document.activeElement)) return;
      const before = own.previousElementSibling;
      queueMicrotask(() => {
        if (before?.isConnected) before.querySelector("input")?.focus({ preventScroll: true });
      });
    };
  }, [group]);
}

/** Rows within the chapter of another. */
function Parts({ rows, ...props }: RowProps & { rows: readonly SlipRowValue[] }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <div className={styles.parts}>
      {rows.map((row) => (
        <Row
          key={row.id}
          {...props}
          row={row}
          parts={undefined}
          isNext={false}
          shown={open === row.id ? props.shown : null}
          open={open === row.id}
          onOpen={(id, opens) => setOpen(opens ? id : null)}
        />
      ))}
    </div>
  );
}

const isColorRow = ({ longhand }: SlipRowValue) => longhand === "color" || longhand === "background-color";

/** Where a value comes from: the property or selector, and the line. */
function Origin({ row }: { row: SlipRowValue }) {
  const winner = row.contenders.find(({ lost }) => lost === null);
  if (!winner) return "not set";
  const inherited = row.from === "inherited" ? "inherited, " : "";
  if (winner.origin === "browser") return `${inherited}browser`;
  if (winner.origin === "hint") return "attribute";
  if (winner.attached) return `${inherited}style attribute`;
  return (
    <>
      {inherited}
      {winner.property === row.longhand ? winner.selector : winner.property} ·{" "}
      <span className="visually-hidden">line </span>
      {winner.place?.line}
    </>
  );
}

/** Why the value is what it is: the sentence, the winner, those that lose, those that do nothing. */
function Why({ row, page }: { row: SlipRowValue; page: string }) {
  return (
    <div className={styles.why}>
      <p>
        <Prose>{row.note ? `${row.note} ${row.sentence}` : row.sentence}</Prose>
      </p>
      <ul>
        {row.contenders.map((one, at) => (
          <ContenderLine key={at} one={one} page={page} />
        ))}
        {row.idle.map((one) => (
          <li key={`${one.path}:${one.start}`} className={styles.contender}>
            <code>
              {one.property}: {one.value}
            </code>
            <span>
              <SourceStep label={one.selector} path={one.path} line={one.line} offset={one.start} />
            </span>
            <em>{one.reason ? <Prose>{one.reason}</Prose> : "switched off"}</em>
            {one.state === "off" && (
              <Toggle label="Switch on" path={one.path} start={one.start} element={one.element} />
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

function ContenderLine({ one, page }: { one: Contender; page: string }) {
  return (
    <li className={styles.contender}>
      <code className={one.lost ? styles.lost : undefined}>
        {one.property}: {one.value}
        {one.important && " !important"}
      </code>
      <span>
        <Where one={one} />
        {one.specificity && one.origin === "author" && ` (${one.specificity.join(", ")})`}
        {one.layer !== null && `, layer ${one.layer}`}
      </span>
      <em>{one.lost ? <Prose>{`loses: ${lossWords(one.lost)}`}</Prose> : "in force"}</em>
      {!one.lost && one.place?.rule != null && <Fold one={one} rule={one.place.rule} path={one.place.path} />}
      {one.switch && (
        <Toggle
          label="Switch off"
          path={one.switch.path}
          start={one.switch.start}
          element={one.switch.element === null ? null : { page, index: one.switch.element }}
        />
      )}
    </li>
  );
}

/** Where a declaration stands. */
function Where({ one: { origin, place, selector } }: { one: Contender }) {
  if (origin === "browser") return "the browser's own sheet";
  if (!place) return selector;
  return <SourceStep label={selector} path={place.path} line={place.line} offset={place.offset} />;
}

/** A step to where something stands in the source. */
function SourceStep({ label, path, line, offset }: { label: string; path: string; line: number; offset: number }) {
  const showSource = useWorkspace((state) => state.showSource);
  return (
    <>
      {label},{" "}
      <button type="button" className="text-button" onClick={() => showSource({ path, offset })}>
        {path} line {line}
      </button>
    </>
  );
}

function Toggle({
  label,
  path,
  start,
  element,
}: {
  label: string;
  path: string;
  start: number;
  element: Slip["ref"] | null;
}) {
  const write = useWorkspace((state) => state.write);
  return (
    <button
      type="button"
      className="text-button"
      onClick={() =>
        unwaited(write({ kind: "toggle", path, start, element: element ?? undefined }, `${label} a declaration`))
      }
    >
      {label}
    </button>
  );
}

/** Folds longhands into their shorthand, or a shorthand into its longhands, after a look at what that does. */
function Fold({ one, rule, path }: { one: Contender; rule: number; path: string }) {
  const engine = useEngine();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const conditions = useWorkspace((state) => state.conditions);
  const page = useWorkspace((state) => state.page);
  const into = shorthandOf(one.property);
  const isShorthand =
    shorthandOf(one.property) === null &&
    ["font", "text-decoration", "margin", "padding", "background"].includes(one.property);
  if (!into && !isShorthand) return null;
  const title = into ? `Fold into ${into}` : `Unfold ${one.property}`;
  const propose = async () => {
    const { plan, problem: why } = await engine.plan(
      { kind: into ? "fold" : "unfold", path, start: rule, shorthand: into ?? one.property },
      conditions,
      page,
    );
    setProblem(why);
    if (!plan) return;
    const proof = plan.warnings.map((warning) => (
      <p key={warning} className="doubtful">
        ◆ {warning}
      </p>
    ));
    setProposal({ title, changes: plan.changes, proof });
  };
  return (
    <>
      <button type="button" className={`text-button ${styles.fold}`} onClick={() => unwaited(propose())}>
        {title}
      </button>
      {problem && <em className="fails">{problem}</em>}
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </>
  );
}
