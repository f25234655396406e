"use client";

import { useEffect, useRef } from "react";
import type { SiteFont } from "@/engine/protocol";
import { showNextPage } from "@/preview/frame";
import { lookAt } from "@/preview/look";
import { loadSiteFonts } from "@/preview/siteFonts";
import { useAnswer } from "../workspace/answers";
import { useEngine, useWorkspace } from "../workspace/context";
import { HiddenFrame } from "../shared/HiddenFrame";
import { unwaited } from "../shared/unwaited";
import { useTouches, whenCalm } from "./calm";
import { Collecting } from "./collecting";

/** Milliseconds without a change before the pages that are not shown are laid out. */
const unchanged = 1500;

/** So many pages leave nothing behind that is worth a pause. */
const few = 20;

/** Loads the fonts of the site for its specimens. */
export function SiteFonts() {
  const fontsLoaded = useWorkspace((state) => state.fontsLoaded);
  const fonts = useAnswer("siteFonts");
  const key = fonts && JSON.stringify(fonts);
  useEffect(() => {
    if (key === null) return;
    const list = JSON.parse(key) as SiteFont[];
    unwaited(loadSiteFonts(list).then(() => fontsLoaded([...new Set(list.map(({ family }) => family))])));
  }, [key, fontsLoaded]);
  return null;
}

/** Lays out the pages that are not shown, one after the other, so that what lies under their texts is known, too. */
export function Survey() {
  const engine = useEngine();
  const frame = useRef<HTMLIFrameElement>(null);
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const shown = useWorkspace((state) => state.page);
  const saving = useWorkspace((state) => state.save.kind === "saving");
  // Who waits for the counts does not wait for what is looked at out of sight, too.
  const isCounted = useWorkspace((state) => state.summary !== null);
  const surveyed = useWorkspace((state) => state.surveyed);
  const paused = useWorkspace((state) => state.survey?.paused ?? false);
  useTouches();
  useEffect(() => {
    if (!isCounted || saving || paused) return;
    let current = true;
    const survey = async () => {
      const pages = await engine.unlaidPages(conditions, shown);
      const all = [...files.values()].filter(({ path, file }) => file.kind === "html" && path !== shown).length;
      if (!current) return;
      surveyed(all - pages.length, all);
      const collecting = new Collecting(engine, () => current);
      // Of what a large site took to be opened and counted much is not needed any more.
      if (pages.length > few) await collecting.now(true);
      for (const [at, path] of pages.entries()) {
        await whenCalm(() => current);
        if (!current) return;
        const view = await engine.pageOutOfSight(path, conditions);
        if (!current || !frame.current) return;
        const page = await showNextPage(frame.current, view);
        if (!current) return;
        await page.document.fonts.ready;
        await lookAt(
          page,
          view.places,
          (look, stage, unknown) => engine.picture(path, [], conditions, stage, look, unknown),
          async (layout, whole) => {
            if (whole) await engine.layOutOfSight(path, view.structure, layout, conditions);
          },
          () => current,
        );
        if (!current) return;
        surveyed(all - pages.length + at + 1, all);
        await collecting.after(page.nodes.length);
      }
    };
    const timer = setTimeout(() => unwaited(survey()), unchanged);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [engine, files, conditions, shown, isCounted, saving, paused, surveyed]);
  return <HiddenFrame frame={frame} title="Pages that are not shown" conditions={conditions} />;
}
