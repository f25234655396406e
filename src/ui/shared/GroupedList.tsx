"use client";

import { useEffect, useId, useRef, type KeyboardEvent, type ReactNode } from "react";
import { useGradual } from "./useGradual";
import styles from "./GroupedList.module.css";

export interface ListGroup<Row> {
  id: string;
  title: string;
  /** What is said of it at the end of its line. */
  count: ReactNode;
  rows: readonly Row[];
}

interface Props<Row> {
  label: string;
  groups: readonly ListGroup<Row>[];
  keyOf(row: Row): string;
  /** Key of the row that is chosen. */
  chosen: string | null;
  onChoose(key: string): void;
  rowClass: string | undefined;
  /** What stands in a row. */
  children(row: Row): ReactNode;
}

/** Rows in groups, of which one is chosen; arrows go from one to the next. */
export function GroupedList<Row>({ label, groups, keyOf, chosen, onChoose, rowClass, children }: Props<Row>) {
  const id = useId();
  const keys = groups.flatMap(({ rows }) => rows.map(keyOf));
  const places = new Map(keys.map((key, place) => [key, place]));
  const at = chosen === null ? -1 : (places.get(chosen) ?? -1);
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.querySelector("[aria-selected=true]")?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent) => {
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: keys.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const key = keys[Math.min(keys.length - 1, Math.max(0, to))];
    if (key !== undefined) onChoose(key);
  };
  const idOf = (place: number) => `${id}-${place}`;
  return (
    <div
      ref={list}
      role="listbox"
      aria-label={label}
      tabIndex={0}
      aria-activedescendant={at >= 0 ? idOf(at) : undefined}
      className={styles.box}
      onKeyDown={onKeyDown}
    >
      {groups.map((group) => (
        <Group key={group.id} group={group}>
          {(row) => {
            const key = keyOf(row);
            return (
              <div
                key={key}
                id={idOf(places.get(key)!)}
                role="option"
                aria-selected={key === chosen}
                className={`${styles.row} ${rowClass ?? ""}`}
                onClick={() => onChoose(key)}
              >
                {children(row)}
              </div>
            );
          }}
        </Group>
      ))}
    </div>
  );
}

interface GroupProps<Row> {
  group: ListGroup<Row>;
  children(row: Row): ReactNode;
}

function Group<Row>({ group: { title, count, rows }, children }: GroupProps<Row>) {
  const id = useId();
  const { shown, end } = useGradual(rows, "div");
  return (
    <div role="group" aria-labelledby={id}>
      <h2 id={id} className={styles.group}>
        <span>{title}</span>
        <span className={styles.count}>{count}</span>
      </h2>
      {shown.map(children)}
      {end}
    </div>
  );
}
