"use client";

import { Checkbox } from "antd";
import { useState } from "react";
import { fromFolder } from "@/store/folder";
import { askLeave } from "@/store/leave";
import { readFiles } from "@/store/read";
import { FileChooser } from "../shared/FileChooser";
import { Problem } from "../shared/Problem";
import { unwaited } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { takeFrom } from "../workspace/takeFrom";
import styles from "./Changes.module.css";

/** The folder that the site was opened from: followed, written through, or read again by hand. */
export function FolderPart() {
  const folder = useWorkspace((state) => state.record!.folder);
  return <div className={styles.folder}>{folder ? <Followed folder={folder} /> : <ReadAgain />}</div>;
}

function Followed({ folder }: { folder: FileSystemDirectoryHandle }) {
  const following = useWorkspace((state) => state.following);
  const follows = useWorkspace((state) => !state.record!.unfollowed);
  const writesThrough = useWorkspace((state) => state.record!.writesThrough === true);
  const keepFollowing = useWorkspace((state) => state.keepFollowing);
  const setFollowing = useWorkspace((state) => state.setFollowing);
  const ask = async () => {
    if (await askLeave(folder)) setFollowing("yes");
  };
  return (
    <>
      <p>
        <Checkbox
          checked={follows}
          onChange={({ target }) => unwaited(keepFollowing(target.checked, target.checked && writesThrough))}
        >
          Follow the folder {folder.name}
        </Checkbox>
      </p>
      <p className={styles.lead}>
        What another program changes there appears here as a step, joined with what was changed here. Files that come,
        go and are renamed are followed.
      </p>
      {following === "asks" && (
        <p>
          The browser has to be given leave to read and write there again.{" "}
          <button type="button" className="text-button" onClick={() => unwaited(ask())}>
            Give leave
          </button>
        </p>
      )}
      <p>
        <Checkbox
          checked={writesThrough}
          disabled={!follows}
          onChange={({ target }) => unwaited(keepFollowing(follows, target.checked))}
        >
          Write as I go
        </Checkbox>
      </p>
      <p className={styles.lead}>Every step is written into the folder at once.</p>
    </>
  );
}

/** Of single files only the name is known: it is the one file of that name, where there is one. */
function placeOf(name: string, paths: readonly string[]): string {
  const alike = paths.filter((path) => path === name || path.endsWith(`/${name}`));
  return alike.length === 1 ? alike[0]! : name;
}

/** Without a folder that can be looked into, it is chosen anew. */
function ReadAgain() {
  const store = useWorkspaceStore();
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (list: readonly File[], isFolder: boolean) => {
    try {
      const { name, files } = await readFiles(list);
      const { files: known, gone } = store.getState();
      const isWhole = isFolder || /\.zip$/i.test(list[0]?.name ?? "");
      const written = isWhole ? files : files.map((file) => ({ ...file, path: placeOf(file.path, [...known.keys()]) }));
      const found = fromFolder(known, gone, written, isWhole ? new Set(files.map(({ path }) => path)) : null);
      setProblem(
        found.changes.length + found.files.length + found.meetings.length === 0 ? "Nothing is another there." : null,
      );
      await takeFrom(found, name, store);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <>
      <p>
        The site was not opened from a folder that can be looked into. Chosen anew, it is compared: what another program
        changed there is taken in as a step, joined with what was changed here.
      </p>
      <p className={styles.choosers}>
        <FileChooser className="chip" takes="folder" onFiles={(list) => unwaited(take(list, true))}>
          Read a folder again…
        </FileChooser>
        <FileChooser className="chip" takes="files" onFiles={(list) => unwaited(take(list, false))}>
          Read a zip or files again…
        </FileChooser>
      </p>
      <Problem>{problem}</Problem>
    </>
  );
}
