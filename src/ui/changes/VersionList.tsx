"use client";

import type { StoredFile } from "@/core";
import { openedFiles } from "@/store/sites";
import { deleteVersion, versionFiles, type VersionInfo } from "@/store/versions";
import { showDate } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import type { VersionId } from "./versions";
import styles from "./Changes.module.css";

interface Props {
  versions: readonly VersionInfo[];
  onGoBack(title: string, then: Promise<StoredFile[]>): Promise<void>;
  onCompare(id: VersionId): void;
}

/** The versions there are, and ways back to them. */
export function VersionList({ versions, onGoBack, onCompare }: Props) {
  const record = useWorkspace((state) => state.record!);
  return (
    <>
      {versions.length === 0 && (
        <p className={styles.lead}>
          No version is kept yet. One that is kept under a name can be compared with what comes later, and gone back to.
        </p>
      )}
      <ul className={styles.versions} aria-label="Versions">
        {versions.map(({ id, name, time }) => (
          <li key={id}>
            <b>{name}</b>
            <span>{showDate(time)}</span>
            <button type="button" className="text-button" onClick={() => onCompare(id)}>
              Compare<span className="visually-hidden"> with {name}</span>
            </button>
            <button
              type="button"
              className="text-button"
              onClick={() => unwaited(onGoBack(`Go back to “${name}”`, versionFiles(record.id, id)))}
            >
              Go back…<span className="visually-hidden"> to {name}</span>
            </button>
            <button type="button" className="text-button" onClick={() => unwaited(deleteVersion(record.id, id))}>
              Delete<span className="visually-hidden"> {name}</span>
            </button>
          </li>
        ))}
        <li>
          <b>As it was opened</b>
          <span>{showDate(record.created)}</span>
          <button type="button" className="text-button" onClick={() => onCompare("opened")}>
            Compare<span className="visually-hidden"> with the opening</span>
          </button>
          <button
            type="button"
            className="text-button"
            onClick={() => unwaited(onGoBack("Go back to the opening", openedFiles(record.id)))}
          >
            Go back…<span className="visually-hidden"> to the opening</span>
          </button>
        </li>
      </ul>
    </>
  );
}
