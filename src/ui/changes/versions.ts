/** The versions of the open site: as it was opened, those that were kept, and as it is now. */
import { liveQuery } from "dexie";
import { useEffect, useState } from "react";
import { changeBetween, sameContents, type FileChange, type StoredFile, type TextChange } from "@/core/files";
import type { FileVersions } from "@/core";
import { openedFiles } from "@/store/sites";
import { listVersions, versionFiles, type VersionInfo } from "@/store/versions";
import { unwaited } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import type { Workspace } from "../workspace/state";

/** "opened", "now", or the id of one that was kept. */
export type VersionId = string;

/** Those that were kept, the newest first; null until they are read. Other windows are followed. */
export function useVersions(): readonly VersionInfo[] | null {
  const site = useWorkspace((state) => state.record!.id);
  const store = useWorkspaceStore();
  const [versions, setVersions] = useState<readonly VersionInfo[] | null>(null);
  useEffect(() => {
    const following = liveQuery(() => listVersions(site)).subscribe(setVersions, (error) =>
      store.getState().failed(error),
    );
    return () => following.unsubscribe();
  }, [site, store]);
  return versions;
}

export const filesNow = (files: Workspace["files"]): StoredFile[] => [...files.values()].map(({ file }) => file);

/** The files of a version; null until they are read, and for the site as it is now, which others hold. */
export function useVersionFiles(id: VersionId): StoredFile[] | null {
  const site = useWorkspace((state) => state.record!.id);
  const [read, setRead] = useState<{ id: VersionId; site: string; files: StoredFile[] } | null>(null);
  useEffect(() => {
    if (id === "now") return;
    let current = true;
    unwaited(
      (id === "opened" ? openedFiles(site) : versionFiles(site, id)).then(
        (files) => current && setRead({ id, site, files }),
      ),
    );
    return () => {
      current = false;
    };
  }, [site, id]);
  return read && read.id === id && read.site === site ? read.files : null;
}

/** Changes of texts, and of files as wholes before them. */
export interface Way {
  changes: TextChange[];
  files: FileChange[];
}

/** What makes files those of a version: texts are changed, files put in and taken out. */
export function wayTo(then: readonly StoredFile[], now: readonly StoredFile[]): Way {
  const changes: TextChange[] = [];
  const files: FileChange[] = [];
  const [byPath, before] = [then, now].map((list) => new Map(list.map((file) => [file.path, file])));
  for (const [path, file] of before!) if (!byPath!.has(path)) files.push({ path, before: file, after: null });
  for (const [path, file] of byPath!) {
    const own = before!.get(path);
    if (!own) files.push({ path, before: null, after: file });
    else if (own.kind !== "other" && file.kind !== "other") {
      const change = changeBetween(path, own.text, file.text);
      if (change) changes.push(change);
    } else if (!sameContents(own, file)) files.push({ path, before: own, after: file });
  }
  return { changes, files };
}

/** The texts at these paths, before and after; what is no text is left out. */
export function textVersions(
  paths: readonly string[],
  before: readonly StoredFile[],
  after: readonly StoredFile[],
): FileVersions[] {
  const textIn = (files: readonly StoredFile[], path: string) => {
    const file = files.find((one) => one.path === path);
    return file && file.kind !== "other" ? file : null;
  };
  return paths.flatMap((path) => {
    const [was, is] = [textIn(before, path), textIn(after, path)];
    return was || is ? [{ path, before: was, after: is }] : [];
  });
}
