"use client";

/** What lies over the page: it takes all input, and draws what is picked, reached and marked. */
import { useCallback, useEffect } from "react";
import type { ElementRef } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { Shown, ShownPage } from "@/preview/frame";
import { boxOf, type Box } from "@/preview/measure";
import { boxesOfWords, type WordSpan } from "@/preview/words";
import { unwaited } from "../shared/unwaited";
import { useBench } from "../workspace/bench";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { GridLines } from "./GridLines";
import { Marks } from "./Marks";
import { boxOfPlace, inSight, isAt, refTo } from "./placeBoxes";
import { RoomLines } from "./RoomLines";
import styles from "./Stage.module.css";
import { useEarlyPress, usePointer } from "./usePointer";
import { useWalk } from "./useWalk";
import { Worst } from "./Worst";

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
  const path = useWorkspace((state) => state.page)!;
  const picking = useWorkspace((state) => (state.words?.ref.page === state.page ? state.words : null));
  const words = picking && { ...picking, index: picking.ref.index };
  const { page } = shown;
  useInSight(page, picked);

  const pick = useCallback(
    (place: Pick<PlaceView, "index" | "pseudo"> | null) => unwaited(store.getState().pick(place && refTo(path, place))),
    [store, path],
  );
  const pickWords = (found: WordSpan | null) =>
    store.getState().pickWords(found && { ...found, ref: { page: path, index: found.index } });
  const walk = useWalk({ page, places, picked, words, onPick: pick, onPickWords: pickWords, onTrueSize, onGlass });
  const pullOver = (found: WordSpan) => {
    if (picked?.pseudo === undefined && found.index === picked?.index) pickWords(found);
    else
      unwaited(
        store
          .getState()
          .pick({ page: path, index: found.index })
          .then(() => pickWords(found)),
      );
  };
  const press = (place: PlaceView | null) => {
    walk.forget();
    pick(place);
  };
  const { hovered, handlers } = usePointer({ page, places, scale, onPress: press, onWords: pullOver });

  const pickedPlace = picked ? places.find((place) => isAt(place, picked)) : undefined;
  const ownBox = picked && boxOf(page, picked.index);
  const pickedBox = pickedPlace ? boxOfPlace(page, pickedPlace) : ownBox;
  const hoveredBox = hovered && hovered !== pickedPlace ? boxOfPlace(page, hovered) : null;
  return (
    <>
      {hoveredBox && <Bracket box={hoveredBox} scale={scale} passing={hovered!.selector} />}
      {pickedBox && <Bracket box={pickedBox} scale={scale} />}
      <Marks
        shown={shown}
        places={places}
        onPick={pick}
        scale={scale}
        boxOf={({ place, index }) => (place ? boxOfPlace(page, place) : boxOf(page, index))}
        picked={pickedBox && { box: pickedBox, name: slip?.selector ?? pickedPlace?.selector ?? "" }}
      />
      <div
        role="application"
        tabIndex={0}
        className={styles.overlay}
        style={{ ...drawn, "--scale": scale } as React.CSSProperties}
        aria-label="The page. Arrow down and up walk through its texts, left goes to the parent and right back, Shift with left and right picks words, U takes the styles off, T shows it at its true size, G puts a glass over the picked text."
        onKeyDown={walk.onKeyDown}
        {...handlers}
      >
        <Touched page={page} places={places} pickedPlace={pickedPlace} />
        {words &&
          boxesOfWords(page, words).map((box, line) => <span key={line} className={styles.words} style={box} />)}
        <Drawn page={page} picked={picked} hasBox={pickedBox !== null} scale={scale} />
        {hoveredBox && <Outline box={hoveredBox} kind="hover" />}
        {pickedBox && <Outline box={pickedBox} kind="picked" />}
      </div>
      <span className="visually-hidden" role="status" aria-label="Picked text">
        {slip && picked ? `${slip.role}: ${slip.text.slice(0, 80)}` : ""}
      </span>
    </>
  );
}

interface CoverProps extends Pick<OverlayProps, "drawn" | "scale"> {
  shown: Shown | null;
  places: readonly PlaceView[] | null;
}

/** Lies over a page whose texts are not known yet: it never gets a press itself, and the last one counts once they are. */
export function Cover({ shown, places, drawn, scale }: CoverProps) {
  const store = useWorkspaceStore();
  const pick = useCallback(
    (place: PlaceView | null) => {
      const { page, pick } = store.getState();
      unwaited(pick(place && refTo(page!, place)));
    },
    [store],
  );
  const press = useEarlyPress(shown, places, scale, pick);
  return shown && places ? null : <div aria-hidden className={styles.overlay} style={drawn} onClick={press} />;
}

/** Brings what is picked into the window of the page. */
function useInSight(page: ShownPage, picked: ElementRef | null): void {
  useEffect(() => {
    const index = picked?.index;
    if (index === undefined) return;
    const node = page.nodes[index];
    const box = boxOf(page, index);
    const view = page.document.defaultView!;
    if (node && box && (box.top < 0 || box.top + Math.min(box.height, 40) > view.innerHeight))
      node.scrollIntoView({ block: "center" });
  }, [page, picked]);
}

interface TouchedProps {
  page: ShownPage;
  places: readonly PlaceView[];
  pickedPlace: PlaceView | undefined;
}

/** Outlines of texts that are set as the picked one, and of those that an edit would reach. */
function Touched({ page, places, pickedPlace }: TouchedProps) {
  const path = useWorkspace((state) => state.page);
  const reach = useWorkspace((state) => state.reach) ?? [];
  const others = places.filter((place) => place !== pickedPlace);
  const alike = others.filter(({ key }) => key === pickedPlace?.key);
  const reached = reach.filter((ref) => ref.page === path);
  const touched = others.filter((place) => reached.some((ref) => isAt(place, ref)));
  const outlines = (kind: "alike" | "reach", list: readonly PlaceView[]) =>
    inSight(page, list).map(([place, box]) => (
      <Outline key={`${kind}-${place.selector}-${place.index}`} box={box} kind={kind} />
    ));
  return (
    <>
      {outlines("alike", alike)}
      {outlines("reach", touched)}
    </>
  );
}

interface DrawnProps {
  page: ShownPage;
  picked: ElementRef | null;
  hasBox: boolean;
  scale: number;
}

/** What the open rows of the slip draw on the page: its grid, the worst place of a ground, the room of a box. */
function Drawn({ page, picked, hasBox, scale }: DrawnProps) {
  const { room, worst, grid } = useBench();
  const isTried = useWorkspace((state) => state.rehearsal !== null);
  const at = useWorkspace((state) => state.slip?.worst);
  return (
    <>
      {grid !== null && <GridLines page={page} px={grid} />}
      {worst && !isTried && at && hasBox && <Worst page={page} at={at} scale={scale} />}
      {room && picked && <RoomLines page={page} index={picked.index} scale={scale} />}
    </>
  );
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

/** In the margin beside a text. @param passing the name of one that the pointer is only over */
function Bracket({ box, scale, passing }: { box: Box; scale: number; passing?: string }) {
  const style = { top: box.top * scale, height: box.height * scale };
  return (
    <div className={passing === undefined ? styles.bracket : `${styles.bracket} ${styles.quiet}`} style={style}>
      {passing !== undefined && <code>{passing}</code>}
    </div>
  );
}
