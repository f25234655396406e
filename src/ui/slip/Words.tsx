"use client";

import { Input } from "antd";
import { useState } from "react";
import type { WordsElement } from "@/core";
import type { ShownPage } from "@/preview/frame";
import { indexOfSpan } from "@/preview/words";
import { Problem } from "../shared/Problem";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import styles from "./Slip.module.css";
import { unwaited } from "../shared/unwaited";

/** What words can be said to be (HTML, 4.5). */
const meanings = [
  ["em", "stressed"],
  ["strong", "important"],
  ["mark", "marked for the reader"],
  ["small", "small print"],
  ["cite", "the title of a work"],
  ["code", "code"],
] as const;

/** Words picked inside the text: a span of their own, with a class or a style, or an element that says what they are. */
export function Words({ page }: { page: ShownPage }) {
  const words = useWorkspace((state) => state.words);
  const store = useWorkspaceStore();
  const [name, setName] = useState("words");
  const [problem, setProblem] = useState<string | null>(null);
  if (!words) return null;
  const wrap = async (around: WordsElement) => {
    const { ref, node, start, end, text } = words;
    const span = { page: ref.page, index: indexOfSpan(page, { index: ref.index, node, start, end, text }) };
    const { plan, problem: why } = await store
      .getState()
      .write({ kind: "wrap", element: ref, node, start, end, around }, `${around.tag} around \u201c${text}\u201d`);
    if (!plan) return setProblem(why);
    setProblem(null);
    await store.getState().pick(span);
  };
  const asClass: WordsElement = { tag: "span", attribute: "class", value: name.trim() };
  return (
    <div className={styles.words} role="group" aria-label="Picked words">
      <p>
        Words: <b>{words.text.length > 60 ? `${words.text.slice(0, 59)}\u2026` : words.text}</b>
      </p>
      <span>
        <Input
          size="small"
          className="mono"
          aria-label="Class for the words"
          value={name}
          onChange={({ target }) => setName(target.value)}
          spellCheck={false}
          onPressEnter={() => unwaited(wrap(asClass))}
        />
        <button type="button" className="chip" onClick={() => unwaited(wrap(asClass))}>
          Give them a class
        </button>
        <button
          type="button"
          className="chip"
          onClick={() => unwaited(wrap({ tag: "span", attribute: "style", value: "font-style: inherit" }))}
        >
          Give them a style
        </button>
      </span>
      <span>
        Or say what they are:
        {meanings.map(([tag, what]) => (
          <button key={tag} type="button" className="chip" onClick={() => unwaited(wrap({ tag }))}>
            {tag}
            {what !== tag && <span className="quiet">, {what}</span>}
          </button>
        ))}
      </span>
      <p className="quiet">A look of their own needs no meaning: that is what the span is for.</p>
      <Problem>{problem}</Problem>
    </div>
  );
}

/** Takes the picked span away; its words stay. */
export function Unwrap() {
  const slip = useWorkspace((state) => state.slip);
  const write = useWorkspace((state) => state.write);
  if (!slip?.plainSpan) return null;
  return (
    <button
      type="button"
      className="text-button"
      onClick={() => unwaited(write({ kind: "unwrap", element: slip.ref }, "Take a span away"))}
    >
      Take the span away
    </button>
  );
}
