"use client";

import Link from "next/link";
import { useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";

/** What a page that links to no style sheet lacks, with the step to one; nothing where it has one, or that is not known. */
export function BarePage() {
  const id = useWorkspace((state) => state.record?.id);
  const isBare = useWorkspace(({ summary, page }) => {
    const own = summary?.pages.find(({ path }) => path === page);
    return own !== undefined && own.sheets.length === 0;
  });
  if (!isBare) return null;
  return (
    <p className={styles.bare}>
      This page links to no style sheet: what is chosen is written into the page itself, and no other page can share it.{" "}
      <Link href={`/site/${id}/sheets?new`}>Make a style sheet…</Link>
    </p>
  );
}
