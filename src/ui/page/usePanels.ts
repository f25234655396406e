"use client";

import { useRef, useState } from "react";
import { boolean, number, object } from "yup";

export type PanelName = "source" | "slip";

interface Panel {
  /** CSS px. */
  size: number;
  folded: boolean;
}
export type Panels = Readonly<Record<PanelName, Panel>>;

const kept = "hevret-panels";
const usual: Panels = { source: { size: 172, folded: false }, slip: { size: 520, folded: false } };

const panel = object({ size: number().min(60).max(4000).required(), folded: boolean().required() });
const schema = object({ source: panel.required(), slip: panel.required() });

/** As they were left in this browser; as usual where that cannot be read. */
function readPanels(): Panels {
  try {
    return schema.validateSync(JSON.parse(localStorage.getItem(kept) ?? "null"), { strict: true });
  } catch {
    return usual;
  }
}

/** How large the panels beside the page are, and which are folded away. */
export function usePanels() {
  const [panels, setPanels] = useState(readPanels);
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
  const fold = (name: PanelName, folded: boolean) => {
    const next = changed(name, { folded });
    setPanels(next);
    keep(next);
  };
  return { panels, dragged, fold };
}
