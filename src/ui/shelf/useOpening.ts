"use client";

import { useState } from "react";
import { StorageError } from "@/store/failures";
import { OpenError } from "@/store/limits";
import type { Opened, Progress } from "@/store/read";
import { addSite } from "@/store/sites";
import { goTo } from "../shared/place";

/** What is being opened: in words, how many files of it are read, and the way to stop it. */
export interface Busy {
  what: string;
  files: number;
  stop(): void;
}

/** @param what in words: "the folder" */
export type Open = (what: string, read: (progress: Progress) => Promise<Opened> | Opened) => Promise<void>;

/** Opens what a way of opening brings, and goes there; says in plain words what cannot be opened. */
export function useOpening(): { open: Open; busy: Busy | null; problem: string | null } {
  const [busy, setBusy] = useState<Busy | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open: Open = async (what, read) => {
    const stopping = new AbortController();
    const id = crypto.randomUUID();
    setBusy({ what, files: 0, stop: () => stopping.abort() });
    setProblem(null);
    try {
      const opened = await read({
        signal: stopping.signal,
        report: (files) => setBusy((now) => now && { ...now, files }),
      });
      await addSite(opened, id);
      goTo(`/site/${id}/page`);
    } catch (error) {
      setBusy(null);
      if ((error as Error).name === "AbortError") return;
      const known = error instanceof OpenError || error instanceof StorageError;
      setProblem(known ? (error as Error).message : `It could not be opened: ${(error as Error).message}`);
    }
  };
  return { open, busy, problem };
}
