"use client";

import type { Remote } from "comlink";
import { liveQuery } from "dexie";
import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import { useStore } from "zustand";
import { startEngine } from "@/engine/client";
import type { Engine } from "@/engine/protocol";
import { database } from "@/store/database";
import { createWorkspace, type Workspace, type WorkspaceActions, type WorkspaceStore } from "./store";

interface Held {
  store: WorkspaceStore;
  engine: Remote<Engine>;
}

const Context = createContext<Held | null>(null);

/** A part of the open site's state. */
export function useWorkspace<Part>(select: (state: Workspace & WorkspaceActions) => Part): Part {
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

/** Starts the engine for one site, and follows what other windows write to it. */
export function WorkspaceProvider({ id, children }: { id: string; children: ReactNode }) {
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
    window.addEventListener("unhandledrejection", failing);
    window.addEventListener("beforeunload", leaving);
    const page = new URLSearchParams(location.search).get("file");
    void store.getState().load(id, page);
    const following = liveQuery(() => database.sites.get(id)).subscribe((record) => {
      const { record: known, save, status } = store.getState();
      if (!record || !known || status !== "ready" || save.kind === "saving") return;
      if (record.name !== known.name) store.getState().renamed(record.name);
      if (record.revision > known.revision) void store.getState().catchUp();
    });
    const showing = store.subscribe(() =>
      setHeld((current) => (current?.store === store ? current : { store, engine })),
    );
    return () => {
      window.removeEventListener("unhandledrejection", failing);
      window.removeEventListener("beforeunload", leaving);
      showing();
      following.unsubscribe();
      stop();
      setHeld(null);
    };
  }, [id]);
  if (!held) return null;
  return <Context value={held}>{children}</Context>;
}
