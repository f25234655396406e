"use client";

import { useState } from "react";
import type { PropertyHelp } from "@/core";
import { HelpText } from "../shared/HelpText";
import { unwaited } from "../shared/unwaited";
import { useEngine } from "../workspace/context";
import styles from "./Slip.module.css";

/** What the property of a row does, once it is asked for. */
export function RowHelp({ property }: { property: string }) {
  const engine = useEngine();
  const [help, setHelp] = useState<PropertyHelp | null>(null);
  const isOpen = help?.property === property;
  const toggle = async () => setHelp(isOpen ? null : await engine.help(property));
  return (
    <div className={styles.rowHelp}>
      <button type="button" className="text-button" aria-expanded={isOpen} onClick={() => unwaited(toggle())}>
        What <code>{property}</code> does
      </button>
      {isOpen && <HelpText help={help} />}
    </div>
  );
}
