"use client";

import { useEffect, useId, useRef, type KeyboardEvent } from "react";
import { plural } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { useGradual } from "../shared/useGradual";
import type { KnownFinding } from "../workspace/troubles";
import { Sign } from "../shared/Sign";
import { whereWords, type ShownGroup } from "./shown";
import styles from "./Findings.module.css";

interface Props {
  groups: readonly ShownGroup[];
  chosen: string | null;
  onChoose(key: string): void;
}

/** The findings in their groups; arrows go from one to the next. */
export function FindingList({ groups, chosen, onChoose }: Props) {
  const id = useId();
  const rows = groups.flatMap(({ findings }) => findings);
  const at = rows.findIndex(({ key }) => key === chosen);
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.querySelector("[aria-selected=true]")?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent) => {
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: rows.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const row = rows[Math.min(rows.length - 1, Math.max(0, to))];
    if (row) onChoose(row.key);
  };
  return (
    <div
      ref={list}
      role="listbox"
      aria-label="Findings"
      tabIndex={0}
      aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
      className={styles.box}
      onKeyDown={onKeyDown}
    >
      {groups.map((group) => (
        <Group
          key={group.id}
          group={group}
          chosen={chosen}
          onChoose={onChoose}
          idOf={(one) => `${id}-${rows.indexOf(one)}`}
        />
      ))}
    </div>
  );
}

interface GroupProps {
  group: ShownGroup;
  chosen: string | null;
  onChoose(key: string): void;
  idOf(one: KnownFinding): string;
}

function Group({ group: { id, title, findings, places }, chosen, onChoose, idOf }: GroupProps) {
  const { shown, end } = useGradual(findings, "div");
  return (
    <div role="group" aria-labelledby={`group-${id}`}>
      <h2 id={`group-${id}`} className={styles.group}>
        <span>{title}</span>
        <span className={styles.count}>
          {findings.length}
          {places > 0 && ` · ${plural(places, "place")}`}
        </span>
      </h2>
      {shown.map((one) => {
        const { finding, key, left } = one;
        return (
          <div
            key={key}
            id={idOf(one)}
            role="option"
            aria-selected={key === chosen}
            className={styles.row}
            onClick={() => onChoose(key)}
          >
            <Sign level={finding.level} />
            <span>
              <Prose>{finding.message}</Prose>
              {left !== null && <small>{left}</small>}
            </span>
            <span className={styles.where}>{whereWords(finding)}</span>
          </div>
        );
      })}
      {end}
    </div>
  );
}
