"use client";

import { Input } from "antd";
import { useEffect, useMemo, useState } from "react";
import {
  addressFrom,
  gradientNames,
  gradientParts,
  gradientText,
  layerTexts,
  parseColor,
  type GradientParts,
  type GradientStop,
  type SlipRowValue,
  type Target,
} from "@/core";
import { Choice } from "../../shared/Choice";
import { Swatch } from "../../color/Swatch";
import { plural, showDistance } from "../../shared/numbers";
import { unwaited } from "../../shared/unwaited";
import { useAnswered } from "../../workspace/answers";
import { useBench } from "../../workspace/bench";
import { useWorkspace } from "../../workspace/context";
import { CanvasNote } from "./CanvasNote";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const first = "linear-gradient(to bottom, #ffffff, #dfeaf0)";

/** The gradients and pictures that a ground is painted with, the uppermost first; each is tried on the page as it is changed. */
export function LayersChapter({ row, slip, draft, target, shown }: ChapterProps) {
  const { showWorst } = useBench();
  useEffect(() => showWorst(), [showWorst]);
  const value = draft.value || row.computed;
  const layers = value === "none" ? [] : layerTexts(value);
  const attempt = (next: readonly string[]) => draft.attempt(next.join(", ") || "none");
  const change = (at: number, text: string) => attempt(layers.with(at, text));
  const write = useWorkspace((state) => state.write);
  const ink = slip.rows.find(({ id }) => id === "ink");
  const inkTarget = ownRuleOf(ink) ?? slip.targets[0]?.target;
  const writeInk = async (css: string) => {
    if (!inkTarget) return;
    await write(
      { kind: "declare", target: inkTarget, property: "color", value: css, place: slip.ref },
      `color: ${css}`,
    );
  };
  return (
    <div className={styles.chapter}>
      {layers.map((layer, at) => (
        <section key={at} className={styles.paint} aria-label={`Layer ${at + 1} of ${layers.length}`}>
          <Layer text={layer} onChange={(text) => change(at, text)} />
          <span className={styles.layerTools}>
            {at > 0 && (
              <button
                type="button"
                className="text-button"
                onClick={() => attempt(layers.with(at, layers[at - 1]!).with(at - 1, layer))}
              >
                Above the one before
              </button>
            )}
            <button type="button" className="text-button" onClick={() => attempt(layers.toSpliced(at, 1))}>
              Take this layer out
            </button>
          </span>
        </section>
      ))}
      <p>
        <button type="button" className="chip" onClick={() => attempt([first, ...layers])}>
          Add a gradient
        </button>{" "}
        <AddPicture
          // A style attribute reads addresses from the page it stands on.
          from={target && "path" in target ? target.path : slip.ref.page}
          onAdd={(layer) => attempt([layer, ...layers])}
        />
        {draft.tried && (
          <>
            {" "}
            <button type="button" className="chip" onClick={() => unwaited(draft.write(draft.value))}>
              Write it
            </button>
          </>
        )}
      </p>
      <Veils row={row} slip={slip} onTry={draft.attempt} onInk={(css) => unwaited(writeInk(css))} />
      {shown && value !== "none" && <CanvasNote page={shown.page} owner={row.owner ?? slip.ref} target={target} />}
    </div>
  );
}

/** The rule in which a text's own value stands; null where it is inherited, or nobody set it. */
function ownRuleOf(row: SlipRowValue | undefined): Target | null {
  const winner = row?.from === "declared" ? row.contenders.find(({ lost }) => lost === null) : null;
  const place = winner?.place;
  return place && place.rule !== null ? { kind: "rule", path: place.path, start: place.rule } : null;
}

/** One layer: a gradient in its parts, or what is written for it. */
function Layer({ text, onChange }: { text: string; onChange(text: string): void }) {
  const parts = gradientParts(text);
  if (!parts) return <code>{text}</code>;
  return (
    <>
      <span className={`true-colors ${styles.ramp}`} style={{ backgroundImage: stripOf(parts) }} aria-hidden="true" />
      <Gradient parts={parts} onChange={(next) => onChange(gradientText(next))} />
    </>
  );
}

/** The stops of a gradient from left to right, whatever its shape. */
function stripOf({ shape, stops }: GradientParts): string {
  const space = /\bin\s+[\w-]+(?:\s+\w+\s+hue)?/.exec(shape)?.[0] ?? "";
  return gradientText({ name: "linear-gradient", shape: `to right ${space}`.trim(), stops });
}

/** What a gradient of a kind goes by where nothing is said (CSS Images 4, 3). */
function usualShape(name: string): string {
  if (name.includes("linear")) return "to bottom";
  return name.includes("conic") ? "from 0deg" : "farthest-corner";
}

function Gradient({ parts, onChange }: { parts: GradientParts; onChange(parts: GradientParts): void }) {
  const { name, shape, stops } = parts;
  const set = (at: number, more: Partial<GradientStop>) =>
    onChange({ ...parts, stops: stops.with(at, { ...stops[at]!, ...more }) });
  /** A stop half way to the next, of its colour. */
  const add = () => {
    const last = stops.at(-1)!;
    onChange({ ...parts, stops: [...stops, { color: last.color, places: "" }] });
  };
  return (
    <>
      <span className={styles.gradientHead}>
        <Choice
          aria-label="Kind of gradient"
          value={name}
          onChange={(next: string) => onChange({ ...parts, name: next, shape: "" })}
          options={gradientNames.map((one) => ({ value: one, label: one }))}
        />
        <Input
          size="small"
          className="mono"
          aria-label="Direction and space"
          placeholder={usualShape(name)}
          value={shape}
          spellCheck={false}
          onChange={({ target }) => onChange({ ...parts, shape: target.value })}
        />
      </span>
      <ol className={styles.stops} aria-label="Stops">
        {stops.map((stop, at) => (
          <li key={at}>
            <Swatch css={parseColor(stop.color) ? stop.color : null} />
            <Input
              size="small"
              className="mono"
              aria-label={`Colour of stop ${at + 1}`}
              placeholder="a hint"
              value={stop.color}
              spellCheck={false}
              onChange={({ target }) => set(at, { color: target.value })}
            />
            <input
              type="range"
              aria-label={`Stop ${at + 1} moved, in percent`}
              min={0}
              max={100}
              value={placeOf(stop, at, stops.length)}
              onChange={({ target }) => set(at, { places: `${target.value}%` })}
            />
            <Input
              size="small"
              className="mono"
              aria-label={`Place of stop ${at + 1}`}
              placeholder="even"
              value={stop.places}
              spellCheck={false}
              onChange={({ target }) => set(at, { places: target.value })}
            />
            <button
              type="button"
              className="text-button"
              aria-label={`Take stop ${at + 1} out`}
              disabled={stops.length <= 2}
              onClick={() => onChange({ ...parts, stops: stops.toSpliced(at, 1) })}
            >
              out
            </button>
          </li>
        ))}
      </ol>
      <button type="button" className="text-button" onClick={add}>
        Add a stop
      </button>
    </>
  );
}

/** Where a stop stands on the strip; spread evenly where it is not said (CSS Images 4, 3.5.3). */
function placeOf({ places }: GradientStop, at: number, count: number): number {
  const percent = /^(-?[\d.]+)%/.exec(places)?.[1];
  return Math.round(percent === undefined ? (at / (count - 1)) * 100 : Number(percent));
}

interface VeilsProps extends Pick<ChapterProps, "row" | "slip"> {
  onTry(value: string): void;
  onInk(css: string): void;
}

/** How strong a layer over a ground has to be so that every text on it can be read; what changes least first, over what is written. */
function Veils({ row, slip, onTry, onInk }: VeilsProps) {
  const conditions = useWorkspace((state) => state.conditions);
  const [typed, setTyped] = useState("");
  const own = parseColor(typed) ? typed : null;
  const { page, index } = slip.ref;
  const found = useAnswered("veils", [{ page, index }, own, conditions])?.answer;
  const written = row.written ?? row.computed;
  if (!found?.texts || written === "none") return null;
  if (found.veils[0]!.alpha === 0)
    return <p className="quiet">Every text on it can be read without a veil, as far as it was seen.</p>;
  const offers = [
    ...found.veils.flatMap(({ name, alpha, layer, distance }) =>
      layer === null
        ? []
        : [
            {
              name: `${name}, ${Math.round(alpha! * 100)}%`,
              distance: distance!,
              choose: () => onTry(`${layer}, ${written}`),
            },
          ],
    ),
    ...(found.ink
      ? [{ name: `Ink ${found.ink.css}`, distance: found.ink.distance, choose: () => onInk(found.ink!.css) }]
      : []),
  ].sort((a, b) => a.distance - b.distance);
  return (
    <section aria-label="A veil over it">
      {slip.worst && <p className="quiet">Where the text is read worst, strokes point at it on the page.</p>}
      <p>
        A veil, so that {found.texts === 1 ? "the text" : `all ${plural(found.texts, "text")}`} on it can be read
        {slip.ground.painted ? ", by what was seen painted" : ""}
        {found.ink && "; or another ink for this text"}. What changes least comes first:
      </p>
      <p className={styles.offers}>
        {offers.map(({ name, distance, choose }) => (
          <button key={name} type="button" className="chip" title={showDistance(distance)} onClick={choose}>
            {name}
          </button>
        ))}
      </p>
      {found.veils
        .filter(({ layer }) => layer === null)
        .map(({ name }) => (
          <p key={name} className="quiet">
            No {name} veil is enough for all of them.
          </p>
        ))}
      <label>
        In another colour{" "}
        <Input
          size="small"
          className={`mono ${styles.veilColor}`}
          aria-label="Colour of the veil"
          placeholder="#06364f"
          value={typed}
          spellCheck={false}
          status={typed !== "" && own === null ? "warning" : undefined}
          onChange={({ target }) => setTyped(target.value)}
        />
      </label>
    </section>
  );
}

/** Pictures among the files of the site, put over what is there; their addresses are right from where they are written. */
function AddPicture({ from, onAdd }: { from: string; onAdd(layer: string): void }) {
  const files = useWorkspace((state) => state.files);
  const pictures = useMemo(
    () => [...files.keys()].filter((path) => /\.(?:avif|gif|jpe?g|png|svg|webp)$/i.test(path)).sort(),
    [files],
  );
  if (pictures.length === 0) return null;
  return (
    <Choice
      aria-label="Add a picture of the site"
      placeholder="Add a picture…"
      value={null}
      options={pictures.map((path) => ({ value: path, label: path }))}
      onChange={(path: string | null) => path !== null && onAdd(`url("${addressFrom(from, path)}")`)}
    />
  );
}
