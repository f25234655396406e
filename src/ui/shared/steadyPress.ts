"use client";

/**
 * A press on what moves away under the pointer. Browsers click what the pointer went down and up on, or what holds
 * both (UI Events, "click"); where lines above come or go between the two, as answers do, the press would do nothing.
 */
import { useEffect } from "react";

const pressable = "button, a[href]";
/** A pointer that went farther than this drags, CSS px. */
const still = 4;

interface Press {
  on: HTMLElement;
  x: number;
  y: number;
}

/** Clicks what was pressed where it moved away meanwhile, as long as the desk stands. */
export function useSteadyPress(): void {
  useEffect(() => {
    let press: Press | null = null;
    const down = ({ target, button, pointerType, clientX: x, clientY: y }: PointerEvent) => {
      // What a finger presses is clicked later, where it was put down.
      const isPress = pointerType === "mouse" && button === 0 && target instanceof Element;
      const on = isPress && target.closest<HTMLElement>(pressable);
      press = on ? { on, x, y } : null;
    };
    const up = ({ clientX, clientY }: PointerEvent) => {
      const last = press;
      press = null;
      if (!last || Math.hypot(clientX - last.x, clientY - last.y) > still) return;
      let isClicked = false;
      const clicked = ({ target }: MouseEvent) => {
        isClicked ||= target instanceof Node && last.on.contains(target);
      };
      window.addEventListener("click", clicked, true);
      // A click follows at once, if there is one.
      setTimeout(() => {
        window.removeEventListener("click", clicked, true);
        if (!isClicked && last.on.isConnected) last.on.click();
      });
    };
    const cancel = () => void (press = null);
    window.addEventListener("pointerdown", down, true);
    window.addEventListener("pointerup", up, true);
    window.addEventListener("pointercancel", cancel, true);
    return () => {
      window.removeEventListener("pointerdown", down, true);
      window.removeEventListener("pointerup", up, true);
      window.removeEventListener("pointercancel", cancel, true);
    };
  }, []);
}
