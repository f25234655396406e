"use client";

import { Input } from "antd";
import { useState } from "react";
import type { DraftKindName } from "@/core";
import type { WrittenFiles } from "@/engine/protocol";
import { Choice } from "../shared/Choice";
import { Problem } from "../shared/Problem";
import { Proof } from "../workspace/Proof";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import styles from "./Schemes.module.css";

/** Where something is written, a sheet of its own or one there is, and the dialog that shows what changes. */
export function usePlace(name: string) {
  const [own, setOwn] = useState(false);
  const [path, setPath] = useState(name);
  const [problem, setProblem] = useState<string | null>(null);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const propose = async (title: string, asked: Promise<WrittenFiles>, except: DraftKindName | null) => {
    const { changes, files, problem: why } = await asked;
    setProblem(why);
    if (why !== null) return;
    setProposal({
      title,
      changes,
      files,
      counted: "change",
      proof: <Proof changes={changes} files={files} except={except} />,
    });
  };
  const fields = (
    <>
      <label className={styles.field}>
        <span>Where</span>
        <Choice
          aria-label="Where it is written"
          value={own ? "own" : "there"}
          options={[
            { value: "there", label: "in a sheet that all pages share" },
            { value: "own", label: "in a sheet of its own" },
          ]}
          onChange={(next: string) => setOwn(next === "own")}
        />
      </label>
      {own && (
        <label className={styles.field}>
          <span>Its name</span>
          <Input
            size="small"
            className="mono"
            aria-label="Name of the sheet"
            value={path}
            spellCheck={false}
            onChange={({ target }) => setPath(target.value)}
          />
        </label>
      )}
      <Problem>{problem}</Problem>
      <button type="submit" className="chip">
        Show what changes
      </button>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </>
  );
  return { sheet: own ? path : null, propose, fields };
}
