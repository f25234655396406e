import type { PropertyHelp } from "@/core";
import styles from "./HelpText.module.css";
import { Prose } from "./Prose";

/** What a property does, what it starts as, whether children inherit it, and what is usual. */
export function HelpText({ help }: { help: PropertyHelp }) {
  const { property, what, initial, inherited, sets, headings, text, standard } = help;
  return (
    <div className={styles.help} role="note" aria-label={`About ${property}`}>
      <p>
        <code>{property}</code> <Prose>{what}</Prose>
      </p>
      <dl>
        {sets.length > 0 && (
          <>
            <dt>Sets</dt>
            <dd className="mono">{sets.join(", ")}</dd>
          </>
        )}
        {initial !== null && (
          <>
            <dt>Starts as</dt>
            <dd className="mono">{initial}</dd>
          </>
        )}
        {inherited !== null && (
          <>
            <dt>Children</dt>
            <dd>{inherited ? "inherit it" : "do not inherit it"}</dd>
          </>
        )}
        {headings && (
          <>
            <dt>Headings</dt>
            <dd>
              <Prose>{headings}</Prose>
            </dd>
          </>
        )}
        {text && (
          <>
            <dt>Running text</dt>
            <dd>
              <Prose>{text}</Prose>
            </dd>
          </>
        )}
        {standard && (
          <>
            <dt>Standard</dt>
            <dd>{standard}</dd>
          </>
        )}
      </dl>
    </div>
  );
}
