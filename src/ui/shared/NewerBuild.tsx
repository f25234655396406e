"use client";

import { Button } from "antd";
import { useEffect, useState } from "react";
import styles from "./NewerBuild.module.css";
import { whenIdle } from "./whenIdle";

/** Milliseconds before the whole application is fetched to be kept: what a person asks for first goes first. */
const patience = 10_000;

/** Keeps the application for use without a network, and says when a newer one waits. */
export function NewerBuild() {
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
    const { serviceWorker } = navigator;
    const hadOne = serviceWorker.controller !== null;
    // All windows go to the newer one together.
    const taken = () => hadOne && location.reload();
    serviceWorker.addEventListener("controllerchange", taken);
    // Without it Hevret works as long as there is a network.
    const keep = () =>
      serviceWorker.register("/service-worker.js").then((registration) => follow(registration, setWaiting));
    let leave: (() => void) | undefined;
    const timer = setTimeout(() => (leave = whenIdle(keep)), patience);
    return () => {
      clearTimeout(timer);
      leave?.();
      serviceWorker.removeEventListener("controllerchange", taken);
    };
  }, []);
  if (!waiting) return null;
  return (
    <div role="status" className={styles.newer}>
      A newer Hevret is here. It is taken once all windows of this one are closed.{" "}
      <Button size="small" onClick={() => waiting.postMessage("take over")}>
        Take it now
      </Button>
    </div>
  );
}

/** Tells of one that is installed while another is in use. */
function follow(registration: ServiceWorkerRegistration, tell: (waiting: ServiceWorker) => void): void {
  const look = () => {
    if (registration.waiting && navigator.serviceWorker.controller) tell(registration.waiting);
  };
  const watch = () => registration.installing?.addEventListener("statechange", look);
  look();
  watch();
  registration.addEventListener("updatefound", watch);
}
