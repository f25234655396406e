"use client";

import { useEffect, useState } from "react";
import type { ElementRef, Setting, Slip } from "@/core";
import { useEngine, useWorkspace } from "../workspace/context";

/** How a longhand comes out over the places the rule reaches; asked anew whenever the picked text changes. */
export function useSetting(slip: Slip, places: readonly ElementRef[], property: string): Setting | null {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [setting, setSetting] = useState<Setting | null>(null);
  useEffect(() => {
    let current = true;
    void engine.setting(slip.ref, places, property, conditions).then((found) => current && setSetting(found));
    return () => {
      current = false;
    };
  }, [engine, slip, places, property, conditions]);
  return setting;
}
