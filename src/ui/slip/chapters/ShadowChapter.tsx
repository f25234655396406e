"use client";

import { Input } from "antd";
import { shadowLayers, writeShadow, type ShadowLayer } from "@/core";
import type { Draft } from "../useDraft";
import { Trials } from "../Trials";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

const trials: Readonly<Record<string, readonly string[]>> = {
  shadow: [
    "none",
    "0 1px 0 rgb(255 255 255 / 70%)",
    "0 1px 2px rgb(0 0 0 / 40%)",
    "1px 1px 0 currentcolor, 2px 2px 0 rgb(0 0 0 / 20%)",
  ],
  opacity: ["1", "0.9", "0.8", "0.65", "0.5"],
};

export function ShadowChapter({ row, slip, target, draft }: ChapterProps) {
  const value = draft.value || row.computed;
  return (
    <div className={styles.chapter}>
      {row.id === "shadow" && <Layers draft={draft} value={value} />}
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set([row.written ?? row.computed, ...trials[row.id]!])].slice(0, 5)}
      />
      {row.id === "opacity" && Number.parseFloat(value) < 1 && (
        <Doubt>
          Opacity fades the ink towards what lies behind it, and everything inside with it. A lighter ink says the same
          and leaves the rest alone.
        </Doubt>
      )}
      {row.id === "shadow" && value !== "none" && <p className="quiet">Contrast is counted without the shadow.</p>}
    </div>
  );
}

const fields = [
  ["x", "Across"],
  ["y", "Down"],
  ["blur", "Blur"],
  ["color", "Colour"],
] as const;
const another: ShadowLayer = { x: "0", y: "1px", blur: "2px", color: "rgb(0 0 0 / 40%)" };

/** The layers of a shadow, topmost first. */
function Layers({ draft, value }: { draft: Draft; value: string }) {
  const layers = shadowLayers(value);
  if (!layers) return null;
  const apply = (next: readonly ShadowLayer[]) => draft.attempt(writeShadow(next));
  return (
    <div className={styles.layers} role="group" aria-label="Layers of the shadow">
      {layers.map((layer, at) => (
        <div key={at} role="group" aria-label={`Layer ${at + 1}`}>
          {fields.map(([name, label]) => (
            <label key={name}>
              {label}
              <Input
                size="small"
                className="mono"
                value={layer[name]}
                placeholder={name === "color" ? "as the text" : "0"}
                aria-label={`${label} of layer ${at + 1}`}
                onChange={({ target }) =>
                  apply(layers.map((one, index) => (index === at ? { ...one, [name]: target.value } : one)))
                }
                onPressEnter={() => unwaited(draft.write(draft.value))}
              />
            </label>
          ))}
          <button
            type="button"
            className="text-button"
            onClick={() => apply(layers.filter((_, index) => index !== at))}
          >
            Take out
          </button>
        </div>
      ))}
      <button type="button" className="text-button" onClick={() => apply([...layers, another])}>
        Add a layer
      </button>
    </div>
  );
}
