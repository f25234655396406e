"use client";

import { defaultKeymap } from "@codemirror/commands";
import { css } from "@codemirror/lang-css";
import { EditorState, RangeSetBuilder, StateEffect, StateField, type Extension } from "@codemirror/state";
import { Decoration, EditorView, keymap, lineNumbers, type DecorationSet } from "@codemirror/view";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { changeBetween, changeOfLines, plainLines, type Edit } from "@/core";
import { lineParts } from "../shared/lineParts";
import { changedLines } from "./changedLines";
import { plural } from "../shared/numbers";
import { useEngine, useWorkspace, useWorkspaceStore } from "../workspace/context";
import { FindingLine } from "../workspace/FindingLine";
import { findingsIn, type KnownFinding } from "../workspace/troubles";
import { findingSigns, showSigns } from "./sourceFindings";
import styles from "./SourcePane.module.css";
import { unwaited } from "../shared/unwaited";

/** How long typing has to rest before it is written, in milliseconds. */
const rest = 700;

interface Shown {
  path: string;
  /** Lines of the rule, from 1. */
  first: number;
  last: number;
  whole: boolean;
}

/** The source of the rule in question, under the page: editable, in step with the slip, changes marked. */
export function SourcePane() {
  const engine = useEngine();
  const slip = useWorkspace((state) => state.slip);
  const page = useWorkspace((state) => state.page);
  const files = useWorkspace((state) => state.files);
  const rehearsal = useWorkspace((state) => state.rehearsal);
  const [shown, setShown] = useState<Shown | null>(null);

  const asked = useWorkspace((state) => state.source);
  const target = slip?.targets[0]?.target;
  const rule = target?.kind === "rule" ? { path: target.path, offset: target.start } : null;
  const { path, offset } = asked ?? rule ?? { path: page, offset: 0 };
  const whole = !asked && !rule;
  useEffect(() => {
    let stale = false;
    if (!path) return;
    unwaited(
      engine.source(path, offset).then((source) => {
        if (!stale && source) setShown({ path, first: source.firstLine, last: source.lastLine, whole });
      }),
    );
    return () => {
      stale = true;
    };
  }, [engine, path, offset, files, whole]);

  const record = shown ? files.get(shown.path) : undefined;
  if (!shown || !record || record.file.kind === "other") return <div className={styles.pane} />;
  const own = rehearsal?.plan.changes.filter((change) => change.path === shown.path) ?? [];
  const changedLines = countChangedLines(record.original ?? "", record.file.text);
  return (
    <section className={styles.pane} aria-label="Source">
      <div className={styles.head}>
        <b>{shown.path}</b>
        {!shown.whole && (
          <span>{shown.last > shown.first ? `lines ${shown.first} to ${shown.last}` : `line ${shown.first}`}</span>
        )}
        <span className={styles.space} />
        <span>{changedLines === 0 ? "as it was opened" : `${plural(changedLines, "line")} changed since opening`}</span>
      </div>
      <Source
        key={shown.path}
        path={shown.path}
        text={record.file.text}
        original={record.original ?? ""}
        first={shown.first}
        last={shown.whole ? 0 : shown.last}
        html={record.file.kind === "html"}
        waiting={own.length > 0}
      />
    </section>
  );
}

/** Lines that are new or changed; one at least where lines were only taken out. */
function countChangedLines(before: string, after: string): number {
  if (before === after) return 0;
  const added = lineParts(before, after).filter(({ kind }) => kind === "new");
  return Math.max(
    1,
    added.reduce((sum, { lines }) => sum + lines.length, 0),
  );
}

interface SourceProps {
  path: string;
  text: string;
  original: string;
  first: number;
  last: number;
  html: boolean;
  waiting: boolean;
}

const setMarks = StateEffect.define<DecorationSet>();
const marks = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (value, transaction) => {
    let next = value.map(transaction.changes);
    for (const effect of transaction.effects) if (effect.is(setMarks)) next = effect.value;
    return next;
  },
  provide: (field) => EditorView.decorations.from(field),
});
const ruleLine = Decoration.line({ class: "cm-hevret-rule" });
const changedLine = Decoration.line({ class: "cm-hevret-changed" });
const changedText = Decoration.mark({ class: "cm-hevret-new" });

function Source({ path, text, original, first, last, html, waiting }: SourceProps) {
  const store = useWorkspaceStore();
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const saved = useRef(text);
  /** The line the cursor is in; null until it was put somewhere. */
  const [line, setLine] = useState<number | null>(null);
  const [mending, setMending] = useState(false);

  const flush = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const edit = editFrom(path, saved.current, view.current?.state.doc.toString());
    if (edit) unwaited(store.getState().write(edit, `Source of ${path}`));
  }, [path, store]);

  useEffect(() => {
    const extensions: Extension[] = [
      lineNumbers(),
      ...(html ? [] : [css()]),
      findingSigns,
      marks,
      keymap.of([{ key: mendKey, run: () => (setMending(true), true) }, ...defaultKeymap]),
      EditorView.contentAttributes.of({ "aria-label": `Source of ${path}` }),
      EditorView.updateListener.of((update) => {
        if (update.selectionSet) {
          setLine(update.state.doc.lineAt(update.state.selection.main.head).number);
          setMending(false);
        }
        if (!update.docChanged || update.transactions.some((transaction) => transaction.isUserEvent("hevret"))) return;
        const edit = editFrom(path, saved.current, update.state.doc.toString());
        unwaited(store.getState().rehearse(edit));
        if (timer.current) clearTimeout(timer.current);
        timer.current = setTimeout(flush, rest);
      }),
      EditorView.domEventHandlers({ blur: () => flush() }),
    ];
    const editor = new EditorView({
      parent: host.current!,
      state: EditorState.create({ doc: saved.current, extensions }),
    });
    view.current = editor;
    return () => {
      flush();
      editor.destroy();
      view.current = null;
    };
  }, [path, html, store, flush]);

  useEffect(() => {
    saved.current = text;
    const editor = view.current;
    if (!editor || timer.current) return;
    const change = changeBetween(path, editor.state.doc.toString(), plainLines(text));
    if (change)
      editor.dispatch({
        changes: { from: change.start, to: change.end, insert: change.insert },
        userEvent: "hevret.sync",
      });
  }, [path, text]);

  useEffect(() => {
    const editor = view.current;
    if (!editor) return;
    editor.dispatch({ effects: setMarks.of(marksFor(editor.state, plainLines(original), first, last)) });
  }, [original, text, first, last]);

  const own = useFindingsIn(path);
  useEffect(() => {
    if (view.current) showSigns(view.current, own, (at) => goToLine(view.current!, at));
  }, [own]);

  useEffect(() => {
    const editor = view.current;
    if (!editor || first > editor.state.doc.lines) return;
    const from = editor.state.doc.line(first).from;
    editor.dispatch({ effects: EditorView.scrollIntoView(from, { y: "start", yMargin: 4 }) });
  }, [first, path]);

  const here = own.filter(({ finding }) => finding.line === line);
  return (
    <>
      <div ref={host} className={waiting ? `${styles.source} ${styles.waiting}` : styles.source} />
      {here.length > 0 && (
        <LineFindings
          key={`${line} ${mending}`}
          found={here}
          open={mending}
          onDone={() => {
            setMending(false);
            view.current?.focus();
          }}
        />
      )}
    </>
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

/** The key that opens the ways to set right what is found at the cursor's line. */
const mendKey = "Alt-m";

/** What is found at the line that the cursor is in. */
function LineFindings({ found, open, onDone }: { found: readonly KnownFinding[]; open: boolean; onDone(): void }) {
  return (
    <div className={styles.here} role="group" aria-label="Found in this line">
      <ul>
        {found.map((known, at) => (
          <li key={known.key}>
            <FindingLine known={known} open={open && at === 0} onDone={onDone} />
          </li>
        ))}
      </ul>
      <span className={styles.key}>
        <kbd>Alt</kbd> <kbd>M</kbd> sets it right
      </span>
    </div>
  );
}

/** What was typed, as an edit of the file. */
function editFrom(path: string, text: string, typed: string | undefined): Edit | null {
  const change = typed === undefined ? null : changeOfLines(path, text, typed);
  return change && { kind: "text", changes: [change] };
}

function marksFor(state: EditorState, original: string, first: number, last: number): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  const { doc } = state;
  const changed = changedLines(original, doc.toString());
  for (let number = 1; number <= doc.lines; number += 1) {
    const part = changed.get(number);
    const isRule = number >= first && number <= last;
    if (!part && !isRule) continue;
    const line = doc.line(number);
    if (part) builder.add(line.from, line.from, changedLine);
    if (isRule) builder.add(line.from, line.from, ruleLine);
    if (part && part.to > part.from)
      builder.add(line.from + part.from, Math.min(line.to, line.from + part.to), changedText);
  }
  return builder.finish();
}
