"use client";

import Link from "next/link";
import { levelClass, levelWords, signs } from "../shared/levels";
import { Prose } from "../shared/Prose";
import { useWorkspace } from "./context";
import type { KnownFinding } from "./troubles";

/** A finding in a line, with the step to where it is set right. */
export function FindingLine({ known: { finding, key } }: { known: KnownFinding }) {
  const site = useWorkspace((state) => state.record?.id);
  return (
    <>
      <span className={levelClass[finding.level]} role="img" aria-label={levelWords[finding.level]}>
        {signs[finding.level]}
      </span>{" "}
      <Prose>{finding.message}</Prose>{" "}
      <Link href={`/site/${site}/findings?finding=${encodeURIComponent(key)}`}>Set it right</Link>
    </>
  );
}
