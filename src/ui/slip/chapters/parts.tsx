"use client";

import type { Setting } from "@/core";
import { plural } from "../../shared/numbers";
import type { Draft } from "../useDraft";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

interface SpellingsProps {
  label: string;
  texts: readonly string[];
  draft: Draft;
  /** Whether a click shows it on the page; else it writes it. */
  tried?: boolean;
}

/** The same value spelt in other ways, or others to try, each a click away. */
export function Spellings({ label, texts, draft, tried = false }: SpellingsProps) {
  return (
    <p className={styles.spellings} role="group" aria-label={label}>
      {[...new Set(texts)].map((text) => (
        <button
          key={text}
          type="button"
          className={text === draft.value ? `${styles.spelling} ${styles.inForce}` : styles.spelling}
          aria-pressed={text === draft.value}
          onClick={() => (tried ? draft.attempt(text) : unwaited(draft.write(text)))}
        >
          {text}
        </button>
      ))}
    </p>
  );
}

/** Where one value comes out differently in different places: all outcomes with their counts. */
export function Outcomes({ setting }: { setting: Setting | null }) {
  if (!setting || setting.outcomes.length < 2) return null;
  return (
    <p className="quiet">
      It does not come out the same everywhere:{" "}
      {setting.outcomes
        .slice(0, 6)
        .map(({ value, places }) => `${value} in ${plural(places.length, "place")}`)
        .join(", ")}
      {setting.outcomes.length > 6 && " and more"}.
    </p>
  );
}

/** Something doubtful about a value, with a way to mend it. */
export function Doubt({ children, label, onMend }: { children: React.ReactNode; label?: string; onMend?(): void }) {
  return (
    <p className="doubtful">
      ◆ {children}{" "}
      {onMend && (
        <button type="button" className="text-button" onClick={onMend}>
          {label}
        </button>
      )}
    </p>
  );
}
