"use client";

import { Splitter } from "antd";
import dynamic from "next/dynamic";
import { useState } from "react";
import type { Shown } from "@/preview/frame";
import { Slip } from "../slip/Slip";
import { BenchProvider } from "../workspace/bench";
import { useWorkspace } from "../workspace/context";
import { PageBar } from "./PageBar";
import { Stage } from "./Stage";
import styles from "./PageDesk.module.css";

// The editor is as large as the rest of the view: the page is shown before it is there.
const SourcePane = dynamic(() => import("../source/SourcePane").then((module) => module.SourcePane));

/** The Page view: the page and its source on the left, the slip on the right. */
export function PageDesk() {
  const [shown, setShown] = useState<Shown | null>(null);
  const hasPage = useWorkspace((state) => state.page !== null);
  if (!hasPage)
    return <main className={styles.none}>There is no page among the files of this site, only style sheets.</main>;
  return (
    <BenchProvider>
      <Splitter className={styles.desk}>
        <Splitter.Panel min={400}>
          <main className={styles.left} aria-label="Page">
            <PageBar />
            <Splitter orientation="vertical">
              <Splitter.Panel min={160}>
                <Stage shown={shown} onShown={setShown} />
              </Splitter.Panel>
              <Splitter.Panel defaultSize={172} min={60}>
                <SourcePane />
              </Splitter.Panel>
            </Splitter>
          </main>
        </Splitter.Panel>
        <Splitter.Panel defaultSize={520} min={400}>
          <Slip shown={shown} />
        </Splitter.Panel>
      </Splitter>
    </BenchProvider>
  );
}
