import { showRatio, type Judged } from "@/core";
import { plural } from "./numbers";

const mostFalls = 4;

const count = (list: Judged["falls"]) => list.reduce((sum, { places }) => sum + places.length, 0);

/** What a change does to contrast: texts that would not be enough any more, and how many come to be. */
export function Contrasts({ judged: { falls, rises } }: { judged: Judged }) {
  return (
    <>
      {falls.slice(0, mostFalls).map(({ role, before, after, needs, places }) => (
        <p key={`${role} ${before} ${after}`} className="fails">
          ▲ {role}, {plural(places.length, "place")}: contrast falls from {showRatio(before)} to {showRatio(after)}, and{" "}
          {needs} is needed.
        </p>
      ))}
      {falls.length > mostFalls && (
        <p className="fails">▲ {plural(count(falls.slice(mostFalls)), "more place")} would fall below.</p>
      )}
      {rises.length > 0 && <p className="good">{plural(count(rises), "place")} can be read that could not.</p>}
    </>
  );
}
