"use client";

import { App, ConfigProvider } from "antd";
import { createContext, useContext, useEffect, useMemo, useSyncExternalStore, type ReactNode } from "react";
import { useRem } from "./rem";
import { themeFor } from "./theme";

type Room = "light" | "dark";

const key = "hevret-room";
const listeners = new Set<() => void>();

function readRoom(): Room {
  return localStorage.getItem(key) === "dark" ? "dark" : "light";
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const RoomContext = createContext<{ room: Room; setRoom(room: Room): void }>({ room: "light", setRoom: () => {} });

/** The light or the dark room, kept in the browser. */
export function useRoom() {
  return useContext(RoomContext);
}

export function RoomProvider({ children }: { children: ReactNode }) {
  const room = useSyncExternalStore<Room>(subscribe, readRoom, () => "light");
  useEffect(() => {
    document.documentElement.dataset.room = room;
  }, [room]);
  const value = useMemo(
    () => ({
      room,
      setRoom: (next: Room) => {
        localStorage.setItem(key, next);
        for (const listener of listeners) listener();
      },
    }),
    [room],
  );
  const rem = useRem();
  const size = rem(1);
  const theme = useMemo(() => themeFor(room, (count) => count * size), [room, size]);
  return (
    <RoomContext value={value}>
      <ConfigProvider theme={theme} wave={{ disabled: true }} button={{ autoInsertSpace: false }}>
        <App component={false} message={{ duration: 6 }}>
          {children}
        </App>
      </ConfigProvider>
    </RoomContext>
  );
}
