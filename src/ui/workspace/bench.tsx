"use client";

/** What is on trial: put there by a row of the slip, and shown where the page stands. */
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";
import type { Conditions, Edit, ElementRef, TrialContrast } from "@/core";

export interface Candidate {
  /** As typed: a value, or a value and more declarations. Tells it from the others. */
  text: string;
  edits: readonly Edit[];
  /** What else it is shown under than what the page is. */
  conditions?: Conditions;
  /** What it passes from, as the sheets let it: shown whenever it is chosen. */
  from?: Conditions;
}

export interface TrialSet {
  /** What is tried, in words: "size". */
  label: string;
  /** What stands there, in words that the selector goes on with: "5 candidates of size on trial for". */
  heading: string;
  subject: ElementRef;
  /** Selector of the subject, as the slip has it. */
  selector: string;
  candidates: readonly Candidate[];
  /** The text of the candidate that is chosen. */
  chosen: string;
  /** The text that is written now. */
  written: string;
  /** Where the lines beside the text are taken from. */
  side: "before" | "after";
  contrasts: readonly (TrialContrast | null)[] | null;
  /** What matters about a candidate. */
  figures(text: string): ReactNode;
  choose(text: string): void;
  /** Enter, Escape, Delete and the arrows. @returns the place of the candidate to go to; null where it is none of them */
  onKey(event: React.KeyboardEvent, at: number): number | null;
  /** Back to the page. */
  leave(): void;
}

/** What a candidate comes to on the page. */
export interface Seen {
  lines: number;
  /** Characters of the longest line. */
  longest: number;
  /** Of the longest line, CSS px. */
  width: number;
}

interface Bench {
  /** Null while the page itself stands there. */
  set: TrialSet | null;
  /** Who put it there; null while nothing is. */
  owner: string | null;
  /** Puts a set in the place of whatever stands there; null takes away what the owner put there, if it still stands. */
  put(owner: string, set: TrialSet | null): void;
  seen: ReadonlyMap<string, Seen>;
  see(text: string, seen: Seen): void;
  /** Whether the room in and around the picked box is shown. */
  room: boolean;
  /** Shows it until what is given back is called; several may ask at once. */
  showRoom(): () => void;
  /** Whether the point is shown at which the picked text is read worst; the same. */
  worst: boolean;
  showWorst(): () => void;
  /** How far apart the lines of a grid over the page are, CSS px; null while there is none. */
  grid: number | null;
  setGrid(px: number | null): void;
}

/** What stands on the page, who put it there, and what its candidates come to. */
type Standing = Pick<Bench, "set" | "owner" | "seen">;

const nothing: Standing = { set: null, owner: null, seen: new Map() };

const BenchContext = createContext<Bench | null>(null);

export function BenchProvider({ children }: { children: ReactNode }) {
  const [standing, setStanding] = useState(nothing);
  const put = useCallback((owner: string, set: TrialSet | null) => {
    setStanding((now) => {
      if (set) return { set, owner, seen: now.owner === owner ? now.seen : nothing.seen };
      return now.owner === owner ? nothing : now;
    });
  }, []);
  const see = useCallback((text: string, one: Seen) => {
    setStanding((now) => ({ ...now, seen: new Map([...now.seen, [text, one]]) }));
  }, []);
  const [room, showRoom] = useAsked();
  const [worst, showWorst] = useAsked();
  const [grid, setGrid] = useState<number | null>(null);
  const bench = useMemo(
    () => ({ ...standing, put, see, room, showRoom, worst, showWorst, grid, setGrid }),
    [standing, put, see, room, showRoom, worst, showWorst, grid],
  );
  return <BenchContext value={bench}>{children}</BenchContext>;
}

/** Something that is there as long as anybody asks for it. */
function useAsked(): [isAsked: boolean, ask: () => () => void] {
  const [asking, setAsking] = useState(0);
  const ask = useCallback(() => {
    setAsking((count) => count + 1);
    return () => setAsking((count) => count - 1);
  }, []);
  return [asking > 0, ask];
}

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error("There is no bench here.");
  return bench;
}
