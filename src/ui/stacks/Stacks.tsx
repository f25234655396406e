"use client";

import { useState } from "react";
import { plural } from "../shared/numbers";
import { Reading, Space, View } from "../shared/View";
import { useStacks } from "../workspace/answers";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { AddFont } from "./AddFont";
import { FontFindings } from "./FontFindings";
import { StackCard } from "./StackCard";
import styles from "./Stacks.module.css";

/** The Stacks view: every distinct stack, member by member, and who gets what. */
export function Stacks() {
  const stacks = useStacks();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  if (!stacks) return <Reading label="Stacks" />;
  return (
    <View
      label="Stacks"
      bar={
        <>
          <b>{plural(stacks.length, "stack")} in use.</b>
          <span>Who gets which face, and how it compares with the first.</span>
          <Space />
          <AddFont onPropose={setProposal} />
        </>
      }
    >
      <div className={styles.list}>
        <FontFindings />
        {stacks.length === 0 && (
          <p>
            Every font stack stands here member by member, with who gets which face. No text of this site is set in one
            yet: pick a text on the page, and write its stack.
          </p>
        )}
        {stacks.map((stack) => (
          <StackCard key={stack.stack} use={stack} onPropose={setProposal} />
        ))}
      </div>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </View>
  );
}
