"use client";

import { useEffect, useRef } from "react";
import { setSpecimen } from "@/preview/siteFonts";
import { useWorkspace } from "./context";

export type Declarations = readonly (readonly [property: string, value: string])[];

interface Props {
  text: string;
  /** Declarations that set it, later ones over earlier ones. */
  declarations: Declarations;
  /** Its true ground: a colour, or the two ends of one that varies. */
  ground: string | readonly [string, string];
  className: string | undefined;
  /** Said to assistive technology; without it the specimen is left out there. */
  label?: string;
}

/** Words as they are set on the site, in a shadow tree that nothing of ours styles. */
export function Specimen({ text, declarations, ground, className, label }: Props) {
  const own = useWorkspace((state) => state.ownFamilies);
  const host = useRef<HTMLDivElement>(null);
  const key = JSON.stringify([text, declarations]);
  useEffect(() => {
    const [words, list] = JSON.parse(key) as [string, Declarations];
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: "open" });
    const line = document.createElement("div");
    for (const [property, value] of list) setSpecimen(line.style, property, value);
    line.textContent = words;
    root.replaceChildren(line);
  }, [key, own]);
  const background = typeof ground === "string" ? ground : `linear-gradient(${ground[0]}, ${ground[1]})`;
  const spoken = label === undefined ? { "aria-hidden": true } : { role: "img", "aria-label": label };
  return <div ref={host} className={`true-colors ${className ?? ""}`} style={{ background }} {...spoken} />;
}
