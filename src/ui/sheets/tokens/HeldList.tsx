"use client";

import { useEffect, useId, useRef, type KeyboardEvent } from "react";
import type { Held } from "@/core";
import { Swatch } from "../../color/Swatch";
import { plural } from "../../shared/numbers";
import { keyOf, type HeldGroup } from "./groups";
import styles from "./Tokens.module.css";

interface Props {
  groups: readonly HeldGroup[];
  chosen: string | null;
  onChoose(key: string): void;
}

/** Values beside the tokens nearest to them; arrows go from one to the next. */
export function HeldList({ groups, chosen, onChoose }: Props) {
  const id = useId();
  const rows = groups.flatMap(({ held }) => held);
  const at = rows.findIndex((one) => keyOf(one) === chosen);
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.querySelector("[aria-selected=true]")?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent) => {
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: rows.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const row = rows[Math.min(rows.length - 1, Math.max(0, to))];
    if (row) onChoose(keyOf(row));
  };
  return (
    <div
      ref={list}
      role="listbox"
      aria-label="Values against tokens"
      tabIndex={0}
      aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
      className={styles.box}
      onKeyDown={onKeyDown}
    >
      {groups.map(({ id: group, title, held }) => (
        <div key={group} role="group" aria-labelledby={`${id}-${group}`}>
          <h2 id={`${id}-${group}`} className={styles.group}>
            <span>{title}</span>
            <span className={styles.count}>{held.length}</span>
          </h2>
          {held.map((one) => (
            <div
              key={keyOf(one)}
              id={`${id}-${rows.indexOf(one)}`}
              role="option"
              aria-selected={keyOf(one) === chosen}
              className={styles.row}
              onClick={() => onChoose(keyOf(one))}
            >
              <Value held={one} css={one.css} text={one.value} />
              <span>{one.nearest ? <Value held={one} css={one.nearest.css} text={one.nearest.token} /> : "none"}</span>
              <span className={styles.count}>{one.nearest?.words}</span>
              <span className={styles.count}>{plural(one.spots.length, "spot")}</span>
            </div>
          ))}
        </div>
      ))}
    </div>
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
