"use client";

import { useEffect, useRef } from "react";
import { setSpecimen } from "@/preview/siteFonts";
import { useWorkspace } from "../workspace/context";
import styles from "./Sample.module.css";

interface Props {
  text: string;
  /** Declarations that set it. */
  declarations: readonly (readonly [property: string, value: string])[];
  ink: string;
  ground: string;
}

/** Words as they are set on the site, in a shadow tree that nothing of ours styles. */
export function Sample({ text, declarations, ink, ground }: Props) {
  const own = useWorkspace((state) => state.ownFamilies);
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: "open" });
    const line = document.createElement("div");
    for (const [property, value] of declarations) setSpecimen(line.style, property, value);
    line.style.setProperty("color", ink);
    line.style.setProperty("white-space", "nowrap");
    line.style.setProperty("overflow", "hidden");
    line.textContent = text;
    root.replaceChildren(line);
  }, [text, declarations, ink, own]);
  return <div ref={host} className={styles.sample} style={{ background: ground }} aria-hidden="true" />;
}
