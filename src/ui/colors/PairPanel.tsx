"use client";

import { useMemo, useState } from "react";
import {
  formatColor,
  isEnough,
  joinColors,
  leastRatio,
  pairFixes,
  parseColor,
  showRatio,
  spelledLike,
  type Color,
  type Palette,
  type PalettePair,
} from "@/core";
import { Ladder, type Track } from "../color/Ladder";
import { plural } from "../shared/numbers";
import { PlaceList } from "../workspace/PlaceList";
import { usePick } from "../workspace/usePick";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Colors.module.css";

interface Props {
  pair: PalettePair;
  palette: Palette;
  onPropose(proposal: Proposal): void;
}

/** One pair: its places, and a ladder to bring it to pass. */
export function PairPanel({ pair, palette, onPropose }: Props) {
  const pick = usePick();
  const fixes = useMemo(() => pairFixes(pair, palette), [pair, palette]);
  const original = useMemo(() => parseColor(pair.ink)!, [pair]);
  const [tried, setTried] = useState<{ of: PalettePair; color: Color } | null>(null);
  const color = tried?.of === pair ? tried.color : original;
  const { ground } = fixes;
  return (
    <section className={styles.panel} aria-label={`${pair.inkName} on ${pair.groundName}`}>
      <h2>
        <code>{pair.inkName}</code> on <code>{pair.groundName}</code>
      </h2>
      <p
        className={`true-colors ${styles.specimen}`}
        style={{
          color: formatColor(color, "rgb"),
          background: pair.range ? `linear-gradient(${pair.range[0]}, ${pair.range[1]})` : pair.ground,
        }}
      >
        Winter sailings, at half past six
      </p>
      {fixes.spots.length === 0 ? (
        <p>
          The ink is not a value that stands in the sheets by itself. Open one of its places to see where it comes from.
        </p>
      ) : (
        <InkLadder {...{ pair, fixes, color, onPropose }} onTry={(one) => setTried(one && { of: pair, color: one })} />
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
                changes: ground.changes,
              })
            }
          >
            Write the nearest ground that passes: {ground.value}
          </button>
        </p>
      )}
      <h3>{plural(pair.places.length, "place")}</h3>
      <PlaceList className={styles.places} label="Places" places={pair.places} most={40} onPick={pick} />
    </section>
  );
}

interface InkLadderProps extends Pick<Props, "pair" | "onPropose"> {
  fixes: ReturnType<typeof pairFixes>;
  color: Color;
  onTry(color: Color | null): void;
}

/** The ink of a pair on a ladder. What would be written may stand on other grounds, too: it has to be enough on all. */
function InkLadder({ pair, fixes: { spots, needs, ink: found }, color, onTry, onPropose }: InkLadderProps) {
  const track = useMemo(
    (): Track => ({
      key: "pair",
      label: `on ${pair.groundName} · needs ${pair.needs}${needs.length > 1 ? `, and on ${plural(needs.length - 1, "other ground")}` : ""}`,
      ratio: (one) => leastRatio(one, needs),
      enough: (one) => isEnough(one, needs),
      rungs: () => [],
    }),
    [pair, needs],
  );
  const spell = (one: Color) => spelledLike(spots[0]?.value ?? "", one);
  const propose = (one: Color) => {
    const value = spell(one);
    onPropose({
      title: `Write ${value} for ${pair.inkName}`,
      label: `color: ${value}`,
      changes: joinColors(spots, value),
    });
    onTry(null);
  };
  const best = showRatio(leastRatio(found.color, needs));
  const label = found.passes
    ? `Write the nearest that passes: ${spell(found.color)}, ${best}`
    : `No lightness at this hue is enough on all its grounds. The best reaches ${best}.`;
  return (
    <Ladder
      color={color}
      tracks={[track]}
      nearest={pair.passes ? null : { ...found, label }}
      onTry={onTry}
      onWrite={propose}
      onPutBack={() => onTry(null)}
    />
  );
}
