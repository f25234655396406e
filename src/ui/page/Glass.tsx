"use client";

import { Select } from "antd";
import { useEffect, useRef, useState } from "react";
import type { ElementRef } from "@/core";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { boxOf } from "@/preview/measure";
import { settle } from "@/preview/settle";
import { unwaitedWhile } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import styles from "./Glass.module.css";

const powers = [2, 3, 4, 6, 8];
/** Room around the text, CSS px of the page. */
const air = 6;

interface Props {
  picked: ElementRef;
  onClose(): void;
}

/** The picked text as the page has it now, two to eight times as large: edges of shadows, lines through descenders. */
export function Glass({ picked, onClose }: Props) {
  const view = useWorkspace((state) => state.view);
  const patch = useWorkspace((state) => state.rehearsal?.patch ?? null);
  const { width, height, scheme } = useWorkspace((state) => state.conditions);
  const frame = useRef<HTMLIFrameElement>(null);
  const [power, setPower] = useState(4);
  const [page, setPage] = useState<ShownPage | null>(null);
  const [at, setAt] = useState<{ left: number; top: number } | null>(null);
  const document = patch?.document ?? view?.document ?? null;
  const dress = patch ?? view;
  const latest = useRef(dress);
  useEffect(() => {
    latest.current = dress;
  });
  useEffect(() => {
    if (!document) return;
    let current = true;
    unwaitedWhile(
      () => frame.current?.isConnected === true,
      showPage(frame.current!, { ...latest.current!, document }).then((shown) => current && setPage(shown)),
    );
    return () => {
      current = false;
    };
  }, [document]);
  useEffect(() => {
    if (!page || !dress) return;
    let current = true;
    page.dress({ ...dress, unstyled: false });
    settle(page.document);
    unwaitedWhile(
      () => frame.current?.isConnected === true,
      page.document.fonts.ready.then(() => {
        const node = page.nodes[picked.index];
        if (!current || !node) return;
        // Scrolled by itself alone: what is asked of an element scrolls the glass around its frame, too.
        const window = page.document.defaultView!;
        window.scrollTo({ top: node.getBoundingClientRect().top + window.scrollY - height / 2, behavior: "instant" });
        const box = boxOf(page, picked.index);
        setAt(box && { left: box.left - air, top: box.top - air });
      }),
    );
    return () => {
      current = false;
    };
  }, [page, dress, picked.index, width, height]);
  return (
    <section className={styles.glass} aria-label="Glass">
      <div className={styles.head}>
        <Select
          size="small"
          aria-label="How much larger"
          value={power}
          onChange={setPower}
          options={powers.map((value) => ({ value, label: `${value} times as large` }))}
          popupMatchSelectWidth={false}
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
