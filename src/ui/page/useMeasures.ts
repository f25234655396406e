/** What the laid-out page tells of itself: how large its containers are, how its fonts measure, how high it is. */
import { useEffect, useRef, useState } from "react";
import { rehearsedIn, usesFontUnits } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import { differenceOf, extentOf, type Extent } from "@/preview/extent";
import type { Shown } from "@/preview/frame";
import { containerSizes, fontMeasures } from "@/preview/measure";
import { unwaited, unwaitedWhile } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { calm } from "./calm";

/** Container rules and units that follow a font's metrics depend on the layout: the page measures both. */
export function useMeasures(shown: Shown | null): void {
  const store = useWorkspaceStore();
  const path = useWorkspace((state) => state.view?.document.path);
  const sheets = useWorkspace((state) => (state.rehearsal?.patch ?? state.view)?.sheets);
  const asksContainers = sheets?.some(({ text }) => text.includes("@container")) ?? false;
  useEffect(() => {
    if (!shown || !path || !asksContainers) return;
    const sizes = containerSizes(shown.page);
    const { conditions: known, setConditions } = store.getState();
    if (JSON.stringify(known.containers[path]) !== JSON.stringify(sizes))
      unwaited(setConditions({ containers: { ...known.containers, [path]: sizes } }));
  }, [store, shown, path, asksContainers]);

  const asksFonts = sheets?.some(({ text }) => usesFontUnits(text)) ?? false;
  useEffect(() => {
    if (!shown || !asksFonts) return;
    const fonts = fontMeasures(shown.page);
    const { conditions: known, setConditions } = store.getState();
    const news = Object.entries(fonts).some(
      ([key, measure]) => JSON.stringify(known.fonts[key]) !== JSON.stringify(measure),
    );
    if (news) unwaited(setConditions({ fonts: { ...known.fonts, ...fonts } }));
  }, [store, shown, asksFonts]);
}

/**
 * By how much the page is higher while something is rehearsed than it was as it is; null where it is as high, with as
 * many lines. @param width of the page, CSS px
 */
export function useShift(shown: Shown | null, width: number | null): Extent | null {
  const path = useWorkspace((state) => state.view?.document.path);
  const places = useWorkspace((state) => state.view?.places ?? none);
  const plain = useWorkspace(
    ({ conditions, unstyled, rehearsal }) => rehearsedIn(conditions).length === 0 && !unstyled && !rehearsal,
  );
  const key = `${path} ${width}`;
  const usual = useRef(new Map<string, Extent>());
  const [shift, setShift] = useState<Extent | null>(null);
  useEffect(() => {
    let current = true;
    const count = async () => {
      // Without what is usual, nothing could be said of what is rehearsed next.
      await calm(plain && !usual.current.has(key) ? undefined : afterVerdicts);
      const now =
        current && shown
          ? await extentOf(
              shown.page,
              places.filter(({ pseudo }) => pseudo === null).map(({ index }) => index),
              () => current,
            )
          : null;
      if (!now) return;
      if (plain) usual.current.set(key, now);
      setShift(now.height === 0 ? null : differenceOf(now, usual.current.get(key)));
    };
    unwaitedWhile(() => shown?.page.document.defaultView != null, count());
    return () => {
      current = false;
    };
  }, [key, plain, places, shown]);
  return shift;
}

const none: readonly PlaceView[] = [];

/** Milliseconds that leave room for what is asked first: the verdicts of what is in the window. */
const afterVerdicts = 500;
