"use client";

import { unwaited } from "../../shared/unwaited";
import { useWorkspace } from "../../workspace/context";
import styles from "./Tokens.module.css";

/** Opens a tokens file beside the site. */
export function OpenTokens({ label = "Hold against tokens…" }: { label?: string }) {
  const holdAgainst = useWorkspace((state) => state.holdAgainst);
  const take = async (file: File) => holdAgainst({ name: file.name, text: await file.text() });
  return (
    <label className={`chip ${styles.open}`}>
      {label}
      <input
        type="file"
        className="visually-hidden"
        aria-label="Tokens file to hold the site against"
        accept=".json,.tokens"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) unwaited(take(file));
        }}
      />
    </label>
  );
}
