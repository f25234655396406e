"use client";

import { useState } from "react";
import type { Draft, DraftKindName, DraftWriting } from "@/core";
import { Choice } from "../shared/Choice";
import { unwaited } from "../shared/unwaited";
import { useEngine } from "../workspace/context";
import styles from "./Schemes.module.css";
import { usePlace } from "./usePlace";

const ways: readonly { value: DraftWriting["way"]; label: string }[] = [
  { value: "media", label: "names, and others for them under a condition" },
  { value: "light-dark", label: "light-dark(), both in one value" },
];

const sheetNames: Readonly<Record<DraftKindName, string>> = { dark: "dark.css", contrast: "contrast.css" };

/** How a draft is written: names for the colours, and where their counterparts stand. */
export function DraftWritingForm({ draft }: { draft: Draft }) {
  const engine = useEngine();
  const [way, setWay] = useState<DraftWriting["way"]>("media");
  const place = usePlace(sheetNames[draft.kind]);
  return (
    <form
      className={styles.writing}
      aria-label="How it is written"
      onSubmit={(event) => {
        event.preventDefault();
        unwaited(
          place.propose(
            titles[draft.kind],
            engine.writeDraft(draft, { way: draft.kind === "dark" ? way : "media", sheet: place.sheet }),
            draft.kind,
          ),
        );
      }}
    >
      {draft.kind === "dark" && (
        <label className={styles.field}>
          <span>Written as</span>
          <Choice aria-label="Written as" value={way} options={[...ways]} onChange={setWay} />
        </label>
      )}
      {place.fields}
    </form>
  );
}

const titles: Readonly<Record<DraftKindName, string>> = {
  dark: "Write a dark scheme",
  contrast: "Write a scheme of more contrast",
};
