"use client";

import { useState } from "react";
import { FileChooser } from "../shared/FileChooser";
import { Problem } from "../shared/Problem";
import { unwaited } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Stacks.module.css";

/** Shows the rule that declares a font file; it is put into the site with it. */
export function AddFont({ onPropose }: { onPropose(proposal: Proposal): void }) {
  const fontToAdd = useWorkspace((state) => state.fontToAdd);
  const [said, setProblem] = useState<string | null>(null);
  const take = async (file: File) => {
    const { family, changes, files, problem } = await fontToAdd(file.name, new Uint8Array(await file.arrayBuffer()));
    setProblem(problem && `${file.name}: ${problem}`);
    if (!problem) onPropose({ title: `Add ${family}`, changes, files });
  };
  return (
    <>
      <FileChooser
        className={`chip ${styles.addFont}`}
        name="Font file to add"
        accept=".woff2,.woff,.ttf,.otf"
        onFiles={([file]) => unwaited(take(file))}
      >
        Add a font file
      </FileChooser>
      <Problem>{said}</Problem>
    </>
  );
}
