"use client";

import { useMemo, useState } from "react";
import {
  formatColor,
  nearestPassingGround,
  nearestPassingInk,
  notationOf,
  parseColor,
  ratioOn,
  showRatio,
  type Color,
  type ElementRef,
  type Need,
  type Palette,
  type PalettePair,
  type PaletteUse,
} from "@/core";
import { Ladder, type Track } from "../color/Ladder";
import { plural } from "../shared/numbers";
import { usePick } from "../workspace/usePick";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Colors.module.css";

/** One pair: its places, and a ladder to bring it to pass. */
export function PairPanel({
  pair,
  palette,
  onPropose,
}: {
  pair: PalettePair;
  palette: Palette;
  onPropose(proposal: Proposal): void;
}) {
  const pick = usePick();
  const spots = spotsOf(pair, palette);
  const original = useMemo(() => parseColor(pair.ink)!, [pair]);
  const [tried, setTried] = useState<{ of: PalettePair; color: Color } | null>(null);
  const color = tried?.of === pair ? tried.color : original;
  // What would be written may stand on other grounds, too: it has to be enough on all of them.
  const needs = useMemo(() => needsOf(spotsOf(pair, palette), pair, palette), [pair, palette]);
  const found = useMemo(() => nearestPassingInk(original, needs), [original, needs]);
  const ground = useMemo(() => (found.passes ? null : otherGround(pair, palette)), [found, pair, palette]);
  const track = useMemo(
    (): Track => ({
      key: "pair",
      label: `on ${pair.groundName} · needs ${pair.needs}${needs.length > 1 ? `, and on ${plural(needs.length - 1, "other ground")}` : ""}`,
      ratio: (one) => worstOn(one, needs),
      enough: (one) => needs.every((need) => ratioOn(one, need) >= need.needs),
      rungs: () => [],
    }),
    [pair, needs],
  );
  const written = notationOf(spots[0]?.value ?? "") ?? { notation: "hex" as const, options: {} };
  const spell = (one: Color) =>
    formatColor(one, written.notation === "name" ? "hex" : written.notation, written.options);
  const propose = (one: Color) => {
    const value = spell(one);
    const changes = spots.map(({ path, start, end }) => ({ path, start, end, insert: value }));
    onPropose({ title: `Write ${value} for ${pair.inkName}`, label: `color: ${value}`, changes });
    setTried(null);
  };
  return (
    <section className={styles.panel} aria-label={`${pair.inkName} on ${pair.groundName}`}>
      <h2>
        <code>{pair.inkName}</code> on <code>{pair.groundName}</code>
      </h2>
      <p
        className={styles.specimen}
        style={{
          color: formatColor(color, "rgb"),
          background: pair.range ? `linear-gradient(${pair.range[0]}, ${pair.range[1]})` : pair.ground,
        }}
      >
        Winter sailings, at half past six
      </p>
      {spots.length === 0 ? (
        <p>
          The ink is not a value that stands in the sheets by itself. Open one of its places to see where it comes from.
        </p>
      ) : (
        <Ladder
          color={color}
          tracks={[track]}
          nearest={
            pair.passes
              ? null
              : {
                  ...found,
                  label: found.passes
                    ? `Write the nearest that passes: ${spell(found.color)}, ${showRatio(worstOn(found.color, needs))}`
                    : `No lightness at this hue is enough on all its grounds. The best reaches ${showRatio(worstOn(found.color, needs))}.`,
                }
          }
          onTry={(one) => setTried({ of: pair, color: one })}
          onWrite={propose}
          onPutBack={() => setTried(null)}
        />
      )}
      {!pair.passes && ground && (
        <p>
          No ink at this hue is enough.{" "}
          <button
            type="button"
            className="text-button"
            onClick={() =>
              onPropose({
                title: `Write ${ground.value} for ${pair.groundName}`,
                label: `background-color: ${ground.value}`,
                changes: ground.spots.map(({ path, start, end }) => ({ path, start, end, insert: ground.value })),
              })
            }
          >
            Write the nearest ground that passes: {ground.value}
          </button>
        </p>
      )}
      <h3>{plural(pair.places.length, "place")}</h3>
      <ul className={styles.places}>
        {pair.places.slice(0, 40).map((place) => (
          <li key={`${place.page} ${place.index}`}>
            <button type="button" className="text-button" onClick={() => pick(place)}>
              {place.page}, element {place.index}
            </button>
          </li>
        ))}
        {pair.places.length > 40 && <li>and {pair.places.length - 40} more</li>}
      </ul>
    </section>
  );
}

const idOf = ({ page, index, pseudo }: ElementRef) => `${page} ${index} ${pseudo ?? ""}`;

/** The grounds under the places that these spots colour. */
function needsOf(spots: readonly PaletteUse[], pair: PalettePair, { pairs }: Palette): Need[] {
  const touched = new Set(spots.flatMap(({ places }) => places.map(idOf)));
  return pairs
    .filter(
      ({ ink, places }) => ink === pair.ink && (touched.size === 0 || places.some((one) => touched.has(idOf(one)))),
    )
    .flatMap((one) => (one.range ?? [one.ground]).map((css): Need => ({ color: parseColor(css)!, needs: one.needs })));
}

/** The nearest ground on which all its inks can be read, and where it is written; null where there is none. */
function otherGround(pair: PalettePair, { values, pairs }: Palette): { value: string; spots: PaletteUse[] } | null {
  if (pair.range) return null;
  const there = new Set(pair.places.map(idOf));
  const spots = values
    .filter(({ css }) => css === pair.ground)
    .flatMap(({ uses }) =>
      uses.filter(({ role, places }) => role === "ground" && places.some((one) => there.has(idOf(one)))),
    );
  const inks = pairs
    .filter(({ ground, range }) => range === null && ground === pair.ground)
    .map(({ ink, needs }): Need => ({ color: parseColor(ink)!, needs }));
  const found = nearestPassingGround(parseColor(pair.ground)!, inks);
  return spots.length && found.passes ? { value: formatColor(found.color, "hex"), spots } : null;
}

const worstOn = (ink: Color, needs: readonly Need[]) => Math.min(...needs.map((need) => ratioOn(ink, need)));

/** The values in the sheets that give the pair its ink. */
function spotsOf(pair: PalettePair, { values }: Palette): PaletteUse[] {
  const there = new Set(pair.places.map(idOf));
  return values
    .filter(({ css }) => css === pair.ink)
    .flatMap(({ uses }) =>
      uses.filter(
        ({ role, places }) => (role === "ink" || role === "named") && places.some((one) => there.has(idOf(one))),
      ),
    );
}
