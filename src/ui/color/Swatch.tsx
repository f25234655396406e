import styles from "./Swatch.module.css";

/** A colour as it is, on a checked ground where it is translucent. */
export function Swatch({ css, size = 14 }: { css: string | null; size?: number }) {
  return (
    <span className={styles.swatch} style={{ width: size, height: size }} aria-hidden="true">
      {css === null ? <i>?</i> : <span style={{ background: css }} />}
    </span>
  );
}
