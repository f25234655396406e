import styles from "./Swatch.module.css";

/** A colour as it is, on a checked ground where it is translucent. @param size - rem */
export function Swatch({ css, size = 0.875 }: { css: string | null; size?: number }) {
  return (
    <span
      className={`true-colors ${styles.swatch}`}
      style={{ width: `${size}rem`, height: `${size}rem` }}
      aria-hidden="true"
    >
      {css === null ? <i>?</i> : <span style={{ background: css }} />}
    </span>
  );
}
