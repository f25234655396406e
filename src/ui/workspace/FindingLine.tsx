"use client";

import { useEffect, useRef, useState } from "react";
import type { Fix } from "@/core";
import { Sign } from "../shared/Sign";
import { Prose } from "../shared/Prose";
import { addressOf, Link } from "../shared/place";
import { unwaited } from "../shared/unwaited";
import { fixWords } from "../shared/numbers";
import { useWorkspace } from "./context";
import styles from "./FindingLine.module.css";
import type { KnownFinding } from "./troubles";
import { useWays } from "./useWays";

interface Props {
  known: KnownFinding;
  /** Whether the ways to set it right are shown from the start, the first of them focused. */
  open?: boolean;
  /** It was written, or is let be with Escape. */
  onDone?(): void;
}

/** A finding in a line, with the ways to set it right, and the step to all about it. */
export function FindingLine({ known, open = false, onDone }: Props) {
  const { finding, key } = known;
  const site = useWorkspace((state) => state.record?.id);
  const [isOpen, setOpen] = useState(open);
  const close = () => {
    setOpen(false);
    onDone?.();
  };
  return (
    <>
      <Sign level={finding.level} /> <Prose>{finding.message}</Prose>{" "}
      <button type="button" className="text-button" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Set it right
      </button>
      {" · "}
      <Link href={addressOf(`/site/${site}/findings`, { finding: key })}>All about it</Link>
      {isOpen && <Ways known={known} focused={open} onDone={close} />}
    </>
  );
}

/** The ways as buttons: a press writes. */
function Ways({ known: { finding }, focused, onDone }: { known: KnownFinding; focused: boolean; onDone(): void }) {
  const found = useWays(finding);
  const write = useWorkspace((state) => state.write);
  const list = useRef<HTMLUListElement>(null);
  const isReady = found !== null;
  useEffect(() => {
    if (isReady && focused) list.current?.querySelector("button")?.focus();
  }, [isReady, focused]);
  if (!found)
    return (
      <p className={styles.none} role="status">
        Looking for ways to set it right…
      </p>
    );
  if (found.fixes.length === 0)
    return <p className={styles.none}>It takes a decision of yours: no way is known here.</p>;
  const take = async ({ label, changes }: Fix) => {
    const { problem } = await write({ kind: "text", changes }, label);
    if (!problem) onDone();
  };
  return (
    <ul
      ref={list}
      className={styles.ways}
      aria-label="Ways to set it right"
      onKeyDown={(event) => {
        if (event.key !== "Escape") return;
        event.stopPropagation();
        onDone();
      }}
    >
      {found.fixes.map((fix) => (
        <li key={fix.label}>
          <button type="button" onClick={() => unwaited(take(fix))}>
            <span>
              <Prose>{fix.label}</Prose>
            </span>
            <small>{fixWords(fix)}</small>
          </button>
        </li>
      ))}
    </ul>
  );
}
