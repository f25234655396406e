"use client";

import { completionStatus } from "@codemirror/autocomplete";
import { defaultKeymap } from "@codemirror/commands";
import { css } from "@codemirror/lang-css";
import { html } from "@codemirror/lang-html";
import { indentOnInput } from "@codemirror/language";
import { highlightSelectionMatches, search, searchKeymap } from "@codemirror/search";
import { EditorState, type Extension } from "@codemirror/state";
import { EditorView, keymap, lineNumbers } from "@codemirror/view";
import { useCallback, useEffect, useRef, useState, type RefObject } from "react";
import { changeBetween, changeOfLines, plainLines, type Edit } from "@/core";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspaceStore } from "../workspace/context";
import { commentKey } from "./commenting";
import { completing } from "./completing";
import { lineMarks } from "./lineMarks";
import { findingSigns } from "./sourceFindings";
import { colorSquares } from "./swatches";
import { ruleTicks } from "./ticks";

/** How long typing has to rest before it is written, in milliseconds. */
const rest = 700;

/** The key that opens the ways to set right what is found at the cursor's line. */
const mendKey = "Alt-m";

/** Our words in the panel that finds: those of "Find in all files". */
const phrases = {
  next: "Next",
  previous: "Back",
  all: "Pick all",
  "match case": "As it is written",
  regexp: "A pattern",
  "by word": "Whole words",
  Replace: "Put instead",
  replace: "Put it",
  "replace all": "Put all",
};

/** What an editor of such a file has by itself. */
function writingIn(path: string, kind: "html" | "css"): Extension[] {
  return [
    lineNumbers(),
    kind === "html" ? html({ autoCloseTags: false }) : css(),
    findingSigns,
    ruleTicks,
    lineMarks,
    colorSquares,
    search({ top: true }),
    EditorState.phrases.of(phrases),
    highlightSelectionMatches(),
    indentOnInput(),
    EditorView.contentAttributes.of({ "aria-label": `Source of ${path}` }),
  ];
}

/** @param step goes back or on in the history @param mend opens the ways to set right what is found at a line */
function keys(step: (direction: "undo" | "redo") => void, mend: (line: number) => void): Extension {
  const lineOf = ({ state }: EditorView) => state.doc.lineAt(state.selection.main.head).number;
  return keymap.of([
    { key: "Mod-z", run: () => (step("undo"), true) },
    { key: "Mod-y", mac: "Mod-Shift-z", run: () => (step("redo"), true) },
    { key: mendKey, run: (view) => (mend(lineOf(view)), true) },
    commentKey,
    ...searchKeymap,
    ...defaultKeymap,
  ]);
}

interface Followed {
  /** @param byHand not since the file changed elsewhere */
  onTyped(text: string, byHand: boolean): void;
  /** Where the cursor is; null while the focus is elsewhere. */
  onCursor(offset: number | null): void;
  onLine(line: number): void;
}

/** Tells what is done in an editor. */
function following({ onTyped, onCursor, onLine }: Followed): Extension {
  return EditorView.updateListener.of((update) => {
    const { doc, selection } = update.state;
    if (update.selectionSet) onLine(doc.lineAt(selection.main.head).number);
    if (update.selectionSet || update.focusChanged || update.docChanged)
      onCursor(update.view.hasFocus ? selection.main.head : null);
    if (!update.docChanged) return;
    onTyped(doc.toString(), !update.transactions.some((transaction) => transaction.isUserEvent("hevret")));
  });
}

export interface Editor {
  host: RefObject<HTMLDivElement | null>;
  view: RefObject<EditorView | null>;
  /** Where the cursor is, as an offset of the text; null while the focus is elsewhere. */
  cursor: number | null;
  /** The line it is or was in; null until it was put somewhere. */
  line: number | null;
  /** As it is typed, its lines ended in LF. */
  typed: string;
  /** Whether something typed waits to be written. */
  isWaiting(): boolean;
}

/** The editor of a file: what is typed is shown on the page at once, and written once typing rests. */
export function useEditor(
  { path, text, kind }: { path: string; text: string; kind: "html" | "css" },
  onMend: (line: number) => void,
): Editor {
  const store = useWorkspaceStore();
  const engine = useEngine();
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const saved = useRef(text);
  const [cursor, setCursor] = useState<number | null>(null);
  const [line, setLine] = useState<number | null>(null);
  const [typed, setTyped] = useState(() => plainLines(text));

  const flush = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const edit = editFrom(path, saved.current, view.current?.state.doc.toString());
    if (edit) unwaited(store.getState().write(edit, `Source of ${path}`));
  }, [path, store]);

  useEffect(() => {
    const { getState } = store;
    // The page follows what is whole: half a word takes nothing away from it.
    const show = async (now: string) => {
      const edit = editFrom(path, saved.current, now);
      const isWhole = await engine.parses({ path, text: now });
      if (isWhole && timer.current && view.current?.state.doc.toString() === now) await getState().rehearse(edit);
    };
    // What is still chosen from a list is not written.
    const writeAtRest = () => {
      const isChoosing = view.current && completionStatus(view.current.state) === "active";
      if (isChoosing) timer.current = setTimeout(writeAtRest, rest);
      else flush();
    };
    const onTyped = (now: string, byHand: boolean) => {
      setTyped(now);
      if (!byHand) return;
      unwaited(show(now));
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(writeAtRest, rest);
    };
    // The history is the site's: what is typed is written before it is gone back to.
    const step = (direction: "undo" | "redo") => {
      flush();
      unwaited(getState()[direction]());
    };
    const writing = (now: string, offset: number) =>
      engine.writing({ path, text: now }, offset, getState().page, getState().conditions);
    const editor = new EditorView({
      parent: host.current!,
      state: EditorState.create({
        doc: saved.current,
        extensions: [
          keys(step, onMend),
          ...writingIn(path, kind),
          following({ onTyped, onCursor: setCursor, onLine: setLine }),
          EditorView.domEventHandlers({ blur: () => flush() }),
          completing({ writing, help: (property) => engine.help(property) }),
        ],
      }),
    });
    view.current = editor;
    return () => {
      flush();
      editor.destroy();
      view.current = null;
    };
  }, [path, kind, store, engine, flush, onMend]);

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

  const isWaiting = useCallback(() => timer.current !== null, []);
  return { host, view, cursor, line, typed, isWaiting };
}

/** What was typed, as an edit of the file. */
function editFrom(path: string, text: string, typed: string | undefined): Edit | null {
  const change = typed === undefined ? null : changeOfLines(path, text, typed);
  return change && { kind: "text", changes: [change] };
}
