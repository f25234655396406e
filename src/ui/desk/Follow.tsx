"use client";

import { Radio } from "antd";
import { useEffect, useState } from "react";
import { joinedText, type JoinedPart } from "@/core";
import { fromFolder, lookInto, type Meeting, type Seen } from "@/store/folder";
import { hasLeave } from "@/store/leave";
import { removeFrom, writeBack } from "@/store/write";
import { Dialog } from "../shared/Dialog";
import { unwaited, unwaitedWhile } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import type { WorkspaceStore } from "../workspace/store";
import { takeFrom } from "../workspace/takeFrom";
import styles from "./Follow.module.css";

/** Milliseconds between two looks where the browser does not tell of changes, and where it may have missed one. */
const between = { looks: 1000, watched: 5000, busy: 300 };

interface Observer {
  observe(folder: FileSystemDirectoryHandle, options: { recursive: boolean }): Promise<void>;
  disconnect(): void;
}

/** What other programs write into the folder appears here, and what is written here there, where that is wished for. */
export function Follow() {
  const store = useWorkspaceStore();
  const folder = useWorkspace((state) => state.record?.folder ?? null);
  const isWanted = useWorkspace((state) => !state.record?.unfollowed);
  const following = useWorkspace((state) => state.following);
  useEffect(() => {
    const { setFollowing } = store.getState();
    if (!folder || !isWanted) return setFollowing("none");
    let current = true;
    unwaitedWhile(
      () => current,
      hasLeave(folder).then((given) => current && setFollowing(given ? "yes" : "asks")),
    );
    return () => {
      current = false;
    };
  }, [store, folder, isWanted]);
  useEffect(() => (folder && following === "yes" ? follow(folder, store) : undefined), [folder, following, store]);
  return <Meetings />;
}

/** Looks into a folder whenever something may have changed. @returns what ends it */
function follow(folder: FileSystemDirectoryHandle, store: WorkspaceStore): () => void {
  let stamps: Seen["stamps"] = new Map();
  /** What was missing at the last look: programs take a file away to put another in its place. */
  let missing: ReadonlySet<string> = new Set();
  let ended = false;
  let work: Promise<void> | null = null;
  let isAgain = false;
  const look = () => {
    if (ended || document.visibilityState === "hidden") return;
    isAgain = work !== null;
    if (work) return;
    work = looked()
      .catch((error: unknown) => {
        // Leave may be taken back, and the folder be gone.
        if (!ended) store.getState().setFollowing("asks");
        if ((error as Error).name !== "NotAllowedError") throw error;
      })
      .finally(() => {
        work = null;
        if (isAgain) look();
      });
    unwaitedWhile(() => !ended, work);
  };
  const looked = async () => {
    if (store.getState().status !== "ready" || store.getState().save.kind !== "saved") return;
    const isKnown = (path: string, size: number) => {
      const file = store.getState().files.get(path)?.file;
      return file?.kind === "other" && file.bytes.length === size;
    };
    const seen = await lookInto(folder, stamps, isKnown);
    if (ended) return;
    const { files, gone, record } = store.getState();
    const absent = new Set(seen.paths ? [...files.keys()].filter((path) => !seen.paths!.has(path)) : []);
    const isNew = [...absent].some((path) => !missing.has(path));
    const there = new Set([...files.keys()].filter((path) => !absent.has(path) || !missing.has(path)));
    missing = absent;
    const found = fromFolder(files, gone, seen.written, seen.paths && there);
    stamps = seen.stamps;
    await takeFrom(found, folder.name, store);
    if (record?.writesThrough && found.meetings.length === 0 && seen.paths)
      await writeThrough(folder, seen.paths, store);
    if (seen.isBusy || isNew) setTimeout(look, between.busy);
  };
  look();
  const stopObserving = observe(folder, look);
  const timer = setInterval(look, stopObserving ? between.watched : between.looks);
  window.addEventListener("focus", look);
  document.addEventListener("visibilitychange", look);
  // What is written here is written there at once.
  const unsubscribe = store.subscribe((now, before) => {
    if (now.record?.writesThrough && now.save.kind === "saved" && now.files !== before.files) look();
    if (now.record?.writesThrough && !before.record?.writesThrough) look();
    if (now.save.kind === "saved" && before.save.kind !== "saved") look();
  });
  return () => {
    ended = true;
    clearInterval(timer);
    stopObserving?.();
    unsubscribe();
    window.removeEventListener("focus", look);
    document.removeEventListener("visibilitychange", look);
  };
}

/** Where the browser tells of changes (FileSystemObserver); null where it does not. */
function observe(folder: FileSystemDirectoryHandle, look: () => void): (() => void) | null {
  const Observing = (window as { FileSystemObserver?: new (told: () => void) => Observer }).FileSystemObserver;
  if (!Observing) return null;
  const observer = new Observing(look);
  observer.observe(folder, { recursive: true }).catch(() => undefined);
  return () => observer.disconnect();
}

/** Writes all that is another here than in the folder. */
async function writeThrough(
  folder: FileSystemDirectoryHandle,
  paths: ReadonlySet<string>,
  store: WorkspaceStore,
): Promise<void> {
  const { files, gone, noteOnDisk } = store.getState();
  const differing = [...files.values()].filter(({ path, file, onDisk }) =>
    file.kind === "other" ? !paths.has(path) : file.text !== onDisk,
  );
  // A text is known as it stands there; of anything else it is not known whether somebody put it there anew.
  const out = [...gone.values()].filter(({ path, onDisk }) => onDisk !== null && paths.has(path));
  if (differing.length + out.length === 0) return;
  await writeBack(
    folder,
    differing.map(({ file }) => file),
  );
  await removeFrom(
    folder,
    out.map(({ path }) => path),
  );
  const texts = differing.map(({ path, file }): [string, string | null] => [
    path,
    file.kind === "other" ? null : file.text,
  ]);
  await noteOnDisk(new Map([...texts, ...out.map(({ path }): [string, null] => [path, null])]));
}

type Side = "here" | "there";

/** What both changed in the same lines, to be chosen. */
function Meetings() {
  const store = useWorkspaceStore();
  const meetings = useWorkspace((state) => state.meetings);
  const [chosen, setChosen] = useState<Readonly<Record<string, Side>>>({});
  const join = async () => {
    const { files, write, noteOnDisk, setMeetings } = store.getState();
    const changes = meetings.flatMap((meeting) => {
      const file = files.get(meeting.path)?.file;
      if (!file || file.kind === "other") return [];
      const text = joinedText(meeting.parts, (part) => part[chosen[keyOf(meeting, part)] ?? "here"]);
      return text === file.text ? [] : [{ path: meeting.path, start: 0, end: file.text.length, insert: text }];
    });
    if (changes.length > 0) await write({ kind: "text", changes }, "Joined with what was changed in the folder");
    await noteOnDisk(new Map(meetings.map(({ path, there }) => [path, there])));
    setMeetings([]);
  };
  return (
    <Dialog
      open={meetings.length > 0}
      title="Changed here and in the folder, in the same lines"
      okText="Join"
      cancelText="Keep all as it is here"
      onOk={() => unwaited(join())}
      onCancel={() => {
        const { noteOnDisk, setMeetings } = store.getState();
        unwaited(noteOnDisk(new Map(meetings.map(({ path, there }) => [path, there]))));
        setMeetings([]);
      }}
      width="45rem"
      destroyOnHidden
    >
      <p>What only one side changed is joined. Of these lines one has to be chosen:</p>
      {meetings.map((meeting) => (
        <section key={meeting.path} aria-label={meeting.path}>
          <h3 className={styles.path}>
            <code>{meeting.path}</code>
          </h3>
          {meeting.parts.map((part) =>
            part.kind === "same" ? null : (
              <Radio.Group
                key={keyOf(meeting, part)}
                className={styles.choice ?? ""}
                aria-label={`Line ${part.line}`}
                value={chosen[keyOf(meeting, part)] ?? "here"}
                onChange={({ target }) =>
                  setChosen((before) => ({ ...before, [keyOf(meeting, part)]: target.value as Side }))
                }
              >
                <Radio value="here">
                  As it is here <Lines text={part.here} />
                </Radio>
                <Radio value="there">
                  As it is in the folder <Lines text={part.there} />
                </Radio>
              </Radio.Group>
            ),
          )}
        </section>
      ))}
    </Dialog>
  );
}

const keyOf = ({ path }: Meeting, part: JoinedPart & { kind: "both" }) => `${path} ${part.line}`;

const Lines = ({ text }: { text: string }) => <pre className={styles.lines}>{text === "" ? "(taken out)" : text}</pre>;
