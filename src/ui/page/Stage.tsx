"use client";

import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from "react";
import { frameSandbox, type Shown } from "@/preview/frame";
import { linesOf } from "@/preview/measure";
import { shiftWords } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { useBench } from "../workspace/bench";
import { Glass } from "./Glass";
import { gutter, Overlay } from "./Overlay";
import { narrowest, Ruler, widest } from "./Ruler";
import styles from "./Stage.module.css";
import { TrialStage } from "./TrialStage";
import { useMeasures, useShift } from "./useMeasures";
import type { Look } from "./look";
import { useShownPage } from "./useShownPage";
import { useTurns } from "./useTurns";

/** Room right of the page, CSS px. */
const air = 14;

interface Props {
  shown: Shown | null;
  onShown(shown: Shown | null): void;
  look: Look;
  onLook(more: Partial<Look>): void;
}

/** The page in its frame, with marks in the margin, a ruler over it and outlines drawn on top. */
export function Stage({ shown, onShown, look, onLook }: Props) {
  const { trueSize, glass } = look;
  const places = useWorkspace((state) => (state.rehearsal?.patch ?? state.view)?.places);
  const picked = useWorkspace((state) => (state.picked?.page === state.page ? state.picked : null));
  const pickedIndex = picked && picked.pseudo === undefined ? picked.index : null;
  const scheme = useWorkspace((state) => state.conditions.scheme);
  const stage = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [sideways, setSideways] = useState(0);
  /** What is drawn over the page follows it when it is scrolled. */
  const [, setScrolls] = useState(0);
  const onScroll = useCallback(() => setScrolls((count) => count + 1), []);
  const { width, scale, height } = useWidth(stage, look.width, trueSize);
  const turns = useTurns();
  useShownPage(frame, onShown, onScroll);
  useMeasures(shown);
  const shift = useShift(shown, width);
  const { set } = useBench();
  const lines = useMemo(
    () => (shown && pickedIndex !== null ? linesOf(shown.page, pickedIndex) : null),
    [shown, pickedIndex],
  );
  const left = gutter - sideways;
  const measure = lines
    ? {
        from: left + (lines.left + 45 * lines.character) * scale,
        to: left + (lines.left + 75 * lines.character) * scale,
      }
    : null;
  const drawn = { left: gutter, width: width ?? 0, height: height ?? 0, transform: `scale(${scale})` };

  return (
    <div className={styles.area}>
      <div className={styles.top}>
        <Ruler
          left={left}
          width={width ?? 0}
          scale={scale}
          measure={measure}
          turns={turns}
          onWidth={(next) => onLook({ width: next })}
        />
        {shift && (
          <span className={styles.shift} role="status">
            page {shiftWords(shift)}
          </span>
        )}
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
      <div className={styles.stage} ref={stage} onScroll={(event) => setSideways(event.currentTarget.scrollLeft)}>
        <div className={styles.inner} style={{ width: gutter + (width ?? 0) * scale + air }}>
          <iframe
            ref={frame}
            title="The page"
            sandbox={frameSandbox}
            tabIndex={-1}
            className={styles.frame}
            style={{ ...drawn, colorScheme: scheme }}
          />
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
        </div>
        {glass && picked && !set && <Glass picked={picked} onClose={() => onLook({ glass: false })} />}
        {set && <TrialStage key={set.label} set={set} left={gutter} scale={scale} />}
      </div>
    </div>
  );
}

/**
 * How wide the page is: as chosen, else as the room is; drawn smaller where it is wider than the room, unless it is to be
 * seen at its true size. The page is told, with the height that it has then.
 */
function useWidth(
  stage: RefObject<HTMLDivElement | null>,
  chosen: number | null,
  trueSize: boolean,
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
  const fits = room && Math.min(widest, Math.max(narrowest, room.width - gutter - air));
  const width = chosen ?? fits;
  const scale = width !== null && fits !== null && width > fits && !trueSize ? fits / width : 1;
  const height = room && Math.round(room.height / scale);
  useEffect(() => {
    if (width === null || height === null) return;
    const { conditions: known, setConditions } = store.getState();
    if (known.width !== width || known.height !== height) unwaited(setConditions({ width, height }));
  }, [store, width, height]);
  return { width, height, scale };
}
