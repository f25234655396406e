"use client";

import { useEffect, useRef } from "react";

/** What the machine hands over (File Handling; Launch Handler API). */
interface Launched {
  files?: readonly FileSystemFileHandle[];
}

interface LaunchQueue {
  setConsumer(take: (launched: Launched) => void): void;
}

/** Takes files that were opened with Hevret, where it is installed. */
export function useLaunched(open: (files: File[]) => void): void {
  const latest = useRef(open);
  useEffect(() => {
    latest.current = open;
  });
  useEffect(() => {
    const queue = (window as { launchQueue?: LaunchQueue }).launchQueue;
    queue?.setConsumer(({ files = [] }) => {
      if (files.length === 0) return;
      Promise.all(files.map((handle) => handle.getFile())).then(
        (read) => latest.current(read),
        () => undefined,
      );
    });
  }, []);
}
