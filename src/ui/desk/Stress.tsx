"use client";

import { useEffect, useRef } from "react";
import { stressOf } from "@/preview/stress";
import { HiddenFrame } from "../shared/HiddenFrame";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { whenCalm } from "./calm";
import { Collecting } from "./collecting";

/** Milliseconds without a change before pages are laid out as some readers have them. */
const unchanged = 2500;

/** Lays out every page as some readers have it, one after the other, once all of them were looked at. */
export function Stress() {
  const engine = useEngine();
  const frame = useRef<HTMLIFrameElement>(null);
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const isCounted = useWorkspace((state) => state.summary !== null && state.survey === null);
  const saving = useWorkspace((state) => state.save.kind === "saving");
  const stressed = useWorkspace((state) => state.stressed);
  const stressing = useWorkspace((state) => state.stressing);
  useEffect(() => {
    if (!isCounted || saving) return;
    let current = true;
    const measure = async (pages: readonly string[]) => {
      let changed = false;
      const collecting = new Collecting(engine, () => current);
      for (const [at, path] of pages.entries()) {
        await whenCalm(() => current);
        if (!current || !frame.current) break;
        const view = await engine.glanceOutOfSight(path, conditions);
        if (!current || !frame.current) break;
        const dressAt = (width: number) => engine.dressOutOfSight(path, conditions, width);
        const stress = await stressOf(frame.current, conditions.width, view, dressAt, () => current);
        if (!stress) break;
        changed = (await engine.stressed(path, conditions, stress)) || changed;
        if (current) stressing(pages.length - at - 1);
        await collecting.after(frame.current.contentDocument?.querySelectorAll("*").length ?? 0);
      }
      if (changed && current) stressed();
    };
    let timer: ReturnType<typeof setTimeout>;
    const begin = async () => {
      const pages = await engine.unstressedPages(conditions);
      if (!current) return;
      stressing(pages.length);
      timer = setTimeout(() => unwaited(measure(pages)), unchanged);
    };
    unwaited(begin());
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [engine, files, conditions, isCounted, saving, stressed, stressing]);
  return <HiddenFrame frame={frame} title="Pages as some readers have them" conditions={conditions} />;
}
