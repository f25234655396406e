import { showRatio, type TrialContrast } from "@/core";

/** A ratio, with what it lacks where it is not enough. */
export function VerdictOf({ ratio, needs, verdict }: TrialContrast) {
  if (verdict === "unjudged") return null;
  if (verdict === "passes") return <b>{showRatio(ratio)}</b>;
  return (
    <b className={verdict === "fails" ? "fails" : "doubtful"}>
      {verdict === "fails" ? "▲" : "◆"} {showRatio(ratio)} of {needs}
    </b>
  );
}
