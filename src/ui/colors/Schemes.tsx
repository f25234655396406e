"use client";

import { Segmented } from "antd";
import { useState } from "react";
import type { DraftKindName } from "@/core";
import { useAnswer } from "../workspace/answers";
import { DraftDesk } from "./DraftDesk";
import { PaperDesk } from "./PaperDesk";
import { SchemePairs } from "./SchemePairs";
import styles from "./Schemes.module.css";

export type Wish = DraftKindName | "paper";

const wishes: readonly { value: Wish; label: string }[] = [
  { value: "dark", label: "A dark page" },
  { value: "contrast", label: "More contrast" },
  { value: "paper", label: "Paper" },
];

/** What readers may wish for, beside the site as it is: what it has, or a draft of it. */
export function Schemes() {
  const [wish, setWish] = useState<Wish>("dark");
  const asked = useAnswer("asked");
  return (
    <div className={styles.schemes}>
      <div className={styles.wishes}>
        <span>For readers who wish for</span>
        <Segmented
          value={wish}
          options={[...wishes]}
          onChange={(next) => setWish(next as Wish)}
          aria-label="What readers wish for"
        />
      </div>
      {wish === "paper" && <PaperDesk />}
      {wish !== "paper" && asked?.includes(wish) === true && <SchemePairs wish={wish} />}
      {wish !== "paper" && asked?.includes(wish) === false && <DraftDesk key={wish} kind={wish} />}
    </div>
  );
}
