"use client";

import { useCallback, useState } from "react";
import { object, boolean, number } from "yup";

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
  const set = useCallback((name: PanelName, more: Partial<Panel>) => {
    setPanels((known) => {
      const next = { ...known, [name]: { ...known[name], ...more } };
      localStorage.setItem(kept, JSON.stringify(next));
      return next;
    });
  }, []);
  const resize = useCallback((name: PanelName, size?: number) => size !== undefined && set(name, { size }), [set]);
  const fold = useCallback((name: PanelName, folded: boolean) => set(name, { folded }), [set]);
  return { panels, resize, fold };
}
