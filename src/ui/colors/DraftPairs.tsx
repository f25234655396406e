"use client";

import { showRatio, type Draft, type DraftPair } from "@/core";
import { plural } from "../shared/numbers";
import { usePick } from "../workspace/usePick";
import styles from "./Schemes.module.css";

/** So many pairs that lack contrast are shown. */
const most = 6;

/** Whether all pairs have the contrast that is wanted; those that have not, before and after. */
export function DraftPairs({ draft }: { draft: Draft }) {
  const lacking = draft.pairs.filter(({ keeps }) => !keeps);
  const failing = draft.pairs.filter(({ passed, passes }) => passed && !passes);
  const still = draft.pairs.filter(({ passed, passes }) => !passed && !passes);
  return (
    <section aria-label="Pairs of the draft">
      <p role="status" className={failing.length ? "fails" : "good"}>
        {summaryWords(draft, lacking.length, failing.length)}
      </p>
      {still.length > 0 && (
        <p className="doubtful">
          ◆ {plural(still.length, "pair")} cannot be read as {still.length === 1 ? "it is" : "they are"}, and not in the
          draft.
        </p>
      )}
      {lacking.length > 0 && (
        <ul className={styles.pairs}>
          {lacking.slice(0, most).map((pair) => (
            <li key={JSON.stringify([pair.ink, pair.ground, pair.under, pair.needs, pair.draftInk, pair.draftGround])}>
              <Pair pair={pair} />
            </li>
          ))}
          {lacking.length > most && <li className="quiet">and {plural(lacking.length - most, "more pair")}</li>}
        </ul>
      )}
    </section>
  );
}

function summaryWords({ kind, pairs }: Draft, lacking: number, failing: number): string {
  const all = plural(pairs.length, "pair");
  const is = pairs.length === 1 ? "is" : "are";
  if (failing) return `▲ ${failing} of ${all} could be read, and cannot in the draft.`;
  if (kind === "contrast")
    return lacking
      ? `All but ${lacking} of ${all} ${is} enough for the highest level.`
      : `All of ${all} reach 7, large text 4.5.`;
  return lacking
    ? `What could be read can be read. Of ${all}, ${lacking} have less than before.`
    : `All of ${all} keep their ratio.`;
}

function Pair({ pair }: { pair: DraftPair }) {
  const pick = usePick();
  const { ink, ground, draftInk, draftGround, ratio, draftRatio, needs, passes, under, places } = pair;
  return (
    <>
      <span className={`true-colors ${styles.sample}`} style={{ color: ink, background: ground }} aria-hidden="true">
        Aa
      </span>
      <span
        className={`true-colors ${styles.sample}`}
        style={{ color: draftInk, background: draftGround }}
        aria-hidden="true"
      >
        Aa
      </span>
      <span>
        {showRatio(ratio)} becomes {showRatio(draftRatio)}, {passes ? "enough" : "not enough"} for {needs}
        {under && `, ${under}`}
      </span>
      <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
        {plural(places.length, "place")}
      </button>
    </>
  );
}
