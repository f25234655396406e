"use client";

/** The ways out of the application: files, reports, and what was changed. */
import { App } from "antd";
import { canDiffer, unifiedDiff } from "@/core";
import { fileBytes } from "@/core/files";
import type { FileRecord } from "@/store/database";
import { askLeave } from "@/store/leave";
import { openedFiles } from "@/store/sites";
import { changedMeanwhile, download, isChanged, writeBack, zipOf } from "@/store/write";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspaceStore } from "../workspace/context";
import { filesNow, textVersions, wayTo } from "./versions";

interface Desk {
  store: ReturnType<typeof useWorkspaceStore>;
  engine: ReturnType<typeof useEngine>;
  message: ReturnType<typeof App.useApp>["message"];
  modal: ReturnType<typeof App.useApp>["modal"];
}

export function useExport() {
  const store = useWorkspaceStore();
  const engine = useEngine();
  const { message, modal } = App.useApp();
  const desk: Desk = { store, engine, message, modal };
  return {
    saveZip: (which: "changed" | "all") => saveZip(desk, which),
    saveFile: (path: string) => saveFile(desk, path),
    saveBack: () => saveBack(desk),
    saveReport: (id: string, label: string) => saveReport(desk, id, label),
    saveDiff: () => saveDiff(desk),
    saveWords: () => saveWords(desk),
  };
}

const fileName = (name: string) => name.replace(/[^\p{L}\p{N}._-]+/gu, "-").replace(/^-+|-+$/g, "") || "site";

const nameOf = ({ store }: Desk) => fileName(store.getState().record?.name ?? "site");
const filesOf = ({ store }: Desk) => [...store.getState().files.values()];
const openedOf = ({ store }: Desk) => openedFiles(store.getState().record!.id);

function saveZip(desk: Desk, which: "changed" | "all"): void {
  const chosen = which === "all" ? filesOf(desk) : filesOf(desk).filter(isChanged);
  if (chosen.length === 0) {
    desk.message.info("Nothing is changed, so there is nothing to export. The whole site can still be exported.");
    return;
  }
  const bytes = zipOf(
    chosen.map(({ file }) => file),
    new Date(),
  );
  download(`${nameOf(desk)}${which === "all" ? "" : "-changed"}.zip`, bytes, "application/zip");
}

function saveFile({ store }: Desk, path: string): void {
  const record = store.getState().files.get(path);
  if (record) download(path.slice(path.lastIndexOf("/") + 1), fileBytes(record.file), "application/octet-stream");
}

async function saveBack(desk: Desk): Promise<void> {
  const { store, message } = desk;
  const folder = store.getState().record?.folder;
  if (!folder) return;
  const chosen = filesOf(desk).filter(
    ({ file, onDisk, added }) => added || (file.kind !== "other" && file.text !== onDisk),
  );
  if (chosen.length === 0) {
    message.info("The folder already holds everything as it is here.");
    return;
  }
  try {
    if (await writeInto(desk, folder, chosen))
      message.success(`${plural(chosen.length, "file")} written to ${folder.name}.`);
  } catch (error) {
    message.error(`The folder could not be written: ${(error as Error).message} Nothing is lost here.`);
  }
}

/** @returns false where it is left alone, since others changed it meanwhile */
async function writeInto(
  { store, modal }: Desk,
  folder: FileSystemDirectoryHandle,
  chosen: readonly FileRecord[],
): Promise<boolean> {
  if (!(await askLeave(folder))) throw new Error("The browser was not given leave to write there.");
  const meanwhile = await changedMeanwhile(folder, chosen);
  if (meanwhile.length > 0 && !(await confirmOverwrite(modal, meanwhile))) return false;
  await writeBack(
    folder,
    chosen.map(({ file }) => file),
  );
  const onDisk = chosen.map(({ path, file }) => [path, file.kind === "other" ? null : file.text] as const);
  await store.getState().noteOnDisk(new Map(onDisk));
  return true;
}

async function saveReport(desk: Desk, id: string, label: string): Promise<void> {
  const { store, engine, message } = desk;
  const { record, conditions } = store.getState();
  const about = { name: record?.name ?? "Site", left: record?.left ?? {} };
  const close = sayMaking(message, label, () => unwaited(engine.stopReports()));
  try {
    const made = await engine.report(id, about, conditions);
    if (made) download(`${nameOf(desk)}-${made.file}`, new TextEncoder().encode(made.text), made.type);
  } finally {
    close();
  }
}

async function saveDiff(desk: Desk): Promise<void> {
  const [was, is] = [await openedOf(desk), filesNow(desk.store.getState().files)];
  const { changes, files: moved } = wayTo(was, is);
  const changed = [...new Set([...changes, ...moved].map(({ path }) => path))];
  const told = textVersions(changed, was, is).filter(canDiffer);
  const left = changed.length - told.length;
  download(`${nameOf(desk)}.diff`, unifiedDiff(told), "text/x-diff");
  if (left > 0)
    desk.message.info(
      `${plural(left, "file")} cannot be told in lines, and ${left === 1 ? "is" : "are"} not in it: the zip has all.`,
    );
}

async function saveWords(desk: Desk): Promise<void> {
  const text = await desk.engine.changesInWords(await openedOf(desk), desk.store.getState().conditions);
  if (text !== null) download(`${nameOf(desk)}-changes.txt`, new TextEncoder().encode(text), "text/plain");
}

/** Milliseconds before it is said that something is being made. */
const noticeable = 300;

/** Says what is being made where that takes noticeably long, with a way to stop it. @returns what takes it off again */
function sayMaking(message: Desk["message"], what: string, stop: () => void): () => void {
  const key = crypto.randomUUID();
  const later = setTimeout(
    () =>
      void message.open({
        key,
        duration: 0,
        content: (
          <>
            Making: {what}…{" "}
            <button type="button" className="text-button" onClick={stop}>
              Stop
            </button>
          </>
        ),
      }),
    noticeable,
  );
  return () => {
    clearTimeout(later);
    message.destroy(key);
  };
}

function confirmOverwrite(modal: Desk["modal"], paths: readonly string[]): Promise<boolean> {
  return new Promise((resolve) => {
    modal.confirm({
      title: "Files in the folder have changed meanwhile",
      content: `${paths.join(", ")} ${paths.length === 1 ? "is" : "are"} no longer as last read. Writing replaces what is there now.`,
      okText: "Replace them",
      cancelText: "Leave the folder alone",
      onOk: () => resolve(true),
      onCancel: () => resolve(false),
    });
  });
}
