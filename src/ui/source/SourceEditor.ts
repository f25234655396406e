/** The editor of a file: what is typed is shown on the page at once, and written once typing rests. */
import { completionStatus } from "@codemirror/autocomplete";
import { defaultKeymap } from "@codemirror/commands";
import { css } from "@codemirror/lang-css";
import { html } from "@codemirror/lang-html";
import { indentOnInput } from "@codemirror/language";
import { highlightSelectionMatches, search, searchKeymap } from "@codemirror/search";
import { EditorState, type Extension } from "@codemirror/state";
import { EditorView, keymap, lineNumbers } from "@codemirror/view";
import { changeBetween, changeOfLines, plainLines, type Edit } from "@/core";
import { unwaited } from "../shared/unwaited";
import type { useEngine, useWorkspaceStore } from "../workspace/context";
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

/** What may be written in a file, and what it says of itself, asked for the page that is shown. */
const askingOf = (
  path: string,
  engine: ReturnType<typeof useEngine>,
  { getState }: ReturnType<typeof useWorkspaceStore>,
) => ({
  writing: (text: string, offset: number) =>
    engine.writing({ path, text }, offset, getState().page, getState().conditions),
  help: (property: string) => engine.help(property),
});

interface Asked {
  host: HTMLElement;
  path: string;
  kind: "html" | "css";
  /** As the file is. */
  text: string;
  store: ReturnType<typeof useWorkspaceStore>;
  engine: ReturnType<typeof useEngine>;
  onTyped(text: string): void;
  onCursor: Followed["onCursor"];
  onLine: Followed["onLine"];
  /** Opens the ways to set right what is found at a line. */
  onMend(line: number): void;
}

export class SourceEditor {
  readonly view: EditorView;
  private timer: ReturnType<typeof setTimeout> | null = null;
  /** As the file is. */
  private saved: string;

  constructor(private readonly asked: Asked) {
    const { host, path, kind, text, store, engine, onCursor, onLine, onMend } = asked;
    this.saved = text;
    const onTyped = (now: string, byHand: boolean) => this.typed(now, byHand);
    const extensions = [
      keys((direction) => this.step(direction), onMend),
      ...writingIn(path, kind),
      following({ onTyped, onCursor, onLine }),
      EditorView.domEventHandlers({ blur: () => this.flush() }),
      completing(askingOf(path, engine, store)),
    ];
    this.view = new EditorView({ parent: host, state: EditorState.create({ doc: text, extensions }) });
  }

  /** Whether something typed waits to be written. */
  get isWaiting(): boolean {
    return this.timer !== null;
  }

  /** Takes in the file as it is by now; what is being typed stays. */
  follow(text: string): void {
    this.saved = text;
    if (!this.timer) bringTo(this.view, this.asked.path, text);
  }

  end(): void {
    this.flush();
    this.view.destroy();
  }

  private get now(): string {
    return this.view.state.doc.toString();
  }

  /** Writes what is typed. */
  private flush(): void {
    const { path, store } = this.asked;
    this.stopWaiting();
    const edit = editFrom(path, this.saved, this.now);
    if (edit) unwaited(store.getState().write(edit, `Source of ${path}`));
  }

  private stopWaiting(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
  }

  private typed(now: string, byHand: boolean): void {
    this.asked.onTyped(now);
    if (!byHand) return;
    unwaited(this.show(now));
    this.stopWaiting();
    this.timer = setTimeout(() => this.writeAtRest(), rest);
  }

  /** The page follows what is whole: half a word takes nothing away from it. */
  private async show(now: string): Promise<void> {
    const { path, store, engine } = this.asked;
    const edit = editFrom(path, this.saved, now);
    const isWhole = await engine.parses({ path, text: now });
    if (isWhole && this.isWaiting && this.now === now) await store.getState().rehearse(edit);
  }

  /** What is still chosen from a list is not written. */
  private writeAtRest(): void {
    if (completionStatus(this.view.state) === "active") this.timer = setTimeout(() => this.writeAtRest(), rest);
    else this.flush();
  }

  /** The history is the site's: what is typed is written before it is gone back to. */
  private step(direction: "undo" | "redo"): void {
    this.flush();
    unwaited(this.asked.store.getState()[direction]());
  }
}

/** Brings an editor to the text that its file has by now. */
function bringTo(editor: EditorView, path: string, text: string): void {
  const change = changeBetween(path, editor.state.doc.toString(), plainLines(text));
  if (!change) return;
  const { start: from, end: to, insert } = change;
  editor.dispatch({ changes: { from, to, insert }, userEvent: "hevret.sync" });
}

/** What was typed, as an edit of the file. */
function editFrom(path: string, text: string, typed: string): Edit | null {
  const change = changeOfLines(path, text, typed);
  return change && { kind: "text", changes: [change] };
}
