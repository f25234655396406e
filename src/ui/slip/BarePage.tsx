"use client";

import { useState } from "react";
import { MakeSheet } from "../workspace/MakeSheet";
import { useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";

/** What a page that links to no style sheet lacks, with the step to one; nothing where it has one, or that is not known. */
export function BarePage({ onMade }: { onMade?(sheet: string): void }) {
  const [isMaking, setMaking] = useState(false);
  const isBare = useWorkspace(({ summary, page }) => {
    const own = summary?.pages.find(({ path }) => path === page);
    return own !== undefined && own.sheets.length === 0;
  });
  if (!isBare && !isMaking) return null;
  return (
    <p className={styles.bare}>
      This page links to no style sheet: what is chosen is written into the page itself, and no other page can share it.{" "}
      <button type="button" className="text-button" onClick={() => setMaking(true)}>
        Make a style sheet…
      </button>
      {isMaking && (
        <MakeSheet
          onClose={(made) => {
            setMaking(false);
            if (made) onMade?.(made);
          }}
        />
      )}
    </p>
  );
}
