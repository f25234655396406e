"use client";

import { useEffect, useRef, useState } from "react";
import type { ElementRef } from "@/core";
import { frameSandbox } from "@/preview/frame";
import { boxOf } from "@/preview/measure";
import { Choice } from "../shared/Choice";
import { useWorkspace } from "../workspace/context";
import styles from "./Glass.module.css";
import { useMirror } from "./useMirror";

const powers = [2, 3, 4, 6, 8];
/** Room around the text, CSS px of the page. */
const air = 6;

interface Props {
  picked: ElementRef;
  onClose(): void;
}

/** The picked text as the page has it now, two to eight times as large: edges of shadows, lines through descenders. */
export function Glass({ picked, onClose }: Props) {
  const { width, height, scheme } = useWorkspace((state) => state.conditions);
  const frame = useRef<HTMLIFrameElement>(null);
  const [power, setPower] = useState(4);
  const mirrored = useMirror(frame, width);
  const [at, setAt] = useState<{ left: number; top: number } | null>(null);
  useEffect(() => {
    if (!mirrored) return;
    const { page } = mirrored;
    const move = requestAnimationFrame(() => {
      const node = page.nodes[picked.index];
      const window = page.document.defaultView;
      if (!node || !window) return;
      // Scrolled by itself alone: what is asked of an element scrolls the glass around its frame, too.
      window.scrollTo({ top: node.getBoundingClientRect().top + window.scrollY - height / 2, behavior: "instant" });
      const box = boxOf(page, picked.index);
      setAt(box && { left: box.left - air, top: box.top - air });
    });
    return () => cancelAnimationFrame(move);
  }, [mirrored, picked.index, width, height]);
  return (
    <section className={styles.glass} aria-label="Glass">
      <div className={styles.head}>
        <Choice
          aria-label="How much larger"
          value={power}
          onChange={setPower}
          options={powers.map((value) => ({ value, label: `${value} times as large` }))}
        />
        <button type="button" className="text-button" onClick={onClose}>
          Put the glass away
        </button>
      </div>
      <div className={styles.window} tabIndex={0} role="img" aria-label={`The picked text, ${power} times as large`}>
        <div style={{ width: width * power, height: height * power }} className={styles.sheet}>
          <iframe
            ref={frame}
            title="The page under the glass"
            aria-hidden="true"
            tabIndex={-1}
            sandbox={frameSandbox}
            style={{
              width,
              height,
              colorScheme: scheme,
              transform: `scale(${power}) translate(${-(at?.left ?? 0)}px, ${-(at?.top ?? 0)}px)`,
            }}
          />
        </div>
      </div>
    </section>
  );
}
