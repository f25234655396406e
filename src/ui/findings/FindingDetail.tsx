"use client";

import { Button, Input } from "antd";
import { useEffect, useId, useRef, useState } from "react";
import { applyChanges, showRatio, type Finding, type Fix, type TextLook } from "@/core";
import type { FindingView } from "@/engine/protocol";
import { LineDifference } from "../shared/LineDifference";
import { fixWords, plural } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { Specimen } from "../workspace/Specimen";
import type { KnownFinding } from "../workspace/troubles";
import { useWays } from "../workspace/useWays";
import { usePick } from "../workspace/usePick";
import { useSeeSource } from "../workspace/useSeeSource";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { Sign } from "../shared/Sign";
import styles from "./Findings.module.css";

interface Props {
  known: KnownFinding;
  all: readonly KnownFinding[];
  /** It is gone, or left: the next one is wanted. */
  onDone(): void;
}

/** One finding: what it is, why it matters, the text as it is and as it would be, and the ways to set it right. */
export function FindingDetail({ known, all, onDone }: Props) {
  const { finding, key, left } = known;
  const found = useWays(finding);
  const [way, setWay] = useState(0);
  const write = useWorkspace((state) => state.write);
  const fix = found?.fixes[way] ?? null;
  const done = async () => {
    if (!fix) return;
    const { problem } = await write({ kind: "text", changes: fix.changes }, fix.label);
    if (!problem) onDone();
  };
  useWriteKey(() => unwaited(done()));
  return (
    <section className={styles.detail} aria-label="Finding">
      <About finding={finding} />
      {found?.now && <Looks now={found.now} then={fix?.then ?? null} />}
      <Ways found={found} way={way} onWay={setWay} />
      {fix && <Lines fix={fix} />}
      <div className={styles.actions}>
        <Button type="primary" disabled={!fix} onClick={() => unwaited(done())}>
          Write
        </Button>
        <SeeIt finding={finding} />
        <AllLikeThis check={finding.check} all={all} />
        <Leaving key={key} findingKey={key} left={left} onDone={onDone} />
        <span className={styles.keys}>
          <kbd>↑</kbd> <kbd>↓</kbd> next, <kbd>Enter</kbd> writes
        </span>
      </div>
    </section>
  );
}

/** Enter writes from the list; in a field or on a button it does what it does there. */
function useWriteKey(write: () => void): void {
  const latest = useRef(write);
  useEffect(() => {
    latest.current = write;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "Enter" || !(event.target instanceof HTMLElement)) return;
      const { target } = event;
      if (target.getAttribute("role") === "listbox" || (target instanceof HTMLInputElement && target.type === "radio"))
        latest.current();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}

const mostCauses = 6;

function About({ finding }: { finding: Finding }) {
  const see = useSeeSource();
  const { level, message, because, path, line, column, causes, places } = finding;
  const pages = new Set(places.map(({ page }) => page)).size;
  const alone = causes.length === 1 && causes[0]!.path === path && causes[0]!.line === line;
  const cause = ({ path: file, line: row, column: at, text }: Finding["causes"][number]) => (
    <li key={`${file}:${row}:${at}`}>
      <button type="button" className="text-button mono" onClick={() => see(file, row, at)}>
        {file} line {row}
      </button>{" "}
      <code>{text}</code>
    </li>
  );
  return (
    <div className={styles.block}>
      <h2>
        <Sign level={level} /> <Prose>{message}</Prose>
      </h2>
      <p>
        <Prose>{because}</Prose>
      </p>
      <p>
        <button type="button" className="text-button mono" onClick={() => see(path, line, column)}>
          {path} line {line}
        </button>
        {alone && (
          <>
            {" "}
            <code>{causes[0]!.text}</code>
          </>
        )}
        {places.length > 0 && ` · ${plural(places.length, "place")} on ${plural(pages, "page")}`}
      </p>
      {causes.length > 0 && !alone && (
        <ul className={styles.causes} aria-label="Where it comes from">
          {causes.slice(0, mostCauses).map(cause)}
          {causes.length > mostCauses && (
            <li>
              <details>
                <summary>{plural(causes.length - mostCauses, "more place", "more")}</summary>
                <ul>{causes.slice(mostCauses).map(cause)}</ul>
              </details>
            </li>
          )}
        </ul>
      )}
    </div>
  );
}

function Looks({ now, then }: { now: TextLook; then: TextLook | null }) {
  const look = (one: TextLook, words: string) => {
    const fails = one.verdict === "fails" || one.verdict === "doubtful";
    return (
      <div className={styles.look}>
        <div className={styles.figure}>
          <b className={fails ? "fails" : undefined}>
            {fails && "\u25b2 "}
            {showRatio(one.ratio)}
          </b>
          <span>{words}</span>
        </div>
        <Specimen
          className={styles.specimen}
          text={one.text}
          declarations={[...one.specimen, ["color", one.color]]}
          ground={one.range ?? one.ground}
          label={`${words}: ${one.text}`}
        />
      </div>
    );
  };
  return (
    <div className={styles.looks}>
      {look(now, "as it is")}
      {then && JSON.stringify(then) !== JSON.stringify(now) && look(then, "set right")}
    </div>
  );
}

function Ways({ found, way, onWay }: { found: FindingView | null; way: number; onWay(at: number): void }) {
  const name = useId();
  if (!found)
    return (
      <div className={styles.block}>
        <p role="status">Looking for ways to set it right…</p>
      </div>
    );
  if (found.fixes.length === 0)
    return (
      <div className={styles.block}>
        <p>No way to set it right is known here that would not break something else: it takes a decision of yours.</p>
      </div>
    );
  const { fixes } = found;
  return (
    <fieldset className={styles.block}>
      <legend className="visually-hidden">Ways to set it right</legend>
      {fixes.map(({ label, warnings }, at) => (
        <label key={label} className={styles.way}>
          <input type="radio" name={name} checked={at === way} onChange={() => onWay(at)} />
          <span>
            <Prose>{label}</Prose>
            {warnings.map((warning) => (
              <small key={warning} className="doubtful">
                ◆ <Prose>{warning}</Prose>
              </small>
            ))}
          </span>
          <span className={styles.where}>{fixWords(fixes[at]!)}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** Files whose lines are shown at once. */
const mostFiles = 3;

function Lines({ fix }: { fix: Fix }) {
  const files = useWorkspace((state) => state.files);
  const paths = [...new Set(fix.changes.map(({ path }) => path))];
  return (
    <div className={styles.lines}>
      {paths.slice(0, mostFiles).map((path) => {
        const file = files.get(path)?.file;
        if (!file || file.kind === "other") return null;
        const own = fix.changes.filter((change) => change.path === path);
        // Changes of a text that is another by now are on their way out.
        if (own.some(({ end }) => end > file.text.length)) return null;
        return (
          <section key={path} aria-label={`Changed lines of ${path}`}>
            {paths.length > 1 && <h3 className="mono">{path}</h3>}
            <LineDifference before={file.text} after={applyChanges(file.text, own)} />
          </section>
        );
      })}
      {paths.length > mostFiles && <p>and {plural(paths.length - mostFiles, "more file")}</p>}
    </div>
  );
}

function SeeIt({ finding }: { finding: Finding }) {
  const pick = usePick();
  const see = useSeeSource();
  const [place] = finding.places;
  return (
    <Button onClick={() => (place ? pick(place) : see(finding.path, finding.line, finding.column))}>
      {place ? "See it on the page" : "See it in the source"}
    </Button>
  );
}

/** All findings of one check, each with its first way, line by line before they are written. */
function AllLikeThis({ check, all }: { check: string; all: readonly KnownFinding[] }) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [busy, setBusy] = useState(false);
  const alike = all.filter(({ finding, left }) => finding.check === check && left === null);
  if (alike.length < 2) return null;
  const propose = async () => {
    setBusy(true);
    try {
      const right = await engine.setAllRight(
        alike.map(({ finding }) => finding),
        conditions,
      );
      if (!right) return;
      const title = `Set ${right.count} of ${plural(alike.length, "finding")} right`;
      setProposal({ title, changes: right.changes, count: right.changes.length });
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button loading={busy} onClick={() => unwaited(propose())}>
        Set all {alike.length} like this right…
      </Button>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </>
  );
}

/** Leaves a finding as it is, with a reason, or takes that back. */
function Leaving({ findingKey, left, onDone }: { findingKey: string; left: string | null; onDone(): void }) {
  const leave = useWorkspace((state) => state.leave);
  const [reason, setReason] = useState<string | null>(null);
  const field = useId();
  if (left !== null)
    return (
      <>
        <Button onClick={() => unwaited(leave(findingKey, null))}>Take it back</Button>
        <span>Left as it is: {left}</span>
      </>
    );
  if (reason === null) return <Button onClick={() => setReason("")}>Leave it…</Button>;
  const keep = async () => {
    if (!reason.trim()) return;
    await leave(findingKey, reason.trim());
    onDone();
  };
  return (
    <span className={styles.leaving}>
      <label htmlFor={field}>Why it stays</label>
      <Input
        id={field}
        size="small"
        autoFocus
        value={reason}
        maxLength={500}
        onChange={({ target }) => setReason(target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") unwaited(keep());
          if (event.key === "Escape") setReason(null);
        }}
      />
      <Button size="small" disabled={!reason.trim()} onClick={() => unwaited(keep())}>
        Leave it
      </Button>
      <Button size="small" onClick={() => setReason(null)}>
        Cancel
      </Button>
    </span>
  );
}
