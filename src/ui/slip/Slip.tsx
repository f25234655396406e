"use client";

import { useCallback, useMemo, useState } from "react";
import {
  groupBy,
  invisibleBelow,
  readoutsOf,
  rowOfFinding,
  showRatio,
  slipSections,
  type ElementRef,
  type Readout,
  type Slip as SlipData,
  type SlipRowValue,
} from "@/core";
import { linesOf, xHeightOf, type Lines } from "@/preview/measure";
import type { Shown } from "@/preview/frame";
import { Sign } from "../shared/Sign";
import { plural, showNumber, showPx, showReach } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import { FindingLine } from "../workspace/FindingLine";
import { findingsAbout, isAboutPage, troubles, type KnownFinding } from "../workspace/troubles";
import { BarePage } from "./BarePage";
import { foundId, Row, type RowProps } from "./Row";
import styles from "./Slip.module.css";
import { StateSelect } from "./StateSelect";
import { TagSelect } from "./TagSelect";
import { Unwrap, Words } from "./Words";
import { useTarget, WriteTo } from "./WriteTo";

const none: readonly ElementRef[] = [];

/** Everything about the picked text. */
export function Slip({ shown }: { shown: Shown | null }) {
  const slip = useWorkspace((state) => state.slip);
  const slips = useWorkspace((state) => state.slips);
  if (!slip) {
    return (
      <aside className={styles.slip} aria-label="Slip">
        <div className={styles.empty}>
          <h2>Pick a text</h2>
          <p>
            Click any text on the page. Or press Tab until the page is outlined, then walk through its texts with the
            arrow keys.
          </p>
          <p>
            The marks in the margin stand beside what was found: ▲ cannot be read or does nothing, ◆ is doubtful, ◇
            could be tidier.
          </p>
          <WorstHere />
          <BarePage />
        </div>
      </aside>
    );
  }
  // What is measured of an element is not that of a pseudo-element of it.
  return <SlipOf key={slips} slip={slip} shown={slip.ref.pseudo === undefined ? shown : null} />;
}

/** The worst that was found on the page, with the step to it. */
function WorstHere() {
  const page = useWorkspace((state) => state.page);
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  const pick = useWorkspace((state) => state.pick);
  const worst = useMemo(() => {
    const here = page === null ? [] : troubles({ summary, record }).filter(({ finding }) => isAboutPage(finding, page));
    return here.find(({ finding }) => finding.level === "error") ?? here[0];
  }, [summary, record, page]);
  if (!worst) return null;
  const place = worst.finding.places.find((one) => one.page === page);
  return (
    <section aria-label="The worst found here">
      <h3>The worst found here</h3>
      <div className={styles.worst}>
        <FindingLine known={worst} />
      </div>
      {place && (
        <button type="button" className="chip" onClick={() => unwaited(pick(place))}>
          Pick that text
        </button>
      )}
    </section>
  );
}

function SlipOf({ slip, shown }: { slip: SlipData; shown: Shown | null }) {
  const choice = useTarget(slip.targets);
  // A row that opens closes no other: all stay where they are.
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const onOpen = useCallback(
    (id: string, opens: boolean) =>
      setOpen((known) => new Set([...known].filter((one) => one !== id).concat(opens ? id : []))),
    [],
  );
  const reach = choice.option?.reach;
  const { choose, options } = choice;
  const toAttribute = useCallback(
    () => choose(options.findIndex(({ group }) => group === "style attribute")),
    [choose, options],
  );
  const found = useFoundByRow(slip);
  return (
    <aside className={styles.slip} aria-label="Slip">
      <div className={styles.who}>
        <h2>{slip.role}</h2>
        <TagSelect slip={slip} />
        <StateSelect picked={slip.ref} />
        <Unwrap />
        {reach && <span className={styles.reach}>{showReach(reach)}</span>}
      </div>
      {shown && <Words page={shown.page} />}
      <Readouts slip={slip} shown={shown} />
      <FoundHere rows={slip.rows} found={found} />
      <BarePage onMade={choice.chooseSheet} />
      <WriteTo choice={choice} />
      <Sections
        slip={slip}
        found={found}
        target={choice.target}
        places={reach?.places ?? none}
        shown={shown}
        open={open}
        onOpen={onOpen}
        onAttribute={toAttribute}
      />
    </aside>
  );
}

interface SectionsProps extends Pick<RowProps, "slip" | "target" | "places" | "shown" | "onAttribute"> {
  found: FoundProps["found"];
  open: ReadonlySet<string>;
  onOpen: RowProps["onOpen"];
}

/** What somebody set, a row each; what nobody set, in a line of words a section. */
function Sections({ slip, found, target, open, ...rest }: SectionsProps) {
  const { rows } = slip;
  /** Rows that were asked for, though nobody set them. */
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  /** The one among them that nobody went on in yet. */
  const [next, setNext] = useState<string | null>(null);
  const ask = (id: string) => {
    setAsked(new Set([...asked, id]));
    setNext(id);
  };
  const onEntered = useCallback(() => setNext(null), []);
  const parts = useMemo(() => groupBy(rows, ({ part = null }) => part), [rows]);
  const isShown = ({ id, set }: SlipRowValue): boolean =>
    set || asked.has(id) || found.has(id) || (parts.get(id) ?? []).some((part) => part.set || found.has(part.id));
  return slipSections.map(({ id: section, label }) => {
    const own = rows.filter((row) => row.section === section && row.part === undefined);
    if (own.length === 0) return null;
    const unset = own.filter((row) => !isShown(row));
    return (
      <section key={section} className={styles.section} aria-labelledby={`slip-${section}`}>
        <h3 id={`slip-${section}`}>{label}</h3>
        {unset.length > 0 && <Unset rows={unset} onAsk={ask} />}
        {own.filter(isShown).map((row) => (
          <Row
            key={row.id}
            {...rest}
            row={row}
            slip={slip}
            parts={parts.get(row.id)}
            found={found}
            target={row.ownTarget ?? target}
            shown={open.has(row.id) ? rest.shown : null}
            open={open.has(row.id)}
            isNext={next === row.id}
            onEntered={onEntered}
          />
        ))}
      </section>
    );
  });
}

/** Steps to rows that nobody set. */
function Unset({ rows, onAsk }: { rows: readonly SlipRowValue[]; onAsk(id: string): void }) {
  return (
    <p className={styles.unset}>
      not set:{" "}
      {rows.map(({ id, label, unset = label.toLowerCase() }) => (
        <button key={id} type="button" className="text-button" onClick={() => onAsk(id)}>
          {unset}
        </button>
      ))}
    </p>
  );
}

/** What was found about the text of a slip, by the rows it is about; what is about none of them under null. */
function useFoundByRow({ ref, rows }: SlipData): ReadonlyMap<string | null, readonly KnownFinding[]> {
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  return useMemo(
    () => groupBy(findingsAbout(ref, { summary, record }), ({ finding }) => rowOfFinding(rows, finding)),
    [ref, rows, summary, record],
  );
}

interface FoundProps {
  rows: SlipData["rows"];
  found: ReadonlyMap<string | null, readonly KnownFinding[]>;
}

/** What was found about the picked text and none of its rows, and steps to the rows of which something was. */
function FoundHere({ rows, found }: FoundProps) {
  if (found.size === 0) return null;
  const steps = rows.flatMap(({ id, label }) => {
    const worst = found.get(id)?.[0]?.finding.level;
    return worst ? [{ id, label, worst }] : [];
  });
  return (
    <ul className={styles.found} aria-label="Found here">
      {found.get(null)?.map((known) => (
        <li key={known.key}>
          <FindingLine known={known} />
        </li>
      ))}
      {steps.length > 0 && (
        <li>
          Found about{" "}
          {steps.map(({ id, label, worst }) => (
            <button
              key={id}
              type="button"
              className={`text-button ${styles.step}`}
              onClick={() => document.getElementById(foundId(id))?.focus()}
            >
              <Sign level={worst} /> {label}
            </button>
          ))}
        </li>
      )}
    </ul>
  );
}

function Readouts({ slip, shown }: { slip: SlipData; shown: Shown | null }) {
  const { ratio, least, verdict, unjudged, sizePx, leadingPx } = slip;
  const { index } = slip.ref;
  const lines = useMemo(() => (shown ? linesOf(shown.page, index) : null), [shown, index]);
  const xRatio = useMemo(() => (shown ? xHeightOf(shown.page, index) : null), [shown, index]);
  const xHeight = xRatio && xRatio * sizePx;
  const sign = { passes: "", fails: "▲ ", doubtful: "◆ ", unjudged: "" }[verdict];
  const words = contrastWords(slip);
  return (
    <>
      <dl className={styles.readouts}>
        <div
          className={
            { passes: undefined, fails: styles.fails, doubtful: styles.doubtful, unjudged: undefined }[verdict]
          }
        >
          <dt>{words}</dt>
          <dd aria-label="Contrast">{unjudged ? "not judged" : `${sign}${showRatio(ratio)} : 1`}</dd>
        </div>
        <div>
          <dt>{xHeight === null ? "size" : `x-height ${showNumber(xHeight, 1)} px`}</dt>
          <dd aria-label="Computed size">{showPx(sizePx)} px</dd>
        </div>
        <div>
          <dt>line to size</dt>
          <dd aria-label="Leading to size">{leadingPx === null ? "normal" : showNumber(leadingPx / sizePx, 2)}</dd>
        </div>
        <div>
          <dt>{lines ? `longest of ${plural(lines.lines, "line")}` : "longest line"}</dt>
          <dd aria-label="Longest line">{lines ? `${lines.longest} ch` : "not shown"}</dd>
        </div>
      </dl>
      {(unjudged ?? slip.ground.doubt) && <p className={styles.usual}>{unjudged ?? slip.ground.doubt}</p>}
      {!unjudged && showRatio(least) !== showRatio(ratio) && (
        <p className={styles.usual}>
          {showRatio(least)} to 1 at the worst point; the worst twentieth of its lines counts.
        </p>
      )}
      {lines && <Unusual readouts={readoutsOf(inputFor(slip, lines, xHeight))} />}
    </>
  );
}

function contrastWords({ ratio, needs, verdict, ground }: SlipData): string {
  if (verdict === "unjudged") return "contrast";
  if (verdict === "doubtful") return `needs ${needs}, not certain`;
  if (ratio < invisibleBelow) return "invisible";
  const how = ground.painted ? ", as painted" : "";
  return verdict === "passes" ? `needs ${needs}, passes${how}` : `needs ${needs} at this size`;
}

/** What a text weighs where nothing is said of it (CSS Fonts 4, 2.2). */
const usualWeight = 400;

function inputFor(slip: SlipData, lines: Lines, xHeight: number | null): Parameters<typeof readoutsOf>[0] {
  const row = (id: string) => slip.rows.find((one) => one.id === id);
  return {
    text: slip.text,
    size: slip.sizePx,
    xHeight,
    leading: slip.leadingPx === null ? null : slip.leadingPx / slip.sizePx,
    lines: lines.lines,
    longest: lines.longest,
    usual: lines.usual,
    letterSpacing: (row("letter-spacing")?.amount ?? 0) / slip.sizePx,
    weight: row("weight")?.amount ?? usualWeight,
    uppercase: row("case")?.computed === "uppercase",
    align: row("alignment")?.computed ?? "start",
    hyphens: row("hyphens")?.computed === "auto",
  };
}

/** Figures outside of what is usual, with what is. */
function Unusual({ readouts }: { readouts: readonly Readout[] }) {
  const unusual = readouts.filter((one) => one.unusual);
  const others = readouts.filter((one) => !one.unusual);
  return (
    <>
      {unusual.length > 0 && (
        <ul className={styles.unusual} aria-label="Unusual">
          {unusual.map(({ id, label, value, usual }) => (
            <li key={id}>
              ◆ {label}: {value}. Usual: {usual}.
            </li>
          ))}
        </ul>
      )}
      {others.length > 0 && (
        <details className={styles.usual}>
          <summary>{plural(others.length, "other figure")} as usual</summary>
          <ul aria-label="As usual">
            {others.map(({ id, label, value, usual }) => (
              <li key={id}>
                {label}: {value}. Usual: {usual}.
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
