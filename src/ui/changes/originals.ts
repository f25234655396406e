import type { FileVersions, StoredFile } from "@/core";
import { isChanged } from "@/store/write";
import type { Workspace } from "../workspace/state";

type Files = Workspace["files"];

/** The files as they were opened: those that were put in since are not among them. */
export function originals(files: Files): StoredFile[] {
  return [...files.values()].flatMap(({ file, original, added }) => {
    if (added) return [];
    return [file.kind === "other" || original === null ? file : { ...file, text: original }];
  });
}

/** The text files that were changed, before and after. */
export function changedTexts(files: Files): FileVersions[] {
  return [...files.values()].filter(isChanged).flatMap(({ path, file, original, added }) => {
    if (file.kind === "other") return [];
    return [{ path, before: added || original === null ? null : { ...file, text: original }, after: file }];
  });
}
