"use client";

import { GroupedList } from "../shared/GroupedList";
import { plural } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { Sign } from "../shared/Sign";
import { whereWords, type ShownGroup } from "./shown";
import styles from "./Findings.module.css";

interface Props {
  groups: readonly ShownGroup[];
  chosen: string | null;
  onChoose(key: string): void;
}

/** The findings in their groups. */
export function FindingList({ groups, chosen, onChoose }: Props) {
  return (
    <GroupedList
      label="Findings"
      groups={groups.map(({ id, title, findings, places }) => ({
        id,
        title,
        count: `${findings.length}${places > 0 ? ` · ${plural(places, "place")}` : ""}`,
        rows: findings,
      }))}
      keyOf={({ key }) => key}
      chosen={chosen}
      onChoose={onChoose}
      rowClass={styles.row}
    >
      {({ finding, left }) => (
        <>
          <Sign level={finding.level} />
          <span>
            <Prose>{finding.message}</Prose>
            {left !== null && <small>{left}</small>}
          </span>
          <span className={styles.where}>{whereWords(finding)}</span>
        </>
      )}
    </GroupedList>
  );
}
