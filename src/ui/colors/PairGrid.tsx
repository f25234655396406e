"use client";

import { useMemo, useState } from "react";
import { contrastRatio, parseColor, showRatio, type PalettePair } from "@/core";
import { colorName } from "../color/names";
import styles from "./Colors.module.css";

interface Props {
  pairs: readonly PalettePair[];
  /** Set in each pair's colours. */
  word: string;
  current: PalettePair | null;
  onCurrent(pair: PalettePair): void;
}

/** Inks down, grounds across; a cell where the two really meet. */
export function PairGrid({ pairs, word, current, onCurrent }: Props) {
  const [all, setAll] = useState(false);
  const inks = useMemo(() => [...new Set(pairs.map(({ ink }) => ink))], [pairs]);
  const grounds = useMemo(() => [...new Map(pairs.map((pair) => [pair.ground, pair])).values()], [pairs]);
  const failing = pairs.filter(({ passes }) => !passes);
  const nameOf = (ink: string) => {
    const name = pairs.find((pair) => pair.ink === ink)!.inkName;
    return name === ink ? colorName(ink) : name;
  };
  return (
    <section className={styles.pairs} aria-label="Inks on grounds">
      <p className={styles.note}>
        {failing.length
          ? `${failing.length} of ${pairs.length} pairs cannot be read everywhere${schemesIn(failing)}.`
          : `All ${pairs.length} pairs can be read.`}{" "}
        <label>
          <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} /> Show what else each
          ink could stand on
        </label>
      </p>
      <div className={styles.scroller}>
        <table className={styles.grid}>
          <thead>
            <tr>
              <th scope="col">Ink on ground</th>
              {grounds.map((pair) => (
                <th key={pair.ground} scope="col">
                  {!pair.range && pair.groundName === pair.ground ? colorName(pair.ground) : pair.groundName}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {inks.map((ink) => (
              <tr key={ink}>
                <th scope="row">{nameOf(ink)}</th>
                {grounds.map((ground) => {
                  const met = pairs.filter((pair) => pair.ink === ink && pair.ground === ground.ground);
                  if (met.length === 0) return <EmptyCell key={ground.ground} ink={ink} ground={ground} shown={all} />;
                  return (
                    <PairCell key={ground.ground} pairs={met} word={word} current={current} onCurrent={onCurrent} />
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** In which schemes they fail, where the site has two: ", 2 of them in light, 3 in the dark". */
function schemesIn(failing: readonly PalettePair[]): string {
  const count = (scheme: "light" | "dark") => failing.filter(({ schemes }) => schemes?.includes(scheme)).length;
  return failing[0]!.schemes ? `, ${count("light")} in light, ${count("dark")} in the dark` : "";
}

const schemeWords = { light: "in light", dark: "in the dark" } as const;

/** The scheme that a pair is in, where it is not in both. */
function schemeOf({ schemes }: PalettePair): string {
  return schemes?.length === 1 ? schemeWords[schemes[0]!] : "";
}

const backgroundOf = ({ range, ground }: PalettePair) => (range ? `linear-gradient(${range[0]}, ${range[1]})` : ground);

function PairCell({
  pairs,
  word,
  current,
  onCurrent,
}: {
  pairs: readonly PalettePair[];
  word: string;
  current: PalettePair | null;
  onCurrent(pair: PalettePair): void;
}) {
  const [first] = pairs;
  return (
    <td
      className={pairs.includes(current!) ? `true-colors ${styles.currentCell}` : "true-colors"}
      style={{ background: backgroundOf(first!) }}
    >
      {pairs.map((pair) => {
        const figure = pair.range ? `${showRatio(pair.ratio)} to ${showRatio(pair.best)}` : showRatio(pair.ratio);
        const missed = pair.certain || pair.best < pair.needs ? "fails" : "doubtful";
        const verdict = pair.passes ? "passes" : missed;
        return (
          <button
            key={pair.needs}
            type="button"
            onClick={() => onCurrent(pair)}
            aria-label={`${pair.inkName} on ${pair.groundName}: ${figure}, needs ${pair.needs}, ${verdict}${schemeOf(pair) && `, ${schemeOf(pair)}`}`}
          >
            {pair === first && (
              <span data-specimen="" style={{ color: pair.ink }}>
                {word}
              </span>
            )}
            <i className={{ passes: undefined, fails: "fails", doubtful: "doubtful" }[verdict]}>
              {verdict === "passes" ? figure : `${verdict === "fails" ? "▲" : "◆"} ${figure} of ${pair.needs}`}
              {pair.schemes?.length === 1 && pair.schemes[0] === "dark" && ", in the dark"}
            </i>
          </button>
        );
      })}
    </td>
  );
}

/** A pair that does not occur; on demand, what it would come to. */
function EmptyCell({ ink, ground, shown }: { ink: string; ground: PalettePair; shown: boolean }) {
  const color = shown ? parseColor(ink) : null;
  const under = shown ? (ground.range ?? [ground.ground]).map((one) => parseColor(one)) : [];
  if (!color || under.includes(null) || under.length === 0) return <td className={styles.empty} />;
  const ratio = Math.min(...under.map((one) => contrastRatio(color, one!)));
  return (
    <td className={styles.could}>
      <i className={ratio < 3 ? "fails" : undefined}>{showRatio(ratio)}</i>
    </td>
  );
}
