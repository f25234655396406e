"use client";

import { Splitter } from "antd";
import dynamic from "next/dynamic";
import { useState, type ReactNode } from "react";
import type { Shown } from "@/preview/frame";
import { Slip } from "../slip/Slip";
import { BenchProvider } from "../workspace/bench";
import { useWorkspace } from "../workspace/context";
import { plainLook, type Look } from "./look";
import { PageBar } from "./PageBar";
import { Stage } from "./Stage";
import styles from "./PageDesk.module.css";
import { usePanels } from "./usePanels";

// The editor is as large as the rest of the view: the page is shown before it is there.
const SourcePane = dynamic(() => import("../source/SourcePane").then((module) => module.SourcePane));

/** The Page view: the page and its source on the left, the slip on the right; both can be folded away. */
export function PageDesk() {
  const [shown, setShown] = useState<Shown | null>(null);
  const hasPage = useWorkspace((state) => state.page !== null);
  const { panels, dragged, fold } = usePanels();
  const { source, slip } = panels;
  const [look, setLook] = useState(plainLook);
  const onLook = (more: Partial<Look>) => setLook({ ...look, ...more });
  if (!hasPage)
    return <main className={styles.none}>There is no page among the files of this site, only style sheets.</main>;
  return (
    <BenchProvider>
      <Splitter className={styles.desk} {...dragged("slip")}>
        <Splitter.Panel min={400}>
          <main className={styles.left} aria-label="Page">
            <PageBar panels={panels} onFold={fold} look={look} onLook={onLook} />
            <Splitter orientation="vertical" {...dragged("source")}>
              <Splitter.Panel min={160}>
                <Stage shown={shown} onShown={setShown} look={look} onLook={onLook} />
              </Splitter.Panel>
              {!source.folded && (
                <Splitter.Panel size={source.size} min={60}>
                  <Foldable label="Fold the source away" arrow="↓" onFold={() => fold("source", true)}>
                    <SourcePane />
                  </Foldable>
                </Splitter.Panel>
              )}
            </Splitter>
          </main>
        </Splitter.Panel>
        {!slip.folded && (
          <Splitter.Panel size={slip.size} min={400}>
            <Foldable label="Fold the slip away" arrow="→" onFold={() => fold("slip", true)}>
              <Slip shown={shown} />
            </Foldable>
          </Splitter.Panel>
        )}
      </Splitter>
    </BenchProvider>
  );
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
