"use client";

import { useEffect, useRef } from "react";
import type { SiteFont } from "@/engine/protocol";
import { frameSandbox, showPage } from "@/preview/frame";
import { lookAt } from "@/preview/look";
import { loadSiteFonts } from "@/preview/siteFonts";
import { useAnswer } from "./answers";
import { useEngine, useWorkspace } from "./context";
import styles from "./Desk.module.css";
import { unwaited } from "../shared/unwaited";

/** More pages than this are looked under when they are opened. */
const mostPages = 60;
/** Milliseconds without a change before the pages that are not shown are laid out. */
const calm = 1500;

/** Lets the interface in between two pages. */
const pause = () => new Promise((resolve) => setTimeout(resolve, 30));

/** Loads the fonts of the site for its specimens. */
export function SiteFonts() {
  const conditions = useWorkspace((state) => state.conditions);
  const fontsLoaded = useWorkspace((state) => state.fontsLoaded);
  const fonts = useAnswer("siteFonts", conditions);
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
  const surveyed = useWorkspace((state) => state.surveyed);
  useEffect(() => {
    if (saving) return;
    let current = true;
    const survey = async () => {
      const pages = (await engine.unlaidPages(conditions)).filter((path) => path !== shown).slice(0, mostPages);
      for (const path of pages) {
        const view = await engine.page(path, conditions);
        if (!current || !frame.current) return;
        const page = await showPage(frame.current, view);
        if (!current) return;
        await page.document.fonts.ready;
        await lookAt(
          page,
          view.places,
          (look, stage, unknown) => engine.picture(path, [], conditions, stage, look, unknown),
          async (layout, whole) => void (await engine.layOut(path, view.structure, layout, whole, conditions, [])),
          () => current,
        );
        if (!current) return;
        await pause();
      }
      if (current && pages.length) surveyed();
    };
    const timer = setTimeout(() => unwaited(survey()), calm);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [engine, files, conditions, shown, saving, surveyed]);
  return (
    <iframe
      ref={frame}
      title="Pages that are not shown"
      sandbox={frameSandbox}
      tabIndex={-1}
      aria-hidden="true"
      className={styles.survey}
      style={{ width: conditions.width, height: conditions.height, colorScheme: conditions.scheme }}
    />
  );
}
