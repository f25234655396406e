"use client";

import { useEffect, useRef } from "react";
import type { Conditions } from "@/core";
import type { PageView } from "@/engine/protocol";
import { frameSandbox, showPage } from "@/preview/frame";
import { layoutOf } from "@/preview/grounds";
import { loadSiteFonts } from "@/preview/siteFonts";
import { useEngine, useWorkspace } from "./context";
import styles from "./Desk.module.css";

/** More pages than this are looked under when they are opened. */
const mostPages = 60;
/** Milliseconds without a change before the pages that are not shown are laid out. */
const calm = 1500;

/** Lets the interface in between two pages. */
const pause = () => new Promise((resolve) => setTimeout(resolve, 30));

/** The same for pages that are laid out alike. */
function fingerprint({ structure, sheets, overrides }: PageView, { width, height, scheme }: Conditions): string {
  let hash = 0;
  for (const { owner, media, text } of sheets) {
    for (const part of [String(owner), media, text]) for (let at = 0; at < part.length; at += 1) hash = (Math.imul(hash, 31) + part.charCodeAt(at)) | 0;
  }
  return [structure, hash, width, height, scheme, JSON.stringify(overrides)].join(" ");
}

/** Loads the fonts of the site for its specimens. */
export function SiteFonts() {
  const engine = useEngine();
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const saving = useWorkspace((state) => state.save.kind === "saving");
  const fontsLoaded = useWorkspace((state) => state.fontsLoaded);
  const known = useRef("");
  useEffect(() => {
    if (saving) return;
    void engine.siteFonts(conditions).then(async (fonts) => {
      const key = JSON.stringify(fonts);
      if (key === known.current) return;
      known.current = key;
      await loadSiteFonts(fonts);
      fontsLoaded([...new Set(fonts.map(({ family }) => family))]);
    });
  }, [engine, files, conditions, saving, fontsLoaded]);
  return null;
}

/** Lays out the pages that are not shown, one after the other, so that what lies under their texts is known, too. */
export function Survey() {
  const engine = useEngine();
  const frame = useRef<HTMLIFrameElement>(null);
  /** What each page looked like when it was laid out last. */
  const prints = useRef(new Map<string, string>());
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const shown = useWorkspace((state) => state.page);
  const saving = useWorkspace((state) => state.save.kind === "saving");
  const surveyed = useWorkspace((state) => state.surveyed);
  useEffect(() => {
    if (saving) return;
    let current = true;
    const survey = async () => {
      const pages = [...files.values()].filter(({ file, path }) => file.kind === "html" && path !== shown).map(({ path }) => path);
      let news = false;
      for (const path of pages.slice(0, mostPages)) {
        const view = await engine.page(path, conditions);
        if (!current || !frame.current) return;
        const print = fingerprint(view, conditions);
        if (prints.current.get(path) === print) continue;
        const page = await showPage(frame.current, view);
        if (!current) return;
        await page.document.fonts.ready;
        const layout = await layoutOf(page, view.places.map(({ index }) => index), () => current);
        if (!layout) return;
        await engine.layOut(path, view.structure, layout, conditions, []);
        prints.current.set(path, print);
        news = true;
        await pause();
      }
      if (current && news) surveyed();
    };
    const timer = setTimeout(() => void survey(), calm);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [engine, files, conditions, shown, saving, surveyed]);
  return <iframe ref={frame} title="Pages that are not shown" sandbox={frameSandbox} tabIndex={-1} aria-hidden="true" className={styles.survey} style={{ width: conditions.width, height: conditions.height, colorScheme: conditions.scheme }} />;
}
