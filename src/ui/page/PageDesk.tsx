"use client";

import { Splitter } from "antd";
import dynamic from "next/dynamic";
import { startTransition, useEffect, useState, type ReactNode } from "react";
import type { Shown } from "@/preview/frame";
import { Slip } from "../slip/Slip";
import { BenchProvider } from "../workspace/bench";
import { useRem } from "../shared/rem";
import { useNarrow } from "../shared/useNarrow";
import { parseWhileIdle } from "../source/idleParsing";
import { useWorkspace } from "../workspace/context";
import { Edge } from "./Edge";
import { plainLook, type Look } from "./look";
import { PageBar } from "./PageBar";
import { Stage } from "./Stage";
import styles from "./PageDesk.module.css";
import { usePanels } from "./usePanels";

/** The editor is as large as the rest of the view: the page is shown before it is loaded. */
const SourcePane = dynamic(() => {
  parseWhileIdle();
  return import("../source/SourcePane").then((module) => module.SourcePane);
});

/** How small panels can be, rem. */
const smallest = { page: 25, slip: 25, source: 3.75 };

/** The Page view: the page and its source on the left, the slip on the right; both can be folded away. */
export function PageDesk() {
  const [shown, setShown] = useState<Shown | null>(null);
  const hasPage = useWorkspace((state) => state.page !== null);
  const { panels, dragged, fold, resize } = usePanels();
  const rem = useRem();
  const { source, slip } = panels;
  const [look, setLook] = useState(plainLook);
  const onLook = (more: Partial<Look>) => setLook({ ...look, ...more });
  const isNarrow = useNarrow();
  const hasEditor = useAfter(shown !== null);
  if (!hasPage)
    return (
      <main className={styles.none}>
        <p>
          A page of the site stands here, and texts are picked on it. There is none among these files, only style
          sheets: open them again together with a page, or start a new site from the shelf and paste them there.
        </p>
      </main>
    );
  const editor = hasEditor && <SourcePane />;
  const bar = <PageBar panels={panels} onFold={fold} look={look} onLook={onLook} />;
  const stage = <Stage shown={shown} onShown={setShown} look={look} onLook={onLook} />;
  if (isNarrow)
    return (
      <BenchProvider>
        <main className={styles.narrow} aria-label="Page">
          {bar}
          <div className={styles.page}>{stage}</div>
          {!slip.folded && <Slip shown={shown} />}
          {!source.folded && <div className={styles.source}>{editor}</div>}
        </main>
      </BenchProvider>
    );
  return (
    <BenchProvider>
      <Splitter className={styles.desk} {...dragged("slip")}>
        <Splitter.Panel min={rem(smallest.page)}>
          <main className={styles.left} aria-label="Page">
            {bar}
            <Splitter orientation="vertical" {...dragged("source")}>
              <Splitter.Panel min={rem(10)}>{stage}</Splitter.Panel>
              {!source.folded && (
                <Splitter.Panel size={source.size} min={rem(smallest.source)}>
                  <Foldable label="Fold the source away" arrow="↓" onFold={() => fold("source", true)}>
                    <Edge
                      label="Height of the source"
                      grows="up"
                      size={source.size}
                      smallest={rem(smallest.source)}
                      largest={window.innerHeight - rem(17)}
                      onSize={(size) => resize("source", size)}
                    />
                    {editor}
                  </Foldable>
                </Splitter.Panel>
              )}
            </Splitter>
          </main>
        </Splitter.Panel>
        {!slip.folded && (
          <Splitter.Panel size={slip.size} min={rem(smallest.slip)}>
            <Foldable label="Fold the slip away" arrow="→" onFold={() => fold("slip", true)}>
              <Edge
                label="Width of the slip"
                grows="left"
                size={slip.size}
                smallest={rem(smallest.slip)}
                largest={window.innerWidth - rem(smallest.page)}
                onSize={(size) => resize("slip", size)}
              />
              <Slip shown={shown} />
            </Foldable>
          </Splitter.Panel>
        )}
      </Splitter>
    </BenchProvider>
  );
}

/** Milliseconds after which the editor is put up though no page is shown: it may be the page that cannot be. */
const patience = 2000;

/** Whether something has been so, now or before. */
function useAfter(isSo: boolean): boolean {
  const [was, setWas] = useState(false);
  useEffect(() => {
    if (was) return;
    const timer = setTimeout(() => startTransition(() => setWas(true)), isSo ? 0 : patience);
    return () => clearTimeout(timer);
  }, [isSo, was]);
  return was;
}

interface FoldableProps {
  label: string;
  /** Where it goes. */
  arrow: string;
  onFold(): void;
  children: ReactNode;
}

/** A panel with a way to fold it away in its corner. */
function Foldable({ label, arrow, onFold, children }: FoldableProps) {
  return (
    <div className={styles.foldable}>
      {children}
      <button type="button" className={styles.fold} aria-label={label} onClick={onFold}>
        {arrow}
      </button>
    </div>
  );
}
