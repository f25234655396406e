"use client";

import type { Remote } from "comlink";
import { liveQuery } from "dexie";
import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import { useStore } from "zustand";
import type { Conditions } from "@/core";
import { startEngine } from "@/engine/client";
import type { Engine } from "@/engine/protocol";
import { database, type SiteRecord } from "@/store/database";
import { storageError } from "@/store/failures";
import { placeHere } from "../shared/place";
import { onFailure, unwaited } from "../shared/unwaited";
import { createWorkspace, type OpenWorkspace, type WorkspaceStore } from "./store";

interface Held {
  store: WorkspaceStore;
  engine: Remote<Engine>;
}

const Context = createContext<Held | null>(null);

/** A part of the open site's state. */
export function useWorkspace<Part>(select: (state: OpenWorkspace) => Part): Part {
  return useStore(useHeld().store, select);
}

export function useEngine(): Remote<Engine> {
  return useHeld().engine;
}

export function useWorkspaceStore(): WorkspaceStore {
  return useHeld().store;
}

function useHeld(): Held {
  const held = useContext(Context);
  if (!held) throw new Error("There is no open site here.");
  return held;
}

interface ProviderProps {
  id: string;
  /** The window that pages will have, as far as that is known; see `Conditions`. */
  room(): Pick<Conditions, "width" | "height"> | null;
  children: ReactNode;
}

/** Starts the engine for one site, and follows what other windows write to it. */
export function WorkspaceProvider({ id, room, children }: ProviderProps) {
  const [held, setHeld] = useState<Held | null>(null);
  useEffect(() => {
    const { engine, stop } = startEngine({
      files: () => [...store.getState().files.values()].map(({ file }) => file),
      restarted: () => store.getState().restarted(),
    });
    const store: WorkspaceStore = createWorkspace(engine);
    const failing = (event: PromiseRejectionEvent) => store.getState().failed(event.reason);
    const leaving = (event: BeforeUnloadEvent) => {
      const { status, save } = store.getState();
      if (status === "ready" && save.kind !== "saved") event.preventDefault();
    };
    const deaf = onFailure(store.getState().failed);
    window.addEventListener("unhandledrejection", failing);
    window.addEventListener("beforeunload", leaving);
    const page = placeHere().asked.get("file");
    unwaited(store.getState().load(id, page, room()));
    const follow = (record: SiteRecord | undefined) => {
      const { record: known, save, status } = store.getState();
      if (!record || !known || status !== "ready" || save.kind === "saving") return;
      if (record.name !== known.name) store.getState().renamed(record.name);
      if (record.revision > known.revision) unwaited(store.getState().catchUp());
    };
    // Where the site cannot be read at all, that is said by who reads it.
    const lost = (error: unknown) => {
      if (store.getState().status === "ready") store.getState().failed(storageError(error));
    };
    const following = liveQuery(() => database.sites.get(id)).subscribe(follow, lost);
    const showing = store.subscribe(() =>
      setHeld((current) => (current?.store === store ? current : { store, engine })),
    );
    return () => {
      deaf();
      window.removeEventListener("unhandledrejection", failing);
      window.removeEventListener("beforeunload", leaving);
      showing();
      following.unsubscribe();
      stop();
      setHeld(null);
    };
  }, [id, room]);
  if (!held) return null;
  return <Context value={held}>{children}</Context>;
}
