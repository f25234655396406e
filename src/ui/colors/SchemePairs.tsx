"use client";

import { useMemo } from "react";
import { draftKinds, showRatio, type Conditions, type DraftKindName, type PalettePair } from "@/core";
import { plural } from "../shared/numbers";
import { useAnswer } from "../workspace/answers";
import { useEngine } from "../workspace/context";
import { usePick } from "../workspace/usePick";
import styles from "./Schemes.module.css";
import { SideBySide, useConditionsOf } from "./SideBySide";

const words: Readonly<Record<DraftKindName, { about: string; without: string; within: string }>> = {
  dark: { about: "The site has a dark scheme.", without: "In light", within: "In the dark" },
  contrast: {
    about: "The site asks who wishes for more contrast.",
    without: "As it is",
    within: "With more contrast",
  },
};

/** A scheme that the site has: its pairs beside those without it, and the page with and without. */
export function SchemePairs({ wish }: { wish: DraftKindName }) {
  const engine = useEngine();
  const without = useConditionsOf(draftKinds[wish].without);
  const within = useConditionsOf(draftKinds[wish].within);
  const { about, without: before, within: after } = words[wish];
  const sides = useMemo(
    () =>
      [
        { title: before, conditions: without },
        { title: after, conditions: within },
      ].map((side) => ({ ...side, view: (path: string) => engine.variant(path, [], side.conditions) })),
    [engine, without, within, before, after],
  );
  return (
    <div className={styles.desk}>
      <div className={styles.list}>
        <p>{about} What fails in it is among the findings, and is set right there for that scheme alone.</p>
        <Pairs title={before} conditions={without} scheme={wish === "dark" ? "light" : null} />
        <Pairs title={after} conditions={within} scheme={wish === "dark" ? "dark" : null} />
      </div>
      <SideBySide sides={sides} />
    </div>
  );
}

interface PairsProps {
  title: string;
  conditions: Conditions;
  /** Those of one scheme alone; null for all. */
  scheme: Conditions["scheme"] | null;
}

function Pairs({ title, conditions, scheme }: PairsProps) {
  const palette = useAnswer("palette", conditions);
  const pairs = palette?.pairs.filter(({ schemes }) => scheme === null || (schemes?.includes(scheme) ?? true)) ?? [];
  const failing = pairs.filter(({ passes }) => !passes);
  return (
    <section aria-label={`Pairs ${title.toLowerCase()}`}>
      <h2 className={styles.title}>{title}</h2>
      {palette && (
        <p className={failing.length ? "fails" : "good"}>
          {failing.length
            ? `▲ ${failing.length} of ${plural(pairs.length, "pair")} cannot be read everywhere.`
            : `All of ${plural(pairs.length, "pair")} can be read.`}
        </p>
      )}
      <ul className={styles.pairs}>
        {failing.map((pair) => (
          <li key={JSON.stringify([pair.ink, pair.ground, pair.needs])}>
            <Failing pair={pair} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Failing({ pair: { ink, ground, range, inkName, groundName, ratio, needs, places } }: { pair: PalettePair }) {
  const pick = usePick();
  return (
    <>
      <span
        className={`true-colors ${styles.sample}`}
        style={{ color: ink, background: range ? range[0] : ground }}
        aria-hidden="true"
      >
        Aa
      </span>
      <span>
        <code>{inkName}</code> on <code>{groundName}</code>, {showRatio(ratio)} of {needs}
      </span>
      <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
        {plural(places.length, "place")}
      </button>
    </>
  );
}
