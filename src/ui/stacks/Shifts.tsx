"use client";

import { useEffect, useRef, useState } from "react";
import type { ElementRef, StackUse, TextChange } from "@/core";
import { extentOf, type Extent } from "@/preview/extent";
import { showNextPage } from "@/preview/frame";
import { plural, shiftWords, showNumber } from "../shared/numbers";
import { useEngine, useWorkspace } from "../workspace/context";
import { HiddenFrame } from "../shared/HiddenFrame";
import styles from "./Stacks.module.css";
import { unwaited } from "../shared/unwaited";

/** The page under one assumption. */
export interface Assumption {
  label: string;
  /** Families taken as if they were not there. */
  absent: readonly string[];
  changes: readonly TextChange[];
}

interface Props {
  places: readonly ElementRef[];
  assumptions: readonly Assumption[];
}

/** What assumptions about fonts shift on the page that has most of the places: it is laid out under each, out of sight. */
export function Shifts({ places, assumptions }: Props) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const frame = useRef<HTMLIFrameElement>(null);
  const [measured, setMeasured] = useState<readonly Extent[]>([]);
  const path = pageWithMost(places);
  const key = JSON.stringify(assumptions);
  const indexes = JSON.stringify(places.filter(({ page }) => page === path).map(({ index }) => index));
  useEffect(() => {
    let current = true;
    const measure = async () => {
      const list = JSON.parse(key) as Assumption[];
      const found: Extent[] = [];
      for (const { absent, changes } of [{ absent: [], changes: [] }, ...list]) {
        const view = await engine.variant(path, [...changes], {
          ...conditions,
          absent: [...new Set([...conditions.absent, ...absent])],
        });
        if (!current || !frame.current) return;
        const page = await showNextPage(frame.current, view);
        await page.document.fonts.ready;
        const extent = await extentOf(page, JSON.parse(indexes) as number[], () => current);
        if (!extent) return;
        found.push(extent);
        setMeasured([...found]);
      }
    };
    unwaited(measure());
    return () => {
      current = false;
    };
  }, [engine, conditions, path, key, indexes]);
  const [usual, ...others] = measured;
  return (
    <>
      <dl className={styles.shifts} role="status" aria-label={`What shifts on ${path}`}>
        <div>
          <dt>{path} as it is here</dt>
          <dd>{usual ? `${plural(usual.lines, "line")} in this stack, ${usual.height} px high` : "measuring…"}</dd>
        </div>
        {assumptions.map(({ label }, at) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{usual && others[at] ? shifted(usual, others[at]) : "measuring…"}</dd>
          </div>
        ))}
      </dl>
      <HiddenFrame frame={frame} title="A page laid out to be measured" conditions={conditions} />
    </>
  );
}

/** "2 lines more, 48 px higher; the words 9% wider". */
function shifted(usual: Extent, now: Extent): string {
  const wider = usual.width > 0 ? (now.width / usual.width - 1) * 100 : 0;
  const words =
    Math.abs(wider) < 0.5
      ? "the words as wide"
      : `the words ${showNumber(Math.abs(wider), Math.abs(wider) < 10 ? 1 : 0)}% ${wider > 0 ? "wider" : "narrower"}`;
  return `${shiftWords({ lines: now.lines - usual.lines, height: now.height - usual.height })}; ${words}`;
}

function pageWithMost(places: readonly ElementRef[]): string {
  const counts = new Map<string, number>();
  for (const { page } of places) counts.set(page, (counts.get(page) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? "";
}

/** The page without the first members of a stack, one more each time, as far as something else would come out. */
export function withoutMembers(
  { info }: StackUse,
  isHere: (member: { name: string; generic: boolean }) => boolean,
): Assumption[] {
  const present = info.members.filter(isHere);
  return present.slice(0, -1).map((member, at) => ({
    label: `without ${present
      .slice(0, at + 1)
      .map(({ name }) => name)
      .join(" and ")}, in ${present[at + 1]!.name}`,
    absent: present.slice(0, at + 1).map(({ name }) => name),
    changes: [],
  }));
}
