"use client";

import { useEffect, useRef, useState } from "react";
import type { PageView } from "@/engine/protocol";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { linesOf } from "@/preview/measure";
import { settle } from "@/preview/settle";
import { stripOf } from "@/preview/strip";
import { plural } from "../shared/numbers";
import { unwaitedWhile } from "../shared/unwaited";
import { VerdictOf } from "../shared/VerdictOf";
import { useBench, type Candidate, type Seen, type TrialSet } from "../workspace/bench";
import { useEngine, useWorkspace } from "../workspace/context";
import styles from "./TrialStage.module.css";

/** Room above and below a text, CSS px. */
const air = 8;

/** Candidates one under another where the page stands, each on the page as it would be, cut to the text and what follows it. */
export function TrialStage({ set, left, scale }: { set: TrialSet; left: number; scale: number }) {
  const { seen, see } = useBench();
  const list = useRef<HTMLDivElement>(null);
  /** How many may be laid out: one after the other, from the top. */
  const [ready, setReady] = useState(1);
  const at = set.candidates.findIndex(({ text }) => text === set.chosen);
  useEffect(() => {
    list.current?.children[at]?.scrollIntoView({ block: "nearest" });
  }, [at]);
  return (
    <div className={styles.stage}>
      <div ref={list} className={styles.list} role="radiogroup" aria-label={`Trials of ${set.label} on the page`}>
        {set.candidates.map((candidate, index) => {
          const { text } = candidate;
          const contrast = set.contrasts?.[index];
          const figures = seen.get(text);
          return (
            <div
              key={text}
              role="radio"
              aria-checked={index === at}
              aria-label={text}
              tabIndex={index === Math.max(at, 0) ? 0 : -1}
              className={index === at ? `${styles.trial} ${styles.chosen}` : styles.trial}
              style={{ gridTemplateColumns: `${left}px auto` }}
              onClick={(event) => {
                event.currentTarget.focus({ preventScroll: true });
                set.choose(text);
              }}
              onKeyDown={(event) => {
                const next = set.onKey(event, index);
                if (next !== null) (list.current?.children[next] as HTMLElement | undefined)?.focus();
              }}
            >
              <div className={styles.margin}>
                <code>{text}</code>
                <span>
                  {text === set.written && "now "}
                  {set.figures(text)}
                </span>
                {contrast && (
                  <span>
                    <VerdictOf {...contrast} />
                  </span>
                )}
                {figures && (
                  <span>
                    {plural(figures.lines, "line")}, {Math.round(figures.width)} px
                  </span>
                )}
              </div>
              {index < ready && (
                <Strip
                  candidate={candidate}
                  set={set}
                  isChosen={index === at}
                  scale={scale}
                  onSeen={(one) => {
                    if (one) see(text, one);
                    setReady((count) => Math.max(count, index + 2));
                  }}
                />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

interface StripProps {
  candidate: Candidate;
  set: Pick<TrialSet, "subject" | "side">;
  isChosen: boolean;
  /** How much smaller than it is the page is drawn. */
  scale: number;
  /** Told what it comes to, null where the text is not shown. */
  onSeen(seen: Seen | null): void;
}

/** The page with one candidate, as much of it as the text is judged in. */
function Strip({ candidate, set: { subject, side }, isChosen, scale, onSeen }: StripProps) {
  const engine = useEngine();
  const pageConditions = useWorkspace((state) => state.conditions);
  const files = useWorkspace((state) => state.files);
  const conditions = candidate.conditions ?? pageConditions;
  const { width, height, scheme } = conditions;
  const frame = useRef<HTMLIFrameElement>(null);
  const [cut, setCut] = useState<{ offset: number; height: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [passing, setPassing] = useState<Passing | null>(null);
  usePassing(passing, isChosen && !conditions.reducedMotion);
  const latest = useRef({ candidate, conditions, onSeen });
  useEffect(() => {
    latest.current = { candidate, conditions, onSeen };
  });
  const { page: path, index } = subject;
  // Other conditions of the page are no other page here, where they come to the same.
  const key = JSON.stringify([candidate.edits, conditions, candidate.from]);
  useEffect(() => {
    let current = true;
    const show = async () => {
      const { conditions: under } = latest.current;
      const { edits, from } = latest.current.candidate;
      const made = edits.length > 0 ? await engine.combine([...edits]) : { changes: [], problem: null };
      if (!current || !frame.current) return;
      if (made.problem !== null) {
        setProblem(made.problem);
        latest.current.onSeen(null);
        return;
      }
      const view = await engine.variant(path, made.changes, under);
      const before = from ? await engine.variant(path, made.changes, from) : null;
      if (!current || !frame.current) return;
      const page = await showPage(frame.current, view);
      const { document } = page;
      settle(document);
      await document.fonts.ready;
      if (!current) return;
      setProblem(null);
      setPassing(before && { page, before, view });
      const strip = stripOf(page, index, side);
      if (strip) {
        const window = document.defaultView!;
        const top = Math.max(0, strip.top - air);
        const bottom = strip.bottom + air;
        // Scrolled only where it has to be, to the middle: what sticks to an edge of the window lies over neither end.
        if (bottom > height) window.scrollTo({ top: (top + bottom - height) / 2, behavior: "instant" });
        const offset = Math.max(0, top - window.scrollY);
        setCut({ offset, height: Math.min(bottom - top, height - offset) });
      }
      const lines = linesOf(page, index);
      latest.current.onSeen(
        lines && { lines: lines.lines, longest: lines.longest, width: lines.longest * lines.character },
      );
    };
    unwaitedWhile(() => frame.current?.isConnected === true, show());
    return () => {
      current = false;
    };
  }, [engine, path, index, side, key, height, files]);
  return (
    <div className={styles.strip} style={{ width: width * scale, height: (cut?.height ?? 48) * scale }}>
      {problem && <p className={styles.problem}>{problem}</p>}
      <iframe
        ref={frame}
        title="The page with a candidate"
        aria-hidden="true"
        sandbox={frameSandbox}
        tabIndex={-1}
        style={{
          width,
          height,
          top: -(cut?.offset ?? 0) * scale,
          transform: `scale(${scale})`,
          colorScheme: scheme,
          visibility: cut ? "visible" : "hidden",
        }}
      />
    </div>
  );
}

/** A page that comes from one look to another. */
interface Passing {
  page: ShownPage;
  before: PageView;
  view: PageView;
}

/** Shows how the one passes into the other, as the sheets let it; for readers who wish for less motion it is there at once. */
function usePassing(passing: Passing | null, plays: boolean): void {
  useEffect(() => {
    if (!passing || !plays || matchMedia("(prefers-reduced-motion: reduce)").matches) return;
    const { page, before, view } = passing;
    const { document } = page;
    page.dress({ ...before, unstyled: false });
    settle(document);
    const frame = requestAnimationFrame(() => page.dress({ ...view, unstyled: false }));
    return () => {
      cancelAnimationFrame(frame);
      page.dress({ ...view, unstyled: false });
      settle(document);
    };
  }, [passing, plays]);
}
