import type { Level } from "@/core";
import { levelClass, levelWords, signs } from "./levels";

/** How bad a finding is: by shape first, then by word and colour. */
export function Sign({ level }: { level: Level }) {
  return (
    <span className={levelClass[level]} role="img" aria-label={levelWords[level]}>
      {signs[level]}
    </span>
  );
}
