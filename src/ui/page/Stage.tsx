"use client";

import { AutoComplete } from "antd";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { defaultConditions, usesFontUnits } from "@/core";
import type { PageView, PlaceView } from "@/engine/protocol";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { lookAt } from "@/preview/look";
import { differenceOf, extentOf, type Extent } from "@/preview/extent";
import { containerSizes, fontMeasures, linesOf } from "@/preview/measure";
import { shiftWords } from "../shared/numbers";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { gutter, Overlay } from "./Overlay";
import type { Shown } from "./PageDesk";
import { narrowest, Ruler, widest } from "./Ruler";
import styles from "./Stage.module.css";
import { unwaited } from "../shared/unwaited";

/** Room right of the page, CSS px. */
const air = 14;

interface Props {
  shown: Shown | null;
  onShown(shown: Shown | null): void;
}

/** The page in its frame, with marks in the margin, a ruler over it and outlines drawn on top. */
export function Stage({ shown, onShown }: Props) {
  const store = useWorkspaceStore();
  const view = useWorkspace((state) => state.view);
  const viewNumber = useWorkspace((state) => state.viewNumber);
  const rehearsal = useWorkspace((state) => state.rehearsal);
  const picked = useWorkspace((state) => (state.picked?.page === state.page ? state.picked : null));
  const pickedIndex = picked && picked.pseudo === undefined ? picked.index : null;
  const unstyled = useWorkspace((state) => state.unstyled);
  const conditions = useWorkspace((state) => state.conditions);
  const stage = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [room, setRoom] = useState<{ width: number; height: number } | null>(null);
  const [chosenWidth, setChosenWidth] = useState<number | null>(null);
  const [sideways, setSideways] = useState(0);
  const layout = useRef(0);
  /** What is drawn over the page follows it when it is scrolled. */
  const [, setScrolls] = useState(0);

  const relayout = useCallback(
    (page: ShownPage) => {
      layout.current += 1;
      onShown({ page, layout: layout.current });
    },
    [onShown],
  );

  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setRoom({ width: Math.floor(width), height: Math.floor(height) });
    });
    observer.observe(stage.current!);
    return () => observer.disconnect();
  }, []);

  const width = chosenWidth ?? (room ? Math.min(widest, Math.max(narrowest, room.width - gutter - air)) : null);
  useEffect(() => {
    if (width === null || !room) return;
    const { conditions: known, setConditions } = store.getState();
    if (known.width !== width || known.height !== room.height) unwaited(setConditions({ width, height: room.height }));
  }, [store, width, room]);

  const built = rehearsal?.patch.document ? rehearsal.patch : null;
  const toBuild = useMemo<PageView | null>(
    () => (built ? { ...built, document: built.document! } : view),
    [built, view],
  );
  const buildKey = built ? built.structure : `${viewNumber}`;
  const [page, setPage] = useState<{ page: ShownPage; key: string } | null>(null);
  const latest = useRef(toBuild);
  useEffect(() => {
    latest.current = toBuild;
  }, [toBuild]);

  const ready = view !== null;
  useEffect(() => {
    if (!ready || !latest.current) return;
    let stale = false;
    const scroll = frame.current!.contentWindow?.scrollY ?? 0;
    const path = latest.current.document.path;
    const stay = frame.current!.dataset.path === path;
    unwaited(
      showPage(frame.current!, latest.current).then((next) => {
        if (stale) return;
        frame.current!.dataset.path = path;
        if (stay) next.document.defaultView!.scrollTo(0, scroll);
        setPage({ page: next, key: buildKey });
        relayout(next);
      }),
    );
    return () => {
      stale = true;
    };
  }, [buildKey, ready, relayout]);

  const { sheets, overrides, states } = rehearsal?.patch ?? view ?? nothing;
  useEffect(() => {
    if (!page || page.key !== buildKey || !sheets) return;
    page.page.dress({ sheets, overrides, states, unstyled });
    const { document } = page.page;
    let waiting = true;
    let looks = 0;
    const measure = () => {
      if (!waiting) return;
      relayout(page.page);
      const mine = (looks += 1);
      if (!unstyled) unwaited(lookUnder(page.page, () => waiting && mine === looks));
    };
    const lookUnder = async (shownPage: ShownPage, stillThere: () => boolean) => {
      if (store.getState().rehearsal) await calm(50);
      const { view: current, rehearsal: shownRehearsal, layOut, picture } = store.getState();
      const places = (shownRehearsal?.patch ?? current)?.places ?? [];
      await lookAt(shownPage, places, picture, layOut, stillThere);
    };
    afterPaint(() => {
      measure();
      if (document.fonts.status === "loading") unwaited(document.fonts.ready.then(measure));
    });
    const onScroll = () => setScrolls((count) => count + 1);
    const onResize = () => relayout(page.page);
    document.defaultView!.addEventListener("scroll", onScroll, true);
    document.defaultView!.addEventListener("resize", onResize);
    return () => {
      waiting = false;
      document.defaultView?.removeEventListener("scroll", onScroll, true);
      document.defaultView?.removeEventListener("resize", onResize);
    };
  }, [store, page, buildKey, sheets, overrides, states, unstyled, relayout]);

  // Container rules depend on the layout: the page says how large the containers are.
  const path = view?.document.path;
  const asksContainers = sheets?.some(({ text }) => text.includes("@container")) ?? false;
  useEffect(() => {
    if (!shown || !path || !asksContainers) return;
    const sizes = containerSizes(shown.page);
    const { conditions: known, setConditions } = store.getState();
    if (JSON.stringify(known.containers[path]) !== JSON.stringify(sizes))
      unwaited(setConditions({ containers: { ...known.containers, [path]: sizes } }));
  }, [store, shown, path, asksContainers]);

  // So do units that follow a font's metrics: the page measures its fonts.
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

  const shift = useShift(
    shown,
    view?.places ?? none,
    `${path} ${width}`,
    conditions.rootSize === defaultConditions.rootSize &&
      conditions.absent.length === 0 &&
      conditions.medium === "screen" &&
      !unstyled &&
      !rehearsal,
  );
  const lines = useMemo(
    () => (shown && pickedIndex !== null ? linesOf(shown.page, pickedIndex) : null),
    [shown, pickedIndex],
  );
  const left = gutter - sideways;
  const measure = lines
    ? { from: left + lines.left + 45 * lines.character, to: left + lines.left + 75 * lines.character }
    : null;

  return (
    <div className={styles.area}>
      <div className={styles.top}>
        <Ruler left={left} width={width ?? 0} measure={measure} onWidth={setChosenWidth} />
        {shift && (
          <span className={styles.shift} role="status">
            page {shiftWords(shift)}
          </span>
        )}
        <WidthField width={width ?? 0} fits={chosenWidth === null} onWidth={setChosenWidth} />
      </div>
      <div className={styles.stage} ref={stage} onScroll={(event) => setSideways(event.currentTarget.scrollLeft)}>
        <div className={styles.inner} style={{ width: gutter + (width ?? 0) + air }}>
          <iframe
            ref={frame}
            title="The page"
            sandbox={frameSandbox}
            tabIndex={-1}
            className={styles.frame}
            style={{ left: gutter, width: width ?? 0, colorScheme: conditions.scheme }}
          />
          {shown && view && (
            <Overlay shown={shown} places={rehearsal?.patch.places ?? view.places} picked={picked} width={width ?? 0} />
          )}
        </div>
      </div>
    </div>
  );
}

/** By how much the page is higher while something is rehearsed than it was as it is; null where it is as high, with as many lines. */
function useShift(shown: Shown | null, places: readonly PlaceView[], key: string, plain: boolean): Extent | null {
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
    unwaited(count());
    return () => {
      current = false;
    };
  }, [key, plain, places, shown]);
  return shift;
}

const none: readonly PlaceView[] = [];

const nothing = { sheets: undefined, overrides: [], states: [] };

/** Milliseconds that leave room for what is asked first: the verdicts of what is in the window. */
const afterVerdicts = 500;

/** What is not needed for the next frame waits until no more typing follows at once. */
function calm(milliseconds = 80): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** Measuring after the browser has laid the page out costs nothing; before, it would hold up the frame. */
function afterPaint(work: () => void): void {
  requestAnimationFrame(() => setTimeout(work));
}

function WidthField({ width, fits, onWidth }: { width: number; fits: boolean; onWidth(width: number | null): void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    setTyped(null);
    if (text === "fit") return onWidth(null);
    const number = Number.parseInt(text, 10);
    if (number >= narrowest && number <= widest) onWidth(number);
  };
  return (
    <AutoComplete
      aria-label="Page width in px"
      size="small"
      className={styles.width}
      popupMatchSelectWidth={false}
      value={typed ?? `${width} px`}
      onChange={setTyped}
      onSelect={take}
      onBlur={() => typed !== null && take(typed)}
      onKeyDown={(event) => {
        if (event.key === "Enter" && typed !== null) take(typed);
        if (event.key === "Escape") setTyped(null);
      }}
      options={[
        { value: "fit", label: fits ? "Fits the room (now)" : "Fit the room" },
        ...[360, 600, 800, 1024, 1280, 1600].map((px) => ({ value: String(px), label: `${px} px` })),
      ]}
    />
  );
}
