"use client";

import { useEffect, useRef } from "react";

/** Why something could not be done, said aloud and brought into view; nothing without a reason. @param id - for the field it is about */
export function Problem({ id, children }: { id?: string; children: string | null | undefined }) {
  const said = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    said.current?.scrollIntoView({ block: "nearest" });
  }, [children]);
  if (!children) return null;
  return (
    <p ref={said} id={id} className="fails" role="alert">
      {children}
    </p>
  );
}
