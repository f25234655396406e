/** A comment round the declaration or rule that the cursor is in, and off again. */
import { toggleBlockComment, toggleComment } from "@codemirror/commands";
import { syntaxTree } from "@codemirror/language";
import type { EditorState } from "@codemirror/state";
import { EditorView, type KeyBinding } from "@codemirror/view";

interface Span {
  from: number;
  to: number;
}

export const commentKey: KeyBinding = { key: "Mod-/", run: toggleCommentHere };

/** Comments in, or out, what the cursor is in; a selection as it is. */
function toggleCommentHere(view: EditorView): boolean {
  const { state } = view;
  const { from, to } = state.selection.main;
  if (from !== to) return toggleBlockComment(view);
  const comment = around(state, "Comment");
  if (comment) return uncomment(view, comment);
  const part = around(state, "Declaration") ?? around(state, "RuleSet");
  return part ? commentIn(view, withSemicolon(state, part)) : toggleComment(view);
}

/** The innermost node of a kind at the cursor, or else at the first word of its line. */
function around(state: EditorState, kind: string): Span | null {
  const { head } = state.selection.main;
  const line = state.doc.lineAt(head);
  const first = line.from + /^\s*/.exec(line.text)![0].length;
  for (const at of [head, first]) {
    let node: ReturnType<ReturnType<typeof syntaxTree>["resolveInner"]> | null = syntaxTree(state).resolveInner(at, 1);
    while (node && node.name !== kind) node = node.parent;
    if (node && state.doc.lineAt(node.from).number <= line.number && node.to >= line.from) return node;
  }
  return null;
}

function withSemicolon(state: EditorState, { from, to }: Span): Span {
  const behind = /^\s*;/.exec(state.sliceDoc(to, to + 20));
  return { from, to: to + (behind?.[0].length ?? 0) };
}

function commentIn(view: EditorView, { from, to }: Span): boolean {
  const inner = view.state.sliceDoc(from, to);
  if (inner.includes("*/")) {
    view.dispatch({ effects: EditorView.announce.of("A comment cannot hold another comment.") });
    return true;
  }
  view.dispatch({
    changes: [
      { from, insert: "/* " },
      { from: to, insert: " */" },
    ],
    userEvent: "input.comment",
  });
  return true;
}

function uncomment(view: EditorView, { from, to }: Span): boolean {
  const written = view.state.sliceDoc(from, to);
  const [, inner] = /^\/\* ?([\s\S]*?) ?\*\/$/.exec(written) ?? [];
  if (inner === undefined) return toggleComment(view);
  view.dispatch({ changes: { from, to, insert: inner }, userEvent: "input.comment" });
  return true;
}
