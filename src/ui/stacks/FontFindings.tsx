"use client";

import { Sign } from "../shared/Sign";
import { Prose } from "../shared/Prose";
import { plural } from "../shared/numbers";
import { usePick } from "../workspace/usePick";
import { useSeeSource } from "../workspace/useSeeSource";
import { useWorkspace } from "../workspace/context";
import styles from "./Stacks.module.css";

/** Fonts that cannot be loaded, are loaded for nothing, come from nowhere, or lack characters of the pages. */
export function FontFindings() {
  const findings = useWorkspace((state) => state.summary?.findings);
  const see = useSeeSource();
  const pick = usePick();
  const own = (findings ?? []).filter(({ check }) => check === "fonts");
  if (own.length === 0) return null;
  return (
    <ul className={styles.findings} aria-label="Findings about fonts">
      {own.map(({ level, message, path, line, column, places }) => (
        <li key={`${message} ${path} ${line}`}>
          <Sign level={level} /> <Prose>{message}</Prose>{" "}
          <button type="button" className="text-button" onClick={() => see(path, line, column)}>
            {path} line {line}
          </button>
          {places[0] && (
            <>
              {" · "}
              <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
                {plural(places.length, "place")}
              </button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
