"use client";

import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from "react";
import type { Conditions } from "@/core";
import type { PageView } from "@/engine/protocol";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { unwaitedWhile } from "../shared/unwaited";
import styles from "./InStep.module.css";

/** One of the pages that are compared. */
export interface Side {
  title: string;
  path: string;
  conditions: Pick<Conditions, "scheme">;
  /** Another function where it would be another page. */
  view(path: string): Promise<PageView>;
}

/** The width that pages are laid out at here, CSS px: what stands side by side is to be read. */
export const laidOutAt = 760;

/** How they stand: next to each other, under each other, or one over the other with as much of it covered as one likes. */
export type Standing = "columns" | "rows" | "slider";

/** How far keys scroll, px of the page. */
const steps: Readonly<Record<string, number>> = { ArrowDown: 60, ArrowUp: -60, PageDown: 400, PageUp: -400 };

/** Pages that are scrolled together. */
export function InStep({ sides, standing }: { sides: readonly Side[]; standing: Standing }) {
  const frames = useRef<(ShownPage | null)[]>([]);
  const [share, setShare] = useState(50);
  const scrolled = (from: number, top: number) => {
    for (const [at, page] of frames.current.entries())
      if (at !== from) page?.document.defaultView?.scrollTo({ top, behavior: "instant" });
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const by = steps[event.key];
    if (by === undefined || event.target !== event.currentTarget) return;
    event.preventDefault();
    for (const page of frames.current) page?.document.defaultView?.scrollBy({ top: by, behavior: "instant" });
  };
  return (
    <div
      className={`${styles.pages} ${styles[standing]}`}
      style={{ "--share": `${share}%` } as React.CSSProperties}
      role="group"
      aria-label="Pages in step: arrow keys scroll them"
      tabIndex={0}
      onKeyDown={onKeyDown}
    >
      {sides.map((side, at) => (
        <SideFrame
          key={at}
          side={side}
          onShown={(page) => {
            frames.current[at] = page;
          }}
          onScroll={(top) => scrolled(at, top)}
        />
      ))}
      {standing === "slider" && (
        <input
          type="range"
          className={styles.share}
          min={0}
          max={100}
          value={share}
          aria-label="How much of the page after is seen"
          aria-valuetext={`${share}%`}
          onChange={({ target }) => setShare(Number(target.value))}
        />
      )}
    </div>
  );
}

interface FrameProps {
  side: Side;
  onShown(page: ShownPage): void;
  onScroll(top: number): void;
}

function SideFrame({ side, onShown, onScroll }: FrameProps) {
  const { title, conditions, path, view } = side;
  const room = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const size = useSize(room);
  const [page, setPage] = useState<ShownPage | null>(null);
  const latest = useRef({ onShown, onScroll });
  useEffect(() => {
    latest.current = { onShown, onScroll };
  });
  const top = useRef(0);
  useEffect(() => {
    let current = true;
    const isHere = () => current && frame.current?.isConnected === true;
    unwaitedWhile(
      isHere,
      view(path).then(async (answer) => {
        if (!isHere()) return;
        const made = await showPage(frame.current!, answer);
        if (!isHere()) return;
        made.document.defaultView?.scrollTo({ top: top.current, behavior: "instant" });
        setPage(made);
        latest.current.onShown(made);
      }),
    );
    return () => {
      current = false;
    };
  }, [view, path]);
  useEffect(() => {
    const window = page?.document.defaultView;
    if (!window) return;
    // Only what is under the pointer, or has the focus, takes the others along.
    const told = () => {
      top.current = window.scrollY;
      const isOwn = frame.current?.matches(":hover, :focus, :focus-within") === true;
      if (isOwn) latest.current.onScroll(window.scrollY);
    };
    window.addEventListener("scroll", told, { passive: true });
    return () => window.removeEventListener("scroll", told);
  }, [page]);
  const scale = size ? Math.min(1, size.width / laidOutAt) : 1;
  return (
    <figure className={styles.side}>
      <figcaption>{title}</figcaption>
      <div ref={room} className={styles.sideRoom}>
        <iframe
          ref={frame}
          title={title}
          // Keys scroll the pages together; what is in them is not for the keyboard here.
          tabIndex={-1}
          sandbox={frameSandbox}
          className="true-colors"
          style={{
            width: laidOutAt,
            height: size ? size.height / scale : 600,
            transform: `scale(${scale})`,
            colorScheme: conditions.scheme,
          }}
        />
      </div>
    </figure>
  );
}

function useSize(room: RefObject<HTMLElement | null>) {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width, height });
    });
    observer.observe(room.current!);
    return () => observer.disconnect();
  }, [room]);
  return size;
}
