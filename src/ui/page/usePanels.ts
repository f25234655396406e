"use client";

import { useRef, useState } from "react";
import { boolean, number, object } from "yup";
import { useRem } from "../shared/rem";

export type PanelName = "source" | "slip";

interface Panel {
  /** CSS px. */
  size: number;
  folded: boolean;
}
export type Panels = Readonly<Record<PanelName, Panel>>;

const kept = "hevret-panels";
/** rem */
const usual = { source: 10.75, slip: 32.5 };

const panel = object({ size: number().min(60).max(4000).required(), folded: boolean().required() });
const schema = object({ source: panel.required(), slip: panel.required() });

/** As they were left in this browser; as usual where that cannot be read. */
export function readPanels(rem: (count: number) => number): Panels {
  try {
    return schema.validateSync(JSON.parse(localStorage.getItem(kept) ?? "null"), { strict: true });
  } catch {
    return {
      source: { size: rem(usual.source), folded: false },
      slip: { size: rem(usual.slip), folded: false },
    };
  }
}

/** How large the panels beside the page are, and which are folded away. */
export function usePanels() {
  const rem = useRem();
  const [panels, setPanels] = useState(() => readPanels(rem));
  const isDragging = useRef(false);
  const keep = (next: Panels) => localStorage.setItem(kept, JSON.stringify(next));
  const changed = (name: PanelName, more: Partial<Panel>): Panels => ({
    ...panels,
    [name]: { ...panels[name], ...more },
  });
  /** Keeps the size of a panel that is dragged. What the window does to it is not what somebody chose. */
  const dragged = (name: PanelName) => ({
    onResizeStart: () => {
      isDragging.current = true;
    },
    onResize: ([, size]: number[]) => {
      if (isDragging.current && size !== undefined) setPanels(changed(name, { size }));
    },
    onResizeEnd: ([, size]: number[]) => {
      isDragging.current = false;
      if (size !== undefined) keep(changed(name, { size }));
    },
  });
  const change = (name: PanelName, more: Partial<Panel>) => {
    const next = changed(name, more);
    setPanels(next);
    keep(next);
  };
  const fold = (name: PanelName, folded: boolean) => change(name, { folded });
  const resize = (name: PanelName, size: number) => change(name, { size });
  return { panels, dragged, fold, resize };
}
