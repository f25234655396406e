"use client";

import { useEffect, useId, useState } from "react";
import type { Finding } from "@/core";
import type { FindingView } from "@/engine/protocol";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "./context";

/** The ways to set a finding right, asked anew whenever the site is another; null until they are known. */
export function useWays(finding: Finding): FindingView | null {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const edition = useWorkspace((state) => state.edition);
  const [found, setFound] = useState<FindingView | null>(null);
  const asked = JSON.stringify(finding);
  const asker = useId();
  useEffect(() => {
    let current = true;
    unwaited(
      engine.fixes(JSON.parse(asked) as Finding, conditions, asker).then((answer) => {
        if (current && answer) setFound(answer);
      }),
    );
    return () => {
      current = false;
    };
  }, [engine, asked, asker, conditions, edition]);
  return found;
}
