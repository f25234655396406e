"use client";

import type { RefObject } from "react";
import type { Conditions } from "@/core";
import { frameSandbox } from "@/preview/frame";
import styles from "./HiddenFrame.module.css";

interface Props {
  frame: RefObject<HTMLIFrameElement | null>;
  title: string;
  conditions: Conditions;
}

/** A frame out of sight, as large as the window of these conditions: a page is laid out in it to be looked at. */
export function HiddenFrame({ frame, title, conditions: { width, height, scheme } }: Props) {
  return (
    <iframe
      ref={frame}
      title={title}
      sandbox={frameSandbox}
      tabIndex={-1}
      aria-hidden="true"
      className={styles.frame}
      style={{ width, height, colorScheme: scheme }}
    />
  );
}
