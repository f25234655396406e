"use client";

import { FileChooser } from "../../shared/FileChooser";
import { unwaited } from "../../shared/unwaited";
import { useWorkspace } from "../../workspace/context";
import styles from "./Tokens.module.css";

/** Opens a tokens file beside the site. */
export function OpenTokens({ label = "Hold against tokens…" }: { label?: string }) {
  const holdAgainst = useWorkspace((state) => state.holdAgainst);
  const take = async (file: File) => holdAgainst({ name: file.name, text: await file.text() });
  return (
    <FileChooser
      className={`chip ${styles.open}`}
      name="Tokens file to hold the site against"
      accept=".json,.tokens"
      onFiles={([file]) => unwaited(take(file))}
    >
      {label}
    </FileChooser>
  );
}
