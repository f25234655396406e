"use client";

/** When nobody touches anything: what is looked at out of sight waits for it. */
import { useEffect } from "react";

/** Milliseconds without a touch. */
const untouched = 1000;
/** Milliseconds without a touch after which nobody is thought to be there. */
const away = 15_000;
const touches = ["pointerdown", "pointermove", "wheel", "keydown"] as const;

/** When somebody touched anything last. */
let touched = 0;
const touch = () => {
  touched = performance.now();
};

const breath = () => new Promise((resolve) => setTimeout(resolve, 30));

/** Waits until nobody has touched anything for a while, or it is not wanted any more. */
export async function whenCalm(current: () => boolean): Promise<void> {
  await breath();
  while (current() && performance.now() - touched < untouched) await breath();
}

/** Whether nobody seems to be there. */
export const isNobodyThere = (): boolean => performance.now() - touched >= away;

/** Notices touches as long as the desk stands. */
export function useTouches(): void {
  useEffect(() => {
    // Somebody opened it.
    touch();
    for (const name of touches) window.addEventListener(name, touch, { capture: true, passive: true });
    return () => {
      for (const name of touches) window.removeEventListener(name, touch, { capture: true });
    };
  }, []);
}
