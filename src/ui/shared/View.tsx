import type { ReactNode } from "react";
import styles from "./View.module.css";

interface Props {
  label: string;
  /** What stands in the bar over it. */
  bar: ReactNode;
  className?: string;
  children: ReactNode;
}

/** A view of the whole site: a bar, and what is under it. */
export function View({ label, bar, className, children }: Props) {
  return (
    <main className={className ? `${styles.view} ${className}` : styles.view} aria-label={label}>
      <div className={styles.bar}>{bar}</div>
      {children}
    </main>
  );
}

/** The view while its first answer is awaited. */
export function Reading({ label }: { label: string }) {
  return (
    <main className={styles.reading} aria-label={label}>
      <p role="status">Reading the {label.toLowerCase()}…</p>
    </main>
  );
}

/** Pushes what follows in the bar to its end. */
export function Space() {
  return <span className={styles.space} />;
}
