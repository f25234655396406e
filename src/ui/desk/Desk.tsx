"use client";

import { Button } from "antd";
import { useEffect, useState, type ReactNode } from "react";
import { ExportMenu } from "../changes/ExportMenu";
import { expectedRoom } from "../page/room";
import { Boundary } from "../shared/Boundary";
import { useSteadyPress } from "../shared/steadyPress";
import { Mat, MatButton, matStyles } from "../shared/Mat";
import { showTime } from "../shared/numbers";
import { Link, placeHere } from "../shared/place";
import { useRoom } from "../shared/Room";
import { useWorkspace, useWorkspaceStore, WorkspaceProvider } from "../workspace/context";
import styles from "./Desk.module.css";
import { isTyping } from "../shared/isTyping";
import { Follow } from "./Follow";
import { Keys } from "./Keys";
import { OtherEyes } from "./OtherEyes";
import { Stress } from "./Stress";
import { SiteFonts, Survey } from "./Survey";
import { viewAt, type ViewPath } from "./viewPaths";
import { views, type View } from "./views";
import { unwaited } from "../shared/unwaited";

/** The open site: the mat on top, a view below. */
export function Desk({ id, view: path }: { id: string; view: ViewPath }) {
  const view = views.find((one) => one.path === path)!;
  return (
    <WorkspaceProvider id={id} room={expectedRoom}>
      <div className={styles.desk}>
        <DeskMat id={id} view={view} />
        <Notices />
        <DeskBody view={view} />
      </div>
    </WorkspaceProvider>
  );
}

function DeskBody({ view }: { view: View }) {
  useBack();
  useSteadyPress();
  const status = useWorkspace((state) => state.status);
  if (status === "missing") {
    return (
      <main className={styles.message}>
        <h1>This site is not on the shelf</h1>
        <p>
          It was deleted, or it was opened in another browser. <Link href="/">Go to the shelf</Link>
        </p>
      </main>
    );
  }
  if (status === "failed") {
    return (
      <main className={styles.message}>
        <h1>This site could not be read</h1>
        <p>
          Nothing was changed. <Link href="/">Go to the shelf</Link>
        </p>
      </main>
    );
  }
  if (status === "loading") {
    return (
      <main className={styles.message} aria-busy="true">
        <p role="status">Reading the site…</p>
      </main>
    );
  }
  return (
    <>
      <ViewTitle label={view.label} />
      <Follow />
      <OtherEyes />
      <AfterFirstPage>
        <SiteFonts />
        <Survey />
        <Stress />
      </AfterFirstPage>
      <Boundary
        key={view.path}
        heading="This view stopped"
        words="Your files are as they were. Other views go on, and Export is where it was."
        back="Show it again"
      >
        <view.View />
      </Boundary>
    </>
  );
}

/** What nobody waits for, such as frames out of sight, comes after the first page. */
function AfterFirstPage({ children }: { children: ReactNode }) {
  const isKnown = useWorkspace(({ view }) => view !== null && view.places !== null);
  const [wasKnown, setWasKnown] = useState(isKnown);
  if (isKnown && !wasKnown) setWasKnown(true);
  return wasKnown ? children : null;
}

/** Back and Forward lead to other pages, too. */
function useBack(): void {
  const store = useWorkspaceStore();
  useEffect(() => {
    const look = () => {
      const { path, asked } = placeHere();
      const { files, page, record, openPage } = store.getState();
      const place = viewAt(path);
      const file = asked.get("file");
      if (file === null || file === page || place?.view !== "page" || place.id !== record?.id) return;
      if (files.get(file)?.file.kind === "html") unwaited(openPage(file));
    };
    window.addEventListener("popstate", look);
    return () => window.removeEventListener("popstate", look);
  }, [store]);
}

/** Names the view that is shown: in the document's outline, and in its title. */
function ViewTitle({ label }: { label: string }) {
  const name = useWorkspace((state) => state.record?.name);
  useEffect(() => {
    document.title = [label, name, "Hevret"].filter(Boolean).join(" · ");
  }, [label, name]);
  return (
    <h1 className="visually-hidden" aria-live="polite">
      {label}, {name}
    </h1>
  );
}

function DeskMat({ id, view: current }: { id: string; view: View }) {
  const record = useWorkspace((state) => state.record);
  const redoable = useWorkspace((state) => state.redoable);
  const undo = useWorkspace((state) => state.undo);
  const redo = useWorkspace((state) => state.redo);
  const isSaved = useWorkspace((state) => state.save.kind === "saved");
  const { room, setRoom } = useRoom();
  useHistoryKeys(undo, redo);
  return (
    <Mat>
      <span className={matStyles.site} title={record?.name}>
        {record?.name}
      </span>
      <nav className={matStyles.tabs} aria-label="Views">
        {views.map((view) => (
          <Tab key={view.path} href={`/site/${id}/${view.path}`} view={view} current={view === current} />
        ))}
      </nav>
      <span className={matStyles.space} />
      <SaveNote />
      <MatButton onClick={() => setRoom(room === "dark" ? "light" : "dark")} aria-pressed={room === "dark"}>
        Dark room
      </MatButton>
      <MatButton onClick={() => unwaited(undo())} disabled={!record?.cursor && isSaved}>
        Undo
      </MatButton>
      <MatButton onClick={() => unwaited(redo())} disabled={redoable === 0}>
        Redo
      </MatButton>
      <ExportMenu />
      <Keys />
    </Mat>
  );
}

/** A tab. Its view is loaded when somebody is about to go there. */
function Tab({ href, view: { label, count, load }, current }: { href: string; view: View; current: boolean }) {
  const counted = useWorkspace((state) => count?.(state));
  // What cannot be loaded now is loaded, or said, when it is shown.
  const prepare = () => void load().catch(() => undefined);
  return (
    <Link
      href={href}
      className={matStyles.tab}
      aria-current={current ? "page" : undefined}
      onPointerEnter={prepare}
      onFocus={prepare}
    >
      {label}
      {counted !== undefined && <span className={matStyles.count}>{counted}</span>}
    </Link>
  );
}

function SaveNote() {
  const save = useWorkspace((state) => state.save);
  const unsaved = save.kind === "saving" ? "Saving…" : "Not saved";
  const text = save.kind === "saved" ? `Saved ${showTime(save.time)}` : unsaved;
  return (
    <span className={matStyles.state} role="status" title={save.kind === "unsaved" ? save.reason : undefined}>
      {text}
    </span>
  );
}

function Notices() {
  const notice = useWorkspace((state) => state.notice);
  const dismiss = useWorkspace((state) => state.dismissNotice);
  if (!notice) return null;
  return (
    <div className={styles.notice} role="alert">
      <span>{notice}</span>
      <Button size="small" onClick={dismiss}>
        Close
      </Button>
    </div>
  );
}

/** Undo and redo by the keys every program has, except while typing, where they belong to the field. */
function useHistoryKeys(undo: () => Promise<void>, redo: () => Promise<void>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== "z" && key !== "y") return;
      event.preventDefault();
      unwaited(key === "y" || event.shiftKey ? redo() : undo());
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [undo, redo]);
}
