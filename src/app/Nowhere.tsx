import styles from "@/ui/shared/Boundary.module.css";
import { Link } from "@/ui/shared/place";

/** Where an address leads to nothing. */
export function Nowhere() {
  return (
    <main className={styles.stopped}>
      <h1>There is nothing here</h1>
      <p>
        This address leads to no site and no view. <Link href="/">Go to the shelf</Link>
      </p>
    </main>
  );
}
