"use client";

import { diffLines } from "diff";
import { useEffect, useRef, useState } from "react";
import { siteOf, type StoredFile } from "@/core";
import { startEngine } from "@/engine/client";
import { frameSandbox, showPage } from "@/preview/frame";
import { isChanged } from "@/store/write";
import type { PageView } from "@/engine/protocol";
import { plural } from "../shared/numbers";
import { useEngine, useWorkspace } from "../workspace/context";
import { useExport } from "./ExportMenu";
import styles from "./Changes.module.css";

/** What was edited: every changed file line by line, and a page before and after. */
export function Changes() {
  const files = useWorkspace((state) => state.files);
  const changed = [...files.values()].filter(isChanged);
  const { saveFile } = useExport();
  return (
    <main className={styles.view}>
      <section className={styles.files} aria-labelledby="changes-title">
        <h1 id="changes-title">{changed.length === 0 ? "Nothing is changed." : `${plural(changed.length, "file")} changed.`}</h1>
        {changed.length === 0 && <p className={styles.lead}>What you edit shows up here, line by line, before it goes out.</p>}
        {changed.map(({ path, file, original }) => (
          <article key={path} aria-label={path}>
            <h2>
              <code>{path}</code>
              <button type="button" className="text-button" onClick={() => saveFile(path)}>
                Save this file
              </button>
            </h2>
            <LineDifference before={original ?? ""} after={file.kind === "other" ? "" : file.text} />
          </article>
        ))}
      </section>
      <BeforeAfter />
    </main>
  );
}

interface Line {
  kind: "same" | "gone" | "new" | "gap";
  before: number | null;
  after: number | null;
  text: string;
}

/** Lines left standing around a change. */
const around = 2;

function linesOf(before: string, after: string): Line[] {
  const all: Line[] = [];
  let old = 1;
  let now = 1;
  for (const part of diffLines(before, after)) {
    for (const text of part.value.replace(/\r?\n$/, "").split(/\r?\n/)) {
      if (part.added) all.push({ kind: "new", before: null, after: now++, text });
      else if (part.removed) all.push({ kind: "gone", before: old++, after: null, text });
      else all.push({ kind: "same", before: old++, after: now++, text });
    }
  }
  const near = all.map((_, at) => all.slice(Math.max(0, at - around), at + around + 1).some(({ kind }) => kind !== "same"));
  return all.flatMap((line, at) => (near[at] ? [line] : near[at - 1] ? [{ kind: "gap" as const, before: null, after: null, text: "" }] : []));
}

const signs = { same: "", gone: "\u2212", new: "+", gap: "" };
const words = { same: "", gone: "was", new: "now", gap: "" };

function LineDifference({ before, after }: { before: string; after: string }) {
  return (
    <table className={styles.lines}>
      <tbody>
        {linesOf(before, after).map((line, at) =>
          line.kind === "gap" ? (
            <tr key={at} className={styles.gap}>
              <td colSpan={4}>…</td>
            </tr>
          ) : (
            <tr key={at} className={styles[line.kind]}>
              <td>{line.before}</td>
              <td>{line.after}</td>
              <td aria-label={words[line.kind]}>{signs[line.kind]}</td>
              <td>{line.text}</td>
            </tr>
          ),
        )}
      </tbody>
    </table>
  );
}

/** The files as they were opened. */
function originals(files: ReadonlyMap<string, { file: StoredFile; original: string | null }>): StoredFile[] {
  return [...files.values()].map(({ file, original }) => (file.kind === "other" || original === null ? file : { ...file, text: original }));
}

function BeforeAfter() {
  const engine = useEngine();
  const files = useWorkspace((state) => state.files);
  const page = useWorkspace((state) => state.page);
  const conditions = useWorkspace((state) => state.conditions);
  const [views, setViews] = useState<{ before: PageView; after: PageView } | null>(null);
  useEffect(() => {
    if (!page) return;
    const { engine: earlier, stop } = startEngine();
    let stale = false;
    void (async () => {
      await earlier.open([...siteOf(originals(files)).files.values()]);
      const before = await earlier.page(page, conditions);
      const after = await engine.page(page, conditions);
      if (!stale) setViews({ before, after });
    })();
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
      ref={section} className={styles.pages} tabIndex={0} aria-label={`${page} before and after; arrow keys scroll both`}
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
    void showPage(frame, view);
  }, [frame, view]);
  return (
    <figure className={styles.page}>
      <figcaption>
        {title} <code>{path}</code>
      </figcaption>
      <div className={styles.paper}>
        <iframe ref={setFrame} title={`${title}: ${path}`} sandbox={frameSandbox} tabIndex={-1} style={{ width, pointerEvents: "none" }} />
      </div>
    </figure>
  );
}
