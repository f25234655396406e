"use client";

import { App } from "antd";
import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import { OpenError } from "@/store/limits";
import { readDrop, readFiles, readFolder, readZip } from "@/store/read";
import { askForRoom, clearDeleted } from "@/store/sites";
import { isTyping } from "../shared/isTyping";
import { Mat, MatButton, matStyles } from "../shared/Mat";
import { plural } from "../shared/numbers";
import { useRoom } from "../shared/Room";
import { onFailure, unwaited } from "../shared/unwaited";
import { inWords } from "../workspace/words";
import { whenIdle } from "../shared/whenIdle";
import { loadAhead } from "./ahead";
import { ShelfArchive } from "./ShelfArchive";
import styles from "./Shelf.module.css";
import { SiteList } from "./SiteList";
import { useLaunched } from "./useLaunched";
import { useOpening, type Busy, type Open } from "./useOpening";

const PasteDialog = dynamic(() => import("./PasteDialog").then((module) => module.PasteDialog));
const NewSiteDialog = dynamic(() => import("./NewSiteDialog").then((module) => module.NewSiteDialog));
const SpecimenDialog = dynamic(() => import("./SpecimenDialog").then((module) => module.SpecimenDialog));

const day = 24 * 60 * 60 * 1000;

/** The start: ways to open a site, and the sites kept in this browser. */
export function Shelf() {
  const { open, busy, problem } = useOpening();
  const [dialog, setDialog] = useState<DialogName | null>(null);
  const [dragging, setDragging] = useState(false);
  const { room, setRoom } = useRoom();
  const usage = useRoomLeft();
  useEffect(() => whenIdle(loadAhead), []);
  const { message } = App.useApp();
  useEffect(() => {
    // What cannot be read is said by the list.
    clearDeleted(Date.now() - day).catch(() => undefined);
    return onFailure((error) => message.error(inWords(error)));
  }, [message]);
  useLaunched((files) => unwaited(open("what was handed over", (progress) => readFiles(files, progress))));

  return (
    <div
      className={dragging ? `${styles.shelf} ${styles.dragging}` : styles.shelf}
      onDragOver={(event) => {
        event.preventDefault();
        setDragging(true);
      }}
      onDragLeave={(event) => {
        if (event.currentTarget === event.target) setDragging(false);
      }}
      onDrop={(event) => {
        event.preventDefault();
        setDragging(false);
        const { items } = event.dataTransfer;
        unwaited(open("what was dropped", (progress) => readDrop(items, progress)));
      }}
    >
      <Mat>
        <span className={matStyles.space} />
        <MatButton onClick={() => setRoom(room === "dark" ? "light" : "dark")} aria-pressed={room === "dark"}>
          Dark room
        </MatButton>
      </Mat>
      <main className={styles.leaf}>
        <section className={styles.open} aria-labelledby="open-title">
          <h1 id="open-title">Open a site</h1>
          <p className={styles.lead}>
            Choose type and colour on the pages themselves, see what each choice reaches and whether it can be read, and
            get your own files back with only that changed. They stay in this browser: nothing is sent anywhere.
          </p>
          <Ways open={open} onDialog={setDialog} isFree={dialog === null && busy === null} />
          <p className={styles.hint}>Or drop a folder, files or a zip anywhere here.</p>
          <Opening busy={busy} problem={problem} />
        </section>
        <SiteList />
        <ShelfArchive />
        {usage && <p className={styles.usage}>{usage}</p>}
      </main>
      {dialog && <OpenDialog name={dialog} open={open} onClose={() => setDialog(null)} />}
    </div>
  );
}

/** What is being opened, and why something could not be. */
function Opening({ busy, problem }: { busy: Busy | null; problem: string | null }) {
  return (
    <>
      <p role="status" className={styles.busy}>
        {busy && (
          <>
            Opening {busy.what}… {busy.files > 0 && plural(busy.files, "file")}{" "}
            <button type="button" className="text-button" onClick={busy.stop}>
              Stop
            </button>
          </>
        )}
      </p>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
    </>
  );
}

/** Dialogs that make a site, with what it is called while it is opened. */
const dialogs = {
  paste: { Dialog: PasteDialog, what: "the pasted page" },
  new: { Dialog: NewSiteDialog, what: "the new site" },
  specimen: { Dialog: SpecimenDialog, what: "the specimen" },
};

type DialogName = keyof typeof dialogs;

function OpenDialog({ name, open, onClose }: { name: DialogName; open: Open; onClose(): void }) {
  const { Dialog, what } = dialogs[name];
  return <Dialog onClose={onClose} onOpen={(opened) => unwaited(open(what, () => opened))} />;
}

interface WaysProps {
  open: Open;
  onDialog(name: DialogName): void;
  /** Whether nothing else is open, so that keys are for the ways. */
  isFree: boolean;
}

function Ways({ open, onDialog, isFree }: WaysProps) {
  const folderInput = useRef<HTMLInputElement>(null);
  const filesInput = useRef<HTMLInputElement>(null);
  const openFolder = async () => {
    if (!("showDirectoryPicker" in window)) {
      folderInput.current?.click();
      return;
    }
    const pick = window.showDirectoryPicker as (options: { mode: "readwrite" }) => Promise<FileSystemDirectoryHandle>;
    await open("the folder", async (progress) => readFolder(await pick({ mode: "readwrite" }), progress));
  };
  const openSample = () =>
    open("the sample", async (progress) => {
      const response = await fetch("/sample.zip");
      if (!response.ok) throw new OpenError("The sample is not there. Start Hevret again with npm start.");
      return readZip("Ossel Island Ferries.zip", new Uint8Array(await response.arrayBuffer()), progress);
    });
  useSampleKey(isFree ? openSample : null);
  const fromInput = (what: string, input: HTMLInputElement) => {
    const list = [...(input.files ?? [])];
    input.value = "";
    if (list.length) unwaited(open(what, (progress) => readFiles(list, progress)));
  };
  return (
    <>
      <ul className={styles.ways}>
        <Way
          label="Folder"
          note="with leave to save back into it, where the browser can"
          onClick={() => unwaited(openFolder())}
        />
        <Way
          label="Files or a zip"
          note="pages, sheets, fonts and pictures"
          onClick={() => filesInput.current?.click()}
        />
        <Way label="Paste HTML and CSS" note="one page and its sheet" onClick={() => onDialog("paste")} />
        <Way label="New site" note="a page and a style sheet, from scratch" onClick={() => onDialog("new")} />
        <Way
          label="Specimen page"
          note="the parts of a page that you choose, to try a sheet on"
          onClick={() => onDialog("specimen")}
        />
        <Way
          label="Sample site"
          shortcut="S"
          note="Ossel Island Ferries, four pages with faults in them"
          onClick={() => unwaited(openSample())}
        />
      </ul>
      <input
        ref={folderInput}
        type="file"
        hidden
        aria-label="Folder to open"
        onChange={(event) => fromInput("the folder", event.currentTarget)}
        {...({ webkitdirectory: "" } as object)}
      />
      <input
        ref={filesInput}
        type="file"
        hidden
        multiple
        aria-label="Files to open"
        onChange={(event) => fromInput("the files", event.currentTarget)}
      />
    </>
  );
}

/** Opens the sample at a key. @param openSample - null while something else is open */
function useSampleKey(openSample: (() => Promise<void>) | null): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!openSample || event.key.toLowerCase() !== "s" || event.ctrlKey || event.metaKey || event.altKey) return;
      if (isTyping(event.target)) return;
      event.preventDefault();
      unwaited(openSample());
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [openSample]);
}

interface WayProps {
  label: string;
  note: string;
  /** A key that does the same. */
  shortcut?: string;
  onClick(): void;
}

function Way({ label, note, shortcut, onClick }: WayProps) {
  return (
    <li>
      <button type="button" className={styles.way} aria-keyshortcuts={shortcut} onClick={onClick}>
        <b>{label}</b> <span>{note}</span>
        {shortcut && <kbd aria-hidden="true">{shortcut}</kbd>}
      </button>
    </li>
  );
}

/** How much of the browser's storage is used, once something is. */
function useRoomLeft(): string | null {
  const [text, setText] = useState<string | null>(null);
  useEffect(() => {
    unwaited(
      askForRoom().then((room) => {
        if (!room) return;
        const mega = (bytes: number) => (bytes / 1024 / 1024).toLocaleString("en-GB", { maximumFractionDigits: 1 });
        setText(`The shelf uses ${mega(room.used)} MB of the ${mega(room.quota)} MB this browser gives it.`);
      }),
    );
  }, []);
  return text;
}
