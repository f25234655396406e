"use client";

import { openSearchPanel } from "@codemirror/search";
import { EditorView } from "@codemirror/view";
import { useEffect, useMemo, useState } from "react";
import { plainLines } from "@/core";
import type { WrittenHere } from "@/engine/protocol";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { findingsIn, type KnownFinding } from "../workspace/troubles";
import { Here } from "./Here";
import { LineFindings } from "./LineFindings";
import { markLines } from "./lineMarks";
import { showSigns } from "./sourceFindings";
import styles from "./SourcePane.module.css";
import { showColors } from "./swatches";
import { showTicks } from "./ticks";
import { useEditor, type Editor } from "./useEditor";

interface Props {
  path: string;
  text: string;
  original: string;
  /** Lines of the rule in question, from 1; `last` is 0 where there is none. */
  first: number;
  last: number;
  kind: "html" | "css";
  /** Whether what is shown on the page is not written yet. */
  waiting: boolean;
  /** Counts how often finding was asked for. */
  finding: number;
}

/** A file to write in: with what is found, what is in force, and help where the cursor is. */
export function Source({ path, text, original, first, last, kind, waiting, finding }: Props) {
  /** The line whose findings are being set right. */
  const [mending, setMending] = useState<number | null>(null);
  const editor = useEditor({ path, text, kind }, setMending);
  const { host, view, line, typed } = editor;

  useEffect(() => {
    if (view.current) markLines(view.current, plainLines(original), first, last);
  }, [view, original, text, first, last]);

  const own = useFindingsIn(path);
  useEffect(() => {
    if (view.current) showSigns(view.current, own, (at) => goToLine(view.current!, at));
  }, [view, own]);

  useEffect(() => {
    const shown = view.current;
    if (!shown || first > shown.state.doc.lines) return;
    const from = shown.state.doc.line(first).from;
    shown.dispatch({ effects: EditorView.scrollIntoView(from, { y: "start", yMargin: 4 }) });
  }, [view, first, path]);

  useEffect(() => {
    if (view.current && finding > 0) openSearchPanel(view.current);
  }, [view, finding]);

  useColors(editor, path, typed);
  const here = useHere(editor, path);
  const found = own.filter((known) => known.finding.line === line);
  return (
    <div className={here ? `${styles.writing} ${styles.helped}` : styles.writing}>
      <div ref={host} className={waiting ? `${styles.source} ${styles.waiting}` : styles.source} />
      {here && (
        <Here here={here} line={line}>
          {found.length > 0 && (
            <LineFindings
              key={`${line} ${mending === line}`}
              found={found}
              open={mending === line}
              onDone={() => {
                setMending(null);
                view.current?.focus();
              }}
            />
          )}
        </Here>
      )}
    </div>
  );
}

/** What is found in a file and not left as it is. */
function useFindingsIn(path: string): readonly KnownFinding[] {
  const summary = useWorkspace((state) => state.summary);
  const record = useWorkspace((state) => state.record);
  return useMemo(() => findingsIn(path, { summary, record }), [summary, record, path]);
}

function goToLine(editor: EditorView, line: number): void {
  if (line > editor.state.doc.lines) return;
  editor.dispatch({ selection: { anchor: editor.state.doc.line(line).from }, scrollIntoView: true });
  editor.focus();
}

function useColors({ view }: Editor, path: string, typed: string): void {
  const engine = useEngine();
  useEffect(() => {
    let current = true;
    unwaited(
      engine.colorsIn({ path, text: typed }).then((colors) => {
        if (current && view.current?.state.doc.toString() === typed) showColors(view.current, colors);
      }),
    );
    return () => {
      current = false;
    };
  }, [engine, view, path, typed]);
}

/** What stands where the cursor is; the places of its rule are marked on the page while it is there. Null without a cursor. */
function useHere({ view, cursor, typed, isWaiting }: Editor, path: string): WrittenHere | null {
  const engine = useEngine();
  const page = useWorkspace((state) => state.page);
  const conditions = useWorkspace((state) => state.conditions);
  const showReach = useWorkspace((state) => state.showReach);
  const [here, setHere] = useState<WrittenHere | null>(null);
  useEffect(() => {
    if (cursor === null) return;
    let current = true;
    unwaited(
      engine.written({ path, text: typed }, cursor, page, conditions).then((found) => {
        if (!current) return;
        setHere(found);
        if (view.current) showTicks(view.current, found.rule);
        // What is typed and not written yet marks what it changes.
        if (!isWaiting()) showReach(found.rule?.places ?? null);
      }),
    );
    return () => {
      current = false;
    };
  }, [engine, view, path, typed, cursor, page, conditions, showReach, isWaiting]);
  useEffect(() => {
    if (cursor !== null) return;
    showReach(null);
  }, [cursor, showReach]);
  return here;
}
