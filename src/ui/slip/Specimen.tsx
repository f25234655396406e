"use client";

import { useEffect, useRef } from "react";
import type { Slip } from "@/core";
import { setSpecimen } from "@/preview/siteFonts";
import { useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";

/** The picked words as they are set, on their true ground, in a shadow tree that nothing of ours styles. */
export function Specimen({ slip }: { slip: Slip }) {
  const own = useWorkspace((state) => state.ownFamilies);
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: "open" });
    const line = document.createElement("div");
    for (const [property, value] of slip.specimen) setSpecimen(line.style, property, value);
    line.style.setProperty("color", slip.ink);
    line.style.setProperty("overflow", "hidden");
    line.style.setProperty("max-height", "108px");
    line.style.setProperty("padding-block", "6px");
    line.style.setProperty("box-sizing", "border-box");
    line.textContent = slip.text;
    root.replaceChildren(line);
  }, [slip, own]);
  const { range, css } = slip.ground;
  const ground = range ? `linear-gradient(90deg, ${range[0]}, ${range[1]})` : css;
  return <div ref={host} className={styles.specimen} style={{ background: ground }} role="img" aria-label={`Specimen: ${slip.text.slice(0, 60)}`} />;
}
