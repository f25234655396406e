import type { ReactNode } from "react";
import styles from "./Mat.module.css";
import { Link } from "./place";

/** The top bar: the cutting mat. */
export function Mat({ children }: { children?: ReactNode }) {
  return (
    <header className={styles.mat}>
      <Link href="/" className={styles.word}>
        Hevret
      </Link>
      {children}
    </header>
  );
}

/** A button on the mat. */
export function MatButton({ filled, className, ...rest }: { filled?: boolean } & React.ComponentProps<"button">) {
  const names = [styles.button, filled && styles.filled, className].filter(Boolean).join(" ");
  return <button type="button" {...rest} className={names} />;
}

export { styles as matStyles };
