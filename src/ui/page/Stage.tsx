"use client";

import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from "react";
import type { PlaceView } from "@/engine/protocol";
import { frameSandbox, type Shown } from "@/preview/frame";
import { boxOf, linesOf } from "@/preview/measure";
import { shiftWords } from "../shared/numbers";
import { useRem } from "../shared/rem";
import { unwaited } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { useBench } from "../workspace/bench";
import { Beside } from "./Beside";
import { Glass } from "./Glass";
import { Cover, Overlay } from "./Overlay";
import { air, fitting, margin } from "./room";
import { Ruler } from "./Ruler";
import styles from "./Stage.module.css";
import { TrialStage } from "./TrialStage";
import { useMeasures, useShift } from "./useMeasures";
import type { Look } from "./look";
import { useShownPage } from "./useShownPage";
import { useTurns } from "./useTurns";
import { WidthField } from "./WidthField";

/** Room between widths that stand beside each other, CSS px of the page. */
const between = 24;

interface Props {
  shown: Shown | null;
  onShown(shown: Shown | null): void;
  look: Look;
  onLook(more: Partial<Look>): void;
}

/** The page in its frame, with marks in the margin, a ruler over it and outlines drawn on top. */
export function Stage({ shown, onShown, look, onLook }: Props) {
  const { trueSize, glass } = look;
  const places = useWorkspace((state) => (state.rehearsal?.patch ?? state.view)?.places ?? null);
  const path = useWorkspace((state) => state.page);
  const picked = useWorkspace((state) => (state.picked?.page === state.page ? state.picked : null));
  const pickedIndex = picked && picked.pseudo === undefined ? picked.index : null;
  const scheme = useWorkspace((state) => state.conditions.scheme);
  const stage = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [sideways, setSideways] = useState(0);
  /** What is drawn over the page follows it when it is scrolled. */
  const [, setScrolls] = useState(0);
  const onScroll = useCallback(() => setScrolls((count) => count + 1), []);
  const gutter = useRem()(margin);
  const { width, scale, height } = useWidth(stage, gutter, look);
  useShownPage(frame, onShown, onScroll);
  useMeasures(shown);
  const { set } = useBench();
  const level = look.beside.length > 0 && shown && places ? levelIn(shown, places, pickedIndex) : null;
  const room = besidesOf({ look, from: gutter + ((width ?? 0) + between) * scale, scale });
  const drawn = { left: gutter, width: width ?? 0, height: height ?? 0, transform: `scale(${scale})` };

  return (
    <div className={styles.area}>
      <Top
        shown={shown}
        look={look}
        onLook={onLook}
        left={gutter - sideways}
        width={width}
        scale={scale}
        pickedIndex={pickedIndex}
        besides={set ? [] : room.besides.map((one) => ({ ...one, left: one.left - sideways }))}
      />
      <div className={styles.stage} ref={stage} onScroll={(event) => setSideways(event.currentTarget.scrollLeft)}>
        <div className={styles.inner} style={{ width: room.end + air }}>
          <iframe
            ref={frame}
            title="The page"
            sandbox={frameSandbox}
            tabIndex={-1}
            className={styles.frame}
            style={{ ...drawn, colorScheme: scheme }}
          />
          <Cover key={path} shown={shown} places={places} drawn={drawn} scale={scale} />
          {shown && places && !set && (
            <Overlay
              shown={shown}
              places={places}
              picked={picked}
              drawn={drawn}
              scale={scale}
              onTrueSize={() => onLook({ trueSize: !trueSize })}
              onGlass={() => onLook({ glass: !glass })}
            />
          )}
          {height !== null &&
            !set &&
            room.besides.map((one) => (
              <Beside
                key={one.at}
                left={one.left}
                width={one.width}
                height={height}
                scale={scale}
                levelIndex={level?.index ?? null}
                levelTop={level?.top ?? 0}
              />
            ))}
        </div>
        {glass && picked && !set && <Glass picked={picked} onClose={() => onLook({ glass: false })} />}
        {set && <TrialStage key={set.label} set={set} left={gutter} scale={scale} />}
      </div>
    </div>
  );
}

interface TopProps extends Pick<Props, "shown" | "look" | "onLook"> {
  /** Of the page, from the left of the stage. */
  left: number;
  width: number | null;
  scale: number;
  pickedIndex: number | null;
  besides: readonly Besides[];
}

/** What stands over the page: the ruler, by how much the page moved, the widths beside it, and how large it is drawn. */
function Top({ shown, look, onLook, left, width, scale, pickedIndex, besides }: TopProps) {
  const { trueSize } = look;
  const turns = useTurns();
  const shift = useShift(shown, width);
  const lines = useMemo(
    () => (shown && pickedIndex !== null ? linesOf(shown.page, pickedIndex) : null),
    [shown, pickedIndex],
  );
  const at = (characters: number) => left + (lines!.left + characters * lines!.character) * scale;
  return (
    <div className={styles.top}>
      <Ruler
        left={left}
        width={width ?? 0}
        scale={scale}
        measure={lines && { from: at(45), to: at(75) }}
        turns={turns}
        onWidth={(next) => onLook({ width: next })}
      />
      {shift && (
        <span className={styles.shift} role="status">
          page {shiftWords(shift)}
        </span>
      )}
      {besides.map((one) => (
        <BesideHead
          key={one.at}
          {...one}
          turns={turns}
          beside={look.beside}
          onBeside={(beside) => onLook({ beside })}
        />
      ))}
      {(scale < 1 || trueSize) && (
        <button
          type="button"
          className={`text-button ${styles.scale}`}
          aria-pressed={trueSize}
          onClick={() => onLook({ trueSize: !trueSize })}
        >
          {trueSize ? "at true size" : `at ${Math.round(scale * 100)}%`}
          <kbd>T</kbd>
        </button>
      )}
    </div>
  );
}

/** A width that stands beside the page. */
interface Besides {
  /** Which of them it is. */
  at: number;
  /** From the left of the stage, CSS px. */
  left: number;
  width: number;
}

interface BesideHeadProps extends Besides {
  turns: ReturnType<typeof useTurns>;
  beside: Look["beside"];
  onBeside(beside: number[]): void;
}

/** The field of a width that stands beside the page. */
function BesideHead({ at, left, width, turns, beside, onBeside }: BesideHeadProps) {
  return (
    <div className={styles.besideHead} style={{ left }}>
      <WidthField
        label={`Width beside, in px: ${width}`}
        width={width}
        fits={false}
        turns={turns}
        canFit={false}
        onWidth={(next) => onBeside(beside.map((old, index) => (index === at ? next! : old)))}
      />
      <button
        type="button"
        className="text-button"
        aria-label={`Put the width of ${width} px away`}
        onClick={() => onBeside(beside.filter((_, index) => index !== at))}
      >
        ×
      </button>
    </div>
  );
}

/** The text that further widths are brought in line with: the picked one if it is in sight, else the first that begins in sight. */
function levelIn({ page }: Shown, places: readonly PlaceView[], pickedIndex: number | null) {
  const height = page.document.defaultView?.innerHeight ?? 0;
  const topOf = (index: number) => {
    const top = boxOf(page, index)?.top;
    return top !== undefined && top >= 0 && top < height ? top : null;
  };
  const tried = places.filter(({ pseudo }) => pseudo === null).map(({ index }) => index);
  for (const index of pickedIndex === null ? tried : [pickedIndex, ...tried]) {
    const top = topOf(index);
    if (top !== null) return { index, top };
  }
  return null;
}

/** Where the further widths stand, from the left of the stage, CSS px. @param from - where the first begins */
function besidesOf({ look, from, scale }: { look: Look; from: number; scale: number }) {
  const besides: Besides[] = [];
  let left = from;
  for (const [at, width] of look.beside.entries()) {
    besides.push({ at, left, width });
    left += (width + between) * scale;
  }
  return { besides, end: left - between * scale };
}

/**
 * How wide the page is: as chosen, else as the room is; drawn smaller where it is wider than the room, unless it is to be
 * seen at its true size. The page is told, with the height that it has then.
 */
function useWidth(
  stage: RefObject<HTMLDivElement | null>,
  gutter: number,
  { width: chosen, trueSize, beside }: Look,
): { width: number | null; height: number | null; scale: number } {
  const store = useWorkspaceStore();
  const [room, setRoom] = useState<{ width: number; height: number } | null>(null);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setRoom({ width: Math.floor(width), height: Math.floor(height) });
    });
    observer.observe(stage.current!);
    return () => observer.disconnect();
  }, [stage]);
  const fits = room && fitting(room.width, gutter);
  const width = chosen ?? fits;
  const all = (width ?? 0) + beside.reduce((sum, one) => sum + one + between, 0);
  const scale = fits !== null && all > fits && !trueSize ? fits / all : 1;
  const height = room && Math.round(room.height / scale);
  useEffect(() => {
    if (width === null || height === null) return;
    const { conditions: known, setConditions } = store.getState();
    if (known.width !== width || known.height !== height) unwaited(setConditions({ width, height }));
  }, [store, width, height]);
  return { width, height, scale };
}
