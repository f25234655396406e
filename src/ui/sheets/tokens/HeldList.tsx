"use client";

import type { Held } from "@/core";
import { Swatch } from "../../color/Swatch";
import { GroupedList } from "../../shared/GroupedList";
import { plural } from "../../shared/numbers";
import { keyOf, type HeldGroup } from "./groups";
import styles from "./Tokens.module.css";

interface Props {
  groups: readonly HeldGroup[];
  chosen: string | null;
  onChoose(key: string): void;
}

/** Values beside the tokens nearest to them. */
export function HeldList({ groups, chosen, onChoose }: Props) {
  return (
    <GroupedList<Held>
      label="Values against tokens"
      groups={groups.map(({ id, title, held }) => ({ id, title, count: held.length, rows: held }))}
      keyOf={keyOf}
      chosen={chosen}
      onChoose={onChoose}
      rowClass={styles.row}
    >
      {(one) => (
        <>
          <Value held={one} css={one.css} text={one.value} />
          <span>{one.nearest ? <Value held={one} css={one.nearest.css} text={one.nearest.token} /> : "none"}</span>
          <span className={styles.words}>{one.nearest?.words}</span>
          <span className={styles.words}>{plural(one.spots.length, "spot")}</span>
        </>
      )}
    </GroupedList>
  );
}

/** A value as it is written, or a token by its name; a colour is seen beside it. */
export function Value({ held: { kind }, css, text }: { held: Held; css: string; text: string }) {
  return (
    <span className={styles.value}>
      {kind === "color" && <Swatch css={css} />} <code>{text}</code>
    </span>
  );
}
