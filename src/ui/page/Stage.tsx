"use client";

import { AutoComplete } from "antd";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { defaultConditions, usesFontUnits, type SafeElement } from "@/core";
import type { PageView, PlaceView } from "@/engine/protocol";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { layoutOf } from "@/preview/grounds";
import { differenceOf, extentOf, type Extent } from "@/preview/extent";
import { boxOf, containerSizes, fontMeasures, linesOf, placeAt, scrollAt, type Box } from "@/preview/measure";
import { boxesOfWords, stepWords, wordsBetween, type WordSpan } from "@/preview/words";
import { plural, shiftWords, showRatio } from "../shared/numbers";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import type { Shown } from "./PageDesk";
import { narrowest, Ruler, widest } from "./Ruler";
import styles from "./Stage.module.css";

/** Room for the marks left of the page, and air right of it. */
const gutter = 88;
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
  const picked = useWorkspace((state) => (state.picked?.page === state.page ? (state.picked?.index ?? null) : null));
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
    if (known.width !== width || known.height !== room.height) void setConditions({ width, height: room.height });
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
    void showPage(frame.current!, latest.current).then((next) => {
      if (stale) return;
      frame.current!.dataset.path = path;
      if (stay) next.document.defaultView!.scrollTo(0, scroll);
      setPage({ page: next, key: buildKey });
      relayout(next);
    });
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
    const measure = () => {
      if (!waiting) return;
      relayout(page.page);
      if (!unstyled) void lookUnder(page.page, () => waiting);
    };
    const lookUnder = async (shownPage: ShownPage, stillThere: () => boolean) => {
      await calm();
      const { view: current, rehearsal: shownRehearsal, layOut } = store.getState();
      const places = (shownRehearsal?.patch ?? current)?.places ?? [];
      const layout = stillThere()
        ? await layoutOf(
            shownPage,
            places.map(({ index }) => index),
            stillThere,
          )
        : null;
      if (layout && stillThere()) await layOut(layout);
    };
    afterPaint(measure);
    void document.fonts.ready.then(measure);
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
      void setConditions({ containers: { ...known.containers, [path]: sizes } });
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
    if (news) void setConditions({ fonts: { ...known.fonts, ...fonts } });
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
  const lines = useMemo(() => (shown && picked !== null ? linesOf(shown.page, picked) : null), [shown, picked]);
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
      await calm();
      const now =
        current && shown
          ? await extentOf(
              shown.page,
              places.map(({ index }) => index),
              () => current,
            )
          : null;
      if (!now) return;
      if (plain) usual.current.set(key, now);
      setShift(now.height === 0 ? null : differenceOf(now, usual.current.get(key)));
    };
    void count();
    return () => {
      current = false;
    };
  }, [key, plain, places, shown]);
  return shift;
}

const none: readonly PlaceView[] = [];

const nothing = { sheets: undefined, overrides: [], states: [] };

/** What is not needed for the next frame waits until no more typing follows at once. */
function calm(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 80));
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

interface OverlayProps {
  shown: Shown;
  places: readonly PlaceView[];
  picked: number | null;
  width: number;
}

/** Takes all input for the page, so that the page itself never gets any, and draws what is picked and marked. */
function Overlay({ shown, places, picked, width }: OverlayProps) {
  const store = useWorkspaceStore();
  const slip = useWorkspace((state) => state.slip);
  const reach = useWorkspace((state) => state.reach);
  const path = useWorkspace((state) => state.page)!;
  const document = useWorkspace((state) => state.view!.document);
  const setUnstyled = useWorkspace((state) => state.setUnstyled);
  const words = useWorkspace((state) => (state.words?.ref.page === state.page ? state.words : null));
  const [hovered, setHovered] = useState<number | null>(null);
  /** Where the pointer went down, and whether it has gone far enough to be picking words. */
  const pressed = useRef<{ x: number; y: number; far: boolean } | null>(null);
  const trail = useRef<number[]>([]);
  const { page } = shown;
  const indexes = useMemo(() => new Set(places.map(({ index }) => index)), [places]);
  const parents = useMemo(() => parentsIn(document.root), [document]);

  const pick = useCallback(
    (index: number | null) => void store.getState().pick(index === null ? null : { page: path, index }),
    [store, path],
  );

  useEffect(() => {
    if (picked === null) return;
    const node = page.nodes[picked];
    const box = boxOf(page, picked);
    const view = page.document.defaultView!;
    if (node && box && (box.top < 0 || box.top + Math.min(box.height, 40) > view.innerHeight))
      node.scrollIntoView({ block: "center" });
  }, [page, picked]);

  const step = (direction: 1 | -1) => {
    const order = places.map(({ index }) => index);
    const at =
      picked === null
        ? direction === 1
          ? -1
          : order.length
        : direction === 1
          ? order.findLastIndex((index) => index <= picked)
          : order.findIndex((index) => index >= picked);
    trail.current = [];
    pick(order[Math.min(order.length - 1, Math.max(0, at + direction))] ?? null);
  };

  const pickWords = (found: WordSpan | null) =>
    store.getState().pickWords(found && { ...found, ref: { page: path, index: found.index } });
  const known = words && { ...words, index: words.ref.index };

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    // With Shift the arrows pick words; with Alt as well, where they begin.
    if (event.shiftKey && picked !== null && (event.key === "ArrowRight" || event.key === "ArrowLeft")) {
      event.preventDefault();
      return pickWords(
        stepWords(page, picked, known, event.altKey ? "start" : "end", event.key === "ArrowRight" ? 1 : -1),
      );
    }
    if (event.altKey) return;
    const actions: Record<string, () => void> = {
      ArrowDown: () => step(1),
      ArrowUp: () => step(-1),
      ArrowLeft: () => {
        const parent = picked === null ? null : (parents.get(picked) ?? null);
        if (picked === null || parent === null) return;
        trail.current.push(picked);
        pick(parent);
      },
      ArrowRight: () => {
        const back =
          trail.current.pop() ?? places.find(({ index }) => picked !== null && isInside(index, picked, parents))?.index;
        if (back !== undefined) pick(back);
      },
      Escape: () => (words ? pickWords(null) : pick(null)),
      u: () => setUnstyled(!store.getState().unstyled),
      PageDown: () => page.document.defaultView!.scrollBy(0, page.document.defaultView!.innerHeight * 0.9),
      PageUp: () => page.document.defaultView!.scrollBy(0, -page.document.defaultView!.innerHeight * 0.9),
    };
    const action = actions[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  };

  const at = (event: React.MouseEvent) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - left, y: event.clientY - top };
  };
  const under = (event: React.MouseEvent) => {
    const { x, y } = at(event);
    return placeAt(page, x, y, indexes);
  };

  const pickedPlace = places.find(({ index }) => index === picked);
  const alike = pickedPlace ? places.filter((place) => place.key === pickedPlace.key && place.index !== picked) : [];
  const touched = (reach ?? []).filter((ref) => ref.page === path && ref.index !== picked);
  const hoveredPlace = places.find(({ index }) => index === hovered);
  const spoken = slip && picked !== null ? `${slip.role}: ${slip.text.slice(0, 80)}` : "";

  return (
    <>
      <Marks shown={shown} places={places} onPick={pick} />
      <div
        role="application"
        tabIndex={0}
        className={styles.overlay}
        style={{ left: gutter, width }}
        aria-label="The page. Arrow down and up walk through its texts, left goes to the parent and right back, Shift with left and right picks words, U takes the styles off."
        onKeyDown={onKeyDown}
        onMouseDown={(event) => {
          pressed.current = { ...at(event), far: false };
        }}
        onMouseMove={(event) => {
          setHovered(under(event));
          const from = pressed.current;
          if (!from || event.buttons !== 1) return;
          const to = at(event);
          from.far ||= Math.hypot(to.x - from.x, to.y - from.y) > 5;
          if (!from.far) return;
          const found = wordsBetween(page, from, to);
          if (!found || !indexes.has(found.index)) return;
          if (found.index === picked) pickWords(found);
          else
            void store
              .getState()
              .pick({ page: path, index: found.index })
              .then(() => pickWords(found));
        }}
        onMouseLeave={() => setHovered(null)}
        onClick={(event) => {
          trail.current = [];
          const picking = pressed.current?.far;
          pressed.current = null;
          if (!picking) pick(under(event));
        }}
        onWheel={(event) => {
          const { left, top } = event.currentTarget.getBoundingClientRect();
          scrollAt(page, event.clientX - left, event.clientY - top, event.deltaX, event.deltaY);
        }}
      >
        {inSight(page, alike).map(([index, box]) => (
          <Outline key={`alike-${index}`} box={box} kind="alike" />
        ))}
        {inSight(page, touched).map(([index, box]) => (
          <Outline key={`reach-${index}`} box={box} kind="reach" />
        ))}
        {known &&
          boxesOfWords(page, known).map((box, line) => <span key={line} className={styles.words} style={box} />)}
        {hovered !== null && hovered !== picked && (
          <Outline box={boxOf(page, hovered)} kind="hover" label={hoveredPlace?.selector} />
        )}
        {picked !== null && (
          <Outline
            box={boxOf(page, picked)}
            kind="picked"
            label={
              slip
                ? `${slip.selector} · ${plural(slip.targets[0]?.reach.places.length ?? 1, "place")}`
                : pickedPlace?.selector
            }
          />
        )}
      </div>
      <span className="visually-hidden" role="status" aria-label="Picked text">
        {spoken}
      </span>
    </>
  );
}

/** Boxes of those elements that are in the window now. */
function inSight(page: ShownPage, list: readonly { index: number }[]): [number, Box][] {
  const height = page.document.defaultView?.innerHeight ?? 0;
  return list.flatMap(({ index }): [number, Box][] => {
    const box = boxOf(page, index);
    return box && box.top + box.height > 0 && box.top < height ? [[index, box]] : [];
  });
}

function parentsIn(root: SafeElement | null): Map<number, number> {
  const parents = new Map<number, number>();
  const pending = root ? [root] : [];
  for (let element = pending.pop(); element; element = pending.pop()) {
    for (const child of element.content) {
      if (typeof child === "string") continue;
      parents.set(child.index, element.index);
      pending.push(child);
    }
  }
  return parents;
}

function isInside(index: number, ancestor: number, parents: ReadonlyMap<number, number>): boolean {
  for (let above = parents.get(index); above !== undefined; above = parents.get(above))
    if (above === ancestor) return true;
  return false;
}

function Outline({
  box,
  kind,
  label,
}: {
  box: Box | null;
  kind: "alike" | "reach" | "hover" | "picked";
  label?: string;
}) {
  if (!box) return null;
  const { left, top, width, height } = box;
  return (
    <div
      className={`${styles.outline} ${styles[kind]}`}
      style={{ left: left - 4, top: top - 3, width: width + 8, height: height + 6 }}
    >
      {label && <span className={top < 24 ? `${styles.tag} ${styles.below}` : styles.tag}>{label}</span>}
    </div>
  );
}

const markHeight = 22;

/** Marks moved down where they would lie over each other. */
function spread(tops: readonly number[]): number[] {
  const placed: number[] = [];
  for (const top of tops) placed.push(Math.max(top, (placed.at(-1) ?? -Infinity) + markHeight));
  return placed;
}

/** What cannot be read, in the margin beside its line. */
function Marks({ shown, places, onPick }: { shown: Shown; places: readonly PlaceView[]; onPick(index: number): void }) {
  const height = shown.page.document.defaultView?.innerHeight ?? 0;
  const marked = places
    .filter(({ verdict, fixed }) => verdict !== "passes" || fixed)
    .map((place) => ({ place, box: boxOf(shown.page, place.index) }))
    .filter(({ box }) => box && box.top + box.height > 0 && box.top < height)
    .sort((a, b) => a.box!.top - b.box!.top);
  const placed = spread(marked.map(({ box }) => box!.top + Math.min(box!.height, 28) / 2 - markHeight / 2));
  return (
    <ul className={styles.marks} aria-label="Marks">
      {marked.map(({ place }, at) => (
        <li key={place.index} style={{ top: placed[at] }}>
          <Mark place={place} onPick={onPick} />
        </li>
      ))}
    </ul>
  );
}

function Mark({ place, onPick }: { place: PlaceView; onPick(index: number): void }) {
  const { verdict, ratio, needs, selector, index } = place;
  if (verdict === "passes") {
    return (
      <button
        type="button"
        className={`${styles.mark} ${styles.doubtful}`}
        onClick={() => onPick(index)}
        aria-label={`Doubtful: the size does not follow the reader's, ${selector}`}
        title="The size stays as it is, whatever the reader has chosen"
      >
        ◆ fixed
      </button>
    );
  }
  const fails = verdict === "fails";
  return (
    <button
      type="button"
      className={fails ? styles.mark : `${styles.mark} ${styles.doubtful}`}
      onClick={() => onPick(index)}
      aria-label={`${fails ? "Fails" : "Doubtful"}: contrast ${showRatio(ratio)}, needs ${needs}, ${selector}`}
      title={`Contrast ${showRatio(ratio)} to 1, needs ${needs}${fails ? "" : "; the ground is not certain"}`}
    >
      {fails ? "▲" : "◆"} {showRatio(ratio)}
    </button>
  );
}
