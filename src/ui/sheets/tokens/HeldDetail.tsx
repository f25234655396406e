"use client";

import { Button } from "antd";
import { propertyOf, type Held, type Replacing } from "@/core";
import { useGradual } from "../../shared/useGradual";
import { plural } from "../../shared/numbers";
import { useSeeSource } from "../../workspace/useSeeSource";
import { Value } from "./HeldList";
import styles from "./Tokens.module.css";

const kinds: Readonly<Record<Held["kind"], string>> = {
  color: "Colour",
  dimension: "Dimension",
  fontFamily: "Font stack",
  fontWeight: "Weight",
};

/** One value: the token nearest to it, where it is written, and what can be put in its place. */
export function HeldDetail({ held, onReplace }: { held: Held; onReplace(how: Replacing): void }) {
  const { kind, value, css, spots, nearest } = held;
  const see = useSeeSource();
  const uses = useGradual(spots, "li");
  return (
    <section className={styles.detail} aria-label="Value">
      <h2>
        <Value held={held} css={css} text={value} />
      </h2>
      <p>
        {kinds[kind]}, written in {plural(spots.length, "spot")}.
      </p>
      {nearest ? (
        <>
          <p>
            The nearest token is <Value held={held} css={nearest.css} text={nearest.token} />
            {kind !== "color" && (
              <>
                , <code>{nearest.css}</code>
              </>
            )}
            : {nearest.words}.
          </p>
          <p className={styles.ways}>
            <Button type="primary" onClick={() => onReplace("property")}>
              Put var({propertyOf(nearest.token)}) there…
            </Button>
            {nearest.distance > 0 && <Button onClick={() => onReplace("value")}>Put {nearest.css} there…</Button>}
          </p>
        </>
      ) : (
        <p>No token of this kind has anything in common with it.</p>
      )}
      <h3>Where it is written</h3>
      <ul>
        {uses.shown.map(({ path, start, line, property, selector }) => (
          <li key={`${path} ${start}`}>
            <code>
              {selector} {"{"} {property} {"}"}
            </code>{" "}
            <button type="button" className="text-button" onClick={() => see(path, line, 1)}>
              {path} line {line}
            </button>
          </li>
        ))}
        {uses.end}
      </ul>
    </section>
  );
}
