"use client";

import { useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from "react";
import type { Conditions } from "@/core";
import type { PageView } from "@/engine/protocol";
import { frameSandbox, showPage, type ShownPage } from "@/preview/frame";
import { Choice } from "../shared/Choice";
import { unwaitedWhile } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import styles from "./Schemes.module.css";

/** One of the pages side by side. */
export interface Side {
  title: string;
  conditions: Conditions;
  /** Another function where it would be another page. */
  view(path: string): Promise<PageView>;
}

/** The width that pages are laid out at here, CSS px: what stands side by side is to be read. */
const laidOutAt = 760;

/** One page as several readers have it, scrolled together. */
export function SideBySide({ sides }: { sides: readonly Side[] }) {
  const pages = useWorkspace((state) => state.summary?.pages ?? null);
  const shown = useWorkspace((state) => state.page);
  const [chosen, setChosen] = useState<string | null>(null);
  const path = chosen ?? shown ?? pages?.[0]?.path ?? null;
  const frames = useRef<(ShownPage | null)[]>([]);
  const scrolled = (from: number, top: number) => {
    for (const [at, page] of frames.current.entries())
      if (at !== from) page?.document.defaultView?.scrollTo({ top, behavior: "instant" });
  };
  if (path === null) return null;
  return (
    <section className={styles.sides} aria-label="Side by side">
      <label className={styles.pageChoice}>
        Page
        <Choice
          size="small"
          aria-label="Page side by side"
          value={path}
          options={(pages ?? [{ path, title: path }]).map((one) => ({ value: one.path, label: one.path }))}
          popupMatchSelectWidth={false}
          onChange={setChosen}
        />
      </label>
      <div className={styles.pair}>
        {sides.map((side, at) => (
          <SideFrame
            key={side.title}
            side={side}
            path={path}
            onShown={(page) => {
              frames.current[at] = page;
            }}
            onScroll={(top) => scrolled(at, top)}
          />
        ))}
      </div>
    </section>
  );
}

interface FrameProps {
  side: Side;
  path: string;
  onShown(page: ShownPage): void;
  onScroll(top: number): void;
}

function SideFrame({ side, path, onShown, onScroll }: FrameProps) {
  const { title, conditions, view } = side;
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

/** The conditions that are looked at, with some changed. @param changed the same object as long as it is the same */
export function useConditionsOf(changed: Partial<Conditions>): Conditions {
  const conditions = useWorkspace((state) => state.conditions);
  return useMemo(() => ({ ...conditions, width: laidOutAt, ...changed }), [conditions, changed]);
}
