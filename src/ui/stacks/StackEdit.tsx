"use client";

import { Input } from "antd";
import { useState } from "react";
import { writeStack, type StackUse } from "@/core";
import { Prose } from "../shared/Prose";
import { unwaited } from "../shared/unwaited";
import styles from "./Stacks.module.css";

interface Props {
  use: StackUse;
  /** Writes another stack wherever this one stands. Resolves to whether that can be done. */
  onRewrite(text: string): Promise<boolean>;
  /** Puts the stack into a custom property of that name. */
  onName(name: string): Promise<boolean>;
}

/** What can be written instead of a stack, everywhere: mended, as typed, or under a name. */
export function StackEdit({ use, onRewrite, onName }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [name, setName] = useState("");
  if (use.declarations.length === 0)
    return (
      <p className="quiet">
        No sheet writes this stack as it stands: it is the browser’s own, or comes from a custom property. Pick a place
        to set one.
      </p>
    );
  const rewrite = async () => {
    if (typed && (await onRewrite(typed))) setTyped(null);
  };
  const define = async () => {
    if (await onName(name.trim())) setName("");
  };
  return (
    <>
      {use.info.faults.map(({ message, mended }) => (
        <p key={message} className="doubtful">
          ◆ <Prose>{message}</Prose>{" "}
          {mended && (
            <button type="button" className="text-button" onClick={() => unwaited(onRewrite(writeStack(mended)))}>
              Write {writeStack(mended)}
            </button>
          )}
        </p>
      ))}
      <p className={styles.edit}>
        <Input
          size="small"
          className="mono"
          aria-label={`Stack instead of ${use.stack}`}
          value={typed ?? use.stack}
          onChange={({ target }) => setTyped(target.value)}
          spellCheck={false}
          onPressEnter={() => unwaited(rewrite())}
        />
        <button
          type="button"
          className="chip"
          disabled={typed === null || typed === use.stack}
          onClick={() => unwaited(rewrite())}
        >
          Write everywhere…
        </button>
        <Input
          size="small"
          className={`mono ${styles.name}`}
          aria-label={`Name for ${use.stack}`}
          placeholder="--stack-name"
          value={name}
          onChange={({ target }) => setName(target.value)}
          spellCheck={false}
        />
        <button type="button" className="chip" disabled={!name.trim()} onClick={() => unwaited(define())}>
          Name it…
        </button>
      </p>
    </>
  );
}
