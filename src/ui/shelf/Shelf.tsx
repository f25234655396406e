"use client";

import { App, Button, Dropdown, Input } from "antd";
import { useLiveQuery } from "dexie-react-hooks";
import dynamic from "next/dynamic";
import { PrefetchKind } from "next/dist/client/components/router-reducer/router-reducer-types";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { storageError, StorageError } from "@/store/failures";
import { OpenError } from "@/store/limits";
import { readDrop, readFiles, readFolder, readZip, type Opened, type Progress } from "@/store/read";
import {
  addSite,
  askForRoom,
  clearDeleted,
  deleteSite,
  duplicateSite,
  listSites,
  renameSite,
  restoreSite,
} from "@/store/sites";
import type { SiteRecord } from "@/store/database";
import { Dialog } from "../shared/Dialog";
import { isTyping } from "../shared/isTyping";
import { Mat, MatButton, matStyles } from "../shared/Mat";
import { plural, showDate } from "../shared/numbers";
import { useRoom } from "../shared/Room";
import { loadAhead, whenIdle } from "./ahead";
import { DeskPicture } from "./DeskPicture";
import { useLaunched } from "./useLaunched";
import { ShelfArchive } from "./ShelfArchive";
import styles from "./Shelf.module.css";
import { onFailure, unwaited } from "../shared/unwaited";
import { inWords } from "../workspace/words";

const PasteDialog = dynamic(() => import("./PasteDialog").then((module) => module.PasteDialog));
const NewSiteDialog = dynamic(() => import("./NewSiteDialog").then((module) => module.NewSiteDialog));
const SpecimenDialog = dynamic(() => import("./SpecimenDialog").then((module) => module.SpecimenDialog));

const day = 24 * 60 * 60 * 1000;

/** Opens what a way of opening brings, and goes there; says in plain words what cannot be opened. */
function useOpening() {
  const router = useRouter();
  const [busy, setBusy] = useState<{ what: string; files: number; stop(): void } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (what: string, read: (progress: Progress) => Promise<Opened> | Opened) => {
    const stopping = new AbortController();
    const id = crypto.randomUUID();
    const address = `/site/${id}/page`;
    // It comes while the files are read.
    router.prefetch(address, { kind: PrefetchKind.FULL });
    setBusy({ what, files: 0, stop: () => stopping.abort() });
    setProblem(null);
    try {
      const opened = await read({
        signal: stopping.signal,
        report: (files) => setBusy((now) => now && { ...now, files }),
      });
      await addSite(opened, id);
      router.push(address);
    } catch (error) {
      setBusy(null);
      if ((error as Error).name === "AbortError") return;
      const known = error instanceof OpenError || error instanceof StorageError;
      setProblem(known ? (error as Error).message : `It could not be opened: ${(error as Error).message}`);
    }
  };
  return { open, busy, problem };
}

/** The start: ways to open a site, and the sites kept in this browser. */
export function Shelf() {
  const { open, busy, problem } = useOpening();
  const [dialog, setDialog] = useState<"paste" | "specimen" | "new" | null>(null);
  const [dragging, setDragging] = useState(false);
  const folderInput = useRef<HTMLInputElement>(null);
  const filesInput = useRef<HTMLInputElement>(null);
  const { room, setRoom } = useRoom();
  const usage = useRoomLeft();

  useEffect(() => whenIdle(loadAhead), []);

  const { message } = App.useApp();
  useEffect(() => {
    // What cannot be read is said by the list.
    clearDeleted(Date.now() - day).catch(() => undefined);
    return onFailure((error) => message.error(inWords(error)));
  }, [message]);

  const openFolder = async () => {
    if (!("showDirectoryPicker" in window)) {
      folderInput.current?.click();
      return;
    }
    const pick = window.showDirectoryPicker as (options: { mode: "readwrite" }) => Promise<FileSystemDirectoryHandle>;
    await open("the folder", async (progress) => readFolder(await pick({ mode: "readwrite" }), progress));
  };

  const fromInput = (what: string, input: HTMLInputElement) => {
    const list = [...(input.files ?? [])];
    input.value = "";
    if (list.length) unwaited(open(what, (progress) => readFiles(list, progress)));
  };

  const openSample = () =>
    open("the sample", async (progress) => {
      const response = await fetch("/sample.zip");
      if (!response.ok) throw new OpenError("The sample is not there. Start Hevret again with npm start.");
      return readZip("Ossel Island Ferries.zip", new Uint8Array(await response.arrayBuffer()), progress);
    });

  useLaunched((files) => unwaited(open("what was handed over", (progress) => readFiles(files, progress))));
  useSampleKey(dialog === null && busy === null ? openSample : null);

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
            <Way label="Paste HTML and CSS" note="one page and its sheet" onClick={() => setDialog("paste")} />
            <Way label="New site" note="a page and a style sheet, from scratch" onClick={() => setDialog("new")} />
            <Way
              label="Specimen page"
              note="the parts of a page that you choose, to try a sheet on"
              onClick={() => setDialog("specimen")}
            />
            <Way
              label="Sample site"
              shortcut="S"
              note="Ossel Island Ferries, four pages with faults in them"
              onClick={() => unwaited(openSample())}
            />
          </ul>
          <p className={styles.hint}>Or drop a folder, files or a zip anywhere here.</p>
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
        </section>
        <SiteList />
        <ShelfArchive />
        {usage && <p className={styles.usage}>{usage}</p>}
      </main>
      {dialog === "paste" && (
        <PasteDialog
          onClose={() => setDialog(null)}
          onOpen={(opened) => unwaited(open("the pasted page", () => opened))}
        />
      )}
      {dialog === "new" && (
        <NewSiteDialog
          onClose={() => setDialog(null)}
          onOpen={(opened) => unwaited(open("the new site", () => opened))}
        />
      )}
      {dialog === "specimen" && (
        <SpecimenDialog
          onClose={() => setDialog(null)}
          onOpen={(opened) => unwaited(open("the specimen", () => opened))}
        />
      )}
    </div>
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

/** The sites, or why they cannot be read. */
async function sitesOnShelf(): Promise<SiteRecord[] | string> {
  try {
    return await listSites();
  } catch (error) {
    return (storageError(error) as Error).message;
  }
}

function SiteList() {
  const followed = useLiveQuery(sitesOnShelf);
  // Where there is no storage, nothing is followed.
  const [first, setFirst] = useState<SiteRecord[] | string>();
  useEffect(() => unwaited(sitesOnShelf().then(setFirst)), []);
  const sites = followed ?? first;
  if (!sites) return null;
  if (typeof sites === "string")
    return (
      <p role="alert" className={styles.problem}>
        {sites}
      </p>
    );
  return (
    <section aria-labelledby="sites-title">
      <h2 id="sites-title">On the shelf</h2>
      {sites.length === 0 ? (
        <div className={styles.empty}>
          <p>
            Every site that you open stays here, with all that you did to it. None is here yet: the sample, on the left,
            is a good start.
          </p>
          <DeskPicture />
        </div>
      ) : (
        <table className={styles.sites}>
          <thead>
            <tr>
              <th scope="col">Site</th>
              <th scope="col">Holds</th>
              <th scope="col">Last change</th>
              <th scope="col">
                <span className="visually-hidden">Actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {sites.map((site) => (
              <SiteRow key={site.id} site={site} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function SiteRow({ site }: { site: SiteRecord }) {
  const { message } = App.useApp();
  const [naming, setNaming] = useState(false);
  const remove = async () => {
    await deleteSite(site.id);
    const key = `deleted-${site.id}`;
    message.open({
      key,
      type: "info",
      duration: 12,
      content: (
        <span>
          {site.name} was deleted.{" "}
          <Button
            size="small"
            onClick={() => {
              unwaited(restoreSite(site.id));
              message.destroy(key);
            }}
          >
            Bring it back
          </Button>
        </span>
      ),
    });
  };
  const copy = async () => {
    try {
      await duplicateSite(site.id);
    } catch (error) {
      message.error((error as Error).message);
    }
  };
  return (
    <tr>
      <th scope="row">
        <Link href={`/site/${site.id}/page`}>{site.name}</Link>
      </th>
      <td>
        {plural(site.pages, "page")}, {plural(site.sheets, "sheet")}
        {site.found ? `, ${plural(site.found, "finding")}` : ""}
        {site.refused.length > 0 && (
          <details className={styles.doubt}>
            <summary>◆ {plural(site.refused.length, "file")} left out</summary>
            <ul className={styles.refused}>
              {site.refused.map(({ path, reason }) => (
                <li key={path}>
                  <code>{path}</code>: {reason}
                </li>
              ))}
            </ul>
          </details>
        )}
      </td>
      <td>{showDate(site.changed)}</td>
      <td className={styles.actions}>
        <Dropdown
          trigger={["click"]}
          destroyOnHidden
          menu={{
            items: [
              { key: "rename", label: "Rename", onClick: () => setNaming(true) },
              { key: "copy", label: "Duplicate", onClick: () => unwaited(copy()) },
              { key: "delete", label: "Delete", onClick: () => unwaited(remove()) },
            ],
          }}
        >
          <Button size="small" aria-label={`Actions for ${site.name}`}>
            More ▾
          </Button>
        </Dropdown>
        {naming && <RenameDialog site={site} onClose={() => setNaming(false)} />}
      </td>
    </tr>
  );
}

function RenameDialog({ site, onClose }: { site: SiteRecord; onClose(): void }) {
  const [name, setName] = useState(site.name);
  const [problem, setProblem] = useState<string | null>(null);
  const rename = async () => {
    try {
      await renameSite(site.id, name);
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Dialog
      open
      title="Rename the site"
      okText="Rename"
      onOk={() => unwaited(rename())}
      onCancel={onClose}
      width="26.25rem"
    >
      <label>
        Name
        <Input value={name} onChange={(event) => setName(event.target.value)} onPressEnter={() => unwaited(rename())} />
      </label>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
    </Dialog>
  );
}
