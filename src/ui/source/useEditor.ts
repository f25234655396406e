"use client";

import type { EditorView } from "@codemirror/view";
import { useCallback, useEffect, useRef, useState, type RefObject } from "react";
import { plainLines } from "@/core";
import { useEngine, useWorkspaceStore } from "../workspace/context";
import { SourceEditor } from "./SourceEditor";

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

/** The editor of a file, as long as it is shown. */
export function useEditor(
  { path, text, kind }: { path: string; text: string; kind: "html" | "css" },
  onMend: (line: number) => void,
): Editor {
  const store = useWorkspaceStore();
  const engine = useEngine();
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const editor = useRef<SourceEditor | null>(null);
  const saved = useRef(text);
  const [cursor, setCursor] = useState<number | null>(null);
  const [line, setLine] = useState<number | null>(null);
  const [typed, setTyped] = useState(() => plainLines(text));

  useEffect(() => {
    const shown = new SourceEditor({
      host: host.current!,
      path,
      kind,
      text: saved.current,
      store,
      engine,
      onTyped: setTyped,
      onCursor: setCursor,
      onLine: setLine,
      onMend,
    });
    editor.current = shown;
    view.current = shown.view;
    return () => {
      shown.end();
      editor.current = null;
      view.current = null;
    };
  }, [path, kind, store, engine, onMend]);

  useEffect(() => {
    saved.current = text;
    editor.current?.follow(text);
  }, [path, text]);

  const isWaiting = useCallback(() => editor.current?.isWaiting ?? false, []);
  return { host, view, cursor, line, typed, isWaiting };
}
