"use client";

import { App, Dropdown } from "antd";
import { canDiffer, reportGroups, unifiedDiff } from "@/core";
import { fileBytes } from "@/core/files";
import { askLeave } from "@/store/leave";
import { openedFiles } from "@/store/sites";
import { changedMeanwhile, download, isChanged, writeBack, zipOf } from "@/store/write";
import { MatButton } from "../shared/Mat";
import { plural } from "../shared/numbers";
import { useAnswer } from "../workspace/answers";
import { useEngine, useWorkspace, useWorkspaceStore } from "../workspace/context";
import { unwaited } from "../shared/unwaited";
import styles from "./ExportMenu.module.css";
import { filesNow, textVersions, wayTo } from "./versions";

const fileName = (name: string) => name.replace(/[^\p{L}\p{N}._-]+/gu, "-").replace(/^-+|-+$/g, "") || "site";

/** The ways out. */
export function useExport() {
  const store = useWorkspaceStore();
  const engine = useEngine();
  const { message, modal } = App.useApp();

  const files = () => [...store.getState().files.values()];
  const name = () => fileName(store.getState().record?.name ?? "site");
  const opened = () => openedFiles(store.getState().record!.id);
  const saveZip = (which: "changed" | "all") => {
    const chosen = which === "all" ? files() : files().filter(isChanged);
    if (chosen.length === 0) {
      message.info("Nothing is changed, so there is nothing to export. The whole site can still be exported.");
      return;
    }
    const bytes = zipOf(
      chosen.map(({ file }) => file),
      new Date(),
    );
    download(`${name()}${which === "all" ? "" : "-changed"}.zip`, bytes, "application/zip");
  };
  const saveFile = (path: string) => {
    const record = store.getState().files.get(path);
    if (record) download(path.slice(path.lastIndexOf("/") + 1), fileBytes(record.file), "application/octet-stream");
  };
  const saveBack = async () => {
    const { record, noteOnDisk } = store.getState();
    const folder = record?.folder;
    if (!record || !folder) return;
    const chosen = files().filter(
      ({ file, onDisk, added }) => added || (file.kind !== "other" && file.text !== onDisk),
    );
    if (chosen.length === 0) {
      message.info("The folder already holds everything as it is here.");
      return;
    }
    try {
      if (!(await askLeave(folder))) throw new Error("The browser was not given leave to write there.");
      const meanwhile = await changedMeanwhile(folder, chosen);
      if (meanwhile.length > 0 && !(await confirmOverwrite(modal, meanwhile))) return;
      await writeBack(
        folder,
        chosen.map(({ file }) => file),
      );
      await noteOnDisk(new Map(chosen.map(({ path, file }) => [path, file.kind === "other" ? null : file.text])));
      message.success(`${plural(chosen.length, "file")} written to ${folder.name}.`);
    } catch (error) {
      message.error(`The folder could not be written: ${(error as Error).message} Nothing is lost here.`);
    }
  };
  const saveReport = async (id: string, label: string) => {
    const { record, conditions } = store.getState();
    const about = { name: record?.name ?? "Site", left: record?.left ?? {} };
    const close = sayMaking(message, label, () => unwaited(engine.stopReports()));
    try {
      const made = await engine.report(id, about, conditions);
      if (made) download(`${name()}-${made.file}`, new TextEncoder().encode(made.text), made.type);
    } finally {
      close();
    }
  };
  const saveDiff = async () => {
    const [was, is] = [await opened(), filesNow(store.getState().files)];
    const { changes, files: moved } = wayTo(was, is);
    const changed = [...new Set([...changes, ...moved].map(({ path }) => path))];
    const told = textVersions(changed, was, is).filter(canDiffer);
    const left = changed.length - told.length;
    download(`${name()}.diff`, unifiedDiff(told), "text/x-diff");
    if (left > 0)
      message.info(
        `${plural(left, "file")} cannot be told in lines, and ${left === 1 ? "is" : "are"} not in it: the zip has all.`,
      );
  };
  const saveWords = async () => {
    const text = await engine.changesInWords(await opened(), store.getState().conditions);
    if (text !== null) download(`${name()}-changes.txt`, new TextEncoder().encode(text), "text/plain");
  };
  return { saveZip, saveFile, saveBack, saveReport, saveDiff, saveWords };
}

/** Milliseconds before it is said that something is being made. */
const noticeable = 300;

/** Says what is being made where that takes noticeably long, with a way to stop it. @returns what takes it off again */
function sayMaking(message: ReturnType<typeof App.useApp>["message"], what: string, stop: () => void): () => void {
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

function confirmOverwrite(modal: ReturnType<typeof App.useApp>["modal"], paths: readonly string[]): Promise<boolean> {
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

export function ExportMenu() {
  const files = useWorkspace((state) => state.files);
  const gone = useWorkspace((state) => state.gone);
  const record = useWorkspace((state) => state.record);
  const { saveZip, saveFile, saveBack, saveReport, saveDiff, saveWords } = useExport();
  const reports = useAnswer("reports") ?? [];
  const changed = [...files.values()].filter(isChanged);
  const none = changed.length + gone.size === 0;
  const groups = [
    {
      title: "The files",
      items: [
        way(
          "changed",
          `Changed files as zip (${changed.length})`,
          "What was edited, under its own names",
          saveZip,
          changed.length === 0,
        ),
        way("all", "Whole site as zip", "Every file as it is now", saveZip),
        ...(record?.folder
          ? [way("folder", `Write back into ${record.folder.name}`, "Over the files it was opened from", saveBack)]
          : []),
      ],
    },
    {
      title: "What was changed",
      items: [
        way("diff", "Changes as a unified diff, for git apply", "Line by line, for a repository", saveDiff, none),
        way("words", "Changes in words, for a message", "What was, what is, and how many places", saveWords, none),
      ],
    },
    ...reportGroups.map(({ id: group, title }) => ({
      title,
      items: reports
        .filter((report) => report.group === group)
        .map(({ id, label, hint }) => way(id, label, hint, () => saveReport(id, label))),
    })),
    { title: "Single files", items: changed.map(({ path }) => way(path, path, null, saveFile)) },
  ];
  const items = groups
    .filter((group) => group.items.length > 0)
    .map((group) => ({ type: "group" as const, key: group.title, label: group.title, children: group.items }));
  return (
    <Dropdown
      trigger={["click"]}
      placement="bottomRight"
      menu={{ items, className: styles.menu ?? "" }}
      destroyOnHidden
    >
      <MatButton filled>Export</MatButton>
    </Dropdown>
  );
}

/** One way out, with a word on what it is good for. */
function way<Key extends string>(
  key: Key,
  label: string,
  hint: string | null,
  take: (key: Key) => unknown,
  disabled = false,
) {
  return {
    key,
    disabled,
    label: (
      <>
        {label}
        {hint !== null && <small>{hint}</small>}
      </>
    ),
    onClick: () => unwaited(Promise.resolve(take(key))),
  };
}
