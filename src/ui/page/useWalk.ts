"use client";

/** The keys of the page: they walk through its texts, to the parent and back, pick words, and change how it is looked at. */
import { useMemo, useRef } from "react";
import type { ElementRef, SafeElement } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "@/preview/frame";
import { stepWords, type WordSpan } from "@/preview/words";
import { useWorkspace, useWorkspaceStore } from "../workspace/context";
import { isAt } from "./placeBoxes";

interface Walk {
  page: ShownPage;
  places: readonly PlaceView[];
  picked: ElementRef | null;
  words: WordSpan | null;
  onPick(place: Pick<PlaceView, "index" | "pseudo"> | null): void;
  onPickWords(words: WordSpan | null): void;
  /** Asks for the true size, or back. */
  onTrueSize(): void;
  /** Puts a glass over the picked text, or away. */
  onGlass(): void;
}

/** @returns what the keys do, and a way to forget the way back that was taken by them */
export function useWalk(walk: Walk): { onKeyDown(event: React.KeyboardEvent): void; forget(): void } {
  const { page, places, picked, words, onPick, onPickWords, onTrueSize, onGlass } = walk;
  const store = useWorkspaceStore();
  const root = useWorkspace((state) => state.view!.document.root);
  const parents = useMemo(() => parentsIn(root), [root]);
  /** The elements from which left went to their parents. */
  const trail = useRef<number[]>([]);
  const forget = () => {
    trail.current = [];
  };
  const pickElement = (index: number) => onPick({ index, pseudo: null });

  const step = (direction: 1 | -1) => {
    forget();
    const at = placeOf(places, picked, direction) + direction;
    onPick(places[Math.min(places.length - 1, Math.max(0, at))] ?? null);
  };
  const up = () => {
    if (!picked) return;
    const parent = picked.pseudo === undefined ? (parents.get(picked.index) ?? null) : picked.index;
    if (parent === null) return;
    if (picked.pseudo === undefined) trail.current.push(picked.index);
    pickElement(parent);
  };
  const back = () => {
    const inside = (index: number) => picked !== null && isInside(index, picked.index, parents);
    const to = trail.current.pop() ?? places.find(({ pseudo, index }) => pseudo === null && inside(index))?.index;
    if (to !== undefined) pickElement(to);
  };
  const scroll = (share: number) => {
    const view = page.document.defaultView!;
    view.scrollBy(0, view.innerHeight * share);
  };

  const actions: Record<string, () => void> = {
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    ArrowLeft: up,
    ArrowRight: back,
    Escape: () => (words ? onPickWords(null) : onPick(null)),
    u: () => store.getState().setUnstyled(!store.getState().unstyled),
    t: onTrueSize,
    g: onGlass,
    PageDown: () => scroll(0.9),
    PageUp: () => scroll(-0.9),
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    const sideways = event.key === "ArrowRight" || event.key === "ArrowLeft";
    if (event.shiftKey && sideways && picked && picked.pseudo === undefined) {
      event.preventDefault();
      // With Alt as well, where the words begin.
      const end = event.altKey ? "start" : "end";
      return onPickWords(stepWords(page, picked.index, words, end, event.key === "ArrowRight" ? 1 : -1));
    }
    const action = event.altKey ? undefined : actions[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  };
  return { onKeyDown, forget };
}

/** Where the walk stands among the texts; an element that shows no text of its own is gone on from where it stands. */
function placeOf(places: readonly PlaceView[], picked: ElementRef | null, direction: 1 | -1): number {
  if (!picked) return direction === 1 ? -1 : places.length;
  const at = places.findIndex((place) => isAt(place, picked));
  if (at >= 0) return at;
  return direction === 1
    ? places.findLastIndex(({ index }) => index <= picked.index)
    : places.findIndex(({ index }) => index >= picked.index);
}

function parentsIn(root: SafeElement | null): Map<number, number> {
  const parents = new Map<number, number>();
  const pending = root ? [root] : [];
  for (let element = pending.pop(); element; element = pending.pop()) {
    for (const child of element.content) {
      if (typeof child === "string") continue;
      parents.set(child.index, element.index);
      pending.push(child);
    }
  }
  return parents;
}

function isInside(index: number, ancestor: number, parents: ReadonlyMap<number, number>): boolean {
  for (let above = parents.get(index); above !== undefined; above = parents.get(above))
    if (above === ancestor) return true;
  return false;
}
