import type { ReactNode } from "react";
import styles from "./Menu.module.css";

interface Props {
  /** What opens it. */
  summary: ReactNode;
  /** The summary's name where what is seen does not say it. */
  name?: string;
  /** What its buttons are about. */
  label: string;
  /** Of those that share a group one is open at a time. */
  group: string;
  className?: string;
  /** Buttons; a press closes the menu. */
  children: ReactNode;
}

/** Steps that belong to a place, behind something to press. */
export function Menu({ summary, name, label, group, className, children }: Props) {
  const close = (details: HTMLDetailsElement | null) => {
    if (details) details.open = false;
  };
  return (
    <details
      className={styles.menu}
      name={group}
      onKeyDown={(event) => {
        if (event.key !== "Escape" || !event.currentTarget.open) return;
        event.stopPropagation();
        close(event.currentTarget);
        event.currentTarget.querySelector("summary")?.focus();
      }}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) close(event.currentTarget);
      }}
    >
      <summary aria-label={name} className={className}>
        {summary}
      </summary>
      <div role="group" aria-label={label} onClick={(event) => close(event.currentTarget.closest("details"))}>
        {children}
      </div>
    </details>
  );
}
