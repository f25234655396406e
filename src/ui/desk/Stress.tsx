"use client";

import { useEffect, useRef } from "react";
import { stressOf } from "@/preview/stress";
import { HiddenFrame } from "../shared/HiddenFrame";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { whenCalm } from "./calm";

/** Lays out every page as some readers have it, one after the other, once all of them were looked at. */
export function Stress() {
  const engine = useEngine();
  const frame = useRef<HTMLIFrameElement>(null);
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const isCounted = useWorkspace((state) => state.summary !== null && state.survey === null);
  const saving = useWorkspace((state) => state.save.kind === "saving");
  const stressed = useWorkspace((state) => state.stressed);
  useEffect(() => {
    if (!isCounted || saving) return;
    let current = true;
    const measure = async () => {
      const pages = await engine.unstressedPages(conditions);
      let changed = false;
      for (const path of pages) {
        await whenCalm(() => current);
        if (!current || !frame.current) break;
        const viewAt = (width: number) => engine.variant(path, [], { ...conditions, width });
        const stress = await stressOf(frame.current, conditions.width, viewAt, () => current);
        if (!stress) break;
        changed = (await engine.stressed(path, conditions, stress)) || changed;
      }
      if (changed && current) stressed();
    };
    const timer = setTimeout(() => unwaited(measure()), 2500);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [engine, files, conditions, isCounted, saving, stressed]);
  return <HiddenFrame frame={frame} title="Pages as some readers have them" conditions={conditions} />;
}
