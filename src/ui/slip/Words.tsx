"use client";

import { Input } from "antd";
import { useState } from "react";
import type { ShownPage } from "@/preview/frame";
import { indexOfSpan } from "@/preview/words";
import { Problem } from "../shared/Problem";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import styles from "./Slip.module.css";
import { unwaited } from "../shared/unwaited";

/** Words picked inside the text: a span of their own, with a class or a style. */
export function Words({ page }: { page: ShownPage }) {
  const words = useWorkspace((state) => state.words);
  const store = useWorkspaceStore();
  const [name, setName] = useState("words");
  const [problem, setProblem] = useState<string | null>(null);
  if (!words) return null;
  const wrap = async (attribute: "class" | "style", value: string) => {
    const { ref, node, start, end, text } = words;
    const span = { page: ref.page, index: indexOfSpan(page, { index: ref.index, node, start, end, text }) };
    const { plan, problem: why } = await store
      .getState()
      .write({ kind: "wrap", element: ref, node, start, end, attribute, value }, `A span around \u201c${text}\u201d`);
    if (!plan) return setProblem(why);
    setProblem(null);
    await store.getState().pick(span);
  };
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
          onPressEnter={() => unwaited(wrap("class", name.trim()))}
        />
        <button type="button" className="chip" onClick={() => unwaited(wrap("class", name.trim()))}>
          Give them a class
        </button>
        <button type="button" className="chip" onClick={() => unwaited(wrap("style", "font-style: inherit"))}>
          Give them a style
        </button>
      </span>
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
