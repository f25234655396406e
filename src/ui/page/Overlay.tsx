"use client";

/** What lies over the page: it takes all input, and draws what is picked, reached and marked. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { ElementRef, SafeElement } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "@/preview/frame";
import { boxOf, placeAt, scrollAt, type Box } from "@/preview/measure";
import { boxesOfWords, stepWords, wordsBetween, type WordSpan } from "@/preview/words";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import type { Shown } from "@/preview/frame";
import { useBench } from "../workspace/bench";
import { Marks } from "./Marks";
import { GridLines } from "./GridLines";
import { RoomLines } from "./RoomLines";
import { Worst } from "./Worst";
import styles from "./Stage.module.css";
import { unwaited } from "../shared/unwaited";

interface OverlayProps {
  shown: Shown;
  places: readonly PlaceView[];
  picked: ElementRef | null;
  /** Where and how large the page is drawn, and how much smaller than it is. */
  drawn: React.CSSProperties;
  scale: number;
  /** Asks for the true size, or back. */
  onTrueSize(): void;
  /** Puts a glass over the picked text, or away. */
  onGlass(): void;
}

/** Takes all input for the page, so that the page itself never gets any, and draws what is picked and marked. */
export function Overlay({ shown, places, picked, drawn, scale, onTrueSize, onGlass }: OverlayProps) {
  const store = useWorkspaceStore();
  const slip = useWorkspace((state) => state.slip);
  const reach = useWorkspace((state) => state.reach);
  const path = useWorkspace((state) => state.page)!;
  const document = useWorkspace((state) => state.view!.document);
  const setUnstyled = useWorkspace((state) => state.setUnstyled);
  const words = useWorkspace((state) => (state.words?.ref.page === state.page ? state.words : null));
  const [hovered, setHovered] = useState<PlaceView | null>(null);
  /** Where the pointer went down, and whether it has gone far enough to be picking words. */
  const pressed = useRef<{ x: number; y: number; far: boolean } | null>(null);
  const trail = useRef<number[]>([]);
  const { page } = shown;
  const { room, worst, grid } = useBench();
  const isTried = useWorkspace((state) => state.rehearsal !== null);
  const own = useMemo(() => places.filter(({ pseudo }) => pseudo === null), [places]);
  const indexes = useMemo(() => new Set(own.map(({ index }) => index)), [own]);
  const pickedIndex = picked && picked.pseudo === undefined ? picked.index : null;
  const parents = useMemo(() => parentsIn(document.root), [document]);

  const pick = useCallback(
    (place: Pick<PlaceView, "index" | "pseudo"> | null) => unwaited(store.getState().pick(place && refTo(path, place))),
    [store, path],
  );
  const pickElement = (index: number) => pick({ index, pseudo: null });

  useEffect(() => {
    const index = picked?.index;
    if (index === undefined) return;
    const node = page.nodes[index];
    const box = boxOf(page, index);
    const view = page.document.defaultView!;
    if (node && box && (box.top < 0 || box.top + Math.min(box.height, 40) > view.innerHeight))
      node.scrollIntoView({ block: "center" });
  }, [page, picked]);

  const step = (direction: 1 | -1) => {
    const ends = direction === 1 ? -1 : places.length;
    let at = picked ? places.findIndex((place) => isAt(place, picked)) : ends;
    // An element that shows no text of its own: on from where it stands.
    if (at < 0 && picked)
      at =
        direction === 1
          ? places.findLastIndex(({ index }) => index <= picked.index)
          : places.findIndex(({ index }) => index >= picked.index);
    trail.current = [];
    pick(places[Math.min(places.length - 1, Math.max(0, at + direction))] ?? null);
  };

  const pickWords = (found: WordSpan | null) =>
    store.getState().pickWords(found && { ...found, ref: { page: path, index: found.index } });
  const known = words && { ...words, index: words.ref.index };

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    // With Shift the arrows pick words; with Alt as well, where they begin.
    if (event.shiftKey && pickedIndex !== null && (event.key === "ArrowRight" || event.key === "ArrowLeft")) {
      event.preventDefault();
      return pickWords(
        stepWords(page, pickedIndex, known, event.altKey ? "start" : "end", event.key === "ArrowRight" ? 1 : -1),
      );
    }
    if (event.altKey) return;
    const actions: Record<string, () => void> = {
      ArrowDown: () => step(1),
      ArrowUp: () => step(-1),
      ArrowLeft: () => {
        if (!picked) return;
        const parent = picked.pseudo === undefined ? (parents.get(picked.index) ?? null) : picked.index;
        if (parent === null) return;
        if (picked.pseudo === undefined) trail.current.push(picked.index);
        pickElement(parent);
      },
      ArrowRight: () => {
        const back =
          trail.current.pop() ?? own.find(({ index }) => picked && isInside(index, picked.index, parents))?.index;
        if (back !== undefined) pickElement(back);
      },
      Escape: () => (words ? pickWords(null) : pick(null)),
      u: () => setUnstyled(!store.getState().unstyled),
      t: onTrueSize,
      g: onGlass,
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
    return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale };
  };
  const under = (event: React.MouseEvent) => {
    const { x, y } = at(event);
    const shownThere = places.findLast((place) => place.box !== null && holds(inWindow(page, place.box), x, y));
    if (shownThere) return shownThere;
    const index = placeAt(page, x, y, indexes);
    return index === null ? null : (own.find((place) => place.index === index) ?? null);
  };

  const pickedPlace = picked ? places.find((place) => isAt(place, picked)) : undefined;
  const alike = pickedPlace ? places.filter((place) => place.key === pickedPlace.key && place !== pickedPlace) : [];
  const reached = (reach ?? []).filter((ref) => ref.page === path);
  const touched = places.filter((place) => place !== pickedPlace && reached.some((ref) => isAt(place, ref)));
  const ownBox = picked && boxOf(page, picked.index);
  const pickedBox = pickedPlace ? boxOfPlace(page, pickedPlace) : ownBox;
  const hoveredBox = hovered && hovered !== pickedPlace ? boxOfPlace(page, hovered) : null;
  const spoken = slip && picked ? `${slip.role}: ${slip.text.slice(0, 80)}` : "";

  return (
    <>
      {hoveredBox && <Bracket box={hoveredBox} scale={scale} label={hovered!.selector} quiet />}
      {pickedBox && <Bracket box={pickedBox} scale={scale} label={slip?.selector ?? pickedPlace?.selector ?? ""} />}
      <Marks
        shown={shown}
        places={places}
        onPick={pick}
        scale={scale}
        boxOf={({ place, index }) => (place ? boxOfPlace(page, place) : boxOf(page, index))}
      />
      <div
        role="application"
        tabIndex={0}
        className={styles.overlay}
        style={{ ...drawn, "--scale": scale } as React.CSSProperties}
        aria-label="The page. Arrow down and up walk through its texts, left goes to the parent and right back, Shift with left and right picks words, U takes the styles off, T shows it at its true size, G puts a glass over the picked text."
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
          if (found.index === pickedIndex) pickWords(found);
          else
            unwaited(
              store
                .getState()
                .pick({ page: path, index: found.index })
                .then(() => pickWords(found)),
            );
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
          const point = [event.clientX - left, event.clientY - top, event.deltaX, event.deltaY] as const;
          const [x, y, dx, dy] = point.map((value) => value / scale);
          scrollAt(page, x!, y!, dx!, dy!);
        }}
      >
        {inSight(page, alike).map(([place, box]) => (
          <Outline key={`alike-${place.selector}-${place.index}`} box={box} kind="alike" />
        ))}
        {inSight(page, touched).map(([place, box]) => (
          <Outline key={`reach-${place.selector}-${place.index}`} box={box} kind="reach" />
        ))}
        {known &&
          boxesOfWords(page, known).map((box, line) => <span key={line} className={styles.words} style={box} />)}
        {grid !== null && <GridLines page={page} px={grid} />}
        {worst && !isTried && slip?.worst && pickedBox && <Worst page={page} at={slip.worst} scale={scale} />}
        {room && picked && <RoomLines page={page} index={picked.index} scale={scale} />}
        {hoveredBox && <Outline box={hoveredBox} kind="hover" />}
        {pickedBox && <Outline box={pickedBox} kind="picked" />}
      </div>
      <span className="visually-hidden" role="status" aria-label="Picked text">
        {spoken}
      </span>
    </>
  );
}

const isAt = (place: PlaceView, { index, pseudo }: ElementRef) =>
  place.index === index && place.pseudo === (pseudo ?? null);

function refTo(page: string, { index, pseudo }: Pick<PlaceView, "index" | "pseudo">): ElementRef {
  return pseudo === null ? { page, index } : { page, index, pseudo };
}

/** A box of the page as it stands in the window, with air around it: it is that of the middle of letters. */
function inWindow({ document }: ShownPage, { left, top, width, height }: Box): Box {
  const { scrollX, scrollY } = document.defaultView!;
  return { left: left - scrollX, top: top - scrollY - height * 0.6, width, height: height * 2.2 };
}

const holds = ({ left, top, width, height }: Box, x: number, y: number) =>
  x >= left && x <= left + width && y >= top && y <= top + height;

/** Where a text stands in the window; for a pseudo-element where it was seen, or its element until then. */
function boxOfPlace(page: ShownPage, { index, box }: PlaceView): Box | null {
  return box ? inWindow(page, box) : boxOf(page, index);
}

/** Boxes of those texts that are in the window now. */
function inSight(page: ShownPage, list: readonly PlaceView[]): [PlaceView, Box][] {
  const height = page.document.defaultView?.innerHeight ?? 0;
  return list.flatMap((place): [PlaceView, Box][] => {
    const box = boxOfPlace(page, place);
    return box && box.top + box.height > 0 && box.top < height ? [[place, box]] : [];
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

/** Around a text, never behind it. */
function Outline({ box, kind }: { box: Box; kind: "alike" | "reach" | "hover" | "picked" }) {
  const { left, top, width, height } = box;
  return (
    <div
      className={`${styles.outline} ${styles[kind]}`}
      style={{ left: left - 6, top: top - 5, width: width + 12, height: height + 10 }}
    />
  );
}

/** In the margin beside a text, with what it is. */
function Bracket({ box, scale, label, quiet = false }: { box: Box; scale: number; label: string; quiet?: boolean }) {
  const style = { top: box.top * scale, height: box.height * scale };
  return (
    <div className={quiet ? `${styles.bracket} ${styles.quiet}` : styles.bracket} style={style}>
      <code>{label}</code>
    </div>
  );
}
