"use client";

import { useEffect, useRef, useState } from "react";
import { siteOf } from "@/core";
import { startEngine } from "@/engine/client";
import { frameSandbox, showPage } from "@/preview/frame";
import { isChanged } from "@/store/write";
import type { PageView } from "@/engine/protocol";
import { LineDifference } from "../shared/LineDifference";
import { plural } from "../shared/numbers";
import { useEngine, useWorkspace } from "../workspace/context";
import { useExport } from "./ExportMenu";
import { originals } from "./originals";
import styles from "./Changes.module.css";
import { unwaited } from "../shared/unwaited";

/** What was edited: every changed file line by line, and a page before and after. */
export function Changes() {
  const files = useWorkspace((state) => state.files);
  const changed = [...files.values()].filter(isChanged);
  const { saveFile } = useExport();
  return (
    <main className={styles.view}>
      <section className={styles.files} aria-labelledby="changes-title">
        <h2 id="changes-title">
          {changed.length === 0 ? "Nothing is changed." : `${plural(changed.length, "file")} changed.`}
        </h2>
        {changed.length === 0 && (
          <p className={styles.lead}>What you edit shows up here, line by line, before it goes out.</p>
        )}
        {changed.map(({ path, file, original }) => (
          <article key={path} aria-label={path}>
            <h3>
              <code>{path}</code>
              <button type="button" className="text-button" onClick={() => saveFile(path)}>
                Save this file
              </button>
            </h3>
            {file.kind === "other" ? <p>A new file.</p> : <LineDifference before={original ?? ""} after={file.text} />}
          </article>
        ))}
      </section>
      <BeforeAfter />
    </main>
  );
}

function BeforeAfter() {
  const engine = useEngine();
  const files = useWorkspace((state) => state.files);
  const page = useWorkspace((state) => state.page);
  const conditions = useWorkspace((state) => state.conditions);
  const [views, setViews] = useState<{ before: PageView | null; after: PageView } | null>(null);
  useEffect(() => {
    if (!page) return;
    const asOpened = [...siteOf(originals(files)).files.values()];
    const { engine: earlier, stop } = startEngine({ files: () => asOpened, restarted: () => undefined });
    let stale = false;
    unwaited(
      (async () => {
        // What is here already is shown while the files are read as they were.
        const after = await engine.page(page, conditions);
        if (!stale) setViews({ before: null, after });
        await earlier.open(asOpened);
        const before = await earlier.page(page, conditions);
        if (!stale) setViews({ before, after });
      })(),
    );
    return () => {
      stale = true;
      stop();
    };
  }, [engine, files, page, conditions]);
  const section = useRef<HTMLElement>(null);
  const scroll = (by: number) => {
    for (const frame of section.current!.querySelectorAll("iframe")) frame.contentWindow!.scrollBy(0, by);
  };
  if (!page) return null;
  return (
    <section
      ref={section}
      className={styles.pages}
      tabIndex={0}
      aria-label={`${page} before and after; arrow keys scroll both`}
      onWheel={(event) => scroll(event.deltaY)}
      onKeyDown={(event) => {
        const by = { ArrowDown: 60, ArrowUp: -60, PageDown: 300, PageUp: -300 }[event.key];
        if (by) scroll(by);
      }}
    >
      <Frame title="Before" path={page} view={views?.before ?? null} width={conditions.width} />
      <Frame title="After" path={page} view={views?.after ?? null} width={conditions.width} />
    </section>
  );
}

function Frame({ title, path, view, width }: { title: string; path: string; view: PageView | null; width: number }) {
  const [frame, setFrame] = useState<HTMLIFrameElement | null>(null);
  useEffect(() => {
    if (!frame || !view) return;
    unwaited(showPage(frame, view));
  }, [frame, view]);
  return (
    <figure className={styles.page}>
      <figcaption>
        {title} <code>{path}</code>
      </figcaption>
      <div className={styles.paper}>
        <iframe
          ref={setFrame}
          title={`${title}: ${path}`}
          sandbox={frameSandbox}
          tabIndex={-1}
          style={{ width, pointerEvents: "none" }}
        />
      </div>
    </figure>
  );
}
