"use client";

import type { ReactNode } from "react";
import { HelpText } from "../shared/HelpText";
import { plural } from "../shared/numbers";
import type { WrittenHere } from "@/engine/protocol";
import { ticked } from "./ticks";
import styles from "./SourcePane.module.css";

/** What stands where the cursor is: what its rule reaches on the page, whether it is in force, and what the property does. */
export function Here({ here, line, children }: { here: WrittenHere; line: number | null; children: ReactNode }) {
  const { rule, help } = here;
  const declaration = rule?.declarations.find((one) => one.line === line);
  return (
    <aside className={styles.about} aria-label="About this line">
      {children}
      {rule && (
        <p className={rule.elements ? "good" : "doubtful"}>
          {rule.elements
            ? `This rule: ${plural(rule.places.length, "text")} on this page.`
            : "This rule matches nothing on this page."}
          {rule.elements > 0 &&
            declaration &&
            ` ${declaration.property} is ${ticked(declaration.wins, rule.elements)}.`}
        </p>
      )}
      {help ? (
        <HelpText help={help} />
      ) : (
        <p className="quiet">
          <kbd>Ctrl</kbd> <kbd>Space</kbd> proposes how to go on. <kbd>Ctrl</kbd> <kbd>/</kbd> puts a comment round a
          declaration or rule.
        </p>
      )}
    </aside>
  );
}
